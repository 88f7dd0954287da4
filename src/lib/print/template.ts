import {
  clip,
  endPath,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  StandardFonts,
  type PDFFont,
  type PDFPage,
} from 'pdf-lib';
import type { Drawing, Entity, Layer } from '$core/make/drawing.ts';
import {
  MARGIN_MM,
  OVERLAP_MM,
  papers,
  tilesOf,
  type PaperName,
  type Tile,
} from '$core/make/tiles.ts';
import { MM_PER_INCH, type LengthUnit } from '$core/units/length.ts';
import { printable, PT_PER_MM } from './page.ts';

/** A drawing at true size over as many sheets as it needs: overlap marks, a rule and a square to check the printer by. */

/** Width of lines on paper, mm, and their dashes. */
const lines: Readonly<Record<Layer, { mm: number; dash?: [number, number] }>> = {
  cut: { mm: 0.2 },
  drill: { mm: 0.15 },
  bend: { mm: 0.2, dash: [4, 2] },
  text: { mm: 0.1 },
  guide: { mm: 0.1, dash: [1, 1] },
};

export async function templatePdf(
  drawing: Drawing,
  paperName: PaperName,
  unit: LengthUnit = 'mm',
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(`${drawing.name} at true size`);
  /* A viewer that scales to the page would spoil it: PrintScaling None, ISO 32000 12.2. */
  document.catalog.getOrCreateViewerPreferences().setPrintScaling('None' as never);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const tiling = tilesOf(drawing.bounds, paperName);
  const { width, height } = papers[paperName];
  const [w, h] = tiling.lying ? [height, width] : [width, height];
  for (const tile of tiling.tiles) {
    const page = document.addPage([w * PT_PER_MM, h * PT_PER_MM]);
    heading(page, font, h, drawing, `sheet ${tile.number} of ${tiling.tiles.length}`, unit);
    window(page, font, tile, drawing.entities);
    joints(page, font, tile, tiling.columns, tiling.rows);
  }
  return document.save();
}

const pt = (mm: number) => mm * PT_PER_MM;

/** Name, sheet, what to cut it of, and what to check the printer by. */
function heading(
  page: PDFPage,
  font: PDFFont,
  h: number,
  { name, notes }: Drawing,
  sheet: string,
  unit: LengthUnit,
): void {
  const write = (words: string, x: number, down: number, size: number) =>
    page.drawText(printable(words), { x: pt(x), y: pt(h - down), size: pt(size), font });
  write(`${name}: ${sheet}. Print at 100 %, no scaling.`, MARGIN_MM, MARGIN_MM + 4, 3.6);
  write(notes.join('; '), MARGIN_MM, MARGIN_MM + 9, 2.8);
  const down = MARGIN_MM + 20;
  const long = unit === 'mm' ? 100 : 4 * MM_PER_INCH;
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    page.drawLine({
      start: { x: pt(x1), y: pt(h - y1) },
      end: { x: pt(x2), y: pt(h - y2) },
      thickness: pt(0.2),
    });
  line(MARGIN_MM, down, MARGIN_MM + long, down);
  for (const end of [MARGIN_MM, MARGIN_MM + long]) line(end, down - 2, end, down + 2);
  write(
    `this rule is ${unit === 'mm' ? '100 mm' : '4 in'}: hold a ruler here`,
    MARGIN_MM + 3,
    down - 1,
    2.6,
  );
  const square = MARGIN_MM + long + 12;
  const side = 20;
  line(square, down - side / 2, square + side, down - side / 2);
  line(square, down + side / 2, square + side, down + side / 2);
  line(square, down - side / 2, square, down + side / 2);
  line(square + side, down - side / 2, square + side, down + side / 2);
  write(`${side} mm each way`, square + side + 2, down, 2.6);
}

/** What of the drawing lies on this sheet, clipped to its window. */
function window(page: PDFPage, font: PDFFont, tile: Tile, entities: readonly Entity[]): void {
  const x = (mm: number) => pt(mm - tile.x0 + MARGIN_MM);
  const y = (mm: number) => pt(mm - tile.y0 + MARGIN_MM);
  page.pushOperators(
    pushGraphicsState(),
    rectangle(pt(MARGIN_MM), pt(MARGIN_MM), pt(tile.width), pt(tile.height)),
    clip(),
    endPath(),
  );
  for (const each of entities) {
    const { mm, dash } = lines[each.layer];
    const thickness = pt(mm);
    const dashes = dash && { dashArray: dash.map(pt) };
    switch (each.is) {
      case 'line':
        page.drawLine({
          start: { x: x(each.x1), y: y(each.y1) },
          end: { x: x(each.x2), y: y(each.y2) },
          thickness,
          ...dashes,
        });
        break;
      case 'circle':
        page.drawCircle({ x: x(each.x), y: y(each.y), size: pt(each.r), borderWidth: thickness });
        break;
      case 'arc':
        page.drawSvgPath(arcPath(each), {
          x: x(each.x),
          y: y(each.y),
          borderWidth: thickness,
          ...(dash && { borderDashArray: dash.map(pt) }),
        });
        break;
      case 'text':
        page.drawText(printable(each.words), {
          x: x(each.x),
          y: y(each.y),
          size: pt(each.high),
          font,
        });
    }
  }
  page.pushOperators(popGraphicsState());
}

/** An arc about the origin as an SVG path in points, y down as pdf-lib takes it. */
function arcPath({ r, from, to }: { r: number; from: number; to: number }): string {
  const at = (degrees: number) => {
    const angle = (degrees * Math.PI) / 180;
    return `${pt(r * Math.cos(angle))} ${-pt(r * Math.sin(angle))}`;
  };
  const large = (to - from + 360) % 360 > 180 ? 1 : 0;
  return `M${at(from)}A${pt(r)} ${pt(r)} 0 ${large} 0 ${at(to)}`;
}

/** Where a neighbour lies over this sheet: a broken line and its number. */
function joints(page: PDFPage, font: PDFFont, tile: Tile, columns: number, rows: number): void {
  const broken = { thickness: pt(0.1), dashArray: [pt(3), pt(2)] };
  const [right, top] = [MARGIN_MM + tile.width, MARGIN_MM + tile.height];
  if (tile.column < columns - 1) {
    const at = pt(right - OVERLAP_MM);
    page.drawLine({ start: { x: at, y: pt(MARGIN_MM) }, end: { x: at, y: pt(top) }, ...broken });
    page.drawText(`sheet ${tile.number + 1} lies here, edge to this line`, {
      x: at + pt(1),
      y: pt(MARGIN_MM + 2),
      size: pt(2.4),
      font,
    });
  }
  if (tile.row < rows - 1) {
    const at = pt(MARGIN_MM + OVERLAP_MM);
    page.drawLine({ start: { x: pt(MARGIN_MM), y: at }, end: { x: pt(right), y: at }, ...broken });
    page.drawText(`sheet ${tile.number + columns} lies here, edge to this line`, {
      x: pt(MARGIN_MM + 2),
      y: at - pt(4),
      size: pt(2.4),
      font,
    });
  }
}
