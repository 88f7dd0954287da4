import { seededRandom } from '../units/seededRandom.ts';
import { heads, leastLate } from './bound.ts';
import { cheaper, type Problem, type Schedule, type Task } from './model.ts';
import { placed } from './place.ts';

export interface Found extends Schedule {
  /** No schedule is less late than this. */
  bound: number;
  /** Nothing can be less late: `late` is the bound, or every order was looked at. */
  proven: boolean;
  tried: number;
}

export interface Effort {
  /** Orders looked at, at most. */
  orders: number;
  seed?: number;
  /** Called now and then with what is best so far; true: enough. */
  stop?: (best: Found) => boolean;
}

/** Orders between two looks at the clock. */
const BETWEEN = 64;

/**
 * The best schedule that is found: orders by due day, by slack and by what was planned, then the best one broken up
 * and put together again around its latest job (ruin and recreate). Small problems are looked through whole.
 * Undefined where a task fits nowhere.
 */
export function schedule(problem: Problem, effort: Effort): Found | undefined {
  const bound = leastLate(problem);
  let tried = 0;
  let best: Kept | undefined;
  const look = (order: readonly number[]): Kept | undefined => {
    tried += 1;
    const found = placed(problem, order);
    const kept = found && { found, order };
    if (kept && (!best || cheaper(found.cost, best.found.cost))) best = kept;
    return kept;
  };
  for (const order of rules(problem)) look(order);
  const ready = (all = false): Found | undefined => {
    if (!best) return undefined;
    const { late } = best.found.cost;
    return { ...best.found, bound, proven: all || late <= bound + 1e-6, tried };
  };
  if (!best) return undefined;
  const whole = allOrders(problem, SMALL_ORDERS);
  if (whole) {
    for (const order of whole) look(order);
    return ready(anyOrder(problem));
  }
  const random = seededRandom(effort.seed ?? 1);
  let now: Kept = best;
  /* What is on time already is only made calmer and shorter, with less effort. */
  while (tried < effort.orders && !(ready()?.proven && tried > effort.orders / 8)) {
    /* Warm at first, so that it climbs out of hollows; anew from the best where it cooled down. */
    const warmth = 1 - (tried % ROUND) / ROUND;
    if (tried % ROUND < BETWEEN) now = best;
    for (let i = 0; i < BETWEEN; i += 1) {
      const next = look(changed(problem, now, random));
      if (next && accepts(next, now, warmth, random)) now = next;
    }
    const sofar = ready();
    if (sofar && effort.stop?.(sofar)) break;
  }
  return ready();
}

/**
 * Some order gives what is best: not surely where somebody must do it, a rack is full, a place is cleaned, or there
 * is a choice of places.
 */
const anyOrder = ({ tasks, counts = {}, rack, cleaning }: Problem): boolean =>
  tasks.every(
    ({ who, rests, place }) =>
      who === undefined && !(rests && rack !== undefined) && !(place?.first && cleaning),
  ) && Object.values(counts).every((count) => count < 2);

interface Kept {
  found: Schedule;
  order: readonly number[];
}

/** Orders from warm to cold. */
const ROUND = 2048;
/** Share of the lateness a warm search puts up with as more of it. */
const WARM = 0.01;

function accepts(next: Kept, now: Kept, warmth: number, random: () => number): boolean {
  const worse = next.found.cost.late - now.found.cost.late;
  if (worse === 0) return !cheaper(now.found.cost, next.found.cost) || random() < warmth / 4;
  const bears = Math.max(1, WARM * now.found.cost.late) * warmth + 1e-9;
  return worse < 0 || random() < Math.exp(-worse / bears);
}

function changed(problem: Problem, now: Kept, random: () => number): number[] {
  const kind = random();
  if (kind < 0.35) return moved(now.order, random);
  if (kind < 0.5) return swapped(now.order, random);
  if (kind < 0.65) return pulled(problem, now, random) ?? moved(now.order, random);
  return rebuilt(problem, now.found, now.order, random);
}

/** Orders looked through whole: more are searched. */
const SMALL_ORDERS = 2000;

/** Every order that keeps what comes first, or undefined where there are too many. */
export function allOrders({ tasks }: Problem, most: number): number[][] | undefined {
  const orders: number[][] = [];
  const done = new Set<number>();
  const order: number[] = [];
  const walk = (): boolean => {
    if (order.length === tasks.length) {
      orders.push(order.slice());
      return orders.length <= most;
    }
    return tasks.every((task, i) => {
      if (done.has(i) || !task.after.every((before) => done.has(before))) return true;
      done.add(i);
      order.push(i);
      const on = walk();
      order.pop();
      done.delete(i);
      return on;
    });
  };
  return walk() ? orders : undefined;
}

/** Orders a person would try: as planned before, by due day, by slack, longest wait first. */
function rules(problem: Problem): number[][] {
  const { tasks, jobs } = problem;
  const head = heads(problem);
  const tail = tails(tasks);
  const dues = new Map(jobs.map(({ jobId, due, weight }) => [jobId, { due, weight }]));
  const dueOf = (task: Task) => dues.get(task.jobId)?.due ?? Infinity;
  const rank = (key: (task: Task, i: number) => number): number[] =>
    sortedBy(tasks, (i) => key(tasks[i] as Task, i));
  return [
    rank((task, i) => task.fixed ?? task.before ?? 1e12 + (head[i] as number)),
    rank((task) => dueOf(task)),
    rank((task, i) => dueOf(task) - (tail[i] as number)),
    rank((_, i) => -(tail[i] as number)),
    rank((_, i) => head[i] as number),
  ];
}

function sortedBy(tasks: readonly Task[], key: (i: number) => number): number[] {
  const keys = tasks.map((_, i) => key(i));
  return tasks
    .map((_, i) => i)
    .sort((a, b) => {
      const [x, y] = [keys[a] as number, keys[b] as number];
      return x === y ? a - b : x < y ? -1 : 1;
    });
}

/** Minutes from the start of each task to the end of what hangs on it. */
function tails(tasks: readonly Task[]): number[] {
  const longest = new Array<number>(tasks.length).fill(-1);
  const next = tasks.map((_, i) => tasks.flatMap((task, k) => (task.after.includes(i) ? [k] : [])));
  const tail = (i: number): number => {
    if ((longest[i] as number) < 0) {
      const { hands, leave } = tasks[i] as Task;
      longest[i] = hands + leave + Math.max(0, ...(next[i] ?? []).map(tail));
    }
    return longest[i] as number;
  };
  tasks.forEach((_, i) => tail(i));
  return longest;
}

/** One task somewhere else in the order. */
function moved(order: readonly number[], random: () => number): number[] {
  const next = order.slice();
  const [task = 0] = next.splice(Math.floor(random() * next.length), 1);
  next.splice(Math.floor(random() * (next.length + 1)), 0, task);
  return next;
}

/**
 * Back from where a late job ends along what each task waited for; one that waited for hands or a place goes before
 * the one that had them.
 */
function pulled(
  problem: Problem,
  { found, order }: Kept,
  random: () => number,
): number[] | undefined {
  const { tasks } = problem;
  const { starts, who } = found;
  const pairs: [number, number][] = [];
  let at = lastOfLate(problem, found, random);
  while (at !== undefined && pairs.length < 40) {
    const task = tasks[at] as Task;
    const start = starts[at] as number;
    let [before, beforeEnd, blocks] = [-1, -1, false];
    for (const each of task.after) {
      const end =
        (starts[each] as number) + (tasks[each] as Task).hands + (tasks[each] as Task).leave;
      if (end > beforeEnd) [before, beforeEnd, blocks] = [each, end, false];
    }
    for (let each = 0; each < tasks.length; each += 1) {
      if (each === at) continue;
      const other = tasks[each] as Task;
      const same =
        other.place?.name === task.place?.name && other.place?.group !== task.place?.group;
      const hands = (starts[each] as number) + other.hands;
      const end =
        same && other.place
          ? hands + other.place.holds
          : who[each]?.some((person) => who[at as number]?.includes(person))
            ? hands
            : Infinity;
      if (end <= start && (end > beforeEnd || (end === beforeEnd && random() < 0.5)))
        [before, beforeEnd, blocks] = [each, end, true];
    }
    if (before < 0) break;
    if (blocks) pairs.push([before, at]);
    at = before;
  }
  const [blocker, task] = pairs[Math.floor(random() * pairs.length)] ?? [];
  if (blocker === undefined || task === undefined) return undefined;
  const next = order.filter((each) => each !== task);
  next.splice(next.indexOf(blocker), 0, task);
  return next;
}

/** The task with which a late job ends; one of them, where several are late. */
function lastOfLate(
  { tasks, jobs }: Problem,
  { starts }: Schedule,
  random: () => number,
): number | undefined {
  const lasts = new Map<string, { task: number; end: number }>();
  tasks.forEach(({ jobId, hands, leave }, task) => {
    const end = (starts[task] as number) + hands + leave;
    if (end > (lasts.get(jobId)?.end ?? -1)) lasts.set(jobId, { task, end });
  });
  const late = jobs.flatMap(({ jobId, due }) => {
    const last = lasts.get(jobId);
    return last && due !== undefined && last.end > due ? [last.task] : [];
  });
  return late[Math.floor(random() * late.length)];
}

/** Two tasks change places. */
function swapped(order: readonly number[], random: () => number): number[] {
  const next = order.slice();
  const [a, b] = [Math.floor(random() * next.length), Math.floor(random() * next.length)];
  [next[a], next[b]] = [next[b] as number, next[a] as number];
  return next;
}

/** A job, often the one that is latest, goes first, last or somewhere; the others keep their order. */
function rebuilt(
  { tasks, jobs }: Problem,
  best: Schedule,
  order: readonly number[],
  random: () => number,
): number[] {
  const late = jobs.filter(({ jobId, due }) =>
    tasks.some(
      (task, i) =>
        task.jobId === jobId &&
        due !== undefined &&
        (best.starts[i] ?? 0) + task.hands + task.leave > due,
    ),
  );
  const from = late.length > 0 && random() < 0.6 ? late : jobs;
  const jobId = from[Math.floor(random() * from.length)]?.jobId;
  const own = order.filter((i) => tasks[i]?.jobId === jobId);
  const others = order.filter((i) => tasks[i]?.jobId !== jobId);
  const at = random() < 0.4 ? 0 : Math.floor(random() * (others.length + 1));
  return [...others.slice(0, at), ...own, ...others.slice(at)];
}
