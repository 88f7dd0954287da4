import { signal } from '../../standards/plugs/index.ts';
import type { Strand } from './assign.ts';
import { tiesOf } from './ties.ts';
import type { JoinSpec, JoinWire, PlacedConverter, Recipe } from './types.ts';
import type { Wired } from './wiring.ts';

const TIE_MINUTES = 2;

export const converterMinutes = (placed: readonly PlacedConverter[]): number =>
  placed.reduce((sum, each) => sum + each.minutes, 0);

/** The wiring as a recipe: wires numbered and coloured, ties, what stays open, what cannot be done. */
export function recipe(
  spec: JoinSpec,
  placed: PlacedConverter[],
  solved: Wired & Pick<Recipe, 'impossible' | 'rounds'>,
  strands: readonly Strand[],
  most: ReadonlyMap<Strand, number>,
): Recipe {
  const kept = tiesOf(
    spec,
    new Set(placed.map((each) => each.to)),
    new Set(placed.map((each) => each.from)),
  );
  const awgOf = new Map(solved.nets.map(({ net, awg }) => [net, awg]));
  const seen = new Set<string>();
  const again = (end: Strand['from']) => {
    const key = `${end.side} ${end.plug} ${end.pin}`;
    if (seen.has(key)) return true;
    seen.add(key);
    return false;
  };
  const wires = strands.map((strand, i): JoinWire => ({
    n: i + 1,
    from: strand.from,
    to: strand.to,
    signal: strand.net.signal,
    colour: signal(strand.net.signal).colour ?? 'white',
    awg: awgOf.get(strand.net) ?? 18,
    lengthMm: spec.lengthMm ?? 150,
    spliceFrom: again(strand.from),
    spliceTo: again(strand.to),
    mostA: most.get(strand),
  }));
  const extra = kept.ties.length * TIE_MINUTES + converterMinutes(placed);
  return {
    gives: spec.gives,
    takes: spec.takes,
    wires,
    ...kept,
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

function notesOf(spec: JoinSpec, placed: readonly PlacedConverter[]): string[] {
  return [
    ...placed.map(
      (each) =>
        `${each.name}: ${each.outA.toFixed(1)} A out, up to ${each.inA.toFixed(1)} A of ${each.from} in. Set its volts before the board is plugged in.`,
    ),
    ...(spec.fill === 'enough'
      ? ['Only as many contacts as carry it are wired; the rest stay empty.']
      : []),
  ];
}
