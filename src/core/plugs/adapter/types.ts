import type { Converter } from '../../standards/converters.ts';
import type { Plug, SenseContact } from '../../standards/plugs/index.ts';

/** What is to be joined. Signals are named as in standards/plugs; amps, mm, AWG. */
export interface AdapterSpec {
  /** Plugs the supply or the machine brings. */
  gives: readonly Plug[];
  /** Sockets to be fed. */
  takes: readonly Plug[];
  /** Whose plugs they are, in the same order: one plug cannot be on both sides. */
  giveTags?: readonly string[];
  takeTags?: readonly string[];
  /** Amps each taking plug needs, by signal; the usual ones where nothing is said. */
  needs?: readonly Readonly<Record<string, number>>[];
  /** Most amps the giving side has, by signal; no entry: only its contacts bound it. */
  limits?: Readonly<Record<string, number>>;
  lengthMm?: number;
  awgs?: readonly number[];
  /** A wire to every contact of a rail, or only as many as carry it. */
  fill?: 'all' | 'enough';
  /** Presence, lid and fan alarms: tie the pin, or leave it open and silence the board. */
  alarms?: 'satisfy' | 'silence';
  /** Converters may be used where a voltage is missing. */
  converters?: boolean;
}

export type End =
  | { side: 'give' | 'take'; plug: number; pin: number }
  /** A side contact of a taking 12V-2x6. */
  | { side: 'sense'; plug: number; pin: SenseContact }
  | { side: 'converter'; plug: number; pin: 'in' | 'out' | 'return' };

export interface AdapterWire {
  n: number;
  from: End;
  to: End;
  signal: string;
  colour: string;
  awg: number;
  lengthMm: number;
  /** Shares its crimp with another wire at this end: a splice. */
  spliceFrom: boolean;
  spliceTo: boolean;
  /** Most amps it may come to carry when contacts share unevenly; undefined for signals. */
  mostA?: number | undefined;
}

/** A pin tied to another net of its own plug, not joined across. */
export interface Tie {
  end: End;
  signal: string;
  to: string;
  /** The pin it is tied to: one that carries that net, of its own plug where there is one. */
  at?: End | undefined;
  /** A part in the tie: a switch, a resistor, a stage. */
  through?: string | undefined;
  /** What a resistor in it measures, ohms. */
  ohm?: number | undefined;
  say: string;
  /** What is lost by it, if anything. */
  givesUp?: string | undefined;
}

export interface LeftOpen {
  end: End;
  signal: string;
  say: string;
}

export interface PlacedConverter extends Converter {
  inA: number;
  outA: number;
}

export interface Recipe {
  gives: readonly Plug[];
  takes: readonly Plug[];
  wires: AdapterWire[];
  ties: Tie[];
  open: LeftOpen[];
  converters: PlacedConverter[];
  /** What cannot be done, pin by pin; empty when the adapter works. */
  impossible: { end?: End | undefined; say: string }[];
  splices: number;
  /** Cost in minutes of work, and the least that was not shut out. */
  cost: number;
  bound: number;
  /** Loaded wires in the bundle and the share of their amps left to each. */
  bundle: { loaded: number; share: number };
  /** Rounds of wiring again because contacts share unevenly. */
  rounds: number;
  notes: string[];
}

export class AdapterError extends Error {}
