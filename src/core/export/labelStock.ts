import { table } from '../units/table.ts';

/** What labels are printed on. Sizes in mm: those of common sheets and rolls (from memory, no source). */

export interface LabelStock {
  name: string;
  /** One label as it is read. */
  width: number;
  height: number;
  /**
   * `cut`: plain paper, cut up by hand. `roll`: one label a page; `along`: the tape runs through the printer the other
   * way, so the label is printed turned. A sheet has its labels in a grid.
   */
  on: 'cut' | 'roll' | 'sheet';
  along?: boolean | undefined;
  sheet?: {
    width: number;
    height: number;
    across: number;
    down: number;
    /** To the first label's corner, and from one label's corner to the next. */
    left: number;
    top: number;
    stepX: number;
    stepY: number;
  };
}

export const labelStocks: Readonly<Record<string, LabelStock>> = table({
  cut: { name: 'plain paper, three across', width: 62, height: 36, on: 'cut' },
  'roll-62': { name: 'roll 62 mm wide', width: 62, height: 29, on: 'roll' },
  'roll-29': { name: 'roll 29 mm wide', width: 62, height: 29, on: 'roll', along: true },
  'roll-50x25': { name: 'labels 50 x 25 mm', width: 50, height: 25, on: 'roll' },
  'sheet-a4-21': {
    name: 'A4 sheet, 21 of 63.5 x 38.1 mm',
    width: 63.5,
    height: 38.1,
    on: 'sheet',
    sheet: {
      width: 210,
      height: 297,
      across: 3,
      down: 7,
      left: 7.25,
      top: 15.15,
      stepX: 66,
      stepY: 38.1,
    },
  },
  'sheet-letter-30': {
    name: 'Letter sheet, 30 of 66.7 x 25.4 mm',
    width: 66.7,
    height: 25.4,
    on: 'sheet',
    sheet: {
      width: 215.9,
      height: 279.4,
      across: 3,
      down: 10,
      left: 4.8,
      top: 12.7,
      stepX: 69.85,
      stepY: 25.4,
    },
  },
});

export const stockOf = (id: string | undefined): LabelStock =>
  labelStocks[id ?? 'cut'] ?? (labelStocks['cut'] as LabelStock);

/** The printer's page for a stock, mm; undefined: whatever paper is in it. */
export function pageOf({
  on,
  sheet,
  width,
  height,
  along,
}: LabelStock): { width: number; height: number } | undefined {
  if (sheet) return { width: sheet.width, height: sheet.height };
  if (on === 'cut') return undefined;
  return along ? { width: height, height: width } : { width, height };
}

export interface Placed<T> {
  item: T;
  /** mm from the sheet's corner. */
  x: number;
  y: number;
}

/** Items dealt out over sheets, the first one left free up to `start` (from 1): sheets that were begun are used up. */
export function onSheets<T>(stock: LabelStock, items: readonly T[], start = 1): Placed<T>[][] {
  const { sheet } = stock;
  if (!sheet) return [];
  const each = sheet.across * sheet.down;
  const first = Math.min(each, Math.max(1, Math.floor(start))) - 1;
  const pages: Placed<T>[][] = [];
  items.forEach((item, i) => {
    const at = first + i;
    const place = at % each;
    (pages[Math.floor(at / each)] ??= []).push({
      item,
      x: sheet.left + (place % sheet.across) * sheet.stepX,
      y: sheet.top + Math.floor(place / sheet.across) * sheet.stepY,
    });
  });
  return pages;
}
