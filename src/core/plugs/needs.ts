import { numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import type { Plug } from '../standards/plugs/index.ts';

/** What the board's converter takes for each watt of the CPU (common practice, no source). */
const VRM = 1.2;

/**
 * Amps the plugs an adapter feeds will draw, as far as the plan tells: those of the CPU, where its watts
 * were said or measured. One entry a plug; what is left out is for the adapter to ask or assume.
 */
export function needsOf(plan: Plan, takes: readonly Plug[]): Record<string, number>[] {
  const processor = partOfKind(plan, 'processor');
  const watts = processor && numberAt(plan, processor, 'watts');
  return takes.map((plug): Record<string, number> =>
    plug.group === 'processor' && watts && watts.how !== 'class'
      ? { '+12V': Math.ceil(((watts.hi * VRM) / 12) * 10) / 10 }
      : {},
  );
}
