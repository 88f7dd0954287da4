import { expect } from 'chai';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { editWorkshop, keepPlan } from '../../../src/core/edits/weekEdits.ts';
import { readShop } from '../../../src/core/document/read.ts';
import { writeCalendar } from '../../../src/core/export/ics.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { freshFinish } from '../../../src/core/finish/fresh.ts';
import type { Finish, PaintWork } from '../../../src/core/model/types/finishTypes.ts';
import type { Job, Shop, Workshop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import { gapNow } from '../../../src/core/schedule/gap.ts';
import { tripBefore } from '../../../src/core/schedule/trip.ts';
import { isoOf, minuteOf, openHours, usualWorkshop } from '../../../src/core/schedule/calendar.ts';
import { cheaper, type Cost } from '../../../src/core/schedule/model.ts';
import { placed } from '../../../src/core/schedule/place.ts';
import { planWeek } from '../../../src/core/schedule/plan.ts';
import { allOrders, schedule } from '../../../src/core/schedule/search.ts';
import { plannedOf, weekOf } from '../../../src/core/schedule/tasks.ts';
import { waysOut } from '../../../src/core/schedule/ways.ts';
import { hours, outlookWords, wordsOf } from '../../../src/core/schedule/words.ts';
import { asked, NOW, only, shop, withJob } from '../../helpers/weeks.ts';
import { randomShop } from '../../reference/schedule/shops.ts';

const day = (text: string) => minuteOf(`2026-${text}:00.000Z`);

describe('week, hours', () => {
  it('are those of the shop, by the bench’s clock, from now on, and none on days off', () => {
    const workshop = { ...usualWorkshop, opens: 540, closes: 1080, off: [0] };
    const open = openHours(workshop, minuteOf(NOW), 60, 4);
    expect(
      open.map(({ from, to }) => [isoOf(from).slice(5, 16), isoOf(to).slice(5, 16)]),
    ).to.deep.equal([
      ['11-27T13:05', '11-27T17:00'],
      ['11-28T08:00', '11-28T17:00'],
      ['11-30T08:00', '11-30T17:00'],
    ]);
    const closed = openHours({ ...workshop, closed: ['2026-11-28'] }, minuteOf(NOW), 60, 4);
    expect(closed).to.have.length(2);
  });

  it('that never open are refused', () => {
    for (const fields of [{ closes: 540 }, { off: [0, 1, 2, 3, 4, 5, 6] }])
      expect(() => openHours({ ...usualWorkshop, ...fields }, 0, 0, 7)).to.throw(RangeError);
  });
});

describe('week, tasks', () => {
  it('cover every open step of every job once, and name those that no week holds', () => {
    const { problem, unplanned } = weekOf(shop, asked);
    const steps = problem.tasks.flatMap((task) => task.steps.map((id) => `${task.jobId} ${id}`));
    expect(new Set(steps).size).to.equal(steps.length);
    const open = shop.jobs.filter(({ handedOver }) => !handedOver).map(({ id }) => id);
    const found = new Set([...problem.jobs, ...unplanned].map(({ jobId }) => jobId));
    expect(open.filter((id) => !found.has(id))).to.deep.equal([]);
    expect(unplanned.find(({ jobId }) => jobId === '17')?.why).to.contain('no PSU found yet');
  });

  it('keep order: what comes later depends only on what stands before', () => {
    const { tasks } = weekOf(shop, asked).problem;
    tasks.forEach((task, i) => {
      for (const before of task.after) {
        expect(before).to.be.lessThan(i);
        expect(tasks[before]?.jobId).to.equal(task.jobId);
      }
    });
  });

  it('cut where something must be left alone, and not where paint flashes off', () => {
    const paint: PaintWork = { ...(freshFinish('paint', 'p') as PaintWork), clear: true };
    const { tasks } = weekOf(withJob('14', { finishes: [paint] }, only('14')), asked).problem;
    const coats = tasks.filter(({ place }) => place?.name === 'paint place');
    expect(coats).to.have.length(1);
    expect(coats[0]?.steps).to.have.length(9);
    /* Nine coats of 9 minutes with eight waits between them. */
    expect(coats[0]?.hands).to.be.greaterThan(9 * 9 + 8 * 5);
    expect(coats[0]?.leave).to.be.greaterThan(1440);
    expect(coats[0]?.place?.holds).to.be.lessThan(60);
    expect(coats[0]?.place).to.include({ first: 'colour', last: 'clear coat' });
  });

  it('wait for deliveries, waits and what was done a short while ago', () => {
    const waits = withJob(
      '14',
      { waits: [{ why: 'glue', until: '2026-11-28T10:00:00.000Z' }] },
      only('14'),
    );
    for (const task of weekOf(waits, asked).problem.tasks)
      expect(task.release).to.be.at.least(day('11-28T10:00'));
    const endless = withJob('14', { waits: [{ why: 'a letter' }] }, only('14'));
    expect(weekOf(endless, asked).unplanned[0]?.why).to.contain('a letter');
    const [glue] = [freshFinish('glue', 'g')];
    const done = withJob(
      '14',
      {
        finishes: [glue],
        ticks: [
          ...(shop.jobs.find(({ id }) => id === '14')?.ticks ?? []),
          { stepId: 'finish:g:glue', at: '2026-11-27T13:00:00.000Z' },
        ],
      },
      only('14'),
    );
    const unclamp = weekOf(done, asked).problem.tasks.find(({ steps }) =>
      steps.includes('finish:g:unclamp'),
    );
    expect(unclamp?.release).to.equal(day('11-27T23:00'));
  });

  it('name what a shop has not, nobody does, or what is longer than a day', () => {
    const print = (fields: object): Finish =>
      ({ ...freshFinish('print', 'r'), ...fields }) as Finish;
    const why = (finish: Finish, fields = {}) => {
      const of = withJob('14', { finishes: [finish] }, only('14'));
      const set = { ...of.settings, workshop: { ...usualWorkshop, ...fields } };
      return weekOf({ ...of, settings: set }, asked).unplanned[0]?.why;
    };
    expect(why(print({}), { places: [] })).to.contain('no printer');
    expect(why(print({}), { people: [] })).to.contain('nobody works');
    expect(why(print({ hours: 12 }))).to.contain('may not run alone');
    expect(why(print({ hours: 12, unattended: true }))).to.equal(undefined);
    expect(why(print({ hours: 12 }), { overnight: true })).to.equal(undefined);
    expect(why(print({ hours: 6 }))).to.equal(undefined);
  });

  it('hold a place that work begun before has taken', () => {
    const { problem } = weekOf(shop, asked);
    expect(problem.held).to.deep.equal([{ name: 'paint place', group: '9 finish:f1 paint place' }]);
  });

  it('keep a coat out of the hours in which its window is past', () => {
    const late = demoShop('2026-11-27T13:05:00.000Z');
    const { tasks } = weekOf(late, asked).problem;
    const clear = tasks.find(({ steps }) => steps[0] === 'finish:f1:clear:1');
    const coat = late.jobs
      .find(({ id }) => id === '9')
      ?.ticks.find(({ stepId }) => stepId === 'finish:f1:colour:2');
    const at = minuteOf(coat?.at ?? '');
    expect(clear?.shut?.[0]).to.deep.equal([at + 60, at + 1440]);
  });

  it('run where they were started, with what is left of them', () => {
    const [first] = weekOf(only('14'), asked).problem.tasks;
    const step = first?.steps[0] ?? '';
    const running = withJob(
      '14',
      { started: [{ stepId: step, at: '2026-11-27T13:05:00.000Z' }] },
      only('14'),
    );
    const [begun] = weekOf(running, asked).problem.tasks;
    expect(begun?.fixed).to.equal(minuteOf(NOW) + 1);
    expect(begun?.steps).to.deep.equal([step]);
  });
});

describe('week, what the shop has and what the days are like', () => {
  const set = (fields: Partial<Workshop>, of: Shop = shop): Shop =>
    editWorkshop(usualWorkshop, fields)(of);
  const paint: PaintWork = { ...(freshFinish('paint', 'p') as PaintWork), colour: 'red' };
  const painted = withJob('14', { finishes: [paint] }, only('14', '9'));

  it('counts places that are named twice, the rack, and what was sprayed last', () => {
    const { problem } = weekOf(set({ places: ['printer', 'printer', 'oven'], rack: 3 }), asked);
    expect(problem.counts).to.deep.equal({ printer: 2, oven: 1 });
    expect(problem.rack).to.equal(3);
    expect(problem.colour).to.equal('cream');
    expect(weekOf(only('14'), asked).problem.colour).to.equal(undefined);
    const none = weekOf(set({ rack: 0 }, painted), asked).unplanned;
    expect(none.find(({ jobId }) => jobId === '14')?.why).to.contain('rack holds nothing');
  });

  it('sprays on no day that is too cold, too damp or near its dew point', () => {
    const spraying = (weather: Workshop['weather']) =>
      weekOf(set({ off: [], weather }, painted), asked).problem.tasks.find(
        ({ place }) => place?.name === 'paint place',
      )?.shut ?? [];
    const day = '2026-11-28T10:00:00.000Z';
    /* Midnight at a bench an hour ahead of UTC. */
    const midnight = minuteOf('2026-11-27T23:00:00.000Z');
    expect(spraying([{ day, roomC: 6 }])).to.deep.equal([[midnight - 1, midnight + 1440]]);
    expect(spraying([{ day, humidity: 90 }])).to.have.length(1);
    /* 85 % at 15 °C: dew at 12.5 °C, 2.5 K below the air. */
    expect(spraying([{ day, roomC: 15, humidity: 85 }])).to.have.length(1);
    expect(spraying([{ day, roomC: 15, humidity: 60 }])).to.deep.equal([]);
    expect(spraying([{ day }])).to.deep.equal([]);
  });

  it('starts as many machines at once as it has screens, and fits what comes between gates there', () => {
    const spans = (screens: number) => {
      const places = new Array<'test screen'>(screens).fill('test screen');
      const of = set(
        { people: ['a', 'b', 'c'], places: ['oven', ...places] },
        only('14', '15', '5'),
      );
      const { week, found } = planWeek(of, asked, { orders: 300 });
      return week.problem.tasks
        .map((task, i) => ({ task, from: found?.starts[i] ?? 0 }))
        .filter(({ task }) => task.place?.name === 'test screen')
        .map(({ task, from }) => ({ task, from, to: from + task.hands }));
    };
    const most = (screens: number) => {
      const all = spans(screens);
      return Math.max(
        ...all.map(({ from }) => all.filter((each) => each.from <= from && from < each.to).length),
      );
    };
    expect(most(1)).to.equal(1);
    expect(most(2)).to.equal(2);
    const steps = spans(2).flatMap(({ task }) => task.steps);
    expect(steps.some((step) => step.startsWith('in:'))).to.equal(true);
    expect(steps).to.include.members(['gate-picture', 'gate-stress']);
    const none = weekOf(set({ places: ['oven'] }, only('14')), asked).unplanned[0]?.why;
    expect(none).to.contain('no test screen');
  });

  it('says which trip to make before which step', () => {
    const of = withJob(
      '14',
      {
        /* A second one, earlier, whose id begins with that of the first. */
        finishes: [paint, freshFinish('wash', `${paint.id}0`)],
        wants: [
          { what: 'two tins of red', count: 2, finish: paint.id },
          { what: 'cable ties', count: 1 },
          { what: 'gloves', count: 1, bought: true },
        ],
      },
      only('14'),
    );
    const plan = planWeek(of, asked, { orders: 50 });
    const trip = tripBefore(of, plan);
    const starts = plan.found?.starts ?? [];
    const coat = plan.week.problem.tasks.findIndex(({ place }) => place?.name === 'paint place');
    expect(trip?.before).to.equal(Math.min(...starts));
    expect(trip?.lines).to.deep.equal([
      { label: 'cable ties', count: 1, jobId: '14', needed: Math.min(...starts) },
      { label: 'two tins of red', count: 2, jobId: '14', needed: starts[coat] },
    ]);
    const none = withJob('14', { wants: [] }, only('14'));
    expect(tripBefore(none, planWeek(none, asked, { orders: 50 }))).to.equal(undefined);
  });

  it('fills the minutes until something may be touched, by tools in hand first', () => {
    const plan = planWeek(shop, asked, { orders: 100 });
    const gap = gapNow(shop, plan);
    expect(gap?.jobId).to.equal('9');
    const left = (gap?.until ?? 0) - plan.week.now;
    expect(left).to.be.within(5, 30);
    expect(gap?.fills.length).to.be.greaterThan(0);
    for (const fill of gap?.fills ?? []) {
      expect(fill.minutes).to.be.at.most(left);
      expect(fill.jobId).to.not.equal('9');
    }
    /* What was done a moment ago with a wall meter: what needs one comes first. */
    const job = shop.jobs.find(({ id }) => id === '12');
    const metered = plan.week.problem.tasks.find(
      ({ tools, jobId, after }) => tools.includes('wall meter') && jobId !== '12' && !after.length,
    );
    const order = workOrderOf(planOf(shop, job as Job), (job as Job).schools);
    const step = order.find(({ tools }) => tools.includes('wall meter'));
    const ticked = withJob('12', {
      ticks: [{ stepId: step?.id ?? '', at: '2026-11-27T13:00:00.000Z' }],
    });
    const again = gapNow(ticked, planWeek(ticked, asked, { orders: 100 }));
    expect(again?.fills[0]?.inHand).to.deep.equal(['wall meter']);
    expect(again?.fills.map(({ jobId }) => jobId)).to.include(metered?.jobId);
    expect(gapNow(only('14'), planWeek(only('14'), asked, { orders: 50 }))).to.equal(undefined);
  });
});

describe('week, search', () => {
  const cost = (fields: Partial<Cost>): Cost => ({
    late: 0,
    moved: 0,
    colours: 0,
    end: 0,
    sum: 0,
    ...fields,
  });

  it('weighs lateness before moves, moves before colours, colours before the end', () => {
    expect(cheaper(cost({ late: 1, moved: 9 }), cost({ late: 2 }))).to.equal(true);
    expect(cheaper(cost({ moved: 1, colours: 9 }), cost({ moved: 2 }))).to.equal(true);
    expect(cheaper(cost({ colours: 1, end: 9 }), cost({ colours: 2 }))).to.equal(true);
    expect(cheaper(cost({ end: 1, sum: 9 }), cost({ end: 2 }))).to.equal(true);
    expect(cheaper(cost({ sum: 1 }), cost({ sum: 1 }))).to.equal(false);
  });

  it('finds of small shops what is best of every order', () => {
    for (let seed = 500; seed < 560; seed += 1) {
      const problem = randomShop(seed, 5);
      const orders = allOrders(problem, 20_000) ?? [];
      const best = Math.min(
        ...orders.map((order) => placed(problem, order)?.cost.late ?? Infinity),
      );
      const found = schedule(problem, { orders: 3000, seed });
      expect(found?.cost.late, `shop ${seed}`).to.equal(best);
      expect(found?.bound).to.be.at.most(best);
    }
  });

  it('counts the cleanings between colours, not inside one piece of work', () => {
    const paints = (colours: [string, string][]) => ({
      people: 1,
      jobs: [],
      open: [{ from: 0, to: 1000 }],
      tasks: colours.map(([first, last], i) => ({
        id: `${i}`,
        jobId: 'a',
        title: '',
        steps: [],
        tools: [],
        hands: 10,
        leave: 0,
        people: 1 as const,
        attended: false,
        release: 0,
        after: [],
        place: { name: 'paint place' as const, group: `${i}`, holds: 0, first, last },
      })),
    });
    const changes = (colours: [string, string][], fields = {}) =>
      placed({ ...paints(colours), ...fields }, [0, 1, 2]);
    const same: [string, string][] = [
      ['red', 'clear'],
      ['clear', 'red'],
      ['red', 'red'],
    ];
    const mixed: [string, string][] = [
      ['red', 'red'],
      ['blue', 'blue'],
      ['red', 'red'],
    ];
    expect(changes(same)?.cost.colours).to.equal(0);
    expect(changes(mixed)?.cost.colours).to.equal(2);
    /* Cleaned before, by whoever sprays, in the time between; what was sprayed last week counts too. */
    expect(changes(mixed, { cleaning: 15 })?.starts).to.deep.equal([0, 25, 50]);
    expect(changes(mixed, { cleaning: 15 })?.cleaned).to.deep.equal([0, 15, 15]);
    expect(changes(mixed, { cleaning: 15, colour: 'blue' })?.starts).to.deep.equal([15, 40, 65]);
    /* Two places: one for each colour, nothing to clean. */
    const two = changes(mixed, { cleaning: 15, counts: { 'paint place': 2 }, people: 2 });
    expect(two?.starts).to.deep.equal([0, 0, 10]);
    expect(two?.cost.colours).to.equal(0);
    /* The search puts like by like. */
    const found = schedule(
      paints([
        ['red', 'red'],
        ['blue', 'blue'],
        ['red', 'red'],
      ]),
      { orders: 50 },
    );
    expect(found?.cost.colours).to.equal(1);
  });

  it('puts no more on the rack than it holds, and begins later what has no place on it', () => {
    const drying = (id: string, hands: number, leave: number) => ({
      id,
      jobId: id,
      title: '',
      steps: [],
      tools: [],
      hands,
      leave,
      people: 1 as const,
      attended: false,
      release: 0,
      after: [],
      rests: true,
    });
    const tasks = [drying('a', 10, 100), drying('b', 10, 30), drying('c', 10, 100)];
    const problem = { tasks, jobs: [], people: 1, open: [{ from: 0, to: 1000 }] };
    expect(placed(problem, [0, 1, 2])?.starts).to.deep.equal([0, 10, 20]);
    /* Two places: taken from 10 to 110 and from 20 to 50, so the third is put down at 50. */
    expect(placed({ ...problem, rack: 2 }, [0, 1, 2])?.starts).to.deep.equal([0, 10, 40]);
    expect(placed({ ...problem, rack: 1 }, [0, 1, 2])?.starts).to.deep.equal([0, 100, 130]);
    expect(placed({ ...problem, rack: 0 }, [0, 1, 2])).to.equal(undefined);
  });

  it('goes on inside the recoat window, or only when it may be scuffed', () => {
    const coat = (id: string, leave: number, fields = {}) => ({
      id,
      jobId: 'a',
      title: '',
      steps: [],
      tools: [],
      hands: 10,
      leave,
      people: 1 as const,
      attended: false,
      release: 0,
      after: [],
      ...fields,
    });
    const window = { of: 0, minutes: 60, again: 1440 };
    const second = (release: number) =>
      placed(
        {
          tasks: [coat('1', 20), coat('2', 20, { after: [0], within: window, release })],
          jobs: [],
          people: 1,
          open: [{ from: 0, to: 3000 }],
        },
        [0, 1],
      )?.starts[1];
    expect(second(0)).to.equal(30);
    expect(second(70)).to.equal(70);
    expect(second(71)).to.equal(1450);
  });

  it('keeps a kept plan as it is, and says what moved when something got in between', () => {
    const first = planWeek(shop, asked, { orders: 500 });
    const kept = keepPlan(plannedOf(first.week, first.found?.starts ?? []))(shop);
    const again = planWeek(kept, asked, { orders: 500 });
    expect(again.found?.cost.moved).to.equal(0);
    expect(again.found?.starts).to.deep.equal(first.found?.starts);
    const hit = withJob(
      '14',
      { waits: [{ why: 'a call', until: '2026-11-28T09:00:00.000Z' }] },
      kept,
    );
    const after = planWeek(hit, asked, { orders: 500 });
    const moved = after.jobs.flatMap((each) => each.moved.map(() => each.jobId));
    expect(moved).to.include('14');
    expect(moved.filter((id) => id !== '14').length).to.be.at.most(2);
  });

  it('pushes what is dragged later, and what hangs on it', () => {
    const before = planWeek(only('14'), asked, { orders: 50 });
    const [task] = before.week.problem.tasks;
    const wished = { ...asked, notBefore: { [task?.id ?? '']: day('11-28T09:00') } };
    const after = planWeek(only('14'), wished, { orders: 50 });
    expect(Math.min(...(after.found?.starts ?? []))).to.equal(day('11-28T09:00'));
  });

  it('has nothing to plan in an empty shop', () => {
    expect(planWeek({ ...shop, jobs: [] }, asked, { orders: 10 })).to.deep.include({
      found: undefined,
      jobs: [],
    });
  });

  it('loses nothing of a kept plan in a file', () => {
    const { week, found } = planWeek(shop, asked, { orders: 50 });
    const kept = keepPlan(plannedOf(week, found?.starts ?? []))(shop);
    const set = editWorkshop(usualWorkshop, { people: ['me', 'you'] })(kept);
    expect(readShop(writeShop(set))).to.deep.equal(JSON.parse(writeShop(set)));
    expect(set.settings.workshop?.people).to.deep.equal(['me', 'you']);
  });
});

describe('week, what it says', () => {
  const late = withJob('16', { deadline: '2026-11-28T09:00:00.000Z' }, only('16', '14'));

  it('says how short, by when to begin, and what would make it', () => {
    const plan = planWeek(late, asked, { orders: 300 });
    const outlook = plan.jobs.find(({ jobId }) => jobId === '16');
    expect(outlook?.spare).to.be.lessThan(0);
    expect(wordsOf(plan, '16')?.say).to.contain('short of its deadline');
    const ways = waysOut(late, asked, '16');
    expect(ways.some(({ says }) => says.join().startsWith('do without'))).to.equal(true);
    for (const way of ways) expect(way).to.include({ onTime: true });
    expect(waysOut(late, asked, '14')).to.deep.equal([]);
  });

  it('says the latest minute to begin, which holds, and one later does not', () => {
    const due = withJob('14', { deadline: '2026-12-02T12:00:00.000Z' }, only('14'));
    const outlook = planWeek(due, asked, { orders: 100 }).jobs[0];
    const at = outlook?.startBy ?? 0;
    expect(outlook?.spare).to.be.greaterThan(0);
    const from = (minute: number) =>
      planWeek(
        {
          ...due,
          settings: {
            ...due.settings,
            workshop: { ...usualWorkshop, off: [0], people: ['a', 'b', 'c'] },
          },
        },
        { now: isoOf(minute - 1), ahead: 60 },
        { orders: 200 },
      ).jobs[0]?.spare ?? NaN;
    expect(from(at)).to.be.at.least(0);
    expect(from(at + 2)).to.be.lessThan(0);
  });

  it('marks what is past, short, thin and safe', () => {
    const words = (due: number, end: number) =>
      outlookWords({ jobId: 'a', due, end, spare: due - end, startBy: undefined, moved: [] }, 1000);
    expect(words(900, 1100)).to.deep.equal({ mark: 'stop', say: '1:40 h past its deadline' });
    expect(words(1200, 1260)).to.deep.equal({ mark: 'stop', say: '1:00 h short of its deadline' });
    expect(words(2000, 1940)).to.deep.equal({ mark: 'watch', say: '1:00 h to spare' });
    expect(words(9000, 2000)).to.deep.equal({ mark: 'clear', say: '4 days to spare' });
    expect(hours(2880)).to.equal('2 days');
  });
});

describe('week, iCalendar', () => {
  it('is read back by a package: times, words with commas and letters of every kind', () => {
    const title =
      'Täfelchen, Größe; „zwei“ \\ drei\nund eine sehr lange Zeile, die weit über fünfundsiebzig Oktette geht 🛠 und weiter';
    const text = writeCalendar(
      [
        {
          uid: 'a@b',
          title,
          note: 'Then leave alone',
          from: minuteOf(NOW),
          to: minuteOf(NOW) + 90,
        },
      ],
      NOW,
    );
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).to.be.at.most(75);
    const [event] = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each));
    expect(event?.summary).to.equal(title);
    expect(event?.description).to.equal('Then leave alone');
    expect(event?.startDate.toJSDate().toISOString()).to.equal(NOW);
    expect(event?.duration.toSeconds()).to.equal(5400);
  });

  it('keeps any words whole', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (words) => {
        const clean = words.replace(/[\r\n\p{Cc}]/gu, ' ').trim();
        const text = writeCalendar([{ uid: 'u', title: clean, from: 0, to: 1 }], NOW);
        const [event] = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents(
          'vevent',
        );
        return event?.getFirstPropertyValue('summary') === clean;
      }),
    );
  });
});
