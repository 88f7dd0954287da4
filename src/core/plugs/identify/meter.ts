import { classOf, handMeter, type Meter, type Reading, type ReadingKind } from './evidence.ts';

/**
 * A stand-in for the meter and the supply on the bench: a hidden plug with wires and noise. Same
 * seed, same figures. It answers what a real one would show, bad contacts included.
 */
export interface HiddenPlug {
  /** Signal of every pin, counted row by row on the header face. */
  pins: readonly string[];
  colours: readonly string[];
}

export interface Bench {
  read: (pin: number, kind: ReadingKind) => Reading | 'fuse blown';
  /** Taking running volts with the meter's lead in the amps socket, or shorting a feed, blows the fuse. */
  fuse: () => 'whole' | 'blown';
}

export interface BenchOptions {
  meter?: Meter;
  /** The meter's lead was left in the amps socket. */
  leadInAmps?: boolean;
}

/** `random` gives numbers from 0 to 1. Throws RangeError for a pin the plug has not. */
export function simulatedBench(
  plug: HiddenPlug,
  random: () => number,
  options: BenchOptions = {},
): Bench {
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
  return {
    fuse: () => (blown ? 'blown' : 'whole'),
    read(pin, kind) {
      const name = plug.pins[pin - 1];
      const level = levels[pin - 1];
      if (name === undefined || !level) throw new RangeError(`no pin ${pin}`);
      if (kind === 'colour') return { kind, pin, colour: plug.colours[pin - 1] ?? 'none' };
      if (blown) return 'fuse blown';
      if (kind === 'chassis') return { kind, pin, beeps: classOf(name) === 'COM' && !badAt(pin) };
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
