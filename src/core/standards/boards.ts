import type { Source } from './source.ts';

/**
 * Board outlines and mounting holes.
 *
 *   rear edge (ports) ── x ──▶ away from the port end
 *   ┌───────────────────────┐
 *   │ F      B C          A │   x: from the side edge at the port end, mm
 *   y J      S H          G │   y: from the rear edge, mm
 *   ▼ M      R L          K │
 *   └───────────────────────┘
 */
export interface BoardFormat {
  name: string;
  /** Along the rear edge, mm. */
  widthMm: number;
  /** From the rear edge to the front, mm. */
  depthMm: number;
  holes: readonly HoleName[];
}

export const holes = {
  A: { x: 288.29, y: 10.16 },
  B: { x: 209.55, y: 10.16 },
  C: { x: 163.83, y: 10.16 },
  F: { x: 6.35, y: 33.02 },
  G: { x: 288.29, y: 165.1 },
  S: { x: 209.55, y: 165.1 },
  H: { x: 163.83, y: 165.1 },
  J: { x: 6.35, y: 165.1 },
  K: { x: 288.29, y: 237.49 },
  R: { x: 209.55, y: 237.49 },
  L: { x: 163.83, y: 237.49 },
  M: { x: 6.35, y: 237.49 },
} as const;

export type HoleName = keyof typeof holes;

export const HOLE_DIAMETER_MM = 3.96;
export const SLOT_PITCH_MM = 20.32;
/** What a standoff lifts the board, mm (common practice, no source). */
export const STANDOFF_MM = 6.5;

export const boardSource: Source = {
  title: 'ATX 2.x, microATX, FlexATX and Mini-ITX motherboard specifications',
  clause: 'outline and mounting holes',
  memory: true,
};

export const boardFormats: readonly BoardFormat[] = [
  {
    name: 'ATX',
    widthMm: 304.8,
    depthMm: 243.84,
    holes: ['A', 'C', 'F', 'G', 'H', 'J', 'K', 'L', 'M'],
  },
  {
    name: 'microATX',
    widthMm: 243.84,
    depthMm: 243.84,
    holes: ['B', 'C', 'F', 'H', 'J', 'L', 'M', 'R', 'S'],
  },
  { name: 'FlexATX', widthMm: 228.6, depthMm: 190.5, holes: ['B', 'C', 'F', 'H', 'J', 'S'] },
  { name: 'Mini-ITX', widthMm: 170.18, depthMm: 170.18, holes: ['C', 'F', 'H', 'J'] },
  /* DTX specification 2007 (outlines; holes from memory). */
  { name: 'DTX', widthMm: 203.2, depthMm: 243.84, holes: ['C', 'F', 'H', 'J', 'L', 'M'] },
  { name: 'Mini-DTX', widthMm: 203.2, depthMm: 170.18, holes: ['C', 'F', 'H', 'J'] },
  /* 12 x 13 in: the holes of ATX; what stands further to the front is each maker's own (from memory). */
  {
    name: 'E-ATX',
    widthMm: 304.8,
    depthMm: 330.2,
    holes: ['A', 'C', 'F', 'G', 'H', 'J', 'K', 'L', 'M'],
  },
];

export function boardFormat(name: string | undefined): BoardFormat | undefined {
  return boardFormats.find((format) => format.name.toLowerCase() === name?.toLowerCase());
}

export function isHole(name: string): name is HoleName {
  return Object.hasOwn(holes, name);
}
