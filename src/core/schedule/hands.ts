import type { Open } from './calendar.ts';
import type { Task } from './model.ts';

/** Where hands are free: spans of minutes, sorted, each person's own. */
export type Spans = readonly (readonly [number, number])[];

export interface Wanted {
  /** Minutes of hands before the task itself begins: the paint place is cleaned. */
  lead: number;
  /** Minutes between which it may not begin. */
  shut: Spans;
}

/**
 * The first start from `from` on at which a task has its people for `lead` minutes before and its hands after,
 * inside opening hours, and does not begin where it must not. Undefined where there is none.
 */
export function fit(
  task: Task,
  from: number,
  { lead, shut }: Wanted,
  open: readonly Open[],
  busy: readonly Spans[],
): { start: number; people: number[] } | undefined {
  const needs = lead + task.hands + (task.attended ? task.leave : 0);
  const whole = { ...task, hands: lead + task.hands };
  for (let day = dayOf(open, from - lead); day < open.length; day += 1) {
    const hours = open[day] as Open;
    let begin = Math.max(hours.from, from - lead);
    while (begin + needs <= hours.to) {
      const start = begin + lead;
      const closed = shut.find(([after, before]) => start > after && start < before);
      if (closed) {
        begin = closed[1] - lead;
        continue;
      }
      const at = soonest(whole, begin, busy);
      if (at === begin) return { start, people: freeAt(busy, whole, begin) };
      begin = at;
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
export function freeAt(
  busy: readonly Spans[],
  { hands, people, who }: Task,
  start: number,
): number[] {
  if (hands === 0) return [];
  const free: number[] = [];
  for (let person = 0; person < busy.length && free.length < people; person += 1) {
    if (who !== undefined && people === 1 && person !== who) continue;
    if (freeFrom(busy[person] ?? [], start, hands) === start) free.push(person);
  }
  return free;
}

export function insert(list: [number, number][], span: [number, number]): void {
  let at = list.length;
  while (at > 0 && (list[at - 1] as [number, number])[0] > span[0]) at -= 1;
  list.splice(at, 0, span);
}
