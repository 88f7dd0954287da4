import { worst, type Mark } from '../../findings/finding.ts';
import type { Box } from '../../fit/space/box.ts';
import { spaceOf } from '../../fit/space/space.ts';
import type { Plan } from '../../model/plan.ts';
import type { Job, SeatId, Shop } from '../../model/types.ts';
import { planOf } from '../planOf.ts';
import { runChecks } from '../run.ts';
import { variablesOf } from './variables.ts';

/** A place or a turn a part could have, with the box it would fill and what the sums then say. */
export interface Choice {
  label: string;
  /** The remedy that puts it there; undefined where it is now. */
  take?: string | undefined;
  /** The remedy taken now that has to be given back for it. */
  drop?: string | undefined;
  box: Box;
  mark: Mark;
}

/** Where one part of a job may go without another part for its seat: as it is first, then its other places and turns. */
export function choicesFor(shop: Shop, job: Job, seat: SeatId): Choice[] {
  const plan = planOf(shop, job);
  const now = bodyOf(plan, seat);
  if (!now) return [];
  const taken = job.taken.filter((id) => belongs(id, seat));
  const places = variablesOf(shop, job, plan)
    .filter((variable) => belongs(variable.id, seat) && variable.id !== seat)
    .flatMap((variable) => variable.options.slice(1));
  const other = places.flatMap((option): Choice[] => {
    const take = option.take[0];
    if (!take) return [];
    const drop = taken.find((id) => id.split(':')[0] === take.split(':')[0]);
    const at: Plan = { ...plan, taken: new Set([...job.taken.filter((id) => id !== drop), take]) };
    return choiceAt(at, seat, option.label, { take, drop });
  });
  const back = taken.flatMap((drop) =>
    choiceAt(
      { ...plan, taken: new Set(job.taken.filter((id) => id !== drop)) },
      seat,
      'back where it was',
      { drop },
    ),
  );
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

/** Remedies that move this part, not those that cut or join. */
function belongs(id: string, seat: SeatId): boolean {
  const [what, of] = id.split(':');
  if (what === 'turn-supply') return seat === 'supply';
  return ['drive-to', 'slot-far', 'fan-outside'].includes(what ?? '') && of === seat;
}
