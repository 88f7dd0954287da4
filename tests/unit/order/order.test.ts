import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import type { Job, Schools, Shop } from '../../../src/core/model/types/types.ts';
import { handsNeeded } from '../../../src/core/order/hands.ts';
import { progress, sorted, workOrder } from '../../../src/core/order/order.ts';
import type { Step } from '../../../src/core/model/types/step.ts';
import { emptyJob } from '../../../src/core/model/types/empty.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { jobOver, type Seats } from '../../helpers/build.ts';
import { stepIdOf } from '../../../src/core/remedies/index.ts';
import { cutFront } from '../../../src/core/remedies/cutFront.ts';
import { plugAdapter } from '../../../src/core/remedies/plugAdapter.ts';

const now = '2026-11-25T09:00:00.000Z';

function steps(shop: Shop, job: Job, schools: Partial<Schools> = {}): Step[] {
  const plan = planOf(shop, job);
  return workOrder(plan, { ...job.schools, ...schools });
}

const at = (list: Step[], id: string) => list.findIndex((step) => step.id === id);

function expectBefore(list: Step[], first: string, then: string): void {
  expect(at(list, first), `${first} is missing`).to.be.at.least(0);
  expect(at(list, then), `${then} is missing`).to.be.at.least(0);
  expect(at(list, first), `${first} before ${then}`).to.be.below(at(list, then));
}

const full: Seats = {
  case: {},
  board: {},
  processor: {},
  cooler: {},
  memory1: {},
  card1: {},
  drive1: { form: '2.5' },
  supply: {},
  leads: {},
  fan1: {},
};

describe('order, case swap', () => {
  const { shop, job } = jobOver(full, { case: {}, card1: {}, supply: {} });
  const list = steps(shop, job);

  it('discharges before anything is touched, and reads before that', () => {
    expect(list[0]?.id).to.equal('before-reading');
    expect(list[1]?.id).to.equal('discharge');
    expect(list[2]?.id).to.equal('open');
  });
  it('takes out leads, card and PSU before the board', () => {
    expectBefore(list, 'out:leads', 'out:card1');
    expectBefore(list, 'out:card1', 'out:board');
    expectBefore(list, 'out:supply', 'out:board');
    expectBefore(list, 'out:drive1', 'out:board');
  });
  it('leaves CPU, cooler and RAM on the board that moves', () => {
    expect(at(list, 'out:processor')).to.equal(-1);
    expect(at(list, 'in:cooler')).to.equal(-1);
  });
  it('starts the board on the bench, then puts it in, then leads, PSU, card', () => {
    expectBefore(list, 'out:board', 'bench-start');
    expectBefore(list, 'bench-start', 'in:board');
    expectBefore(list, 'in:board', 'in:leads');
    expectBefore(list, 'in:leads', 'in:supply');
    expectBefore(list, 'in:leads', 'gate-picture');
  });
  it('fits card and drives between their gates, unplugged and discharged each time', () => {
    for (const [before, part, gate] of [
      ['gate-picture', 'in:card1', 'gate-card'],
      ['gate-card', 'in:drive1', 'gate-drives'],
    ] as const) {
      expectBefore(list, before, `off-${gate}`);
      expectBefore(list, `off-${gate}`, part);
      expectBefore(list, part, gate);
    }
    expectBefore(list, 'bench-start', 'off-bench');
    expectBefore(list, 'off-bench', 'in:board');
    expectBefore(list, 'in:fan1', 'gate-picture');
  });
  it('fits the card first where the picture comes from it, and asks where nobody said', () => {
    const title = (graphics?: string) => {
      const own = jobOver(
        { ...full, processor: graphics ? { graphics } : {} },
        { case: {}, card1: {}, supply: {} },
      );
      const found = steps(own.shop, own.job);
      return { found, gate: found.find((step) => step.id === 'gate-picture')?.title };
    };
    const card = title('no');
    expectBefore(card.found, 'in:card1', 'gate-picture');
    expect(at(card.found, 'gate-card')).to.equal(-1);
    expectBefore(card.found, 'gate-picture', 'in:drive1');
    expect(title('yes').gate).to.equal('Start in the case: screen and RAM only');
    expect(title().gate).to.contain('where the CPU has no graphics');
  });
  it('puts a riser in before its card, and a card early where the space asks for it', () => {
    const own = jobOver(full, { case: {}, card1: {}, small1: { sort: 'ribbon riser' } });
    const found = steps(own.shop, own.job);
    expectBefore(found, 'in:small1', 'in:card1');
    expectBefore(found, 'gate-picture', 'in:small1');
    const plan = planOf(own.shop, own.job);
    const narrow = workOrder(plan, own.job.schools, [
      { first: 'card1', later: 'supply', sure: true },
    ]);
    expectBefore(narrow, 'in:card1', 'in:supply');
    expectBefore(narrow, 'in:supply', 'gate-picture');
  });
  it('holds the CPU to the limit of its kind', () => {
    const gate = (socket?: string) => {
      const own = jobOver({ ...full, processor: socket ? { socket } : {} }, { case: {} });
      return steps(own.shop, own.job).find((step) => step.id === 'gate-stress')?.gate ?? '';
    };
    expect(gate('LGA1151')).to.contain('under 85 °C').and.not.contain('95 to 100');
    expect(gate('AM5')).to.contain('under its maker').and.not.contain('85');
    expect(gate()).to.contain('85 °C').and.contain('95 to 100');
  });
  it('says how long new RAM may train, by its kind', () => {
    const gate = (memoryKind?: string) => {
      const own = jobOver(
        { ...full, board: memoryKind ? { memoryKind } : {} },
        { case: {}, memory1: {} },
      );
      return steps(own.shop, own.job).find((step) => step.id === 'bench-start')?.gate ?? '';
    };
    expect(gate('DDR3')).to.contain('two minutes').and.not.contain('DDR5');
    expect(gate('DDR5')).to.contain('5 to 15 minutes');
    expect(gate()).to.contain('two minutes').and.contain('DDR5');
  });
  it('passes the gates from the least parts to the lid', () => {
    expectBefore(list, 'gate-picture', 'gate-card');
    expectBefore(list, 'gate-card', 'gate-drives');
    expectBefore(list, 'gate-drives', 'gate-stress');
    expectBefore(list, 'gate-stress', 'close');
    expect(list.at(-1)?.id).to.equal('label');
  });
  it('follows both schools', () => {
    const straight = steps(shop, job, { start: 'straight' });
    expect(at(straight, 'bench-start')).to.equal(-1);
    const first = steps(shop, job, { supply: 'first' });
    expectBefore(first, 'in:supply', 'in:board');
    expect(first.find((step) => step.id === 'in:supply')?.why).to.contain('hidden');
  });
  it('asks what becomes of data on a drive that leaves', () => {
    const swap = jobOver({ ...full }, { drive1: {} });
    const out = steps(swap.shop, swap.job).find((step) => step.id === 'out:drive1');
    expect(out?.cautions.join()).to.contain('clear, purge or destroy');
  });
});

describe('order, new board', () => {
  const { shop, job } = jobOver(full, { board: {}, processor: {}, cooler: {}, memory1: {} });
  const list = steps(shop, job);
  it('prepares the board outside: CPU, RAM, cooler', () => {
    expectBefore(list, 'in:processor', 'in:memory1');
    expectBefore(list, 'in:memory1', 'in:cooler');
    expectBefore(list, 'in:cooler', 'bench-start');
    expectBefore(list, 'bench-start', 'in:board');
  });
  it('takes the old ones out too', () => {
    expectBefore(list, 'open', 'out:board');
    expect(at(list, 'out:cooler')).to.be.at.least(0);
  });
});

describe('order, remedies', () => {
  it('cuts while the case is empty, with goggles, and says it cannot be undone', () => {
    const { shop, job } = jobOver(
      full,
      { case: { cardRoom: 200 }, card1: { length: 250 } },
      { applied: [cutFront({ seat: 'card1' })] },
    );
    const list = steps(shop, job);
    const cut = list.find((step) => step.id === 'remedy:cut-front:card1');
    expect(cut?.undoable).to.equal(false);
    expect(cut?.cautions.join()).to.contain('goggles');
    expectBefore(list, 'remedy:cut-front:card1', 'in:board');
    expectBefore(list, 'remedy:cut-front:card1', 'in:card1');
  });
});

describe('order, parts to get', () => {
  it("names what was wanted, not the remedy's id", () => {
    const { shop, job } = jobOver(
      full,
      { supply: {} },
      {
        applied: [plugAdapter({ pair: 'main-plug' })],
        wants: [
          {
            what: 'adapter main24 to maker10',
            count: 1,
            remedy: plugAdapter({ pair: 'main-plug' }),
          },
        ],
      },
    );
    const step = steps(shop, job).find(
      (each) => each.id === stepIdOf(plugAdapter({ pair: 'main-plug' })),
    );
    expect(step?.title).to.equal('Get and fit: adapter main24 to maker10');
    const gate = steps(shop, job).find((each) => each.id === 'gate-picture');
    expect(gate?.cautions.join()).to.contain('current limit');
  });
});

describe('order, properties', () => {
  const seat = fc.constantFrom(...Object.keys(full));
  const plan = fc
    .tuple(
      fc.uniqueArray(seat),
      fc.uniqueArray(seat),
      fc.constantFrom('bench', 'straight'),
      fc.constantFrom('first', 'last'),
    )
    .map(([found, comes, start, supply]) => {
      const pick = (names: string[]) =>
        Object.fromEntries(names.map((name) => [name, full[name] ?? {}]));
      return { ...jobOver(pick(found), pick(comes)), schools: { start, supply } as Schools };
    });

  it('orders any plan: every step after what it needs, each once', () => {
    fc.assert(
      fc.property(plan, ({ shop, job, schools }) => {
        const list = steps(shop, job, schools);
        const seen = new Set<string>();
        for (const step of list) {
          for (const id of step.after)
            expect(seen.has(id), `${id} before ${step.id}`).to.equal(true);
          expect(seen.has(step.id)).to.equal(false);
          seen.add(step.id);
        }
      }),
    );
  });
  it('takes out before it puts in, for every seat of any plan', () => {
    fc.assert(
      fc.property(plan, ({ shop, job, schools }) => {
        const list = steps(shop, job, schools);
        for (const step of list) {
          if (!step.id.startsWith('in:')) continue;
          const out = at(list, `out:${step.id.slice(3)}`);
          if (out >= 0) expect(out).to.be.below(at(list, step.id));
        }
      }),
    );
  });
  it('has nothing to do where nothing changes', () => {
    const { shop, job } = jobOver(full);
    expect(steps(shop, job)).to.deep.equal([]);
  });
  it('finds steps that wait for each other', () => {
    const step = (id: string, after: string[]): Step => ({
      id,
      phase: 'in',
      title: id,
      minutes: 1,
      seats: [],
      tools: [],
      cautions: [],
      undoable: true,
      after,
    });
    expect(() => sorted([step('a', ['b']), step('b', ['a'])])).to.throw('wait for each other');
  });
});

describe('order, progress', () => {
  const shop = demoShop(now);
  const job = shop.jobs.find((each) => each.id === '14') as Job;
  const list = steps(shop, job);
  it('names the next step and the minutes left', () => {
    const state = progress(list, job.ticks);
    expect(state.done.map((step) => step.id)).to.deep.equal(['before-reading']);
    expect(state.next?.id).to.equal('discharge');
    expect(state.minutesLeft).to.equal(list.slice(1).reduce((sum, step) => sum + step.minutes, 0));
  });
  it('a gate that failed is not passed', () => {
    const failed = progress(list, [{ stepId: 'before-reading', at: now, failed: true }]);
    expect(failed.next?.id).to.equal('before-reading');
  });
});

describe('order, hands', () => {
  const job = { ...emptyJob('1', 'x', ''), machineId: 'M1' };
  it('waits for the last of what is waited for', () => {
    const waiting = {
      ...job,
      waits: [
        { why: 'paint', until: '2026-11-25T12:00' },
        { why: 'print', until: '2026-11-25T15:00' },
      ],
    };
    expect(handsNeeded(waiting, ['2026-11-27'], false, now)).to.deep.equal({
      when: 'at',
      time: '2026-11-27',
      why: 'delivery',
    });
    expect(handsNeeded(waiting, [], false, now)).to.deep.equal({
      when: 'at',
      time: '2026-11-25T15:00',
      why: 'print',
    });
    expect(handsNeeded(waiting, [], false, '2026-11-25T16:00')).to.deep.equal({ when: 'now' });
  });
  it('has no date where one is missing', () => {
    expect(handsNeeded(job, [undefined], false, now).when).to.equal('no date');
    expect(handsNeeded({ ...job, waits: [{ why: 'a board' }] }, [], false, now)).to.deep.equal({
      when: 'no date',
      why: 'a board',
    });
  });
});
