import { converters as shelf, standbyA, type Converter } from '../../standards/converters.ts';
import { wireA } from '../../standards/wire.ts';
import { assign, type Wire } from './assign.ts';
import { PAD_A } from './ampacity.ts';
import { ratedA } from './rated.ts';
import {
  givesRail,
  needOver,
  netsOf,
  placeConverters,
  railsWanted,
  wantedA,
  type Net,
} from './nets.ts';
import { layOut } from './places.ts';
import { converterMinutes, recipe } from './recipe.ts';
import { sharingNet, worstShares } from './share.ts';
import {
  AdapterError,
  type End,
  type AdapterSpec,
  type PlacedConverter,
  type Recipe,
} from './types.ts';
import { inBundle, remembering, type Known, type Wired } from './wiring.ts';

const MOST_ROUNDS = 8;
/** A shared contact may reach its limit, not pass it. */
const OVER = 1.0001;

/**
 * The adapter of least cost from the giving to the taking plugs. Bundle shares depend on the wires,
 * so every class of bundle is tried and the cheapest that agrees with itself is kept; then contacts
 * share by their ohms, and nets whose contacts are overdrawn are wired again with more.
 * Throws JoinError for a spec that makes no sense.
 */
export function adapterRecipe(asked: AdapterSpec): Recipe {
  checkSpec(asked);
  const spec = withBus(asked);
  const known = remembering();
  const options = converterChoices(spec).map((chosen) => {
    const placed = placeConverters(spec, chosen);
    return { placed, solved: solveNets(spec, placed, known) };
  });
  const possible = options.filter((each) => each.solved.impossible.length === 0);
  const [best] = [...possible].sort((a, b) => total(a) - total(b));
  const { placed, solved } = best ?? options[0] ?? { placed: [], solved: nothing };
  const least = possible.map((each) => converterMinutes(each.placed) + each.solved.bound);
  const bound = Math.min(...least) - converterMinutes(placed);
  const strands = assign(
    solved.nets.map(({ net, carried }) => ({ net, trees: carried.trees })),
    layOut(spec.gives, spec.takes, placed.length),
  );
  const { most } = shared(spec, solved.nets, strands, solved.loaded);
  return recipe(spec, placed, best ? { ...solved, bound } : solved, strands, most);
}

/** Five volts are five volts: a USB side is fed by +5 V where nothing else brings VBUS. */
function withBus(spec: AdapterSpec): AdapterSpec {
  if (givesRail(spec, 'VBUS') || !givesRail(spec, '+5V')) return spec;
  const takes = spec.takes.map((plug) =>
    plug.pins.includes('VBUS')
      ? { ...plug, pins: plug.pins.map((name) => (name === 'VBUS' ? '+5V' : name)) }
      : plug,
  );
  const needs = spec.needs?.map((each) => {
    const { VBUS, ...others } = each ?? {};
    return VBUS === undefined ? each : { ...others, '+5V': VBUS };
  });
  return { ...spec, takes, ...(needs && { needs }) };
}

const total = (each: { placed: PlacedConverter[]; solved: Solved }) =>
  converterMinutes(each.placed) + each.solved.cost;

function checkSpec(spec: AdapterSpec): void {
  if (spec.gives.length === 0) throw new AdapterError('No giving plug: say what the PSU brings.');
  const twice = spec.giveTags?.find((tag) => tag !== '' && spec.takeTags?.includes(tag));
  if (twice !== undefined) throw new AdapterError(`${twice} cannot be joined to itself.`);
  if (spec.takes.length === 0) throw new AdapterError('No taking plug: say what is to be fed.');
  for (const [k, needs] of (spec.needs ?? []).entries())
    for (const [name, amps] of Object.entries(needs))
      if (!(amps >= 0 && amps <= 200))
        throw new AdapterError(
          `${spec.takes[k]?.name ?? 'plug'}: ${amps} A of ${name} is no need.`,
        );
  const length = spec.lengthMm ?? 150;
  if (!(length >= 20 && length <= 3000))
    throw new AdapterError(`${length} mm is no length for an adapter: 20 to 3000.`);
  if (spec.awgs?.length === 0) throw new AdapterError('No gauge of wire is left to choose from.');
}

/** Every set of converters that makes the missing rails; the empty set when none is missing or possible. */
function converterChoices(spec: AdapterSpec): Converter[][] {
  const missing = railsWanted(spec).filter((name) => !givesRail(spec, name) && name !== '-12V');
  if (spec.converters === false) return [[]];
  return missing.reduce<Converter[][]>(
    (sets, name) => {
      const need = wantedA(spec, name);
      const could = shelf.filter(
        (each) => each.to === name && (givesRail(spec, each.from) || missing.includes(each.from)),
      );
      const fits = could.filter((each) => each.mostA >= need);
      /* All too small: the largest, so that it can be said what lacks. */
      const largest = could.toSorted((a, b) => b.mostA - a.mostA).slice(0, 1);
      const tried = fits.length > 0 ? fits : largest;
      return tried.length === 0 ? sets : sets.flatMap((set) => tried.map((each) => [...set, each]));
    },
    [[]],
  );
}

type Solved = Wired & Pick<Recipe, 'impossible' | 'rounds'>;

const nothing: Solved = {
  nets: [],
  impossible: [],
  cost: 0,
  bound: 0,
  loaded: 0,
  share: 1,
  rounds: 0,
};

function solveNets(spec: AdapterSpec, placed: readonly PlacedConverter[], known: Known): Solved {
  const nets = netsOf(spec, placed);
  const impossible = [
    ...drivePlugFaults(spec),
    ...limitFaults(spec, nets),
    ...converterFaults(placed),
  ];
  const laid = layOut(spec.gives, spec.takes, placed.length);
  const more = new Map<Net, number>();
  let before: Solved | undefined;
  let worst: Over[] = [];
  for (let round = 0; ; round += 1) {
    const wired = inBundle(spec, nets, more, known);
    if ('fault' in wired) {
      return before
        ? { ...before, impossible: [...impossible, ...worst.map(overFault)] }
        : { ...nothing, impossible: [...impossible, ...wired.fault] };
    }
    const strands = assign(
      wired.nets.map(({ net, carried }) => ({ net, trees: carried.trees })),
      laid,
      false,
    );
    const { over } = shared(spec, wired.nets, strands, wired.loaded);
    const bound = before?.bound ?? wired.bound;
    before = { ...wired, bound, impossible, rounds: round };
    worst = over;
    if (over.length === 0) return before;
    if (round === MOST_ROUNDS)
      return { ...before, impossible: [...impossible, ...over.map(overFault)] };
    for (const { net, amps, limit } of over)
      more.set(net, (more.get(net) ?? 1) * Math.min(1.5, (amps / limit) * 1.02));
  }
}

/** A contact or wire that may come to carry more than it bears. */
interface Over {
  net: Net;
  end: End | undefined;
  amps: number;
  limit: number;
}

const overFault = ({ net, end, amps, limit }: Over): Recipe['impossible'][number] => ({
  end,
  say: `${net.signal}: contacts share unevenly, one may come to carry ${amps.toFixed(1)} A of ${limit.toFixed(1)} A. Ask less of it, or give it more contacts.`,
});

/** A SATA plug carries 54 W on its three 12 V contacts of 1.5 A (SATA-IO): cards and CPUs are never fed from one. */
function drivePlugFaults(spec: AdapterSpec): Recipe['impossible'] {
  const gives = spec.gives.findIndex((plug) => plug.id === 'sata' || plug.id === 'sata-slim');
  const takes = spec.takes.find((plug) => plug.group === 'card' || plug.group === 'processor');
  if (gives < 0 || !takes) return [];
  return [
    {
      end: { side: 'give', plug: gives, pin: 1 },
      say: `A SATA plug carries 54 W and burns under more: it feeds no ${takes.name}. Take a plug of the PSU made for it.`,
    },
  ];
}

function limitFaults(spec: AdapterSpec, nets: readonly Net[]): Recipe['impossible'] {
  return nets.flatMap((net) => {
    if (!net.loaded || net.signal === 'COM') return [];
    const limit = spec.limits?.[net.signal] ?? standbyA[net.signal];
    /* What a converter makes is bounded by the converter. */
    const own = net.gives.some((kind) => kind.ends[0]?.side === 'give');
    const need = needOver(net);
    return limit !== undefined && own && need > limit
      ? [
          {
            say: `${net.signal}: ${need.toFixed(1)} A wanted, the PSU gives ${limit.toFixed(1)} A.`,
          },
        ]
      : [];
  });
}

const converterFaults = (placed: readonly PlacedConverter[]): Recipe['impossible'] =>
  placed.flatMap((each) =>
    each.outA > each.mostA ? [{ say: `${each.name}: ${each.outA.toFixed(1)} A wanted.` }] : [],
  );

/** Wires as they may really share, and the nets where a contact or a wire passes its limit. */
function shared(
  spec: AdapterSpec,
  nets: Wired['nets'],
  strands: readonly Wire[],
  loaded: number,
): { most: Map<Wire, number>; over: Over[] } {
  const most = new Map<Wire, number>();
  const over: Over[] = [];
  for (const { net, awg } of nets) {
    if (!net.loaded || needOver(net) === 0) continue;
    const own = strands.filter((each) => each.net === net);
    const found = worstShares(sharingNet(net, own, awg, spec.lengthMm ?? 150));
    own.forEach((strand, i) => most.set(strand, found.wires[i] ?? 0));
    const kinds = [...net.gives, ...net.takes];
    const all: Over[] = [
      ...found.contacts.map(({ end, amps }) => {
        const kind = kinds.find((each) => each.ends.includes(end));
        return { net, end, amps, limit: kind?.plug ? ratedA(kind.plug, awg) : PAD_A };
      }),
      ...found.wires.map((amps) => ({ net, end: undefined, amps, limit: wireA(awg, loaded) })),
    ];
    const [worst] = all.sort((a, b) => b.amps / b.limit - a.amps / a.limit);
    if (worst && worst.amps > worst.limit * OVER) over.push(worst);
  }
  return { most, over };
}
