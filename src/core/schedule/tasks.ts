import { badWeather } from '../finish/climate.ts';
import { finishSteps } from '../finish/index.ts';
import type { Resource } from '../model/types/finishTypes.ts';
import { CLEAN_MIN } from '../standards/coatings.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { finishId, finishOf, inId, type Step } from '../model/types/step.ts';
import type { Job, Shop, Workshop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { workOrderOf } from '../plan/workOrderOf.ts';
import { isoOf, minuteOf, openHours, usualWorkshop } from './calendar.ts';
import type { Due, Problem, Task } from './model.ts';

/** The open steps of all jobs as tasks of one problem. */

export interface Week {
  problem: Problem;
  /** Jobs that cannot be put into any week, and why. */
  unplanned: { jobId: string; why: string }[];
  now: number;
  workshop: Workshop;
}

export interface Asked {
  /** ISO time, and minutes the bench's clock is ahead of UTC. */
  now: string;
  ahead: number;
  /** What the kept plan puts before this (ISO) is not begun earlier. */
  frozenUntil?: string | undefined;
}

/** Hands that go on with no break are one task, up to so many minutes: another machine may come between. */
const LONGEST_BLOCK = 90;
/** A wait this short is spent beside the work: paint flashing off. */
const SHORT_WAIT = 30;
const HORIZON_DAYS = 60;
const SCREEN = 'test screen';

export function weekOf(shop: Shop, { now, ahead, frozenUntil }: Asked): Week {
  const workshop = shop.settings.workshop ?? usualWorkshop;
  const from = minuteOf(now) + 1;
  const open = openHours(workshop, from, ahead, HORIZON_DAYS);
  const unplanned: Week['unplanned'] = [];
  const tasks: Task[] = [];
  const jobs: Due[] = [];
  const held: { name: NonNullable<Task['place']>['name']; group: string }[] = [];
  const damp = dampDays(workshop, ahead).map(({ from: at }) => [at - 1, at + DAY] as const);
  for (const job of shop.jobs) {
    if (job.handedOver) continue;
    const plan = planOf(shop, job);
    const steps = workOrderOf(plan, job.schools);
    const passed = new Set(job.ticks.filter(({ failed }) => !failed).map(({ stepId }) => stepId));
    const left = steps.filter(({ id }) => !passed.has(id));
    if (left.length === 0) continue;
    const why = cannot(plan, job, left, workshop);
    if (why !== undefined) {
      unplanned.push({ jobId: job.id, why });
      continue;
    }
    const own = tasksOf({
      plan,
      job,
      steps,
      left,
      workshop,
      damp,
      now: from,
      base: tasks.length,
    });
    const frozen = frozenUntil === undefined ? -Infinity : minuteOf(frozenUntil);
    tasks.push(
      ...own.map((task) =>
        task.before !== undefined && task.before < frozen && task.before > task.release
          ? { ...task, release: task.before }
          : task,
      ),
    );
    for (const step of steps)
      if (passed.has(step.id) && step.uses) {
        const group = groupOf(job, step);
        if (
          own.some(({ place }) => place?.group === group) &&
          !held.some(({ name }) => name === step.uses)
        )
          held.push({ name: step.uses, group });
      }
    jobs.push({ jobId: job.id, due: dueOf(plan, job), weight: job.weight ?? 1 });
  }
  return {
    problem: {
      tasks,
      jobs,
      people: Math.max(1, workshop.people.length),
      open,
      held,
      counts: countsOf(workshop),
      rack: workshop.rack,
      cleaning: CLEAN_MIN,
      colour: lastColour(shop),
    },
    unplanned,
    now: from,
    workshop,
  };
}

/** How many the shop has of each sort of place. */
function countsOf({ places }: Workshop): Problem['counts'] {
  const counts: Partial<Record<Resource, number>> = {};
  for (const place of places) counts[place] = (counts[place] ?? 0) + 1;
  return counts;
}

/** What was sprayed last, by the ticks of all jobs. */
function lastColour(shop: Shop): string | undefined {
  let last: { at: string; colour: string } | undefined;
  for (const job of shop.jobs) {
    const colours = new Map(
      job.finishes.flatMap((finish) =>
        finishSteps(finish).flatMap(({ id, colour }) => (colour ? [[id, colour] as const] : [])),
      ),
    );
    for (const { stepId, at } of job.ticks) {
      const colour = colours.get(stepId);
      if (colour !== undefined && (!last || at > last.at)) last = { at, colour };
    }
  }
  return last?.colour;
}

/** The minute a day begins at the bench. */
const midnightOf = (iso: string, ahead: number): number =>
  Math.floor((minuteOf(iso) + ahead) / DAY) * DAY - ahead;

/** Days that bear no spraying where it is done: the minute each begins at the bench, and why. */
export function dampDays(
  { weather = [] }: Workshop,
  ahead: number,
): { from: number; why: string }[] {
  return weather.flatMap(({ day, ...climate }) => {
    const why = badWeather(climate);
    return why === undefined ? [] : [{ from: midnightOf(day, ahead), why }];
  });
}

/** When a job is owed: its deadline, or the day something borrowed in it goes back. */
function dueOf(plan: Plan, job: Job): number | undefined {
  const dues = [
    ...(job.deadline === undefined ? [] : [minuteOf(job.deadline)]),
    ...plan.seats.flatMap(({ part }) =>
      part.loan?.way === 'borrowed' && part.loan.until !== undefined
        ? [minuteOf(part.loan.until)]
        : [],
    ),
  ];
  return dues.length === 0 ? undefined : Math.min(...dues);
}

/** Why no week holds a job. */
function cannot(
  plan: Plan,
  job: Job,
  left: readonly Step[],
  workshop: Workshop,
): string | undefined {
  if (workshop.people.length === 0)
    return 'nobody works in this shop: name somebody in the settings';
  const endless = job.waits.find(({ until }) => until === undefined);
  if (endless) return `nobody knows when this ends: ${endless.why}`;
  const open = left.find(({ id, seats }) =>
    seats.some((seat) => {
      const part = id === inId(seat) ? bought(plan, seat) : undefined;
      return part !== undefined && part.due === undefined;
    }),
  );
  if (open) return `no day for a part to buy: ${open.title}`;
  const nowhere = left.find(({ uses }) => uses !== undefined && !workshop.places.includes(uses));
  if (nowhere) return `this shop has no ${nowhere.uses}: ${nowhere.title}`;
  const dries = left.find(({ rests }) => rests && workshop.rack === 0);
  if (dries) return `the drying rack holds nothing: ${dries.title}`;
  const day = workshop.closes - workshop.opens;
  const long = left.find(
    (step) =>
      step.minutes > day ||
      (attendedBy(step, workshop) && step.minutes + (step.leaveMinutes ?? 0) > day),
  );
  return long && `longer than a day at work, and may not run alone: ${long.title}`;
}

const bought = (plan: Plan, seat: string) =>
  plan.seats.find(
    (placed) => placed.seat === seat && placed.state === 'comes' && placed.part.place === 'buy',
  )?.part;

const attendedBy = ({ unattended }: Step, { overnight }: Workshop): boolean =>
  unattended === false && !overnight;

/** Steps of one piece of finishing hold their place together; any other step alone. */
function groupOf(job: Job, { id, uses }: Step): string {
  const work = finishOf(id);
  return `${job.id} ${work === undefined ? id : finishId(work)} ${uses ?? ''}`;
}

type Span = readonly [number, number];
const DAY = 1440;

interface Making {
  plan: Plan;
  job: Job;
  /** All steps in their order, and those still to do. */
  steps: readonly Step[];
  left: readonly Step[];
  workshop: Workshop;
  damp: readonly Span[];
  now: number;
  /** Number of the first task. */
  base: number;
}

function tasksOf(making: Making): Task[] {
  const { left, base } = making;
  const blocks = blocksOf(making);
  const blockOf = new Map(blocks.flatMap((block, i) => block.map(({ id }) => [id, base + i])));
  const all = new Map(left.map((step) => [step.id, step]));
  return blocks.map((block) => taskOf(making, block, blockOf, all));
}

/** Steps that follow each other with no wait between them are done in one go. */
function blocksOf({ left, workshop, job }: Making): Step[][] {
  const started = new Set(job.started.map(({ stepId }) => stepId));
  const blocks: Step[][] = [];
  const waits = new Set(
    left.filter(({ leaveMinutes = 0 }) => leaveMinutes > SHORT_WAIT).map(({ id }) => id),
  );
  for (const step of left) {
    const block = blocks.at(-1);
    const before = block?.at(-1);
    /* Under test: what is unplugged and fitted between two gates is done where it stands. */
    const atScreen = block?.[0]?.uses === SCREEN;
    const inside = new Set(block?.map(({ id }) => id));
    const joins =
      block !== undefined &&
      before !== undefined &&
      !waits.has(before.id) &&
      (atScreen ? [undefined, SCREEN].includes(step.uses) : before.uses === step.uses) &&
      before.who === step.who &&
      before.people === step.people &&
      !started.has(step.id) &&
      !started.has(before.id) &&
      !attendedBy(before, workshop) &&
      !attendedBy(step, workshop) &&
      spanOf(block) + step.minutes <= (step.uses === 'paint place' ? 240 : LONGEST_BLOCK) &&
      step.after.every((id) => inside.has(id) || !waits.has(id) || block[0]?.after.includes(id));
    if (joins) block.push(step);
    else blocks.push([step]);
  }
  return blocks;
}

/** Minutes of a block, the short waits in it among them. */
const spanOf = (block: readonly Step[]): number =>
  block.reduce(
    (sum, { minutes, leaveMinutes = 0 }, i) =>
      sum + minutes + (i < block.length - 1 ? leaveMinutes : 0),
    0,
  );

function taskOf(
  { plan, job, steps, workshop, damp, now }: Making,
  block: readonly Step[],
  blockOf: ReadonlyMap<string, number>,
  open: ReadonlyMap<string, Step>,
): Task {
  const [first] = block as [Step];
  const last = block.at(-1) as Step;
  const own = blockOf.get(first.id);
  const running = job.started.find(({ stepId }) => stepId === first.id);
  const after = new Set(
    block.flatMap((step) =>
      step.after.flatMap((id) => {
        const other = blockOf.get(id);
        return open.has(id) && other !== undefined && other !== own ? [other] : [];
      }),
    ),
  );
  const planned = job.planned.find(({ stepId }) => stepId === first.id);
  const person = block.map(({ who }) => who).find((who) => who !== undefined);
  const who = person === undefined ? -1 : workshop.people.indexOf(person);
  const hands = running
    ? Math.max(1, first.minutes - (now - minuteOf(running.at)))
    : Math.max(1, spanOf(block));
  const shut = [
    ...shutBy(job, steps, block),
    ...(first.uses === 'paint place' && first.colour !== undefined ? damp : []),
  ];
  const within = windowOf(block, blockOf, own);
  return {
    id: `${job.id} ${first.id}`,
    jobId: job.id,
    title: first.title,
    steps: block.map(({ id }) => id),
    tools: [...new Set(block.flatMap(({ tools }) => tools))],
    hands,
    leave: last.leaveMinutes ?? 0,
    people: first.people === 2 && workshop.people.length > 1 ? 2 : 1,
    ...(who >= 0 && { who }),
    attended: attendedBy(last, workshop),
    release: Math.max(now, releaseOf(plan, job, steps, block)),
    after: [...after],
    ...(shut.length > 0 && { shut }),
    ...(within && { within }),
    ...(last.rests && { rests: true }),
    ...(first.uses && {
      place: {
        name: first.uses,
        group: groupOf(job, first),
        holds: last.holds ?? last.leaveMinutes ?? 0,
        ...(first.colour !== undefined && {
          first: first.colour,
          last: last.colour ?? first.colour,
        }),
      },
    }),
    ...(running && { fixed: now }),
    ...(planned && { before: minuteOf(planned.start) }),
  };
}

/** Not before the job's waits, what is delivered for it, and what was done a short while ago and must be left alone. */
function releaseOf(plan: Plan, job: Job, steps: readonly Step[], block: readonly Step[]): number {
  const ticked = new Map(job.ticks.map((tick) => [tick.stepId, tick]));
  const titles = new Set(
    steps.filter(({ id }) => ticked.has(id)).map(({ title }) => title.toLowerCase()),
  );
  const waits = job.waits.flatMap(({ why, until }) =>
    until === undefined || titles.has(why) ? [] : [minuteOf(until)],
  );
  const deliveries = block.flatMap(({ id, seats }) =>
    seats.flatMap((seat) => {
      const due = id === inId(seat) ? bought(plan, seat)?.due : undefined;
      return due === undefined ? [] : [minuteOf(due)];
    }),
  );
  const left = block.flatMap(({ after }) =>
    after.flatMap((id) => {
      const tick = ticked.get(id);
      const leave = steps.find((step) => step.id === id)?.leaveMinutes;
      return tick && leave !== undefined ? [minuteOf(tick.at) + leave] : [];
    }),
  );
  return Math.max(-Infinity, ...waits, ...deliveries, ...left);
}

/** A recoat window that runs from a coat that was done. */
function shutBy(job: Job, steps: readonly Step[], block: readonly Step[]): Span[] {
  for (const { within } of block) {
    const tick = within && job.ticks.find(({ stepId }) => stepId === within.of);
    const of = within && steps.find(({ id }) => id === within.of);
    if (!tick || !of) continue;
    const at = minuteOf(tick.at);
    return [[at + within.minutes, at + within.again]];
  }
  return [];
}

/** A recoat window that runs from a coat of another task still to do. */
function windowOf(
  block: readonly Step[],
  blockOf: ReadonlyMap<string, number>,
  own: number | undefined,
): Task['within'] {
  for (const { within } of block) {
    const of = within && blockOf.get(within.of);
    if (within && of !== undefined && of !== own)
      return { of, minutes: within.minutes, again: within.again };
  }
  return undefined;
}

/** The starts of a schedule as they are kept with each job: a block's time at its first step. */
export function plannedOf(week: Week, starts: readonly number[]): Map<string, Job['planned']> {
  const kept = new Map<string, Job['planned']>();
  week.problem.tasks.forEach((task, i) => {
    const list = kept.get(task.jobId) ?? [];
    list.push({ stepId: task.steps[0] ?? '', start: isoOf(starts[i] as number) });
    kept.set(task.jobId, list);
  });
  return kept;
}
