/** What is made of sheet for a job: cut, drilled and bent by a template at true size. */

export const sheetMaterials = ['steel', 'stainless', 'aluminium', 'acrylic', 'plywood'] as const;
export type SheetMaterial = (typeof sheetMaterials)[number];

/** Screws by the names the bench has for them. */
export const makeScrews = ['M2', 'M2.5', 'M3', 'M4', '6-32', '4-40'] as const;
export type MakeScrew = (typeof makeScrews)[number];

/** Hole patterns a template is made of; `board` is the plan's own board, as measured or by its format. */
export const drillPatterns = [
  'board',
  'fan 40',
  'fan 60',
  'fan 80',
  'fan 92',
  'fan 120',
  'fan 140',
  'radiator 240',
  'radiator 280',
  'radiator 360',
  'ATX PSU',
  'SFX PSU',
  '3.5 in drive, bottom',
  '2.5 in drive, bottom',
] as const;
export type DrillPattern = (typeof drillPatterns)[number];

interface Sheet {
  id: string;
  material: SheetMaterial;
  /** Thickness, mm. */
  thick: number;
}

/** Cut-outs for the ports of the board that are behind metal. */
export interface RearWall extends Sheet {
  do: 'rear wall';
  /** Air round each port, mm. */
  allowance: number;
  /** Radius left in the corners, mm. */
  corner: number;
}
/** A plate with the ports, over an opening that is too large, botched, or has lost its own plate. */
export interface RearPlate extends Sheet {
  do: 'rear plate';
  width: number;
  height: number;
  allowance: number;
  corner: number;
  screw: MakeScrew;
}
/** Holes to be marked and drilled into a tray, a plate or a wall. */
export interface DrillTemplate extends Sheet {
  do: 'drill template';
  pattern: DrillPattern;
  screw: MakeScrew;
  /** A thread in the sheet, or a hole the screw passes. */
  threaded: boolean;
}
/** A plate of one's own: a screw in each corner, and holes in its middle. Under a stack, on feet, in an odd tray. */
export interface Plate extends Sheet {
  do: 'plate';
  width: number;
  height: number;
  corner: number;
  screw: MakeScrew;
  /** From the edges to the middle of each corner's screw, mm. */
  inset: number;
  pattern: DrillPattern | 'none';
}
/** Legs are outside sizes, mm. */
export interface LBracket extends Sheet {
  do: 'L bracket';
  legA: number;
  legB: number;
  width: number;
  radius: number;
  screw: MakeScrew;
}
export interface ZBracket extends Sheet {
  do: 'Z bracket';
  legA: number;
  web: number;
  legB: number;
  width: number;
  radius: number;
  screw: MakeScrew;
}
/** A small PSU in a large bay. */
export interface SupplyPlate extends Sheet {
  do: 'PSU plate';
  /** Off the middle of the bay, mm. */
  aside: number;
}
/** Mesh to be cut, with what is glued or screwed down round it. */
export interface MeshCut extends Sheet {
  do: 'dust mesh';
  width: number;
  height: number;
  /** What lies on the frame all round, mm. */
  border: number;
}

/** The bracket of a card, new or cut from a tall one: blank, or with an opening for its ports. */
export interface SlotBracket extends Sheet {
  do: 'slot bracket';
  size: 'full height' | 'low profile';
  radius: number;
  screw: MakeScrew;
  /** The opening for ports, along the bracket and across it, mm; nought: a blank. */
  along: number;
  across: number;
}
/** Openings for card brackets in a wall of one's own, side by side. */
export interface CardOpenings extends Sheet {
  do: 'card openings';
  size: 'full height' | 'low profile';
  slots: number;
  screw: MakeScrew;
}

export type Make =
  | SlotBracket
  | CardOpenings
  | RearWall
  | RearPlate
  | DrillTemplate
  | Plate
  | LBracket
  | ZBracket
  | SupplyPlate
  | MeshCut;
