import { isPriced, toPay } from '../donors/index.ts';
import type { TextKey } from '../model/properties/index.ts';
import type { Remedy } from '../findings/finding.ts';
import { standingOf } from '../model/lookup/lookup.ts';
import { partsOfKind, numberAt, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { seatName } from '../model/types/seats.ts';
import type { Job, Part, SeatId, Shop } from '../model/types/types.ts';
import type { Money } from '../units/money.ts';
import {
  hasApplied,
  kindOf,
  minutesOf,
  moneyOf,
  optionsOf,
  remedyKinds,
  titleOf,
  toGet,
  variableId,
} from '../remedies/index.ts';
import { candidates, MINUTES_TO_STRIP, MINUTES_TO_SWAP } from './otherParts.ts';

/** What may give: a part for a seat, or a remedy taken. */
export interface Option {
  label: string;
  /** Another part for the seat. */
  put?: { seat: SeatId; part: Part } | undefined;
  /** Remedies it applies. */
  applies: RemedyValue[];
  /** What has to be got for them. */
  gets: { what: string; remedy: RemedyValue }[];
  minutes: number;
  /** What its priced things cost. */
  money: Money;
  /** How many things of it nobody has priced. */
  unpriced: number;
  undoable: boolean;
  givesUp: string[];
  spoils: string[];
}

export interface Variable {
  id: string;
  /** Option 0 is the plan as it stands. */
  options: Option[];
}

const asPlanned: Option = {
  label: 'as planned',
  applies: [],
  gets: [],
  minutes: 0,
  money: { minor: 0, currency: '' },
  unpriced: 0,
  undoable: true,
  givesUp: [],
  spoils: [],
};

/** Everything that may give in a job's plan: parts of seats, places, turns and work on the shell. */
export function variablesOf(shop: Shop, job: Job, plan: Plan): Variable[] {
  const swaps = plan.seats
    .filter((placed) => ['card', 'cooler', 'memory', 'supply'].includes(placed.kind))
    .map((placed) => swapVariable(shop, job, plan, placed));
  return [...swaps, ...remedyVariables(plan)].filter((variable) => variable.options.length > 1);
}

function swapVariable(shop: Shop, job: Job, plan: Plan, placed: Placed): Variable {
  const others = candidates(shop, job, placed.seat)
    .filter((part) => alike(plan, placed, part))
    .filter(unlike(partsOfKind(plan, placed.kind).length));
  return {
    id: placed.seat,
    options: [
      asPlanned,
      ...others.map((part): Option => {
        const donor = standingOf(shop, part).inheritedFrom;
        return {
          ...asPlanned,
          label: `${part.name} (${part.id}) as ${seatName(placed.seat)}`,
          put: { seat: placed.seat, part },
          minutes: MINUTES_TO_SWAP + (donor ? MINUTES_TO_STRIP : 0),
          ...toSpend(shop, part),
        };
      }),
    ],
  };
}

type Priced = Pick<Option, 'money' | 'unpriced'>;

/** What is still to be spent for a part, at the most. */
function toSpend(shop: Shop, part: Part): Priced {
  const price = toPay(shop, part);
  const { currency } = shop.settings;
  return priced(isPriced(price) ? { minor: price.hi, currency } : undefined);
}

/** A price, or one thing without. */
const priced = (money: Money | undefined): Priced => ({
  money: money ?? asPlanned.money,
  unpriced: money ? 0 : 1,
});

const together = (a: Priced, b: Priced): Priced => ({
  money: {
    minor: a.money.minor + b.money.minor,
    currency: a.money.currency || b.money.currency,
  },
  unpriced: a.unpriced + b.unpriced,
});

/** Of pieces that are alike in all that is known, as many stand for all as there are seats for them. */
function unlike(seats: number): (part: Part) => boolean {
  const seen = new Map<string, number>();
  return (part) => {
    const what = JSON.stringify([part.modelId, part.name, part.facts, part.place, part.price]);
    const before = seen.get(what) ?? 0;
    seen.set(what, before + 1);
    return before < seats;
  };
}

/** Memory is only changed for memory of its kind and size: another amount is another goal. */
function alike(plan: Plan, placed: Placed, part: Part): boolean {
  if (placed.kind !== 'memory') return true;
  const other = { ...placed, part };
  const same = (key: TextKey) => textAt(plan, placed, key)?.text === textAt(plan, other, key)?.text;
  const size = (one: Placed) => numberAt(plan, one, 'size')?.lo;
  return same('memoryKind') && same('memoryForm') && size(placed) === size(other);
}

/** Every remedy of the list that gives something here: where a part stands, how it joins, work on the case. */
function remedyVariables(plan: Plan): Variable[] {
  return remedyKinds.flatMap((kind) =>
    optionsOf(kind, plan).flatMap((values): Variable[] => {
      const free = values.filter((value) => !hasApplied(plan, value));
      const [first] = free;
      if (!first) return [];
      return [
        {
          id: variableId(first),
          options: [asPlanned, ...free.map((value) => optionOf(plan, value))],
        },
      ];
    }),
  );
}

function optionOf(plan: Plan, value: RemedyValue): Option {
  const { undoable, givesUp, spoils } = kindOf(value);
  const get = toGet(value, plan);
  return {
    label: titleOf(value, plan),
    applies: [value],
    gets: get ? [{ what: get.what, remedy: value }] : [],
    minutes: minutesOf(value),
    ...priced(moneyOf(value, plan)),
    undoable,
    givesUp: givesUp === undefined ? [] : [givesUp],
    spoils: spoils === undefined ? [] : [spoils],
  };
}

/** The remedy an option must bring along to be sound, where its own sum says Mend. */
export function withRemedy(option: Option, remedy: Remedy): Option {
  return {
    ...option,
    label: `${option.label}, ${remedy.title.toLowerCase()}`,
    applies: remedy.value.do === 'put' ? option.applies : [...option.applies, remedy.value],
    gets:
      remedy.get && remedy.value.do !== 'put'
        ? [...option.gets, { what: remedy.get.what, remedy: remedy.value }]
        : option.gets,
    minutes: option.minutes + remedy.minutes,
    ...together(option, priced(remedy.money)),
    undoable: option.undoable && remedy.undoable,
    givesUp: [...option.givesUp, ...(remedy.givesUp ? [remedy.givesUp] : [])],
    spoils: [...option.spoils, ...(remedy.spoils ? [remedy.spoils] : [])],
  };
}
