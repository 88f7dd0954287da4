import { expect } from 'chai';
import type { ManifoldToplevel } from 'manifold-3d';
import { readShop } from '../../../src/core/document/read.ts';
import { nextMakeId } from '../../../src/core/edits/makeEdits.ts';
import { dropPrint, setPrint } from '../../../src/core/edits/makeEdits.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { supplyFaces } from '../../../src/core/standards/patterns.ts';
import type { Printed } from '../../../src/core/model/types/printTypes.ts';
import { isAgainst } from '../../../src/core/plan/runs.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { estimate } from '../../../src/core/print/estimate.ts';
import { printFault, printFields } from '../../../src/core/print/fields.ts';
import { freshPrint } from '../../../src/core/print/fresh.ts';
import { screwHole } from '../../../src/core/print/screwHoles.ts';
import { saddleHigh, shapeFault, sizesOf, ventSlots } from '../../../src/core/print/limits.ts';
import { loadKit, solidsOf } from '../../../src/core/print/solid.ts';
import { lying } from '../../../src/core/print/lying.ts';
import { piecesOn, printSums } from '../../../src/core/print/sums.ts';
import { jobWith, planWith, the } from '../../helpers/build.ts';

const fresh = <K extends Printed['do']>(sort: K, more: Partial<Extract<Printed, { do: K }>> = {}) =>
  ({ ...freshPrint(sort, 'p1'), ...more }) as Extract<Printed, { do: K }>;
const sums = (print: Printed) => printSums(planWith({}, { printed: [print] }));
const sorts = Object.keys(printFields) as Printed['do'][];
const round = (across: number) => (Math.PI * across * across) / 4;

describe('print, solids', function () {
  this.timeout(30_000);
  let kit: ManifoldToplevel;
  before(async () => {
    kit = await loadKit();
  });
  const volume = (print: Printed) => solidsOf(kit, print)[0]!.volume;
  /** Every edge is that of two triangles, run through once each way. */
  const isClosed = (triangles: Uint32Array): boolean => {
    const edges = new Map<string, number>();
    for (let i = 0; i < triangles.length; i += 3)
      for (const [a, b] of [
        [0, 1],
        [1, 2],
        [2, 0],
      ] as const) {
        const key = `${triangles[i + a]} ${triangles[i + b]}`;
        edges.set(key, (edges.get(key) ?? 0) + 1);
      }
    return [...edges].every(
      ([key, count]) => count === 1 && edges.get(key.split(' ').reverse().join(' ')) === 1,
    );
  };

  it('every one is closed, as large as its figures say, stands on the bed', () => {
    for (const sort of sorts) {
      const print = fresh(sort);
      expect(shapeFault(print), sort).to.equal(undefined);
      const solids = solidsOf(kit, print);
      expect(solids.length).to.equal(1);
      const [solid] = solids;
      expect(isClosed(solid!.triangles), sort).to.equal(true);
      expect(solid!.low[2]).to.be.closeTo(0, 1e-6);
      const { x, y, z } = sizesOf(print);
      [x, y, z].forEach((side, i) => {
        expect(solid!.high[i]! - Math.min(0, solid!.low[i]!), `${sort} ${i}`).to.be.closeTo(
          side,
          0.02,
        );
      });
      expect(solid!.section.length, sort).to.be.at.least(1);
    }
  });

  it('volumes are those of formulas by hand, within 0.1 %', () => {
    const near = (print: Printed, hand: number) =>
      expect(volume(print) / hand, print.do).to.be.within(0.999, 1.001);
    near(fresh('card support'), 20 * (60 * 4 + 6 * 72 + 30 * 4 + 2 * 2));
    const stand = fresh('riser stand', { hold: 'through' });
    const across = Math.max(8, screwHole(stand) + 4.8);
    near(stand, 114 * 14 * 4 + 2 * round(across) * 16 - 2 * round(screwHole(stand)) * 20);
    const bore = fresh('standoff tower', { hold: 'insert', height: 30, across: 12 });
    near(bore, round(24) * 2 + round(12) * 28 - round(screwHole(bore)) * 12);
    const drive = fresh('drive bracket');
    near(drive, 3 * (100 * 100 - 8 * round(3.4)));
    const psu = fresh('printed PSU plate');
    expect(supplyFaces.SFX.points.length).to.equal(4);
    near(psu, 4 * (150 * 86 - 101 * 39.5 - 8 * round(screwHole(psu))));
    const foot = fresh('foot');
    /* Frustum 15 high, 24 below, 18 above; M4 through; head let in 3. */
    near(
      foot,
      (Math.PI * 15 * (12 ** 2 + 12 * 9 + 9 ** 2)) / 3 -
        round(screwHole(foot)) * 12 -
        round(headAcrossOf(foot)) * 3,
    );
    const frame = fresh('port frame', { width: 100, height: 40, gap: 0.25 });
    near(frame, 112 * 52 * 2 + 99.5 * 39.5 * 2 - 96.3 * 36.3 * 4);
    const comb = fresh('cable comb', { leads: 5, lead: 5, gap: 0 });
    /* Teeth 2, slots 5: 5 × 7 + 2 long, 10 high; each slot half a circle and 5.5 above its middle at 4.5. */
    near(comb, 8 * (37 * 10 - 5 * (round(5) / 2 + 5 * (10 - 4.5))));
    const vent = fresh('lid vent');
    expect(ventSlots(vent).length).to.equal(Math.floor((90 + 2) / 5));
    near(vent, 2.4 * (100 * 60 - 18 * 3 * 50));
    const saddle = fresh('saddle', { hold: 'through' });
    const [R, half] = [40, 20];
    /* Under the round thing: thin × width, and what lies between its arc and the level of its lowest point. */
    const arc = R * 40 - (half * Math.sqrt(R * R - half * half) + R * R * Math.asin(half / R));
    expect(saddleHigh(saddle)).to.be.closeTo(4 + R - Math.sqrt(R * R - half * half), 1e-9);
    const bored = solidsOf(kit, saddle)[0]!.volume;
    const area = round(screwHole(saddle));
    expect(bored / (20 * (40 * 4 + arc) - area * 4)).to.be.within(0.999, 1.001);
    const fan = fresh('fan bracket', { fan: '80' });
    const opening = 80 - 4 - 6;
    near(
      fan,
      80 * 80 * 3 +
        80 * 3 * 13 -
        3 * (round(opening) + 4 * round(4.5)) -
        2 * 3 * round(screwHole(fan)),
    );
  });

  it('cut for a bed it is as much as before, each piece closed and small enough', () => {
    const long = fresh('lid vent', { width: 390, bed: 150 });
    const pieces = piecesOn(long);
    expect(pieces).to.equal(3);
    const solids = solidsOf(kit, long, pieces);
    expect(solids.length).to.equal(3);
    expect(solids.reduce((sum, each) => sum + each.volume, 0)).to.be.closeTo(volume(long), 0.5);
    for (const each of solids) {
      expect(isClosed(each.triangles)).to.equal(true);
      expect(each.high[0] - each.low[0]).to.be.at.most(150.001);
    }
  });
});

const headAcrossOf = (print: { screw: 'M4' | string; gap: number }) =>
  (({ M4: 8, M3: 6 }) as Record<string, number>)[print.screw]! + print.gap;

describe('print, sums', () => {
  it('a wall thinner than the nozzle is a Stop, one line wide a Mend, two lines stand', () => {
    const mark = (wall: number) => the(sums(fresh('port frame', { wall })), 'print-wall:p1').mark;
    expect([0.3, 0.6, 0.8, 1.2].map(mark)).to.deep.equal(['stop', 'mend', 'clear', 'clear']);
    const bar = the(sums(fresh('lid vent', { bar: 0.5 })), 'print-wall:p1');
    expect(bar.title).to.equal('bar of the lid vent');
    expect(bar.mark).to.equal('mend');
  });
  it('larger than the bed says by how much and in how many pieces', () => {
    const over = the(sums(fresh('fan bracket', { fan: '140', bed: 100 })), 'print-bed:p1');
    expect(over.mark).to.equal('mend');
    expect(over.margin).to.deep.equal({ lo: -40, hi: -40 });
    expect(over.say).to.match(/2 pieces/);
    expect(the(sums(fresh('foot')), 'print-bed:p1').mark).to.equal('clear');
    expect(piecesOn(fresh('fan bracket', { fan: '140', bed: 70 }))).to.equal(2);
  });
  it('what stands round a screw bursts where it is thin', () => {
    const mark = (across: number, hold: 'through' | 'insert') =>
      the(sums(fresh('standoff tower', { across, hold })), 'print-screw:p1').mark;
    /* M3 insert: 4.2 wide; 8 across leaves 1.9 of 2. */
    expect(mark(8, 'insert')).to.equal('mend');
    expect(mark(8.2, 'insert')).to.equal('clear');
    expect(mark(8, 'through')).to.equal('clear');
  });
  it('stands beside what is hot by the sum of printed parts, over and over the same', () => {
    const heat = (material: 'PLA' | 'ASA' | 'PETG', beside: 'card' | 'nothing hot') =>
      the(sums(fresh('card support', { material, beside })), 'print-heat:p1');
    expect(heat('PLA', 'card').margin).to.deep.equal({ lo: -30, hi: 0 });
    expect(heat('PLA', 'card').mark).to.equal('watch');
    expect(heat('ASA', 'card').mark).to.equal('clear');
    expect(heat('PETG', 'card').margin).to.deep.equal({ lo: -10, hi: 20 });
    expect(heat('PETG', 'card').mark).to.equal('watch');
    expect(heat('PETG', 'card').say).to.equal(
      'It may sag there: ABS or ASA stays hard, or another place.',
    );
    const own = {
      small1: { sort: 'printed part', material: 'PETG', beside: 'card' },
    };
    const part = the(runChecks(planWith(own)), 'heat-print:small1');
    expect(part.margin).to.deep.equal(heat('PETG', 'card').margin);
  });
  it('what cannot be drawn says why, at its own place, and the others stay', () => {
    const faults: [Printed, RegExp][] = [
      [fresh('card support', { height: 8 }), /shelf lies on its foot/],
      [fresh('card support', { reach: 8 }), /no further than its post/],
      [fresh('drive bracket', { width: 60 }), /Narrower/],
      [fresh('drive bracket', { depth: 70 }), /Shorter/],
      [fresh('fan bracket', { flange: 8 }), /no room/],
      [fresh('foot', { height: 4 }), /head/],
      [fresh('riser stand', { apart: 8 }), /run into each other/],
      [fresh('lid vent', { width: 15, slot: 20 }), /No slot/],
      [fresh('saddle', { radius: 10 }), /Wider/],
      [fresh('port frame', { height: 3 }), /lip/],
    ];
    for (const [print, say] of faults) {
      const found = sums(print);
      expect(found.map(({ id, mark }) => [id, mark])).to.deep.equal([['print:p1', 'watch']]);
      expect(found[0]!.say).to.match(say);
    }
    const two = printSums(
      planWith({}, { printed: [faults[0]![0], { ...fresh('foot'), id: 'p2' }] }),
    );
    expect(two.some(({ id }) => id === 'print-bed:p2')).to.equal(true);
  });
  it('keeps no machine from running', () =>
    expect(isAgainst(the(sums(fresh('port frame', { wall: 0.3 })), 'print-wall:p1'))).to.equal(
      false,
    ));
  it('says how it lies for every sort', () => {
    for (const sort of sorts) expect(lying(fresh(sort))).to.match(/^Print it /);
  });
});

describe('print, what it takes', () => {
  it('grams and hours by hand: 10 cm³ with 50 cm² of surface', () => {
    const found = estimate(fresh('foot', { wall: 1, fill: 20 }), { volume: 10_000, surface: 5000 });
    /* 5,000 mm³ of wall and a fifth of the other 5,000: 6,000 mm³; PETG 7.62 g; at 10 and 3 mm³ a second. */
    expect(found.laid).to.equal(6000);
    expect(found.grams.lo).to.be.closeTo(7.62 * 0.95, 1e-9);
    expect(found.hours.lo).to.be.closeTo((600 * 1.1) / 3600 + 5 / 60, 1e-9);
    expect(found.hours.hi).to.be.closeTo((2000 * 1.4) / 3600 + 0.2, 1e-9);
  });
  it('is never more than all of it, and quicker through a wider nozzle', () => {
    const all = estimate(fresh('foot', { wall: 10, fill: 0 }), { volume: 1000, surface: 5000 });
    expect(all.laid).to.equal(1000);
    const wide = estimate(fresh('foot', { nozzle: 0.8 }), { volume: 10_000, surface: 5000 });
    const fine = estimate(fresh('foot', { nozzle: 0.4 }), { volume: 10_000, surface: 5000 });
    expect(wide.hours.hi).to.be.below(fine.hours.hi);
  });
});

describe('print, in the job', () => {
  it('is kept in the file as it was told, refused with its place where it is none', () => {
    const { shop } = jobWith({});
    const all = sorts.map((sort, i) => freshPrint(sort, `p${i + 1}`));
    const edited = all.reduce((now, print) => setPrint('1', print)(now), shop);
    expect(readShop(writeShop(edited)).jobs[0]?.printed).to.deep.equal(all);
    expect(printFault({ ...all[0], nozzle: 9 })).to.match(/Nozzle: 0.1 to 2 mm/);
    const bad = { ...edited, jobs: [{ ...edited.jobs[0]!, printed: [{ ...all[0]!, nozzle: 9 }] }] };
    expect(() => readShop(writeShop(bad as typeof edited))).to.throw(/printed/);
    const less = dropPrint('1', 'p2')(edited);
    expect(less.jobs[0]?.printed?.map(({ id }) => id)).not.to.include('p2');
    expect(nextMakeId(less.jobs[0]?.printed ?? [], 'p')).to.equal('p2');
    const thick = setPrint('1', { ...all[0]!, wall: 3 })(less);
    expect(thick.jobs[0]?.printed?.length).to.equal(sorts.length - 1);
    expect(thick.jobs[0]?.printed?.[0]?.wall).to.equal(3);
  });
});
