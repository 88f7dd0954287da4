import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Problem, Task } from '../../../src/core/schedule/model.ts';

/** Minutes at which a task may start, by the calendar and its own release: written anew, not the product's. */
export function mayStart({ open }: Problem, task: Task): number[] {
  const needs = task.hands + (task.attended ? task.leave : 0);
  return open.flatMap(({ from, to }) =>
    Array.from({ length: to - from }, (_, i) => from + i).filter(
      (minute) =>
        minute >= task.release &&
        minute + needs <= to &&
        (task.shut ?? []).every(([after, before]) => minute <= after || minute >= before),
    ),
  );
}

/** What MiniZinc with Gecode (Debian) says is least, and whether it proved it. */
export function byMiniZinc(problem: Problem, seconds: number): { late: number; proven: boolean } {
  const { tasks, jobs, people } = problem;
  const list = (values: readonly (number | string)[]) => `[${values.join(', ')}]`;
  const set = (values: readonly number[]) => `{${values.join(', ')}}`;
  const edges = tasks.flatMap((task, i) =>
    task.after.map((before) => [before + 1, i + 1] as const),
  );
  const groups = [...new Set(tasks.flatMap(({ place }) => place?.group ?? []))];
  const names = [...new Set(tasks.flatMap(({ place }) => place?.name ?? []))];
  const membersOf = (group: string) =>
    tasks.flatMap(({ place }, i) => (place?.group === group ? [i + 1] : []));
  const { cleaning = 0 } = problem;
  const colours = [...new Set(tasks.flatMap(({ place }) => [place?.first, place?.last]))].filter(
    (colour) => colour !== undefined,
  );
  const colourOf = (colour: string | undefined) =>
    colour === undefined ? 0 : colours.indexOf(colour) + 1;
  const firstOf = (group: string) => tasks.find(({ place }) => place?.group === group)?.place;
  const data = {
    n: tasks.length,
    jobs: jobs.length,
    people,
    horizon: Math.max(...problem.open.map(({ to }) => to)) + 100,
    hands: list(tasks.map(({ hands }) => hands)),
    leave: list(tasks.map(({ leave }) => leave)),
    job: list(tasks.map(({ jobId }) => jobs.findIndex((job) => job.jobId === jobId) + 1)),
    may: list(tasks.map((task) => set(mayStart(problem, task)))),
    edges: edges.length,
    before: list(edges.map(([before]) => before)),
    behind: list(edges.map(([, behind]) => behind)),
    due: list(jobs.map(({ due }) => due ?? -1)),
    weight: list(jobs.map(({ weight }) => weight)),
    groups: groups.length,
    members: list(groups.map((group) => set(membersOf(group)))),
    place: list(
      groups.map(
        (group) =>
          names.indexOf(tasks.find(({ place }) => place?.group === group)?.place?.name ?? 'oven') +
          1,
      ),
    ),
    holds: list(tasks.map(({ place }) => place?.holds ?? 0)),
    mayClean: list(
      tasks.map((task) =>
        set(
          mayStart(problem, task).filter((minute) =>
            problem.open.some(({ from, to }) => minute - cleaning >= from && minute < to),
          ),
        ),
      ),
    ),
    opens: list(groups.map((group) => tasks.findIndex(({ place }) => place?.group === group) + 1)),
    first: list(groups.map((group) => colourOf(firstOf(group)?.first))),
    last: list(groups.map((group) => colourOf(firstOf(group)?.last))),
    cleaning,
    rack: problem.rack ?? tasks.length,
    rests: list(tasks.map(({ rests }) => String(rests === true))),
  };
  return solved('week.mzn', data, seconds);
}

/** The least end of a job shop, machine and time of each operation, by a model written for nothing else. */
export function jobShop(jobs: readonly (readonly (readonly [number, number])[])[]) {
  const grid = (of: 0 | 1) =>
    `[|${jobs.map((operations) => operations.map((each) => each[of]).join(', ')).join(' |')}|]`;
  const data = { jobs: jobs.length, machines: jobs.length, machine: grid(0), time: grid(1) };
  return solved('jobshop.mzn', data, 20);
}

function solved(
  model: string,
  data: Readonly<Record<string, number | string>>,
  seconds: number,
): { late: number; proven: boolean } {
  const folder = mkdtempSync(join(tmpdir(), 'week-'));
  const path = join(folder, 'shop.dzn');
  writeFileSync(
    path,
    Object.entries(data)
      .map(([name, value]) => `${name} = ${value};\n`)
      .join(''),
  );
  const limit = ['--solver', 'gecode', '--time-limit', String(seconds * 1000)];
  const said = execFileSync('minizinc', [...limit, `tests/reference/schedule/${model}`, path], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  rmSync(folder, { recursive: true });
  const figures = said.split('\n').filter((line) => /^\d+$/.test(line));
  return { late: Number(figures.at(-1) ?? NaN), proven: said.includes('==========') };
}
