import type { How } from '../model/types/fact.ts';
import type { FactKey } from '../model/properties/index.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import type { Kind, Mark, SeatId, StationId } from '../model/types/names.ts';
import type { Source } from '../standards/source.ts';
import type { Money } from '../units/money.ts';
import type { Range } from '../units/range.ts';

export { marks, stationIds, type Mark, type StationId } from '../model/types/names.ts';

/** The fact a term rests on: whose, and which. */
export interface InputRef {
  partId: string;
  key: FactKey;
  seat: SeatId;
}

/** A line of a sum. `sign` 1 adds room, -1 takes room, 0 is a word to compare. */
export interface Term {
  label: string;
  value: Range | string;
  sign: 1 | -1 | 0;
  how?: How | undefined;
  source?: string | undefined;
  input?: InputRef | undefined;
}

/** Another part for a seat, or none: a change of the plan itself. */
export interface PutPart {
  do: 'put';
  seat: SeatId;
  partId: string | null;
}

/** Something to get, as it goes on the shopping list. */
export interface ToGet {
  what: string;
  count: number;
}

/** A way out, worked out to what it leaves. */
export interface Remedy {
  /** What is done when it is applied. */
  value: RemedyValue | PutPart;
  title: string;
  /** The pencilled line it adds to the sum. */
  term?: Term | undefined;
  /** What is left once it is taken, in the finding's unit. */
  margin?: Range | undefined;
  mark: Mark;
  minutes: number;
  /** Undefined: not priced yet. Zero minor units: costs nothing. */
  money?: Money | undefined;
  undoable: boolean;
  /** What it gives up of the job's goal or of safety, in words. */
  givesUp?: string | undefined;
  /** What it does to the looks, in words. */
  spoils?: string | undefined;
  /** What has to be got for it. */
  get?: ToGet | undefined;
}

/** What a sum is about besides its seats, as data: pictures find their sums by it. */
export type Subject =
  /** The air between the boxes of two seats. */
  | { of: 'space'; between: readonly [SeatId, SeatId] }
  /** A room of the case that one part is measured against. */
  | { of: 'room'; room: 'card length' | 'cooler height' }
  /** A branch of the supply tree, by its id. */
  | { of: 'branch'; branch: string }
  /** A modular lead, by the seat of the lead. */
  | { of: 'lead'; lead: SeatId }
  /** A plug and the socket it is held against, by their ids; a side nobody said is left out. */
  | { of: 'plugs'; plug?: string | undefined; socket?: string | undefined }
  /** What the job asks for, and the kind of part there would have to be more of. */
  | { of: 'requirement'; kind: Kind }
  /** Something the machine has not, that a part of this kind would give it. */
  | { of: 'lack'; kind: Kind }
  /** Money over several steps. */
  | { of: 'money' };

/** A sum with its verdict: the same object on the tape, in the picture, on paper and over HTTP. */
export interface Finding {
  id: string;
  station: StationId;
  mark: Mark;
  title: string;
  seats: SeatId[];
  about?: Subject | undefined;
  /** Money, promises, loans: the shop's own affair, nothing of the machine. */
  shopsOwn?: true | undefined;
  /** mm, W, A, GB, MT/s; empty for counts and words. */
  unit: string;
  terms: Term[];
  /** Room less need; undefined where words are compared. */
  margin?: Range | undefined;
  marginLabel: string;
  /** The figure and the reason, one or two short sentences. */
  say: string;
  source: Source;
  remedies: Remedy[];
  /** Minutes lost if this turns out wrong half way (common practice, no source). */
  undoMinutes: number;
}

const rank: Record<Mark, number> = { stop: 0, mend: 1, watch: 2, clear: 3 };

/** Worst first. */
export function byMark(a: { mark: Mark }, b: { mark: Mark }): number {
  return rank[a.mark] - rank[b.mark];
}

export function worst(found: readonly { mark: Mark }[]): Mark {
  return found.reduce<Mark>(
    (mark, one) => (rank[one.mark] < rank[mark] ? one.mark : mark),
    'clear',
  );
}

export type Check = (plan: import('../model/lookup/plan.ts').Plan) => Finding[];
