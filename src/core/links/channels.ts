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
 * the slowest speed and at most the platform's. Unequal modules shrink nothing: 4, 4 and 2 GB are 10,
 * of which 8 are matched. Throws RangeError for no channel.
 */
export function populate(
  modules: readonly Module[],
  channels: number,
  platformMts = Infinity,
): Population {
  if (!(channels >= 1)) throw new RangeError(`invalid channels: ${channels}`);
  const split = even(modules, channels);
  const sums = split.map((list) => list.reduce((sum, each) => sum + each.gb, 0));
  const gb = sums.reduce((sum, each) => sum + each, 0);
  const matchedGb = channels === 1 ? gb : Math.min(...sums) * channels;
  const mts = Math.min(platformMts, ...modules.map((each) => each.mts));
  const speed = Number.isFinite(mts) ? mts : 0;
  return {
    modules: [...modules],
    channels: split,
    gb,
    matchedGb,
    mts: speed,
    matchedGBs: matchedGb > 0 ? memoryGBs(speed, channels) : 0,
    singleGBs: memoryGBs(speed, 1),
  };
}

/** Modules dealt over channels so that the least loaded carries most: every way tried, there are few. */
function even(modules: readonly Module[], channels: number): Module[][] {
  let best: Module[][] = Array.from({ length: channels }, () => []);
  let most = -1;
  const place = (i: number, now: Module[][]): void => {
    const module = modules[i];
    if (!module) {
      const least = Math.min(...now.map((list) => list.reduce((sum, each) => sum + each.gb, 0)));
      if (least > most) [most, best] = [least, now.map((list) => [...list])];
      return;
    }
    const tried = new Set<number>();
    for (const list of now) {
      const sum = list.reduce((total, each) => total + each.gb, 0);
      if (tried.has(sum)) continue;
      tried.add(sum);
      list.push(module);
      place(i + 1, now);
      list.pop();
    }
  };
  place(
    0,
    best.map(() => []),
  );
  return best;
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
