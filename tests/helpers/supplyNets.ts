import type { Load, Net, Resistor } from '../../src/core/watts/network/index.ts';

/** Made-up nets: a tree of leads, some rings, loads of all three kinds; `hard` near what it carries. */
export function madeSupplyNet(
  random: () => number,
  nodes: number,
  kinds: 'resistive' | 'power',
): Net {
  const pick = (below: number) => Math.floor(random() * below);
  const resistors: Resistor[] = [];
  for (let i = 0; i < nodes; i += 1)
    resistors.push({
      id: `r${i}`,
      a: i === 0 ? 'source' : `n${pick(i)}`,
      b: `n${i}`,
      ohm: 0.002 + random() * 0.02,
    });
  for (let i = 0; i < nodes / 8; i += 1) {
    const [a, b] = [pick(nodes), pick(nodes)];
    if (a !== b)
      resistors.push({ id: `ring${i}`, a: `n${a}`, b: `n${b}`, ohm: 0.01 + random() * 0.05 });
  }
  const loads = Array.from({ length: Math.ceil(nodes * 0.6) }, (_, i): Load => {
    const at = { id: `l${i}`, node: `n${pick(nodes)}` };
    const dice = random();
    if (kinds === 'resistive') return { ...at, ohms: 8 + random() * 200 };
    if (dice < 0.6) return { ...at, watts: random() * (60 / nodes) };
    return dice < 0.8
      ? { ...at, amps: random() * (4 / nodes) }
      : { ...at, ohms: 20 + random() * 300 };
  });
  return { held: { source: 12 }, resistors, loads };
}

/** The same net as a deck for a circuit simulator; constant power as a source of P over V. */
export function deckOf(net: Net): string[] {
  return [
    ...Object.entries(net.held).map(([node, volts]) => `v_${node} ${node} 0 ${volts}`),
    ...net.resistors.map(({ id, a, b, ohm }) => `r_${id} ${a} ${b} ${ohm}`),
    ...net.loads.map((load) =>
      'watts' in load
        ? `b_${load.id} ${load.node} 0 i=${load.watts}/v(${load.node})`
        : 'amps' in load
          ? `i_${load.id} ${load.node} 0 ${load.amps}`
          : `r_${load.id} ${load.node} 0 ${load.ohms}`,
    ),
  ];
}
