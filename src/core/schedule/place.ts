import type { Open } from './calendar.ts';
import type { Cost, Problem, Schedule, Task } from './model.ts';

/**
 * Tasks placed one after the other as early as they can be (serial schedule generation, Kolisch 1996): every order
 * gives a schedule, and some order gives one that is least late. Undefined where a task fits nowhere.
 */
export function placed(problem: Problem, order: readonly number[]): Schedule | undefined {
  const { tasks } = problem;
  const starts = new Array<number>(tasks.length).fill(-1);
  const who: number[][] = tasks.map(() => []);
  const busy: [number, number][][] = Array.from({ length: problem.people }, () => []);
  const places = new Map<string, Held>(
    (problem.held ?? []).map(({ name, group }) => [name, { open: group, free: 0 }]),
  );
  const left = groupsLeft(tasks);
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
    const held = task.place && places.get(task.place.name);
    if (held?.open !== undefined && held.open !== task.place?.group) {
      const name = task.place?.name ?? '';
      parked.set(name, [...(parked.get(name) ?? []), i]);
      continue;
    }
    if (!put(problem, i, starts, who, busy, places)) return undefined;
    done += 1;
    for (const follower of next[i] ?? []) {
      open[follower] = (open[follower] as number) - 1;
      if (open[follower] === 0) ready.push(follower);
    }
    if (!task.place) continue;
    closeGroup(task, starts[i] as number, places, left);
    if (places.get(task.place.name)?.open !== undefined) continue;
    for (const waiting of parked.get(task.place.name) ?? []) ready.push(waiting);
    parked.delete(task.place.name);
  }
  return { starts, who, cost: costOf(problem, starts) };
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

/** Ready tasks, the one that stands first in the order on top: a binary heap. */
class Queue {
  #heap: number[] = [];
  #rank: readonly number[];
  constructor(rank: readonly number[]) {
    this.#rank = rank;
  }
  push(task: number): void {
    const heap = this.#heap;
    let at = heap.push(task) - 1;
    while (at > 0) {
      const up = (at - 1) >> 1;
      if (!this.#first(at, up)) break;
      this.#swap(at, up);
      at = up;
    }
  }
  pop(): number | undefined {
    const heap = this.#heap;
    const top = heap[0];
    const last = heap.pop();
    if (heap.length === 0 || last === undefined) return top;
    heap[0] = last;
    for (let at = 0; ;) {
      const [l, r] = [2 * at + 1, 2 * at + 2];
      let best = at;
      if (l < heap.length && this.#first(l, best)) best = l;
      if (r < heap.length && this.#first(r, best)) best = r;
      if (best === at) return top;
      this.#swap(at, best);
      at = best;
    }
  }
  #first(a: number, b: number): boolean {
    const heap = this.#heap;
    return (this.#rank[heap[a] as number] as number) < (this.#rank[heap[b] as number] as number);
  }
  #swap(a: number, b: number): void {
    const heap = this.#heap;
    [heap[a], heap[b]] = [heap[b] as number, heap[a] as number];
  }
}

interface Held {
  /** The piece of work that has begun there and is not over. */
  open: string | undefined;
  free: number;
}

function groupsLeft(tasks: readonly Task[]): Map<string, number> {
  const left = new Map<string, number>();
  for (const { place } of tasks) if (place) left.set(place.group, (left.get(place.group) ?? 0) + 1);
  return left;
}

function closeGroup(
  { place, hands }: Task,
  start: number,
  places: Map<string, Held>,
  left: Map<string, number>,
): void {
  if (!place) return;
  const more = (left.get(place.group) ?? 1) - 1;
  left.set(place.group, more);
  const free = Math.max(places.get(place.name)?.free ?? 0, start + hands + place.holds);
  places.set(place.name, { open: more > 0 ? place.group : undefined, free });
}

function put(
  problem: Problem,
  i: number,
  starts: number[],
  who: number[][],
  busy: [number, number][][],
  places: ReadonlyMap<string, Held>,
): boolean {
  const { tasks, open } = problem;
  const task = tasks[i] as Task;
  let from = task.release;
  for (const before of task.after) {
    const other = tasks[before] as Task;
    from = Math.max(from, (starts[before] as number) + other.hands + other.leave);
  }
  const held = task.place && places.get(task.place.name);
  if (held && held.open !== task.place?.group) from = Math.max(from, held.free);
  const found =
    task.fixed !== undefined
      ? { start: task.fixed, people: freeAt(busy, task, task.fixed) }
      : fit(task, from, open, busy);
  if (!found) return false;
  starts[i] = found.start;
  who[i] = found.people;
  if (task.hands > 0)
    for (const person of found.people)
      insert(busy[person] as [number, number][], [found.start, found.start + task.hands]);
  return true;
}

type Spans = readonly (readonly [number, number])[];

function fit(
  task: Task,
  from: number,
  open: readonly Open[],
  busy: readonly Spans[],
): { start: number; people: number[] } | undefined {
  const { shut } = task;
  const needs = task.hands + (task.attended ? task.leave : 0);
  for (let day = dayOf(open, from); day < open.length; day += 1) {
    const hours = open[day] as Open;
    let start = Math.max(hours.from, from);
    while (start + needs <= hours.to) {
      if (shut && start > shut[0] && start < shut[1]) {
        start = shut[1];
        continue;
      }
      const at = soonest(task, start, busy);
      if (at === start) return { start, people: freeAt(busy, task, start) };
      start = at;
    }
  }
  return undefined;
}

/** The first opening hours that end after a minute. */
function dayOf(open: readonly Open[], minute: number): number {
  let [lo, hi] = [0, open.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if ((open[mid] as Open).to > minute) hi = mid;
    else lo = mid + 1;
  }
  return lo;
}

/** The first minute from `start` on at which so many people as it wants are free for its hands. */
function soonest({ hands, people, who }: Task, start: number, busy: readonly Spans[]): number {
  if (hands === 0) return start;
  const free = (who === undefined || people > 1 ? busy : [busy[who] ?? []])
    .map((spans) => freeFrom(spans, start, hands))
    .sort((a, b) => a - b);
  return free[people - 1] ?? Infinity;
}

/** The first minute from `start` on with `hands` minutes free. */
function freeFrom(spans: Spans, start: number, hands: number): number {
  let at = start;
  for (let i = firstEnding(spans, start); i < spans.length; i += 1) {
    const [from, to] = spans[i] as readonly [number, number];
    if (from >= at + hands) break;
    at = to;
  }
  return at;
}

function firstEnding(spans: Spans, minute: number): number {
  let [lo, hi] = [0, spans.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if ((spans[mid] as readonly [number, number])[1] > minute) hi = mid;
    else lo = mid + 1;
  }
  return lo;
}

/** Who is free from `start` on, as many as it wants where there are so many. */
function freeAt(busy: readonly Spans[], { hands, people, who }: Task, start: number): number[] {
  if (hands === 0) return [];
  const free: number[] = [];
  for (let person = 0; person < busy.length && free.length < people; person += 1) {
    if (who !== undefined && people === 1 && person !== who) continue;
    if (freeFrom(busy[person] ?? [], start, hands) === start) free.push(person);
  }
  return free;
}

function insert(list: [number, number][], span: [number, number]): void {
  let at = list.length;
  while (at > 0 && (list[at - 1] as [number, number])[0] > span[0]) at -= 1;
  list.splice(at, 0, span);
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

export function costOf(problem: Problem, starts: readonly number[]): Cost {
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
    colours: colourChanges(problem, starts),
    end: Math.max(0, ...ends.values()),
    sum: starts.reduce((sum, start) => sum + start, 0),
  };
}

/** How often the paint place is cleaned between two pieces of work because the next begins with another colour. */
export function colourChanges({ tasks }: Problem, starts: readonly number[]): number {
  const painted = tasks
    .map((task, i) => ({ place: task.place, start: starts[i] as number }))
    .filter(({ place }) => place?.name === 'paint place' && place.first !== undefined)
    .sort((a, b) => a.start - b.start);
  return painted.filter(({ place }, i) => i > 0 && painted[i - 1]?.place?.last !== place?.first)
    .length;
}
