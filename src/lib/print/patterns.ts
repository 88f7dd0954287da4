import { boardFormats, holes, HOLE_DIAMETER_MM, type HoleName } from '$core/standards/boards.ts';
import type { LengthUnit } from '$core/units/length.ts';
import { paper, rule, SHEET, type Sheet } from './page.ts';

/**
 * Every mounting hole of every published board at true size, over four A4 sheets to lay a board on.
 * Board frame: port end left, rear edge on top. A tile begins every STEP; tiles overlap.
 */
const STEP = { x: 240, y: 150 } as const;
const TOP_MM = 24;

export interface Tile {
  /** Of the board frame, mm, at the sheet's left margin and below its heading. */
  originX: number;
  originY: number;
}

export const tiles: readonly Tile[] = [0, STEP.y].flatMap((originY) =>
  [0, STEP.x].map((originX) => ({ originX, originY })),
);

/** Where a place of the board frame lies on its sheet, mm from the top left. */
export function onSheet(tile: Tile, x: number, y: number): { x: number; y: number } {
  return { x: x - tile.originX + SHEET.marginMm, y: y - tile.originY + TOP_MM };
}

export async function patternsPdf(unit: LengthUnit = 'mm'): Promise<Uint8Array> {
  const document = await paper('Board patterns at true size');
  for (const [i, tile] of tiles.entries()) draw(document.sheet(), tile, i + 1, unit);
  return document.bytes();
}

function draw(sheet: Sheet, tile: Tile, number: number, unit: LengthUnit): void {
  sheet.text(
    `Board patterns, sheet ${number} of ${tiles.length}: port end left, rear edge on top. Print at 100 %, lay the board on, rear edge to the line.`,
    SHEET.marginMm,
    8,
    3.4,
  );
  rule(sheet, SHEET.marginMm, 16, unit);
  const inside = (p: { x: number; y: number }) =>
    p.x >= SHEET.marginMm - 0.01 &&
    p.x <= SHEET.widthMm - SHEET.marginMm &&
    p.y >= TOP_MM - 0.01 &&
    p.y <= SHEET.heightMm - SHEET.marginMm;
  for (const format of boardFormats)
    outline(sheet, tile, format.widthMm, format.depthMm, format.name);
  for (const [name, { x, y }] of Object.entries(holes)) {
    const at = onSheet(tile, x, y);
    if (!inside(at)) continue;
    sheet.circle(at.x, at.y, HOLE_DIAMETER_MM);
    sheet.line(at.x - 4, at.y, at.x + 4, at.y, 0.1);
    sheet.line(at.x, at.y - 4, at.x, at.y + 4, 0.1);
    const who = boardFormats
      .filter((format) => format.holes.includes(name as HoleName))
      .map((format) => format.name);
    sheet.text(`${name}: ${who.join(', ')}`, at.x + 3, at.y - 3, 2.8);
  }
}

/** The edges of a format that fall on this sheet. */
function outline(sheet: Sheet, tile: Tile, widthMm: number, depthMm: number, name: string): void {
  const clampX = (value: number) =>
    Math.min(SHEET.widthMm - SHEET.marginMm, Math.max(SHEET.marginMm, value));
  const clampY = (value: number) =>
    Math.min(SHEET.heightMm - SHEET.marginMm, Math.max(TOP_MM, value));
  const a = onSheet(tile, 0, 0);
  const b = onSheet(tile, widthMm, depthMm);
  if (clampX(a.x) === a.x) sheet.line(a.x, clampY(a.y), a.x, clampY(b.y), 0.15);
  if (clampX(b.x) === b.x) {
    sheet.line(b.x, clampY(a.y), b.x, clampY(b.y), 0.15);
    sheet.text(name, b.x - 18, clampY(b.y) - 2, 2.8);
  }
  if (clampY(a.y) === a.y) sheet.line(clampX(a.x), a.y, clampX(b.x), a.y, 0.15);
  if (clampY(b.y) === b.y) sheet.line(clampX(a.x), b.y, clampX(b.x), b.y, 0.15);
}
