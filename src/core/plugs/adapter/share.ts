import { contactOhm } from '../../standards/wire.ts';
import { nodeVolts, type Resistor } from '../../units/resistors.ts';
import { wireOhmPerM } from '../../units/wire.ts';
import type { Wire } from './assign.ts';
import type { Contacts, Net } from './nets.ts';
import type { End } from './types.ts';

/**
 * How contacts in parallel really share: by their ohms, of which nobody knows more than new to
 * aged. Each contact is taken new while all others are aged: the most it may come to carry.
 *
 *   supply --[contact]-- pin --[wire]-- pin --[contact]-- load
 */
export interface Shared {
  end: End;
  /** Most amps through it. */
  amps: number;
}

export interface SharingNet {
  resistors: Resistor[];
  nodes: number;
  pushedA: number[];
  /** Resistor of every contact, and of every wire, by index. */
  contacts: { end: End; at: number; fresh: number }[];
  wires: number[];
}

const key = (end: End) => `${end.side} ${end.plug} ${end.pin}`;
/** A converter's screw terminal or solder pad. */
const PAD_OHM = 0.002;

const ohms = (kind: Contacts) =>
  kind.plug ? contactOhm(kind.plug.pitchMm) : { fresh: PAD_OHM, aged: PAD_OHM };

/** The net as resistors with all contacts aged. Node 0 is the supply's rail; each taking plug is a node its amps leave by. */
export function sharingNet(
  net: Net,
  strands: readonly Wire[],
  awg: number,
  lengthMm: number,
): SharingNet {
  const nodes = new Map<string, number>([['supply', 0]]);
  const node = (name: string) => {
    const known = nodes.get(name);
    if (known !== undefined) return known;
    nodes.set(name, nodes.size);
    return nodes.size - 1;
  };
  const resistors: Resistor[] = [];
  const contacts: SharingNet['contacts'] = [];
  const pushed = new Map<number, number>();
  const used = new Set(strands.flatMap((each) => [key(each.from), key(each.to)]));
  const attach = (kind: Contacts, far: number) => {
    for (const end of kind.ends) {
      if (!used.has(key(end))) continue;
      const { fresh, aged } = ohms(kind);
      contacts.push({ end, at: resistors.length, fresh });
      resistors.push({ a: far, b: node(key(end)), ohm: aged });
    }
  };
  for (const kind of net.gives) {
    if (kind.takesUp === undefined) attach(kind, 0);
    else for (const end of kind.ends) pushed.set(node(key(end)), kind.takesUp);
  }
  net.takes.forEach((kind, k) => {
    const far = node(`load ${k}`);
    attach(kind, far);
    pushed.set(far, -kind.need);
  });
  const wireOhm = Math.max(1e-5, (wireOhmPerM(awg, 50) * lengthMm) / 1000);
  const wires = strands.map((each) => {
    resistors.push({ a: node(key(each.from)), b: node(key(each.to)), ohm: wireOhm });
    return resistors.length - 1;
  });
  return {
    resistors,
    nodes: nodes.size,
    pushedA: Array.from({ length: nodes.size }, (_, i) => pushed.get(i) ?? 0),
    contacts,
    wires,
  };
}

/** Amps through each resistor. */
export function amps(of: SharingNet, resistors: readonly Resistor[]): number[] {
  const volts = nodeVolts(of.nodes, resistors, of.pushedA);
  return resistors.map(({ a, b, ohm }) => Math.abs((volts[a] ?? 0) - (volts[b] ?? 0)) / ohm);
}

/** Most amps of every contact and every wire over all ways one contact may be new. */
export function worstShares(of: SharingNet): { contacts: Shared[]; wires: number[] } {
  const most = of.resistors.map(() => 0);
  const note = (list: readonly number[]) =>
    list.forEach((each, i) => (most[i] = Math.max(most[i] ?? 0, each)));
  note(amps(of, of.resistors));
  for (const { at, fresh } of of.contacts)
    note(
      amps(
        of,
        of.resistors.map((each, i) => (i === at ? { ...each, ohm: fresh } : each)),
      ),
    );
  return {
    contacts: of.contacts.map(({ end, at }) => ({ end, amps: most[at] ?? 0 })),
    wires: of.wires.map((at) => most[at] ?? 0),
  };
}
