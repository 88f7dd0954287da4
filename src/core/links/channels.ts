import { memoryGBs } from '../standards/links.ts';

/** A module by its size and speed. */
export interface Module {
  name: string;
  gb: number;
  mts: number;
}

/** Modules in channels: what is matched is interleaved, the rest runs on one channel. */
export interface Population {
  modules: Module[];
  /** Every channel; with fewer modules than channels the last ones stay empty. */
  channels: Module[][];
  gb: number;
  matchedGb: number;
  mts: number;
  /** Gigabytes a second where matched, and where not. */
  matchedGBs: number;
  singleGBs: number;
}

/**
 * The best population of so many channels: loads as even as they can be, every module counts, all at
 * the slowest speed and at most the platform's. Fewer modules than channels interleave over as many. Unequal modules shrink nothing: 4, 4 and 2 GB are 10,
 * of which 8 are matched. Throws RangeError for no channel.
 */
export function populate(
  modules: readonly Module[],
  channels: number,
  platformMts = Infinity,
): Population {
  if (!(channels >= 1)) throw new RangeError(`invalid channels: ${channels}`);
  const used = Math.max(1, Math.min(channels, modules.length));
  const split = even(modules, used);
  const sums = split.map((list) => list.reduce((sum, each) => sum + each.gb, 0));
  const gb = sums.reduce((sum, each) => sum + each, 0);
  const matchedGb = used === 1 && channels > 1 ? 0 : Math.min(...sums) * used;
  const mts = Math.min(platformMts, ...modules.map((each) => each.mts));
  const speed = Number.isFinite(mts) ? mts : 0;
  return {
    modules: [...modules],
    channels: [...split, ...Array.from({ length: channels - used }, () => [])],
    gb,
    matchedGb,
    mts: speed,
    matchedGBs: matchedGb > 0 ? memoryGBs(speed, used) : 0,
    singleGBs: memoryGBs(speed, 1),
  };
}

/**
 * Modules dealt over channels so that the least loaded carries most. Up to two a channel the largest lies
 * with the smallest, which is the best there is; more are dealt from the largest down, each to the channel with least.
 */
function even(modules: readonly Module[], channels: number): Module[][] {
  const down = [...modules].sort((a, b) => b.gb - a.gb);
  const split: Module[][] = Array.from({ length: channels }, () => []);
  if (down.length <= 2 * channels) {
    down.forEach((module, i) => split[i < channels ? i : 2 * channels - 1 - i]?.push(module));
    return split;
  }
  const sums = split.map(() => 0);
  for (const module of down) {
    const least = sums.indexOf(Math.min(...sums));
    split[least]?.push(module);
    sums[least] = (sums[least] ?? 0) + module.gb;
  }
  return split;
}

/** All modules, and without each odd one: what leaving it out gains in speed and costs in room. */
export function populations(
  modules: readonly Module[],
  channels: number,
  platformMts?: number,
): Population[] {
  const all = populate(modules, channels, platformMts);
  const without = modules.map((odd) =>
    populate(
      modules.filter((each) => each !== odd),
      channels,
      platformMts,
    ),
  );
  const better = without.filter(
    (each) =>
      each.modules.length > 0 &&
      (each.mts > all.mts || each.matchedGb / each.gb > all.matchedGb / all.gb + 1e-9),
  );
  const seen = new Set<string>();
  return [
    all,
    ...better.filter((each) => {
      const key = `${each.gb} ${each.mts} ${each.matchedGb}`;
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    }),
  ];
}

/** Which slots first (common practice; the board's manual wins). */
export function slotsFirst(slots: number, modules: number): string {
  if (slots === 4 && modules === 2) return 'second and fourth slot, counted from the CPU';
  if (slots === 4 && modules === 1) return 'second slot, counted from the CPU';
  return modules >= slots ? 'every slot' : 'slots the board names first';
}
