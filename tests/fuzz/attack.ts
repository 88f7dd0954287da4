import { random } from './mutate.ts';
import { subjects } from './subjects.ts';

/** Runs attacks of one sort, by number: the same number is the same attack. */

export interface Count {
  runs: number;
  refused: number;
  accepted: number;
  broken: { seed: number; why: string; input: string }[];
}

const MOST_BROKEN = 20;

/** `from`: the first number; stops after `count` attacks or when `until` (ms since the epoch) is past. */
export function attack(name: string, from: number, count: number, until = Infinity): Count {
  const subject = subjects[name];
  if (!subject) throw new Error(`no subject ${name}`);
  const found: Count = { runs: 0, refused: 0, accepted: 0, broken: [] };
  for (let seed = from; seed < from + count; seed += 1) {
    if (Date.now() > until || found.broken.length >= MOST_BROKEN) break;
    const { input, verdict } = subject(random(seed));
    const { how, why } = verdict();
    found.runs += 1;
    if (how === 'broken') found.broken.push({ seed, why: why ?? '', input: input.slice(0, 500) });
    else found[how] += 1;
  }
  return found;
}
