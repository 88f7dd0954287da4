import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { addDiagnosis, addTried, closeDiagnosis } from '../../../src/core/edits/diagnosisEdits.ts';
import type { Kind, Shop } from '../../../src/core/model/types/types.ts';
import { diagnosisOf, isMakers, learnedOf, sparesFor } from '../../../src/core/plan/startupOf.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import {
  bestFirst,
  byChecklist,
  faultyMachine,
  diagnoseBy,
  afterwards,
  simulatedSpares,
} from '../../../src/core/startup/simulated.ts';
import { causes, symptomIds } from '../../../src/core/startup/causes.ts';
import { checklist, tests } from '../../../src/core/startup/tests.ts';
import { minutesOf, priorOf, undoLast } from '../../../src/core/startup/diagnosis.ts';
import {
  nextTests,
  oddsOf,
  standOf,
  type DiagnosisState,
} from '../../../src/core/startup/index.ts';
import { readDiagnosis } from '../../../src/core/startup/schema.ts';
import { leaveAlone, settingsFor } from '../../../src/core/startup/settings.ts';
import { jobOver, planWith } from '../../helpers/build.ts';

const start: DiagnosisState = {
  symptom: 'picture',
  after: [],
  maker: false,
  spares: simulatedSpares,
  tried: [],
};
const first = (state: DiagnosisState) => oddsOf(state).odds[0]!.cause.id;

describe('startup/causes', () => {
  it('every sign has causes, every cause a test that tells of it or is the last resort', () => {
    for (const sign of symptomIds)
      expect(causes.filter((each) => (each.odds[sign] ?? 0) > 0).length, sign).to.be.at.least(5);
    const told = new Set(tests.flatMap((each) => Object.keys(each.likely)));
    for (const cause of causes)
      if (cause.id !== 'other') expect(told.has(cause.id), cause.id).to.equal(true);
  });
  it('tests name causes there are, with likelihoods between nothing and one', () => {
    const ids = new Set(causes.map((each) => each.id));
    for (const test of tests)
      for (const [cause, likely] of Object.entries(test.likely)) {
        expect(ids.has(cause), `${test.id} ${cause}`).to.equal(true);
        expect(likely).to.be.within(0, 0.99);
      }
    expect(new Set(checklist).size).to.equal(tests.length);
  });
});

describe('startup/hunt', () => {
  it('odds are a whole, whatever was tried', () => {
    const tried = fc.uniqueArray(
      fc.record({ test: fc.constantFrom(...tests.map((each) => each.id)), yes: fc.boolean() }),
      { selector: (each) => each.test, maxLength: 8 },
    );
    fc.assert(
      fc.property(fc.constantFrom(...symptomIds), tried, (sign, list) => {
        const { odds, explained } = oddsOf({ ...start, symptom: sign, tried: list });
        expect(odds.reduce((sum, each) => sum + each.share, 0)).to.be.closeTo(1, 1e-4);
        expect(explained).to.be.within(0, 1);
        for (let i = 1; i < odds.length; i += 1)
          expect(odds[i]!.share).to.be.at.most(odds[i - 1]!.share);
      }),
    );
  });
  it('the order of tests does not matter to the odds', () => {
    const a = [
      { test: 'memory-reseat', yes: false },
      { test: 'least', yes: true },
      { test: 'ports', yes: false },
    ];
    const one = oddsOf({ ...start, tried: a }).odds;
    const other = oddsOf({ ...start, tried: [...a].reverse() }).odds;
    one.forEach((each, i) => expect(each.share).to.be.closeTo(other[i]!.share, 1e-12));
  });
  it('what was changed last is likelier, and undoing it is always offered', () => {
    const share = (state: DiagnosisState, id: string) =>
      oddsOf(state).odds.find((each) => each.cause.id === id)?.share ?? 0;
    const after: DiagnosisState = { ...start, after: ['memory'] };
    expect(share(after, 'memory-bad')).to.be.above(share(start, 'memory-bad') * 1.5);
    for (const sign of symptomIds) {
      const offered = nextTests({ ...start, symptom: sign, after: ['card', 'memory', 'case'] });
      if (sign === 'no-standby') continue;
      expect(
        offered.some((each) => each.test.id === 'undo'),
        sign,
      ).to.equal(true);
    }
    expect(undoLast([])).to.equal(undefined);
  });
  it('a swap is offered with a part of the shelf or not at all', () => {
    const swaps = (spares: DiagnosisState['spares']) =>
      nextTests({ ...start, spares }).filter((each) => each.test.spare);
    expect(swaps({})).to.be.empty;
    const [swap] = swaps({ memory: { id: 'A14', name: 'module A14' } });
    expect(swap?.with).to.deep.equal({ id: 'A14', name: 'module A14' });
  });
  it('names a cause once it is sure: swapped RAM that works, after reseating that did not', () => {
    const state: DiagnosisState = {
      ...start,
      symptom: 'beeps',
      tried: [
        { test: 'memory-reseat', yes: false },
        { test: 'memory-single', yes: true },
        { test: 'memory-swap', yes: true },
      ],
    };
    expect(['memory-bad', 'memory-mix']).to.include(first(state));
    const reseated: DiagnosisState = {
      ...start,
      symptom: 'beeps',
      tried: [{ test: 'memory-reseat', yes: true }],
    };
    expect(standOf(reseated).named?.cause.id).to.equal('memory-seat');
  });
  it('says so when what was found hardly goes together', () => {
    const tried = ['memory-swap', 'card-swap', 'cell', 'front-off'].map((test) => ({
      test,
      yes: true,
    }));
    expect(standOf({ ...start, tried }).contradicts).to.contain('two faults');
    expect(standOf({ ...start, tried: tried.slice(0, 1) }).contradicts).to.equal(undefined);
    expect(standOf(start).contradicts).to.equal(undefined);
  });
  it('names the cause that is plain to the eye: a standoff that touches, a bent pin, a wrong wire', () => {
    for (const [symptom, test, cause] of [
      ['case', 'standoffs', 'short'],
      ['picture', 'socket', 'pins'],
      ['loops', 'buzz', 'wrong-order'],
      ['nothing', 'standoffs', 'short'],
    ] as const)
      expect(
        standOf({ ...start, symptom, tried: [{ test, yes: true }] }).named?.cause.id,
        test,
      ).to.equal(cause);
  });
  it('says so at once when one test came out both ways, and counts it as not tried', () => {
    const both = ['memory-swap', 'memory-swap'].map((test, i) => ({ test, yes: i === 0 }));
    expect(standOf({ ...start, tried: both }).contradicts).to.contain('both ways: Swap the RAM');
    expect(oddsOf({ ...start, tried: both }).odds).to.eql(oddsOf(start).odds);
  });
  it('learns nothing more from a test told again', () => {
    const one = [{ test: 'memory-swap', yes: false }];
    const three = [...one, ...one, ...one];
    expect(oddsOf({ ...start, tried: three }).odds).to.eql(oddsOf({ ...start, tried: one }).odds);
  });
  it('finds two swaps that both mended it at odds, and nothing odd in tests that all failed', () => {
    const yes = ['memory-swap', 'supply-swap'].map((test) => ({ test, yes: true }));
    expect(standOf({ ...start, tried: yes }).contradicts).to.contain('two faults');
    const no = tests.slice(0, 12).map(({ id: test }) => ({ test, yes: false }));
    expect(standOf({ ...start, tried: no }).contradicts).to.equal(undefined);
  });
  it('seldom finds a contradiction where there is one fault: at most one in ten of 600 machines whose tests lie one time in thirty', () => {
    let said = 0;
    for (let i = 1; i <= 600; i += 1) {
      const sign = symptomIds[i % symptomIds.length]!;
      const machine = faultyMachine(sign, i * 104729);
      let state: DiagnosisState = { ...start, symptom: sign, tried: [] };
      for (;;) {
        const { named, contradicts } = standOf(state);
        if (contradicts) said += 1;
        const next = named || contradicts ? undefined : bestFirst(state);
        if (!next) break;
        state = {
          ...state,
          tried: [...state.tried, { test: next.id, yes: machine.answer(next).yes }],
        };
      }
    }
    expect(said / 600).to.be.within(0.01, 0.1);
  });
  it('asks nothing of a slow link that is blind to it, and no parts the machine has not', () => {
    const ids = (state: DiagnosisState) => nextTests(state).map((each) => each.test.id);
    expect(ids({ ...start, symptom: 'link' })).to.not.include.members(['card-out']);
    expect(ids({ ...start, symptom: 'link' })).to.not.include('least');
    expect(ids({ ...start, symptom: 'picture' })).to.include('card-out');
    const bare: DiagnosisState = { ...start, has: new Set(['board', 'processor', 'supply']) };
    const absent = ['card-bad', 'riser', 'drive-bad', 'memory-mix', 'wrong-order', 'cooler-loose'];
    expect(oddsOf(bare).odds.map((each) => each.cause.id)).to.not.include.members(absent);
    for (const id of ['card-out', 'card-elsewhere', 'buzz', 'riser-out', 'drive-lead'])
      expect(ids(bare), id).to.not.include(id);
    /* The sign itself shows that there is one: somebody forgot to list it. */
    expect(oddsOf({ ...bare, symptom: 'drive' }).odds[0]?.cause.id).to.equal('drive-lead');
  });
  it('tries another mains lead and socket first where nothing happens', () => {
    const first = nextTests({ ...start, symptom: 'no-standby' }).slice(0, 3);
    expect(first.map((each) => each.test.id)).to.include('mains');
  });
  it('the shop’s own results move the odds and the minutes', () => {
    const learned = {
      found: { picture: { screen: 12 } },
      minutes: { 'memory-reseat': { sum: 60, n: 6 } },
    };
    expect(
      priorOf({ ...start, learned }).find((each) => each.cause.id === 'screen')!.share,
    ).to.be.above(0.6);
    const reseat = tests.find((each) => each.id === 'memory-reseat')!;
    expect(minutesOf(reseat, learned)).to.be.closeTo((3 * 3 + 60) / 9, 1e-9);
    expect(minutesOf(reseat, undefined)).to.equal(3);
  });
  it('information is never negative nor above what is open', () => {
    fc.assert(
      fc.property(fc.constantFrom(...symptomIds), (sign) => {
        const { odds } = oddsOf({ ...start, symptom: sign });
        const open = odds.reduce((sum, { share }) => sum - share * Math.log2(share), 0);
        for (const each of nextTests({ ...start, symptom: sign })) {
          expect(each.bits).to.be.within(0, Math.min(1, open) + 1e-9);
          expect(each.chance).to.be.within(0, 1);
        }
      }),
    );
  });
});

describe('startup/bench, the practice machine', () => {
  it('answers alike however often it is asked, the same for the same seed', () => {
    const [a, b] = [faultyMachine('loops', 5), faultyMachine('loops', 5)];
    for (const test of tests) {
      expect(a.answer(test)).to.deep.equal(b.answer(test));
      expect(a.answer(test)).to.deep.equal(a.answer(test));
    }
  });
  it('on 500 faults the search takes at most 60 % of a checklist’s minutes, and is right as often', function () {
    this.timeout(60_000);
    let [own, list, right, rightByList] = [0, 0, 0, 0];
    for (let i = 1; i <= 500; i += 1) {
      const sign = symptomIds[i % symptomIds.length]!;
      const machine = faultyMachine(sign, i * 7919);
      const from = { after: [] as Kind[], maker: false, spares: simulatedSpares };
      const a = diagnoseBy(machine, from, bestFirst);
      const b = diagnoseBy(machine, from, byChecklist);
      own += a.minutes;
      list += b.minutes;
      if (a.named === machine.cause.id) right += 1;
      if (b.named === machine.cause.id) rightByList += 1;
    }
    expect(own / list).to.be.at.most(0.6);
    expect(right).to.be.at.least(rightByList - 10);
    expect(right).to.be.at.least(350);
  });
  it('looks back: which test would have told more', () => {
    const state: DiagnosisState = {
      ...start,
      symptom: 'memory',
      tried: [
        { test: 'socket', yes: false },
        { test: 'memory-reseat', yes: true },
      ],
    };
    const better = afterwards(state);
    expect(better[0]).to.include({ step: 1, did: tests.find((each) => each.id === 'socket')!.ask });
    expect(better[0]!.by).to.be.above(1.5);
    const good: DiagnosisState = {
      ...state,
      tried: [{ test: nextTests({ ...state, tried: [] })[0]!.test.id, yes: false }],
    };
    expect(afterwards(good)).to.be.empty;
  });
});

describe('plan/startupOf', () => {
  const shop = demoShop('2026-11-25T09:00:00.000Z');
  it('spares are parts of the shelf or a donor that fit, never one of the machine', () => {
    const plan = planOf(
      shop,
      shop.jobs.find((job) => job.id === '14')!,
    );
    const spares = sparesFor(plan);
    const used = new Set(plan.seats.map((each) => each.part.id));
    expect(Object.keys(spares)).to.include('memory');
    for (const spare of Object.values(spares)) expect(used.has(spare.id)).to.equal(false);
  });
  it('a module of another kind is no spare', () => {
    const { shop: own, job } = jobOver({ memory1: { memoryKind: 'DDR4' } });
    const odd = {
      ...own,
      parts: [
        ...own.parts,
        {
          id: 'X',
          kind: 'memory' as const,
          name: 'old',
          facts: { memoryKind: { text: 'DDR3', how: 'said' as const } },
          place: 'shelf' as const,
        },
      ],
    };
    expect(sparesFor(planOf(odd, job))).to.deep.equal({});
  });
  it('learns from searches that found something, twice from the same model, never from the one in hand', () => {
    const { shop: own } = jobOver({ memory1: {} });
    const hunt = { symptom: 'picture', at: '2026-11-25', after: ['memory1'], tried: [] };
    const done = [
      addDiagnosis('1', hunt).edit,
      addTried('1', 'h1', { testId: 'ports', result: 'yes', minutes: 4, at: '2026-11-25' }),
      closeDiagnosis('1', 'h1', { verdict: 'found', causeId: 'screen' }),
    ].reduce((now, edit) => edit(now), own);
    expect(learnedOf(done).found).to.deep.equal({ picture: { screen: 1 } });
    expect(learnedOf(done, undefined, 'found machine').found['picture']).to.deep.equal({
      screen: 2,
    });
    expect(learnedOf(done, undefined, 'found machine').minutes['ports']).to.deep.equal({
      sum: 8,
      n: 2,
    });
    expect(learnedOf(done, 'h1').found).to.deep.equal({});
    const open = closeDiagnosis('1', 'h1', { verdict: 'given up', causeId: undefined })(done);
    expect(learnedOf(open).found).to.deep.equal({});
    const state = diagnosisOf(planOf(done, done.jobs[0]!), done.jobs[0]!.diagnoses[0]!)!;
    expect(state.has).to.equal(undefined);
    expect(state).to.deep.include({
      symptom: 'picture',
      after: ['memory'],
      tried: [{ test: 'ports', yes: true }],
    });
  });
  it('knows what the machine has', () => {
    const { shop: own, job } = jobOver({
      board: { mainPlug: 'main24' },
      memory1: {},
      memory2: {},
      small1: { sort: 'powered riser' },
    });
    const hunt = { id: 'h1', symptom: 'picture', at: '2026-11-25', after: [], tried: [] };
    const has = diagnosisOf(planOf(own, job), hunt)?.has;
    expect([...(has ?? [])]).to.include.members(['board', 'memory', 'riser', 'two modules']);
    expect([...(has ?? [])]).to.not.include.members(['card']);
    expect(has?.has("maker's plug")).to.equal(false);
  });
  it("knows a maker's machine", () => {
    expect(isMakers(planWith({ board: { format: "maker's own" } }))).to.equal(true);
    expect(isMakers(planWith({ board: { mainPlug: 'main24' } }))).to.equal(false);
  });
});

describe('startup/settings', () => {
  it('names what the plan needs and what silencing loses', () => {
    const { shop, job } = jobOver(
      {
        board: { format: "maker's own", fanHeaders: ['fan4', 'fan4', 'fan4'] },
        cooler: {},
        processor: { graphics: 'yes' },
      },
      { case: {}, card1: {}, memory1: {}, small1: { sort: 'riser' } },
    );
    const settings = settingsFor(planOf(shop, job));
    expect(settings.map((each) => each.setting.split(/[:,]/)[0])).to.deep.equal([
      'lid sensor',
      'fan lower limit',
      'slot generation',
      'link power saving',
      'first picture',
      'RAM',
    ]);
    for (const each of settings.slice(0, 2)) expect(each.loses).to.not.equal(undefined);
    expect(settingsFor(planWith({ case: {} }))).to.be.empty;
  });
  it('leaves new RAM alone as long as its kind may train', () => {
    const minutes = (memoryKind?: string) => {
      const { shop, job } = jobOver({ board: {} }, { memory1: memoryKind ? { memoryKind } : {} });
      return leaveAlone(planOf(shop, job)).seconds / 60;
    };
    expect([minutes('DDR4'), minutes('DDR5'), minutes()]).to.eql([2, 15, 15]);
    const as = jobOver({ board: {}, memory1: {} });
    expect(leaveAlone(planOf(as.shop as Shop, as.job)).seconds).to.equal(30);
  });
});

describe('startup/schema', () => {
  it('takes a search and refuses what is none, with the place', () => {
    const state = readDiagnosis({
      sign: 'loops',
      after: ['memory'],
      spares: { memory: 'A14' },
      tried: [{ test: 'least', yes: true }],
    });
    expect(state.spares.memory).to.deep.equal({ id: 'A14', name: 'A14' });
    expect(() => readDiagnosis({ sign: 'smoke' })).to.throw(/sign/);
    expect(() => readDiagnosis({ sign: 'loops', tried: [{ test: 'kick', yes: true }] })).to.throw(
      /tried\[0\]\.test/,
    );
    expect(() => readDiagnosis({ sign: 'loops', spares: { wheel: 'x' } })).to.throw(/spares/);
    expect(() => readDiagnosis([])).to.throw(/no object/);
  });
});
