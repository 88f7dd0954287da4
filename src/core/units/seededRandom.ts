/** Random numbers from 0 to 1, the same for the same seed (mulberry32, public domain). */
export function seededRandom(seed: number): () => number {
  let at = seed | 0 || 1;
  return () => {
    at = (at + 0x6d2b79f5) | 0;
    let t = Math.imul(at ^ (at >>> 15), 1 | at);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A number of the standard normal distribution (Box and Muller). */
export const normalOf = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
