import { expect } from 'chai';
import { furtherMachines } from '../../../src/core/allocate/further.ts';
import { searchOf } from '../../../src/core/allocate/planned.ts';
import { openJobs } from '../../../src/core/allocate/jobs.ts';
import { takenUp } from '../../../src/core/allocate/proposal.ts';
import { finished } from '../../../src/core/allocate/search.ts';
import { usualWishes } from '../../../src/core/allocate/wishes.ts';
import { takePlan } from '../../../src/core/edits/allocateEdits.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import type { Part, Shop } from '../../../src/core/model/types/types.ts';
import { seededRandom } from '../../../src/core/units/seededRandom.ts';
import { greedy, planned, running, solver, unhurried } from '../../helpers/plans.ts';
import { madeWrecks, rowOf, wishing, type Figures, type Laid } from '../../helpers/wrecks.ts';

const demo = demoShop('2026-11-25T09:00:00.000Z');
const EUR = (minor: number) => ({ minor, currency: 'EUR' });

/** A card for a flat case that goes into a roomy one, too; and one that is for roomy ones alone. */
const low: Figures = {
  length: 168,
  height: 65,
  bracket: 'both',
  slotsWide: 1,
  watts: 30,
  screens: 2,
  lanes: 16,
  plugs: [],
};
const tall: Figures = { ...low, length: 240, height: 112, bracket: 'full', slotsWide: 2 };
const cards = (n: number, facts: Figures, tag: string, part: Partial<Part> = {}): Laid[] =>
  Array.from({ length: n }, (_, i) => ({ seat: 'card1', facts, id: `${tag}${i}`, part }));

const buy = (price: number | undefined, more: Partial<Part> = {}): Partial<Part> => ({
  place: 'buy',
  ...(price !== undefined && { price: EUR(price) }),
  ...more,
});

const partOf = (shop: Shop, id: string) => shop.parts.find((part) => part.id === id);
const given = ({ plans }: Awaited<ReturnType<typeof planned>>) =>
  plans[0]!.jobs.flatMap(({ jobId, strands }) =>
    strands.flatMap(({ seat, partId }) => (partId ? [`${jobId} ${seat} ${partId}`] : [])),
  );

describe('allocate, what a joint choice is worth', () => {
  it('six roomy and six flat jobs, 60 donors: one after the other leaves six without, together none', async () => {
    const shop = rowOf(6, 6, [
      ...cards(6, low, 'D0-').map((each, i) => ({ ...each, donor: `D0${i}` })),
      ...cards(54, tall, 'E-').map((each, i) => ({ ...each, donor: `E${i}` })),
    ]);
    expect(shop.machines.filter(({ state }) => state === 'donor')).to.have.length(60);
    expect(greedy(shop, 'card1').without).to.have.length(6);
    const answer = await planned(shop);
    expect(answer.proven).to.equal(true);
    expect(answer.plans[0]?.summary.runs).to.equal(12);
    expect(running(takenUp(shop, answer.plans[0]!))).to.have.length(12);
  });

  it('twelve jobs: 117.75 one after the other, 0.00 together', async () => {
    const shop = rowOf(7, 5, [
      ...cards(5, low, 'A'),
      ...cards(7, tall, 'B'),
      ...cards(5, low, 'C', { place: 'buy', price: EUR(2355) }),
    ]);
    const alone = greedy(shop, 'card1');
    expect(alone.without).to.deep.equal([]);
    expect(alone.cost).to.equal(11775);
    const answer = await planned(shop);
    expect(answer.plans[0]?.summary.bill.sum).to.deep.equal({ lo: 0, hi: 0 });
    expect(answer.plans[0]?.summary.runs).to.equal(12);
    expect(answer.proven).to.equal(true);
  });

  it('the demo: the PSU wanted by two goes to neither', async () => {
    const answer = await planned(demo);
    const S01 = given(answer).filter((line) => line.endsWith(' S01'));
    expect(S01).to.deep.equal(['16 supply S01']);
    expect(answer.proven).to.equal(true);
    expect(answer.today.runs).to.be.below(answer.plans[0]!.summary.runs);
    const after = takenUp(demo, answer.plans[0]!);
    const runs = answer.plans[0]!.jobs.filter((job) => job.runs).map(({ jobId }) => jobId);
    expect(running(after)).to.include.members(runs);
    expect(answer.plans[0]!.summary.runs).to.equal(runs.length);
  });
});

describe('allocate, every plan', () => {
  it('passes every check of every job that runs, whatever the shop; greedy never beats it', async function () {
    this.timeout(120_000);
    for (let seed = 1; seed <= 25; seed += 1) {
      const shop = wishing(madeWrecks(seededRandom(seed), { jobs: 4, donors: 6, shelf: 12 }));
      const answer = await planned(shop, { others: 1 });
      for (const plan of answer.plans) {
        const after = takenUp(shop, plan);
        const runs = plan.jobs.filter((job) => job.runs).map(({ jobId }) => jobId);
        expect(running(after), `shop ${seed}`).to.include.members(runs);
        /* No piece in two places. */
        const ids = plan.jobs.flatMap((job) =>
          job.runs ? job.strands.flatMap(({ partId }) => partId ?? []) : [],
        );
        expect(new Set(ids).size, `shop ${seed}`).to.equal(ids.length);
      }
      const alone = greedy(shop, 'card1');
      expect(answer.plans[0]!.summary.runs).to.be.at.least(running(alone.shop).length);
    }
  });

  it('is the same however the shop is sorted, and the second time', async () => {
    for (const seed of [3, 8, 21]) {
      const shop = wishing(madeWrecks(seededRandom(seed), { jobs: 4, donors: 5, shelf: 14 }));
      const dice = seededRandom(99);
      const turned = { ...shop, parts: [...shop.parts].sort(() => dice() - 0.5) };
      const first = given(await planned(shop));
      expect(given(await planned(shop))).to.deep.equal(first);
      expect(given(await planned(turned))).to.deep.equal(first);
    }
  });

  it('next plans differ by more than a swap of twins, and are no better', async () => {
    const shop = rowOf(2, 0, [...cards(4, tall, 'A'), ...cards(1, low, 'B')]);
    const answer = await planned(shop, { others: 2 });
    const sorts = answer.plans.map((plan) =>
      plan.jobs.map(({ strands }) =>
        strands.map(({ partId }) => partId && partOf(shop, partId)?.name).join(),
      ),
    );
    expect(new Set(sorts.map((each) => each.join())).size).to.equal(answer.plans.length);
    expect(answer.plans.length).to.equal(3);
    for (const counts of answer.counts.slice(1))
      expect(counts.run).to.be.at.least(answer.counts[0]!.run);
  });
});

describe('allocate, who has a say', () => {
  const one = (more: Partial<Part>, donor?: Laid['machine']) =>
    rowOf(1, 0, [
      {
        seat: 'card1',
        facts: tall,
        id: 'X',
        part: more,
        ...(donor && { donor: 'D', machine: donor }),
      },
    ]);
  const cases: [string, Shop, string][] = [
    ['lent', one({ loan: { way: 'lent', who: 'the school' } }), 'X'],
    ['reserved', one({ reserved: '77' }), 'X'],
    ['kept whole', one({}, { keepWhole: true }), 'D'],
    ['in use', one({}, { state: 'in use' }), 'D'],
  ];
  for (const [why, shop, tag] of cases)
    it(`${why}: left alone, named with what leave would gain, used with leave`, async () => {
      const without = await planned(shop, { reasons: true });
      expect(without.plans[0]?.summary.runs).to.equal(0);
      expect(without.gains.map(({ what }) => ('leave' in what ? what.leave : ''))).to.deep.equal([
        tag,
      ]);
      expect(without.gains[0]?.gains).to.deep.equal({ dim: 'run', by: 1 });
      const wishes = { ...usualWishes, leave: [tag] };
      const { plans } = await planned(shop, { wishes });
      expect(plans[0]?.summary.runs).to.equal(1);
      expect(plans[0]?.leave).to.include(tag);
    });

  it('borrowed, dead and gone parts are no parts', async () => {
    for (const more of [
      { loan: { way: 'borrowed' as const } },
      { condition: 'dead' as const },
      { place: 'gone' as const },
    ]) {
      const answer = await planned(one(more));
      expect(answer.plans[0]?.summary.runs).to.equal(0);
    }
  });

  it('what another open job has planned stays with it', async () => {
    const shop = rowOf(2, 0, cards(1, tall, 'A'));
    const [first, second] = shop.jobs;
    const changes = [{ seat: 'card1', partId: 'A0' }];
    const held = { ...shop, jobs: [first!, { ...second!, changes }] };
    expect(given(await planned(held, { jobIds: [first!.id] }))).to.deep.equal([]);
    expect(given(await planned(held))).to.have.length(1);
  });

  it('a part frees itself for another job once its own gets another', async () => {
    const shop = rowOf(1, 1, [...cards(1, low, 'A'), ...cards(1, tall, 'B')]);
    const roomy = shop.machines.find(({ id }) => id === shop.jobs[0]!.machineId)!;
    /* The roomy machine has the one low card in it, and asks for the tall one. */
    const machines = shop.machines.map((machine) =>
      machine === roomy
        ? { ...machine, seats: [...machine.seats, { seat: 'card1', partId: 'A0' }] }
        : machine,
    );
    const jobs = shop.jobs.map((job, i) =>
      i === 0 ? { ...job, changes: [{ seat: 'card1', partId: 'B0' }] } : job,
    );
    const answer = await planned({ ...shop, machines, jobs });
    expect(given(answer)).to.deep.equal(['1 card1 B0', '2 card1 A0']);
  });
});

describe('allocate, money', () => {
  it('a lot is bought whole: dearer together than the one alone', async () => {
    const shop = rowOf(1, 0, [
      ...cards(1, tall, 'A', buy(500, { lot: 'l' })),
      { seat: 'memory1', facts: { memoryKind: 'DDR3' }, id: 'M', part: buy(900, { lot: 'l' }) },
      ...cards(1, tall, 'B', buy(1200)),
    ]);
    expect(given(await planned(shop))).to.deep.equal(['1 card1 B0']);
    const cheaper = {
      ...shop,
      parts: shop.parts.map((p) => (p.id === 'M' ? { ...p, price: EUR(600) } : p)),
    };
    const answer = await planned(cheaper);
    expect(given(answer)).to.deep.equal(['1 card1 A0']);
    expect(answer.plans[0]?.summary.bill.sum.hi).to.equal(1100);
  });

  it('an offered machine is paid once, whatever is used of it', async () => {
    const offer = { currency: 'EUR', asked: 3000, fixes: [] };
    const shop = rowOf(2, 0, [
      ...cards(2, tall, 'A').map((each) => ({
        ...each,
        donor: 'O',
        machine: { state: 'offered' as const, offer },
      })),
      ...cards(2, tall, 'B', buy(1600)),
    ]);
    const answer = await planned(shop);
    expect(given(answer)).to.deep.equal(['1 card1 A0', '2 card1 A1']);
    expect(answer.plans[0]?.summary.bill.sum.hi).to.equal(3000);
  });

  it('ranges: cheapest for sure, or cheapest in the middle', async () => {
    const shop = rowOf(1, 0, [
      ...cards(1, tall, 'A', buy(500, { priceTo: 2000 })),
      ...cards(1, tall, 'B', buy(1500)),
    ]);
    expect(given(await planned(shop))).to.deep.equal(['1 card1 B0']);
    const middle = { ...usualWishes, prices: 'middle' as const };
    expect(given(await planned(shop, { wishes: middle }))).to.deep.equal(['1 card1 A0']);
  });

  it('prices missing everywhere, two currencies without a rate: named, never nothing', async () => {
    const none = rowOf(1, 0, cards(1, tall, 'A', buy(undefined)));
    const { plans } = await planned(none);
    expect(plans[0]?.summary.runs).to.equal(1);
    expect(plans[0]?.summary.bill.unpriced).to.have.length(1);
    expect(plans[0]?.summary.bill.sum).to.deep.equal({ lo: 0, hi: 0 });
    const foreign = rowOf(1, 0, [
      ...cards(1, tall, 'A', { place: 'buy', price: { minor: 1, currency: 'SEK' } }),
      ...cards(1, tall, 'B', buy(90_000)),
    ]);
    const answer = await planned(foreign);
    expect(given(answer)).to.deep.equal(['1 card1 B0']);
    const only = { ...foreign, parts: foreign.parts.filter(({ id }) => id !== 'B0') };
    expect((await planned(only)).plans[0]?.summary.bill.noRate).to.have.length(1);
  });

  it('a budget decides who gets the dear one of two', async () => {
    for (const rich of [0, 1]) {
      const shop = rowOf(2, 0, [
        ...cards(1, tall, 'A', buy(400)),
        ...cards(1, { ...tall, length: 241 }, 'B', buy(900)),
      ]);
      const jobs = shop.jobs.map((job, i) => ({ ...job, ...(i !== rich && { budget: EUR(500) }) }));
      const answer = await planned({ ...shop, jobs });
      expect(given(answer)).to.include(`${rich + 1} card1 B0`);
      expect(answer.counts[0]?.asks).to.equal(0);
      const poor = await planned({
        ...shop,
        jobs: jobs.map((job) => ({ ...job, budget: EUR(500) })),
      });
      expect(poor.counts[0]?.asks).to.equal(1);
      expect(poor.plans[0]?.summary.runs).to.equal(2);
    }
  });

  it('says up to which price a part is worth buying', async () => {
    const shop = rowOf(1, 0, [...cards(1, tall, 'A', buy(1000)), ...cards(1, low, 'B', buy(1800))]);
    const { whys } = await planned(shop, { reasons: true });
    const why = whys.find(({ partId }) => partId === 'A0');
    expect(why?.costs).to.deep.equal({ dim: 'money', by: -1600 });
    expect(why?.upTo).to.equal(1800);
    expect(why?.insteadId).to.equal('B0');
  });

  it('the order of wishes decides: money before minutes, or minutes before money', async () => {
    const shop = rowOf(1, 0, [
      { ...cards(1, tall, 'A')[0]!, donor: 'D' },
      ...cards(1, tall, 'B', buy(100)),
    ]);
    expect(given(await planned(shop))).to.deep.equal(['1 card1 A0']);
    const wishes = { ...usualWishes, order: ['run', 'minutes', 'money'] as const };
    expect(given(await planned(shop, { wishes }))).to.deep.equal(['1 card1 B0']);
  });
});

describe('allocate, what cannot be', () => {
  it('no free part: says so of the seat', async () => {
    const shop = rowOf(1, 0, []);
    const lacking = {
      ...shop,
      machines: shop.machines.map((machine) => ({
        ...machine,
        starts: false,
        seats: machine.seats.filter(({ seat }) => seat !== 'supply'),
      })),
      parts: shop.parts.filter(({ kind }) => kind !== 'supply'),
    };
    const { stuck } = await planned(lacking, { reasons: true });
    expect(stuck).to.deep.equal([
      { jobId: '1', reasons: ['There is no PSU nobody else has a say in.'], instead: false },
    ]);
  });

  it('a job nothing can make run: the smallest set of reasons', async () => {
    const shop = rowOf(0, 1, cards(3, tall, 'A'));
    const { stuck, plans } = await planned(shop, { reasons: true });
    expect(plans[0]?.summary.runs).to.equal(0);
    expect(stuck[0]?.instead).to.equal(false);
    expect(stuck[0]?.reasons.length).to.be.within(1, 2);
    expect(stuck[0]?.reasons.join()).to.match(/card/i);
  });

  it('a job that could run were it not for another says which', async () => {
    const shop = rowOf(2, 0, cards(1, tall, 'A'));
    const { stuck } = await planned(shop, { reasons: true });
    expect(stuck).to.have.length(1);
    expect(stuck[0]?.instead).to.equal(true);
    expect(stuck[0]?.reasons.join()).to.match(/^Job [12] runs instead/);
  });

  it('stopped at once it has an honest answer: nothing, not proven', async () => {
    const shop = rowOf(2, 0, cards(2, tall, 'A'));
    const search = searchOf(shop, openJobs(shop), usualWishes, await solver());
    const out = finished(search.best({ left: () => 0 }));
    expect(out.proven).to.equal(false);
    expect(out.found?.picks).to.deep.equal([undefined, undefined]);
  });

  it('none of the jobs is open', async () => {
    const solve = await solver();
    expect(() => searchOf(demo, ['3'], usualWishes, solve)).to.throw('None of these jobs is open.');
  });
});

describe('allocate, twins and leftovers', () => {
  it('of twins the one goes that would fetch least', async () => {
    const shop = rowOf(1, 0, [
      ...cards(1, tall, 'A', { worth: EUR(500) }),
      ...cards(1, tall, 'B'),
      ...cards(1, tall, 'C', { worth: EUR(900) }),
    ]);
    expect(given(await planned(shop))).to.deep.equal(['1 card1 B0']);
  });
  it('a job that does not run keeps of its plan what nobody else was given', async () => {
    const shop = rowOf(2, 0, [
      ...cards(1, tall, 'A'),
      { seat: 'fan1', id: 'F', facts: { size: 120, thickness: 25 } },
    ]);
    const changes = [
      { seat: 'card1', partId: 'A0' },
      { seat: 'fan1', partId: 'F' },
    ];
    const [first, second] = shop.jobs;
    const jobs = [
      { ...first!, weight: 2 },
      { ...second!, changes },
    ];
    const { plans } = await planned({ ...shop, jobs });
    const left = plans[0]!.jobs.find(({ jobId }) => jobId === '2')!;
    expect(left.runs).to.equal(false);
    expect(left.changes).to.deep.equal([{ seat: 'fan1', partId: 'F' }]);
    expect(takePlan(plans[0]!)({ ...shop, jobs }).jobs[0]?.changes).to.deep.equal([
      { seat: 'card1', partId: 'A0' },
    ]);
  });
});

describe('allocate, large shelves', () => {
  it('10,000 parts: passes over what is as good as others, and says how many', async () => {
    const shop = rowOf(2, 2, [
      ...cards(5000, tall, 'T').map((each, i) => ({
        ...each,
        part: buy(1000 + i),
      })),
      ...cards(5000, low, 'L').map((each, i) => ({
        ...each,
        part: buy(2000 + i),
      })),
    ]);
    const answer = await planned(shop);
    expect(answer.plans[0]?.summary.bill.sum.hi).to.equal(1000 + 1001 + 2000 + 2001);
    expect(answer.proven).to.equal(true);
    expect(answer.notes.join()).to.match(/^99\d\d parts were passed over/);
  });
});

describe('allocate, stages', () => {
  const staged = (now: string, later: string) => {
    const shop = rowOf(1, 0, [
      ...cards(1, tall, 'A', { place: 'buy', price: EUR(1000) }),
      ...cards(1, { ...tall, screens: 4 }, 'B', { place: 'buy', price: EUR(1500) }),
    ]);
    const changes = [
      { seat: 'card1', partId: now },
      { seat: 'card1', partId: later, stage: 2 },
    ];
    return { ...shop, jobs: shop.jobs.map((job) => ({ ...job, changes })) };
  };
  it('buys once for the last stage where that serves the first one, too', async () => {
    const answer = await planned(staged('A0', 'B0'));
    expect(answer.plans[0]?.jobs[0]?.changes).to.deep.equal([{ seat: 'card1', partId: 'B0' }]);
    expect(answer.plans[0]?.summary.bill.sum.hi).to.equal(1500);
    expect(answer.counts[0]?.asks).to.equal(0);
  });
  it('does not give up what a later stage asks for', async () => {
    const shop = staged('A0', 'B0');
    const dear = {
      ...shop,
      parts: shop.parts.map((part) => (part.id === 'B0' ? { ...part, price: EUR(90_000) } : part)),
    };
    expect((await planned(dear)).plans[0]?.jobs[0]?.changes.at(-1)?.partId).to.equal('B0');
  });
});

describe('allocate, what is there already', () => {
  const memory = (size: number): Figures => ({
    memoryKind: 'DDR4',
    memoryForm: 'DIMM',
    size,
    height: 31,
  });
  const wants = (size: number) => {
    const shop = rowOf(1, 0, [
      ...cards(1, tall, 'A'),
      { seat: 'memory1', id: 'R', facts: memory(size), part: buy(1000) },
    ]);
    const changes = [{ seat: 'memory1', partId: 'R' }];
    return { ...shop, jobs: shop.jobs.map((job) => ({ ...job, changes })) };
  };
  it('stays where it is as good as what was planned, and goes where it is less', async () => {
    const same = await planned(wants(8));
    expect(given(same)).to.deep.equal(['1 card1 A0']);
    expect(same.counts[0]?.asks).to.equal(0);
    const less = await planned(wants(4));
    expect(given(less)).to.deep.equal(['1 card1 A0']);
    expect(less.counts[0]?.asks).to.equal(0);
    const more = await planned(wants(16));
    expect(given(more)).to.deep.equal(['1 memory1 R', '1 card1 A0']);
  });
  it('where nobody said how large it is, what was planned comes', async () => {
    const shop = wants(8);
    const parts = shop.parts.map((part) => {
      const { size: _, ...facts } = part.facts;
      return part.id === 'M1-memory1' ? { ...part, facts } : part;
    });
    expect(given(await planned({ ...shop, parts }))).to.include('1 memory1 R');
  });
  it('modules of one machine are not moved about within it', async () => {
    const answer = await planned(demo, { jobIds: ['9'] });
    const own = new Set(
      demo.machines.find(({ id }) => id === 'M9')!.seats.map((seat) => seat.partId),
    );
    for (const { partId } of answer.plans[0]!.jobs[0]!.strands)
      expect(partId !== undefined && own.has(partId)).to.equal(false);
  });
});

describe('allocate, taken and built on', () => {
  it('one edit: changes, remedies, wants; leave is given back to nobody', async () => {
    const answer = await planned(demo, { jobIds: ['5', '14'] });
    const after = takePlan(answer.plans[0]!)(demo);
    const job = after.jobs.find(({ id }) => id === '5')!;
    expect(job.changes).to.deep.equal(
      answer.plans[0]!.jobs.find(({ jobId }) => jobId === '5')!.changes,
    );
    const takes = answer.plans[0]!.jobs.find(({ jobId }) => jobId === '14')!.takes;
    expect(takes.length).to.be.above(0);
    const other = after.jobs.find(({ id }) => id === '14')!;
    for (const { value, get } of takes) {
      expect(other.applied).to.deep.include(value);
      if (get) expect(other.wants.map(({ what }) => what)).to.include(get.what);
    }
    expect(after.parts).to.deep.equal(demo.parts);
    for (const each of demo.jobs)
      if (!['5', '14'].includes(each.id)) expect(after.jobs).to.include(each);
  });

  it('what the rest makes: donors that run as they are, and broken ones for one another', async () => {
    const shop = rowOf(0, 0, []);
    const whole = rowOf(3, 0, cards(3, tall, 'A'));
    /* Three wrecks: one without PSU, one with a dead board, one whole. */
    const machines = whole.machines.map((machine, i) => ({
      ...machine,
      state: 'donor' as const,
      seats: [
        ...machine.seats.filter(({ seat }) => i !== 0 || seat !== 'supply'),
        { seat: 'card1', partId: `A${i}` },
      ],
    }));
    const parts = whole.parts
      .map((part) => (part.id === 'M2-board' ? { ...part, condition: 'dead' as const } : part))
      .filter(({ id }) => id !== 'M1-supply');
    const rest: Shop = { ...shop, machines, parts, jobs: [] };
    const built = finished(furtherMachines(rest, 0, await solver(), unhurried));
    const runs = built!.proposal.jobs.filter((job) => job.runs);
    expect(runs.map(({ jobId }) => jobId)).to.deep.equal(['further M1', 'further M3']);
    expect(runs[0]?.strands.find(({ seat }) => seat === 'supply')?.partId).to.equal('M2-supply');
    expect(built?.proven).to.equal(true);
  });

  it('adds no more than was said', async () => {
    const whole = rowOf(1, 0, cards(1, tall, 'A', { place: 'buy', price: EUR(700) }));
    const rest: Shop = {
      ...whole,
      machines: whole.machines.map((machine) => ({ ...machine, state: 'donor' as const })),
      jobs: [],
    };
    const runs = async (most: number) =>
      finished(furtherMachines(rest, most, await solver(), unhurried))?.proposal.jobs.filter(
        (job) => job.runs,
      ).length;
    expect(await runs(699)).to.equal(0);
    expect(await runs(700)).to.equal(1);
  });
});
