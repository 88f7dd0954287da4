import { expect } from 'chai';
import fc from 'fast-check';
import {
  centreDistance,
  distance,
  drillToleranceMm,
  fitPlacement,
  fromDistances,
  HolesError,
  placed,
  registerAll,
  registerOn,
  standardPatterns,
  trayMatch,
  identifyBoard,
  type Candidate,
  type Pattern,
  type Point,
} from '../../../src/core/fit/holes/index.ts';
import { chiSquareLimit } from '../../../src/core/fit/holes/chiSquare.ts';
import { holes, type HoleName } from '../../../src/core/standards/boards.ts';
import { random, simulated } from '../../helpers/boards.ts';

const pattern = (name: string): Pattern => {
  const found = standardPatterns.find((each) => each.name === name);
  if (!found) throw new Error(name);
  return found;
};
const at = (...names: HoleName[]): Point[] => names.map((name) => holes[name]);
const turned = (points: Point[], turn: number, mirrored = false): Point[] =>
  points.map((point) => placed({ mirrored, turn, shift: { x: 40, y: -75 } }, point));
const patternNames = (candidates: readonly Candidate[]) =>
  candidates.map((each) => each.pattern.name).sort();

describe('fit/holes, one pattern', () => {
  it('finds every pattern from all its holes, in any order, turn and side up', () => {
    const next = random(7);
    for (const each of standardPatterns) {
      for (let i = 0; i < 20; i += 1) {
        const shuffled = [...each.holes].sort(() => next() - 0.5);
        const points = turned(shuffled, next() * 7, next() < 0.5);
        const candidate = registerOn(each, { points, accuracyMm: 0.3 });
        expect(candidate?.missing, each.name).to.deep.equal([]);
        expect(candidate?.rmsMm).to.be.below(1e-6);
        expect(candidate?.pairs.map((pair) => pair.hole)).to.deep.equal(
          shuffled.map((hole) => hole.name),
        );
      }
    }
  });

  it('names each hole right, whatever the noise of a caliper', () => {
    const next = random(11);
    let right = 0;
    let holesSeen = 0;
    for (let i = 0; i < 200; i += 1) {
      const board = simulated(next, 0.3, 5);
      const candidate = registerOn(board.pattern, { points: board.points, accuracyMm: 0.3 });
      const matched =
        candidate?.pairs.filter((pair) => board.holes[pair.measured] === pair.hole).length ?? 0;
      right += matched;
      holesSeen += board.holes.length;
    }
    expect(right / holesSeen).to.be.above(0.97);
  });

  it('finds the holes of the pattern among others, and says which are extra', () => {
    const points = turned([...at('C', 'F', 'H', 'J', 'L'), { x: 100, y: 220 }], 1.1, true);
    const candidate = registerOn(pattern('microATX'), { points, accuracyMm: 0.3 });
    expect(candidate?.extra).to.deep.equal([5]);
    expect(candidate?.missing.sort()).to.deep.equal(['B', 'M', 'R', 'S']);
  });

  it('gives the residual of one hole that is off', () => {
    const points = at('C', 'F', 'H', 'J', 'L', 'M');
    const off = points.map((point, i) => (i === 0 ? { x: point.x + 0.9, y: point.y } : point));
    const candidate = registerOn(pattern('microATX'), { points: off, accuracyMm: 0.3 });
    expect(candidate?.worstMm).to.be.within(0.3, 0.9);
    expect(candidate?.pairs[0]?.dx).to.be.above(0.3);
  });
});

describe('fit/holes, whose board', () => {
  it('cannot tell from the four holes all patterns share, and asks what would', () => {
    const answer = identifyBoard({ points: turned(at('C', 'F', 'H', 'J'), 0.4), accuracyMm: 0.3 });
    expect(answer.verdict).to.equal('cannot tell');
    expect(patternNames(answer.candidates)).to.deep.equal(
      ['ATX', 'DTX', 'FlexATX', 'Mini-ITX', 'microATX'].sort(),
    );
    expect(answer.ask.map((ask) => ask.kind)).to.deep.equal(['hole', 'all', 'outline']);
  });
  it('is Mini-ITX when those four are all', () => {
    const answer = identifyBoard({ points: at('C', 'F', 'H', 'J'), accuracyMm: 0.3, all: true });
    expect(answer.verdict).to.equal('is');
    expect(answer.candidates[0]?.pattern.name).to.equal('Mini-ITX');
  });
  it('formats of the same holes are told apart by the outline alone', () => {
    const points = at('C', 'F', 'H', 'J');
    const named = (widthMm: number, depthMm: number) =>
      identifyBoard({ points, accuracyMm: 0.3, all: true, outline: { widthMm, depthMm } });
    expect(named(203, 170).candidates[0]?.pattern.name).to.equal('Mini-DTX');
    expect(named(170, 170).candidates[0]?.pattern.name).to.equal('Mini-ITX');
    const unsaid = identifyBoard({ points, accuracyMm: 0.3, all: true });
    expect(unsaid.say).to.contain('Mini-DTX has the same holes');
    expect(unsaid.ask.map((ask) => ask.kind)).to.deep.equal(['outline']);
    const nine = at('A', 'C', 'F', 'G', 'H', 'J', 'K', 'L', 'M');
    const large = identifyBoard({
      points: nine,
      accuracyMm: 0.3,
      all: true,
      outline: { widthMm: 305, depthMm: 330 },
    });
    expect(large.candidates[0]?.pattern.name).to.equal('E-ATX');
  });
  /* Figures rougher than was said: what is left over tells the noise, so that a good board is not called nobody's. */
  it('names boards measured with 0.5 mm told as 0.3, and says how far the figures are off', () => {
    const next = random(23);
    let named = 0;
    let told = 0;
    for (let i = 0; i < 60; i += 1) {
      const board = simulated(next, 0.5, 6);
      const answer = identifyBoard({ points: board.points, accuracyMm: 0.3 });
      if (answer.candidates.some((each) => each.pattern === board.pattern)) named += 1;
      if (answer.say.includes('more than the 0.3 said')) told += 1;
    }
    expect(named).to.be.at.least(57);
    expect(told).to.be.within(10, 50);
  });
  it('does not take one hole elsewhere for noise', () => {
    const points = at('C', 'F', 'H', 'J', 'L', 'M');
    const off = points.map((point, i) => (i === 0 ? { x: point.x + 9, y: point.y } : point));
    expect(identifyBoard({ points: off, accuracyMm: 0.3 }).verdict).to.not.equal('is');
  });
  it('is told apart by the outline', () => {
    const outline = { widthMm: 244, depthMm: 243.5 };
    const answer = identifyBoard({ points: at('C', 'F', 'H', 'J'), accuracyMm: 0.3, outline });
    expect(patternNames(answer.candidates)).to.deep.equal(['microATX']);
  });
  it('asks for the hole that parts most, and the answer does part them', () => {
    const points = at('C', 'F', 'H', 'J');
    const answer = identifyBoard({ points, accuracyMm: 0.3 });
    const ask = answer.ask[0];
    if (ask?.kind !== 'hole') throw new Error('no hole asked');
    expect(ask.yes.length).to.be.above(0);
    expect(ask.no.length).to.be.above(0);
    const yes = identifyBoard({ points: [...points, { x: ask.x, y: ask.y }], accuracyMm: 0.3 });
    expect(patternNames(yes.candidates)).to.deep.equal([...ask.yes].sort());
  });
  it('tells ATX by a hole only it has', () => {
    const answer = identifyBoard({
      points: turned(at('C', 'F', 'H', 'J', 'K'), 3, true),
      accuracyMm: 0.3,
    });
    expect(answer.verdict).to.equal('is');
    expect(answer.candidates[0]?.pattern.name).to.equal('ATX');
  });
  it('is nearly microATX when one hole lies elsewhere', () => {
    const points = [...at('C', 'F', 'H', 'J', 'L', 'M'), { x: 120, y: 100 }];
    const answer = identifyBoard({ points, accuracyMm: 0.3, all: true });
    expect(answer.verdict).to.equal('nearly');
    expect(answer.say).to.contain('hole 7');
    expect(answer.candidates[0]?.extra).to.deep.equal([6]);
  });
  it('names holes as not there only when all were measured', () => {
    const points = [...at('C', 'F', 'H', 'J', 'L', 'M'), { x: 120, y: 100 }];
    const said = (all: boolean | undefined) => identifyBoard({ points, accuracyMm: 0.3, all }).say;
    expect(said(undefined)).to.contain('hole 7').and.not.contain('are not there');
    const five = [...at('C', 'F', 'H', 'J', 'S'), { x: 120, y: 100 }];
    expect(identifyBoard({ points: five, accuracyMm: 0.3, all: true }).say).to.contain(
      'are not there',
    );
  });
  it("knows no board of its maker's own", () => {
    const points = [
      { x: 0, y: 0 },
      { x: 121, y: 3 },
      { x: 118, y: 97 },
      { x: 7, y: 88 },
    ];
    expect(identifyBoard({ points, accuracyMm: 0.3 }).verdict).to.equal('none');
  });
  it('takes a pattern the shop measured before', () => {
    const own: Pattern = {
      name: 'Desk 40',
      holes: [
        { name: '1', x: 0, y: 0 },
        { name: '2', x: 121, y: 3 },
        { name: '3', x: 118, y: 97 },
        { name: '4', x: 7, y: 88 },
      ],
    };
    const points = turned([...own.holes], 2.2, true);
    const answer = identifyBoard({ points, accuracyMm: 0.3 }, [...standardPatterns, own]);
    expect(answer.candidates.map((each) => each.pattern.name)).to.deep.equal(['Desk 40']);
  });
  it('does not depend on where the origin is, which way it lies or which side is up', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -7, max: 7, noNaN: true }),
        fc.boolean(),
        fc.integer({ min: 1, max: 1000 }),
        (turn, mirrored, seed) => {
          const board = simulated(random(seed), 0.1);
          const first = identifyBoard({ points: board.points, accuracyMm: 0.3 });
          const second = identifyBoard({
            points: turned(board.points, turn, mirrored),
            accuracyMm: 0.3,
          });
          expect(second.verdict).to.equal(first.verdict);
          expect(patternNames(second.candidates)).to.deep.equal(patternNames(first.candidates));
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('fit/holes, what is refused', () => {
  const three = at('C', 'F', 'J');
  const cases: [string, Point[], number, RegExp][] = [
    ['two holes', at('C', 'F'), 0.3, /Three holes at least/],
    ['holes on one line', [0, 40, 90, 150].map((x) => ({ x, y: x * 0.5 })), 0.3, /on one line/],
    ['one hole twice', [...three, holes.C], 0.3, /1 and 4 are the same place/],
    ['a hole with no place', [...three, { x: NaN, y: 3 }], 0.3, /Hole 4 has no place/],
    ['a hole a metre away', [...three, { x: 1200, y: 3 }], 0.3, /more than a metre/],
    ['no accuracy', three, 0, /accuracy/],
    [
      'thirty holes',
      Array.from({ length: 30 }, (_, i) => ({ x: i * 9, y: (i % 5) * 30 })),
      0.3,
      /More than 24/,
    ],
  ];
  for (const [what, points, accuracyMm, message] of cases) {
    it(what, () => {
      expect(() => registerAll({ points, accuracyMm })).to.throw(HolesError, message);
    });
  }
});

describe('fit/holes, distances from a caliper', () => {
  const pairsOf = (points: Point[]) =>
    points.flatMap((a, i) =>
      points.flatMap((b, k) =>
        k > i
          ? [
              {
                a: i + 1,
                b: k + 1,
                insideMm: distance(a, b) - 3.9,
                outsideMm: distance(a, b) + 3.9,
              },
            ]
          : [],
      ),
    );
  it('takes the mean of inside and outside for the centre distance, whatever the hole', () => {
    expect(centreDistance({ a: 1, b: 2, insideMm: 120, outsideMm: 128 })).to.equal(124);
    expect(centreDistance({ a: 1, b: 2, insideMm: 120, diameterMm: 4 })).to.equal(124);
    expect(centreDistance({ a: 1, b: 2, outsideMm: 128, diameterMm: 4 })).to.equal(124);
    expect(() => centreDistance({ a: 1, b: 2, insideMm: 128, outsideMm: 120 })).to.throw(
      HolesError,
      /not more/,
    );
    expect(() => centreDistance({ a: 1, b: 2 })).to.throw(HolesError, /Nothing measured/);
  });
  it('finds the board from distances alone', () => {
    const points = at('F', 'C', 'J', 'H', 'K', 'L');
    const found = fromDistances(6, pairsOf(points));
    const answer = identifyBoard({ points: found, accuracyMm: 0.3 });
    expect(answer.candidates.map((each) => each.pattern.name)).to.deep.equal(['ATX']);
  });
  it('names three distances that contradict each other, and by how much', () => {
    const pairs = pairsOf(at('F', 'C', 'J', 'H')).map((pair) =>
      pair.a === 1 && pair.b === 3 ? { ...pair, insideMm: 400, outsideMm: 408 } : pair,
    );
    expect(() => fromDistances(4, pairs)).to.throw(
      HolesError,
      /1, 2 and 3 contradict each other by \d+\.\d mm/,
    );
  });
  it('names the distance that is off against the others', () => {
    const pairs = pairsOf(at('F', 'C', 'J', 'H')).map((pair) =>
      pair.a === 3 && pair.b === 4 ? { ...pair, insideMm: 100, outsideMm: 108 } : pair,
    );
    expect(() => fromDistances(4, pairs)).to.throw(HolesError, /holes 3 and 4 is off by/);
  });
  it('says which distance is missing', () => {
    const pairs = pairsOf(at('F', 'C', 'J', 'H')).filter((pair) => !(pair.a === 2 && pair.b === 4));
    expect(() => fromDistances(4, pairs)).to.throw(HolesError, /Measure between holes 2 and 4/);
  });
});

describe('fit/holes, over this tray', () => {
  const outline = { widthMm: 243.84, depthMm: 243.84 };
  const match = (board: HoleName[], standoffs: HoleName[]) => {
    const points = turned(at(...board), 0.7, true);
    const candidate = registerOn(pattern('microATX'), { points, accuracyMm: 0.3 });
    if (!candidate) throw new Error('no candidate');
    return trayMatch(candidate, points, standoffs, outline);
  };
  it('tells standoffs that serve from those that short', () => {
    const tray = match(
      ['C', 'F', 'H', 'J', 'L', 'M'],
      ['B', 'C', 'F', 'H', 'J', 'L', 'M', 'R', 'S'],
    );
    expect(tray.used.sort()).to.deep.equal(['C', 'F', 'H', 'J', 'L', 'M']);
    expect(tray.touching.sort()).to.deep.equal(['B', 'R', 'S']);
    expect(tray.unsupported).to.deep.equal([]);
  });
  it("says where to drill, in the board's own frame", () => {
    const tray = match(['C', 'F', 'H', 'J', 'L', 'M'], ['C', 'F', 'H', 'J']);
    expect(tray.unsupported.map((hole) => hole.name).sort()).to.deep.equal(['L', 'M']);
    const l = tray.unsupported.find((hole) => hole.name === 'L');
    expect(distance(l as Point, holes.L)).to.be.below(1e-6);
    expect(tray.toleranceMm).to.be.closeTo((3.96 - 3.505) / 2, 1e-9);
    expect(drillToleranceMm()).to.equal(tray.toleranceMm);
  });
  it('leaves standoffs outside the outline alone', () => {
    expect(
      match(['C', 'F', 'H', 'J', 'L'], ['C', 'F', 'H', 'J', 'L', 'A', 'K']).touching,
    ).to.deep.equal([]);
  });
  it('measures how far each corner stands free', () => {
    const tray = match(['C', 'F', 'H', 'J', 'L', 'M'], ['C', 'F', 'H', 'J', 'L', 'M']);
    const front = tray.corners.find((corner) => corner.corner === 'front, port end');
    expect(front?.freeMm).to.be.closeTo(Math.hypot(6.35, 6.35), 0.01);
  });
});

describe('fit/holes, placement', () => {
  it('brings points back exactly, turned and mirrored', () => {
    const coordinate = fc.double({ min: -300, max: 300, noNaN: true });
    const points = fc.array(fc.record({ x: coordinate, y: coordinate }), {
      minLength: 3,
      maxLength: 9,
    });
    fc.assert(
      fc.property(
        points,
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.boolean(),
        (from, turn, mirrored) => {
          const to = turned(from, turn, mirrored);
          const placement = fitPlacement(from, to, mirrored);
          from.forEach((point, i) =>
            expect(distance(placed(placement, point), to[i] as Point)).to.be.below(1e-6),
          );
        },
      ),
    );
  });
  /* Quantiles of chi-square at 0.999: any statistics table. */
  it('gives the chi-square limits of the tables', () => {
    for (const [degrees, limit] of [
      [3, 16.27],
      [5, 20.52],
      [9, 27.88],
      [15, 37.7],
    ] as const) {
      expect(chiSquareLimit(degrees)).to.be.closeTo(limit, limit * 0.02);
    }
    expect(chiSquareLimit(0)).to.equal(0);
  });
});
