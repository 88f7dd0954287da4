import { signal, type Plug } from '../../standards/plugs/index.ts';
import { isReturn } from '../mate/index.ts';
import { isRail, isSpare, needOf, pinsOf } from './nets.ts';
import { senseOf } from './sense.ts';
import type { End, AdapterSpec, Recipe } from './types.ts';
import { table } from '../../units/table.ts';

/**
 * Pins that are not joined like to like: tied to return, made from something else, or left open.
 * Common practice, no source; the enable is low-active as the ATX12V guide has it.
 */

/** What a board watches for, and what is given up when the alarm is silenced instead. */
export const alarms: Record<string, { satisfy: string; silenced: string }> = table({
  'PRESENT#': {
    satisfy: 'presence pin to ground: the board sees its front block',
    silenced: 'the board no longer tells when its front block comes loose',
  },
  'PRESENCE#': {
    satisfy: 'presence pin to ground: the board sees its front sockets',
    silenced: 'the board does not switch its front sockets on',
  },
  'LID#': {
    satisfy: 'lid sensor pin to ground: the board sees a closed lid',
    silenced: 'the board no longer tells that the lid was opened',
  },
  FAN_ID: {
    satisfy: 'fan identity to ground, or to what the old fan had there: measure it first',
    silenced: 'the board no longer tells when this fan is the wrong one or stands still',
  },
});

type Kept = Pick<Recipe, 'ties' | 'open' | 'impossible' | 'notes'>;

/** Everything the nets do not join, for both sides. `made`: rails that converters bring; `used`: rails they feed on. */
export function tiesOf(
  spec: AdapterSpec,
  made: ReadonlySet<string>,
  used: ReadonlySet<string>,
): Kept {
  const kept: Kept = { ties: [], open: [], impossible: [], notes: [] };
  const brings = (name: string) =>
    made.has(name) || spec.gives.some((plug) => plug.pins.includes(name));
  const takes = (name: string) =>
    used.has(name) || spec.takes.some((plug) => plug.pins.includes(name));
  spec.takes.forEach((plug, k) => {
    const open = pinsOf(plug, (pin) => pin === '?');
    if (open.length > 0)
      kept.impossible.push({
        end: { side: 'take', plug: k, pin: open[0] ?? 1 },
        say: `What ${plug.name} wants on ${open.length === plug.ways ? 'any of its pins' : `pins ${open.join(', ')}`} is not known: measure it first.`,
      });
    each(plug, 'take', k, (end, name) => taking(spec, end, name, brings, kept));
    kept.impossible.push(...noWayBack(plug, k));
    const sense = senseOf(spec, plug, k, (other) => needOf(spec, other, '+12V'));
    kept.ties.push(...sense.ties);
    kept.open.push(...sense.open);
    kept.impossible.push(...sense.impossible);
  });
  spec.gives.forEach((plug, i) =>
    each(plug, 'give', i, (end, name) => giving(end, name, takes, brings, kept)),
  );
  return kept;
}

/** Current goes back by the ground of its own plug: one that has rails and none, and nothing else to go back by, is refused. */
function noWayBack(plug: Plug, k: number): Recipe['impossible'] {
  const rail = plug.pins.findIndex(isRail);
  const back = plug.pins.some((name) => {
    const { direction } = signal(name);
    return isReturn(name) || !['feeds', 'open', 'key'].includes(direction) || name === '?';
  });
  if (rail < 0 || back) return [];
  return [
    {
      end: { side: 'take', plug: k, pin: rail + 1 },
      say: `${plug.name} has no ground contact: what it draws would find its way back through another rail. Find its ground first.`,
    },
  ];
}

function each(
  plug: Plug,
  side: 'give' | 'take',
  index: number,
  visit: (end: End, name: string) => void,
): void {
  plug.pins.forEach((name, i) => visit({ side, plug: index, pin: i + 1 }, name));
}

type Has = (name: string) => boolean;

function taking(spec: AdapterSpec, end: End, name: string, brings: Has, kept: Kept): void {
  const { direction } = signal(name);
  const alarm = alarms[name];
  if (alarm && !brings(name)) {
    if (spec.alarms === 'silence')
      kept.open.push({
        end,
        signal: name,
        say: `left open; silence the alarm in the firmware: ${alarm.silenced}`,
      });
    else kept.ties.push({ end, signal: name, to: 'COM', say: alarm.satisfy });
    return;
  }
  if (name === '?') return;
  if (direction === 'open' || direction === 'key' || name === 'reserved') return;
  if (brings(name) || isReturn(name)) {
    if (isReturn(name) && !brings('COM'))
      kept.impossible.push({ end, say: `No giving pin is a return, pin ${pinOf(end)} wants one.` });
    return;
  }
  if (name === '-12V' || name === '-5V') {
    kept.open.push({
      end,
      signal: name,
      say: `${name} is missing; only old cards and serial ports want it`,
    });
    return;
  }
  if (name === 'PS_ON#') return enable(end, 'PS_ON', brings, kept);
  if (name === 'PS_ON') return enable(end, 'PS_ON#', brings, kept);
  if (name === 'PWR_OK') return powerGood(end, brings, kept);
  if (isSpare(spec, end.plug, name)) {
    kept.open.push({
      end,
      signal: name,
      say: `${name} left open: drives of today do without; card-sized ones (mSATA) may not`,
    });
    return;
  }
  if (isRail(name)) {
    kept.impossible.push({
      end,
      say: `Pin ${pinOf(end)} wants ${name}; nothing brings it and no converter makes it from what is there.`,
    });
    return;
  }
  kept.open.push({ end, signal: name, say: `nothing brings ${name}` });
}

/** The board's enable against the PSU's: the other sense is turned round by a transistor. */
function enable(end: End, turned: 'PS_ON' | 'PS_ON#', brings: Has, kept: Kept): void {
  const high = turned === 'PS_ON';
  if (brings(turned))
    kept.ties.push({
      end,
      signal: high ? 'PS_ON#' : 'PS_ON',
      to: turned,
      through:
        'stage that turns it round: small transistor, 10 kΩ at its base, 10 kΩ pull-up to standby',
      say: high
        ? 'the PSU starts on high, the board pulls low'
        : 'the PSU starts on low, the board drives high',
    });
  else
    kept.open.push({
      end,
      signal: high ? 'PS_ON#' : 'PS_ON',
      say: 'the PSU has no enable: it runs as soon as it is fed, the board cannot switch it',
    });
}

function powerGood(end: End, brings: Has, kept: Kept): void {
  const from = brings('+5V') ? '+5V' : undefined;
  if (from)
    kept.ties.push({
      end,
      signal: 'PWR_OK',
      to: from,
      through: '1 kΩ',
      ohm: 1000,
      say: 'the PSU has no power-good: made from 5 V',
      givesUp: 'the board is not told when the rails fail',
    });
  else
    kept.impossible.push({
      end,
      say: `Pin ${pinOf(end)} wants PWR_OK and nothing is there to make it from.`,
    });
}

function giving(end: End, name: string, takes: Has, brings: Has, kept: Kept): void {
  if (name === '?') {
    kept.open.push({ end, signal: name, say: 'not known: left open, insulated' });
    return;
  }
  if (name === 'PS_ON#' && takes('PS_ON')) return;
  if (name === 'PS_ON#' && !takes('PS_ON#')) {
    kept.ties.push({
      end,
      signal: name,
      to: 'COM',
      through: 'switch',
      say: 'starts the PSU without its machine',
    });
    return;
  }
  if (name === 'PS_ON' && !takes('PS_ON#') && !takes('PS_ON')) {
    kept.ties.push({
      end,
      signal: name,
      to: brings('+5VSB') ? '+5VSB' : 'COM',
      through: 'switch and 1 kΩ',
      ohm: 1000,
      say: 'starts the PSU without its machine; it starts on high',
    });
    return;
  }
  const alarm = alarms[name];
  if (alarm && !takes(name)) {
    kept.open.push({ end, signal: name, say: 'nobody asks for it' });
    return;
  }
  const { direction } = signal(name);
  if (direction === 'open' || direction === 'key' || isReturn(name) || takes(name)) return;
  if (name === 'PS_ON') return;
  kept.open.push({ end, signal: name, say: `${name} is not wanted: insulate its end` });
}

const pinOf = (end: End): string => String(end.pin);
