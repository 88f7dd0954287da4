import type { Source } from './source.ts';

/** Links between processor, chipset and devices. */

export const linkSource: Source = { title: 'PCI Express base specification', memory: true };

/** Gigatransfers a second of each generation, and how many of so many bits are data. */
const generations: readonly { gts: number; data: number; of: number }[] = [
  { gts: 2.5, data: 8, of: 10 },
  { gts: 5, data: 8, of: 10 },
  { gts: 8, data: 128, of: 130 },
  { gts: 16, data: 128, of: 130 },
  { gts: 32, data: 128, of: 130 },
  /* Flits of 256 bytes, 242 of them data (generation 6, from memory). */
  { gts: 64, data: 242, of: 256 },
];

/** From so many lanes on a card wants a long slot, or one open at its end (common practice, no source). */
export const LONG_LANES = 8;

/** The newest generation a figure may name. */
export const newestGeneration = generations.length;

/** Gigabytes a second of one lane after coding. Throws RangeError for a generation there is not. */
export function laneGBs(generation: number): number {
  const own = generations[generation - 1];
  if (!own) throw new RangeError(`invalid generation: ${generation}`);
  return (own.gts * own.data) / own.of / 8;
}

/** The generation of a speed in gigatransfers a second; undefined for one there is not. */
export function generationOf(gts: number): number | undefined {
  const at = generations.findIndex((each) => Math.abs(each.gts - gts) < 0.01);
  return at < 0 ? undefined : at + 1;
}

/** Megabytes a second of a drive port by its generation. */
export const sataMBs = [150, 300, 600] as const;

/** Gigabytes a second of memory: transfers by eight bytes by channels. */
export const memoryGBs = (mts: number, channels: number): number => (mts * 8 * channels) / 1000;

export const m2Source: Source = {
  title: 'PCI Express M.2 specification',
  clause: 'module sizes and keys',
  memory: true,
};

/** Lengths of drives in M.2 sockets as they are printed: 22 mm wide, then the length in mm. */
export const m2Lengths = ['2230', '2242', '2260', '2280', '22110'] as const;

/** Sockets of wireless cards: M.2 with key A or E, the short PCI Express card before it. */
export const wirelessForms = ['M.2 key E', 'M.2 key A', 'mini card'] as const;

/** Where the antennas of a wireless card go. */
export const antennaPlaces = ['outside', 'inside, behind plastic', 'inside metal', 'none'] as const;
