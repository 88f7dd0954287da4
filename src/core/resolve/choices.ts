import { worst, type Mark } from '../findings/finding.ts';
import type { Box } from '../fit/space/box.ts';
import { spaceOf } from '../fit/space/space.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import type { Job, SeatId, Shop } from '../model/types/types.ts';
import { kindOf } from '../remedies/index.ts';
import { planOf } from '../plan/planOf.ts';
import { runChecks } from '../plan/run.ts';
import { variablesOf } from './variables.ts';

/** A place or a turn a part could have, with the box it would fill and what the sums then say. */
export interface Choice {
  label: string;
  /** The remedy that puts it there; undefined where it is now. */
  take?: RemedyValue | undefined;
  /** The remedy taken now that has to be given back for it. */
  drop?: RemedyValue | undefined;
  box: Box;
  mark: Mark;
}

/** Where one part of a job may go without another part for its seat: as it is first, then its other places and turns. */
export function choicesFor(shop: Shop, job: Job, seat: SeatId): Choice[] {
  const plan = planOf(shop, job);
  const now = bodyOf(plan, seat);
  if (!now) return [];
  const moved = job.applied.filter((value) => kindOf(value).moves?.(value) === seat);
  const other = variablesOf(shop, job, plan)
    .flatMap((variable) => variable.options.slice(1))
    .flatMap((option): Choice[] => {
      const [take] = option.applies;
      if (!take || kindOf(take).moves?.(take) !== seat) return [];
      const drop = moved.find((value) => value.do === take.do);
      const applied = [...job.applied.filter((value) => value !== drop), take];
      return choiceAt({ ...plan, applied }, seat, option.label, { take, drop });
    });
  const back = moved.flatMap((drop) => {
    const applied = job.applied.filter((value) => value !== drop);
    return choiceAt({ ...plan, applied }, seat, 'back where it was', { drop });
  });
  return [...choiceAt(plan, seat, 'where it is', {}), ...other, ...back];
}

function choiceAt(
  plan: Plan,
  seat: SeatId,
  label: string,
  edit: Pick<Choice, 'take' | 'drop'>,
): Choice[] {
  const box = bodyOf(plan, seat);
  if (!box) return [];
  const found = runChecks(plan).filter(
    (each) => each.station === 'fit' && each.seats.includes(seat),
  );
  return [{ label, ...edit, box, mark: worst(found) }];
}

const bodyOf = (plan: Plan, seat: SeatId) =>
  spaceOf(plan)?.boxes.find((box) => box.seat === seat && box.what === 'body');
