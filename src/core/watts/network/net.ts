/**
 * A direct-current network: nodes joined by resistors, some nodes held at a voltage, loads that
 * draw power, current or by their resistance. Return is node-less: a lead's ohms are those there
 * and back, its volts those between its two wires.
 *
 *   held 12 V --[ohm]-- node --[ohm]-- node (load W)
 */
export interface Resistor {
  id: string;
  a: string;
  b: string;
  ohm: number;
}

export type Load = { id: string; node: string } & (
  { watts: number } | { amps: number } | { ohms: number }
);

export interface Net {
  /** Volts of the nodes that are held. */
  held: Readonly<Record<string, number>>;
  resistors: readonly Resistor[];
  loads: readonly Load[];
}

/** A net that makes no sense: names the part at fault. */
export class NetError extends Error {
  readonly at: string;
  constructor(message: string, at: string) {
    super(message);
    this.at = at;
  }
}

/** Throws NetError for a short, ohms or loads below nothing, and a load without a feed. */
export function checkNet(net: Net): void {
  const held = Object.entries(net.held);
  noneTwice(net.resistors);
  noneTwice(net.loads);
  if (held.length === 0) throw new NetError('Nothing feeds this net.', 'held');
  for (const [node, volts] of held)
    if (!Number.isFinite(volts)) throw new NetError(`${node}: ${volts} V is no voltage.`, node);
  for (const { id, a, b, ohm } of net.resistors) {
    if (!Number.isFinite(ohm) || ohm < 0) throw new NetError(`${id}: ${ohm} ohms cannot be.`, id);
    if (ohm === 0) throw new NetError(`${id}: no ohms at all is a short, not a wire.`, id);
    if (a === b) throw new NetError(`${id} joins ${a} to itself.`, id);
  }
  const reached = reach(net);
  for (const load of net.loads) {
    const value = 'watts' in load ? load.watts : 'amps' in load ? load.amps : load.ohms;
    if (!Number.isFinite(value) || value < 0)
      throw new NetError(`${load.id}: a load of ${value} cannot be.`, load.id);
    if ('ohms' in load && value === 0) throw new NetError(`${load.id} is a short.`, load.id);
    if (!reached.has(load.node)) throw new NetError(`${load.id} has no feed.`, load.id);
    if ('watts' in load && value > 0 && Object.hasOwn(net.held, load.node) && !net.held[load.node])
      throw new NetError(`${load.id}: no watts come out of a node held at 0 V.`, load.id);
  }
}

/** Throws NetError for two things of one name: an answer by name could mean either. */
export function noneTwice(things: readonly { id: string }[]): void {
  const seen = new Set<string>();
  for (const { id } of things) {
    if (seen.has(id)) throw new NetError(`${id} stands twice.`, id);
    seen.add(id);
  }
}

/** Nodes with a way to one that is held. */
function reach(net: Net): Set<string> {
  const beside = new Map<string, string[]>();
  const add = (from: string, to: string) => {
    const list = beside.get(from);
    if (list) list.push(to);
    else beside.set(from, [to]);
  };
  for (const { a, b } of net.resistors) {
    add(a, b);
    add(b, a);
  }
  const seen = new Set(Object.keys(net.held));
  const queue = [...seen];
  for (const node of queue)
    for (const next of beside.get(node) ?? [])
      if (!seen.has(next)) {
        seen.add(next);
        queue.push(next);
      }
  return seen;
}
