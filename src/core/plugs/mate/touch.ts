import { signal, type Signal } from '../../standards/plugs/signals.ts';

/**
 * What happens where one contact meets another. The socket's names say what its board expects
 * there; the plug's what it brings. Burns: a feed on return, or more volts than are expected.
 * Wrong: nothing burns by itself, but it does not work as meant.
 */
export type Effect = 'right' | 'nothing' | 'missing' | 'wrong' | 'burns' | 'unknown';

export interface Touch {
  effect: Effect;
  /** What meets what, in words; empty where it is right. */
  say: string;
}

/** Volts a signal contact stands without harm: 5 V logic and a little (common practice, no source). */
const SIGNAL_STANDS_V = 5.5;
/** Volts over the nominal that still count as the same rail. */
const SAME_SHARE = 0.1;

/** Ties to return inside the plug itself: sense contacts of card plugs. */
const returns = new Set(['COM', 'sense', 'sense0', 'sense1']);
const silent = new Set(['open', 'key', 'reserved', '-5V']);

export const isReturn = (name: string): boolean => returns.has(name);
const isFeed = (each: Signal) => each.direction === 'feeds' && each.volts !== undefined;

/** What `brings` does to the contact that expects `expects`. Names as in standards/plugs. */
export function touch(brings: string, expects: string): Touch {
  if (brings === '?' || expects === '?')
    return { effect: 'unknown', say: `${brings === '?' ? 'an open pin' : brings} on ${expects}` };
  if (brings === expects || (isReturn(brings) && isReturn(expects)))
    return { effect: 'right', say: '' };
  if (silent.has(expects)) return { effect: 'nothing', say: '' };
  const [from, to] = [signal(brings), signal(expects)];
  if (silent.has(brings))
    return { effect: 'missing', say: isFeed(to) ? `nothing for ${expects}` : '' };
  const meets = `${brings} on ${isReturn(expects) ? 'return' : expects}`;
  if (isFeed(from)) return onto(from.volts ?? 0, expects, to, meets);
  if (isReturn(brings)) {
    if (isFeed(to)) return { effect: 'burns', say: `return on ${expects}: a short` };
    return { effect: 'wrong', say: `return on ${expects}: held down` };
  }
  return { effect: 'wrong', say: meets };
}

function onto(volts: number, expects: string, to: Signal, meets: string): Touch {
  if (isReturn(expects)) return { effect: 'burns', say: `${meets}: a short` };
  if (isFeed(to)) {
    const wanted = to.volts ?? 0;
    const near = Math.abs(volts - wanted) <= Math.abs(wanted) * SAME_SHARE;
    if (near) return { effect: 'wrong', say: `${meets}: never on together` };
    const over = Math.abs(volts) > Math.abs(wanted) || Math.sign(volts) !== Math.sign(wanted);
    return over
      ? { effect: 'burns', say: `${meets}: too much` }
      : { effect: 'wrong', say: `${meets}: too little` };
  }
  return volts > SIGNAL_STANDS_V || volts < 0
    ? { effect: 'burns', say: `${meets}: too much for a signal` }
    : { effect: 'wrong', say: meets };
}
