import { usualA, type Converter } from '../../standards/converters.ts';
import { table } from '../../units/table.ts';
import { hasSense, signal, type Plug } from '../../standards/plugs/index.ts';
import { isReturn } from '../mate/index.ts';
import { codeOf } from './sense.ts';
import type { End, AdapterSpec, PlacedConverter } from './types.ts';

/** Contacts that are alike: one plug, one signal. */
export interface Contacts {
  ends: End[];
  plug: Plug | undefined;
  /** Amps needed over all of them; 0 on the giving side. */
  need: number;
  all: boolean;
  /** A converter's return: takes up this many amps of the return by itself, A. */
  takesUp?: number;
}

/** Everything that becomes one conductor once it is joined, and what it has to carry. */
export interface Net {
  signal: string;
  loaded: boolean;
  gives: Contacts[];
  takes: Contacts[];
}

/** Amps a logic signal carries: nothing to speak of. */
const SIGNAL_A = 0.02;
/** The least a 12V-2x6 can be coded to, W. */
const LEAST_CODED_W = 150;
const HEADER_LOAD_A = 0.3;
/** Contacts of drives, USB and the like: a plug of them is not loaded to what a supply's usual plug bears, A. */
const SMALL_CONTACT_A = 3;

export const pinsOf = (plug: Plug, is: (name: string) => boolean): number[] =>
  plug.pins.flatMap((name, i) => (is(name) ? [i + 1] : []));

const ends = (side: 'give' | 'take', plug: number, pins: readonly number[]): End[] =>
  pins.map((pin) => ({ side, plug, pin }));

/** What one drive draws while it runs; for a moment, as it spins up, half as much again. Common practice, no source. */
const driveA: Record<string, number> = table({ '+12V': 1.5, '+5V': 1, '+3.3V': 1 });

/** A third of what its contacts bear: contacts share unevenly, and returns bear every rail. */
const thirdOf = (plug: Plug, name: string): number =>
  ((plug.contactA ?? Infinity) * pinsOf(plug, (pin) => pin === name).length) / 3;

/** Amps a taking plug needs of one rail: said, or usual for its family. */
export function needOf(spec: AdapterSpec, k: number, name: string): number {
  const said = spec.needs?.[k]?.[name];
  if (said !== undefined) return said;
  const plug = spec.takes[k];
  /* A CPU called 65 W boosts to 117 to 220 W: never less where nobody said (boost limits of data sheets, unverified). */
  if (plug && name === '+12V' && plug.group === 'processor') return plug.ways === 4 ? 16 : 20;
  if (plug?.group === 'drive') return Math.min(driveA[name] ?? 0, thirdOf(plug, name));
  const amps = plug?.contactA ?? Infinity;
  /* A fan or a light on a header. */
  if (amps <= 1) return HEADER_LOAD_A;
  if (plug && amps <= SMALL_CONTACT_A) return Math.min(usualA[name] ?? 0, thirdOf(plug, name));
  if (plug && hasSense(plug) && name === '+12V')
    return (codeOf(spec, k, (other) => needOf(spec, other, '+12V'))?.watts ?? LEAST_CODED_W) / 12;
  if (plug?.limitW && name === '+12V') return plug.limitW / 12;
  return usualA[name] ?? 0;
}

/** A drive of today needs no 3.3 V: those pins stay open unless somebody says amps, or the giving side has it. */
export const isSpare = (spec: AdapterSpec, k: number, name: string): boolean =>
  name === '+3.3V' &&
  spec.takes[k]?.group === 'drive' &&
  spec.needs?.[k]?.[name] === undefined &&
  !givesRail(spec, name);

export const isRail = (name: string): boolean => signal(name).direction === 'feeds';

/** Rails one taking plug wants, each once. */
export const railsOf = (spec: AdapterSpec, k: number): string[] => [
  ...new Set(spec.takes[k]?.pins.filter((name) => isRail(name) && !isSpare(spec, k, name))),
];

/** Rails the takes want, each once. */
export const railsWanted = (spec: AdapterSpec): string[] => [
  ...new Set(spec.takes.flatMap((_, k) => railsOf(spec, k))),
];

export const givesRail = (spec: AdapterSpec, name: string): boolean =>
  spec.gives.some((plug) => plug.pins.includes(name));

/** Amps over all takes of a rail. */
export const wantedA = (spec: AdapterSpec, name: string): number =>
  spec.takes.reduce(
    (sum, plug, k) => (plug.pins.includes(name) ? sum + needOf(spec, k, name) : sum),
    0,
  );

/** The converters with their amps, fed in turn: what one makes another may use. Worst efficiency. */
export function placeConverters(
  spec: AdapterSpec,
  chosen: readonly Converter[],
): PlacedConverter[] {
  const outOf = (name: string, depth = 0): number => {
    const own = wantedA(spec, name);
    const forOthers = chosen
      .filter((each) => each.from === name && depth < 4)
      .reduce((sum, each) => sum + inputA(each, outOf(each.to, depth + 1)), 0);
    return own + forOthers;
  };
  return chosen.map((each) => {
    const outA = outOf(each.to);
    return { ...each, outA, inA: inputA(each, outA) };
  });
}

function inputA(each: Converter, outA: number): number {
  const volts = (name: string) => Math.abs(signal(name).volts ?? 0);
  return (outA * volts(each.to)) / (volts(each.from) * each.efficiency.lo);
}

/** All nets: rails, their return, and signals that are joined like to like. */
export function netsOf(spec: AdapterSpec, converters: readonly PlacedConverter[]): Net[] {
  const fill = spec.fill !== 'enough';
  const rails = [...new Set([...railsWanted(spec), ...converters.map((each) => each.from)])].map(
    (name): Net => ({
      signal: name,
      loaded: true,
      gives: [
        ...givers(spec, (pin) => pin === name),
        ...converters.flatMap((each, c): Contacts[] =>
          each.to === name ? [terminal(c, 'out', 0)] : [],
        ),
      ],
      takes: [
        ...spec.takes.flatMap((plug, k): Contacts[] => {
          const pins = pinsOf(plug, (pin) => pin === name);
          return pins.length === 0
            ? []
            : [{ ends: ends('take', k, pins), plug, need: needOf(spec, k, name), all: fill }];
        }),
        ...converters.flatMap((each, c): Contacts[] =>
          each.from === name ? [terminal(c, 'in', each.inA)] : [],
        ),
      ],
    }),
  );
  return [
    ...rails.filter((net) => net.gives.length > 0 && net.takes.length > 0),
    returnNet(spec, converters, fill),
    ...signalNets(spec),
  ].filter((net) => net.gives.length > 0 && net.takes.length > 0);
}

const terminal = (plug: number, pin: 'in' | 'out' | 'return', need: number): Contacts => ({
  ends: [{ side: 'converter', plug, pin }],
  plug: undefined,
  need,
  all: true,
});

const givers = (spec: AdapterSpec, is: (name: string) => boolean): Contacts[] =>
  spec.gives.flatMap((plug, i): Contacts[] => {
    const pins = pinsOf(plug, is);
    return pins.length === 0 ? [] : [{ ends: ends('give', i, pins), plug, need: 0, all: false }];
  });

/**
 * What goes out must come back: the sum of all rails of each plug. A converter that lowers volts
 * puts out more than it takes in; the difference comes back to it and not to the supply.
 */
function returnNet(spec: AdapterSpec, converters: readonly PlacedConverter[], fill: boolean): Net {
  const made = new Set(converters.map((each) => each.to));
  const fed = (name: string) => made.has(name) || givesRail(spec, name);
  return {
    signal: 'COM',
    loaded: true,
    gives: [
      ...givers(spec, (pin) => pin === 'COM'),
      ...converters.flatMap((each, c): Contacts[] =>
        each.outA >= each.inA
          ? [{ ...terminal(c, 'return', 0), takesUp: each.outA - each.inA }]
          : [],
      ),
    ],
    takes: [
      ...spec.takes.flatMap((plug, k): Contacts[] => {
        const pins = pinsOf(plug, isReturn);
        const rails = [...new Set(plug.pins.filter((name) => isRail(name) && fed(name)))];
        const need = rails.reduce((sum, name) => sum + needOf(spec, k, name), 0);
        return pins.length === 0 ? [] : [{ ends: ends('take', k, pins), plug, need, all: fill }];
      }),
      ...converters.flatMap((each, c) =>
        each.outA < each.inA ? [terminal(c, 'return', each.inA - each.outA)] : [],
      ),
    ],
  };
}

function signalNets(spec: AdapterSpec): Net[] {
  const names = new Set(spec.takes.flatMap((plug) => plug.pins));
  return [...names].flatMap((name): Net[] => {
    const { direction } = signal(name);
    if (['feeds', 'return', 'open', 'key'].includes(direction)) return [];
    if (isReturn(name) || name === '?' || name === 'reserved') return [];
    return [
      {
        signal: name,
        loaded: false,
        gives: givers(spec, (pin) => pin === name).map((each) => ({
          ...each,
          ends: each.ends.slice(0, 1),
        })),
        takes: spec.takes.flatMap((plug, k): Contacts[] => {
          const pins = pinsOf(plug, (pin) => pin === name);
          return pins.length === 0
            ? []
            : [{ ends: ends('take', k, pins), plug, need: SIGNAL_A, all: true }];
        }),
      },
    ];
  });
}

export const needOver = (net: Net): number => net.takes.reduce((sum, kind) => sum + kind.need, 0);
