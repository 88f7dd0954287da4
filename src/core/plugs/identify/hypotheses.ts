import { plugs } from '../../standards/plugs/index.ts';
import { placeOf, type Group, type Plug } from '../../standards/plugs/plug.ts';
import { classes, classOf, type SignalClass } from './evidence.ts';

/** One idea of which pin is which: a known plug as it is, mirrored or turned, or an unknown order. */
export interface Hypothesis {
  id: string;
  name: string;
  prior: number;
  /** For each pin of the piece the chance of every class. */
  pins: readonly (readonly number[])[];
}

/** The piece in hand, counted on its header face, latch down, row by row. */
export interface Grid {
  rows: number;
  ways: number;
}

/** Chance that one pin of a known plug was changed by its maker. */
const CHANGED = 0.02;
/** Chance that a maker left one cavity of a known plug empty. */
const LEFT_OUT = 0.01;
/** What an unknown order is made of (common practice, no source). */
const UNKNOWN: Record<SignalClass, number> = {
  COM: 0.42,
  '+3.3V': 0.05,
  '+5V': 0.07,
  '+12V': 0.26,
  '-12V': 0.01,
  '+5VSB': 0.025,
  '+12VSB': 0.035,
  'PS_ON#': 0.05,
  PWR_OK: 0.04,
  open: 0.02,
  other: 0.02,
};
const PRIOR_UNKNOWN = 0.4;

/** Families whose plugs hang on a supply. */
const ofSupplies: readonly Group[] = ['main', 'processor', 'card', 'drive', 'fan'];

const kinds = {
  'as it is': [false, false],
  mirrored: [true, false],
  turned: [true, true],
  'upside down': [false, true],
} as const;

/** Every idea for a piece of this many rows and ways. Throws RangeError for what no housing is. */
export function hypothesesFor({ rows, ways }: Grid): Hypothesis[] {
  if (!Number.isInteger(rows) || rows < 1 || rows > 2)
    throw new RangeError(`no housing has ${rows} rows`);
  if (!Number.isInteger(ways) || ways < 2 || ways > 48)
    throw new RangeError(`no power plug has ${ways} ways`);
  if (ways % rows !== 0) throw new RangeError(`${ways} ways do not fill ${rows} rows`);
  const known = plugs.filter(
    (plug) =>
      plug.rows === rows &&
      plug.ways === ways &&
      !plug.pins.includes('?') &&
      /* Clipped together it is the plug it splits from. */
      !plug.goesAs &&
      ofSupplies.includes(plug.group),
  );
  const list = known.flatMap((plug) =>
    Object.entries(kinds).map(([how, [columns, upside]]): Hypothesis => ({
      id: `${plug.id} ${how}`,
      name: how === 'as it is' ? plug.name : `${plug.name}, ${how}`,
      prior: how === 'as it is' ? 1 : how === 'mirrored' ? 0.15 : 0.05,
      pins: laid(plug, columns, upside),
    })),
  );
  const sum = list.reduce((total, each) => total + each.prior, 0);
  const unknown: Hypothesis = {
    id: 'unknown',
    name: 'unknown pinout',
    prior: list.length > 0 ? PRIOR_UNKNOWN : 1,
    pins: Array.from({ length: ways }, () => classes.map((each) => UNKNOWN[each])),
  };
  return [
    ...list.map((each) => ({ ...each, prior: (each.prior / sum) * (1 - PRIOR_UNKNOWN) })),
    unknown,
  ];
}

/** A known plug over the piece: chance of every class for each pin, columns or rows reversed. */
function laid(plug: Plug, columns: boolean, upside: boolean): number[][] {
  const across = plug.ways / plug.rows;
  const at = new Map(
    plug.pins.map((name, i) => {
      const place = placeOf(plug, i + 1);
      const row = upside ? plug.rows - 1 - place.row : place.row;
      const col = columns ? across - 1 - place.col : place.col;
      return [row * across + col, classOf(name)];
    }),
  );
  return Array.from({ length: plug.ways }, (_, i) =>
    classes.map((each) => {
      const out = at.get(i) === 'open' ? 0 : LEFT_OUT;
      if (each === at.get(i)) return 1 - CHANGED - out;
      return CHANGED * UNKNOWN[each] + (each === 'open' ? out : 0);
    }),
  );
}
