import type { Remedy } from '../../findings/finding.ts';
import { otherPlaces } from '../../fit/space/mounts.ts';
import { factOf, standingOf } from '../../model/lookup.ts';
import { all, numberAt, textAt, type Placed, type Plan } from '../../model/plan.ts';
import { seatName } from '../../model/seats.ts';
import type { Job, Part, SeatId, Shop } from '../../model/types.ts';
import type { Money } from '../../units/money.ts';
import { candidates } from '../remedies.ts';
import { remedyMinutes } from '../../findings/remedyMinutes.ts';

/** What may give: a part for a seat, or a remedy taken. */
export interface Option {
  label: string;
  /** Another part for the seat. */
  put?: { seat: SeatId; part: Part } | undefined;
  /** Remedies it takes. */
  take: string[];
  /** What has to be got for it. */
  want?: string | undefined;
  minutes: number;
  money?: Money | undefined;
  undoable: boolean;
  givesUp: string[];
  spoils: string[];
}

export interface Variable {
  id: string;
  /** Option 0 is the plan as it stands. */
  options: Option[];
}

const MINUTES_TO_SWAP = 15;
/** Minutes more to get a part out of a donor. */
const MINUTES_TO_STRIP = 10;

const asPlanned: Option = {
  label: 'as planned',
  take: [],
  minutes: 0,
  money: { minor: 0, currency: '' },
  undoable: true,
  givesUp: [],
  spoils: [],
};

/** Everything that may give in a job's plan: parts of seats, places, turns and work on the shell. */
export function variablesOf(shop: Shop, job: Job, plan: Plan): Variable[] {
  const swaps = plan.seats
    .filter((placed) => ['card', 'cooler', 'memory', 'supply'].includes(placed.kind))
    .map((placed) => swapVariable(shop, job, plan, placed));
  return [...swaps, ...places(plan), ...work(shop, plan)].filter(
    (variable) => variable.options.length > 1,
  );
}

function swapVariable(shop: Shop, job: Job, plan: Plan, placed: Placed): Variable {
  const free = candidates(shop, job, placed.seat)
    .filter((part) => alike(plan, placed, part))
    .filter(unlike(all(plan, placed.kind).length));
  return {
    id: placed.seat,
    options: [
      asPlanned,
      ...free.map((part): Option => {
        const donor = standingOf(shop, part).inheritedFrom;
        return {
          ...asPlanned,
          label: `${part.name} (${part.id}) as ${seatName(placed.seat)}`,
          put: { seat: placed.seat, part },
          minutes: MINUTES_TO_SWAP + (donor ? MINUTES_TO_STRIP : 0),
          money: part.place === 'buy' ? part.price : { minor: 0, currency: shop.settings.currency },
        };
      }),
    ],
  };
}

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
  const same = (key: string) => textAt(plan, placed, key)?.text === textAt(plan, other, key)?.text;
  const size = (one: Placed) => numberAt(plan, one, 'size')?.lo;
  return same('memoryKind') && same('memoryForm') && size(placed) === size(other);
}

/** Other mounts for the drives. */
function places(plan: Plan): Variable[] {
  return all(plan, 'drive').map((drive) => ({
    id: `drive-to:${drive.seat}`,
    options: [
      asPlanned,
      ...otherPlaces(plan, drive).map((place) => ({
        ...asPlanned,
        label: `${seatName(drive.seat)} to the ${place} mount`,
        take: [`drive-to:${drive.seat}:${place}`],
        minutes: remedyMinutes('drive-to'),
      })),
    ],
  }));
}

/** Work on the shell and ways to join, each once: taken or not. */
function work(shop: Shop, plan: Plan): Variable[] {
  const free = { minor: 0, currency: shop.settings.currency };
  const toggle = (id: string, label: string, more: Partial<Option> = {}): Variable[] =>
    plan.taken.has(id)
      ? []
      : [
          {
            id,
            options: [
              asPlanned,
              { ...asPlanned, label, take: [id], minutes: remedyMinutes(id), money: free, ...more },
            ],
          },
        ];
  const shell = all(plan, 'case')[0];
  if (!shell) return [];
  const supplyAt = textAt(plan, shell, 'supplyAt')?.text;
  const turns = supplyAt === 'in front of the board' || supplyAt === 'over the board';
  return [
    ...(factOf(shop, shell.part, 'cageGain') ? toggle('cage-out', 'Take the drive cage out') : []),
    ...toggle('lid-washers', 'Washers under the lid', { spoils: ['the lid stands off'] }),
    ...(turns
      ? toggle('turn-supply', 'Turn the supply round', {
          givesUp: ['its fan blows the other way'],
        })
      : []),
    ...all(plan, 'card').flatMap((card) => [
      ...toggle(`cut-front:${card.seat}`, 'Cut into the wall in front', {
        undoable: false,
        spoils: ['an opening in the front'],
      }),
      ...toggle(`angled-lead:${card.seat}`, 'Angled card plug', {
        want: 'angled card plug',
        money: undefined,
        givesUp: ['one more contact in the path'],
      }),
    ]),
    ...all(plan, 'memory').flatMap((module) =>
      toggle(`slot-far:${module.seat}`, `${seatName(module.seat)} two slots further`),
    ),
    ...all(plan, 'fan').flatMap((fan) =>
      toggle(`fan-outside:${fan.seat}`, `${seatName(fan.seat)} to the outside of the front`, {
        spoils: ['a fan to be seen'],
      }),
    ),
  ];
}

/** The remedy an option must bring along to be sound, where its own sum says Mend. */
export function withRemedy(option: Option, remedy: Remedy): Option {
  return {
    ...option,
    label: `${option.label}, ${remedy.title.toLowerCase()}`,
    take: [...option.take, remedy.id],
    want: remedy.action.do === 'want' ? remedy.action.what : option.want,
    minutes: option.minutes + remedy.minutes,
    money: remedy.money && option.money ? option.money : undefined,
    undoable: option.undoable && remedy.undoable,
    givesUp: [...option.givesUp, ...(remedy.givesUp ? [remedy.givesUp] : [])],
    spoils: [...option.spoils, ...(remedy.spoils ? [remedy.spoils] : [])],
  };
}
