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
  const waiting = [...order];
  while (waiting.length > 0) {
    /* The first that is ready and whose place is not held by work half done. */
    const at = waiting.findIndex((i) => {
      const task = tasks[i] as Task;
      if (!task.after.every((before) => (starts[before] as number) >= 0)) return false;
      const held = task.place && places.get(task.place.name);
      return !held || held.open === undefined || held.open === task.place?.group;
    });
    if (at < 0) return undefined;
    const [i = 0] = waiting.splice(at, 1);
    const task = tasks[i] as Task;
    if (!put(problem, i, starts, who, busy, places)) return undefined;
    if (task.place) closeGroup(task, starts[i] as number, places, left);
  }
  return { starts, who, cost: costOf(problem, starts) };
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
      ? { start: task.fixed, people: freeAt(busy, task, task.fixed, true) ?? [] }
      : fit(task, from, open, busy);
  if (!found) return false;
  starts[i] = found.start;
  who[i] = found.people;
  if (task.hands > 0)
    for (const person of found.people)
      insert(busy[person] as [number, number][], [found.start, found.start + task.hands]);
  return true;
}

function fit(
  task: Task,
  from: number,
  open: readonly Open[],
  busy: readonly (readonly [number, number][])[],
): { start: number; people: number[] } | undefined {
  const { shut } = task;
  const needs = task.hands + (task.attended ? task.leave : 0);
  for (const hours of open) {
    if (hours.to < from + needs) continue;
    let start = Math.max(hours.from, from);
    for (;;) {
      if (shut && start > shut[0] && start < shut[1]) start = shut[1];
      if (start + needs > hours.to) break;
      const people = freeAt(busy, task, start, false);
      if (people) return { start, people };
      start = nextFree(busy, task, start);
    }
  }
  return undefined;
}

/** Who could do it from `start` on; undefined where there are not enough. */
function freeAt(
  busy: readonly (readonly [number, number][])[],
  { hands, people, who }: Task,
  start: number,
  anyhow: boolean,
): number[] | undefined {
  if (hands === 0) return [];
  const free: number[] = [];
  for (let person = 0; person < busy.length; person += 1) {
    if (who !== undefined && people === 1 && person !== who) continue;
    const taken = (busy[person] ?? []).some(([s, e]) => s < start + hands && start < e);
    if (!taken) free.push(person);
    if (free.length === people) return free;
  }
  return anyhow ? free : undefined;
}

/** The next minute at which somebody who is at work now gets free. */
function nextFree(
  busy: readonly (readonly [number, number][])[],
  { hands }: Task,
  start: number,
): number {
  let next = Infinity;
  for (const list of busy)
    for (const [s, e] of list) if (s < start + hands && e > start && e < next) next = e;
  return next === Infinity ? start + 1 : next;
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
