import { NetError, noneTwice, type Load, type Net } from './net.ts';
import { solve, type Solved } from './solve.ts';

/**
 * A converter between two nodes: it holds its output and draws from its input what that takes.
 *
 *   in --[P out / efficiency + idle]-- converter -- out, held at outV
 */
export interface Converter {
  id: string;
  in: string;
  out: string;
  outV: number;
  /** Share of the power that comes out, above 0 and at most 1. */
  efficiency: number;
  /** Watts it draws with nothing on it. */
  idleW?: number;
  /** Most amps into it before it trips. */
  mostInA?: number;
  /** Volts its input may have: below it cuts out, above it dies. */
  leastInV?: number;
  mostInV?: number;
}

export interface System extends Net {
  converters?: readonly Converter[];
}

export interface SolvedSystem extends Solved {
  /** Converters that trip, cut out or are destroyed, and why. */
  out: { id: string; why: 'too many amps in' | 'too few volts in' | 'too many volts in' }[];
  /** Amps and volts into every converter as it runs, or as it would before it trips. */
  inA: Record<string, number>;
  inV: Record<string, number>;
}

/**
 * Nets joined by converters, solved from the far end back to the source: every converter is a load
 * of constant power for what feeds it. One that trips is out, and with it what hangs behind it.
 * Throws NetError for a loop, an output that is fed otherwise too, and figures that make no sense.
 */
export function solveSystem(system: System): SolvedSystem {
  const converters = system.converters ?? [];
  check(system, converters);
  const out: SolvedSystem['out'] = [];
  const [inA, inV]: [Record<string, number>, Record<string, number>] = [{}, {}];
  let live = converters;
  for (;;) {
    const chain = chainOf(system, live);
    const solved = solveChain(system, chain);
    for (const each of live) {
      inA[each.id] = solved.drawnA[each.id] ?? 0;
      inV[each.id] = solved.volts[each.in] ?? 0;
    }
    const failed = live.flatMap((each) => {
      const wrong = fault(each, inA[each.id] ?? 0, inV[each.id] ?? 0);
      return wrong ? [{ id: each.id, ...wrong }] : [];
    });
    /* Nearest the source first, for the others may well hold once it is gone; beside each other the one furthest beyond. */
    const [first] = failed
      .filter(({ id }) => !failed.some((other) => chain.behind.get(other.id)?.has(id)))
      .sort((a, b) => b.beyond - a.beyond || (a.id < b.id ? -1 : 1));
    if (!first) return { ...withDark(system, solved), out, inA, inV };
    out.push({ id: first.id, why: first.why });
    live = live.filter(({ id }) => id !== first.id && !chain.behind.get(first.id)?.has(id));
  }
}

function fault(
  { mostInA, leastInV, mostInV }: Converter,
  amps: number,
  volts: number,
): { why: SolvedSystem['out'][number]['why']; beyond: number } | undefined {
  if (mostInV !== undefined && volts > mostInV)
    return { why: 'too many volts in', beyond: volts / mostInV };
  if (leastInV !== undefined && volts < leastInV)
    return { why: 'too few volts in', beyond: volts > 0 ? leastInV / volts : Infinity };
  if (mostInA !== undefined && amps > mostInA)
    return { why: 'too many amps in', beyond: amps / mostInA };
  return undefined;
}

/** Loads behind what is out draw nothing, and say so. */
function withDark(system: System, solved: Solved): Solved {
  const dark = system.loads.filter(({ id }) => !(id in solved.drawnW));
  const none = Object.fromEntries(dark.map(({ id }) => [id, 0]));
  return {
    ...solved,
    drawnW: { ...none, ...solved.drawnW },
    drawnA: { ...none, ...solved.drawnA },
  };
}

function check(system: System, converters: readonly Converter[]): void {
  noneTwice([...converters, ...system.loads]);
  noneTwice(system.resistors);
  const island = islands(system, nodesOf(system));
  for (const [i, each] of converters.entries()) {
    const other = converters
      .slice(0, i)
      .find((one) => island.get(one.out) === island.get(each.out));
    if (other)
      throw new NetError(
        `${each.id} and ${other.id} feed one another: a wire joins their outputs.`,
        each.id,
      );
  }
  for (const { id, out, outV, efficiency, idleW } of converters) {
    if (!(outV > 0) || !Number.isFinite(outV))
      throw new NetError(`${id}: ${outV} V out cannot be.`, id);
    if (!(efficiency > 0 && efficiency <= 1))
      throw new NetError(`${id}: an efficiency of ${efficiency} cannot be.`, id);
    if (idleW !== undefined && !(idleW >= 0))
      throw new NetError(`${id}: ${idleW} W at idle cannot be.`, id);
    if (Object.hasOwn(system.held, out))
      throw new NetError(`${id}: its output ${out} is held by something else too.`, id);
  }
}

/** Nodes joined by wire, by the name of one of them. */
function islands({ resistors }: Net, nodes: Iterable<string>): Map<string, string> {
  const root = new Map<string, string>();
  const find = (node: string): string => {
    const above = root.get(node) ?? node;
    return above === node ? node : find(above);
  };
  for (const node of nodes) root.set(node, node);
  for (const { a, b } of resistors) root.set(find(a), find(b));
  return new Map([...root.keys()].map((node) => [node, find(node)]));
}

function nodesOf(system: System): Set<string> {
  return new Set([
    ...Object.keys(system.held),
    ...system.resistors.flatMap(({ a, b }) => [a, b]),
    ...system.loads.map(({ node }) => node),
    ...(system.converters ?? []).flatMap((each) => [each.in, each.out]),
  ]);
}

/** Converters from the far end back to the source, what stands behind each, and which nodes hang together. */
interface Chain {
  order: Converter[];
  behind: Map<string, Set<string>>;
  at: (node: string) => string;
}

function chainOf(system: System, live: readonly Converter[]): Chain {
  const island = islands(system, nodesOf(system));
  const at = (node: string) => island.get(node) ?? node;
  const order: Converter[] = [];
  const behind = new Map<string, Set<string>>();
  const open = new Set<string>();
  const visit = (each: Converter): Set<string> => {
    if (open.has(each.id)) throw new NetError(`${each.id} feeds itself in a loop.`, each.id);
    const known = behind.get(each.id);
    if (known) return known;
    open.add(each.id);
    const next = live.filter((other) => at(other.in) === at(each.out));
    const reached = new Set(next.flatMap((other) => [other.id, ...visit(other)]));
    open.delete(each.id);
    behind.set(each.id, reached);
    order.push(each);
    return reached;
  };
  live.forEach(visit);
  return { order, behind, at };
}

function solveChain(system: System, { order, at }: Chain): Solved {
  const sources = Object.keys(system.held);
  const asLoads: Load[] = [];
  const part = (island: string, held: Net['held']): Solved =>
    solve({
      held,
      resistors: system.resistors.filter(({ a }) => at(a) === island),
      loads: [...system.loads, ...asLoads].filter(({ node }) => at(node) === island),
    });
  const parts = order.map((each) => {
    const island = at(each.out);
    if (sources.some((node) => at(node) === island))
      throw new NetError(
        `${each.id}: its output is joined to something that feeds it too.`,
        each.id,
      );
    const solved = part(island, { [each.out]: each.outV });
    const watts = (solved.givenW[each.out] ?? 0) / each.efficiency + (each.idleW ?? 0);
    asLoads.push({ id: each.id, node: each.in, watts });
    return solved;
  });
  for (const island of new Set(sources.map(at)))
    parts.push(
      part(
        island,
        Object.fromEntries(Object.entries(system.held).filter(([node]) => at(node) === island)),
      ),
    );
  const lit = new Set([...sources, ...order.map((each) => each.out)].map(at));
  const dark = darkIslands(system, lit, at);
  const lost = [...system.loads, ...asLoads].find(
    ({ node }) => !lit.has(at(node)) && !dark.has(at(node)),
  );
  if (lost) throw new NetError(`${lost.id} has no feed.`, lost.id);
  return joined(
    parts,
    [...nodesOf(system)].filter((node) => dark.has(at(node))),
  );
}

/** Islands that only a converter which is out would feed: they are dark, not faulty. */
function darkIslands(
  system: System,
  lit: ReadonlySet<string>,
  at: (node: string) => string,
): Set<string> {
  const outputs = (system.converters ?? []).map((each) => at(each.out));
  return new Set(outputs.filter((island) => !lit.has(island)));
}

/** The parts' answers as one; dark nodes have no volts. */
function joined(parts: readonly Solved[], dark: readonly string[]): Solved {
  const all = <K extends 'volts' | 'amps' | 'lossW' | 'drawnW' | 'drawnA' | 'givenW'>(key: K) =>
    Object.assign({}, ...parts.map((each) => each[key])) as Record<string, number>;
  return {
    ok: parts.every((each) => each.ok),
    carries: Math.min(1, ...parts.map((each) => each.carries)),
    volts: { ...Object.fromEntries(dark.map((node) => [node, 0])), ...all('volts') },
    amps: all('amps'),
    lossW: all('lossW'),
    drawnW: all('drawnW'),
    drawnA: all('drawnA'),
    givenW: all('givenW'),
  };
}
