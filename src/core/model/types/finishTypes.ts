/** Work that makes people wait: surfaces, baths, glue, washing, prints, metal; and steps of one's own. */

export const materials = ['steel', 'aluminium', 'ABS', 'other plastic', 'wood', 'printed'] as const;
export type Material = (typeof materials)[number];

/** What is worked on: the case holds everything up, the others only the lid. */
export const pieces = ['case', 'side panel', 'front', 'lid', 'bracket', 'other piece'] as const;
export type Piece = (typeof pieces)[number];

export const paints = ['acrylic', 'enamel', 'water-based', 'two-part'] as const;
export type Paint = (typeof paints)[number];

export interface Climate {
  /** °C of the room; undefined where nobody looked. */
  roomC?: number | undefined;
  /** Percent relative humidity; undefined where nobody looked. */
  humidity?: number | undefined;
}

export interface PaintWork extends Climate {
  do: 'paint';
  id: string;
  piece: Piece;
  material?: Material | undefined;
  paint: Paint;
  /** Over the cleaned old finish, or down to the bare material. */
  ground: 'over' | 'bare';
  /** Seven or eight thin coats, or three of primer, two of colour, two of clear. */
  coats: 'thin' | 'three-two-two';
  colour?: string | undefined;
  secondColour?: string | undefined;
  clear: boolean;
  fill: boolean;
  bake: boolean;
  /** °C of the oven. */
  bakeC?: number | undefined;
  /** cm² painted; undefined: from the case's sizes. */
  areaCm2?: number | undefined;
}

export interface BathWork extends Climate {
  do: 'bath';
  id: string;
  piece: Piece;
  school: 'bath' | 'cream';
  /** Percent by mass the bottle says. */
  bottlePercent: number;
  /** Percent by mass wanted in the vessel. */
  wantedPercent: number;
  vesselMl: number;
  /** What the part and what fills the vessel up displace, ml. */
  displacedMl?: number | undefined;
  /** Months since the bottle was opened. */
  openMonths?: number | undefined;
  light: 'sun' | 'lamp' | 'shade';
}

export const washables = ['panel', 'mesh', 'heat sink', 'fan', 'board'] as const;
export const glues = [
  'superglue',
  'five-minute epoxy',
  'slow epoxy',
  'contact cement',
  'plastic cement',
  'wood glue',
] as const;
export const prints = ['PLA', 'PETG', 'ABS', 'ASA'] as const;
export const shells = [
  'television',
  'terminal',
  'radio',
  'console',
  'microwave',
  'other old shell',
] as const;

export type Finish =
  | PaintWork
  | BathWork
  | { do: 'wash'; id: string; piece: Piece; what: (typeof washables)[number] }
  | { do: 'glue'; id: string; piece: Piece; which: (typeof glues)[number] }
  | { do: 'filler'; id: string; piece: Piece; which: 'two-part' | 'spot putty' }
  | { do: 'metal'; id: string; piece: Piece; what: 'file' | 'drill' | 'cut'; minutes: number }
  | {
      do: 'print';
      id: string;
      piece: Piece;
      material: (typeof prints)[number];
      hours: number;
      /** The printer may run with nobody there. */
      unattended: boolean;
    }
  | {
      do: 'old shell';
      id: string;
      piece: Piece;
      shell: (typeof shells)[number];
      /** Year it was built; undefined where nobody knows. */
      built?: number | undefined;
    };

/** Places of the shop that hold one thing at a time. */
export const resources = ['printer', 'oven', 'paint place', 'bath', 'test screen'] as const;
export type Resource = (typeof resources)[number];

/** A step of one's own in the work order. */
export interface OwnStep {
  id: string;
  title: string;
  minutes: number;
  /** Minutes it must be left alone afterwards. */
  leaveMinutes?: number | undefined;
  /** The step it comes after; undefined: first of all. */
  after?: string | undefined;
  tool?: string | undefined;
  caution?: string | undefined;
  who?: string | undefined;
  uses?: Resource | undefined;
}
