import type { Material, Paint } from '../model/types/finishTypes.ts';
import { range, type Range } from '../units/range.ts';
import type { Source } from './source.ts';

/** Paints as published data sheets give them at 20 °C and 50 % relative humidity. */

const HOUR = 60;
const DAY = 24 * HOUR;

export interface PaintTimes {
  /** Minutes between coats. */
  flash: Range;
  /** Minutes until dust and a finger leave nothing. */
  touch: Range;
  /** Minutes until it may be handled. */
  handle: Range;
  /** Minutes until it may be fitted together and screwed down. */
  assemble: Range;
  /** The next layer goes on within so many minutes, or not before `again`, then scuffed. */
  recoat: number;
  again: number;
  cureDays: Range;
  /** µm of one coat, dry. */
  coatUm: Range;
  /** Share of a can's volume that stays as film. */
  solids: Range;
  family: 'lacquer' | 'enamel' | 'water' | 'two-part';
}

export const paintSource: Source = {
  title: 'published data sheets of spray paints, 20 °C and 50 % humidity',
  memory: true,
};

export const paintTimes: Readonly<Record<Paint, PaintTimes>> = {
  acrylic: {
    flash: range(5, 10),
    touch: range(15, 30),
    handle: range(HOUR, 2 * HOUR),
    assemble: range(DAY, 2 * DAY),
    recoat: HOUR,
    again: DAY,
    cureDays: range(5, 7),
    coatUm: range(10, 20),
    solids: range(0.08, 0.12),
    family: 'lacquer',
  },
  enamel: {
    flash: range(10, 15),
    touch: range(HOUR, 4 * HOUR),
    handle: range(5 * HOUR, 9 * HOUR),
    assemble: range(DAY, 2 * DAY),
    recoat: HOUR,
    again: 2 * DAY,
    cureDays: range(7, 14),
    coatUm: range(12, 25),
    solids: range(0.12, 0.2),
    family: 'enamel',
  },
  'water-based': {
    flash: range(15, 20),
    touch: range(20, 40),
    handle: range(2 * HOUR, 4 * HOUR),
    assemble: range(DAY, 2 * DAY),
    recoat: 4 * HOUR,
    again: DAY,
    cureDays: range(7, 21),
    coatUm: range(10, 20),
    solids: range(0.1, 0.15),
    family: 'water',
  },
  'two-part': {
    flash: range(10, 15),
    touch: range(HOUR, 3 * HOUR),
    handle: range(6 * HOUR, 12 * HOUR),
    assemble: range(DAY, 2 * DAY),
    recoat: DAY,
    again: DAY,
    cureDays: range(5, 7),
    coatUm: range(15, 25),
    solids: range(0.15, 0.25),
    family: 'two-part',
  },
};

/** ml of a usual can. */
export const CAN_ML = 400;
/** Share of what leaves a can that lands on flat work (common practice, no source). */
export const TRANSFER = range(0.45, 0.7);

export interface MaterialFacts {
  metal: boolean;
  /** Grit before the first coat: first and last. */
  grit: readonly [number, number];
  /** What goes under the first coat. */
  under: string;
  /** °C it may be baked at; undefined: never. */
  bakeC?: number;
  /** Solvent and stripper attack it. */
  tender: boolean;
}

/** Common practice, no source; the oven's ceiling as in the brief of the trade: an hour at 50 to 60 °C, metal only. */
export const materialFacts: Readonly<Record<Material, MaterialFacts>> = {
  steel: { metal: true, grit: [240, 400], under: 'primer', bakeC: 60, tender: false },
  aluminium: { metal: true, grit: [320, 400], under: 'etch primer', bakeC: 60, tender: false },
  ABS: { metal: false, grit: [400, 600], under: 'plastic primer', tender: true },
  'other plastic': {
    metal: false,
    grit: [400, 600],
    under: 'plastic primer: test a hidden spot',
    tender: true,
  },
  wood: { metal: false, grit: [120, 240], under: 'sealer', tender: false },
  printed: { metal: false, grit: [180, 400], under: 'filler primer', tender: true },
};

/** Minutes in the oven, and before it for the solvent to leave. */
export const BAKE_MIN = 60;
export const BEFORE_BAKE_MIN = 30;

/** Least and most °C paint is sprayed at, most percent of humidity (cans' own labels, unverified figures). */
export const SPRAY = { coldest: 10, warmest: 30, dampest: 85 };
/** Minutes of hands to clean gun, nozzles and booth for another colour (common practice, no source). */
export const CLEAN_MIN = 15;
/** K the surface stays above the dew point. */
export const ABOVE_DEW_K = 3;
export const dewSource: Source = {
  title: 'ISO 8502-4: surface at least 3 K above the dew point',
  memory: true,
};
