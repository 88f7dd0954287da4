import type { Limit } from '$core/fit/limits.ts';
import { lengthWithUnit, type LengthUnit } from '$core/units/length.ts';
import { paper, rule, SHEET } from './page.ts';

/** Longest bar on one line; a longer one goes on below, both parts labelled. */
const LINE_MM = 270;
const FIRST_Y = 32;
const ROW_MM = 18;
const ROWS = Math.floor((SHEET.heightMm - SHEET.marginMm - FIRST_Y) / ROW_MM) + 1;

/** Where each bar lies on its sheet: rows from the top, mm. */
export function rowsOf(
  limits: readonly Limit[],
): { page: number; y: number; fromMm: number; toMm: number; limit: Limit }[] {
  let row = 0;
  return limits.flatMap((limit) => {
    const parts = Math.ceil(limit.mm / LINE_MM);
    return Array.from({ length: parts }, (_, i) => {
      const y = FIRST_Y + (row % ROWS) * ROW_MM;
      const page = Math.floor(row / ROWS);
      row += 1;
      return { page, y, fromMm: i * LINE_MM, toMm: Math.min(limit.mm, (i + 1) * LINE_MM), limit };
    });
  });
}

/** A true-size strip for one shell, to cut out, take to the shelf or the market and lay against a part. */
export async function limitStripPdf(
  shell: string,
  limits: readonly Limit[],
  unit: LengthUnit = 'mm',
): Promise<Uint8Array> {
  const document = await paper(`Limits of ${shell}`);
  const begin = () => {
    const next = document.sheet();
    next.text(`${shell}: what goes in at most. Print at 100 %.`, SHEET.marginMm, 10, 5);
    rule(next, SHEET.marginMm, 18, unit);
    return next;
  };
  const sheets = [begin()];
  for (const { page, y, fromMm, toMm, limit } of rowsOf(limits)) {
    const sheet = (sheets[page] ??= begin());
    const end = SHEET.marginMm + (toMm - fromMm);
    sheet.line(SHEET.marginMm, y, end, y, 0.4);
    sheet.line(SHEET.marginMm, y - 4, SHEET.marginMm, y + 4, 0.4);
    sheet.line(end, y - 4, end, y + 4, 0.4);
    const more =
      toMm < limit.mm
        ? ' (goes on below)'
        : fromMm > 0
          ? ` (from ${lengthWithUnit(fromMm, unit)} on)`
          : '';
    const note = limit.how === 'class' ? ', not measured: the least of its class' : '';
    sheet.text(
      `${limit.label} ${lengthWithUnit(limit.mm, unit)}${limit.with ? `, ${limit.with}` : ''}, ${limit.datum}${note}${more}`,
      SHEET.marginMm + 2,
      y - 1.5,
      3.4,
    );
  }
  return document.bytes();
}
