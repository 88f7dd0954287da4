import type { Resource } from './finishTypes.ts';
import type { SeatId } from './names.ts';

export type Phase =
  | 'before'
  | 'open'
  | 'out'
  | 'shell'
  | 'finish'
  | 'prepare'
  | 'bench start'
  | 'in'
  | 'gate'
  | 'close'
  | 'hand over';

/** One thing to do, in words for the bench. */
export interface Step {
  id: string;
  phase: Phase;
  title: string;
  /** Minutes of hands (common practice, no source; where `timed` says how often, this shop's own). */
  minutes: number;
  timed?: number | undefined;
  /** Minutes it must be left alone afterwards: paint, a stress run. */
  leaveMinutes?: number | undefined;
  /** A place of the shop it takes. */
  uses?: Resource | undefined;
  /** Minutes the place stays taken afterwards; undefined: as long as it is left alone. */
  holds?: number | undefined;
  /** Dries on the rack from when its place is free of it. */
  rests?: boolean | undefined;
  /** What the paint place is set up for: another colour means cleaning it. */
  colour?: string | undefined;
  /** May run or wait with nobody in the shop: false for an oven, a printer unless allowed. */
  unattended?: boolean | undefined;
  /** At the latest so many minutes after that step was done, or not before `again`; what to do then. */
  within?: { of: string; minutes: number; again: number; else: string } | undefined;
  /** Two people lift. */
  people?: 2 | undefined;
  who?: string | undefined;
  seats: SeatId[];
  tools: string[];
  fasteners?: string | undefined;
  cautions: string[];
  /** A gate: what must be seen before going on. */
  gate?: string | undefined;
  /** A picture is taken here: what it is wanted for. */
  photo?: string | undefined;
  undoable: boolean;
  /** Why it stands here. */
  why?: string | undefined;
  /** Ids of steps that come first. */
  after: string[];
}

/*
 * Ids of steps, which ticks keep: made and read here alone.
 */

/** What goes in at a seat, and what comes out of it. */
export const inId = (seat: string): string => `in:${seat}`;
export const outId = (seat: string): string => `out:${seat}`;
/** A step of one's own. */
export const ownId = (own: string): string => `own:${own}`;
/** A piece of finishing, and what of it is done. */
export const finishId = (finish: string, what?: string): string =>
  what === undefined ? `finish:${finish}` : `finish:${finish}:${what}`;

/** The piece of finishing a step belongs to; undefined for any other step. */
export const finishOf = (id: string): string | undefined => /^finish:([^:]+)/.exec(id)?.[1];
/** The same step of another job: what is only its own number falls away; undefined for one of its own, which no other has. */
export const sameStep = (id: string): string | undefined =>
  /^own:/.test(id) ? undefined : id.replace(/^finish:[^:]+/, 'finish');

/** A step as it is written down: what is usual is left out. */
export interface Draft extends Omit<Step, 'after' | 'cautions' | 'undoable' | 'tools' | 'seats'> {
  after?: string[];
  cautions?: string[];
  undoable?: boolean;
  tools?: string[];
  seats?: string[];
}

export const step = (draft: Draft): Step => ({
  after: [],
  cautions: [],
  undoable: true,
  tools: [],
  seats: [],
  ...draft,
});
