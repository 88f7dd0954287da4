import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer';

/** Pieces laid on sheets of stock, as rectangles: maximal rectangles, the best of several orders, turned where that helps. */
export interface Blank {
  name: string;
  width: number;
  height: number;
}

export interface Laid extends Blank {
  sheet: number;
  x: number;
  y: number;
  turned: boolean;
}

export interface Nest {
  laid: Laid[];
  sheets: number;
  /** No fewer sheets can do, by area alone. */
  least: number;
  /** Larger than the sheet, however it is turned. */
  tooLarge: string[];
}

/** `kerf`: what the saw takes between two pieces, mm. */
export function nest(blanks: readonly Blank[], width: number, height: number, kerf = 2): Nest {
  const fits = ({ width: w, height: h }: Blank) =>
    (w <= width && h <= height) || (h <= width && w <= height);
  const good = blanks.filter(fits);
  const orders: ((a: Blank, b: Blank) => number)[] = [
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
    (a, b) => Math.min(b.width, b.height) - Math.min(a.width, a.height),
    (a, b) => b.width + b.height - (a.width + a.height),
  ];
  const tries = orders.flatMap((order) =>
    [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE].map((logic) =>
      packed([...good].sort(order), width, height, kerf, logic),
    ),
  );
  const [best] = tries.sort((a, b) => a.sheets - b.sheets);
  const area = good.reduce((sum, each) => sum + each.width * each.height, 0);
  return {
    laid: best?.laid ?? [],
    sheets: best?.sheets ?? 0,
    least: Math.ceil(area / (width * height) - 1e-9),
    tooLarge: blanks.filter((each) => !fits(each)).map(({ name }) => name),
  };
}

function packed(
  blanks: readonly Blank[],
  width: number,
  height: number,
  kerf: number,
  logic: PACKING_LOGIC,
): { laid: Laid[]; sheets: number } {
  const packer = new MaxRectsPacker(width, height, kerf, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
    logic,
  });
  for (const blank of blanks) {
    /* The packer turns only what would fit as it is. */
    const lies = blank.width <= width && blank.height <= height;
    if (lies) packer.add(blank.width, blank.height, blank);
    else packer.add(blank.height, blank.width, blank);
  }
  const laid = packer.bins.flatMap((bin, sheet) =>
    bin.rects.map(({ data, x, y, width: lies }): Laid => {
      const blank = data as Blank;
      return { ...blank, sheet, x, y, turned: lies !== blank.width };
    }),
  );
  return { laid, sheets: packer.bins.length };
}
