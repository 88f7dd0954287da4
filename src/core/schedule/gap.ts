import { indexOf } from '../model/lookup/lookup.ts';
import type { Step } from '../model/types/step.ts';
import type { Shop } from '../model/types/types.ts';
import { planOf } from '../plan/planOf.ts';
import { workOrderOf } from '../plan/workOrderOf.ts';
import { minuteOf } from './calendar.ts';
import type { Task } from './model.ts';
import type { WeekPlan } from './plan.ts';

/** Steps of a task that may begin now, as many as the minutes hold. */
export interface Fill {
  jobId: string;
  title: string;
  minutes: number;
  steps: number;
  inHand: string[];
}

/** Something left alone just now, and what hands can do until it may be touched. */
export interface Gap {
  jobId: string;
  /** What was done to it last. */
  title: string;
  until: number;
  /** What may begin now and is done by then: by tools already in hand, then by the plan. */
  fills: Fill[];
}

/** Tools of a step done this short a while ago are still on the bench, minutes (common practice, no source). */
const IN_HAND_MIN = 90;
/** Nothing left alone for longer is a gap between two screws. */
const LONGEST_MIN = 1440;
const MOST = 3;

/** What to do with the minutes until something left alone may be touched; the soonest such moment. */
export function gapNow(shop: Shop, { week, found }: WeekPlan): Gap | undefined {
  if (!found) return undefined;
  let gap: Omit<Gap, 'fills'> | undefined;
  const inHand = new Set<string>();
  for (const job of shop.jobs) {
    const recent = [...job.ticks, ...job.started].filter(
      ({ at }) => week.now - minuteOf(at) < LONGEST_MIN,
    );
    if (job.handedOver || recent.length === 0) continue;
    const steps = new Map(
      workOrderOf(planOf(shop, job), job.schools).map((step) => [step.id, step]),
    );
    for (const { stepId, at } of recent) {
      const step = steps.get(stepId);
      if (!step) continue;
      const since = minuteOf(at);
      if (week.now - since < IN_HAND_MIN) step.tools.forEach((tool) => inHand.add(tool));
      const running = job.started.some((each) => each.stepId === stepId);
      const until = since + (running ? step.minutes : 0) + (step.leaveMinutes ?? 0);
      if (step.leaveMinutes === undefined || until <= week.now) continue;
      if (!gap || until < gap.until) gap = { jobId: job.id, title: step.title, until };
    }
  }
  if (!gap) return undefined;
  const { until } = gap;
  const held = week.problem.held ?? [];
  const fills = week.problem.tasks
    .map((task, i) => ({ task, start: found.starts[i] as number }))
    .filter(
      ({ task }) =>
        task.after.length === 0 &&
        task.release <= week.now &&
        task.fixed === undefined &&
        !held.some(({ name, group }) => name === task.place?.name && group !== task.place.group),
    )
    .flatMap(({ task, start }) => {
      const fill = fillOf(shop, task, until - week.now, inHand);
      return fill ? [{ fill, start }] : [];
    })
    .sort((a, b) => b.fill.inHand.length - a.fill.inHand.length || a.start - b.start)
    .slice(0, MOST);
  return { ...gap, fills: fills.map(({ fill }) => fill) };
}

/** The first steps of a task that are done in so many minutes; undefined where not even one is. */
function fillOf(
  shop: Shop,
  task: Task,
  minutes: number,
  inHand: ReadonlySet<string>,
): Fill | undefined {
  const job = indexOf(shop).jobs.get(task.jobId);
  if (!job) return undefined;
  const order = new Map(workOrderOf(planOf(shop, job), job.schools).map((step) => [step.id, step]));
  const done: Step[] = [];
  let total = 0;
  for (const id of task.steps) {
    const step = order.get(id);
    if (!step || total + step.minutes > minutes) break;
    done.push(step);
    total += step.minutes + (step.leaveMinutes ?? 0);
  }
  const [first] = done;
  return (
    first && {
      jobId: task.jobId,
      title: first.title,
      minutes: done.reduce((sum, step) => sum + step.minutes, 0),
      steps: done.length,
      inHand: [...new Set(done.flatMap(({ tools }) => tools))].filter((tool) => inHand.has(tool)),
    }
  );
}
