import { fit, freeAt, insert } from './hands.ts';
import type { Cost, Problem, Schedule, Task } from './model.ts';
import { Queue } from './queue.ts';

/**
 * Tasks placed one after the other as early as they can be (serial schedule generation, Kolisch 1996): every order
 * gives a schedule, and some order gives one that is least late where nothing is cleaned or put on a rack.
 * Undefined where a task fits nowhere.
 */
export function placed(problem: Problem, order: readonly number[]): Schedule | undefined {
  const { tasks } = problem;
  const made = begun(problem);
  const next = followers(problem);
  const open = tasks.map(({ after }) => after.length);
  const rank = new Array<number>(tasks.length).fill(0);
  order.forEach((task, at) => (rank[task] = at));
  const ready = new Queue(rank);
  /* Ready, but their place is held by work half done. */
  const parked = new Map<string, number[]>();
  open.forEach((count, i) => count === 0 && ready.push(i));
  for (let done = 0; done < tasks.length;) {
    const i = ready.pop();
    if (i === undefined) return undefined;
    const task = tasks[i] as Task;
    const slot = task.place && slotFor(made, task);
    if (task.place && !slot) {
      parked.set(task.place.name, [...(parked.get(task.place.name) ?? []), i]);
      continue;
    }
    if (!put(problem, made, i, slot)) return undefined;
    done += 1;
    for (const follower of next[i] ?? []) {
      open[follower] = (open[follower] as number) - 1;
      if (open[follower] === 0) ready.push(follower);
    }
    if (!task.place || !slot) continue;
    taken(made, task, made.starts[i] as number, slot);
    if (slot.open !== undefined) continue;
    for (const waiting of parked.get(task.place.name) ?? []) ready.push(waiting);
    parked.delete(task.place.name);
  }
  const { starts, who, cleaned, colours } = made;
  return { starts, who, cleaned, cost: costOf(problem, starts, colours) };
}

const kept = new WeakMap<Problem, number[][]>();

/** What waits for each task. */
function followers(problem: Problem): number[][] {
  const before = kept.get(problem);
  if (before) return before;
  const next: number[][] = problem.tasks.map(() => []);
  problem.tasks.forEach(({ after }, i) => after.forEach((each) => next[each]?.push(i)));
  kept.set(problem, next);
  return next;
}

/** One of a sort of place: a printer, a paint place. */
interface Slot {
  /** The piece of work that has begun there and is not over. */
  open: string | undefined;
  /** From when that has been there. */
  since: number;
  free: number;
  /** What was sprayed there last. */
  colour: string | undefined;
}

/** A schedule half made. */
interface Making {
  starts: number[];
  who: number[][];
  /** Minutes the place is cleaned before each task. */
  cleaned: number[];
  /** How often a place was cleaned. */
  colours: number;
  busy: [number, number][][];
  slots: Map<string, Slot[]>;
  /** Tasks still to place of each piece of work. */
  left: Map<string, number>;
  /** Spans of minutes in which one place of the drying rack is taken. */
  rack: [number, number][];
}

function begun({ tasks, people, held = [], counts = {}, colour }: Problem): Making {
  const left = new Map<string, number>();
  const slots = new Map<string, Slot[]>();
  for (const { place } of tasks) {
    if (!place) continue;
    left.set(place.group, (left.get(place.group) ?? 0) + 1);
    if (slots.has(place.name)) continue;
    const here = held.filter(({ name }) => name === place.name);
    const count = Math.max(1, counts[place.name] ?? 1, here.length);
    slots.set(
      place.name,
      Array.from({ length: count }, (_, k) => ({
        open: here[k]?.group,
        since: 0,
        free: 0,
        colour: place.name === 'paint place' ? colour : undefined,
      })),
    );
  }
  return {
    starts: new Array<number>(tasks.length).fill(-1),
    who: tasks.map(() => []),
    cleaned: new Array<number>(tasks.length).fill(0),
    colours: 0,
    busy: Array.from({ length: people }, () => []),
    slots,
    left,
    rack: [],
  };
}

/** Where a task goes: its own piece of work's place, or the free one it can begin at soonest. */
function slotFor({ slots }: Making, { place }: Task): Slot | undefined {
  const all = slots.get(place?.name ?? '') ?? [];
  const own = all.find(({ open }) => open === place?.group);
  if (own) return own;
  let best: Slot | undefined;
  for (const slot of all) {
    if (slot.open !== undefined) continue;
    const sooner = best && slot.free - best.free;
    const like = slot.colour === place?.first && best?.colour !== place?.first;
    if (sooner === undefined || sooner < 0 || (sooner === 0 && like)) best = slot;
  }
  return best;
}

/** Another colour than the last one sprayed there, not inside one piece of work: it is cleaned before. */
const changes = ({ place }: Task, slot: Slot | undefined): boolean =>
  place?.first !== undefined &&
  slot?.colour !== undefined &&
  slot.open !== place.group &&
  slot.colour !== place.first;

function taken(made: Making, { place, hands }: Task, start: number, slot: Slot): void {
  if (!place) return;
  const more = (made.left.get(place.group) ?? 1) - 1;
  made.left.set(place.group, more);
  if (slot.open !== place.group) slot.since = start;
  slot.free = Math.max(slot.free, start + hands + place.holds);
  slot.open = more > 0 ? place.group : undefined;
  slot.colour = place.last ?? slot.colour;
}

function put(problem: Problem, made: Making, i: number, slot: Slot | undefined): boolean {
  const { tasks, open } = problem;
  const { starts, busy } = made;
  const task = tasks[i] as Task;
  const endOf = (other: number) => (starts[other] as number) + (tasks[other] as Task).hands;
  let from = task.release;
  for (const before of task.after)
    from = Math.max(from, endOf(before) + (tasks[before] as Task).leave);
  const cleans = task.fixed === undefined && changes(task, slot);
  const lead = cleans ? (problem.cleaning ?? 0) : 0;
  if (slot)
    from = Math.max(from, (slot.open === task.place?.group ? slot.since : slot.free) + lead);
  const { within } = task;
  const shut = within
    ? [
        ...(task.shut ?? []),
        [endOf(within.of) + within.minutes, endOf(within.of) + within.again] as const,
      ]
    : (task.shut ?? []);
  let found: { start: number; people: number[] } | undefined;
  if (task.fixed !== undefined)
    found = { start: task.fixed, people: freeAt(busy, task, task.fixed) };
  else
    for (let late = 1; late > 0; from = (found?.start ?? from) + late) {
      found = fit(task, from, { lead, shut }, open, busy);
      if (!found) return false;
      late = rackFull(problem, made, task, found.start);
    }
  if (!found) return false;
  starts[i] = found.start;
  if (cleans) made.colours += 1;
  busyWith(made, i, found.people, lead, task);
  if (task.rests) made.rack.push(restOf(task, found.start));
  return true;
}

function busyWith(made: Making, i: number, people: number[], lead: number, { hands }: Task): void {
  const start = made.starts[i] as number;
  made.who[i] = people;
  made.cleaned[i] = lead;
  if (lead + hands > 0)
    for (const person of people)
      insert(made.busy[person] as [number, number][], [start - lead, start + hands]);
}

/** When a task's piece stands on the drying rack: from when its place lets it go until it may be handled. */
const restOf = ({ hands, leave, place }: Task, start: number): [number, number] => [
  start + hands + Math.min(place?.holds ?? 0, leave),
  start + hands + leave,
];

/** Minutes it must begin later for a place on the rack; 0 where there is one. */
function rackFull({ rack }: Problem, made: Making, task: Task, start: number): number {
  if (rack === undefined || !task.rests) return 0;
  const [from, to] = restOf(task, start);
  const there = made.rack.filter(([a, b]) => a < to && b > from);
  /* The fullest moments are where another piece comes, or where this one does. */
  for (const moment of [from, ...there.map(([a]) => a)].filter((each) => each >= from)) {
    const at = there.filter(([a, b]) => a <= moment && moment < b);
    if (at.length >= rack) return Math.max(1, Math.min(...at.map(([, b]) => b)) - from);
  }
  return 0;
}

/** When the last thing of each job is done, its time to leave alone included. */
export function jobEnds(problem: Problem, starts: readonly number[]): Map<string, number> {
  const ends = new Map<string, number>();
  problem.tasks.forEach((task, i) => {
    const end = (starts[i] as number) + task.hands + task.leave;
    ends.set(task.jobId, Math.max(ends.get(task.jobId) ?? 0, end));
  });
  return ends;
}

function costOf(problem: Problem, starts: readonly number[], colours: number): Cost {
  const ends = jobEnds(problem, starts);
  let late = 0;
  for (const { jobId, due, weight } of problem.jobs)
    if (due !== undefined) late += weight * Math.max(0, (ends.get(jobId) ?? 0) - due);
  const moved = problem.tasks.filter(
    ({ before }, i) => before !== undefined && before !== starts[i],
  ).length;
  return {
    late,
    moved,
    colours,
    end: Math.max(0, ...ends.values()),
    sum: starts.reduce((sum, start) => sum + start, 0),
  };
}
