import { bundles } from '../../standards/wire.ts';
import { ampacity } from './ampacity.ts';
import { crimps, ratedA } from './rated.ts';
import { route, type Carried } from './route.ts';
import { needOver, type Net } from './nets.ts';
import type { AdapterSpec, Recipe } from './types.ts';

/** Minutes: a wire cut, stripped and crimped at both ends; a splice soldered and sleeved (common practice, no source). */
export const WIRE_MINUTES = 3;
export const SPLICE_MINUTES = 4;
/** Thicker wire costs a little more. */
const gaugeMinutes = (awg: number) => Math.max(0, (22 - awg) / 2) * 0.2;
/** Rails and returns are not laid thinner than this where the crimp takes it (common practice, no source). */
const POWER_AWG = 20;

export type Known = typeof route;

/** Nets come back many times over bundles, converters and rounds: each is solved once. */
export function remembering(): Known {
  const kept = new Map<string, Carried | undefined>();
  return (gives, takes, prices) => {
    const key = JSON.stringify([gives, takes, prices]);
    if (!kept.has(key)) kept.set(key, route(gives, takes, prices));
    return kept.get(key);
  };
}

/** Every net wired for one class of bundle. */
export interface Wired {
  nets: { net: Net; carried: Carried; awg: number }[];
  cost: number;
  bound: number;
  /** Loaded wires, and the share of its amps left to each among so many. */
  loaded: number;
  share: number;
}

/** The cheapest wiring whose number of loaded wires agrees with the bundle it was worked out for. */
export function inBundle(
  spec: AdapterSpec,
  nets: readonly Net[],
  more: ReadonlyMap<Net, number>,
  known: Known,
): Wired | { fault: Recipe['impossible'] } {
  let best: Wired | undefined;
  let bound = Infinity;
  let fault: Recipe['impossible'] = [];
  for (const { most, share } of bundles) {
    const solved = nets.map((net) => ({
      net,
      ...onGauges(spec, net, most, more.get(net) ?? 1, known),
    }));
    const lacking = solved.filter((each) => !each.carried);
    if (lacking.length > 0) {
      if (fault.length === 0) fault = lacking.map(({ net }) => carryFault(net, spec));
      continue;
    }
    const whole = solved as Wired['nets'];
    const cost = whole.reduce((sum, each) => sum + each.carried.cost, 0);
    const least = whole.reduce((sum, each) => sum + each.carried.bound, 0);
    const loaded = whole.reduce(
      (sum, { net, carried }) =>
        net.loaded ? sum + carried.trees.reduce((n, tree) => n + count(tree) - 1, 0) : sum,
      0,
    );
    bound = Math.min(bound, least);
    if (loaded <= most && (!best || cost < best.cost))
      best = { nets: whole, cost, bound, loaded, share };
    if (best && loaded <= most) break;
  }
  return best ? { ...best, bound: Math.min(best.cost, bound) } : { fault };
}

const count = (tree: { gives: number[]; takes: number[] }) =>
  [...tree.gives, ...tree.takes].reduce((sum, each) => sum + each, 0);

function onGauges(
  spec: AdapterSpec,
  net: Net,
  loaded: number,
  more: number,
  known: Known,
): { carried: Carried | undefined; awg: number } {
  const plugs = [...net.gives, ...net.takes].flatMap((kind) => kind.plug ?? []);
  const wanted = spec.awgs ?? [16, 18, 20, 22, 24];
  const both = wanted.filter((awg) => plugs.every((plug) => crimps(plug).includes(awg)));
  const awgs =
    both.length > 0
      ? both
      : wanted.filter((awg) => plugs.some((plug) => crimps(plug).includes(awg)));
  const thick = awgs.filter((awg) => awg <= POWER_AWG);
  const tries = net.loaded ? (thick.length > 0 ? thick : awgs) : [Math.max(...awgs)];
  let best: { carried: Carried; awg: number } | undefined;
  for (const awg of [...tries].sort((a, b) => b - a)) {
    const carried = known(
      net.gives.map((kind) => ({
        count: kind.ends.length,
        amps: ampacity(kind, awg, loaded),
        returnOnly: kind.takesUp !== undefined,
      })),
      net.takes.map((kind) => ({
        count: kind.ends.length,
        amps: ampacity(kind, awg, loaded),
        need: kind.need * more,
        all: kind.all,
      })),
      { wire: WIRE_MINUTES + gaugeMinutes(awg), splice: SPLICE_MINUTES },
    );
    if (carried && (!best || carried.cost < best.carried.cost)) best = { carried, awg };
  }
  return best ?? { carried: undefined, awg: awgs[0] ?? 18 };
}

function carryFault(net: Net, spec: AdapterSpec): Recipe['impossible'][number] {
  const awg = Math.min(...(spec.awgs ?? [16]));
  const short = net.takes.find(
    (kind) => kind.plug && kind.ends.length * ratedA(kind.plug, awg) < kind.need,
  );
  if (short?.plug)
    return {
      end: short.ends[0],
      say: `${short.plug.name}: ${short.need.toFixed(1)} A of ${net.signal} on ${short.ends.length} contacts of ${ratedA(short.plug, awg).toFixed(1)} A.`,
    };
  const gives = net.gives.reduce(
    (sum, kind) => sum + kind.ends.length * (kind.plug ? ratedA(kind.plug, awg) : 0),
    0,
  );
  return {
    end: net.gives[0]?.ends[0],
    say: `${net.signal}: ${needOver(net).toFixed(1)} A wanted; the giving contacts carry ${gives.toFixed(1)} A at most.`,
  };
}
