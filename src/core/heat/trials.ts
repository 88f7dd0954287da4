import type { Trial } from '../model/types/types.ts';

/** What to try next in an undervolt, a raised base clock or a lower watt limit, and when to stop. */
export interface NextTrial {
  next: number | undefined;
  /** What to leave it at: a step short of what held. */
  keep: number | undefined;
  /** Trials that contradict each other. */
  contradicts: string | undefined;
  say: string;
}

interface Kind {
  unit: string;
  first: number;
  step: number;
  /** Steps nearer than this are not worth an evening. */
  near: number;
  /** Left between what held and what is kept. */
  margin: number;
  most: number;
}

/** Common practice, no source. */
const kinds: Record<'undervolt' | 'base clock', Kind> = {
  undervolt: { unit: 'mV', first: 30, step: 25, near: 10, margin: 10, most: 200 },
  'base clock': { unit: '%', first: 1, step: 1, near: 0.5, margin: 0.5, most: 7 },
};

/** Of the trials of one kind: larger values go further. */
export function nextTrial(trials: readonly Trial[], what: 'undervolt' | 'base clock'): NextTrial {
  const kind = kinds[what];
  const own = trials.filter((each) => each.what === what);
  const held = own.filter((each) => each.stable).map((each) => each.value);
  const failed = own.filter((each) => !each.stable).map((each) => each.value);
  const best = held.length > 0 ? Math.max(...held) : undefined;
  const worst = failed.length > 0 ? Math.min(...failed) : undefined;
  const keep = best === undefined ? undefined : Math.max(0, best - kind.margin);
  const say = (text: string): NextTrial => ({
    next: undefined,
    keep,
    contradicts: undefined,
    say: text,
  });
  if (best !== undefined && worst !== undefined && worst <= best) {
    return {
      next: worst,
      keep: Math.max(0, worst - 2 * kind.margin),
      contradicts: `${worst} ${kind.unit} failed, ${best} ${kind.unit} held`,
      say: `Try ${worst} ${kind.unit} once more and longer: it failed, yet ${best} ${kind.unit} held.`,
    };
  }
  const next =
    worst === undefined
      ? best === undefined
        ? kind.first
        : best + kind.step
      : ((best ?? 0) + worst) / 2;
  if (worst !== undefined && worst - (best ?? 0) <= kind.near)
    return say(
      best === undefined
        ? `Fails at ${worst} ${kind.unit} already: leave it as it is.`
        : `Time to stop: holds at ${best}, fails at ${worst} ${kind.unit}. Leave it at ${keep} ${kind.unit}.`,
    );
  if (next > kind.most)
    return say(
      `${best} ${kind.unit} held: further is not usual. Leave it at ${keep} ${kind.unit}.`,
    );
  const rounded = what === 'undervolt' ? Math.round(next / 5) * 5 : Math.round(next * 2) / 2;
  return {
    next: rounded,
    keep,
    contradicts: undefined,
    say: `Next: ${rounded} ${kind.unit}, ten minutes at full load, then an hour of real use.`,
  };
}

/** What follows a raised base clock: everything tied to it, by the same share. */
export function follows(
  percent: number,
  tied: { memoryMts?: number | undefined; processorGhz?: number | undefined },
): { memoryMts?: number; processorGhz?: number; busMhz: number; say: string } {
  const factor = 1 + percent / 100;
  const busMhz = 100 * factor;
  return {
    ...(tied.memoryMts === undefined ? {} : { memoryMts: tied.memoryMts * factor }),
    ...(tied.processorGhz === undefined ? {} : { processorGhz: tied.processorGhz * factor }),
    busMhz,
    say:
      percent > 3
        ? 'Bus, drive ports and network run faster too: drives may vanish. Back up first.'
        : 'Bus and drive ports follow; so little they mostly carry.',
  };
}
