import { setFact } from '$core/edits/edits.ts';
import {
  property as propertyOf,
  type FactKey,
  type ItemOf,
  type ListKey,
  type Measure,
} from '$core/model/properties/index.ts';
import type { Fact, How } from '$core/model/types/fact.ts';
import type { Item } from '$core/model/types/shapes.ts';
import type { Kind, Part } from '$core/model/types/types.ts';
import { changeItems } from '$core/shop/items.ts';
import { shopStore } from './shopStore.svelte.ts';
import { uiState } from './uiState.svelte.ts';

/** What is written down: a figure in its property's unit, a word, or items. */
export type FactValue = { lo: number; hi: number } | { text: string } | { items: Item[] };

interface Recording {
  /** How it came to be known: what hands measure is measured, the rest said, unless told otherwise. */
  how?: How;
  /** It differs on this piece: not written to its model. */
  onlyThis?: boolean;
  /** What the undo step is called, where the property's name and the part's are not enough. */
  label?: string;
}

type Recorded = Pick<Part, 'id' | 'name' | 'modelId'> & { kind: Kind };

const labelOf = (part: Recorded, key: FactKey, { label }: Recording) =>
  label ?? `${propertyOf(part.kind, key)?.label ?? key} of ${part.name}`;
const onModel = (part: Recorded, { onlyThis }: Recording) =>
  part.modelId !== undefined && !onlyThis;
/** Quick corrections of one fact are one step of undo. */
const stepOf = (part: Recorded, key: FactKey) => `${part.id} ${key}`;

/**
 * The one way a fact is written down: with the time and the accuracy of what is in the hand, on the model where
 * the part has one (what is true of it is true of all of its kind), as one step of undo. Undefined forgets it.
 */
export const recordFact = (
  part: Recorded,
  key: FactKey,
  value: FactValue | undefined,
  recording: Recording = {},
): Promise<void> =>
  shopStore.edit(
    labelOf(part, key, recording),
    setFact(
      part.id,
      key,
      value && factFrom(part.kind, key, value, recording.how),
      onModel(part, recording),
    ),
    stepOf(part, key),
  );

/** A list of facts changed from what stands there when the change is stored. */
export const recordItems = <K extends ListKey>(
  part: Recorded,
  key: K,
  change: (items: readonly ItemOf<K>[]) => readonly ItemOf<K>[],
  recording: Recording = {},
): Promise<void> =>
  shopStore.edit(
    labelOf(part, key, recording),
    changeItems(
      part.id,
      key,
      change,
      { how: recording.how ?? 'measured', at: shopStore.now },
      onModel(part, recording),
    ),
  );

/** What a caliper, an ohmmeter and a finger tell; other figures are read off labels. */
const byHand: readonly (Measure | undefined)[] = ['mm', 'mΩ', 'count'];

/** A value as a fact, with how it came to be known. */
export function factFrom(kind: Kind, key: FactKey, value: FactValue, how?: How): Fact {
  const at = shopStore.now;
  const measure = propertyOf(kind, key)?.measure;
  const known = { how: how ?? (byHand.includes(measure) ? 'measured' : 'said'), at } as const;
  const goodTo = uiState.accuracyMm;
  const exact = 'lo' in value && value.lo === value.hi && known.how === 'measured';
  if (!goodTo || !exact || measure !== 'mm') return { ...value, ...known };
  return {
    ...known,
    lo: Math.max(0, value.lo - goodTo),
    hi: value.hi + goodTo,
    source: `good to ${goodTo} mm`,
  };
}
