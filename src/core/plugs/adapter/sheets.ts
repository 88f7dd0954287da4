import { placeOf, signal } from '../../standards/plugs/index.ts';
import { contactOhm } from '../../standards/wire.ts';
import { range, type Range } from '../../units/range.ts';
import { wireOhmPerM } from '../../units/wire.ts';
import { endName, same } from './names.ts';
import type { End, AdapterWire, Recipe } from './types.ts';

/**
 * What proves an adapter before anything is switched on: which pins must beep and which must not,
 * then which volts must stand where, in order, with a load set and the current limited.
 */
export interface ContinuityRow {
  a: End;
  b: End;
  connect: boolean;
  /** Expected ohms between the probes, without the meter's own leads. */
  ohm?: Range | undefined;
  say: string;
}

/** Every wire and tie must connect; neighbours of different signals, and every rail with return, must not. */
export function continuity(recipe: Recipe): ContinuityRow[] {
  return [...must(recipe), ...mustNot(recipe)];
}

function must(recipe: Recipe): ContinuityRow[] {
  const wires = recipe.wires.map((wire): ContinuityRow => {
    const ohm = (wireOhmPerM(wire.awg) * wire.lengthMm) / 1000;
    return {
      a: wire.from,
      b: wire.to,
      connect: true,
      ohm: range(0, ohm * 1.5),
      say: `${wire.signal}, ${wire.colour}`,
    };
  });
  const ties = recipe.ties.map((tie): ContinuityRow => {
    const { ohm } = tie;
    return {
      a: tie.end,
      b: tie.at ?? tie.end,
      connect: true,
      ...(ohm === undefined ? {} : { ohm: range(ohm * 0.95, ohm * 1.05) }),
      say: tie.through ? `${tie.say}, through ${tie.through}` : tie.say,
    };
  });
  return [...wires, ...ties.filter((row) => !same(row.a, row.b))];
}

function mustNot(recipe: Recipe): ContinuityRow[] {
  const named = netByEnd(recipe);
  const rows: ContinuityRow[] = [];
  const faces = [
    ...recipe.gives.map((plug, i) => ({ plug, side: 'give' as const, i })),
    ...recipe.takes.map((plug, i) => ({ plug, side: 'take' as const, i })),
  ];
  for (const { plug, side, i } of faces) {
    for (let pin = 1; pin <= plug.ways; pin += 1) {
      for (let other = pin + 1; other <= plug.ways; other += 1) {
        const [p, q] = [placeOf(plug, pin), placeOf(plug, other)];
        if (Math.abs(p.row - q.row) + Math.abs(p.col - q.col) !== 1) continue;
        const [a, b]: End[] = [
          { side, plug: i, pin },
          { side, plug: i, pin: other },
        ];
        const [one, two] = [named.get(endName(a as End)), named.get(endName(b as End))];
        if (one === undefined || two === undefined || one === two) continue;
        rows.push({ a: a as End, b: b as End, connect: false, say: `${one} beside ${two}` });
      }
    }
  }
  const returned = recipe.wires.find((wire) => wire.signal === 'COM');
  const rails = new Map(recipe.wires.map((wire) => [wire.signal, wire]));
  for (const [name, wire] of rails)
    if (returned && name !== 'COM' && signal(name).direction === 'feeds')
      rows.push({ a: wire.to, b: returned.to, connect: false, say: `${name} and return` });
  return rows;
}

/** Signal of every end that carries a wire or a plain tie. */
function netByEnd(recipe: Recipe): Map<string, string> {
  const named = new Map<string, string>();
  for (const wire of recipe.wires)
    for (const end of [wire.from, wire.to]) named.set(endName(end), wire.signal);
  for (const tie of recipe.ties) named.set(endName(tie.end), tie.through ? tie.signal : tie.to);
  return named;
}

export interface LiveRow {
  /** What to do first, or undefined when the state stays. */
  do?: string | undefined;
  plus?: End | undefined;
  minus?: End | undefined;
  volts?: Range | undefined;
  say: string;
}

/** Amps of a test load: enough to show a bad crimp, little enough for a resistor at hand. */
const TEST_A = 2;

/** Volts at the taking end, in order: standby, then running with a load. Empty for an adapter without rails. */
export function live(recipe: Recipe): LiveRow[] {
  const returned = recipe.wires.find((wire) => wire.signal === 'COM');
  if (!returned || recipe.impossible.length > 0) return [];
  const minus = returned.to;
  const first = new Map<string, AdapterWire>();
  for (const wire of recipe.wires) {
    const name = `${wire.signal} ${wire.to.side} ${wire.to.plug}`;
    if (!first.has(name) && wire.to.side === 'take') first.set(name, wire);
  }
  const wires = [...first.values()];
  const standby = wires.filter((wire) => (signal(wire.signal).standbyVolts ?? 0) > 0);
  const running = wires.filter(
    (wire) => signal(wire.signal).direction === 'feeds' && !signal(wire.signal).standbyVolts,
  );
  const enable = recipe.wires.find((wire) => wire.signal === 'PS_ON#');
  const good = recipe.wires.find((wire) => wire.signal === 'PWR_OK');
  return [
    {
      do: `The board stays off. Limit the current on the DC side: a bench PSU set to ${limitA(running).toFixed(1)} A, or a 12 V lamp of ${lampW(running)} W in the rail under test. Never a lamp in the mains.`,
      say: 'First power of anything home-made goes through a limit; it lies half over the test load, so that only a fault meets it.',
    },
    ...standby.map((wire, i): LiveRow => ({
      ...(i === 0 ? { do: 'Rocker on, machine off.' } : {}),
      plus: wire.to,
      minus,
      volts: expected(wire, 0, signal(wire.signal).standbyVolts),
      say: `${wire.signal} in standby`,
    })),
    ...running.map((wire, i): LiveRow => ({
      ...(i === 0
        ? {
            do: enable ? `Tie ${endName(enable.to)} to ground: the PSU starts.` : 'Switch it on.',
          }
        : {}),
      plus: wire.to,
      minus,
      volts: expected(wire, loadA(wire)),
      say: `${wire.signal} with ${loadFor(wire)} across it`,
    })),
    ...(good
      ? [{ plus: good.to, minus, volts: range(2.4, 5.25), say: 'PWR_OK, within half a second' }]
      : []),
    { do: 'All within? Off, discharge, then the board. Feel the crimps after a minute.', say: '' },
  ];
}

/** Half over the largest test load; a limit below the load would look like a fault. */
const limitA = (wires: readonly AdapterWire[]) => 1.5 * Math.max(0.1, ...wires.map(loadA));
/** A lamp that lets those amps pass on 12 V, of the sizes car lamps come in (common practice, no source). */
const lampW = (wires: readonly AdapterWire[]) =>
  [5, 10, 21, 35, 55].find((watts) => watts / 12 >= limitA(wires)) ?? 55;

function expected(
  wire: AdapterWire,
  loadA: number,
  nominal = signal(wire.signal).volts,
): Range | undefined {
  const { atSupply } = signal(wire.signal);
  if (nominal === undefined) return undefined;
  if (wire.signal === 'PS_ON#') return range(3, 5.25);
  const within = atSupply ?? range(nominal * 0.95, nominal * 1.05);
  const path = (wireOhmPerM(wire.awg, 50) * wire.lengthMm) / 1000 + 2 * contactOhm(4.2).aged;
  const drop = 2 * path * loadA * Math.sign(nominal);
  return nominal >= 0 ? range(within.lo - drop, within.hi) : range(within.lo, within.hi - drop);
}

/** Amps of the load: half of what the wire may carry, at most the test amps, little on a weak rail. */
const loadA = (wire: AdapterWire) =>
  wire.signal === '-12V' ? 0.02 : Math.min(TEST_A, Math.max(0.1, (wire.mostA ?? TEST_A) * 0.5));

/** A resistor that draws them. */
function loadFor(wire: AdapterWire): string {
  const volts = Math.abs(signal(wire.signal).volts ?? 0);
  const ohm = volts / loadA(wire);
  return `${ohm < 10 ? ohm.toFixed(1) : Math.round(ohm)} Ω, ${Math.ceil(volts * loadA(wire) * 2)} W`;
}
