import { plugs } from '../../src/core/standards/plugs/index.ts';
import { signal } from '../../src/core/standards/plugs/signals.ts';
import {
  identify,
  simulatedPlug,
  type Grid,
  type HiddenPlug,
  type Identified,
  type Reading,
} from '../../src/core/plugs/identify/index.ts';

/** Made-up plugs to identify: half known, a quarter with two pins changed, a quarter in unknown pinout. */

const known = plugs.filter(
  (plug) =>
    ['main', 'processor', 'card'].includes(plug.group) &&
    plug.numbering === 'rows' &&
    plug.pitchMm === 4.2,
);

export interface Simulated {
  sort: 'known' | 'changed' | 'unknown';
  grid: Grid;
  plug: HiddenPlug;
}

const pick = <T>(list: readonly T[], random: () => number): T =>
  list[Math.floor(random() * list.length)] as T;

export function hiddenPlug(random: () => number): Simulated {
  const dice = random();
  const sort = dice < 0.5 ? 'known' : dice < 0.75 ? 'changed' : 'unknown';
  const base = pick(known, random);
  const pins = [...base.pins];
  if (sort === 'changed') {
    const [a, b] = [Math.floor(random() * pins.length), Math.floor(random() * pins.length)];
    [pins[a], pins[b]] = [pins[b] as string, pins[a] as string];
  }
  const order = sort === 'unknown' ? unknownOrder(random) : pins;
  return {
    sort,
    grid: { rows: 2, ways: order.length },
    plug: { pins: order, colours: order.map((name) => colourOf(name, random)) },
  };
}

/** A supply of 12 V only with one enable: returns and feeds in groups, mixed up. */
function unknownOrder(random: () => number): string[] {
  const ways = pick([6, 8, 10, 14, 18], random);
  const feeds = Math.max(1, Math.round(ways * 0.35));
  const extra = ['PS_ON#', '+12VSB', ...(ways >= 10 ? ['PWR_OK'] : [])];
  const pins = [...Array.from({ length: feeds }, () => '+12V'), ...extra];
  while (pins.length < ways) pins.push('COM');
  for (let i = pins.length - 1; i > 0; i -= 1) {
    const k = Math.floor(random() * (i + 1));
    [pins[i], pins[k]] = [pins[k] as string, pins[i] as string];
  }
  return pins;
}

const palette = [
  'black',
  'red',
  'yellow',
  'orange',
  'white',
  'blue',
  'purple',
  'green',
  'grey',
  'brown',
];

/** Colours mostly keep to the custom; one in twelve does not. */
const colourOf = (name: string, random: () => number) =>
  random() < 0.92 ? (signal(name).colour ?? 'none') : pick(palette, random);

export interface Session {
  answer: Identified;
  readings: Reading[];
  /** Readings of the meter, colours not counted. */
  metered: number;
}

/** Follows what is asked for until nothing more is, or everything has been read. */
export function session({ grid, plug }: Simulated, random: () => number): Session {
  const bench = simulatedPlug(plug, random);
  const readings: Reading[] = plug.pins.map((_, i) => bench.read(i + 1, 'colour') as Reading);
  let metered = 0;
  for (;;) {
    const answer = identify(grid, readings, { loadSet: true });
    const { next } = answer;
    if (!next || next.again || metered > grid.ways * 3) return { answer, readings, metered };
    readings.push(
      (next.with === undefined
        ? bench.read(next.pin, next.kind)
        : bench.common(next.pin, next.with)) as Reading,
    );
    metered += 1;
  }
}
