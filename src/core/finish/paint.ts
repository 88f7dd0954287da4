import type { PaintWork } from '../model/types/finishTypes.ts';
import { CAN_ML, materialFacts, paintTimes, TRANSFER } from '../standards/coatings.ts';
import { range, type Range } from '../units/range.ts';

/** The layers of a paint, their coats, their thickness and what they need. */

export type LayerName = 'primer' | 'colour' | 'second colour' | 'clear';

export interface Layer {
  name: LayerName;
  coats: number;
  /** What is in the can. */
  what: string;
}

/**
 * Coats by school. Thin: eight of colour on bare material, seven over an old finish, the first at half cover.
 * Three-two-two: three of primer, two of colour, two of clear. Over the cleaned old finish nothing is primed.
 */
export function layersOf(paint: PaintWork): Layer[] {
  const bare = paint.ground === 'bare';
  const thin = paint.coats === 'thin';
  const under = materialFacts[paint.material ?? 'steel'].under;
  const colour = paint.colour ?? 'colour';
  const layers: Layer[] = [];
  if (bare) layers.push({ name: 'primer', coats: thin ? 2 : 3, what: under });
  layers.push({ name: 'colour', coats: thin ? (bare ? 8 : 7) : 2, what: colour });
  if (paint.secondColour !== undefined)
    layers.push({ name: 'second colour', coats: thin ? 4 : 2, what: paint.secondColour });
  if (paint.clear) layers.push({ name: 'clear', coats: 2, what: 'clear coat' });
  return layers;
}

/** Thin coats are the lower half of what a coat may have; the first one covers half. */
function umOf(paint: PaintWork, layer: Layer): Range {
  const { coatUm } = paintTimes[paint.paint];
  const thin = paint.coats === 'thin' && layer.name === 'colour';
  const each = thin ? range(coatUm.lo / 2, (coatUm.lo + coatUm.hi) / 2) : coatUm;
  const coats = thin ? layer.coats - 0.5 : layer.coats;
  return range(each.lo * coats, each.hi * coats);
}

/** mm the dry paint adds to one face. */
export function paintMm(paint: PaintWork): Range {
  const layers = layersOf(paint).map((layer) => umOf(paint, layer));
  return range(
    layers.reduce((sum, { lo }) => sum + lo, 0) / 1000,
    layers.reduce((sum, { hi }) => sum + hi, 0) / 1000,
  );
}

export interface Need {
  layer: LayerName;
  what: string;
  /** ml out of the can, overspray included. */
  ml: Range;
  cans: Range;
}

/**
 * What each layer takes: dry volume (area times thickness) over the share of a can that stays as film and the share
 * that lands. cm² times µm is 0.1 mm³ times 1000: a millilitre is 10 000 cm² µm.
 */
export function needsOf(paint: PaintWork, areaCm2: Range): Need[] {
  const { solids } = paintTimes[paint.paint];
  return layersOf(paint).map((layer) => {
    const um = umOf(paint, layer);
    const ml = range(
      (areaCm2.lo * um.lo) / 10_000 / (solids.hi * TRANSFER.hi),
      (areaCm2.hi * um.hi) / 10_000 / (solids.lo * TRANSFER.lo),
    );
    return {
      layer: layer.name,
      what: layer.what,
      ml,
      cans: range(Math.ceil(ml.lo / CAN_ML), Math.ceil(ml.hi / CAN_ML)),
    };
  });
}

/** Faces painted of a box with openings, cm²: outside of five sides, less a share for grilles and openings. */
export function boxAreaCm2(
  mm: { width: number; height: number; depth: number },
  piece: PaintWork['piece'],
): Range | undefined {
  const [w, h, d] = [mm.width / 10, mm.height / 10, mm.depth / 10];
  const sides = {
    case: 2 * (w * h + h * d) + w * d,
    'side panel': h * d,
    front: w * h,
    lid: w * d,
    bracket: undefined,
    'other piece': undefined,
  }[piece];
  /* Grilles, bays and the rear take up to a third; edges and folds come on top (common practice, no source). */
  return sides === undefined ? undefined : range(sides * 0.67, sides * 1.15);
}
