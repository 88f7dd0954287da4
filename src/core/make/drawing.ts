import { boundsOf, ring, type Piece, type Ring } from './piece.ts';

/** A piece as lines to draw, mm; x to the right, y up. Angles in degrees, counted from x, against the clock. */
export type Layer = 'cut' | 'drill' | 'bend' | 'text' | 'guide';

export type Entity = { layer: Layer } & (
  | { is: 'line'; x1: number; y1: number; x2: number; y2: number }
  | { is: 'arc'; x: number; y: number; r: number; from: number; to: number }
  | { is: 'circle'; x: number; y: number; r: number }
  | { is: 'text'; x: number; y: number; high: number; words: string }
);

export interface Drawing {
  name: string;
  /** What is asked of whoever cuts: sheet, drills, bends. */
  notes: string[];
  bounds: Ring;
  entities: Entity[];
}

/** Half the length of a cross that marks where to punch, mm. */
const CROSS_MM = 4;

/** The drawing of a piece. `mirrored`: to be laid on from the other side. */
export function drawingOf(piece: Piece, mirrored = false): Drawing {
  const flat: Entity[] = [
    ...(piece.outline ? ringLines(piece.outline, 'cut') : []),
    ...piece.guides.flatMap((each) => ringLines(each, 'guide')),
    ...piece.openings.flatMap((each) => [...ringLines(each, 'cut'), label(each)]),
    ...piece.holes.flatMap(({ x, y, mm, name }): Entity[] => [
      { is: 'circle', layer: 'drill', x, y, r: mm / 2 },
      { is: 'line', layer: 'drill', x1: x - CROSS_MM, y1: y, x2: x + CROSS_MM, y2: y },
      { is: 'line', layer: 'drill', x1: x, y1: y - CROSS_MM, x2: x, y2: y + CROSS_MM },
      { is: 'text', layer: 'text', x: x + mm / 2 + 1, y: y + 1, high: 2.4, words: name },
    ]),
    ...piece.bends
      .map(({ x, up, degrees }): Entity[] => [
        {
          is: 'line',
          layer: 'bend',
          x1: x,
          y1: piece.outline?.y0 ?? 0,
          x2: x,
          y2: piece.outline?.y1 ?? 0,
        },
        {
          is: 'text',
          layer: 'text',
          x: x + 1,
          y: (piece.outline?.y1 ?? 0) - 4,
          high: 2.4,
          words: `${degrees}° ${up ? 'up' : 'down'}`,
        },
      ])
      .flat(),
  ];
  const all = boundsOf(piece) ?? ring(piece.name, 0, 0, 10, 10);
  const about = all.x0 + all.x1;
  const entities = mirrored ? flat.map((each) => mirror(each, about)) : flat;
  return { name: piece.name, notes: notesOf(piece, mirrored), bounds: all, entities };
}

const label = (each: Ring): Entity => ({
  is: 'text',
  layer: 'text',
  x: each.x0 + 1,
  y: each.y0 + 1,
  high: 2.4,
  words: each.name,
});

/** A rounded rectangle as lines and arcs, once round against the clock. */
export function ringLines({ x0, x1, y0, y1, r }: Ring, layer: Layer): Entity[] {
  const line = (x1_: number, y1_: number, x2: number, y2: number): Entity[] =>
    Math.hypot(x2 - x1_, y2 - y1_) < 1e-9 ? [] : [{ is: 'line', layer, x1: x1_, y1: y1_, x2, y2 }];
  const arc = (x: number, y: number, from: number): Entity[] =>
    r > 0 ? [{ is: 'arc', layer, x, y, r, from, to: from + 90 }] : [];
  return [
    ...line(x0 + r, y0, x1 - r, y0),
    ...arc(x1 - r, y0 + r, 270),
    ...line(x1, y0 + r, x1, y1 - r),
    ...arc(x1 - r, y1 - r, 0),
    ...line(x1 - r, y1, x0 + r, y1),
    ...arc(x0 + r, y1 - r, 90),
    ...line(x0, y1 - r, x0, y0 + r),
    ...arc(x0 + r, y0 + r, 180),
  ];
}

/** The other way round, about the middle. */
function mirror(each: Entity, about: number): Entity {
  switch (each.is) {
    case 'line':
      return { ...each, x1: about - each.x1, x2: about - each.x2 };
    case 'arc':
      return { ...each, x: about - each.x, from: 180 - each.to, to: 180 - each.from };
    case 'text':
      return { ...each, x: about - each.x };
    default:
      return { ...each, x: about - each.x };
  }
}

function notesOf({ of: make, holes, bends, openings }: Piece, mirrored: boolean): string[] {
  const drills = [...new Set(holes.map(({ mm }) => mm))].sort((a, b) => a - b);
  const corner = 'corner' in make && openings.length > 0 ? `, corners ${make.corner}` : '';
  return [
    `${make.material} ${make.thick} mm${corner}${mirrored ? ', laid on from outside' : ''}`,
    ...(drills.length > 0
      ? [`drill ${drills.map((mm) => mm.toFixed(1)).join(', ')}; punch each cross first`]
      : []),
    ...(bends.length > 1
      ? ['bend the last line first, then the first: so the brake finds room']
      : bends.length === 1
        ? ['one bend, on the line']
        : []),
  ];
}
