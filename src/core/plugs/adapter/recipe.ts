import { hasSense, signal } from '../../standards/plugs/index.ts';
import type { Wire } from './assign.ts';
import { needOf, railsOf } from './nets.ts';
import { senseNote } from './sense.ts';
import { tiesOf } from './ties.ts';
import type { End, AdapterSpec, AdapterWire, PlacedConverter, Recipe, Tie } from './types.ts';
import type { Wired } from './wiring.ts';

const TIE_MINUTES = 2;

export const converterMinutes = (placed: readonly PlacedConverter[]): number =>
  placed.reduce((sum, each) => sum + each.minutes, 0);

/** The wiring as a recipe: wires numbered and coloured, ties, what stays open, what cannot be done. */
export function recipe(
  spec: AdapterSpec,
  placed: PlacedConverter[],
  solved: Wired & Pick<Recipe, 'impossible' | 'rounds'>,
  strands: readonly Wire[],
  most: ReadonlyMap<Wire, number>,
): Recipe {
  const kept = tiesOf(
    spec,
    new Set(placed.map((each) => each.to)),
    new Set(placed.map((each) => each.from)),
  );
  const awgOf = new Map(solved.nets.map(({ net, awg }) => [net, awg]));
  const seen = new Set<string>();
  const again = (end: Wire['from']) => {
    const key = `${end.side} ${end.plug} ${end.pin}`;
    if (seen.has(key)) return true;
    seen.add(key);
    return false;
  };
  const wires = strands.map((strand, i): AdapterWire => ({
    n: i + 1,
    from: strand.from,
    to: strand.to,
    signal: strand.net.signal,
    colour: colourOf(
      strand.net.signal,
      solved.nets.map((each) => each.net.signal),
    ),
    awg: awgOf.get(strand.net) ?? 18,
    lengthMm: spec.lengthMm ?? 150,
    spliceFrom: again(strand.from),
    spliceTo: again(strand.to),
    mostA: most.get(strand),
  }));
  const ties = kept.ties.map((tie) => ({ ...tie, at: tie.at ?? tiedTo(tie, wires) }));
  const extra = kept.ties.length * TIE_MINUTES + converterMinutes(placed);
  return {
    gives: spec.gives,
    takes: spec.takes,
    wires,
    ...kept,
    ties,
    impossible: [...solved.impossible, ...kept.impossible],
    converters: placed,
    splices:
      wires.filter((each) => each.spliceFrom).length + wires.filter((each) => each.spliceTo).length,
    cost: solved.cost + extra,
    bound: solved.bound + extra,
    bundle: { loaded: solved.loaded, share: solved.share },
    rounds: solved.rounds,
    notes: notesOf(spec, placed),
  };
}

/** The nearest pin of its own plug that carries the net, else any that does. */
function tiedTo(tie: Tie, wires: readonly AdapterWire[]): End | undefined {
  const ends = wires.flatMap((wire) => (wire.signal === tie.to ? [wire.from, wire.to] : []));
  const side = tie.end.side === 'sense' ? 'take' : tie.end.side;
  const own = ends.filter((end) => end.side === side && end.plug === tie.end.plug);
  const far = (end: End) => Math.abs(Number(end.pin) - Number(tie.end.pin));
  return [...own].sort((a, b) => far(a) - far(b))[0] ?? ends[0];
}

/** Signals without a colour of their own are told apart by these, in turn. */
const others = ['white', 'blue', 'green', 'orange', 'brown', 'grey', 'purple', 'red'];

function colourOf(name: string, all: readonly string[]): string {
  const own = signal(name).colour;
  if (own !== undefined) return own;
  const plain = all.filter((each) => signal(each).colour === undefined);
  return others[plain.indexOf(name) % others.length] ?? 'white';
}

function notesOf(spec: AdapterSpec, placed: readonly PlacedConverter[]): string[] {
  return [
    ...spec.takes.flatMap((plug, k) => {
      const unsaid = railsOf(spec, k).filter((name) => spec.needs?.[k]?.[name] === undefined);
      return unsaid.length === 0
        ? []
        : [
            `Amps of the ${plug.name} taken as usual: ${unsaid.map((name) => `${name} ${needOf(spec, k, name).toFixed(1)} A`).join(', ')}. Where more is drawn, say so.`,
          ];
    }),
    ...spec.takes.filter(hasSense).map(senseNote),
    ...placed.map(
      (each) =>
        `${each.name}: ${each.outA.toFixed(1)} A out, up to ${each.inA.toFixed(1)} A of ${each.from} in. Set its volts before the board is plugged in.`,
    ),
    ...(spec.fill === 'enough'
      ? ['Only as many contacts as carry it are wired; the rest stay empty.']
      : []),
  ];
}
