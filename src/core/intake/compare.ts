import { isNumber, isText, type Fact, type Facts } from '../model/types/fact.ts';
import { property } from '../model/properties/index.ts';
import { kindName } from '../model/types/seats.ts';
import { manyKinds, type Kind, type Machine, type Part, type Shop } from '../model/types/types.ts';
import { table } from '../units/table.ts';
import type { DraftPart, Inventory } from './inventory.ts';
import { samePiece } from './merge.ts';
import { packed, sameName } from './sameName.ts';

/** A second reading of a machine against what is known of it. */

/** One thing that is otherwise than known, with a choice of its own. */
export interface Difference {
  /** Known by this between one look and the next. */
  id: string;
  /** A value is another; a piece was not found any more; a piece was not there before. */
  sort: 'changed' | 'gone' | 'new';
  /** What it is about, in words. */
  what: string;
  was: string;
  now: string;
  /** The part it is about; undefined where it is the machine, or a piece that is new. */
  partId?: string | undefined;
}

export interface Compared {
  /** Each part of the inventory with the piece of the machine it is, if it is one. */
  pairs: { drafted: DraftPart; known: Part | undefined; id: string }[];
  differences: Difference[];
  /** Maker's name or serial number is another: this may be the reading of another machine. */
  otherMachine: boolean;
}

/** Words that say which machine it is. */
const identity = ['model', 'serial'] as const;
/** Parts of which a machine has one, and whose name says which piece it is. */
const named: readonly string[] = ['board', 'processor'];

/** What a tool lists whole: a piece it does not name is not there. */
const lists: Record<string, readonly Kind[]> = table({
  dmidecode: ['memory'],
  lshw: ['memory', 'drive'],
  lsblk: ['drive'],
  'built-in inventory': ['memory', 'drive', 'card'],
});

export function compareInventory(
  shop: Shop,
  machine: Pick<Machine, 'seats' | 'facts'>,
  inventory: Inventory,
): Compared {
  const met = new Set<string>();
  const fitted = machine.seats.flatMap(
    ({ partId }) => shop.parts.find((part) => part.id === partId) ?? [],
  );
  const pairs = inventory.parts.map((drafted, i) => {
    const free = fitted.filter((part) => !met.has(part.id) && samePiece(part, drafted));
    const known = free.find((part) => sameName(part.name, drafted.name)) ?? free[0];
    if (known) met.add(known.id);
    return { drafted, known, id: `new:${i}` };
  });
  const ofMachine = identity.flatMap((key) =>
    differing(machine.facts[key], inventory.facts[key], `${key} of the machine`, `machine:${key}`),
  );
  /* A name given by hand is no reading. */
  const wasRead = Object.values(machine.facts).some((fact) => fact.how === 'read');
  const ofParts = pairs.flatMap(({ drafted, known }) =>
    known
      ? [
          ...(wasRead ? names(known, drafted) : []),
          ...facts(known.facts, drafted.facts, known),
        ].map((each): Difference => ({ ...each, partId: known.id }))
      : [],
  );
  return {
    pairs,
    differences: [...ofMachine, ...ofParts, ...comeAndGone(fitted, met, pairs, inventory)],
    otherMachine: ofMachine.length > 0,
  };
}

/** Pieces a whole list no longer names, and ones it names for the first time, of kinds read before. */
function comeAndGone(
  fitted: readonly Part[],
  met: ReadonlySet<string>,
  pairs: Compared['pairs'],
  inventory: Inventory,
): Difference[] {
  const whole = inventory.tool
    .split(', ')
    .flatMap((tool) => lists[tool] ?? [])
    .filter((kind) => inventory.parts.some((part) => part.kind === kind));
  const readBefore = (kind: Kind) =>
    fitted.some(
      (part) => part.kind === kind && Object.values(part.facts).some(({ how }) => how === 'read'),
    );
  const gone = fitted
    .filter((part) => whole.includes(part.kind) && !met.has(part.id))
    .map((part): Difference => ({
      id: `gone:${part.id}`,
      sort: 'gone',
      what: kindName(part.kind),
      was: part.name,
      now: '',
      partId: part.id,
    }));
  const fresh = pairs
    .filter(
      ({ known, drafted }) =>
        !known && manyKinds.includes(drafted.kind) && readBefore(drafted.kind),
    )
    .map(({ drafted, id }): Difference => ({
      id,
      sort: 'new',
      what: kindName(drafted.kind),
      was: '',
      now: drafted.name,
    }));
  return [...gone, ...fresh];
}

function names(known: Part, drafted: DraftPart): Difference[] {
  if (!named.includes(known.kind) || sameName(known.name, drafted.name, known.kind)) return [];
  return [
    {
      id: `name:${known.id}`,
      sort: 'changed',
      what: kindName(known.kind),
      was: known.name,
      now: drafted.name,
    },
  ];
}

const facts = (was: Facts, now: Facts, part: Part): Difference[] =>
  Object.entries(now).flatMap(([key, fact]) =>
    differing(
      was[key],
      fact,
      `${property(part.kind, key)?.label ?? key} of ${part.name}`,
      `fact:${part.id}:${key}`,
    ),
  );

function differing(
  was: Fact | undefined,
  now: Fact | undefined,
  what: string,
  id: string,
): Difference[] {
  if (!was || !now || was.how === 'class') return [];
  const row = (before: string, after: string): Difference[] => [
    { id, sort: 'changed', what, was: before, now: after },
  ];
  if (isNumber(was) && isNumber(now)) {
    const near = 0.02 * Math.max(Math.abs(was.hi), Math.abs(now.hi));
    return was.hi + near < now.lo || now.hi + near < was.lo
      ? row(figure(was.lo, was.hi), figure(now.lo, now.hi))
      : [];
  }
  return isText(was) && isText(now) && packed(was.text) !== packed(now.text)
    ? row(was.text, now.text)
    : [];
}

const figure = (lo: number, hi: number) => (lo === hi ? String(lo) : `${lo} to ${hi}`);
