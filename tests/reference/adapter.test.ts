import { expect } from 'chai';
import loadHighs from 'highs';
import { route } from '../../src/core/plugs/adapter/index.ts';
import { random } from '../helpers/boards.ts';
import { contacts, madeNet, type MadeNet } from '../helpers/nets.ts';

/**
 * Least wiring of one net against two outsiders: every set of wires tried one by one on small
 * nets, and HiGHS, a general mixed-integer solver, on larger ones. Both know contacts and wires
 * only; neither knows trees.
 */

/** Every set of wires, judged by its own max flow; undefined when none carries it. */
function byHand({ gives, takes, prices }: MadeNet): number | undefined {
  const [g, t] = [contacts(gives), contacts(takes)];
  const pairs = g.flatMap((_, i) => t.map((__, k) => [i, k] as const));
  let best: number | undefined;
  for (let mask = 1; mask < 2 ** pairs.length; mask += 1) {
    const wires = pairs.filter((_, w) => mask & (1 << w));
    const degree = (side: 0 | 1, at: number) => wires.filter((wire) => wire[side] === at).length;
    const ends = [...g.map((_, i) => degree(0, i)), ...t.map((_, k) => degree(1, k))];
    const splices = ends.reduce((sum, each) => sum + Math.max(0, each - 1), 0);
    const cost = wires.length * prices.wire + splices * prices.splice;
    if (best !== undefined && cost >= best) continue;
    if (t.some((each, k) => takes[each.kind]!.all && degree(1, k) === 0)) continue;
    if (g.some((each, i) => gives[each.kind]!.returnOnly && degree(0, i) === 0)) continue;
    if (!leaningStands(wires, g, gives)) continue;
    if (carries(wires, g, t, takes)) best = cost;
  }
  return best;
}

/** Every leaning contact hangs together with one that stands by itself. */
function leaningStands(
  wires: readonly (readonly [number, number])[],
  g: ReturnType<typeof contacts>,
  gives: MadeNet['gives'],
): boolean {
  return g.every((each, i) => {
    if (!gives[each.kind]!.returnOnly) return true;
    const [left, right] = [new Set([i]), new Set<number>()];
    for (let grown = true; grown;) {
      grown = false;
      for (const [a, b] of wires) {
        if (left.has(a) === right.has(b)) continue;
        left.add(a);
        right.add(b);
        grown = true;
      }
    }
    return [...left].some((at) => !gives[g[at]!.kind]!.returnOnly);
  });
}

/** Ford and Fulkerson, depth first, over source, giving contacts, taking contacts, kinds, sink. */
function carries(
  wires: readonly (readonly [number, number])[],
  g: ReturnType<typeof contacts>,
  t: ReturnType<typeof contacts>,
  takes: MadeNet['takes'],
): boolean {
  const n = 2 + g.length + t.length + takes.length;
  const room = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  const [give, take, kind] = [2, 2 + g.length, 2 + g.length + t.length];
  g.forEach((each, i) => (room[0]![give + i] = each.amps));
  wires.forEach(([i, k]) => (room[give + i]![take + k] = 1e6));
  t.forEach((each, k) => (room[take + k]![kind + each.kind] = each.amps));
  takes.forEach((each, k) => (room[kind + k]![1] = each.need));
  const push = (at: number, most: number, seen: Set<number>): number => {
    if (at === 1) return most;
    seen.add(at);
    for (let next = 0; next < n; next += 1) {
      const free = room[at]![next]!;
      if (free < 1e-9 || seen.has(next)) continue;
      const got = push(next, Math.min(most, free), seen);
      if (got > 0) {
        room[at]![next]! -= got;
        room[next]![at]! += got;
        return got;
      }
    }
    return 0;
  };
  let total = 0;
  for (let got = 1; got > 0; total += got) got = push(0, 1e6, new Set());
  return total >= takes.reduce((sum, each) => sum + each.need, 0) - 1e-6;
}

/** The same for HiGHS: a binary for each wire and each used contact, flows below the wire's. */
function asLp({ gives, takes, prices }: MadeNet): string {
  const [g, t] = [contacts(gives), contacts(takes)];
  const pairs = g.flatMap((_, i) => t.map((__, k) => [i, k] as const));
  const cost = [
    ...pairs.map(([i, k]) => `${prices.wire + 2 * prices.splice} x${i}_${k}`),
    ...g.map((_, i) => `- ${prices.splice} u${i}`),
    ...t.map((_, k) => `- ${prices.splice} v${k}`),
  ];
  const at = (side: 'g' | 't', n: number, name: string) =>
    pairs.filter(([i, k]) => (side === 'g' ? i : k) === n).map(([i, k]) => `${name}${i}_${k}`);
  const rows = [
    ...g.flatMap((each, i) => [
      `${at('g', i, 'f').join(' + ')} <= ${each.amps}`,
      `u${i} - ${at('g', i, 'x').join(' - ')} <= 0`,
    ]),
    ...t.flatMap((each, k) => [
      `${at('t', k, 'f').join(' + ')} <= ${each.amps}`,
      `v${k} - ${at('t', k, 'x').join(' - ')} <= 0`,
      ...(takes[each.kind]!.all ? [`${at('t', k, 'x').join(' + ')} >= 1`] : []),
    ]),
    ...pairs.map(([i, k]) => `f${i}_${k} - 100 x${i}_${k} <= 0`),
    ...takes.map((each, kind) => {
      const own = pairs.filter(([, k]) => t[k]!.kind === kind).map(([i, k]) => `f${i}_${k}`);
      return `${own.join(' + ')} >= ${each.need}`;
    }),
  ];
  const binaries = [
    ...pairs.map(([i, k]) => `x${i}_${k}`),
    ...g.map((_, i) => `u${i}`),
    ...t.map((_, k) => `v${k}`),
  ];
  return `Minimize\n obj: ${cost.join(' + ').replaceAll('+ -', '-')}\nSubject To\n ${rows
    .map((row, i) => `r${i}: ${row}`)
    .join('\n ')}\nBinary\n ${binaries.join(' ')}\nEnd`;
}

describe('reference: adapter wiring, every set of wires tried', function () {
  this.timeout(120_000);
  it('costs what the cheapest of all sets costs, on 120 small nets', () => {
    const dice = random(7);
    let feasible = 0;
    for (let i = 0; i < 120; i += 1) {
      const net = madeNet(dice, 3);
      const hand = byHand(net);
      const own = route(net.gives, net.takes, net.prices);
      if (hand === undefined) expect(own, JSON.stringify(net)).to.equal(undefined);
      else {
        feasible += 1;
        expect(own?.cost, JSON.stringify(net)).to.be.closeTo(hand, 1e-9);
        expect(own?.bound).to.be.closeTo(hand, 1e-9);
      }
    }
    expect(feasible).to.be.within(60, 119);
  });
});

describe('reference: adapter wiring, against HiGHS', function () {
  this.timeout(120_000);
  it('costs as little as HiGHS finds, on 30 nets of up to five contacts a side', async () => {
    const highs = await loadHighs();
    const dice = random(11);
    let compared = 0;
    for (let i = 0; i < 30; i += 1) {
      const net = madeNet(dice, 5);
      if (net.gives.some((each) => each.returnOnly)) continue;
      const outside = highs.solve(asLp(net), { mip_rel_gap: 0, mip_abs_gap: 1e-6 });
      const own = route(net.gives, net.takes, net.prices);
      if (!own) expect(outside.Status, JSON.stringify(net)).to.equal('Infeasible');
      else {
        expect(outside.Status, JSON.stringify(net)).to.equal('Optimal');
        expect(own.cost, JSON.stringify(net)).to.be.closeTo(outside.ObjectiveValue, 1e-6);
        compared += 1;
      }
    }
    expect(compared).to.be.greaterThan(12);
  });
});
