import type { Limit } from '$core/fit/limits.ts';
import { paper, rule, SHEET } from './page.ts';

/** Longest bar on one line; a longer one goes on below, both parts labelled. */
const LINE_MM = 270;
const FIRST_Y = 32;
const ROW_MM = 18;

/** Where each bar lies on its sheet: rows from the top, mm. */
export function rowsOf(
  limits: readonly Limit[],
): { y: number; fromMm: number; toMm: number; limit: Limit }[] {
  let row = 0;
  return limits.flatMap((limit) => {
    const parts = Math.ceil(limit.mm / LINE_MM);
    return Array.from({ length: parts }, (_, i) => {
      const y = FIRST_Y + row * ROW_MM;
      row += 1;
      return { y, fromMm: i * LINE_MM, toMm: Math.min(limit.mm, (i + 1) * LINE_MM), limit };
    });
  });
}

/** A true-size strip for one shell, to cut out, take to the shelf or the market and lay against a part. */
export async function limitStripPdf(shell: string, limits: readonly Limit[]): Promise<Uint8Array> {
  const document = await paper(`Limits of ${shell}`);
  const sheet = document.sheet();
  sheet.text(`${shell}: what goes in at most. Print at 100 %.`, SHEET.marginMm, 10, 5);
  rule(sheet, SHEET.marginMm, 18);
  for (const { y, fromMm, toMm, limit } of rowsOf(limits)) {
    if (y > SHEET.heightMm - SHEET.marginMm) break;
    const end = SHEET.marginMm + (toMm - fromMm);
    sheet.line(SHEET.marginMm, y, end, y, 0.4);
    sheet.line(SHEET.marginMm, y - 4, SHEET.marginMm, y + 4, 0.4);
    sheet.line(end, y - 4, end, y + 4, 0.4);
    const more = toMm < limit.mm ? ' (goes on below)' : fromMm > 0 ? ` (from ${fromMm} on)` : '';
    const note = limit.how === 'class' ? ', not measured: the least of its class' : '';
    sheet.text(
      `${limit.label} ${Math.round(limit.mm * 10) / 10} mm${limit.with ? `, ${limit.with}` : ''}, ${limit.datum}${note}${more}`,
      SHEET.marginMm + 2,
      y - 1.5,
      3.4,
    );
  }
  return document.bytes();
}
