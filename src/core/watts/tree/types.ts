import { kindOfSeat } from '../../model/types/seats.ts';
import type { Plug } from '../../standards/plugs/index.ts';
import type { Range } from '../../units/range.ts';
import type { Net } from '../network/index.ts';

/**
 * What a machine is doing. `start`: the first seconds, drives spinning up. `spike`: a card jumping
 * for a millisecond at full load, as if it lasted.
 */
export const states = ['idle', 'usual', 'full', 'start', 'spike'] as const;
export type State = (typeof states)[number];

export const railNames = ['12 V', '5 V', '3.3 V'] as const;
export type Rail = (typeof railNames)[number];
export const railVolts: Record<Rail, number> = { '12 V': 12, '5 V': 5, '3.3 V': 3.3 };

/** One load on one rail: what it draws in each state, and which sort of lead it hangs on. */
export interface Draw {
  id: string;
  seat: string;
  label: string;
  rail: Rail;
  /** Watts at the load's own pins. */
  watts: Record<State, Range>;
  over: 'main' | 'processor' | 'card' | 'drive';
  /** For card plugs: which of the card's plugs, by id. */
  plugId?: string;
}

/** A lead of the supply with its plug: how many contacts feed each rail and return, its wire, its length. */
export interface Lead {
  id: string;
  label: string;
  plug: Plug;
  feeds: Partial<Record<Rail, number>>;
  returns: number;
  awg: number;
  lengthMm: Range;
  over: Draw['over'];
  /** Several plugs hang on one run of wire: the wire carries them all. */
  sharedWire?: boolean;
  /** The seat of the small part it belongs to: a hub, a splitter, a riser. */
  of?: string;
  /** The supply has no such plug: what would hang on it is counted, the lead not judged. */
  missing?: boolean;
  /** A fan hub: fans hang on it before they hang on the board. */
  hub?: boolean;
}

/** A stretch of the way from the wall to a part. */
export interface Branch {
  id: string;
  parent: string | undefined;
  kind: 'wall' | 'source' | 'supply' | 'rail' | 'lead' | 'converter' | 'load';
  label: string;
  /** The PSU's lead a branch of a rail runs in. */
  lead?: string | undefined;
  seat?: string | undefined;
  /** Watts that go into it, and those lost in it. */
  watts: Range;
  lossW: Range;
  amps?: Range | undefined;
  /** Volts at its far end. */
  volts?: Range | undefined;
}

/** The supply tree of a machine in one state. */
export interface Tree {
  state: State;
  branches: Branch[];
  /** Watts the supply, brick or battery gives. */
  givenW: Range;
  /** Watts at the wall; undefined where there is none. */
  wallW: Range | undefined;
  /** False where some line cannot carry its loads: `carries` of them it could. */
  ok: boolean;
  carries: number;
  leads: Lead[];
  /** The lead each load hangs on. */
  on: Map<string, string>;
  draws: Draw[];
  /** Loads without a feed. */
  unfed: Draw[];
  /** The nets solved, at the worst of all ranges, by rail or line. */
  nets: { name: string; net: Net }[];
}

export const isFan = (draw: Draw): boolean => kindOfSeat(draw.seat) === 'fan';
