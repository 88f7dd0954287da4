import { indexOf } from '../model/lookup/lookup.ts';
import type { Finish } from '../model/types/finishTypes.ts';
import { finishOf, inId } from '../model/types/step.ts';
import type { Shop } from '../model/types/types.ts';
import type { Task } from './model.ts';
import type { WeekPlan } from './plan.ts';

/** What has to be got, and the start of the first step that needs any of it. */
export interface Trip {
  /** Undefined: only jobs that no week holds want something. */
  before: number | undefined;
  /** `needed` undefined: the job is in no week yet. */
  lines: { label: string; count: number; jobId: string; needed: number | undefined }[];
}

/**
 * One trip before the first step that needs it: parts of the plans that are to buy and come from nobody, and small
 * wants. A want that names its work (a can, a bottle) is needed where that begins, any other where its job does.
 * Undefined where nothing is wanted.
 */
export function tripBefore(shop: Shop, { week, found }: WeekPlan): Trip | undefined {
  const { tasks } = week.problem;
  const { parts } = indexOf(shop);
  const lines: Trip['lines'] = [];
  for (const job of shop.jobs) {
    const own = tasks.flatMap((task, i) =>
      task.jobId === job.id ? [{ task, start: found?.starts[i] ?? week.now }] : [],
    );
    if (own.length === 0 && !week.unplanned.some(({ jobId }) => jobId === job.id)) continue;
    const first = (needs: (task: Task) => boolean): number | undefined => {
      const these = own.filter(({ task }) => needs(task));
      const starts = (these.length > 0 ? these : own).map(({ start }) => start);
      return starts.length > 0 ? Math.min(...starts) : undefined;
    };
    for (const { seat, partId } of job.changes) {
      const part = partId === null ? undefined : parts.get(partId);
      if (part?.place !== 'buy' || part.due !== undefined) continue;
      const needed = first(({ steps }) => steps.includes(inId(seat)));
      lines.push({ label: part.name, count: 1, jobId: job.id, needed });
    }
    for (const { what, count, bought, finish } of job.wants) {
      const work = job.finishes.find(({ id }) => id === finish);
      if (!bought) lines.push({ label: what, count, jobId: job.id, needed: first(workOf(work)) });
    }
  }
  if (lines.length === 0) return undefined;
  lines.sort((a, b) => (a.needed ?? Infinity) - (b.needed ?? Infinity));
  return { before: lines[0]?.needed, lines };
}

/** The task that uses up what was got for a piece of finishing: of paint, what is sprayed. */
const workOf =
  (work: Finish | undefined) =>
  ({ steps, place }: Task): boolean =>
    work !== undefined &&
    steps.some((step) => finishOf(step) === work.id) &&
    (work.do !== 'paint' || place?.name === 'paint place');
