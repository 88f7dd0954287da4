import type { prints } from './finishTypes.ts';
import type { MakeScrew } from './makeTypes.ts';

/** What is printed for a job: closed solids of a few figures each. */

/** How a screw goes in: through, cutting its own thread, or into a brass insert pressed in hot. */
export const screwHolds = ['through', 'self-cut', 'insert'] as const;
export type ScrewHold = (typeof screwHolds)[number];
export const besides = ['processor', 'card', 'drive', 'supply', 'nothing hot'] as const;

interface Printing {
  id: string;
  material: (typeof prints)[number];
  /** What gets hot beside it. */
  beside: (typeof besides)[number];
  /** Width of its solid wall, mm; the share of its inside that is filled, %. */
  wall: number;
  fill: number;
  /** Nozzle and longest side of the bed, mm. */
  nozzle: number;
  bed: number;
  /** What a hole or a slot is made wider, for it comes out narrower, mm. */
  gap: number;
}
interface Screwed extends Printing {
  screw: MakeScrew;
  hold: ScrewHold;
}

/** Under the free end of a card: foot, post, shelf with a lip. */
export interface CardSupport extends Printing {
  do: 'card support';
  /** Floor to the underside of the card. */
  height: number;
  width: number;
  /** How far it reaches under the card. */
  reach: number;
  /** How long its foot is. */
  foot: number;
}
/** Two posts on a foot, a screw in each. */
export interface RiserStand extends Screwed {
  do: 'riser stand';
  height: number;
  /** From hole to hole. */
  apart: number;
  width: number;
}
/** A plate with the holes of a drive in its middle and one of its own in each corner. */
export interface DrivePlate extends Screwed {
  do: 'drive bracket';
  form: '2.5' | '3.5';
  width: number;
  depth: number;
  thick: number;
}
/** A plate for a fan with a flange to screw it down by. */
export interface FanBracket extends Screwed {
  do: 'fan bracket';
  fan: '40' | '60' | '80' | '92' | '120' | '140';
  flange: number;
  thick: number;
}
/** An SFX PSU in an ATX bay. */
export interface PrintedSupplyPlate extends Screwed {
  do: 'printed PSU plate';
  thick: number;
}
/** A foot under a case: wider below, a screw down its middle, its head let in. */
export interface PrintedFoot extends Screwed {
  do: 'foot';
  height: number;
  top: number;
  bottom: number;
}
/** A standoff on a flange. */
export interface Tower extends Screwed {
  do: 'standoff tower';
  height: number;
  across: number;
}
/** A frame round an opening, with a lip that goes in. */
export interface PortFrame extends Printing {
  do: 'port frame';
  /** The opening. */
  width: number;
  height: number;
  /** What lies on the wall all round. */
  rim: number;
  /** How far it goes in. */
  lip: number;
}
/** A bar with a slot for each lead. */
export interface CableComb extends Printing {
  do: 'cable comb';
  leads: number;
  /** Diameter of a lead. */
  lead: number;
  thick: number;
}
/** A plate of slots over an opening. */
export interface LidVent extends Printing {
  do: 'lid vent';
  width: number;
  height: number;
  thick: number;
  slot: number;
  bar: number;
}
/** Between something round and something flat. */
export interface Saddle extends Screwed {
  do: 'saddle';
  /** Radius of what is round. */
  radius: number;
  width: number;
  depth: number;
  /** Where it is thinnest. */
  thin: number;
}

export type Printed =
  | CardSupport
  | RiserStand
  | DrivePlate
  | FanBracket
  | PrintedSupplyPlate
  | PrintedFoot
  | Tower
  | PortFrame
  | CableComb
  | LidVent
  | Saddle;
