import { expect } from 'chai';
import fc from 'fast-check';
import {
  byMark,
  marks,
  worst,
  type Finding,
  type Mark,
  type Term,
} from '../../../src/core/findings/finding.ts';
import { figure, gap, markOf, restOf } from '../../../src/core/findings/gap.ts';
import { match } from '../../../src/core/findings/match.ts';
import { isOpen, plain } from '../../../src/core/findings/terms.ts';
import { commonPractice } from '../../../src/core/standards/source.ts';
import { range } from '../../../src/core/units/range.ts';
import { gapShape } from '../../../src/lib/ui/gapShape.ts';
import { show, unitWord } from '../../../src/lib/ui/figures.ts';
import { angledPlug } from '../../../src/core/remedies/angledPlug.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { offerIn } from '../../../src/core/remedies/offer.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import { planWith } from '../../helpers/build.ts';

const base = {
  id: 'x',
  station: 'fit' as const,
  title: 'x',
  seats: [],
  unit: 'mm',
  source: commonPractice,
  undoMinutes: 10,
  say: () => 'said.',
};
const sum = (room: [number, number], need: [number, number], margin = 0): Finding =>
  gap({
    ...base,
    minimumMargin: margin,
    terms: [plain('room', range(...room), 1), plain('need', range(...need), -1)],
  });

describe('findings/gap', () => {
  it('marks by the whole range', () => {
    expect(markOf(range(5, 9), 2)).to.equal('clear');
    expect(markOf(range(1, 9), 2)).to.equal('watch');
    expect(markOf(range(-1, 9), 2)).to.equal('watch');
    expect(markOf(range(-9, -1), 2)).to.equal('stop');
    expect(markOf(range(-9, -1), 2, 'mend')).to.equal('mend');
    expect(markOf(range(0), 0)).to.equal('clear');
  });
  it('calls the rest what it is', () => {
    expect(sum([10, 10], [4, 4]).marginLabel).to.equal('spare');
    expect(sum([10, 10], [14, 14]).marginLabel).to.equal('over');
    expect(sum([10, 10], [4, 14]).marginLabel).to.equal('leaves');
  });
  it('adds up what the terms say, words aside', () => {
    const terms: Term[] = [
      plain('a', range(10, 12), 1),
      plain('b', range(3), -1),
      plain('c', 'word', 0),
    ];
    expect(restOf(terms)).to.deep.equal({ lo: 7, hi: 9 });
  });
  it('asks for no way out where none is needed', () => {
    const spec = {
      ...base,
      minimumMargin: 0,
      remedies: () => [
        {
          value: cageOut(),
          title: 'r',
          mark: 'clear' as const,
          minutes: 1,
          undoable: true,
        },
      ],
    };
    const clear = gap({ ...spec, terms: [plain('room', range(2), 1)] });
    expect(clear.remedies).to.deep.equal([]);
    const stop = gap({ ...spec, terms: [plain('need', range(2), -1)] });
    expect(stop.remedies).to.have.length(1);
  });
  it('works a remedy out to what it leaves; one that gives something up is not Clear', () => {
    const plan = planWith({ case: { cageGain: 58 }, card1: {} });
    const after = (rest: number, value: RemedyValue) => offerIn(plan, value, range(rest), 3)[0];
    expect(after(-20, cageOut())).to.deep.include({ margin: range(38), mark: 'clear' });
    expect(after(-70, cageOut())?.mark).to.equal('stop');
    const angled = after(100, angledPlug({ seat: 'card1' }));
    expect(angled?.margin?.lo).to.be.above(100);
    expect(angled?.mark).to.equal('watch');
    expect(offerIn(planWith({ case: {} }), cageOut(), range(-20), 3)).to.deep.equal([]);
  });
  it('writes figures with a true minus', () => {
    expect(figure(range(-20))).to.equal('−20');
    expect(figure(range(-6, 12))).to.equal('−6 to 12');
  });
});

describe('findings/match', () => {
  const spec = {
    id: 'm',
    station: 'links' as const,
    title: 'm',
    seats: [],
    unknownSay: 'look.',
    source: commonPractice,
    undoMinutes: 1,
    verdict: (a: string, b: string) => ({
      mark: a === b ? ('clear' as const) : ('stop' as const),
      rest: 'r',
      say: 's.',
    }),
  };
  it('watches where either side is not known', () => {
    for (const [have, want] of [
      [undefined, 'x'],
      ['x', undefined],
      [undefined, undefined],
    ] as const) {
      const finding = match({
        ...spec,
        have: { label: 'a', value: have },
        want: { label: 'b', value: want },
      });
      expect(finding.mark).to.equal('watch');
      expect(finding.marginLabel).to.equal('not known');
      expect(finding.terms.some(isOpen)).to.equal(true);
    }
  });
  it('asks its rule where both are', () => {
    const both = (a: string, b: string) =>
      match({ ...spec, have: { label: 'a', value: a }, want: { label: 'b', value: b } }).mark;
    expect(both('x', 'x')).to.equal('clear');
    expect(both('x', 'y')).to.equal('stop');
  });
});

describe('findings/marks', () => {
  it('orders worst first, and finds the worst', () => {
    const list = (['clear', 'watch', 'stop', 'mend'] as Mark[])
      .map((mark) => ({ mark }))
      .sort(byMark);
    expect(list.map((each) => each.mark)).to.deep.equal([...marks]);
    expect(worst(list)).to.equal('stop');
    expect(worst([])).to.equal('clear');
  });
});

describe('ui/gapShape, the gap to scale', () => {
  const size = fc.integer({ min: 1, max: 500 });
  it('draws room, need and rest in their true proportion', () => {
    fc.assert(
      fc.property(size, size, (room, need) => {
        const shape = gapShape(sum([room, room], [need, need]));
        if (!shape) throw new Error('no shape');
        const block = shape.blocks[0]?.width ?? NaN;
        expect(block / shape.room).to.be.closeTo(need / room, 1e-9);
        expect(shape.rest.over).to.equal(need > room);
        expect(shape.rest.width / shape.room).to.be.closeTo(Math.abs(room - need) / room, 1e-9);
      }),
    );
  });
  it('stays within its picture, whatever the ranges', () => {
    fc.assert(
      fc.property(size, size, size, size, (a, b, c, d) => {
        const shape = gapShape(
          sum([Math.min(a, b), Math.max(a, b)], [Math.min(c, d), Math.max(c, d)]),
        );
        if (!shape) throw new Error('no shape');
        const ends = [
          shape.room,
          shape.mostX,
          shape.rest.x + shape.rest.width,
          ...shape.blocks.map((block) => block.x + block.width),
        ];
        for (const end of ends) expect(end).to.be.within(0, 1 + 1e-9);
      }),
    );
  });
  it('stays within its picture with terms below zero, which stand on the other side', () => {
    const signed = fc.record({
      at: fc.integer({ min: -500, max: 500 }),
      wide: fc.integer({ min: 0, max: 50 }),
      sign: fc.constantFrom<1 | -1>(1, -1),
    });
    fc.assert(
      fc.property(fc.array(signed, { minLength: 1, maxLength: 6 }), (list) => {
        const terms = list.map(({ at, wide, sign }, i) =>
          plain(`t${i}`, range(at, at + wide), sign),
        );
        const shape = gapShape({ terms, margin: range(0) });
        if (!shape) throw new Error('no shape');
        for (const end of [
          shape.room,
          shape.rest.x,
          shape.rest.x + shape.rest.width,
          shape.mostX,
          ...shape.blocks.flatMap((block) => [block.x, block.width, block.x + block.width]),
        ])
          expect(end).to.be.within(0, 1 + 1e-9);
      }),
    );
  });
  it('lays several needs end to end', () => {
    const finding = gap({
      ...base,
      minimumMargin: 0,
      terms: [plain('room', range(100), 1), plain('a', range(30), -1), plain('b', range(20), -1)],
    });
    const shape = gapShape(finding);
    expect(shape?.blocks.map((block) => block.x)).to.deep.equal([0, 0.3]);
    expect(shape?.rest.x).to.be.closeTo(0.5, 1e-9);
  });
  it('has no picture for words, and survives no room at all', () => {
    expect(gapShape({ terms: [], margin: undefined })).to.equal(undefined);
    expect(gapShape(sum([0, 0], [0, 0]))?.room).to.equal(0);
  });
});

describe('ui/figures', () => {
  it('shows ranges with a dash, with words where one is negative', () => {
    expect(show(range(250, 400), 'mm')).to.equal('250–400');
    expect(show(range(-60, 90), 'mm')).to.equal('−60 to 90');
    expect(show(range(38), 'mm')).to.equal('38');
  });
  it('shows inches where the shop counts in them', () => {
    expect(show(range(254), 'mm', { unit: 'in' })).to.equal('10');
    expect(show(range(240), 'W', { unit: 'in' })).to.equal('240');
    expect(unitWord('mm', { unit: 'in' })).to.equal('in');
    expect(unitWord('W', { unit: 'in' })).to.equal('W');
  });
  it('rounds watts to whole ones and amps to tenths', () => {
    expect(show(range(93.6, 182.4), 'W')).to.equal('94–182');
    expect(show(range(17.84), 'A')).to.equal('17.8');
  });
});
