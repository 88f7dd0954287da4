import { PDFDocument, rgb, StandardFonts } from 'pdf-lib';
import { CODE_MM, codesOf, matPapers, RULE_MM, squaresOf, type MatPaper } from '$core/photo/mat.ts';
import { PT_PER_MM } from './page.ts';

const pt = (mm: number) => mm * PT_PER_MM;

/** A mat at true size: codes round its edge, two rules to check the printer by. */
export async function matPdf(paper: MatPaper): Promise<Uint8Array> {
  const { width, height } = matPapers[paper];
  const document = await PDFDocument.create();
  document.setTitle(`Measuring mat, ${paper}`);
  /* A viewer that scales to the page would spoil it: PrintScaling None, ISO 32000 12.2. */
  document.catalog.getOrCreateViewerPreferences().setPrintScaling('None' as never);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const page = document.addPage([pt(width), pt(height)]);
  const box = (x: number, y: number, w: number, h: number, white = false) =>
    page.drawRectangle({
      x: pt(x),
      y: pt(height - y - h),
      width: pt(w),
      height: pt(h),
      color: white ? rgb(1, 1, 1) : rgb(0, 0, 0),
    });
  const side = CODE_MM / 8;
  for (const { id, x, y } of codesOf(paper)) {
    box(x, y, CODE_MM, CODE_MM);
    squaresOf(id).forEach((row, j) =>
      row.forEach((white, i) => {
        if (white) box(x + i * side, y + j * side, side, side, true);
      }),
    );
  }
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    page.drawLine({
      start: { x: pt(x1), y: pt(height - y1) },
      end: { x: pt(x2), y: pt(height - y2) },
      thickness: pt(0.25),
    });
  const write = (words: string, x: number, y: number, turned = false) =>
    page.drawText(words, {
      x: pt(x),
      y: pt(height - y),
      size: pt(3),
      font,
      ...(turned && { rotate: { type: 'degrees' as never, angle: 90 } }),
    });
  /* Both rules stand close to the codes, out of the way of what is laid on. */
  const inner = 11 + CODE_MM;
  const [x0, y0] = [(width - RULE_MM.across) / 2, inner + 6];
  line(x0, y0, x0 + RULE_MM.across, y0);
  line(x0, y0 - 2, x0, y0 + 2);
  line(x0 + RULE_MM.across, y0 - 2, x0 + RULE_MM.across, y0 + 2);
  write(
    `Across: ${RULE_MM.across} mm. Print at 100 %, measure, type what it is.`,
    x0 + 4,
    y0 - 1.5,
  );
  const [x1, y1] = [inner + 6, (height - RULE_MM.down) / 2];
  line(x1, y1, x1, y1 + RULE_MM.down);
  line(x1 - 2, y1, x1 + 2, y1);
  line(x1 - 2, y1 + RULE_MM.down, x1 + 2, y1 + RULE_MM.down);
  write(
    `Down: ${RULE_MM.down} mm. Lay it flat, glue it to a board if it curls.`,
    x1 - 1.5,
    y1 + RULE_MM.down - 4,
    true,
  );
  return document.save();
}
