/**
 * Upper quantile of chi-square with `degrees` of freedom that `z` standard deviations of a normal
 * leave above (3.09: one in a thousand). Wilson and Hilferty's cube-root approximation, 1931;
 * within 2 % for three degrees and more.
 */
export function chiSquareLimit(degrees: number, z = 3.09): number {
  if (degrees <= 0) return 0;
  const h = 2 / (9 * degrees);
  return degrees * (1 - h + z * Math.sqrt(h)) ** 3;
}
