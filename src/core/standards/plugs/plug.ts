import type { Source } from '../source.ts';

/**
 * A plug as its header's face shows it, latch side down: pin 1 top left (its wire side shows the
 * same picture, its mating face the mirror image). How its pins are counted differs by family:
 *
 *   rows      1  2  3      zigzag    1 3 5      loop    1 2 3     line   1 2 3 4
 *             4  5  6                2 4 6              6 5 4
 *            ── latch ──
 */
export type Numbering = 'rows' | 'zigzag' | 'loop' | 'line';

export type Group =
  | 'main'
  | 'processor'
  | 'card'
  | 'drive'
  | 'fan'
  | 'front'
  | 'light'
  | 'data'
  | 'slot'
  | 'barrel'
  | 'usb'
  | "maker's"
  | 'modular';

export interface Plug {
  id: string;
  name: string;
  group: Group;
  rows: number;
  ways: number;
  pitchMm: number;
  numbering: Numbering;
  /** Signal by pin number, pin 1 first; '?' where the family does not tell. */
  pins: readonly string[];
  /** Cavities that are square, by pin number; not proof of pin 1 by themselves. */
  squares?: readonly number[];
  /** Where the latch or the key sits, in words. */
  latch?: string;
  /** Its pins stand bare, without a wall round them. */
  bare?: true;
  /** Plugs it goes as, its pieces clipped together or apart. */
  goesAs?: readonly string[];
  /** Amps one contact carries, where the publication says so rather than the housing. */
  contactA?: number;
  /** The gauge that figure holds on; on thinner wire a contact carries less. 18 where nothing is said. */
  contactAwg?: number;
  /** Watts the publication allows through the plug, if it says. */
  limitW?: number;
  source: Source;
}

export interface Place {
  row: number;
  col: number;
}

/** Where a pin sits on the header's face: row from the top, column from the left, from 0. Throws for a pin it has not. */
export function placeOf(plug: Pick<Plug, 'rows' | 'ways' | 'numbering'>, pin: number): Place {
  const columns = Math.ceil(plug.ways / plug.rows);
  if (!Number.isInteger(pin) || pin < 1 || pin > plug.ways) throw new RangeError(`no pin ${pin}`);
  const at = pin - 1;
  switch (plug.numbering) {
    case 'zigzag':
      return { row: at % plug.rows, col: Math.floor(at / plug.rows) };
    case 'loop': {
      const row = Math.floor(at / columns);
      const col = at % columns;
      return { row, col: row % 2 === 0 ? col : columns - 1 - col };
    }
    default:
      return { row: Math.floor(at / columns), col: at % columns };
  }
}

/** The four pictures of a plug: two alike, two mirrored. */
export const views = {
  'header face': { mirrored: false, half: 'header' },
  'header solder side': { mirrored: true, half: 'header' },
  'plug mating face': { mirrored: true, half: 'plug' },
  'plug wire side': { mirrored: false, half: 'plug' },
} as const;
export type View = keyof typeof views;

/** The place of a pin as one looks at it: mirrored views count columns from the right. */
export function seen(
  plug: Pick<Plug, 'rows' | 'ways' | 'numbering'>,
  pin: number,
  view: View,
): Place {
  const place = placeOf(plug, pin);
  const columns = Math.ceil(plug.ways / plug.rows);
  return views[view].mirrored ? { ...place, col: columns - 1 - place.col } : place;
}
