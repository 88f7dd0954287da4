/**
 * Copper wire by American gauge.
 * Diameter: ASTM B258, d = 0.127 mm x 92^((36-n)/39).
 * Resistivity 1.7241e-8 ohm m at 20 C and 0.00393 per K: IEC 60028.
 */

const RESISTIVITY_OHM_M = 1.7241e-8;
const PER_KELVIN = 0.00393;

/** Diameter in mm of a solid wire of gauge `awg` (0 to 40). Throws RangeError outside. */
export function wireDiameterMm(awg: number): number {
  if (!(awg >= 0 && awg <= 40)) throw new RangeError(`invalid gauge: ${awg}`);
  return 0.127 * 92 ** ((36 - awg) / 39);
}

/** Ohms per metre of copper of gauge `awg` at `temperatureC`. */
export function wireOhmPerM(awg: number, temperatureC = 20): number {
  const radiusM = wireDiameterMm(awg) / 2000;
  const cold = RESISTIVITY_OHM_M / (Math.PI * radiusM ** 2);
  return cold * (1 + PER_KELVIN * (temperatureC - 20));
}

export interface LeadLoss {
  /** Volts lost there and back. */
  dropV: number;
  /** Heat in the copper, there and back, in watts. */
  heatW: number;
  /** Ohms there and back. */
  ohm: number;
}

/** What a lead of `lengthM` metres loses at `currentA`: the current goes there and comes back. */
export function leadLoss(awg: number, lengthM: number, currentA: number): LeadLoss {
  const ohm = wireOhmPerM(awg) * lengthM * 2;
  return { ohm, dropV: ohm * currentA, heatW: ohm * currentA ** 2 };
}
