import { expect } from 'chai';
import fc from 'fast-check';
import { bathHours, bathSteps, density, mixtureOf } from '../../../src/core/finish/bath.ts';
import { coldestPiece, dewPointC, inRoom, noSpraying } from '../../../src/core/finish/climate.ts';
import { finishFault, finishFields } from '../../../src/core/finish/fields.ts';
import { freshFinish } from '../../../src/core/finish/fresh.ts';
import { finishSteps } from '../../../src/core/finish/index.ts';
import { boxAreaCm2, layersOf, needsOf, paintMm } from '../../../src/core/finish/paint.ts';
import type { BathWork, Finish, PaintWork } from '../../../src/core/model/types/finishTypes.ts';
import { paintTimes } from '../../../src/core/standards/coatings.ts';
import { range } from '../../../src/core/units/range.ts';

const paint = (fields: Partial<PaintWork> = {}): PaintWork => ({
  ...(freshFinish('paint', 'p') as PaintWork),
  ...fields,
});
const bath = (fields: Partial<BathWork> = {}): BathWork => ({
  ...(freshFinish('bath', 'b') as BathWork),
  ...fields,
});

describe('finish: the room', () => {
  /* Dew points as printed in tables of ISO 8502-4 and psychrometric charts (unverified figures). */
  for (const [air, humidity, dew] of [
    [20, 50, 9.3],
    [20, 80, 16.4],
    [10, 80, 6.7],
    [25, 60, 16.7],
    [15, 70, 9.6],
  ] as const)
    it(`has its dew point at ${dew} °C for ${air} °C and ${humidity} %`, () => {
      expect(dewPointC(air, humidity)).to.be.closeTo(dew, 0.1);
    });

  it('is at the dew point when it is saturated, and refuses no humidity', () => {
    expect(dewPointC(18, 100)).to.be.closeTo(18, 1e-9);
    for (const none of [0, -5, 200, NaN]) expect(() => dewPointC(20, none)).to.throw(RangeError);
    expect(coldestPiece({ roomC: 20 })).to.equal(undefined);
    expect(coldestPiece({ roomC: 20, humidity: 50 })).to.be.closeTo(12.3, 0.1);
  });

  it('lets paint dry twice as long in a room 10 K colder, longer where it is damp', () => {
    const flash = paintTimes.acrylic.flash;
    const at = (roomC: number, humidity: number) => inRoom(flash, { roomC, humidity }, 'acrylic');
    expect(at(20, 50)).to.deep.equal(flash);
    expect(at(10, 50).hi).to.be.closeTo(2 * flash.hi, 1e-9);
    expect(at(20, 80).lo).to.be.greaterThan(flash.lo);
    const water = inRoom(flash, { roomC: 20, humidity: 75 }, 'water-based');
    expect(water.hi).to.be.closeTo(2 * flash.hi, 1e-9);
    const nobody = inRoom(flash, {}, 'acrylic');
    expect([nobody.lo < flash.lo, nobody.hi > flash.hi]).to.deep.equal([true, true]);
  });

  it('bears no spraying when cold, hot or damp, and says nothing of what nobody measured', () => {
    expect(noSpraying({})).to.equal(undefined);
    expect(noSpraying({ roomC: 10, humidity: 85 })).to.equal(undefined);
    expect(noSpraying({ roomC: 9 })).to.contain('10 °C at least');
    expect(noSpraying({ roomC: 31 })).to.contain('30 °C at most');
    expect(noSpraying({ humidity: 86 })).to.contain('85 % at most');
  });
});

describe('finish: paint', () => {
  it('has seven or eight thin coats, or three, two and two', () => {
    const counts = (fields: Partial<PaintWork>) =>
      layersOf(paint(fields)).map(({ name, coats }) => `${name} ${coats}`);
    expect(counts({ coats: 'thin', ground: 'over' })).to.deep.equal(['colour 7']);
    expect(counts({ coats: 'thin', ground: 'bare' })).to.deep.equal(['primer 2', 'colour 8']);
    expect(counts({ coats: 'three-two-two', ground: 'bare', clear: true })).to.deep.equal([
      'primer 3',
      'colour 2',
      'clear 2',
    ]);
    expect(counts({ coats: 'three-two-two', secondColour: 'red' })).to.deep.equal([
      'colour 2',
      'second colour 2',
    ]);
  });

  it('adds up layers: two coats of 10 to 20 µm are 0.02 to 0.04 mm, the first thin one counts half', () => {
    expect(paintMm(paint({ coats: 'three-two-two' }))).to.deep.equal(range(0.02, 0.04));
    const thin = paintMm(paint({ coats: 'thin' }));
    expect([thin.lo, thin.hi]).to.deep.equal([(5 * 6.5) / 1000, (15 * 6.5) / 1000]);
  });

  it('takes cans by hand: 2 m² at 20 to 40 µm, 8 to 12 % film, 45 to 70 % landing', () => {
    const [colour] = needsOf(paint({ coats: 'three-two-two' }), range(20_000));
    /* 20 000 cm² × 20 µm = 40 ml of film; 40 / (0.12 × 0.7) = 476; 80 / (0.08 × 0.45) = 2 222. */
    expect(colour?.ml.lo).to.be.closeTo(476.2, 0.1);
    expect(colour?.ml.hi).to.be.closeTo(2222.2, 0.1);
    expect(colour?.cans).to.deep.equal(range(2, 6));
  });

  it('covers with a can and one coat what labels promise, 1 to 3 m² (cans’ labels, unverified)', () => {
    const each = paintTimes.acrylic;
    const perCan = (um: number, solids: number, lands: number) =>
      (400 * solids * lands * 10_000) / um / 10_000;
    expect(perCan(each.coatUm.hi, each.solids.lo, 0.45)).to.be.within(0.5, 3);
    expect(perCan(each.coatUm.lo, each.solids.hi, 0.7)).to.be.within(1, 4);
  });

  it('takes the area of a box without its bottom and rear', () => {
    const box = { width: 200, height: 400, depth: 500 };
    expect(boxAreaCm2(box, 'side panel')).to.deep.equal(range(2000 * 0.67, 2000 * 1.15));
    expect(boxAreaCm2(box, 'case')?.hi).to.be.closeTo((2 * (800 + 2000) + 1000) * 1.15, 1e-6);
    expect(boxAreaCm2(box, 'bracket')).to.equal(undefined);
  });

  it('keeps every coat in a recoat window of the one before, primer is sanded', () => {
    const steps = finishSteps(
      paint({ material: 'steel', ground: 'bare', coats: 'three-two-two', clear: true }),
    );
    const coats = steps.filter(({ uses }) => uses === 'paint place');
    expect(coats).to.have.length(7);
    const of = (title: string) => steps.find((step) => step.title.includes(title));
    expect(of('clear coat, coat 1') ?? of('Clear coat, coat 1')).to.have.nested.property(
      'within.of',
      'finish:p:colour:2',
    );
    expect(of('Etch primer, coat 1') ?? of('Primer, coat 1')).to.not.have.property('within');
    expect(steps.findIndex(({ id }) => id.endsWith('sand-primer'))).to.be.greaterThan(
      steps.findIndex(({ id }) => id.endsWith('primer:3')),
    );
    expect(steps.at(-1)?.gate).to.contain('ohm');
    expect(steps.at(-2)?.title).to.contain('Unmask');
    const dry = steps.find(({ id }) => id === 'finish:p:clear:2');
    expect(dry?.leaveMinutes).to.be.greaterThan(24 * 60);
  });

  it('never bakes plastic, wood or prints; metal at 60 °C at most and never alone', () => {
    for (const material of ['ABS', 'other plastic', 'wood', 'printed', undefined] as const) {
      const baked = finishSteps(paint({ material, bake: true })).some(
        ({ uses }) => uses === 'oven',
      );
      expect(baked, material).to.equal(false);
    }
    const oven = finishSteps(paint({ material: 'steel', bake: true, bakeC: 120 })).find(
      ({ uses }) => uses === 'oven',
    );
    expect(oven?.title).to.contain('60 °C');
    expect(oven?.unattended).to.equal(false);
  });

  it('asks for the earth of metal and for none of plastic', () => {
    const earths = (material: PaintWork['material']) =>
      finishSteps(paint({ material })).filter(({ id }) => id.endsWith(':earth')).length;
    expect([earths('steel'), earths('ABS')]).to.deep.equal([1, 0]);
  });
});

describe('finish: the bath', () => {
  /* Handbook densities of hydrogen peroxide at 20 °C (unverified figures). */
  for (const [percent, rho] of [
    [0, 0.998],
    [10, 1.032],
    [35, 1.132],
    [50, 1.195],
  ] as const)
    it(`weighs ${rho} g/ml at ${percent} %`, () => {
      expect(Math.abs(density(percent) - rho) / rho).to.be.lessThan(0.003);
    });

  it('is mixed as by hand: 18.8 l of 6 % out of 12 %', () => {
    const mixture = mixtureOf(bath({ vesselMl: 20_000, displacedMl: 1200 }));
    const mass = 18_800 * density(6);
    expect(mixture?.solutionMl).to.equal(18_800);
    /* Half the mass is 12 % solution, half is water. */
    expect(mixture?.bottleMl).to.be.closeTo(mass / 2 / density(12), 1e-6);
    expect(mixture?.bottleMl).to.be.closeTo(9200, 30);
    expect(mixture?.waterMl).to.be.closeTo(9600, 30);
    expect(mixture?.percent).to.deep.equal(range(6));
  });

  it('keeps what is dissolved, whatever is mixed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 12, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.integer({ min: 500, max: 200_000 }),
        (bottlePercent, share, vesselMl) => {
          const wantedPercent = bottlePercent * share;
          const mixture = mixtureOf(bath({ bottlePercent, wantedPercent, vesselMl }));
          if (!mixture) return false;
          const [m1, water] = [
            mixture.bottleMl * density(bottlePercent),
            mixture.waterMl * density(0),
          ];
          const percent = (m1 * bottlePercent) / (m1 + water);
          return Math.abs(percent - wantedPercent) < 1e-6 && mixture.waterMl >= -1e-9;
        },
      ),
    );
  });

  it('is weaker from a bottle that stood open, and takes longer weak or cold', () => {
    const old = mixtureOf(bath({ openMonths: 12 }));
    expect(old?.percent.lo).to.be.closeTo(6 * 0.67, 1e-9);
    expect(old?.percent.hi).to.be.closeTo(6 * 0.99, 1e-9);
    const hours = (fields: Partial<BathWork>) => bathHours(bath({ roomC: 25, ...fields }));
    expect(hours({ wantedPercent: 12 })).to.deep.equal(range(4, 10));
    expect(hours({ wantedPercent: 6 })).to.deep.equal(range(8, 20));
    expect(hours({ wantedPercent: 12, roomC: 15 })).to.deep.equal(range(8, 20));
  });

  it('cannot be made stronger than its bottle, of nothing, or in no room', () => {
    expect(mixtureOf(bath({ wantedPercent: 13 }))).to.equal(undefined);
    expect(mixtureOf(bath({ wantedPercent: 0 }))).to.equal(undefined);
    expect(mixtureOf(bath({ vesselMl: 1000, displacedMl: 1000 }))).to.equal(undefined);
  });

  it('takes hands in the middle to turn and look, with goggles each time', () => {
    const steps = bathSteps(bath());
    expect(steps.filter(({ uses }) => uses === 'bath')).to.have.length(2);
    for (const step of steps.filter(({ uses }) => uses === 'bath'))
      expect(step.cautions.join()).to.contain('never with acetone');
  });
});

describe('finish: every sort', () => {
  const sorts = Object.keys(finishFields) as Finish['do'][];
  for (const sort of sorts)
    it(`${sort}: a fresh one is sound, its steps follow each other and name nothing foreign`, () => {
      const fresh = freshFinish(sort, 'x1');
      expect(finishFault(fresh)).to.equal(undefined);
      const steps = finishSteps(fresh);
      expect(steps.length).to.be.greaterThan(0);
      const ids = new Set<string>();
      for (const step of steps) {
        for (const before of step.after) expect(ids.has(before), step.id).to.equal(true);
        ids.add(step.id);
        expect(step.minutes).to.be.greaterThan(0);
      }
      expect(ids.size).to.equal(steps.length);
    });

  it('is refused with a name it does not know, a choice that is none, a figure out of bounds', () => {
    expect(finishFault({ ...paint(), colr: 'red' })).to.contain('colr');
    expect(finishFault({ ...paint(), paint: 'tar' })).to.contain('Paint');
    expect(finishFault({ ...paint(), humidity: 200 })).to.contain('1 to 100 %');
    expect(finishFault({ ...bath(), vesselMl: undefined })).to.contain('Vessel');
    expect(finishFault({ do: 'dance', id: 'a' })).to.contain('no work');
    expect(finishFault({ ...paint(), id: 'A b' })).to.contain('no id');
  });

  it('asks about tube, lead, asbestos and radium by kind and age; an age nobody knows is every age', () => {
    const keys = (built: number | undefined, shell: 'television' | 'radio' | 'console') =>
      finishSteps({ do: 'old shell', id: 's', piece: 'case', shell, built }).map(
        ({ id }) => id.split(':')[2],
      );
    expect(keys(1995, 'console')).to.deep.equal(['earth']);
    expect(keys(1985, 'television')).to.deep.equal(['lift', 'tube', 'asbestos', 'earth']);
    expect(keys(1955, 'radio')).to.deep.equal(['asbestos', 'lead', 'radium', 'earth']);
    expect(keys(undefined, 'radio')).to.deep.equal(['asbestos', 'lead', 'radium', 'earth']);
  });

  it('gives boards and fans no water', () => {
    for (const what of ['board', 'fan'] as const)
      expect(finishSteps({ do: 'wash', id: 'w', piece: 'case', what })[0]?.title).to.contain(
        'no water',
      );
  });
});
