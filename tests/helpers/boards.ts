import {
  placed,
  standardPatterns,
  type Pattern,
  type Point,
} from '../../src/core/fit/holes/index.ts';

/** Simulated boards: a pattern's holes seen through a caliper, from any corner, either side up. Seeded. */

export function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Normal with mean 0 and deviation 1 (Box and Muller). */
export function normal(next: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}

export interface Simulated {
  pattern: Pattern;
  /** Names of the holes that were measured. */
  holes: string[];
  exact: Point[];
  points: Point[];
}

/** A board of a random pattern with `least` to 9 of its holes measured with `noiseMm` of error. */
export function simulated(next: () => number, noiseMm: number, least = 4): Simulated {
  const pattern = standardPatterns[Math.floor(next() * standardPatterns.length)] as Pattern;
  const most = Math.min(9, pattern.holes.length);
  const count = least + Math.floor(next() * (most - least + 1));
  const chosen = [...pattern.holes]
    .map((hole) => ({ hole, key: next() }))
    .sort((a, b) => a.key - b.key)
    .slice(0, count)
    .map(({ hole }) => hole);
  const pose = {
    mirrored: next() < 0.5,
    turn: next() * 2 * Math.PI,
    shift: { x: next() * 400 - 200, y: next() * 400 - 200 },
  };
  const exact = chosen.map((hole) => placed(pose, hole));
  const points = exact.map((point) => ({
    x: point.x + noiseMm * normal(next),
    y: point.y + noiseMm * normal(next),
  }));
  return { pattern, holes: chosen.map((hole) => hole.name), exact, points };
}
