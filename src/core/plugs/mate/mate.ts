import type { Plug } from '../../standards/plugs/index.ts';
import { placements, type Keys, type Placement } from './placements.ts';
import { touch, type Effect, type Touch } from './touch.ts';

/** One contact on another, and what comes of it. */
export interface Contact extends Touch {
  plugPin: number;
  socketPin: number;
}

export type Verdict = 'right' | 'partly' | 'wrong' | 'burns' | 'unknown' | 'does not fit';

export interface Mating {
  verdict: Verdict;
  /** The placement judged; undefined when it does not go in. */
  placement: Placement | undefined;
  contacts: Contact[];
  /** What meets what, the worst first, each kind once. */
  says: string[];
}

const severity: Record<Effect, number> = {
  burns: 5,
  wrong: 4,
  unknown: 3,
  missing: 2,
  nothing: 1,
  right: 0,
};

/** A light gets its volts from the header it is pushed on; with every other pair the plug brings them. */
const between = (plug: Plug, own: string, header: string) =>
  plug.group === 'light' ? touch(header, own) : touch(own, header);

/** What a placement does, contact by contact. */
export function matingOf(plug: Plug, socket: Plug, placement: Placement): Mating {
  const contacts = placement.pairs.map(([plugPin, socketPin]) => ({
    plugPin,
    socketPin,
    ...between(plug, plug.pins[plugPin - 1] ?? 'open', socket.pins[socketPin - 1] ?? 'open'),
  }));
  const worst = Math.max(0, ...contacts.map((each) => severity[each.effect]));
  const open = socket.ways - placement.pairs.length;
  return {
    verdict: verdictOf(worst, open + placement.over),
    placement,
    contacts,
    says: saysOf(contacts),
  };
}

function verdictOf(worst: number, loose: number): Verdict {
  if (worst === severity.burns) return 'burns';
  if (worst === severity.wrong) return 'wrong';
  if (worst === severity.unknown) return 'unknown';
  return worst === severity.missing || loose > 0 ? 'partly' : 'right';
}

const saysOf = (contacts: readonly Contact[]) => [
  ...new Set(
    [...contacts]
      .sort((a, b) => severity[b.effect] - severity[a.effect])
      .flatMap((each) => (each.say ? [each.say] : [])),
  ),
];

/** Every placement with what it does, those that slide on by themselves first. */
export function matings(plug: Plug, socket: Plug, keys: Keys = {}): Mating[] {
  return placements(plug, socket, keys)
    .map((placement) => matingOf(plug, socket, placement))
    .sort((a, b) => Number(b.placement?.free) - Number(a.placement?.free));
}

/**
 * A plug pushed on as anyone would: as it is. A snapped key is judged by the worst way it then
 * goes in, for nothing holds it from that.
 */
export function mate(plug: Plug, socket: Plug, keys: Keys = {}): Mating {
  const all = matings(plug, socket, keys);
  const straight = all.find((each) => each.placement?.how === 'as it is');
  if (!straight) return { verdict: 'does not fit', placement: undefined, contacts: [], says: [] };
  if (!keys.snapped) return straight;
  const turned = all.find((each) => each.placement?.how === 'turned');
  return turned && rank[turned.verdict] > rank[straight.verdict] ? turned : straight;
}

const rank: Record<Verdict, number> = {
  right: 0,
  partly: 1,
  'does not fit': 2,
  unknown: 3,
  wrong: 4,
  burns: 5,
};
