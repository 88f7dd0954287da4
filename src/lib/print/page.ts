import { MM_PER_INCH, type LengthUnit } from '$core/units/length.ts';
import { PDFDocument, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';

/** Pages at true size: millimetres from the top left of the sheet, whatever the printer would like. */

export const PT_PER_MM = 72 / 25.4;

/** ISO 216 A4, landscape. */
export const SHEET = { widthMm: 297, heightMm: 210, marginMm: 12 } as const;

export interface Sheet {
  line: (x1: number, y1: number, x2: number, y2: number, widthMm?: number) => void;
  circle: (x: number, y: number, diameterMm: number) => void;
  text: (words: string, x: number, y: number, sizeMm?: number) => void;
}

export interface Paper {
  sheet: () => Sheet;
  bytes: () => Promise<Uint8Array>;
}

export async function paper(title: string): Promise<Paper> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  const font = await document.embedFont(StandardFonts.Helvetica);
  /* A viewer that scales to the page would spoil it: PrintScaling None, ISO 32000 12.2. */
  document.catalog.getOrCreateViewerPreferences().setPrintScaling('None' as never);
  return {
    sheet: () =>
      sheetOn(document.addPage([SHEET.widthMm * PT_PER_MM, SHEET.heightMm * PT_PER_MM]), font),
    bytes: () => document.save(),
  };
}

function sheetOn(page: PDFPage, font: PDFFont): Sheet {
  const x = (mm: number) => mm * PT_PER_MM;
  const y = (mm: number) => (SHEET.heightMm - mm) * PT_PER_MM;
  return {
    line: (x1, y1, x2, y2, widthMm = 0.2) =>
      page.drawLine({
        start: { x: x(x1), y: y(y1) },
        end: { x: x(x2), y: y(y2) },
        thickness: widthMm * PT_PER_MM,
      }),
    circle: (cx, cy, diameterMm) =>
      page.drawCircle({
        x: x(cx),
        y: y(cy),
        size: (diameterMm / 2) * PT_PER_MM,
        borderWidth: 0.2 * PT_PER_MM,
      }),
    text: (words, tx, ty, sizeMm = 4) =>
      page.drawText(printable(words), { x: x(tx), y: y(ty), size: sizeMm * PT_PER_MM, font }),
  };
}

/** The standard font knows Latin-1 only. */
export const printable = (words: string) => words.replace(/[^\x20-\xff]/g, '-');

/** A rule of 100 mm, or of 4 inches, to lay a caliper on before trusting the sheet. */
export function rule(sheet: Sheet, x: number, y: number, unit: LengthUnit = 'mm'): void {
  const end = x + (unit === 'mm' ? 100 : 4 * MM_PER_INCH);
  sheet.line(x, y, end, y, 0.3);
  sheet.line(x, y - 2, x, y + 2, 0.3);
  sheet.line(end, y - 2, end, y + 2, 0.3);
  const length = unit === 'mm' ? '100 mm' : '4 in';
  sheet.text(`this rule is ${length}: check it before you trust the sheet`, x + 3, y - 1.2, 2.8);
}
