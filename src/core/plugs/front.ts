import type { Plug } from '../standards/plugs/index.ts';

/**
 * A front block onto a header: what each lead of the case does, found out with a meter, and how
 * it goes on when the two do not ask for the same. Common practice, no source.
 */
export interface FrontRole {
  /** Signals its two (or one) pins bear. */
  signals: readonly string[];
  name: string;
  /** How it is found with a meter on the block, unplugged. */
  find: string;
}

export const frontRoles: readonly FrontRole[] = [
  {
    name: 'power button',
    signals: ['PWR_SW', 'COM'],
    find: 'two pins that beep only while the button is pressed',
  },
  {
    name: 'reset button',
    signals: ['RESET', 'COM'],
    find: 'two pins that beep only while reset is pressed',
  },
  {
    name: 'drive light',
    signals: ['HD+', 'HD-'],
    find: 'diode test: it glows one way round; the red probe is on plus',
  },
  {
    name: 'power light',
    signals: ['PLED+', 'PLED-'],
    find: 'diode test: it glows one way round; the red probe is on plus',
  },
  {
    name: 'two-coloured power light',
    signals: ['LED_A', 'LED_B'],
    find: 'diode test: it glows one colour one way, another the other way',
  },
  {
    name: 'presence pin',
    signals: ['PRESENT#', 'COM'],
    find: 'beeps with return all the time, no button pressed',
  },
  { name: 'lid sensor', signals: ['LID#', 'COM'], find: 'beeps only while the lid switch is down' },
  { name: 'speaker', signals: ['+5V', 'SPK-'], find: 'some 8 to 60 ohms, and it crackles' },
];

export interface FanRole {
  signal: string;
  name: string;
  find: string;
}

/** What the ways of a fan plug may be, the fifth among them. */
export const fanRoles: readonly FanRole[] = [
  { signal: 'COM', name: 'return', find: 'black mostly; beeps with the chassis on the header' },
  { signal: '+12V', name: '12 V', find: '12 V on the header to ground, the fan unplugged' },
  { signal: 'tach', name: 'speed', find: 'pulled up on the header; two pulses a turn' },
  { signal: 'pwm', name: 'control', find: 'some 3 to 5 V on the header, 25 kHz' },
  {
    signal: 'FAN_ID',
    name: 'identity',
    find: 'the fifth way: tied to return in the fan, or by a resistor; measure it on the old fan',
  },
];

/** The block as it goes onto this header, pins renamed where one may stand for another, and what that loses. */
export function suited(block: Plug, header: Plug): { plug: Plug; notes: string[] } {
  const notes: string[] = [];
  const has = (plug: Plug, name: string) => plug.pins.includes(name);
  const renames = new Map<string, string>();
  if (has(header, 'PWR_SW') && !has(block, 'PWR_SW') && has(block, 'RESET')) {
    renames.set('RESET', 'PWR_SW');
    notes.push('The reset button becomes the power button; there is no reset then.');
  }
  if (has(header, 'PLED+') && !has(block, 'PLED+') && has(block, 'LED_A')) {
    renames.set('LED_A', 'PLED+').set('LED_B', 'PLED-');
    notes.push(
      'The two-coloured light shows one colour only on this header; turn it round for the other.',
    );
  }
  if (has(header, 'LED_A') && !has(block, 'LED_A') && has(block, 'PLED+')) {
    renames.set('PLED+', 'LED_A').set('PLED-', 'LED_B');
    notes.push('A one-coloured light on a header for two: dark while the board shows the other.');
  }
  const plug = {
    ...block,
    pins: block.pins.map((name) => renames.get(name) ?? name),
  };
  return { plug, notes };
}

/** A pin that was tapped for two things it cannot be at once; return may be shared. Undefined where all agree. */
export function tappedTwice(
  found: readonly { name: string; signals: readonly string[]; pins: readonly number[] }[],
): string | undefined {
  const seen = new Map<number, { signal: string; name: string }>();
  for (const { name, signals, pins } of found)
    for (const [i, pin] of pins.entries()) {
      const signal = signals[i] ?? '?';
      const before = seen.get(pin);
      if (before && before.signal !== signal)
        return `Pin ${pin} is ${before.signal} of the ${before.name} and ${signal} of the ${name}: one of them is wrong, buzz it out again.`;
      if (before && signal !== 'COM')
        return `Pin ${pin} is ${signal} twice, of the ${before.name} and the ${name}.`;
      seen.set(pin, { signal, name });
    }
  return undefined;
}

/** The pins of a block from what was found: role by role the pins tapped, everything else open or, if nobody looked, '?'. */
export function blockPins(
  ways: number,
  found: readonly { signals: readonly string[]; pins: readonly number[] }[],
  done: boolean,
): string[] {
  const pins: string[] = Array.from({ length: ways }, () => (done ? 'open' : '?'));
  for (const { signals, pins: at } of found)
    at.forEach((pin, i) => {
      const name = signals[i];
      if (name !== undefined && pin >= 1 && pin <= ways) pins[pin - 1] = name;
    });
  return pins;
}
