/**
 * Amps one 4.2 mm contact on a wire of this gauge carries in a two-way housing.
 * AWG 18: maker's derating for the 4.2 mm family (from memory); thinner wire at equal
 * warming (current as diameter to the power 1.5), thicker wire from memory. Undefined beyond AWG 10 to 28.
 */
export function currentLimitA(awg: number): number | undefined {
  if (awg < 10 || awg > 28) return undefined;
  const contactA = 9;
  if (awg >= 18) return Math.round(contactA * 2 ** ((18 - awg) / 4) * 10) / 10;
  return { 16: 13, 14: 20, 12: 25, 10: 35 }[Math.ceil(awg / 2) * 2];
}
