import { expect } from 'chai';
import fc from 'fast-check';
import { restOf } from '../../../src/core/findings/gap.ts';
import { clashes } from '../../../src/core/fit/clashes.ts';
import { axes, farApart, separation, type Box } from '../../../src/core/fit/space/box.ts';
import {
  beyond,
  coord,
  offset,
  origin,
  usual,
  offsetTerms,
} from '../../../src/core/fit/space/coord.ts';
import { drivePlaces, otherPlaces } from '../../../src/core/remedies/mounts.ts';
import { boxesOf, spaceOf } from '../../../src/core/fit/space/space.ts';
import { partOfKind } from '../../../src/core/model/lookup/plan.ts';
import { range } from '../../../src/core/units/range.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { moveDrive } from '../../../src/core/remedies/moveDrive.ts';
import { slotFurther } from '../../../src/core/remedies/slotFurther.ts';
import { turnSupply } from '../../../src/core/remedies/turnSupply.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';

const term = (label: string, lo: number, hi = lo) => usual(label, range(lo, hi));

describe('fit/space, places as sums', () => {
  it('leaves out what two places share: an unmeasured board does not blur what sits on it', () => {
    const board = coord(term('board', 0, 40));
    const [a, b] = [beyond(board, term('a', 50)), beyond(board, term('b', 80, 82))];
    expect(restOf(offsetTerms(a, b))).to.deep.equal({ lo: 30, hi: 32 });
    expect(offsetTerms(a, b).map((each) => each.label)).to.deep.equal(['b', 'a']);
  });
  it('has the same bounds without being made, whatever is shared and whichever sign', () => {
    const measures = fc.array(
      fc.record({
        label: fc.constantFrom('a', 'b', 'c', 'd'),
        lo: fc.integer({ min: 0, max: 900 }).map((n) => n / 7),
        more: fc.integer({ min: 0, max: 40 }).map((n) => n / 3),
        sign: fc.constantFrom<1 | -1>(1, -1),
      }),
      { maxLength: 7 },
    );
    const place = (list: readonly { label: string; lo: number; more: number; sign: 1 | -1 }[]) =>
      coord(...list.map(({ label, lo, more, sign }) => usual(label, range(lo, lo + more), sign)));
    fc.assert(
      fc.property(measures, measures, measures, (both, one, other) => {
        const [a, b] = [place([...both, ...one]), place([...other, ...both])];
        const { lo, hi } = restOf(offsetTerms(a, b));
        expect(offset(a, b).lo).to.be.closeTo(lo, 1e-9);
        expect(offset(a, b).hi).to.be.closeTo(hi, 1e-9);
      }),
      { numRuns: 2000 },
    );
  });
  it('is nothing from a place to itself, and turns its sign the other way round', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 9 })), {
          maxLength: 6,
        }),
        fc.integer({ min: 0, max: 6 }),
        (measures, shared) => {
          const terms = measures.map(([lo, more], i) => term(`m${i}`, lo, lo + more));
          const [a, b] = [coord(...terms), coord(...terms.slice(0, shared))];
          expect(offsetTerms(a, a)).to.deep.equal([]);
          const [there, back] = [restOf(offsetTerms(a, b)), restOf(offsetTerms(b, a))];
          expect(there.lo + back.hi).to.be.closeTo(0, 1e-9);
          expect(there.hi + back.lo).to.be.closeTo(0, 1e-9);
        },
      ),
    );
  });
});

/** A box with free ranges on every side. */
const anyBox = (id: string) =>
  fc
    .record({
      x: fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 8 })),
      y: fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 8 })),
      w: fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 8 })),
      size: fc.tuple(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
      ),
    })
    .map(({ x, y, w, size }): Box => {
      const side = ([lo, more]: [number, number], name: string, length: number) => {
        const from = coord(term(`${id} ${name}`, lo, lo + more));
        return [from, beyond(from, term(`${id} ${name} size`, length))] as const;
      };
      return {
        id,
        seat: id,
        kind: 'small',
        what: 'body',
        name: id,
        x: side(x, 'x', size[0]),
        y: side(y, 'y', size[1]),
        w: side(w, 'w', size[2]),
      };
    });

/** Do two boxes overlap once every place is settled at a share of its range? */
function overlaps(a: Box, b: Box, share: Record<string, number>): boolean {
  return axes.every((axis) => {
    const at = (box: Box) => {
      const start = box[axis][0];
      const from = start.lo + (share[`${box.id}${axis}`] ?? 0) * (start.hi - start.lo);
      const size = restOf(offsetTerms(start, box[axis][1])).lo;
      return [from, from + size] as const;
    };
    const [[a0, a1], [b0, b1]] = [at(a), at(b)];
    return a0 < b1 - 1e-9 && b0 < a1 - 1e-9;
  });
}

describe('fit/space, air between two boxes', () => {
  const shares = fc.record(
    Object.fromEntries(
      ['a', 'b'].flatMap((id) =>
        axes.map((axis) => [`${id}${axis}`, fc.double({ min: 0, max: 1, noNaN: true })]),
      ),
    ),
  );
  it('is surely there or surely not in every way the ranges can fall', () => {
    fc.assert(
      fc.property(anyBox('a'), anyBox('b'), shares, (a, b, share) => {
        const { rest } = separation(a, b);
        if (rest.lo >= 0) expect(overlaps(a, b, share)).to.equal(false);
        if (rest.hi < 0) expect(overlaps(a, b, share)).to.equal(true);
      }),
      { numRuns: 2000 },
    );
  });
  it('is the same seen from either, and never called far where it is near', () => {
    fc.assert(
      fc.property(anyBox('a'), anyBox('b'), (a, b) => {
        const [ab, ba] = [separation(a, b), separation(b, a)];
        expect(ab.rest).to.deep.equal(ba.rest);
        expect(restOf(ab.terms)).to.deep.equal(ab.rest);
        if (farApart(a, b, 5)) expect(ab.rest.lo).to.be.at.least(5);
      }),
      { numRuns: 1000 },
    );
  });
});

const dice: Seats = {
  case: {
    class: 'mini tower',
    coolerRoom: 135,
    cardRoom: 255,
    cardHeightRoom: 150,
    innerDepth: 318,
    innerHeight: 230,
    innerWidth: 152,
    bracketDrop: 42,
    supplyAt: 'in front of the board',
    supplyFormat: 'SFX-L',
    mounts: ['bracket 3.5', 'floor 2.5'],
  },
  board: { format: 'Mini-ITX', socket: 'LGA1151', toMemory: 52, toShield: 49, toSlot: 78 },
  processor: { socket: 'LGA1151' },
  cooler: { class: 'tower', height: 124, width: 71, breadth: 112, under: 34 },
  memory1: { memoryForm: 'DIMM', height: 31 },
  card1: { length: 228, height: 111, slotsWide: 2, plugs: ['card8'], plugAt: 'top' },
  drive1: { form: '3.5' },
  supply: { format: 'SFX-L', depth: 130 },
};
const withFacts = (seat: string, facts: Seats[string], without: string[] = []): Seats => ({
  ...Object.fromEntries(Object.entries(dice).filter(([each]) => !without.includes(each))),
  [seat]: { ...dice[seat], ...facts },
});
const marks = (seats: Seats, more = {}) =>
  Object.fromEntries(clashes(planWith(seats, more)).map((each) => [each.id, each.mark]));

describe('fit/space, what meets what', () => {
  it('finds the cooler under a drive on the bracket, with the whole sum', () => {
    const found = the(clashes(planWith(dice)), 'space:cooler:drive1');
    expect(found.mark).to.equal('stop');
    expect(found.margin).to.deep.equal(range(135 - 124 - 42));
    expect(found.say).to.match(/31 mm short toward the lid/);
  });
  it('lets a lower cooler pass under it', () => {
    expect(marks(withFacts('cooler', { height: 60 }))).not.to.have.property(
      'space:cooler:drive1',
      'stop',
    );
  });
  it('pushes the card with the plugs of a deep PSU, and not with those of a short one', () => {
    expect(marks(dice)).to.have.property('space:card1:supply', 'watch');
    expect(marks(withFacts('supply', { format: 'SFX-L', depth: 165 }))).to.have.property(
      'space:card1:supply',
      'stop',
    );
    expect(marks(withFacts('supply', { format: 'SFX', depth: 100 }))).not.to.have.property(
      'space:card1:supply',
    );
  });
  it('leaves the short card alone whatever the PSU does', () => {
    expect(marks(withFacts('card1', { length: 168 }))).not.to.have.property(
      'space:card1:supply',
      'stop',
    );
  });
  it('turns the plugs away when the PSU is turned', () => {
    const before = boxesOf(planWith(dice), ['supply']).find((box) => box.what === 'bend');
    const after = boxesOf(planWith(dice, { applied: [turnSupply()] }), ['supply']).find(
      (box) => box.what === 'bend',
    );
    expect(before?.y[0].lo).to.be.above(100);
    expect(after?.y[1].hi).to.be.below(10);
  });
  it('meets tall RAM under fins that begin low, and frees it two slots further', () => {
    const tall = {
      ...withFacts('memory1', { memoryForm: 'DIMM', height: 55 }, ['drive1']),
      cooler: { class: 'tower', height: 124, width: 130, breadth: 112, under: 20 },
    };
    const found = the(clashes(planWith(tall)), 'space:cooler:memory1');
    expect(found.mark).to.equal('stop');
    const far = found.remedies.find(({ value }) => value.do === 'slotFurther');
    expect(far?.margin?.lo).to.be.above(found.margin?.lo ?? 0);
    expect(marks(tall, { applied: [slotFurther({ seat: 'memory1' })] })).not.to.have.property(
      'space:cooler:memory1',
      'stop',
    );
  });
  it('offers two slots further only where there are two, and only away from the cooler', () => {
    const tall: Seats = {
      ...withFacts('memory1', { memoryForm: 'DIMM', height: 55 }, ['drive1']),
      cooler: { class: 'tower', height: 124, width: 130, breadth: 112, under: 20 },
    };
    const offered = (memorySlots: number) =>
      the(
        clashes(planWith({ ...tall, board: { ...(tall['board'] ?? {}), memorySlots } })),
        'space:cooler:memory1',
      ).remedies.map(({ value }) => value.do);
    expect(offered(2)).to.not.include('slotFurther');
    expect(offered(4)).to.include('slotFurther');
    /* Further from the CPU is nearer to what lies in front. */
    const front = clashes(planWith(tall)).filter(
      ({ seats }) => seats.includes('memory1') && !seats.includes('cooler'),
    );
    expect(front.flatMap(({ remedies }) => remedies.map(({ value }) => value.do))).to.not.include(
      'slotFurther',
    );
  });
  it('lets a cooler of the keep-free square stand beside any memory (95 mm, thermal design guides, from memory)', () => {
    const low = {
      ...withFacts('cooler', { class: 'low', height: 37, width: 95, breadth: 95, under: 10 }, [
        'drive1',
      ]),
      board: { format: 'microATX', socket: 'LGA1151' },
      memory1: { memoryForm: 'DIMM', height: 55 },
    };
    expect(marks(low)['space:cooler:memory1'] ?? 'clear').to.equal('clear');
    expect(marks(low)['space:board:cooler'] ?? 'clear').to.equal('clear');
  });
  it('takes a radiator from the room of the card: 30 and its fans 25', () => {
    const cooled = withFacts('cooler', {}, ['drive1', 'supply']);
    cooled['cooler'] = { class: 'radiator', radiator: '240', wall: 'front', fansOn: 'one side' };
    const found = the(clashes(planWith(cooled)), 'space:card1:cooler');
    expect(found.margin).to.deep.equal(range(255 - 30 - 25 - 228, 255 - 27 - 25 - 228));
    expect(found.mark).to.equal('stop');
  });
  it('judges nothing that hangs where nobody named a place', () => {
    const { mounts: _mounts, ...shell } = dice['case'] as Record<string, number>;
    const plan = planWith({ ...dice, case: shell });
    expect(spaceOf(plan)?.boxes.find((box) => box.seat === 'drive1')?.what).to.equal('guess');
    expect(clashes(plan).filter((each) => each.seats.includes('drive1'))).to.deep.equal([]);
  });
  it('hangs a fan on a mount of its own size only: 40 is not the end of 140', () => {
    const inCase = (size: number, mounts: string[]) =>
      spaceOf(
        planWith({
          case: {
            innerWidth: 180,
            innerHeight: 380,
            innerDepth: 400,
            cardRoom: 300,
            fanMounts: mounts,
          },
          board: { format: 'microATX', width: 243.8, depth: 243.8 },
          fan1: { size, thickness: 10 },
        }),
      )?.boxes.find((box) => box.seat === 'fan1');
    expect(inCase(140, ['rear 140'])?.what).to.equal('body');
    expect(inCase(40, ['rear 140']), 'no mount of its size').to.equal(undefined);
    expect(inCase(40, [])).to.equal(undefined);
    const [rear, front] = [inCase(40, ['rear 40']), inCase(40, ['front 40'])];
    expect(restOf(offsetTerms(origin, rear!.x[1])).hi).to.equal(10);
    expect(restOf(offsetTerms(origin, front!.x[1])).lo).to.equal(400);
    expect(inCase(40, ['rear 40', 'front 40'])?.what, 'either').to.equal('guess');
  });
  it('has no space without a case', () => {
    expect(spaceOf(planWith({ board: {} }))).to.equal(undefined);
    expect(clashes(planWith({ board: {} }))).to.deep.equal([]);
    expect(spaceOf(planWith({ case: {} }))?.boxes).to.deep.equal([]);
  });
  it('starts every card at the rear wall: its length counts from there', () => {
    const [box] = boxesOf(planWith(dice), ['card1']);
    expect(box?.x[0]).to.deep.equal(origin);
    expect(box?.x[1].lo).to.equal(228);
  });
});

describe('fit/space, where drives hang', () => {
  const plan = (mounts: string[], drives: string[], applied: RemedyValue[] = []) =>
    planWith(
      {
        case: { mounts },
        ...Object.fromEntries(drives.map((form, i) => [`drive${i + 1}`, { form }])),
      },
      { applied },
    );
  const places = (...args: Parameters<typeof plan>) =>
    Object.fromEntries([...drivePlaces(plan(...args))].map(([seat, mount]) => [seat, mount.at]));

  it('gives each a mount of its form, and the bracket last', () => {
    expect(places(['bracket 3.5', 'cage 3.5', 'cage 3.5'], ['3.5', '3.5', '3.5'])).to.deep.equal({
      drive1: 'cage',
      drive2: 'cage',
      drive3: 'bracket',
    });
  });
  it('puts a small drive on a large mount when no small one is left', () => {
    expect(places(['floor 2.5', 'cage 3.5'], ['2.5', '2.5'])).to.deep.equal({
      drive1: 'floor',
      drive2: 'cage',
    });
    expect(places(['floor 2.5'], ['3.5'])).to.deep.equal({});
  });
  it('hangs a drive where it was told to, and loses the cage with the cage', () => {
    const mounts = ['cage 3.5', 'floor 3.5'];
    expect(places(mounts, ['3.5'], [moveDrive({ seat: 'drive1', to: 'floor' })])).to.deep.equal({
      drive1: 'floor',
    });
    expect(places(mounts, ['3.5'], [cageOut()])).to.deep.equal({ drive1: 'floor' });
    expect(places(['cage 3.5'], ['3.5'], [cageOut()])).to.deep.equal({});
  });
  it('names the other places once each', () => {
    const all = plan(['cage 3.5', 'cage 3.5', 'floor 3.5', 'front 2.5'], ['3.5']);
    const drive = all.seats.find((placed) => placed.seat === 'drive1');
    expect(drive && otherPlaces(all, drive)).to.deep.equal(['floor']);
    expect(partOfKind(all, 'case')?.seat).to.equal('case');
  });
});
