import { range, type Range } from '../units/range.ts';
import { commonPractice, type Source } from './source.ts';
import { table } from '../units/table.ts';

/** Sizes of supplies, cards, coolers, drives and fans: what a class of part measures. */

export interface SupplyFormat {
  name: string;
  widthMm: number;
  heightMm: number;
  depthMm: Range;
  source: Source;
}

const supplyGuide: Source = {
  title: 'ATX12V, SFX12V, TFX12V and Flex ATX design guides',
  memory: true,
};

export const supplyFormats: readonly SupplyFormat[] = [
  { name: 'ATX', widthMm: 150, heightMm: 86, depthMm: range(125, 230), source: supplyGuide },
  { name: 'SFX', widthMm: 125, heightMm: 63.5, depthMm: range(100, 105), source: supplyGuide },
  { name: 'SFX-L', widthMm: 125, heightMm: 63.5, depthMm: range(130), source: commonPractice },
  { name: 'TFX', widthMm: 85, heightMm: 65, depthMm: range(175), source: supplyGuide },
  { name: 'FlexATX', widthMm: 81.5, heightMm: 40.5, depthMm: range(150, 200), source: supplyGuide },
];

export function supplyFormat(name: string | undefined): SupplyFormat | undefined {
  return supplyFormats.find((format) => format.name.toLowerCase() === name?.toLowerCase());
}

/** PCI Express card electromechanical: heights above the slot's seat and lengths from the bracket, mm. */
export const card = {
  fullHeightMm: 111.15,
  lowHeightMm: 68.9,
  halfLengthMm: 167.65,
  fullLengthMm: 312,
  source: { title: 'PCI Express Card Electromechanical specification', memory: true } as Source,
};

/** A card's plug and the bend of its leads above the card, mm (common practice, no source). */
export const CARD_PLUG_BEND_MM = 35;

export const coolerHeights: Record<string, Range> = table({
  low: range(25, 95),
  /* Those of 92 mm fans are 120 to 136 high. */
  tower: range(118, 170),
  /** The block on the processor; the radiator hangs elsewhere. */
  radiator: range(40, 60),
});

export const drives = {
  '3.5': { widthMm: 101.6, lengthMm: 147, heightMm: 26.1 },
  '2.5': { widthMm: 69.85, lengthMm: 100.45, heightMm: 9.5 },
} as const;

/** How thick 2.5 in drives are made, mm (SFF-8201, from memory: 5, 7, 9.5, 12.5 and 15). */
export const smallDriveHeightMm = range(5, 15);

/** A drive's plugs with the bend of their leads behind it, mm (common practice, no source). */
export const DRIVE_BEND_MM: Range = range(25, 40);
/** The same with plugs that go off at an angle. */
export const DRIVE_ANGLED_MM: Range = range(8, 15);

/** What the socket end of a ribbon takes beside a card with the ribbon's bend, straight on or at an angle, mm (common practice, no source). */
export const RIBBON_STRAIGHT_MM: Range = range(28, 42);
export const RIBBON_ANGLED_MM: Range = range(12, 20);

/** Distance between fan screw holes by fan size, mm. */
export const fanHoles: Record<number, number> = {
  40: 32,
  60: 50,
  80: 71.5,
  92: 82.5,
  120: 105,
  140: 124.5,
};

/** A radiator is 27 to 30 deep, its fans 25 more (common practice, no source). */
export const radiator = { depthMm: range(27, 30), fanMm: 25 };

export interface RadiatorSize {
  /** How many fans lie in a row, and of which size, mm. */
  fans: number;
  mm: number;
  /** The whole of it: n x 120 + 37 by 120, n x 140 + 35 by 140 (common practice, no source). */
  lengthMm: number;
  widthMm: number;
}

const sized = (fans: number, mm: 120 | 140): RadiatorSize => ({
  fans,
  mm,
  lengthMm: fans * mm + (mm === 120 ? 37 : 35),
  widthMm: mm,
});

/** Radiators by what they are called: the fans end to end, mm. */
export const radiatorSizes: Record<string, RadiatorSize> = table({
  120: sized(1, 120),
  140: sized(1, 140),
  240: sized(2, 120),
  280: sized(2, 140),
  360: sized(3, 120),
  420: sized(3, 140),
});

/** What an angled card plug leaves of the bend, mm (common practice, no source). */
export const ANGLED_BEND_MM: Range = range(10, 15);
