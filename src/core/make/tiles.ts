import type { Ring } from './piece.ts';

/** Paper a template is printed on, mm, upright. */
export const papers = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type PaperName = keyof typeof papers;

/** Printers leave this free, mm; sheets overlap by so much, mm; heading and rule take this. */
export const MARGIN_MM = 12;
export const OVERLAP_MM = 15;
export const HEAD_MM = 34;

/** A sheet of paper and the window of the drawing on it: drawing's x0, y1 lie at the window's upper left. */
export interface Tile {
  number: number;
  column: number;
  row: number;
  /** Lower left and size of what of the drawing it shows, mm. */
  x0: number;
  y0: number;
  width: number;
  height: number;
}

export interface Tiling {
  paper: PaperName;
  /** Whether the sheets lie on their long side. */
  lying: boolean;
  columns: number;
  rows: number;
  tiles: Tile[];
}

const AIR_MM = 6;

/** As few sheets as hold a drawing at true size with their overlaps, upright or lying. */
export function tilesOf(bounds: Ring, paper: PaperName): Tiling {
  const ways = [false, true].map((lying) => tiled(bounds, paper, lying));
  return ways.sort((a, b) => a.tiles.length - b.tiles.length)[0] as Tiling;
}

function tiled(bounds: Ring, paper: PaperName, lying: boolean): Tiling {
  const { width, height } = papers[paper];
  const [w, h] = lying ? [height, width] : [width, height];
  const [fieldW, fieldH] = [w - 2 * MARGIN_MM, h - 2 * MARGIN_MM - HEAD_MM];
  const [needW, needH] = [bounds.x1 - bounds.x0 + 2 * AIR_MM, bounds.y1 - bounds.y0 + 2 * AIR_MM];
  const count = (need: number, field: number) =>
    need <= field ? 1 : Math.ceil((need - OVERLAP_MM) / (field - OVERLAP_MM));
  const [columns, rows] = [count(needW, fieldW), count(needH, fieldH)];
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1)
      tiles.push({
        number: tiles.length + 1,
        column,
        row,
        x0: bounds.x0 - AIR_MM + column * (fieldW - OVERLAP_MM),
        y0: bounds.y1 + AIR_MM - row * (fieldH - OVERLAP_MM) - fieldH,
        width: fieldW,
        height: fieldH,
      });
  return { paper, lying, columns, rows, tiles };
}
