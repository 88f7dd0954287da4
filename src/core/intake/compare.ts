import { isNumber, isText, type Fact, type Facts } from '../model/types/fact.ts';
import type { Machine, Part, Shop } from '../model/types/types.ts';
import type { DraftPart, Inventory } from './inventory.ts';
import { samePiece } from './merge.ts';

/** A second reading of a machine against what is known of it. */

export interface Contradiction {
  /** What it is about, in words. */
  what: string;
  was: string;
  now: string;
  /** The part it is about; undefined where it is the machine. */
  partId?: string | undefined;
}

export interface Compared {
  /** Each part of the inventory with the piece of the machine it is, if it is one. */
  pairs: { drafted: DraftPart; known: Part | undefined }[];
  contradictions: Contradiction[];
  /** Maker's name or serial number is another: this may be the reading of another machine. */
  otherMachine: boolean;
}

/** Words that say which machine it is. */
const identity = ['model', 'serial'] as const;
/** Parts of which a machine has one, and whose name says which piece it is. */
const named: readonly string[] = ['board', 'processor'];

export function compareInventory(
  shop: Shop,
  machine: Pick<Machine, 'seats' | 'facts'>,
  inventory: Inventory,
): Compared {
  const met = new Set<string>();
  const fitted = machine.seats.flatMap(
    ({ partId }) => shop.parts.find((part) => part.id === partId) ?? [],
  );
  const pairs = inventory.parts.map((drafted) => {
    const known = fitted.find((part) => !met.has(part.id) && samePiece(part, drafted));
    if (known) met.add(known.id);
    return { drafted, known };
  });
  const ofMachine = identity.flatMap((key) =>
    differing(machine.facts[key], inventory.facts[key], `${key} of the machine`),
  );
  /* A name given by hand is no reading. */
  const wasRead = Object.values(machine.facts).some((fact) => fact.how === 'read');
  const ofParts = pairs.flatMap(({ drafted, known }) =>
    known
      ? [
          ...(wasRead ? names(known, drafted) : []),
          ...facts(known.facts, drafted.facts, known.name),
        ].map((each): Contradiction => ({ ...each, partId: known.id }))
      : [],
  );
  return {
    pairs,
    contradictions: [...ofMachine, ...ofParts],
    otherMachine: ofMachine.length > 0,
  };
}

const plain = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Share of its words the shorter name must have in the longer to be one of the same piece. */
const SAME_WORDS = 0.6;

/** Two names of one piece: tools write them in different words, but mostly the same ones. */
function names(known: Part, drafted: DraftPart): Contradiction[] {
  if (!named.includes(known.kind)) return [];
  const [short, long] = [known.name, drafted.name]
    .map((name) =>
      plain(name)
        .split(' ')
        .filter((word) => word !== known.kind),
    )
    .sort((a, b) => a.length - b.length) as [string[], string[]];
  const shared = short.filter((word) => long.includes(word)).length;
  if (short.length === 0 || shared / short.length >= SAME_WORDS) return [];
  return [{ what: known.kind, was: known.name, now: drafted.name }];
}

const facts = (was: Facts, now: Facts, name: string): Contradiction[] =>
  Object.entries(now).flatMap(([key, fact]) => differing(was[key], fact, `${key} of ${name}`));

function differing(was: Fact | undefined, now: Fact | undefined, what: string): Contradiction[] {
  if (!was || !now || was.how === 'class') return [];
  if (isNumber(was) && isNumber(now)) {
    const near = 0.02 * Math.max(Math.abs(was.hi), Math.abs(now.hi));
    return was.hi + near < now.lo || now.hi + near < was.lo
      ? [{ what, was: figure(was.lo, was.hi), now: figure(now.lo, now.hi) }]
      : [];
  }
  const packed = (text: string) => plain(text).replaceAll(' ', '');
  if (isText(was) && isText(now) && packed(was.text) !== packed(now.text))
    return [{ what, was: was.text, now: now.text }];
  return [];
}

const figure = (lo: number, hi: number) => (lo === hi ? String(lo) : `${lo} to ${hi}`);
