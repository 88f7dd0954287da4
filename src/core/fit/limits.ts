import { numberAt, one, type Plan } from '../model/plan.ts';
import type { How } from '../model/fact.ts';

/** The largest a part may be in one shell, as it stands and with a remedy. */
export interface Limit {
  label: string;
  /** Where it is measured from. */
  datum: string;
  mm: number;
  how: How;
  /** The remedy that gives this much. */
  with?: string | undefined;
}

const lines: readonly { key: string; label: string; datum: string }[] = [
  { key: 'cardRoom', label: 'card length', datum: 'from the inside of the bracket' },
  { key: 'cardHeightRoom', label: 'card height', datum: 'from the slot seat' },
  { key: 'coolerRoom', label: 'cooler height', datum: "from the processor's top" },
  { key: 'supplyRoom', label: 'supply depth', datum: 'plug side to inlet, plugs in' },
  { key: 'boardWidth', label: 'board width', datum: 'along the rear' },
  { key: 'boardDepth', label: 'board depth', datum: 'from the rear edge' },
];

/** Limits of the plan's case: the lower bound of each room, so that what fits the strip surely fits. */
export function limits(plan: Plan): Limit[] {
  const shell = one(plan, 'case');
  if (!shell) return [];
  return lines.flatMap(({ key, label, datum }) => {
    const room = numberAt(plan, shell, key);
    if (!room || room.lo <= 0) return [];
    const line: Limit = { label, datum, mm: room.lo, how: room.how };
    const gain = key === 'cardRoom' ? numberAt(plan, shell, 'cageGain') : undefined;
    return gain ? [line, { ...line, mm: room.lo + gain.lo, with: 'cage out' }] : [line];
  });
}
