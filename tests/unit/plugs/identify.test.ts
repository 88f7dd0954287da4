import { expect } from 'chai';
import { plugReading } from '../../../src/core/model/types/shapes.ts';
import fc from 'fast-check';
import {
  beepChance,
  believe,
  classes,
  classOf,
  handMeter,
  hypothesesFor,
  identify,
  likelihood,
  noted,
  keptNotes,
  notesOf,
  ReadingError,
  simulatedPlug,
  type Reading,
  type SignalClass,
} from '../../../src/core/plugs/identify/index.ts';
import { plug, type Plug } from '../../../src/core/standards/plugs/index.ts';
import { random } from '../../helpers/boards.ts';
import { hiddenPlug, session } from '../../helpers/hidden.ts';

const cpu8 = { rows: 2, ways: 8 };
const main24 = { rows: 2, ways: 24 };
const chassis = (pin: number, beeps: boolean): Reading => ({ kind: 'chassis', pin, beeps });
const standby = (pin: number, volts: number): Reading => ({ kind: 'standby', pin, volts });
const colour = (pin: number, name: string): Reading => ({ kind: 'colour', pin, colour: name });

const anyReading: fc.Arbitrary<Reading> = fc.oneof(
  fc.record({
    kind: fc.constant('chassis' as const),
    pin: fc.integer({ min: 1, max: 8 }),
    beeps: fc.boolean(),
  }),
  fc.record({
    kind: fc.constant('standby' as const),
    pin: fc.integer({ min: 1, max: 8 }),
    volts: fc.double({ min: -13, max: 13, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('running' as const),
    pin: fc.integer({ min: 1, max: 8 }),
    volts: fc.double({ min: -13, max: 13, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('colour' as const),
    pin: fc.integer({ min: 1, max: 8 }),
    colour: fc.constantFrom('black', 'yellow', 'brown'),
  }),
);

describe('plugs/identify', () => {
  it('gives chances that add up to one, for pins and ideas, whatever was read', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 20 }), (readings) => {
        const answer = identify(cpu8, readings);
        const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);
        expect(sum(answer.ideas.map((idea) => idea.chance))).to.be.closeTo(1, 1e-6);
        for (const pin of answer.pins) {
          expect(sum(pin.chances)).to.be.closeTo(1, 1e-6);
          for (const each of pin.chances) expect(each).to.be.within(0, 1 + 1e-9);
        }
        expect(answer.joint).to.be.within(0, 1 + 1e-9);
        expect(answer.rolesJoint).to.be.at.least(answer.joint - 1e-9);
      }),
      { numRuns: 150 },
    );
  });
  it('agrees with adding up every assignment of a two-pin plug by hand', () => {
    /* The same mixture, summed over all 121 pairs of signals instead of pin by pin. */
    const grid = { rows: 1, ways: 2 };
    const readings = [chassis(1, true), standby(2, 5.02), colour(1, 'black')];
    const ideas = hypothesesFor(grid);
    const answer = identify(grid, readings);
    const like = (pin: number, c: number) =>
      readings
        .filter((reading) => reading.pin === pin)
        .reduce((p, reading) => p * likelihood(reading, classes[c] ?? 'other'), 1);
    const joint = classes.map(() => classes.map(() => 0));
    let total = 0;
    for (const idea of ideas)
      for (let a = 0; a < classes.length; a += 1)
        for (let b = 0; b < classes.length; b += 1) {
          const p =
            idea.prior *
            (idea.pins[0]?.[a] ?? 0) *
            (idea.pins[1]?.[b] ?? 0) *
            like(1, a) *
            like(2, b);
          joint[a]![b]! += p;
          total += p;
        }
    answer.pins[0]?.chances.forEach((chance, a) =>
      expect(chance).to.be.closeTo(joint[a]!.reduce((sum, each) => sum + each, 0) / total, 1e-9),
    );
  });
  it('calls no pin return by one reading, nor by its colour and nothing else', () => {
    const black = [1, 2, 3, 4].map((pin) => colour(pin, 'black'));
    for (const pin of identify(cpu8, black).pins) expect(pin.word).not.to.equal('sure');
    const once = identify(cpu8, [chassis(1, true)]).pins[0];
    expect(once?.best).to.equal('COM');
    expect(once?.word).not.to.equal('sure');
    const twice = identify(cpu8, [chassis(1, true), standby(1, 0)]).pins[0];
    expect(twice?.kinds).to.have.members(['chassis', 'standby']);
  });
  it('does not believe a reading more for being said twice', () => {
    const once = identify(cpu8, [standby(3, 0)]).pins[2];
    const often = identify(cpu8, [standby(3, 0), standby(3, 0), standby(3, 0)]).pins[2];
    expect(often?.chance).to.be.closeTo(once?.chance ?? 0, 1e-12);
  });
  it('names readings that cannot both be right, and calls the pin open', () => {
    const pin = identify(main24, [chassis(9, true), standby(9, 5)]).pins[8];
    expect(pin?.contradiction).to.match(/chassis and standby cannot both be right/);
    expect(pin?.word).to.equal('open');
  });
  it('sees a mirrored plug for what it is', () => {
    const pins = plug('main24')?.pins ?? [];
    const readings = pins.flatMap((_, i): Reading[] => {
      const row = Math.floor(i / 12);
      const mirrored = pins[row * 12 + (11 - (i % 12))] ?? '';
      return [
        chassis(i + 1, mirrored === 'COM'),
        standby(i + 1, mirrored === '+5VSB' ? 5 : mirrored === 'PS_ON#' ? 4.9 : 0),
      ];
    });
    expect(identify(main24, readings).ideas[0]?.name).to.equal('ATX 24-pin, mirrored');
  });
  it('asks unplugged first, and for running volts only when it is safe', () => {
    const first = identify(main24, []).next;
    expect(['chassis', 'ohms', 'gauge']).to.include(first?.kind);
    expect(identify(main24, [], { loadSet: true }).mayRun).to.equal(false);
    for (let seed = 1; seed <= 12; seed += 1) {
      const next = random(seed);
      const hidden = hiddenPlug(next);
      const bench = simulatedPlug(hidden.plug, next);
      const readings: Reading[] = [];
      for (let i = 0; i < hidden.grid.ways * 2; i += 1) {
        const answer = identify(hidden.grid, readings, { loadSet: false });
        expect(answer.next?.kind, 'no load set').not.to.equal('running');
        if (!answer.next) break;
        const { pin, kind, with: other } = answer.next;
        readings.push((other ? bench.common(pin, other) : bench.read(pin, kind)) as Reading);
      }
    }
  });
  it('asks for a second look where two readings cannot both be right, last of all', () => {
    const torn: Reading[] = Array.from({ length: 8 }, (_, i): Reading[] => [
      chassis(i + 1, i > 0),
      standby(i + 1, 0),
      { kind: 'ohms', pin: i + 1, ohms: 0.3 },
      { kind: 'gauge', pin: i + 1, awg: 18 },
    ]).flat();
    const answer = identify(cpu8, torn);
    expect(answer.pins[0]?.contradiction).to.be.a('string');
    expect(answer.next).to.include({ pin: 1, again: true });
    expect(answer.stopped).to.equal(undefined);
  });
  it('says why it stops: all sure, or only running would tell', () => {
    const ground = Array.from({ length: 8 }, (_, i): Reading[] => [
      chassis(i + 1, true),
      { kind: 'ohms', pin: i + 1, ohms: 0.3 },
    ]).flat();
    expect(identify(cpu8, ground).stopped).to.equal('Every pin is sure.');
    let told = 0;
    for (let seed = 1; seed <= 30; seed += 1) {
      const next = random(seed * 31);
      const { answer } = session(hiddenPlug(next), next);
      const open = answer.pins.filter((pin) => pin.word !== 'sure');
      if (answer.next) continue;
      told += 1;
      if (open.length === 0) expect(answer.stopped).to.equal('Every pin is sure.');
      else {
        for (const { pin } of open) expect(answer.stopped).to.contain(String(pin));
        expect(answer.stopped).to.match(/running|every reading has been taken/);
      }
    }
    expect(told).to.be.above(20);
  });
  it('asks for ohms, thickness and beeps between pins where they tell more', () => {
    const kinds = new Set<string>();
    for (let seed = 1; seed <= 40; seed += 1) {
      const next = random(seed * 7);
      for (const { kind } of session(hiddenPlug(next), next).readings) kinds.add(kind);
    }
    expect([...kinds]).to.include.members(['ohms', 'gauge', 'common', 'chassis', 'standby']);
  });
  for (const [what, run, why] of [
    ['three rows', () => identify({ rows: 3, ways: 6 }, []), 'no housing has 3 rows'],
    ['no ways', () => identify({ rows: 2, ways: 0 }, []), 'no power plug has 0 ways'],
    ['200 pins', () => identify({ rows: 2, ways: 200 }, []), 'no power plug has 200 ways'],
    ['an odd grid', () => identify({ rows: 2, ways: 7 }, []), '7 ways do not fill 2 rows'],
    [
      'a pin it has not',
      () => identify(cpu8, [standby(9, 0)]),
      'There is no pin 9: the plug has 8.',
    ],
    ['mains volts', () => identify(cpu8, [standby(1, 230)]), 'Pin 1: 230 V is not a figure'],
    ['no figure', () => identify(cpu8, [standby(1, NaN)]), 'is not a figure'],
  ] as const)
    it(`refuses ${what}`, () => expect(run).to.throw(why));
  it('says so with an error of its own where a reading is at fault', () => {
    expect(() => identify(cpu8, [standby(0, 0)])).to.throw(ReadingError);
  });
});

describe('plugs/identify, the simulated bench', () => {
  it('blows its fuse when volts are taken with the lead in the amps socket, and stays blown', () => {
    const bench = simulatedPlug(
      { pins: ['+12V', 'COM'], colours: ['yellow', 'black'] },
      random(1),
      { leadInAmps: true },
    );
    expect(bench.read(2, 'running')).not.to.equal('fuse blown');
    expect(bench.read(1, 'running')).to.equal('fuse blown');
    expect(bench.fuse()).to.equal('blown');
    expect(bench.read(2, 'chassis')).to.equal('fuse blown');
  });
  it('shows a bad contact again where it was bad once', () => {
    const meter = { share: 0, digitsV: 0, badContact: 1, beepsTo: 30 };
    const bench = simulatedPlug({ pins: ['+12V'], colours: ['yellow'] }, random(2), { meter });
    for (let i = 0; i < 3; i += 1)
      expect(bench.read(1, 'running')).to.deep.equal({ kind: 'running', pin: 1, volts: 0 });
  });
});

describe('plugs/identify, 500 simulated plugs', function () {
  this.timeout(240_000);
  const tally = { pins: 0, sure: 0, right: 0, burnt: 0, share: [] as number[] };
  before(() => {
    for (let seed = 1; seed <= 500; seed += 1) {
      const next = random(seed * 7919);
      const hidden = hiddenPlug(next);
      const { answer, metered } = session(hidden, next);
      tally.share.push(metered / (hidden.grid.ways * 3));
      for (const pin of answer.pins) {
        tally.pins += 1;
        if (pin.word !== 'sure') continue;
        const truth = hidden.plug.pins[pin.pin - 1] ?? '';
        tally.sure += 1;
        if (classOf(truth) === pin.best) tally.right += 1;
        else if (pin.best === 'COM' && truth.startsWith('+')) tally.burnt += 1;
      }
    }
  });
  it('is right in at least 98.5 % of the pins it calls sure', () => {
    expect(tally.sure).to.be.above(4000);
    expect(tally.right / tally.sure).to.be.at.least(0.985);
  });
  it('leaves at most one pin in twelve open', () =>
    expect(tally.sure / tally.pins).to.be.at.least(11 / 12));
  it('calls no power pin a return', () => expect(tally.burnt).to.equal(0));
  it('takes at most 65 % of reading everything, in the middle', () => {
    const sorted = [...tally.share].sort((a, b) => a - b);
    expect(sorted[250]).to.be.at.most(0.65);
  });
});

describe('plugs/identify, notes kept with a part', () => {
  const readings: Reading[] = [
    colour(3, 'black'),
    chassis(7, true),
    standby(9, 5.02),
    { kind: 'running', pin: 2, volts: -11.9 },
  ];
  it('come back as they were written', () => {
    const notes = { grid: { rows: 2, ways: 10 }, readings };
    expect(keptNotes(notes).map(plugReading.write)).to.deep.equal([
      'grid 2x5',
      'colour 3 black',
      'chassis 7 yes',
      'standby 9 5.02',
      'running 2 -11.9',
    ]);
    expect(notesOf(keptNotes(notes))).to.deep.equal(notes);
    expect(notesOf([])).to.deep.equal({ grid: undefined, readings: [] });
  });
  it('hold the last reading of a kind on a pin', () => {
    const notes = noted({ grid: undefined, readings }, standby(9, 0));
    expect(notes.readings.filter((each) => each.kind === 'standby')).to.deep.equal([standby(9, 0)]);
    expect(notes.readings).to.have.length(4);
  });
  for (const line of ['ohms 3 many', 'chassis 3 maybe', 'standby 3 much', 'grid 2'])
    it(`refuse “${line}”`, () => expect(plugReading.read(line)).to.equal(undefined));
});

describe('plugs/identify, weaker readings and readings between pins', () => {
  const grid = { rows: 2, ways: 6 };
  const chanceOf = (
    readings: Reading[],
    pin: number,
    name: (typeof classes)[number],
    meter = handMeter,
  ) => identify(grid, readings, { meter }).pins[pin - 1]?.chances[classes.indexOf(name)] ?? 0;

  it('agrees with the sum over every order, written out, when pins are tied in a tree', () => {
    /* Three pins of an unknown order, two ties: all 11^3 orders of the three weighed by hand. */
    const idea = hypothesesFor({ rows: 1, ways: 3 }).find((each) => each.id === 'unknown')!;
    const ties = [
      { kind: 'common' as const, pin: 1, with: 2, beeps: true },
      { kind: 'common' as const, pin: 2, with: 3, beeps: false },
    ];
    const heard: Reading = { kind: 'standby', pin: 3, volts: 5 };
    const support = [0, 1, 2].map((i) =>
      classes.map((each) => (i === 2 ? likelihood(heard, each) : 1)),
    );
    const { log, pins } = believe(idea, support, ties, handMeter);
    const marginal = classes.map(() => 0);
    let whole = 0;
    classes.forEach((a, i) =>
      classes.forEach((b, j) =>
        classes.forEach((c, k) => {
          const p =
            idea.pins[0]![i]! *
            idea.pins[1]![j]! *
            idea.pins[2]![k]! *
            support[2]![k]! *
            beepChance(a, b) *
            (1 - beepChance(b, c));
          whole += p;
          marginal[j]! += p;
        }),
      ),
    );
    expect(log).to.be.closeTo(Math.log(idea.prior * whole), 1e-9);
    marginal.forEach((each, j) => expect(pins[1]![j]).to.be.closeTo(each / whole, 1e-9));
  });
  it('carries what is known of a pin to the one it beeps with', () => {
    const alone: Reading[] = [
      { kind: 'chassis', pin: 1, beeps: true },
      { kind: 'ohms', pin: 1, ohms: 0.3 },
    ];
    const tied: Reading[] = [...alone, { kind: 'common', pin: 1, with: 2, beeps: true }];
    expect(chanceOf(tied, 2, 'COM')).to.be.above(chanceOf(alone, 2, 'COM') + 0.2);
    /* A meter that beeps at ten ohms only is believed more. */
    expect(chanceOf(tied, 2, 'COM', { ...handMeter, beepsTo: 10 })).to.be.above(0.85);
    expect(chanceOf(tied, 2, 'COM', { ...handMeter, beepsTo: 200 })).to.be.below(
      chanceOf(tied, 2, 'COM'),
    );
  });
  it('takes a false beep to be as likely as the bleeder lies below what the meter beeps at', () => {
    const falsely = (carries: SignalClass, beepsTo: number) =>
      likelihood({ kind: 'chassis', pin: 1, beeps: true }, carries, { ...handMeter, beepsTo });
    /* 3.3 V: a power of ten of 1.2 with 0.7 either way; at its middle half of them beep. */
    expect(falsely('+3.3V', 10 ** 1.2)).to.be.closeTo(0.5, 1e-6);
    expect(falsely('+3.3V', 10 ** 1.9)).to.be.closeTo(0.8413, 1e-4);
    expect(falsely('+12V', 10)).to.be.below(0.04);
    expect(falsely('open', 200)).to.equal(0.004);
    expect(falsely('COM', 10)).to.equal(0.98);
  });
  it('takes a return off the list for a pin that is silent to one', () => {
    const readings: Reading[] = [
      { kind: 'chassis', pin: 1, beeps: true },
      { kind: 'common', pin: 1, with: 2, beeps: false },
    ];
    expect(chanceOf(readings, 2, 'COM')).to.be.below(0.1);
  });
  it('reads thick and thin wire as a hint only', () => {
    const thin = chanceOf([{ kind: 'gauge', pin: 1, awg: 24 }], 1, 'PS_ON#');
    const thick = chanceOf([{ kind: 'gauge', pin: 1, awg: 16 }], 1, 'PS_ON#');
    expect(thin).to.be.above(thick);
    expect(identify(grid, [{ kind: 'gauge', pin: 1, awg: 16 }]).pins[0]?.word).to.not.equal('sure');
  });
  it('calls a cavity without a contact open', () => {
    expect(chanceOf([{ kind: 'empty', pin: 4 }], 4, 'open')).to.be.above(0.5);
  });
  it('calls a pin ground only by a beep and, beside it, ohms below 1 or 0 V while running', () => {
    const word = (...more: Reading[]) =>
      identify(grid, [{ kind: 'colour', pin: 1, colour: 'black' }, ...more]).pins[0]?.word;
    const beep: Reading = { kind: 'chassis', pin: 1, beeps: true };
    expect(word(beep, { kind: 'standby', pin: 1, volts: 0 })).to.not.equal('sure');
    expect(word({ kind: 'ohms', pin: 1, ohms: 0.3 })).to.not.equal('sure');
    expect(word(beep, { kind: 'ohms', pin: 1, ohms: 20 })).to.not.equal('sure');
    expect(word(beep, { kind: 'ohms', pin: 1, ohms: 0.3 })).to.equal('sure');
    expect(word(beep, { kind: 'running', pin: 1, volts: 0.02 })).to.equal('sure');
  });
  it('asks for ohms where a pin is all but ground, and stops once they are read', () => {
    const black = Array.from({ length: 6 }, (_, i): Reading[] => [
      { kind: 'colour', pin: i + 1, colour: 'black' },
      { kind: 'chassis', pin: i + 1, beeps: true },
      { kind: 'standby', pin: i + 1, volts: 0 },
    ]).flat();
    const asked = identify(grid, black).next;
    expect(asked?.kind).to.equal('ohms');
    const told = black.concat(
      Array.from({ length: 6 }, (_, i): Reading => ({ kind: 'ohms', pin: i + 1, ohms: 0.4 })),
    );
    const done = identify(grid, told);
    expect(done.next?.kind).to.not.equal('ohms');
    expect(done.pins.every((pin) => pin.word === 'sure')).to.equal(true);
  });
  it('calls no rail of an all-black loom ground, though all of them beep through their bleeders', () => {
    /* A meter that beeps up to some 200 ohms, rails with bleeders below that (common practice, no source). */
    let sure = 0;
    for (let seed = 1; seed <= 39; seed += 1) {
      const next = random(seed * 104729);
      const pins = (plug('main24') as Plug).pins;
      const loom = pins.flatMap((name, i): Reading[] => {
        const pin = i + 1;
        const ground = name === 'COM';
        const rail = name.startsWith('+') || name === '-12V';
        const standby = name === '+5VSB';
        return [
          { kind: 'colour', pin, colour: 'black' },
          { kind: 'chassis', pin, beeps: ground || rail },
          { kind: 'standby', pin, volts: standby ? 5 : name === 'PS_ON#' ? 3.3 : 0 },
          { kind: 'ohms', pin, ohms: ground ? 0.2 + 0.5 * next() : 5 + 180 * next() },
        ];
      });
      for (const told of [loom.filter((each) => each.kind !== 'ohms'), loom])
        for (const pin of identify({ rows: 2, ways: 24 }, told).pins) {
          if (pin.word !== 'sure' || pin.best !== 'COM') continue;
          sure += 1;
          expect(pins[pin.pin - 1], `seed ${seed}, pin ${pin.pin}`).to.equal('COM');
        }
    }
    expect(sure).to.be.above(39 * 4);
  });
  it('refuses impossible readings, in words', () => {
    const refused = (reading: Reading, says: RegExp) =>
      expect(() => identify(grid, [reading])).to.throw(ReadingError, says);
    refused({ kind: 'common', pin: 1, with: 1, beeps: true }, /itself/);
    refused({ kind: 'common', pin: 1, with: 9, beeps: true }, /no pin 9/);
    refused({ kind: 'gauge', pin: 1, awg: 2 }, /AWG 2/);
    refused({ kind: 'ohms', pin: 1, ohms: -3 }, /-3 ohms/);
  });
  it('keeps all of them with the part and reads them back', () => {
    const readings: Reading[] = [
      { kind: 'gauge', pin: 1, awg: 18 },
      { kind: 'empty', pin: 2 },
      { kind: 'common', pin: 3, with: 4, beeps: true },
      { kind: 'common', pin: 3, with: 5, beeps: false },
      { kind: 'ohms', pin: 6, ohms: 120 },
    ];
    expect(notesOf(keptNotes({ grid, readings }))).to.deep.equal({ grid, readings });
    const again = noted({ grid, readings }, { kind: 'common', pin: 3, with: 4, beeps: false });
    expect(again.readings).to.have.length(5);
  });
  it('has a bench that answers between two pins and blows its fuse for neither', () => {
    const bench = simulatedPlug({ pins: ['COM', 'COM', '+12V', '+12V'], colours: [] }, () => 0.5, {
      meter: { ...handMeter, badContact: 0, beepsTo: 30 },
    });
    expect(bench.common(1, 2)).to.deep.include({ beeps: true });
    expect(bench.common(1, 3)).to.deep.include({ beeps: false });
    expect(bench.read(3, 'gauge')).to.deep.include({ awg: 18 });
    expect(bench.fuse()).to.equal('whole');
  });
});
