import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { properties } from '../../../src/core/model/properties/index.ts';
import { caseCut } from '../../../src/lib/draw/caseCut.ts';
import { dimensionOf } from '../../../src/lib/draw/dimension.ts';
import { gapPlace } from '../../../src/lib/draw/gapPlace.ts';
import { along, dropsInto, nearestWay, share, type Rect } from '../../../src/lib/fit/seatMove.ts';
import { simulatedBench } from '../../../src/lib/instruments/practice.ts';
import { rowsOf } from '../../../src/lib/print/limitStrip.ts';
import { SHEET } from '../../../src/lib/print/page.ts';

const demo = demoShop('2026-11-25T09:00:00.000Z');
const planFor = (id: string) => {
  const job = demo.jobs.find((each) => each.id === id);
  if (!job) throw new Error(`no job ${id}`);
  return planOf(demo, job);
};

describe('fit/seatMove, a part in hand', () => {
  const home: Rect = { x: 0, y: 0, w: 10, h: 10 };
  const right: Rect = { x: 100, y: 0, w: 10, h: 10 };
  const down: Rect = { x: 0, y: 80, w: 20, h: 5 };
  const rects = [home, right, down];
  it('follows the line the hand follows best', () => {
    expect(nearestWay(rects, { x: 40, y: 3 })).to.equal(1);
    expect(nearestWay(rects, { x: 4, y: 40 })).to.equal(2);
    expect(nearestWay(rects, { x: -40, y: -3 })).to.equal(undefined);
    expect(nearestWay([home], { x: 9, y: 9 })).to.equal(undefined);
    expect(nearestWay([], { x: 9, y: 9 })).to.equal(undefined);
  });
  it('drops into a place when more than half way there, else goes home', () => {
    expect(dropsInto(rects, { x: 60, y: 2 })).to.equal(1);
    expect(dropsInto(rects, { x: 40, y: 2 })).to.equal(0);
    expect(dropsInto(rects, { x: -60, y: 0 })).to.equal(0);
  });
  it('never leaves the line between its places, and grows into the new one on the way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -200, max: 200 }),
        fc.integer({ min: -200, max: 200 }),
        (x, y) => {
          const t = share(home, down, { x, y });
          expect(t).to.be.within(0, 1);
          const held = along(home, down, { x, y });
          expect(held.w).to.be.closeTo(10 + 10 * t, 1e-9);
          expect(held.x).to.be.within(0, 0);
          expect(held.y).to.be.within(0, 80);
        },
      ),
    );
  });
  it('stays where a place lies on its own', () => {
    expect(share(home, home, { x: 5, y: 5 })).to.equal(0);
  });
});

describe('draw/gapPlace, the air between two parts in its place', () => {
  it('draws 31 mm too little between cooler and drive, toward the lid', () => {
    const plan = planFor('16');
    const finding = runChecks(plan).find((each) => each.id === 'space:cooler:drive1');
    const thick = caseCut(plan)?.end.w ?? 0;
    const gap = gapPlace(plan, finding, thick);
    expect(gap?.axis).to.equal('w');
    expect(gap?.mark).to.equal('stop');
    expect(gap?.figure).to.equal('−31 mm');
    expect(Math.abs((gap?.to ?? 0) - (gap?.from ?? 0))).to.be.closeTo(31, 1e-9);
  });
  it('draws every such sum of the demo with figures that are numbers, and no other sum', () => {
    for (const job of demo.jobs) {
      const plan = planOf(demo, job);
      const thick = caseCut(plan)?.end.w ?? 0;
      for (const finding of runChecks(plan)) {
        const gap = gapPlace(plan, finding, thick);
        if (!finding.id.startsWith('space:')) expect(gap, finding.id).to.equal(undefined);
        else if (gap)
          for (const mm of [gap.from, gap.to, gap.at])
            expect(Number.isFinite(mm), finding.id).to.equal(true);
      }
    }
    expect(gapPlace(planFor('14'), undefined, 100)).to.equal(undefined);
  });
});

describe('draw/dimension, where a measure is taken', () => {
  const plan = planFor('16');
  const cut = caseCut(plan);
  if (!cut) throw new Error('no case');
  const of = (seat: string, kind: keyof typeof properties, key: string) =>
    dimensionOf(plan, cut, { seat, kind, key });
  it('names the datum: a card from its bracket, a cooler from the CPU', () => {
    expect(of('card1', 'card', 'length')?.datum).to.equal('the inside of its bracket');
    expect(of('card1', 'card', 'length')).to.include({ x0: 0, x1: 228 });
    expect(of('cooler', 'cooler', 'height')?.datum).to.equal("the CPU's top");
    expect(of('case', 'case', 'cardRoom')).to.include({ x0: 0, x1: 255 });
    expect(of('case', 'case', 'coolerRoom')?.section).to.equal('end');
  });
  it('draws a line of numbers for every length it draws, and none for words', () => {
    for (const placed of plan.seats) {
      for (const asked of properties[placed.kind]) {
        const line = of(placed.seat, placed.kind, asked.key);
        if (!line) continue;
        expect(asked.measure, asked.key).to.equal('mm');
        for (const mm of [line.x0, line.y0, line.x1, line.y1])
          expect(Number.isFinite(mm), asked.key).to.equal(true);
        expect(line.datum).to.not.equal('');
      }
    }
  });
});

describe('print/limitStrip, more limits than a sheet holds', () => {
  it('goes on to the next sheet, no bar beyond the edge, none lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 400 }), { minLength: 1, maxLength: 40 }),
        (list) => {
          const rows = rowsOf(
            list.map((mm) => ({
              label: 'card length',
              datum: 'bracket',
              mm,
              how: 'measured' as const,
            })),
          );
          for (const row of rows) expect(row.y).to.be.at.most(SHEET.heightMm - SHEET.marginMm);
          const places = rows.map((row) => `${row.page} ${row.y}`);
          expect(new Set(places).size).to.equal(rows.length);
          expect(rows.reduce((sum, row) => sum + row.toMm - row.fromMm, 0)).to.equal(
            list.reduce((sum, mm) => sum + mm, 0),
          );
        },
      ),
    );
  });
});

describe('instruments/practice', () => {
  it('is the same plug for the same part every time, with one enable', () => {
    const colours = (part: string) =>
      Array.from({ length: 10 }, (_, i) => simulatedBench(part, 10).read(i + 1, 'colour')).map(
        (reading) => (reading === 'fuse blown' || reading.kind !== 'colour' ? '' : reading.colour),
      );
    expect(colours('M3-08')).to.deep.equal(colours('M3-08'));
    for (const part of ['M3-08', 'S01', 'S04'])
      expect(colours(part).filter((colour) => colour === 'green')).to.have.length(1);
  });
});
