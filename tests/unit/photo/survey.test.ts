import { expect } from 'chai';
import { project } from '../../../src/core/photo/camera.ts';
import {
  cards,
  codesOf,
  matScale,
  placeOfCode,
  ruleFault,
  squaresOf,
  matPapers,
  CODE_MM,
} from '../../../src/core/photo/mat.ts';
import { finenessOf, flattened } from '../../../src/core/photo/flatten.ts';
import { sample } from '../../../src/core/photo/picture.ts';
import { advice } from '../../../src/core/photo/advice.ts';
import { edgeAt, holeAt, rectangleAt } from '../../../src/core/photo/measure.ts';
import { between, type MeasuredHole } from '../../../src/core/photo/measured.ts';
import { readCard, readShot, type Shot } from '../../../src/core/photo/shot.ts';
import {
  accuracyAt,
  planeOf,
  surveyOf,
  within95,
  type Survey,
} from '../../../src/core/photo/survey.ts';
import { pixelMm } from '../../../src/core/photo/plane.ts';
import type { Pixels } from '../../../src/core/photo/picture.ts';
import {
  onMat,
  pixelOf,
  randomScene,
  rendered,
  seeded,
  type Scene,
} from '../../helpers/rendered.ts';

const RULES = { across: 120, down: 200 };
const shotOf = (pixels: Pixels): Shot => {
  const read = readShot(pixels);
  if ('fault' in read) throw new Error(read.fault);
  return read.shot;
};
const joined = (shots: Shot[], rules: Parameters<typeof surveyOf>[1] = RULES): Survey => {
  const found = surveyOf(shots, rules);
  if ('fault' in found) throw new Error(found.fault);
  return found.survey;
};
const faultOf = (read: { fault: string } | object): string => ('fault' in read ? read.fault : '');

/** One board photographed from two sides: drawn once, for all tests. */
const SIZE = 1400;
const base = randomScene(26, SIZE);
const scene: Scene = {
  ...base,
  blur: 0.8,
  noise: 1.5,
  fall: 0.3,
  eye: [150, 210, 330],
  target: [105, 148],
  roll: 0.05,
  plate: {
    ...base.plate!,
    top: 11.6,
    thick: 1.6,
    face: 0.2,
    wall: 0.42,
    shadow: false,
    x: 105,
    y: 148,
  },
};
const other: Scene = { ...scene, eye: [30, 90, 300], roll: -0.1, seed: 4 };
const plate = scene.plate!;
const height = { mm: 11.6, off: 0.15 };
let pixels: Pixels;
let survey: Survey;
let two: Survey;

describe('photo, a board on its mat', function () {
  this.timeout(120_000);
  before(() => {
    pixels = rendered(scene);
    const first = shotOf(pixels);
    survey = joined([first]);
    two = joined([first, shotOf(rendered(other))]);
  });
  const truthOf = (hole: { x: number; y: number }) => onMat(plate, hole);

  it('finds every hole within 0.2 mm, its diameter within 0.3', () => {
    for (const hole of plate.holes) {
      const truth = truthOf(hole);
      const found = holeAt(survey, 0, { x: truth.x + 0.5, y: truth.y - 0.6 }, height)!;
      expect(Math.hypot(found.x - truth.x, found.y - truth.y)).to.be.below(0.2);
      expect(found.mm).to.be.closeTo(2 * hole.r, 0.3);
      expect(found.within).to.be.within(0.03, 0.4);
    }
  });
  it('says of the same hole what two pictures say together, and is surer', () => {
    const [hole] = plate.holes;
    const truth = truthOf(hole!);
    const loose = { mm: 10, off: 2 };
    const one = holeAt(survey, 0, truth, loose)!;
    const both = holeAt(two, 0, truth, loose)!;
    expect([one.shots, both.shots]).to.deep.equal([1, 2]);
    /* 1.6 mm too low by what was told: one picture alone is off, two see it from both sides. */
    const off = (at: MeasuredHole) => Math.hypot(at.x - truth.x, at.y - truth.y);
    expect(off(both)).to.be.below(0.25);
    expect(off(one)).to.be.above(off(both));
    expect(off(one)).to.be.below(one.within);
    expect(both.within).to.be.below(one.within * 0.5);
  });
  it('finds edges and openings by their upper rim', () => {
    const [c, s] = [Math.cos(plate.turned), Math.sin(plate.turned)];
    for (const [x, y, nx, ny] of [
      [plate.halfX, 40, c, s],
      [10, plate.halfY, -s, c],
      [-10, -plate.halfY, -s, c],
    ] as const) {
      const truth = truthOf({ x, y });
      const edge = edgeAt(survey, 0, truth, height)!;
      expect(Math.abs((edge.x - truth.x) * nx + (edge.y - truth.y) * ny)).to.be.below(0.25);
      expect(edge.within).to.be.within(0.05, 0.8);
    }
    const [opening] = plate.openings;
    const middle = truthOf({
      x: (opening!.x0 + opening!.x1) / 2,
      y: (opening!.y0 + opening!.y1) / 2,
    });
    const found = rectangleAt(survey, 0, middle, height)!;
    expect(found.width).to.be.closeTo(opening!.x1 - opening!.x0, 0.35);
    expect(found.height).to.be.closeTo(opening!.y1 - opening!.y0, 0.35);
    expect(found.turned).to.be.closeTo((plate.turned * 180) / Math.PI, 0.4);
  });
  it('an opening seen from aside ends at its upper rim, tapped off its middle', () => {
    /* Where the rim below shows within a millimetre of the upper one. */
    let sides = 0;
    for (const seed of [1026, 1059]) {
      const aside = randomScene(seed, SIZE);
      const own = aside.plate!;
      const seen = joined([shotOf(rendered(aside))]);
      for (const { x0, x1, y0, y1 } of own.openings) {
        const tap = onMat(own, { x: x0 + (x1 - x0) * 0.35, y: y0 + (y1 - y0) * 0.65 });
        const found = rectangleAt(seen, 0, tap, { mm: own.top, off: 0.15 })!;
        const [long, short] = [x1 - x0, y1 - y0].sort((one, two) => two - one);
        for (const [side, truth] of [
          [Math.max(found.width, found.height), long],
          [Math.min(found.width, found.height), short],
        ] as const) {
          expect(Math.abs(side - truth!)).to.be.below(Math.min(0.6, found.within), String(seed));
          sides += 1;
        }
      }
    }
    expect(sides).to.equal(8);
  });
  it('finds no hole where there is none', () => {
    for (const at of [
      { x: 0, y: 0 },
      { x: 20, y: 30 },
      { x: -40, y: 30 },
      { x: -30, y: 20.5 },
      { x: plate.halfX, y: 5 },
      { x: 30, y: -20 },
    ])
      expect(holeAt(survey, 0, truthOf(at), height)).to.equal(undefined);
  });
  it('from hole to hole, from hole to edge: figures with their accuracy', () => {
    const [a, b] = plate.holes.map((hole) => holeAt(survey, 0, truthOf(hole), height)!);
    const [p, q] = plate.holes;
    const apart = between(a!, b!)!;
    expect(apart.mm).to.be.closeTo(Math.hypot(p!.x - q!.x, p!.y - q!.y), 0.25);
    expect(apart.within).to.be.closeTo(Math.hypot(a!.within, b!.within), 1e-9);
    const edge = edgeAt(survey, 0, truthOf({ x: plate.halfX, y: q!.y }), height)!;
    const gap = plate.halfX - q!.x;
    expect(between(b!, edge)!.mm).to.be.closeTo(gap, 0.3);
    expect(between(edge, b!)!.mm).to.equal(between(b!, edge)!.mm);
    const right = edgeAt(survey, 0, truthOf({ x: 10, y: plate.halfY }), height)!;
    expect(between(edge, right)).to.equal(undefined);
  });
  it('laid flat, a hole lies where it was measured and the picture is as fine as its pixels', () => {
    const view = survey.solution.views[0]!;
    const fine = finenessOf(survey.box, pixelMm(planeOf(survey, 0, height), { x: 105, y: 148 }));
    const flat = flattened(pixels, view, height.mm, survey.box, fine);
    expect(flat.width).to.equal(Math.round((survey.box.x1 - survey.box.x0) * fine));
    const hole = plate.holes.find(({ r }) => r > 2)!;
    const truth = truthOf(hole);
    const grey = (x: number, y: number) => {
      const i =
        Math.floor((y - survey.box.y0) * fine) * flat.width +
        Math.floor((x - survey.box.x0) * fine);
      return flat.data[i * 4]!;
    };
    const pixel = project(view.lens, view.turn, view.pose, { ...truth, z: height.mm })!;
    const seen = sample(survey.shots[0]!.light, pixel.u, pixel.v);
    const back = ((grey(truth.x, truth.y) / 255 + 0.055) / 1.055) ** 2.4;
    expect(back).to.be.closeTo(seen, 0.08);
    expect(Math.abs(grey(truth.x, truth.y) - grey(truth.x + hole.r + 3, truth.y))).to.be.above(15);
  });
  it('a mat printed at 97 % is put right by its rule; unmeasured, it says so and how far it may be off', () => {
    const small = shotOf(rendered({ ...scene, printed: [0.97, 0.97] }));
    const [p, q] = [truthOf(plate.holes[0]!), truthOf(plate.holes[3]!)];
    const far = (of: Survey, by: number) => {
      const near = (at: { x: number; y: number }) =>
        holeAt(of, 0, { x: at.x / by, y: at.y / by }, height)!;
      return between(near(p), near(q))!;
    };
    const truth = Math.hypot(p.x - q.x, p.y - q.y);
    const known = joined([small], { across: 116.4, down: 194 });
    expect(far(known, 1).mm).to.be.closeTo(truth, 0.25);
    expect(far(known, 1).within).to.be.below(0.6);
    const unknown = joined([small], {});
    expect(far(unknown, 0.97).mm).to.be.closeTo(truth / 0.97, 1);
    expect(far(unknown, 0.97).within).to.be.above(2);
    expect(advice(unknown, height)[0]).to.match(/type what they/);
    expect(advice(known, height).join()).not.to.match(/type what they/);
  });
  it('rules read with a caliper leave less open than with a ruler, which is what is taken where nobody said', () => {
    const shot = shotOf(pixels);
    const by = (tool?: 'ruler' | 'caliper') =>
      joined([shot], { across: 120, down: 200, with: tool });
    const sure = { mm: height.mm, off: 0.02 };
    const off = (of: Survey) => accuracyAt(of, 0, { x: 160, y: 240 }, sure);
    expect(off(by())).to.equal(off(by('ruler')));
    expect(off(by('caliper'))).to.be.below(0.85 * off(by()));
    expect(off(by('caliper'))).to.be.above(1.96 * Math.hypot(55 / 120, 92 / 200) * 0.03);
    expect(advice(by(), sure).join()).to.match(/caliper/);
    expect(advice(by('caliper'), sure).join()).not.to.match(/caliper/);
  });
  it('a rule read wrong in one direction is not believed whole: the picture tells the two from each other', () => {
    const shot = shotOf(pixels);
    const holes = plate.holes.map(truthOf).sort((a, b) => a.x - b.x);
    const [p, q] = [holes[0]!, holes.at(-1)!];
    const truth = Math.hypot(p.x - q.x, p.y - q.y);
    const from = (across: number) => {
      const of = joined([shot], { across, down: 200 });
      const near = (at: { x: number; y: number }) =>
        holeAt(of, 0, { x: (at.x * across) / 120, y: at.y }, height)!;
      const { mm, within } = between(near(p), near(q))!;
      expect(Math.abs(mm - truth), String(across)).to.be.below(within);
      return mm;
    };
    for (const by of [0.4, -0.4]) {
      /* What the rule alone would make of it. */
      const believed = Math.hypot((p.x - q.x) * (1 + by / 120), p.y - q.y) - truth;
      const told = from(120 + by) - from(120);
      expect(told / believed).to.be.within(0.3, 0.8);
    }
  });
  it('accuracy is worse where the height is not known, worse still from aside; and it says what would better it', () => {
    const at = { x: 40, y: 60 };
    const sure = accuracyAt(survey, 0, at, { mm: 11.6, off: 0.05 });
    const loose = accuracyAt(survey, 0, at, { mm: 11.6, off: 2 });
    expect(loose).to.be.above(sure * 2);
    expect(advice(survey, { mm: 11.6, off: 3 }).join()).to.match(/above|high/);
  });
  it('a bank card beside it will do, worse by much', () => {
    /* The plate itself is taken for a card of its own size: its corners tapped anyhow. */
    const size = { width: 2 * plate.halfX, height: 2 * plate.halfY };
    const taps = [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([a, b]) => {
      const at = truthOf({ x: a! * plate.halfX, y: b! * plate.halfY });
      const { u, v } = pixelOf(scene, at.x, at.y, plate.top);
      return { u: u + a! * 1.5, v: v - b! };
    });
    for (const order of [taps, [...taps].reverse()]) {
      const read = readCard(pixels, order, size);
      const card = joined([('shot' in read && read.shot) as Shot], {});
      const found = plate.holes.slice(0, 2).map((hole) => {
        const { u, v } = pixelOf(scene, truthOf(hole).x, truthOf(hole).y, plate.top);
        const view = card.solution.views[0]!;
        /* Where the card's own plane shows it. */
        let best = { x: 0, y: 0, far: Infinity };
        for (let x = 0; x < size.width; x += 1)
          for (let y = 0; y < size.height; y += 1) {
            const p = project(view.lens, view.turn, view.pose, { x, y, z: 0 })!;
            const far = Math.hypot(p.u - u, p.v - v);
            if (far < best.far) best = { x, y, far };
          }
        return holeAt(card, 0, best, { mm: 0, off: 0.1 })!;
      });
      const [p, q] = plate.holes;
      const apart = between(found[0]!, found[1]!)!;
      expect(apart.mm).to.be.closeTo(Math.hypot(p!.x - q!.x, p!.y - q!.y), 0.8);
      expect(Math.abs(apart.mm - Math.hypot(p!.x - q!.x, p!.y - q!.y))).to.be.below(
        apart.within * 1.3,
      );
    }
    expect(cards['bank card']).to.deep.equal({ width: 85.6, height: 53.98 });
    expect(faultOf(readCard(pixels, taps.slice(1), size))).to.match(/four corners/);
  });
});

describe('photo, pictures that cannot be measured', function () {
  this.timeout(60_000);
  const bare: Scene = {
    ...scene,
    width: 750,
    height: 1000,
    f: scene.f * (1000 / SIZE),
    cx: 374.5,
    cy: 499.5,
  };
  delete bare.plate;
  const plain = () => rendered(bare);
  const mirrored = (p: Pixels): Pixels => {
    const data = new Uint8ClampedArray(p.data.length);
    for (let y = 0; y < p.height; y += 1)
      for (let x = 0; x < p.width; x += 1)
        for (let c = 0; c < 4; c += 1)
          data[(y * p.width + x) * 4 + c] = p.data[(y * p.width + p.width - 1 - x) * 4 + c]!;
    return { ...p, data };
  };
  it('a bare mat is read, and where it lies', () => {
    const read = readShot(plain());
    expect('shot' in read && read.shot.on).to.deep.equal({ paper: 'A4' });
    expect('shot' in read && read.shot.seen.length).to.equal(codesOf('A4').length);
  });
  it('a mirrored one is told, a blurred one, one without codes', () => {
    expect(faultOf(readShot(mirrored(plain())))).to.match(/mirrored/);
    expect(faultOf(readShot(rendered({ ...bare, blur: 5 })))).to.match(/blurred|No code/);
    const grey = { width: 300, height: 200, data: new Uint8ClampedArray(240_000).fill(128) };
    expect(faultOf(readShot(grey))).to.match(/No code/);
    const dots = new Uint8ClampedArray(240_000);
    const roll = seeded(9);
    for (let i = 0; i < dots.length; i += 1) dots[i] = roll.even(0, 255);
    expect(faultOf(readShot({ ...grey, data: dots }))).to.match(/No code/);
  });
  it('a code the search comes upon twice is one code, not two mats', () => {
    const twice = readShot(rendered(randomScene(3, SIZE)));
    expect(faultOf(twice)).to.equal('');
    const ids = 'shot' in twice ? twice.shot.seen.map(({ id }) => id) : [];
    expect(ids.length).to.be.greaterThan(9);
    expect(new Set(ids).size).to.equal(ids.length);
  });
  it('two mats side by side are told, and codes cut off leave too few', () => {
    const one = plain();
    const data = new Uint8ClampedArray(one.width * 2 * one.height * 4);
    for (let y = 0; y < one.height; y += 1)
      for (const half of [0, 1])
        data.set(
          one.data.subarray(y * one.width * 4, (y + 1) * one.width * 4),
          (y * one.width * 2 + half * one.width) * 4,
        );
    expect(faultOf(readShot({ width: one.width * 2, height: one.height, data }))).to.match(
      /Two mats/,
    );
    const few = { ...one, data: one.data.slice() };
    const keep = codesOf('A4')
      .slice(0, 2)
      .map(({ x, y }) => pixelOf(bare, x + CODE_MM / 2, y + CODE_MM / 2, 0));
    for (let y = 0; y < one.height; y += 1)
      for (let x = 0; x < one.width; x += 1)
        if (!keep.some(({ u, v }) => Math.hypot(x - u, y - v) < 62))
          few.data.fill(200, (y * one.width + x) * 4, (y * one.width + x) * 4 + 3);
    expect(faultOf(readShot(few))).to.match(/Only 2 whole codes|Only 1 whole code/);
  });
  it('pictures of two mats are not joined, none is none', () => {
    const shot = shotOf(plain());
    expect(faultOf(surveyOf([], {}))).to.match(/No picture/);
    const a3: Shot = { ...shot, on: { paper: 'A3' } };
    expect(faultOf(surveyOf([shot, a3], {}))).to.match(/different mats/);
  });
});

describe('photo/mat', () => {
  it('codes lie on their paper, apart from each other by white, each told from all others', () => {
    const ids = new Set<number>();
    for (const paper of ['A4', 'Letter', 'A3'] as const) {
      const { width, height: high } = matPapers[paper];
      const codes = codesOf(paper);
      expect(codes.length).to.be.at.least(16);
      codes.forEach((a, i) => {
        expect(ids.has(a.id)).to.equal(false);
        ids.add(a.id);
        expect(a.x).to.be.at.least(10);
        expect(a.y).to.be.at.least(10);
        expect(width - a.x - CODE_MM).to.be.at.least(10);
        expect(high - a.y - CODE_MM).to.be.at.least(10);
        for (const b of codes.slice(i + 1))
          expect(Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).to.be.at.least(CODE_MM + 4);
        expect(placeOfCode(a.id)).to.deep.equal({ paper, code: a });
        expect(squaresOf(a.id).flat().length).to.equal(64);
      });
    }
    expect(placeOfCode(249)).to.equal(undefined);
    expect(() => squaresOf(9999)).to.throw(RangeError);
  });
  it('a rule measured in one direction says little of the other, none says little of either', () => {
    expect(matScale({ across: 116.4 }).down).to.be.closeTo(0.97, 1e-9);
    const one = matScale({ across: 120 });
    expect(one.downOff).to.be.above(one.acrossOff);
    expect(matScale({}).acrossOff).to.be.above(0.01);
    expect(one.acrossOff).to.be.closeTo(0.15 / 120, 1e-9);
    expect(matScale({ down: 200, with: 'caliper' }).downOff).to.be.closeTo(0.05 / 200, 1e-9);
    expect(matScale({ with: 'caliper' })).to.deep.equal(matScale({}));
    expect(ruleFault(116.4, 120)).to.equal(undefined);
    expect(ruleFault(12, 120)).to.match(/between 108 and 132/);
    expect(ruleFault(NaN, 120)).to.match(/120/);
  });
  it('95 of 100 lie within what is said, however unlike the two directions are', () => {
    const roll = seeded(11);
    for (const [a, b] of [
      [1, 1],
      [1, 0.5],
      [1, 0.1],
      [1, 0.8],
    ] as const) {
      const far = within95({ xx: a * a, xy: 0, yy: b * b });
      let inside = 0;
      for (let i = 0; i < 20_000; i += 1)
        if (Math.hypot(a * roll.normal(), b * roll.normal()) <= far) inside += 1;
      expect(inside / 20_000).to.be.within(0.944, 0.956);
    }
  });
});
