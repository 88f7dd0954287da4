import { checkNet, NetError, type Load, type Net } from './net.ts';
import { eliminate, plan, values, type Elimination, type Values } from './sparse.ts';
import { table } from '../../units/table.ts';

/** The steady state of a net, or how much of its loads it could carry. */
export interface Solved {
  /** The loads are carried as they are; else `carries` of them are, and the figures are for that share. */
  ok: boolean;
  /** Share of all loads the net could carry, 1 or less when it cannot, undefined when nobody looked beyond. */
  carries: number;
  volts: Record<string, number>;
  /** Amps from a to b of every resistor. */
  amps: Record<string, number>;
  /** Watts lost in every resistor. */
  lossW: Record<string, number>;
  /** Watts every load draws, and amps. */
  drawnW: Record<string, number>;
  drawnA: Record<string, number>;
  /** Watts out of every held node. */
  givenW: Record<string, number>;
}

const MOST_STEPS = 60;
/** Change of a node that counts as settled, as a share of the highest held voltage. */
const SETTLED = 1e-13;
/** Below this share a change that no longer shrinks is rounding. */
const NEAR = 1e-9;
/** The nose is closed in on to this share of the loads. */
const NOSE = 1e-7;

/**
 * Newton's method on Kirchhoff's current law, loads of constant power included:
 *
 *   sum of (v_i - v_k) / R + I(v_i) = 0,   I = P / v, A, or v / R
 *
 * The upper branch is wanted: volts start at the held ones and the Jacobian must stay positive
 * definite, which it ceases to be at the nose. Where the loads are too much, the share that can be
 * carried is closed in on by halving. Throws NetError for a net that makes no sense.
 */
export function solve(net: Net): Solved {
  checkNet(net);
  const system = build(net);
  const start = new Float64Array(system.n).fill(system.highest);
  const full = newton(system, 1, start);
  if (full) return answer(net, system, full, 1, true);
  let [low, high] = [0, 1];
  const idle = newton(system, 0, start);
  if (!idle) throw new NetError('No state of this net was found even without loads.', 'net');
  let best = idle;
  while (high - low > NOSE) {
    const share = (low + high) / 2;
    const found: Float64Array | undefined =
      newton(system, share, best) ?? newton(system, share, start);
    if (found) [low, best] = [share, found];
    else high = share;
  }
  return answer(net, system, best, low, false);
}

interface System {
  n: number;
  names: string[];
  index: Map<string, number>;
  by: Elimination;
  keep: Values;
  /** Conductances between unknowns and to held nodes, written into a fresh system each step. */
  diagonal: Float64Array;
  off: Float64Array;
  /** Amps pushed into unknowns by held nodes. */
  pushed: Float64Array;
  edges: { a: number; b: number; s: number }[];
  loads: { at: number; load: Load }[];
  highest: number;
}

function build(net: Net): System {
  const index = new Map<string, number>();
  const names: string[] = [];
  const unknown = (name: string) => {
    if (Object.hasOwn(net.held, name)) return -1;
    let at = index.get(name);
    if (at === undefined) {
      at = names.length;
      index.set(name, at);
      names.push(name);
    }
    return at;
  };
  const ends = net.resistors.map(({ a, b }) => [unknown(a), unknown(b)] as const);
  const n = names.length;
  const by = plan(
    n,
    ends.filter(([a, b]) => a >= 0 && b >= 0),
  );
  const keep = values(by);
  const pushed = new Float64Array(n);
  const edges: System['edges'] = [];
  net.resistors.forEach(({ a, b, ohm }, i) => {
    const [p, q] = ends[i] as readonly [number, number];
    const s = 1 / ohm;
    for (const [at, other, name] of [
      [p, q, b],
      [q, p, a],
    ] as const) {
      if (at < 0) continue;
      const k = by.position[at] as number;
      keep.diagonal[k] = (keep.diagonal[k] as number) + s;
      if (other < 0) pushed[at] = (pushed[at] as number) + s * (net.held[name] ?? 0);
    }
    if (p >= 0 && q >= 0) {
      const [r, c] = [by.position[p] as number, by.position[q] as number];
      const [low, high] = r < c ? [r, c] : [c, r];
      const slot = (by.start[low] as number) + (by.rows[low]?.indexOf(high) ?? 0);
      keep.off[slot] = (keep.off[slot] as number) - s;
      edges.push({ a: p, b: q, s });
    }
  });
  return {
    n,
    names,
    index,
    by,
    keep,
    diagonal: new Float64Array(n),
    off: new Float64Array(by.slots),
    pushed,
    edges,
    loads: net.loads.flatMap((load) => {
      const at = index.get(load.node);
      return at === undefined ? [] : [{ at, load }];
    }),
    highest: Math.max(...Object.values(net.held).map(Math.abs)),
  };
}

/** Amps a load draws at these volts, and how they change with them. */
function draws(load: Load, volts: number, share: number): { amps: number; slope: number } {
  if ('watts' in load) {
    const amps = (load.watts * share) / volts;
    return { amps, slope: -amps / volts };
  }
  if ('amps' in load) return { amps: load.amps * share, slope: 0 };
  return { amps: (volts / load.ohms) * share, slope: share / load.ohms };
}

/** Volts of the unknowns, or undefined where the way ends before they settle. */
function newton(system: System, share: number, from: Float64Array): Float64Array | undefined {
  const { n, by, keep, pushed } = system;
  const v = Float64Array.from(from);
  const step = new Float64Array(n);
  let before = Infinity;
  for (let turn = 0; turn < MOST_STEPS; turn += 1) {
    system.diagonal.set(keep.diagonal);
    system.off.set(keep.off);
    for (let i = 0; i < n; i += 1)
      step[i] =
        (pushed[i] as number) -
        (keep.diagonal[by.position[i] as number] as number) * (v[i] as number);
    for (const { a, b, s } of system.edges) {
      step[a] = (step[a] as number) + s * (v[b] as number);
      step[b] = (step[b] as number) + s * (v[a] as number);
    }
    for (const { at, load } of system.loads) {
      const { amps, slope } = draws(load, v[at] as number, share);
      step[at] = (step[at] as number) - amps;
      const k = by.position[at] as number;
      system.diagonal[k] = (system.diagonal[k] as number) + slope;
    }
    if (!eliminate(by, system, step)) return undefined;
    let change = 0;
    for (let i = 0; i < n; i += 1) {
      v[i] = (v[i] as number) + (step[i] as number);
      change = Math.max(change, Math.abs(step[i] as number));
      if (!((v[i] as number) > 0)) return undefined;
    }
    /* Settled, or as near as the ohms of this net let the figures come. */
    if (change <= SETTLED * system.highest) return v;
    if (change <= NEAR * system.highest && change >= before / 2) return v;
    before = change;
  }
  return undefined;
}

function answer(net: Net, system: System, v: Float64Array, carries: number, ok: boolean): Solved {
  const volts: Record<string, number> = table({ ...net.held });
  system.names.forEach((name, i) => (volts[name] = v[i] as number));
  const amps: Record<string, number> = table();
  const lossW: Record<string, number> = table();
  const givenW: Record<string, number> = table();
  for (const name of Object.keys(net.held)) givenW[name] = 0;
  for (const { id, a, b, ohm } of net.resistors) {
    const [p, q] = [volts[a] ?? 0, volts[b] ?? 0];
    const through = (p - q) / ohm;
    amps[id] = through;
    lossW[id] = through * (p - q);
    if (Object.hasOwn(net.held, a)) givenW[a] = (givenW[a] ?? 0) + p * through;
    if (Object.hasOwn(net.held, b)) givenW[b] = (givenW[b] ?? 0) - q * through;
  }
  const drawnW: Record<string, number> = table();
  const drawnA: Record<string, number> = table();
  for (const load of net.loads) {
    const at = volts[load.node] ?? 0;
    const drawn = draws(load, at, carries).amps;
    drawnA[load.id] = drawn;
    drawnW[load.id] = drawn * at;
    if (Object.hasOwn(net.held, load.node))
      givenW[load.node] = (givenW[load.node] ?? 0) + drawn * at;
  }
  return { ok, carries, volts, amps, lossW, drawnW, drawnA, givenW };
}
