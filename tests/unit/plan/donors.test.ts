import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { worst, type Finding } from '../../../src/core/findings/finding.ts';
import { indexOf } from '../../../src/core/model/lookup/lookup.ts';
import { withChange } from '../../../src/core/model/types/stages.ts';
import type { Entry, Job, Part, Shop } from '../../../src/core/model/types/types.ts';
import { candidatesFor, pool, servicesOf } from '../../../src/core/resolve/candidatesFor.ts';
import { cutFor } from '../../../src/core/shop/cut.ts';
import { loansOf } from '../../../src/core/shop/loans.ts';
import { tripList } from '../../../src/core/shop/shopping.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { promised } from '../../../src/core/plan/promised.ts';
import { checksOf, runChecks, tightest } from '../../../src/core/plan/run.ts';
import { boughtTwice, stageCosts } from '../../../src/core/plan/stageMoney.ts';
import { stripping } from '../../../src/core/shop/stripping.ts';
import { jobOver, jobWith, partFor } from '../../helpers/build.ts';

const demo = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (shop: Shop, id: string): Job => {
  const job = indexOf(shop).jobs.get(id);
  if (!job) throw new Error(`no job ${id}`);
  return job;
};
const withPart = (shop: Shop, id: string, fields: Partial<Part>): Shop => ({
  ...shop,
  parts: shop.parts.map((part) => (part.id === id ? { ...part, ...fields } : part)),
});

describe('plan/promised, who else has a say', () => {
  const { shop, job } = jobWith({ supply: {} });
  const marks = (fields: Partial<Part>) =>
    promised(planOf(withPart(shop, 'T-supply', fields), job)).map(
      ({ id, mark }) => `${id} ${mark}`,
    );
  it('leaves a part nobody else wants alone, and one reserved for this job', () => {
    expect(marks({})).to.deep.equal([]);
    expect(marks({ reserved: '1' })).to.deep.equal([]);
  });
  it('mends a part reserved for another job or borrowed, watches one that is lent', () => {
    expect(marks({ reserved: '9' })).to.deep.equal(['reserved:supply mend']);
    expect(marks({ loan: { way: 'borrowed', until: '2026-12-01' } })).to.deep.equal([
      'loan:supply mend',
    ]);
    expect(marks({ loan: { way: 'lent' } })).to.deep.equal(['loan:supply watch']);
  });
  for (const [fields, wanted] of [
    [{ state: 'in use' }, 'in-use:supply watch'],
    [{ state: 'donor', keepWhole: true }, 'kept-whole:supply mend'],
    [{ state: 'offered' }, 'offered:supply watch'],
  ] as const) {
    it(`${wanted} out of a machine ${JSON.stringify(fields)}`, () => {
      const inside: Shop = {
        ...shop,
        machines: [
          {
            id: 'M9',
            name: 'a machine',
            facts: {},
            seats: [{ seat: 'supply', partId: 'T-supply' }],
            ...fields,
          },
        ],
      };
      expect(promised(planOf(inside, job)).map(({ id, mark }) => `${id} ${mark}`)).to.deep.equal([
        wanted,
      ]);
    });
  }
});

describe('plan/stripping', () => {
  const { shop } = jobOver({
    case: {},
    board: { mainPlug: 'ombrik6' },
    processor: {},
    cooler: {},
    memory1: {},
    drive1: {},
    supply: {},
    small1: { sort: 'rear plate' },
  });
  const machine = shop.machines[0];
  if (!machine) throw new Error('no machine');
  const out = (...seats: string[]) =>
    stripping(
      shop,
      machine,
      seats.map((seat) => `F-${seat}`),
    );
  it('takes no time where nothing is taken, more for more', () => {
    expect(out()).to.deep.equal({ minutes: 0, spoils: [], wanted: [] });
    expect(out('drive1').minutes).to.be.greaterThan(0);
    expect(out('drive1', 'supply').minutes).to.be.greaterThan(out('drive1').minutes);
    expect(out('nothing').minutes).to.equal(0);
  });
  it('says what is spoilt: a start lost, a plate gone, a maker’s plug without its PSU', () => {
    expect(out('supply').spoils.join()).to.contain('starts today').and.contain("maker's main plug");
    expect(out('small1').spoils.join()).to.contain('worth less');
    expect(out('drive1').spoils.join()).to.contain("other people's data");
    expect(out('cooler').spoils.join()).to.contain('without a cooler');
    expect(out('memory1').spoils.join()).to.contain('no machine any more');
    expect(out('case').spoils.join()).to.contain('loses its case');
  });
  it('does not mourn a machine that does not start', () => {
    const dead = { ...machine, starts: false };
    expect(stripping(shop, dead, ['F-memory1']).spoils).to.deep.equal([]);
  });
  it('names the jobs that have planned what is taken', () => {
    const donor = indexOf(demo).machines.get('M8');
    if (!donor) throw new Error('no donor');
    expect(stripping(demo, donor, ['M8-08', 'M8-05']).wanted).to.deep.equal([
      { partId: 'M8-08', jobs: ['18'] },
    ]);
  });
});

describe('plan/stageMoney', () => {
  const { shop, job } = jobWith({ supply: {}, card1: {} });
  const first = partFor(
    'supply',
    {},
    {
      id: 'S1',
      name: 'small PSU',
      place: 'buy',
      price: { minor: 2000, currency: 'EUR' },
      worth: { minor: 500, currency: 'EUR' },
    },
  );
  const last = partFor(
    'supply',
    {},
    { id: 'S2', name: 'large PSU', place: 'buy', price: { minor: 5000, currency: 'EUR' } },
  );
  const staged = (more: Partial<Part> = {}) => {
    const changes = [
      { seat: 'supply', partId: 'S1' },
      { seat: 'supply', partId: 'S2', stage: 3 },
    ];
    const next = { ...job, changes };
    return {
      job: next,
      shop: { ...shop, parts: [...shop.parts, { ...first, ...more }, last], jobs: [next] },
    };
  };
  it('says what a stage asks for, and what is paid only for the time between', () => {
    const { shop: whole, job: plan } = staged();
    expect(stageCosts(whole, plan)).to.deep.equal([
      { stage: 1, minor: 2000, unpriced: [] },
      { stage: 3, minor: 5000, unpriced: [] },
    ]);
    const [found] = boughtTwice(planOf(whole, plan));
    expect(found?.margin).to.deep.equal({ lo: -15, hi: -15 });
    expect(found?.say).to.contain('small PSU serves only until stage 3');
  });
  it('names what has no price, and does not blame what costs nothing', () => {
    const { shop: whole, job: plan } = staged({ price: undefined });
    expect(stageCosts(whole, plan)[0]).to.deep.equal({
      stage: 1,
      minor: 0,
      unpriced: ['small PSU'],
    });
    expect(boughtTwice(planOf(whole, plan))[0]?.marginLabel).to.contain('no price');
    const own = staged({ place: 'shelf', price: undefined });
    expect(boughtTwice(planOf(own.shop, own.job))).to.deep.equal([]);
  });
});

describe('plan/candidatesFor', () => {
  it('shows conflicts as conflicts: machines in use, other jobs, donors kept whole', () => {
    const job = jobOf(demo, '14');
    const used: Shop = {
      ...demo,
      machines: demo.machines.map((machine) =>
        machine.id === 'M6' ? { ...machine, state: 'in use' } : machine,
      ),
    };
    const found = candidatesFor(used, job, 'supply');
    const sits = found.find(({ part }) => part.id === 'M6-08');
    expect(sits?.from).to.equal('M6');
    const all = runChecks(
      planOf(used, {
        ...job,
        changes: job.changes.map((change) =>
          change.seat === 'supply' ? { seat: 'supply', partId: 'M6-08' } : change,
        ),
      }),
    );
    expect(all.some(({ id }) => id === 'in-use:supply')).to.equal(true);
    expect(found.some(({ part }) => part.id === 'M8-08')).to.equal(true);
  });
  it('offers neither what is dead or gone nor what sits in another job’s machine to stay', () => {
    const dead = withPart(withPart(demo, 'S03', { condition: 'dead' }), 'S02', { place: 'gone' });
    const ids = pool(dead, jobOf(dead, '14'), 'supply').map(({ id }) => id);
    expect(ids).to.not.include.members(['S03']);
    expect(ids).to.not.include.members(['S02']);
    expect(ids).to.not.include('M9-08');
  });
  it('offers what another job takes out of its machine', () => {
    const leaving = planOf(demo, jobOf(demo, '5')).goes.find(({ kind }) => kind === 'supply');
    expect(pool(demo, jobOf(demo, '18'), 'supply').map(({ id }) => id)).to.include(
      leaving?.part.id,
    );
  });
  it('judges twins once, and who has a say in each of them for each', () => {
    const part = indexOf(demo).parts.get('S03');
    if (!part) throw new Error('no part');
    const twins: Part[] = [
      { ...part, id: 'T1' },
      { ...part, id: 'T2', reserved: '9' },
      { ...part, id: 'T3', loan: { way: 'borrowed' } },
    ];
    const many: Shop = { ...demo, parts: [...demo.parts, ...twins] };
    const job = jobOf(many, '14');
    const told = new Map(
      candidatesFor(many, job, 'supply').map((each) => [each.part.id, each] as const),
    );
    for (const { id } of twins) {
      const alone: Shop = {
        ...demo,
        parts: [...demo.parts, ...twins.filter((each) => each.id === id)],
      };
      const lone = { ...alone, parts: alone.parts.filter((each) => each.id !== 'S03') };
      const wanted = candidatesFor(lone, jobOf(lone, '14'), 'supply').find(
        (each) => each.part.id === id,
      );
      const marks = (list: readonly { id: string; mark: string }[] = []) =>
        list.map((each) => `${each.id} ${each.mark}`).sort();
      expect(told.get(id)?.mark).to.equal(wanted?.mark);
      expect(marks(told.get(id)?.against)).to.deep.equal(marks(wanted?.against));
      expect(marks(told.get(id)?.settles)).to.deep.equal(marks(wanted?.settles));
    }
    expect(told.get('T1')?.against.map(({ id }) => id)).to.not.include('reserved:supply');
    expect(told.get('T2')?.against.map(({ id }) => id)).to.include('reserved:supply');
    expect(told.get('T3')?.against.map(({ id }) => id)).to.include('loan:supply');
  });
  it('judged with all of its sort a part is what it is alone, word for word', () => {
    const shelf = demo.parts.filter(({ place }) => place === 'shelf');
    const more = shelf.map((part, i): Part => ({
      ...part,
      id: `T${i}`,
      name: `Other ${part.kind} ${i}`,
      ...(i % 5 === 0 && { condition: 'damaged' as const }),
      ...(i % 7 === 0 && { reserved: '9' }),
    }));
    const many: Shop = { ...demo, parts: [...demo.parts, ...more] };
    let looked = 0;
    for (const id of ['14', '5', '18']) {
      const job = jobOf(many, id);
      const had = new Set(runChecks(planOf(many, job)).map((each) => `${each.id} ${each.mark}`));
      for (const { seat } of planOf(many, job).seats)
        for (const told of candidatesFor(many, job, seat)) {
          const changes = withChange(job.changes, { seat, partId: told.part.id, stage: undefined });
          const found = runChecks(planOf(many, { ...job, changes }));
          const own = found.filter(({ seats }) => seats.includes(seat));
          const against = found.filter(
            ({ id: of, mark }) => (mark === 'stop' || mark === 'mend') && !had.has(`${of} ${mark}`),
          );
          expect(told.mark, `${id} ${seat} ${told.part.id}`).to.equal(worst(own));
          expect(told.tight, `${id} ${seat} ${told.part.id}`).to.deep.equal(tightest(own));
          const sorted = (list: readonly Finding[]) =>
            [...list].sort((a, b) => a.id.localeCompare(b.id));
          expect(sorted(told.against)).to.deep.equal(sorted(against));
          looked += 1;
        }
    }
    expect(looked).to.be.greaterThan(200);
  });
  it('finds where a part could serve, what settles something first', () => {
    const part = indexOf(demo).parts.get('S03');
    if (!part) throw new Error('no part');
    const found = servicesOf(demo, part);
    expect(found.length).to.be.greaterThan(3);
    expect(new Set(found.map(({ jobId }) => jobId)).size).to.equal(found.length);
    const settles = found.map(({ settles: each }) => (each.length > 0 ? 1 : 0));
    expect(settles).to.deep.equal([...settles].sort((a, b) => b - a));
    expect(found.some(({ jobId }) => jobId === '3')).to.equal(false);
  });
  it('a shop cut for the worker judges alike', () => {
    for (const [id, seat] of [
      ['14', 'supply'],
      ['5', 'memory1'],
      ['19', 'card1'],
    ] as const) {
      const job = jobOf(demo, id);
      const parts = pool(demo, job, seat);
      const cut = cutFor(demo, parts, job);
      expect(cut.parts.length).to.be.below(demo.parts.length);
      expect(candidatesFor(cut, jobOf(cut, id), seat)).to.deep.equal(
        candidatesFor(demo, job, seat),
      );
    }
  });
});

describe('plan/cut', () => {
  it('keeps of the book what is of the job: a budget that is spent already is spent in the worker, too', () => {
    const money = (minor: number) => ({ minor, currency: demo.settings.currency });
    const line = (what: string, minor: number, of: Partial<Entry>): Entry => ({
      id: `L${what}`,
      at: '2026-11-20',
      kind: 'cost',
      what,
      money: money(minor),
      ...of,
    });
    const machineId = jobOf(demo, '14').machineId!;
    const sold: Part = {
      id: 'Z90',
      kind: 'card',
      name: 'taken out long ago',
      facts: {},
      place: 'gone',
      from: machineId,
    };
    const at = (jobLine: number, machineLine: number, partLine: number, budget: number): Shop => ({
      ...demo,
      parts: [...demo.parts, sold],
      jobs: demo.jobs.map((job) => (job.id === '14' ? { ...job, budget: money(budget) } : job)),
      ledger: [
        line('a', jobLine, { jobId: '14' }),
        line('b', machineLine, { machineId }),
        line('c', partLine, { partId: 'Z90' }),
        line('of another', 900_000, { jobId: '5' }),
      ],
    });
    const overs = new Set<boolean>();
    for (const shop of [
      at(50_000, 0, 0, 45_000),
      at(0, 50_000, 0, 45_000),
      at(0, 0, 50_000, 45_000),
      at(0, 0, 0, 90_000),
    ]) {
      const job = jobOf(shop, '14');
      const cut = cutFor(shop, pool(shop, job, 'supply'), job);
      expect(cut.ledger.map(({ what }) => what)).to.deep.equal(['a', 'b', 'c']);
      const whole = checksOf(shop, job).find(({ id }) => id === 'budget');
      expect(checksOf(cut, jobOf(cut, '14')).find(({ id }) => id === 'budget')).to.deep.equal(
        whole,
      );
      overs.add(whole?.mark === 'mend');
      expect(candidatesFor(cut, jobOf(cut, '14'), 'supply')).to.deep.equal(
        candidatesFor(shop, job, 'supply'),
      );
    }
    expect([...overs]).to.deep.equal([true, false]);
  });
});

describe('plan/loans', () => {
  const shop = {
    ...demo,
    parts: [
      ['A', { way: 'lent', who: 'the school', until: '2026-11-24' }],
      ['B', { way: 'borrowed' }],
      ['C', { way: 'lent', until: '2026-11-26' }],
      ['D', { way: 'borrowed', until: '2026-11-25' }],
    ].map(([id, loan]) => partFor('fan1', {}, { id, loan } as Partial<Part>)),
  };
  it('puts the next one owed first, overdue before it, without a day last', () => {
    expect(
      loansOf(shop, '2026-11-25T22:00:00.000Z').map(({ part, days }) => [part.id, days]),
    ).to.deep.equal([
      ['A', -1],
      ['D', 0],
      ['C', 1],
      ['B', undefined],
    ]);
    expect(loansOf(shop, '2026-11-25')[0]?.say).to.equal('lent to the school, 1 day overdue');
  });
  it('is done with what is gone', () => {
    const gone = {
      ...shop,
      parts: shop.parts.map((part) => ({ ...part, place: 'gone' as const })),
    };
    expect(loansOf(gone, '2026-11-25')).to.deep.equal([]);
  });
});

describe('plan/trip, small parts of the shelf', () => {
  const wanting = (what: string) => {
    const { shop, job } = jobWith({}, { wants: [{ what, count: 4 }] });
    const screws = partFor(
      'small1',
      { what: 'screw M3', count: 40 },
      { id: 'N2', name: 'M3 screws' },
    );
    return tripList({ ...shop, jobs: [job], parts: [screws] })[0]?.onShelf;
  };
  for (const what of ['M3 screws', 'screws M3', 'screw M3'])
    it(`finds “${what}” there`, () =>
      expect(wanting(what)).to.deep.equal({ partId: 'N2', count: 40 }));
  it('does not take one screw for another', () => expect(wanting('screw M2')).to.equal(undefined));
});
