import type { OwnStep } from '../model/types/finishTypes.ts';
import type { Job } from '../model/types/types.ts';
import { ownId, step, type Step } from '../model/types/step.ts';

/** An id no step of one's own has in this job. */
export function nextOwnId({ own }: Pick<Job, 'own'>): string {
  const taken = new Set(own.map(({ id }) => id));
  let n = 1;
  while (taken.has(`s${n}`)) n += 1;
  return `s${n}`;
}

/**
 * Steps of one's own put into an order: each straight after the step it names, or first of all. One whose step is
 * gone comes last; several after one step keep the order they stand in.
 */
export function withOwn(ordered: readonly Step[], own: readonly OwnStep[]): Step[] {
  const result = [...ordered];
  const left = [...own];
  const places = new Set<string>();
  while (left.length > 0) {
    const ids = new Set(result.map(({ id }) => id));
    const at = left.findIndex(({ after }) => after === undefined || ids.has(after));
    const [next] = left.splice(Math.max(at, 0), 1);
    if (!next) break;
    const lost = at < 0;
    const behind = lost ? result.at(-1)?.id : next.after;
    let place = behind === undefined ? 0 : result.findIndex(({ id }) => id === behind) + 1;
    /* Behind those of one's own that stand there already. */
    while (places.has(result[place]?.id ?? '') && result[place]?.after[0] === (behind ?? ''))
      place += 1;
    const made = madeOf(next, behind ?? '');
    places.add(made.id);
    result.splice(place, 0, made);
  }
  /* What stands behind one of one's own waits for it. */
  return result.map((each, i) => {
    const before = result[i - 1];
    const after = each.after.filter((id) => id !== '');
    return before && places.has(before.id) && !after.includes(before.id)
      ? { ...each, after: [...after, before.id] }
      : { ...each, after };
  });
}

const madeOf = (own: OwnStep, after: string): Step =>
  step({
    id: ownId(own.id),
    phase: 'shell',
    title: own.title,
    minutes: own.minutes,
    ...(own.leaveMinutes !== undefined && { leaveMinutes: own.leaveMinutes }),
    ...(own.uses && { uses: own.uses }),
    ...(own.who !== undefined && { who: own.who }),
    tools: own.tool ? [own.tool] : [],
    cautions: own.caution ? [own.caution] : [],
    after: [after],
  });
