import type { Shop } from '../model/types/types.ts';
import { heads } from './bound.ts';
import { jobEnds } from './place.ts';
import { schedule, type Effort, type Found } from './search.ts';
import { weekOf, type Asked, type Week } from './tasks.ts';

/** The week worked out: what happens when, who is late by how much, how much is to spare. */
export interface WeekPlan {
  week: Week;
  /** Undefined: nothing is open. */
  found: Found | undefined;
  jobs: JobOutlook[];
}

export interface JobOutlook {
  jobId: string;
  end: number;
  due: number | undefined;
  /** Minutes to spare; below zero: late. Undefined without a due day. */
  spare: number | undefined;
  /** The first open task must have begun by then, with all hands free for it. */
  startBy: number | undefined;
  /** Tasks that the kept plan had elsewhere, and by how much they moved. */
  moved: { title: string; from: number; to: number }[];
}

export interface Wished extends Asked {
  /** Tasks that are not to begin before a minute: dragged later. */
  notBefore?: Readonly<Record<string, number>> | undefined;
}

export function planWeek(shop: Shop, wished: Wished, effort: Effort): WeekPlan {
  const week = withWishes(weekOf(shop, wished), wished.notBefore ?? {});
  if (week.problem.tasks.length === 0) return { week, found: undefined, jobs: [] };
  const found = steady(week, effort);
  return { week, found, jobs: found ? outlooks(week, found) : [] };
}

/**
 * As a kept plan has it, nothing earlier than planned, so that a gap pulls nothing forward; anew only where that is
 * less late.
 */
function steady({ problem }: Week, effort: Effort): Found | undefined {
  if (problem.tasks.every(({ before }) => before === undefined)) return schedule(problem, effort);
  const tasks = problem.tasks.map((task) => ({
    ...task,
    release: Math.max(task.release, task.before ?? task.release),
  }));
  const kept = schedule({ ...problem, tasks }, effort);
  if (kept && kept.cost.late <= kept.bound && kept.bound === 0) return kept;
  const anew = schedule(problem, effort);
  if (!anew || !kept) return anew ?? kept;
  return kept.cost.late <= anew.cost.late
    ? { ...kept, bound: anew.bound, proven: anew.proven && kept.cost.late <= anew.cost.late }
    : anew;
}

function withWishes(week: Week, notBefore: Readonly<Record<string, number>>): Week {
  if (Object.keys(notBefore).length === 0) return week;
  const tasks = week.problem.tasks.map((task) => {
    const wish = notBefore[task.id];
    return wish === undefined ? task : { ...task, release: Math.max(task.release, wish) };
  });
  return { ...week, problem: { ...week.problem, tasks } };
}

function outlooks(week: Week, { starts }: Found): JobOutlook[] {
  const ends = jobEnds(week.problem, starts);
  return week.problem.jobs.map(({ jobId, due }) => {
    const end = ends.get(jobId) ?? 0;
    return {
      jobId,
      end,
      due,
      spare: due === undefined ? undefined : due - end,
      startBy: due === undefined || end > due ? undefined : startBy(week, jobId, due),
      moved: week.problem.tasks.flatMap((task, i) => {
        const to = starts[i] as number;
        return task.jobId === jobId && task.before !== undefined && task.before !== to
          ? [{ title: task.title, from: task.before, to }]
          : [];
      }),
    };
  });
}

/** The latest minute a job may begin and still be done by its day, alone in the shop: found by halving. */
function startBy(week: Week, jobId: string, due: number): number {
  const own = week.problem.tasks.filter((task) => task.jobId === jobId);
  const numbers = new Map(own.map((task, i) => [week.problem.tasks.indexOf(task), i]));
  const tasks = own.map((task) => ({
    ...task,
    after: task.after.flatMap((each) => numbers.get(each) ?? []),
  }));
  const endFrom = (from: number): number => {
    const moved = tasks.map((task) => ({ ...task, release: Math.max(task.release, from) }));
    const starts = heads({ ...week.problem, tasks: moved });
    return Math.max(...moved.map((task, i) => (starts[i] as number) + task.hands + task.leave));
  };
  let [lo, hi] = [week.now, due];
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (endFrom(mid) <= due) lo = mid;
    else hi = mid;
  }
  return lo;
}
