import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { applyRemedy, putPart, setFact } from '../../../src/core/edits/edits.ts';
import { indexOf } from '../../../src/core/model/lookup/lookup.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { costs, standing } from '../../../src/core/shop/standing.ts';
import { flips } from '../../../src/core/findings/flips.ts';
import { lastChance } from '../../../src/core/plan/lastChance.ts';
import { foundOf, planOf } from '../../../src/core/plan/planOf.ts';
import { answered, questions } from '../../../src/core/plan/questions.ts';
import { candidates, remediesFor } from '../../../src/core/resolve/otherParts.ts';
import { gap } from '../../../src/core/findings/gap.ts';
import { plain } from '../../../src/core/findings/terms.ts';
import { commonPractice } from '../../../src/core/standards/source.ts';
import { range } from '../../../src/core/units/range.ts';
import { countByStation, runChecks, tightest } from '../../../src/core/plan/run.ts';
import { buyLine } from '../../../src/core/edits/tripEdits.ts';
import { tripList } from '../../../src/core/shop/shopping.ts';
import { jobOver, jobWith, the } from '../../helpers/build.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import type { Remedy } from '../../../src/core/findings/finding.ts';

const now = '2026-11-25T09:00:00.000Z';
const demo = demoShop(now);
const jobOf = (shop: Shop, id: string): Job => {
  const job = indexOf(shop).jobs.get(id);
  if (!job) throw new Error(`no job ${id}`);
  return job;
};
const check = (shop: Shop, id: string) => runChecks(planOf(shop, jobOf(shop, id)));

describe('plan/run', () => {
  it('puts the worst first and gives each finding an id of its own', () => {
    for (const job of demo.jobs) {
      const found = check(demo, job.id);
      const ids = found.map((finding) => finding.id);
      expect(new Set(ids).size, ids.join()).to.equal(ids.length);
      const rank = found.map((finding) => ['stop', 'mend', 'watch', 'clear'].indexOf(finding.mark));
      expect(rank).to.deep.equal([...rank].sort((a, b) => a - b));
    }
  });
  it('never lets a figure that is no number out', () => {
    for (const job of demo.jobs) {
      for (const finding of check(demo, job.id)) {
        const values = [finding.margin, ...finding.terms.map((term) => term.value)];
        for (const value of values) {
          if (typeof value !== 'object') continue;
          expect(Number.isFinite(value.lo) && Number.isFinite(value.hi), finding.id).to.equal(true);
          expect(value.lo).to.be.at.most(value.hi);
        }
      }
    }
  });
  it('gives each finding a reason and a source', () => {
    for (const finding of check(demo, '14')) {
      expect(finding.say.length).to.be.above(10);
      expect(finding.source.title).to.not.equal('');
    }
  });
  it('counts by station for the rail', () => {
    const counts = countByStation(check(demo, '14'));
    expect(counts.fit?.stop).to.equal(1);
    expect(counts.plugs?.mend).to.equal(2);
    expect(counts.watts).to.deep.equal({ stop: 0, mend: 0, watch: 1 });
  });
  it('names the tightest measure before a count', () => {
    expect(tightest(check(demo, '14'))?.id).to.equal('card-length:card1');
    expect(tightest([])).to.equal(undefined);
    /* Ten spare of a hundred is nearer to trouble than eight of twenty. */
    const sum = (id: string, room: number, ...needs: number[]) =>
      gap({
        id,
        station: 'fit',
        title: id,
        seats: [],
        unit: 'mm',
        terms: [
          plain('room', range(room), 1),
          ...needs.map((need) => plain('need', range(need), -1)),
        ],
        minimumMargin: 0,
        source: commonPractice,
        undoMinutes: 1,
        say: () => '.',
      });
    expect(tightest([sum('roomy', 28, 20), sum('tight', 110, 5, 95)])?.id).to.equal('tight');
  });
});

describe('plan/foundTogether', () => {
  it('needs no measuring between parts that were found together', () => {
    const { shop } = jobOver(
      { case: { class: 'micro' }, board: {}, supply: {} },
      { drive1: { form: 'M.2' } },
    );
    const found = check(shop, '1').filter((finding) => finding.station === 'fit');
    expect(found.length).to.be.above(0);
    for (const finding of found) expect(finding.mark, finding.id).to.equal('clear');
  });
  it('says that a figure is wrong when the sum says no', () => {
    const { shop } = jobOver({ case: { coolerRoom: 40 }, cooler: { height: 58 } });
    const finding = the(check(shop, '1'), 'cooler-height');
    expect(finding.mark).to.equal('watch');
    expect(finding.say).to.contain('one of the figures is wrong');
  });
  it('judges as soon as one of the two comes new', () => {
    const { shop } = jobOver({ case: { coolerRoom: 40 } }, { cooler: { height: 58 } });
    expect(the(check(shop, '1'), 'cooler-height').mark).to.equal('stop');
  });
});

describe('plan/promised', () => {
  it('finds the PSU two jobs want, in both', () => {
    for (const id of ['14', '5']) {
      const finding = the(check(demo, id), 'promised:supply');
      expect(finding.mark).to.equal('stop');
      expect(finding.margin).to.deep.equal({ lo: -1, hi: -1 });
    }
  });
  it('is settled when one takes another', () => {
    const shop = putPart('5', 'supply', 'S02')(demo);
    expect(check(shop, '14').some((finding) => finding.id.startsWith('promised'))).to.equal(false);
  });
  it('asks before a machine in use gives a part', () => {
    const shop: Shop = {
      ...demo,
      machines: demo.machines.map((machine) =>
        machine.id === 'M4' ? { ...machine, state: 'in use' } : machine,
      ),
    };
    const finding = the(check(putPart('14', 'card1', 'M4-07')(shop), '14'), 'in-use:card1');
    expect(finding.mark).to.equal('watch');
  });
});

describe('plan/flips', () => {
  it('shows what a longer card overturned, and nothing else', () => {
    const { shop } = jobWith({
      case: { cardRoom: 247, coolerRoom: 100 },
      card1: { length: 228 },
      cooler: { height: 58 },
    });
    const longer = setFact('T-card1', 'length', { lo: 267, hi: 267, how: 'measured' })(shop);
    const list = flips(check(shop, '1'), check(longer, '1'));
    expect(list.map((flip) => [flip.id, flip.from, flip.to])).to.deep.equal([
      ['card-length:card1', 'clear', 'stop'],
    ]);
    expect(list[0]?.before?.margin).to.deep.equal({ lo: 19, hi: 19 });
  });
  it('shows sums that came and went', () => {
    const list = flips(check(demo, '14'), check(putPart('14', 'card1', null)(demo), '14'));
    const gone = list.filter((flip) => flip.to === undefined).map((flip) => flip.id);
    expect(gone).to.include('card-length:card1');
    expect(list.find((flip) => flip.id === 'asks-screens')).to.deep.include({
      from: 'clear',
      to: 'mend',
    });
  });
});

describe('plan/questions', () => {
  const { shop } = jobWith({
    case: { cardRoom: 247, coolerRoom: 162 },
    card1: {},
    cooler: { class: 'tower' },
  });
  const list = questions(shop, check(shop, '1'));

  it('asks only where the answer changes a verdict', () => {
    const open = new Set(
      check(shop, '1')
        .filter((finding) => finding.mark === 'watch')
        .map((finding) => finding.id),
    );
    for (const question of list) {
      expect(question.decides.length).to.be.above(0);
      for (const id of question.decides) expect(open.has(id)).to.equal(true);
    }
    const all = questions(
      shop,
      check(setFact('T-cooler', 'height', { lo: 150, hi: 150, how: 'measured' })(shop), '1'),
    );
    expect(all.map((question) => `${question.input.partId} ${question.input.key}`)).to.not.include(
      'T-cooler height',
    );
  });
  it('asks the cheapest first', () => {
    const seconds = list.map((question) => question.seconds);
    expect(seconds).to.deep.equal([...seconds].sort((a, b) => a - b));
  });
  it('asks yes or no where one bound decides', () => {
    const length = list.find((question) => question.input.key === 'length');
    expect(length?.yesNo).to.deep.equal({ below: 247, yesIsGood: true });
    expect(length?.ask).to.contain('less than 247 mm');
  });
  it('says what measuring now may save: the chance of trouble times the cost of undoing', () => {
    const length = list.find((question) => question.input.key === 'length');
    const chance = (330 - 247) / (330 - 145);
    expect(length?.savesMinutes).to.be.closeTo(chance * 38, 1e-6);
  });
  it('settles the verdict whichever way it is answered', () => {
    fc.assert(
      fc.property(fc.boolean(), (yes) => {
        const question = list.find((each) => each.input.key === 'length');
        if (!question?.yesNo || !question.known) throw new Error('no such question');
        const value = answered(question.known, question.yesNo.below, yes);
        const after = setFact('T-card1', 'length', { ...value, how: 'measured' })(shop);
        const finding = the(check(after, '1'), 'card-length:card1');
        if (yes) expect(finding.margin?.lo).to.be.at.least(0);
        else expect(finding.margin?.hi).to.be.at.most(0);
      }),
    );
  });
  it('has nothing to ask when everything was measured or fits by class', () => {
    const { shop: sure } = jobWith({ case: { coolerRoom: 200 }, cooler: { class: 'tower' } });
    expect(questions(sure, check(sure, '1'))).to.deep.equal([]);
  });
});

const puts = (partId: string) => (remedy: Remedy) =>
  remedy.value.do === 'put' && remedy.value.partId === partId;

describe('plan/remedies', () => {
  it('offers what clears the sum, cheapest first, each run through all checks', () => {
    const job = jobOf(demo, '14');
    const finding = the(check(demo, '14'), 'card-length:card1');
    const list = remediesFor(demo, job, finding);
    expect(list[0]?.value).to.deep.equal(cageOut());
    const shorter = list.find(puts('M4-07'));
    expect(shorter?.mark).to.equal('clear');
    expect(shorter?.margin).to.deep.equal({ lo: 37, hi: 37 });
    expect(list.some(puts('F01'))).to.equal(false);
  });
  it('says when a remedy gives up what the job asked for, and never calls that Clear', () => {
    const finding = the(check(demo, '14'), 'card-length:card1');
    const duo = remediesFor(demo, jobOf(demo, '14'), finding, 9).find(puts('F02'));
    expect(duo?.givesUp).to.contain('screens');
    expect(duo?.mark).to.not.equal('clear');
  });
  it('does what it said it would', () => {
    const finding = the(check(demo, '14'), 'card-length:card1');
    for (const remedy of remediesFor(demo, jobOf(demo, '14'), finding, 9)) {
      const after = applyRemedy('14', remedy)(demo);
      const then = the(check(after, '14'), 'card-length:card1');
      expect(then.margin, remedy.title).to.deep.equal(remedy.margin);
    }
  });
  it('brings no new Stop', () => {
    const job = jobOf(demo, '14');
    for (const finding of check(demo, '14')) {
      const stops = new Set(
        check(demo, '14')
          .filter((each) => each.mark === 'stop')
          .map((each) => each.id),
      );
      for (const remedy of remediesFor(demo, job, finding, 9)) {
        if (remedy.value.do !== 'put') continue;
        const after = check(applyRemedy('14', remedy)(demo), '14');
        const fresh = after.filter((each) => each.mark === 'stop' && !stops.has(each.id));
        expect(
          fresh.map((each) => each.id),
          remedy.title,
        ).to.deep.equal([]);
      }
    }
  });
  it('leaves dead parts and machines at work alone', () => {
    const ids = candidates(demo, jobOf(demo, '14'), 'card1').map((part) => part.id);
    expect(ids).to.include.members(['F02', 'M4-07', 'M6-06']);
    const dead: Shop = {
      ...demo,
      parts: demo.parts.map((part) => (part.id === 'F02' ? { ...part, condition: 'dead' } : part)),
    };
    expect(candidates(dead, jobOf(dead, '14'), 'card1').map((part) => part.id)).to.not.include(
      'F02',
    );
    expect(candidates(demo, jobOf(demo, '14'), 'board').map((part) => part.id)).to.not.include(
      'M9-02',
    );
  });
});

describe('plan/bench', () => {
  it('stands each job where hands are next needed', () => {
    const when = (id: string) => standing(demo, jobOf(demo, id), now).hands;
    expect(when('14')).to.deep.equal({ when: 'now' });
    expect(when('9')).to.deep.include({ when: 'at', why: 'second coat drying' });
    expect(when('12')).to.deep.include({ when: 'at', why: 'running in' });
    expect(when('17').when).to.equal('no date');
    expect(when('11')).to.deep.include({ when: 'no date', why: 'a part to buy' });
    expect(when('3').when).to.equal('done');
  });
  it('comes back to now when the wait is over', () => {
    const later = '2026-11-25T23:00:00.000Z';
    expect(standing(demo, jobOf(demo, '9'), later).hands.when).to.equal('now');
  });
  it('adds the money exactly and names what has no price', () => {
    const sum = costs(demo, jobOf(demo, '14'));
    expect(sum.total.minor).to.equal(1500 + 800 + 3800 + 3200 + 400);
    expect(sum.unpriced).to.deep.equal(['single front leads']);
  });
  it('makes one trip of all open jobs', () => {
    const trip = tripList(demo);
    expect(trip.map((line) => line.label)).to.include.members([
      '1 TB M.2 drive',
      'rear plate, 1 mm sheet',
    ]);
    expect(trip.find((line) => line.label.startsWith('rear plate'))?.price).to.equal(undefined);
    expect(trip.every((line) => line.jobIds.length > 0)).to.equal(true);
  });
  it('puts alike wants of several jobs on one line', () => {
    const both: Shop = {
      ...demo,
      jobs: demo.jobs.map((job) =>
        ['14', '5'].includes(job.id)
          ? { ...job, wants: [{ what: 'paste', count: 1, price: { minor: 450, currency: 'EUR' } }] }
          : job,
      ),
    };
    const line = tripList(both).find((each) => each.label === 'paste');
    expect(line).to.deep.equal({
      label: 'paste',
      count: 2,
      jobIds: ['14', '5'],
      price: { minor: 900, currency: 'EUR' },
      unblocks: ['14', '5'],
    });
  });
  it('what frees a job stands before what does not, the cheaper first, what has no price last', () => {
    const with_ = (wants: Record<string, Job['wants']>): Shop => ({
      ...demo,
      jobs: demo.jobs.map((job) => ({
        ...job,
        changes: [],
        wants: wants[job.id] ?? [],
      })),
    });
    const want = (what: string, minor?: number) => ({
      what,
      count: 1,
      ...(minor === undefined ? {} : { price: { minor, currency: 'EUR' } }),
    });
    const trip = tripList(
      with_({
        '14': [want('feet', 300), want('plate')],
        '5': [want('dear', 5000)],
        '9': [want('cheap', 200)],
      }),
    );
    expect(trip.map((line) => line.label)).to.deep.equal(['cheap', 'dear', 'feet', 'plate']);
    expect(trip[0]!.unblocks).to.deep.equal(['9']);
    expect(trip[2]!.unblocks).to.deep.equal([]);
  });
  it('a line bought is off the list: parts on the shelf for their price, wants had', () => {
    const line = tripList(demo).find((each) => each.label === '1 TB M.2 drive')!;
    const after = buyLine(
      line.label,
      { minor: 4250, currency: 'EUR' },
      '2026-11-25T10:00:00Z',
    )(demo);
    expect(tripList(after).some((each) => each.label === line.label)).to.equal(false);
    const part = after.parts.find(
      (each) => each.name === line.label && each.price?.minor === 4250,
    )!;
    expect(part).to.include({ place: 'shelf', origin: 'bought 2026-11-25' });
    const plate = tripList(demo).find((each) => each.label.startsWith('rear plate'))!;
    const had = buyLine(plate.label, undefined, '2026-11-25')(demo);
    expect(tripList(had).some((each) => each.label === plate.label)).to.equal(false);
    expect(buyLine('nobody wants this', undefined, '2026-11-25')(demo)).to.equal(demo);
  });
  it('shows a machine as found without any change', () => {
    const machine = indexOf(demo).machines.get('M14');
    const plan = foundOf(demo, machine?.seats ?? []);
    expect(plan.seats).to.have.length(9);
    expect(plan.goes).to.deep.equal([]);
  });
});

describe('plan/lastChance', () => {
  it('names what can no longer be measured after a cut', () => {
    const { shop } = jobWith({ case: { coolerRoom: 162 }, cooler: { class: 'tower' } });
    const open = questions(shop, check(shop, '1'));
    const step = {
      id: 'remedy:cut',
      phase: 'shell' as const,
      title: 'cut',
      minutes: 1,
      seats: [],
      tools: [],
      cautions: [],
      undoable: false,
      after: [],
    };
    expect(lastChance(step, open).map((question) => question.input.key)).to.include('height');
    expect(lastChance({ ...step, undoable: true }, open)).to.deep.equal([]);
  });
});
