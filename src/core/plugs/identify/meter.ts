import {
  joinedInside,
  classOf,
  handMeter,
  NO_OHMS,
  type Meter,
  type Reading,
  type ReadingKind,
} from './evidence.ts';
import { table } from '../../units/table.ts';

/**
 * A stand-in for the meter and the supply on the bench: a hidden plug with wires and noise. Same
 * seed, same figures. It answers what a real one would show, bad contacts included.
 */
export interface HiddenPlug {
  /** Signal of every pin, counted row by row on the header face. */
  pins: readonly string[];
  colours: readonly string[];
  /** Gauge of every wire; 18 for power and 22 for signals where nothing is said. */
  gauges?: readonly number[];
}

export interface SimulatedPlug {
  /** Throws RangeError for a pin it has not, and for what is no reading of one pin. */
  read: (pin: number, kind: ReadingKind) => Reading | 'fuse blown';
  /** Two probes, unplugged: do the pins beep with each other? */
  common: (pin: number, other: number) => Reading | 'fuse blown';
  /** Taking running volts with the meter's lead in the amps socket, or shorting a feed, blows the fuse. */
  fuse: () => 'whole' | 'blown';
}

export interface SimulatedPlugOptions {
  meter?: Meter;
  /** The meter's lead was left in the amps socket. */
  leadInAmps?: boolean;
}

/** `random` gives numbers from 0 to 1. Throws RangeError for a pin the plug has not. */
export function simulatedPlug(
  plug: HiddenPlug,
  random: () => number,
  options: SimulatedPlugOptions = {},
): SimulatedPlug {
  const meter = options.meter ?? handMeter;
  let blown = false;
  const bad = new Map<number, boolean>();
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  /* A contact that was bad once is bad again at the same pin. */
  const badAt = (pin: number) => {
    let known = bad.get(pin);
    if (known === undefined) bad.set(pin, (known = random() < meter.badContact));
    return known;
  };
  const levels = plug.pins.map((name) => levelsOf(name, random, normal));
  const ohms = plug.pins.map((name) => ohmsOf(name, random));
  return {
    fuse: () => (blown ? 'blown' : 'whole'),
    common(pin, other) {
      const [a, b] = [plug.pins[pin - 1], plug.pins[other - 1]];
      if (a === undefined || b === undefined) throw new RangeError(`no pin ${pin} or ${other}`);
      if (blown) return 'fuse blown';
      const good = !badAt(pin) && !badAt(other);
      const bridged = [ohms[pin - 1], ohms[other - 1]].map((each) => each ?? NO_OHMS);
      const beeps =
        good &&
        pin !== other &&
        (joinedInside(classOf(a), classOf(b)) ||
          (bridged[0] ?? 0) + (bridged[1] ?? 0) < meter.beepsTo);
      return { kind: 'common', pin, with: other, beeps };
    },
    read(pin, kind) {
      const name = plug.pins[pin - 1];
      const level = levels[pin - 1];
      if (name === undefined || !level) throw new RangeError(`no pin ${pin}`);
      if (kind === 'empty' || kind === 'common')
        throw new RangeError(`${kind} is looked at or asked of two pins`);
      if (kind === 'gauge')
        return { kind, pin, awg: plug.gauges?.[pin - 1] ?? (thick.has(classOf(name)) ? 18 : 22) };
      if (kind === 'colour') return { kind, pin, colour: plug.colours[pin - 1] ?? 'none' };
      if (blown) return 'fuse blown';
      if (kind === 'chassis')
        return { kind, pin, beeps: (ohms[pin - 1] ?? NO_OHMS) < meter.beepsTo && !badAt(pin) };
      if (kind === 'ohms')
        return { kind, pin, ohms: badAt(pin) ? NO_OHMS : (ohms[pin - 1] ?? NO_OHMS) };
      const live = kind === 'running' ? level.running : level.standby;
      if (options.leadInAmps && Math.abs(live) > 1) {
        blown = true;
        return 'fuse blown';
      }
      const shown = badAt(pin) ? 0 : live * (1 + meter.share * normal()) + meter.digitsV * normal();
      return { kind, pin, volts: Math.round(shown * 100) / 100 };
    },
  };
}

const thick = new Set(['COM', '+3.3V', '+5V', '+12V']);

/** Ohms to return, unplugged and discharged: anywhere within a decade or two of what its kind has. */
function ohmsOf(name: string, random: () => number): number {
  const decade: Record<string, readonly [number, number]> = table({
    COM: [-0.8, -0.2],
    '+3.3V': [0.5, 1.9],
    '+5V': [1, 2.4],
    '+12V': [1.7, 3.3],
    'PS_ON#': [3.3, 4.7],
    PWR_OK: [2.6, 4.4],
    open: [7, 7],
  });
  const [lo, hi] = decade[classOf(name)] ?? [2, 3.8];
  return 10 ** (lo + random() * (hi - lo));
}

function levelsOf(name: string, random: () => number, normal: () => number) {
  const near = (volts: number, share: number) => volts * (1 + (share / 2) * normal());
  switch (classOf(name)) {
    case '+3.3V':
      return { standby: 0, running: near(3.3, 0.03) };
    case '+5V':
      return { standby: 0, running: near(5, 0.03) };
    case '+12V':
      return { standby: 0, running: near(12, 0.03) };
    case '-12V':
      return { standby: 0, running: near(-12, 0.06) };
    case '+5VSB':
      return { standby: near(5, 0.02), running: near(5, 0.02) };
    case '+12VSB':
      return { standby: near(12, 0.02), running: near(12, 0.02) };
    case 'PS_ON#':
      return { standby: random() < 0.6 ? near(5, 0.04) : near(3.3, 0.04), running: 0.05 };
    case 'PWR_OK':
      return { standby: 0, running: near(5, 0.04) };
    default:
      return { standby: 0, running: 0 };
  }
}
