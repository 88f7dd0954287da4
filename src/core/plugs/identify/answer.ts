import type { ReadingKind, SignalClass } from './evidence.ts';

export interface PinAnswer {
  pin: number;
  /** Chance of every class, in the order of `classes`. */
  chances: number[];
  best: SignalClass;
  chance: number;
  /** sure; one more reading; open. */
  word: 'sure' | 'one more reading' | 'open';
  /** Kinds of reading that speak for it. */
  kinds: ReadingKind[];
  /** Two readings that cannot both be right. */
  contradiction?: string | undefined;
}

export interface Identified {
  pins: PinAnswer[];
  /** Ideas with their chances, the likeliest first. */
  ideas: { id: string; name: string; chance: number }[];
  /** Chance that every pin is what it is called. */
  joint: number;
  /** Chance that every pin has the role it is taken for: return, enable, standby, or a feed or signal that is off. */
  rolesJoint: number;
  /**
   * Running volts may be taken: a load is set, enable and return are sure, and the roles of the
   * whole plug at least 99 %. Which feed has which volts is what running is for.
   */
  mayRun: boolean;
  /** `with`: the far pin of a beep between two. `again`: read once more, at another point of the contact. */
  next?:
    { pin: number; kind: ReadingKind; bits: number; with?: number; again?: boolean } | undefined;
  /** Why nothing more is asked. */
  stopped?: string | undefined;
}
