import type { Printed } from '../model/types/printTypes.ts';
import { range, type Range } from '../units/range.ts';
import { table } from '../units/table.ts';

/** g/cm³ of what is printed (makers' data sheets, from memory). */
const density = table<number>({ PLA: 1.24, PETG: 1.27, ABS: 1.04, ASA: 1.07 });
/** mm³ a second that go through a nozzle of 0.4 mm, the slow and the quick printer (common practice, no source); wider ones in their area. */
const FLOW = range(3, 10);
/** Moves without material, first layer, heating: as a share, and minutes. */
const IDLE = range(1.1, 1.4);
const WARM_MIN = range(5, 12);

export interface Estimate {
  /** What is laid, mm³. */
  laid: number;
  grams: Range;
  hours: Range;
}

/** What a print takes, by its volume and surface (mm³, mm²): solid walls, the rest filled as told. */
export function estimate(
  { material, wall, fill, nozzle }: Printed,
  { volume, surface }: { volume: number; surface: number },
): Estimate {
  const shell = Math.min(volume, surface * wall);
  const laid = shell + ((volume - shell) * fill) / 100;
  const grams = (laid / 1000) * (density[material] ?? 1.2);
  const by = (nozzle / 0.4) ** 2;
  return {
    laid,
    /* Supports, a brim, and what the walls overlap. */
    grams: range(grams * 0.95, grams * 1.15),
    hours: range(
      (laid / (FLOW.hi * by) / 3600) * IDLE.lo + WARM_MIN.lo / 60,
      (laid / (FLOW.lo * by) / 3600) * IDLE.hi + WARM_MIN.hi / 60,
    ),
  };
}
