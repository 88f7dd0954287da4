import type { Open } from '../../../src/core/schedule/calendar.ts';
import type { Problem, Task } from '../../../src/core/schedule/model.ts';
import { seededRandom } from '../../../src/core/units/seededRandom.ts';

/**
 * Random small shops; `crowded`: all paint in one place, in three colours that want cleaning between, with a small
 * rack and days that bear no spraying. Minutes are counted from zero, in tens: days of 48 with 18 of them open.
 */
export function randomShop(seed: number, tasksWanted: number, crowded = false): Problem {
  const random = seededRandom(seed * 7919 + 3);
  const int = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const open: Open[] = Array.from({ length: 14 }, (_, day) => ({
    from: day * 48,
    to: day * 48 + 18,
  }));
  const tasks: Task[] = [];
  const jobs: Problem['jobs'][number][] = [];
  while (tasks.length < tasksWanted) {
    const jobId = `j${jobs.length}`;
    const count = int(2, 4);
    const base = tasks.length;
    const places = ['printer', 'paint place', 'oven'] as const;
    const place = crowded ? 'paint place' : random() < 0.6 ? places[int(0, 2)] : undefined;
    const colour = crowded ? ['red', 'blue', 'cream'][int(0, 2)] : undefined;
    for (let k = 0; k < count; k += 1) {
      const uses = place !== undefined && (k === 0 || (k === 1 && random() < 0.5));
      const leave = random() < 0.5 ? int(1, 30) : 0;
      const attended = random() < 0.2 && leave < 10;
      tasks.push({
        id: `${jobId} ${k}`,
        jobId,
        title: '',
        steps: [],
        tools: [],
        hands: int(1, 6),
        leave,
        people: 1,
        attended,
        release: random() < 0.2 ? int(0, 60) : 0,
        after: k === 0 ? [] : random() < 0.8 ? [base + k - 1] : [base],
        ...(uses &&
          place !== undefined && {
            place: {
              name: place,
              group: `${jobId} ${place}`,
              holds: int(0, leave),
              ...(colour !== undefined && { first: colour, last: colour }),
            },
          }),
        ...(crowded && leave > 0 && random() < 0.7 && { rests: true }),
        ...(crowded && random() < 0.3 && { shut: [[int(-1, 47), int(48, 95)]] as const }),
      });
    }
    jobs.push({
      jobId,
      due: random() < 0.75 ? int(8, 70) : undefined,
      weight: int(1, 3),
    });
  }
  return {
    tasks,
    jobs,
    people: int(1, 2),
    open,
    ...(crowded && { cleaning: int(1, 4), rack: int(1, 2) }),
  };
}
