import type { BuzzedWire } from '../model/types/shapes.ts';
import type { Finding, Mark } from '../findings/finding.ts';
import { wordOf } from '../findings/terms.ts';
import { plugIn, plugNameIn } from '../model/lookup/ownPlugs.ts';
import {
  partsOfKind,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import type { Plug } from '../standards/plugs/index.ts';
import { commonPractice } from '../standards/source.ts';
import { touch } from './mate/index.ts';

/**
 * A modular lead belongs to one supply. On another it is a Stop until every wire has been buzzed
 * out against both ends: which pin at the supply beeps with which at the load, and what the
 * supply's socket carries there.
 */
export class BuzzError extends Error {}

/** The wires of a lead; throws BuzzError where a pin beeps with two that are not said to be one. */
export function wiresOf(wires: readonly BuzzedWire[]): readonly BuzzedWire[] {
  const seen = new Map<number, number>();
  for (const { from, to } of wires)
    for (const pin of to) {
      const other = seen.get(pin);
      if (other !== undefined && other !== from)
        throw new BuzzError(
          `Pin ${pin} beeps with ${other} and with ${from}: then ${other} and ${from} are one wire, write them so.`,
        );
      seen.set(pin, from);
    }
  return wires;
}

/** The wires with one more; the same pin again replaces what it said. */
export const buzzed = (wires: readonly BuzzedWire[], wire: BuzzedWire): BuzzedWire[] =>
  [...wires.filter((each) => each.from !== wire.from), wire].sort((a, b) => a.from - b.from);

/**
 * What the supply's socket carries, worked out from a lead that is known to be its own: the
 * signal of the load plug, carried back along the wires. '?' for pins no wire leads from.
 */
export function orderFromLead(wires: readonly BuzzedWire[], load: Plug, ways: number): string[] {
  const order = Array.from({ length: ways }, () => '?');
  for (const { from, to } of wires) {
    const names = new Set(to.map((pin) => load.pins[pin - 1] ?? '?'));
    const [first] = names;
    if (names.size === 1 && first !== undefined) order[from - 1] = first;
  }
  return order;
}

export interface LeadVerdict {
  mark: Mark;
  rest: string;
  say: string;
}

/** A lead that came with another supply, judged wire by wire. `order`: what the socket carries, by pin. */
export function leadVerdict(
  wires: readonly BuzzedWire[],
  load: Plug,
  order: readonly string[],
): LeadVerdict {
  const met = new Set(wires.flatMap((wire) => wire.to));
  const wanted = load.pins.flatMap((name, i) => (name === 'open' || name === 'key' ? [] : [i + 1]));
  const left = wanted.filter((pin) => !met.has(pin));
  if (left.length > 0)
    return {
      mark: 'stop',
      rest: `${wanted.length - left.length} of ${wanted.length} wires`,
      say: `Not its own lead: it stays off until every wire is buzzed out. Still to do at the load end: ${left.join(', ')}.`,
    };
  const unknown = wires.filter(
    (wire) => wire.to.length > 0 && (order[wire.from - 1] ?? '?') === '?',
  );
  if (unknown.length > 0)
    return {
      mark: 'stop',
      rest: 'socket not known',
      say: `What the PSU's socket carries on ${unknown.map((wire) => wire.from).join(', ')} is not known: buzz out a lead that belongs to it.`,
    };
  const touches = wires.flatMap((wire) =>
    wire.to.map((pin) => ({
      wire,
      pin,
      ...touch(order[wire.from - 1] ?? '?', load.pins[pin - 1] ?? 'open'),
    })),
  );
  const bad = touches.filter((each) => !['right', 'nothing'].includes(each.effect));
  const [first] = [...bad].sort((a) => (a.effect === 'burns' ? -1 : 1));
  if (first)
    return {
      mark: 'stop',
      rest: first.effect === 'burns' ? 'fits and burns' : 'fits and is wrong',
      say: `${first.say}: socket pin ${first.wire.from} leads to pin ${first.pin}. ${bad.length} wires are wrong. Never on this PSU.`,
    };
  return {
    mark: 'clear',
    rest: 'buzzed out',
    say: 'Not its own lead, but every wire carries what its pin wants.',
  };
}

/** Every modular lead of the plan against its supply. */
export function modularLeads(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  if (!supply) return [];
  return partsOfKind(plan, 'small').flatMap((placed) => {
    const belongs = textAt(plan, placed, 'belongsTo');
    if (!belongs) return [];
    const { mark, rest, say } = verdictIn(plan, supply, placed, belongs.text);
    return {
      id: `lead:${placed.seat}`,
      about: { of: 'lead', lead: placed.seat },
      station: 'plugs',
      mark,
      title: 'modular lead',
      seats: [placed.seat, supply.seat],
      unit: '',
      terms: [
        { ...wordOf(placed, 'belongsTo', 'lead of', belongs), value: belongs.text, sign: 0 },
        { ...wordOf(supply, 'socketOrder', 'on', undefined), value: supply.part.name, sign: 0 },
      ],
      marginLabel: rest,
      say,
      source: commonPractice,
      remedies: [],
      undoMinutes: 120,
    };
  });
}

function verdictIn(plan: Plan, supply: Placed, lead: Placed, belongs: string): LeadVerdict {
  if (belongs === supply.part.id || belongs === supply.part.modelId)
    return { mark: 'clear', rest: 'its own', say: 'The lead belongs to this PSU.' };
  const load = plugIn(plugsOf(plan), textAt(plan, lead, 'plug')?.text ?? '');
  if (!load)
    return {
      mark: 'stop',
      rest: 'not its own',
      say: 'Not its own lead, and which plug it ends in has not been said. It stays off.',
    };
  try {
    const wires = wiresOf(listAt(plan, lead, 'buzzed')?.items ?? []);
    return leadVerdict(wires, load, listAt(plan, supply, 'socketOrder')?.items ?? []);
  } catch (error) {
    if (!(error instanceof BuzzError)) throw error;
    return { mark: 'stop', rest: 'cannot be read', say: error.message };
  }
}

export const leadName = (plan: Plan, lead: Placed): string =>
  `${lead.part.name}, ${plugNameIn(plugsOf(plan), textAt(plan, lead, 'plug')?.text ?? '?')}`;
