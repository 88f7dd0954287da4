import type { Problem, Task } from './model.ts';

/**
 * Least possible weighted lateness: no schedule is better. The larger of two bounds: every job alone with hands
 * without end (its longest path, by the calendar), and all hands together (the k-th job cannot be done before the
 * k least hands are; done jobs matched with sorted due days: Du and Leung's lemma for total tardiness).
 */
export function leastLate(problem: Problem): number {
  return Math.max(alone(problem), together(problem));
}

/** Earliest start of each task, people and places without end. Infinity where it fits nowhere. */
export function heads({ tasks, open }: Problem): number[] {
  const starts = new Array<number>(tasks.length).fill(-1);
  const head = (i: number): number => {
    if ((starts[i] as number) >= 0) return starts[i] as number;
    const task = tasks[i] as Task;
    let from = task.release;
    for (const before of task.after) {
      const other = tasks[before] as Task;
      from = Math.max(from, head(before) + other.hands + other.leave);
    }
    const needs = task.hands + (task.attended ? task.leave : 0);
    const hours = open.find((each) => Math.max(each.from, from) + needs <= each.to);
    starts[i] = task.fixed ?? (hours ? Math.max(hours.from, from) : Infinity);
    return starts[i] as number;
  };
  tasks.forEach((_, i) => head(i));
  return starts;
}

function alone(problem: Problem): number {
  const starts = heads(problem);
  return problem.jobs.reduce((sum, { jobId, due, weight }) => {
    if (due === undefined) return sum;
    const end = problem.tasks.reduce(
      (latest, task, i) =>
        task.jobId === jobId
          ? Math.max(latest, (starts[i] as number) + task.hands + task.leave)
          : latest,
      0,
    );
    return sum + weight * Math.max(0, end - due);
  }, 0);
}

function together({ tasks, jobs, people, open }: Problem): number {
  const dated = jobs.filter(({ due }) => due !== undefined);
  if (dated.length === 0) return 0;
  const work = dated
    .map(({ jobId }) =>
      tasks
        .filter((task) => task.jobId === jobId && task.fixed === undefined)
        .reduce((sum, task) => sum + task.hands * task.people, 0),
    )
    .sort((a, b) => a - b);
  const dues = dated.map(({ due }) => due as number).sort((a, b) => a - b);
  const lightest = Math.min(...dated.map(({ weight }) => weight));
  let done = 0;
  return work.reduce((sum, hands, k) => {
    done += hands;
    return sum + lightest * Math.max(0, doneBy(done / people, open) - (dues[k] as number));
  }, 0);
}

/** The minute at which so many minutes of opening hours are over. */
function doneBy(minutes: number, open: Problem['open']): number {
  if (minutes <= 0) return 0;
  let left = minutes;
  for (const { from, to } of open) {
    if (left <= to - from) return from + left;
    left -= to - from;
  }
  return open.at(-1)?.to ?? 0;
}
