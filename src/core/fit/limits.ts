import type { NumberKey } from '../model/properties/index.ts';
import { numberAt, partOfKind, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { How } from '../model/types/fact.ts';
import { ANGLED_BEND_MM, CARD_PLUG_BEND_MM, radiator } from '../standards/room.ts';
import { drawnLength, type LengthUnit } from '../units/length.ts';
import { WASHERS_MM } from '../remedies/lidWashers.ts';
import { mountsOf } from '../remedies/mounts.ts';

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

const lines: readonly { key: NumberKey; label: string; datum: string }[] = [
  { key: 'cardRoom', label: 'card length', datum: 'from the inside of the bracket' },
  { key: 'cardHeightRoom', label: 'card height', datum: 'from the slot seat' },
  { key: 'coolerRoom', label: 'cooler height', datum: "from the CPU's top" },
  { key: 'supplyRoom', label: 'PSU depth', datum: 'plug side to inlet, plugs in' },
  { key: 'boardWidth', label: 'board width', datum: 'along the rear' },
  { key: 'boardDepth', label: 'board depth', datum: 'from the rear edge' },
];

/** What a part takes or a remedy gives, that changes a limit. */
const changes: readonly {
  of: string;
  with: string;
  mm: (plan: Plan, shell: Placed) => number | undefined;
}[] = [
  { of: 'cardRoom', with: 'cage out', mm: (plan, shell) => numberAt(plan, shell, 'cageGain')?.lo },
  {
    of: 'cardRoom',
    with: 'radiator at the front',
    mm: () => -(radiator.depthMm.hi + radiator.fanMm),
  },
  { of: 'cardRoom', with: 'plugs at its end', mm: () => -CARD_PLUG_BEND_MM },
  { of: 'cardHeightRoom', with: 'plugs on top', mm: () => -CARD_PLUG_BEND_MM },
  { of: 'cardHeightRoom', with: 'plugs on top, angled', mm: () => -ANGLED_BEND_MM.hi },
  {
    of: 'coolerRoom',
    with: 'drive on the bracket',
    mm: (plan, shell) =>
      mountsOf(plan)?.some((mount) => mount.at === 'bracket')
        ? -(numberAt(plan, shell, 'bracketDrop')?.hi ?? 30)
        : undefined,
  },
  { of: 'coolerRoom', with: 'washers under the lid', mm: () => WASHERS_MM },
];

/** Limits of the plan's case: the lower bound of each room, so that what fits the strip surely fits. */
export function limits(plan: Plan): Limit[] {
  const shell = partOfKind(plan, 'case');
  if (!shell) return [];
  return lines.flatMap(({ key, label, datum }) => {
    const room = numberAt(plan, shell, key);
    if (!room || room.lo <= 0) return [];
    const line: Limit = { label, datum, mm: room.lo, how: room.how };
    const changed = changes
      .filter((change) => change.of === key)
      .flatMap((change): Limit[] => {
        const mm = change.mm(plan, shell);
        return mm === undefined || room.lo + mm <= 0
          ? []
          : [{ ...line, mm: room.lo + mm, with: change.with }];
      });
    return [line, ...changed];
  });
}

/** The limits as short lines to read out: what, how much at most, from where, with which change. */
export function readOut(list: readonly Limit[], unit: LengthUnit): string[] {
  return list.map(
    (limit) =>
      `${limit.label}${limit.with ? ` with ${limit.with}` : ''}: ${drawnLength(limit.mm, unit, 'floor')} at most, ${limit.datum}${limit.how === 'class' ? ' (not measured)' : ''}`,
  );
}
