import type { Condition, Part, Shop } from '../types/types.ts';
import { standingOf } from './lookup.ts';
import type { Placed } from '../types/plan.ts';
import type { Plan } from '../types/plan.ts';

/** How a part stands, and whose word that is. */
export interface Standing {
  condition: Condition;
  /** Said of the machine it sits or sat in, not of the part. */
  inherited: boolean;
  /** What was damaged and mended since, and not tested afterwards. */
  untested: boolean;
  /** What happened to it in this job. */
  what?: string | undefined;
}

/** A part's condition with what happened to it in the job: damaged until mended, mended until tested again. */
export function conditionOf(plan: Plan, { part }: Pick<Placed, 'part'>): Standing {
  const hurt = plan.job?.damages.filter((each) => each.partId === part.id) ?? [];
  const open = hurt.find((each) => !each.mended) ?? hurt.find((each) => !each.retested);
  if (open)
    return {
      condition: open.mended ? 'mended' : 'damaged',
      inherited: false,
      untested: true,
      what: open.what,
    };
  const { condition } = standingOf(plan.shop, part);
  return {
    condition,
    inherited: part.condition === undefined && condition !== 'unknown',
    untested: (condition === 'mended' || condition === 'damaged') && !retested(plan.shop, part),
  };
}

/** Was it tested again after it was mended, in any job? */
const retested = (shop: Shop, part: Part): boolean =>
  shop.jobs.some((job) =>
    job.damages.some((each) => each.partId === part.id && each.mended && each.retested),
  );
