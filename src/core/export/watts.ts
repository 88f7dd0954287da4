import type { System } from '../watts/network/index.ts';
import type { Tree } from '../watts/tree/index.ts';
import { defuse } from './partsTable.ts';

/** The budget as rows of texts, its header first. */
export function budgetTable(tree: Tree): string[][] {
  const f = (value: number | undefined) => (value === undefined ? '' : value.toFixed(2));
  return [
    ['branch', 'on', 'label', 'W least', 'W most', 'lost W most', 'A most', 'V least'],
    ...tree.branches.map((branch) =>
      [
        branch.id,
        branch.parent ?? '',
        branch.label,
        f(branch.watts.lo),
        f(branch.watts.hi),
        f(branch.lossW.hi),
        f(branch.amps?.hi),
        f(branch.volts?.lo),
      ].map(defuse),
    ),
  ];
}

/**
 * A net as a SPICE deck; constant power as a source of P over V, a converter as a source behind its
 * output's meter. Names keep letters and digits only.
 */
export function spiceDeck(net: System, title: string): string {
  const node = (name: string) => name.replace(/[^A-Za-z0-9]/g, '_');
  return [
    `* ${title.replace(/[\r\n]/g, ' ')}`,
    ...Object.entries(net.held).map(([name, volts]) => `V_${node(name)} ${node(name)} 0 ${volts}`),
    ...net.resistors.map(({ id, a, b, ohm }) => `R_${node(id)} ${node(a)} ${node(b)} ${ohm}`),
    ...net.loads.map((load) => {
      const at = node(load.node);
      if ('watts' in load) return `B_${node(load.id)} ${at} 0 I=${load.watts}/V(${at})`;
      if ('amps' in load) return `I_${node(load.id)} ${at} 0 ${load.amps}`;
      return `R_load_${node(load.id)} ${at} 0 ${load.ohms}`;
    }),
    ...(net.converters ?? []).flatMap((each) => {
      const [id, into, out] = [node(each.id), node(each.in), node(each.out)];
      return [
        `V_${id} ${out} 0 ${each.outV}`,
        `B_${id} ${into} 0 I=(${each.outV}*-i(V_${id})/${each.efficiency}+${each.idleW ?? 0})/V(${into})`,
      ];
    }),
    '.op',
    '.end',
    '',
  ].join('\n');
}
