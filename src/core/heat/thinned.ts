/** Degrees no sensor of a running machine shows (common practice, no source). */
export const SENSE_C = { least: -30, most: 130 };

/** A course of the log thinned to at most so many points, each the mean of its stretch; gaps and figures without sense left out. */
export function thinned(
  seconds: Float64Array,
  values: Float64Array,
  most: number,
  sense: { least: number; most: number } = { least: -Infinity, most: Infinity },
): { s: number[]; v: number[]; senseless: number } {
  const s: number[] = [];
  const v: number[] = [];
  let senseless = 0;
  const last = seconds.at(-1) ?? 0;
  const width = Math.max(last / most, 1e-9);
  let [bin, sumS, sumV, n] = [0, 0, 0, 0];
  const close = () => {
    if (n === 0) return;
    s.push(Math.round((sumS / n) * 100) / 100);
    v.push(Math.round((sumV / n) * 1000) / 1000);
    [sumS, sumV, n] = [0, 0, 0];
  };
  for (let i = 0; i < seconds.length; i += 1) {
    const value = values[i] ?? NaN;
    if (Number.isNaN(value)) continue;
    if (value < sense.least || value > sense.most) {
      senseless += 1;
      continue;
    }
    const own = Math.min(most - 1, Math.floor((seconds[i] ?? 0) / width));
    if (own !== bin) {
      close();
      bin = own;
    }
    sumS += seconds[i] ?? 0;
    sumV += value;
    n += 1;
  }
  close();
  return { s, v, senseless };
}
