import type { Kind } from '../model/types.ts';

/**
 * Signs of a machine that does not start, causes with rough odds, and tests with how often each
 * cause makes them say yes. All of it common practice, no source: rough odds that the shop's own
 * results correct.
 */

export const signs = {
  nothing: 'nothing at all happens',
  'no-standby': 'no standby light, no standby volts',
  picture: 'fans spin, no picture',
  loops: 'starts and stops, again and again',
  beeps: 'beeps or blinks a code',
  seconds: 'stops after a few seconds',
  case: 'starts outside, not in the case',
  memory: 'sees only part of the memory',
  alarm: 'starts with an alarm',
  drive: 'a drive is not seen',
  card: 'the card is not seen',
  link: 'a link is slow or narrow',
  load: 'shuts off under load',
} as const;
export type Sign = keyof typeof signs;
export const signIds = Object.keys(signs) as Sign[];

export interface Cause {
  id: string;
  name: string;
  /** What mends it. */
  mend: string;
  /** Kinds of part it sits in: made likelier when one of them was changed last. */
  kinds: readonly Kind[];
  /** Rough odds by sign, of a hundred; a sign it does not cause is left out. */
  odds: Partial<Record<Sign, number>>;
  /** Likelier by this in a machine with its maker's own board. */
  maker?: number;
}

export const causes: readonly Cause[] = [
  {
    id: 'rocker',
    name: 'rocker, mains lead or socket',
    mend: 'rocker on, another lead',
    kinds: ['supply'],
    odds: { nothing: 18, 'no-standby': 30 },
  },
  {
    id: 'supply-dead',
    name: 'supply dead',
    mend: 'another supply; the dead one stays closed',
    kinds: ['supply'],
    odds: { nothing: 16, 'no-standby': 38, loops: 4 },
  },
  {
    id: 'supply-weak',
    name: 'supply aged or too small',
    mend: 'another supply',
    kinds: ['supply', 'card'],
    odds: { loops: 10, seconds: 8, load: 38, drive: 2, picture: 2 },
  },
  {
    id: 'main-plug',
    name: 'main plug not home',
    mend: 'push it home',
    kinds: ['supply', 'board'],
    odds: { nothing: 8, picture: 3, loops: 4, 'no-standby': 5 },
  },
  {
    id: 'cpu-plug',
    name: 'processor plug missing or not home',
    mend: 'plug it in',
    kinds: ['supply', 'board', 'processor'],
    odds: { picture: 12, loops: 8, seconds: 8, nothing: 4 },
  },
  {
    id: 'wrong-order',
    name: "maker's plug or adapter in the wrong order",
    mend: 'buzz it out, wire it anew',
    kinds: ['supply', 'board', 'small'],
    odds: { nothing: 8, loops: 4, seconds: 4, 'no-standby': 5, alarm: 3 },
    maker: 4,
  },
  {
    id: 'front-switch',
    name: 'front switch or its leads',
    mend: 'leads onto the right pins, another switch',
    kinds: ['case', 'leads', 'board'],
    odds: { nothing: 22, case: 10, loops: 2 },
  },
  {
    id: 'short',
    name: 'short under the board',
    mend: 'take the standoff out that touches',
    kinds: ['case', 'board'],
    odds: { case: 48, loops: 6, seconds: 6, nothing: 6 },
  },
  {
    id: 'front-usb',
    name: 'front USB bent or shorted',
    mend: 'leave it off, straighten the pin',
    kinds: ['case', 'leads'],
    odds: { case: 14, loops: 5, seconds: 6, nothing: 2 },
  },
  {
    id: 'memory-seat',
    name: 'a module not home',
    mend: 'reseat it until it clicks',
    kinds: ['memory', 'board', 'cooler'],
    odds: { picture: 22, beeps: 34, loops: 12, memory: 34, case: 4 },
  },
  {
    id: 'memory-bad',
    name: 'a module is bad',
    mend: 'leave it out',
    kinds: ['memory'],
    odds: { picture: 9, beeps: 18, loops: 7, memory: 14, load: 4 },
  },
  {
    id: 'memory-mix',
    name: 'modules that do not go together',
    mend: 'modules alike only',
    kinds: ['memory'],
    odds: { picture: 6, beeps: 8, loops: 6, memory: 14 },
  },
  {
    id: 'pins',
    name: 'bent socket pins',
    mend: 'straighten under a glass, or another board',
    kinds: ['processor', 'board', 'cooler'],
    odds: { picture: 5, memory: 20, loops: 4, beeps: 4, card: 4, nothing: 2 },
  },
  {
    id: 'processor-bad',
    name: 'processor dead',
    mend: 'another processor',
    kinds: ['processor'],
    odds: { picture: 2, loops: 2, nothing: 1 },
  },
  {
    id: 'firmware',
    name: 'firmware does not know the processor',
    mend: 'an older processor first, then new firmware',
    kinds: ['processor', 'board'],
    odds: { picture: 9, loops: 5, beeps: 4 },
  },
  {
    id: 'settings',
    name: 'firmware settings',
    mend: 'clear them',
    kinds: ['memory', 'card', 'processor'],
    odds: { picture: 7, loops: 8, memory: 5, alarm: 5, drive: 8, card: 6, link: 8 },
  },
  {
    id: 'coin-cell',
    name: 'empty coin cell',
    mend: 'a new one',
    kinds: ['board'],
    odds: { alarm: 14, picture: 2, loops: 2, beeps: 2 },
  },
  {
    id: 'board-dead',
    name: 'board dead',
    mend: 'another board',
    kinds: ['board'],
    odds: { nothing: 6, picture: 5, 'no-standby': 10, loops: 3 },
  },
  {
    id: 'card-seat',
    name: 'card not home or its plug missing',
    mend: 'reseat it, plug it in',
    kinds: ['card', 'case'],
    odds: { card: 34, picture: 7, beeps: 9, link: 12, case: 6 },
  },
  {
    id: 'card-bad',
    name: 'card dead',
    mend: 'another card',
    kinds: ['card'],
    odds: { card: 12, picture: 4, beeps: 4, load: 8, loops: 2 },
  },
  {
    id: 'screen',
    name: 'screen on the wrong port, or its lead',
    mend: 'the other port, another lead',
    kinds: ['card', 'board'],
    odds: { picture: 13 },
  },
  {
    id: 'riser',
    name: 'riser or adapter between',
    mend: 'without it, or one of the right generation',
    kinds: ['card', 'small'],
    odds: { card: 18, link: 34, picture: 2, drive: 4 },
  },
  {
    id: 'link-setting',
    name: 'link power saving or slot generation',
    mend: 'set it in the firmware',
    kinds: ['card', 'drive'],
    odds: { card: 12, link: 34 },
  },
  {
    id: 'cooler-loose',
    name: 'cooler loose or paste missing',
    mend: 'seat it, new paste',
    kinds: ['cooler', 'processor'],
    odds: { seconds: 40, load: 26, loops: 4 },
  },
  {
    id: 'cooler-plug',
    name: "cooler's fan or pump not plugged in",
    mend: 'plug it in',
    kinds: ['cooler', 'fan'],
    odds: { seconds: 18, alarm: 12, load: 14 },
  },
  {
    id: 'drive-lead',
    name: "drive's data or power lead",
    mend: 'another lead',
    kinds: ['drive', 'supply', 'case'],
    odds: { drive: 36, link: 2 },
  },
  {
    id: 'drive-bad',
    name: 'drive dead',
    mend: 'another drive',
    kinds: ['drive'],
    odds: { drive: 18 },
  },
  {
    id: 'drive-socket',
    name: 'socket that shares lanes, or takes the other kind of drive',
    mend: 'another socket',
    kinds: ['drive', 'board'],
    odds: { drive: 22, link: 8 },
  },
  {
    id: 'lid-sensor',
    name: 'lid or presence sensor missing',
    mend: 'join it, or silence it and say so',
    kinds: ['case', 'leads', 'board'],
    odds: { alarm: 22, case: 4 },
    maker: 3,
  },
  {
    id: 'fan-missing',
    name: 'a fan the board expects',
    mend: 'plug one in, or set the lower limit',
    kinds: ['fan', 'case', 'cooler'],
    odds: { alarm: 34, seconds: 4 },
    maker: 2,
  },
  {
    id: 'other',
    name: 'something else',
    mend: 'hand it on',
    kinds: [],
    odds: {
      nothing: 4,
      'no-standby': 4,
      picture: 5,
      loops: 6,
      beeps: 6,
      seconds: 6,
      case: 5,
      memory: 5,
      alarm: 6,
      drive: 5,
      card: 6,
      link: 6,
      load: 6,
    },
  },
];

export interface Test {
  id: string;
  /** What to do. */
  ask: string;
  /** What yes and no mean here. */
  yes: string;
  no: string;
  minutes: number;
  /** What it wears or may break, in minutes. */
  risk: number;
  /** A part of the shelf it is done with. */
  spare?: Kind;
  caution?: string;
  /** How often each cause makes it say yes; others by chance. */
  likely: Readonly<Record<string, number>>;
  /** Does a yes leave the machine mended? */
  mends: boolean;
}

/** How often a test says yes though its cause is another. */
export const BY_CHANCE = 0.03;

const test = (
  id: string,
  ask: string,
  minutes: number,
  likely: Record<string, number>,
  more: Partial<Test> = {},
): Test => ({
  id,
  ask,
  minutes,
  likely,
  yes: 'it works now',
  no: 'as before',
  risk: 0,
  mends: true,
  ...more,
});

export const tests: readonly Test[] = [
  test(
    'look',
    'Look: rocker, mains lead, main plug, processor plug, card plug, all home',
    2,
    {
      rocker: 0.9,
      'main-plug': 0.85,
      'cpu-plug': 0.92,
      'card-seat': 0.45,
      'cooler-plug': 0.6,
      'fan-missing': 0.4,
    },
    { yes: 'one was not', no: 'all home' },
  ),
  test(
    'standby',
    'Meter: are the standby volts there, mains on?',
    2,
    {
      rocker: 0.97,
      'supply-dead': 0.85,
      'board-dead': 0.12,
      short: 0.2,
      'wrong-order': 0.2,
      'main-plug': 0.5,
    },
    {
      yes: 'missing',
      no: 'there',
      mends: false,
      caution: 'Only at the plug, never inside a supply.',
    },
  ),
  test(
    'clip',
    'Supply alone: tie its enable to return, rocker on',
    5,
    { rocker: 0.9, 'supply-dead': 0.92 },
    {
      yes: 'stays dead',
      no: 'its fan spins',
      mends: false,
      caution: 'At its plug, from the wire side; the case stays closed.',
    },
  ),
  test(
    'switch-pins',
    'Touch the two switch pins on the board',
    2,
    { 'front-switch': 0.96 },
    { yes: 'it starts' },
  ),
  test('memory-reseat', 'Reseat the modules until they click', 3, {
    'memory-seat': 0.93,
    'memory-mix': 0.05,
  }),
  test(
    'memory-single',
    'One module alone, each in turn, in the slot the board names',
    6,
    { 'memory-bad': 0.9, 'memory-mix': 0.9, 'memory-seat': 0.75 },
    { yes: 'with one it starts, with the other not', no: 'with none', mends: false },
  ),
  test(
    'memory-swap',
    'Swap the memory',
    3,
    { 'memory-bad': 0.96, 'memory-mix': 0.95, 'memory-seat': 0.8 },
    { spare: 'memory' },
  ),
  test('clear', 'Clear the firmware settings: mains off, jumper or cell out for a minute', 4, {
    settings: 0.9,
    'memory-mix': 0.2,
    'link-setting': 0.3,
    'coin-cell': 0.25,
  }),
  test(
    'cell',
    'A new coin cell',
    3,
    { 'coin-cell': 0.95, settings: 0.4 },
    { caution: 'Coin cells out of the reach of children.' },
  ),
  test(
    'ports',
    'Another port and another lead to the screen',
    1,
    { screen: 0.95, 'card-seat': 0.3, 'card-bad': 0.4, riser: 0.3 },
    { yes: 'a picture' },
  ),
  test('card-reseat', 'Reseat the card and its plugs', 3, { 'card-seat': 0.93, riser: 0.15 }),
  test(
    'card-out',
    'Without the card, screen on the board',
    4,
    { 'card-bad': 0.93, 'card-seat': 0.7, riser: 0.9, 'supply-weak': 0.35 },
    { yes: 'it starts', mends: false },
  ),
  test(
    'card-swap',
    'Swap the card',
    6,
    { 'card-bad': 0.96, 'card-seat': 0.7, 'supply-weak': 0.2 },
    { spare: 'card' },
  ),
  test('riser-out', 'Straight in, without riser or adapter', 6, { riser: 0.95, 'card-seat': 0.3 }),
  test('link-set', 'Link power saving off, slot generation fixed one lower', 5, {
    'link-setting': 0.93,
    riser: 0.4,
  }),
  test(
    'least',
    'Least parts: processor, one module, screen',
    8,
    {
      'card-bad': 0.9,
      'drive-bad': 0.4,
      riser: 0.85,
      'memory-bad': 0.45,
      'memory-mix': 0.9,
      'memory-seat': 0.4,
      'supply-weak': 0.5,
      'front-usb': 0.15,
      'card-seat': 0.6,
      'fan-missing': 0.03,
    },
    { yes: 'it starts', mends: false },
  ),
  test(
    'front-off',
    'Front USB, audio and card reader off the board',
    2,
    { 'front-usb': 0.95, short: 0.02 },
    { yes: 'it starts' },
  ),
  test(
    'outside',
    'Board out, onto cardboard, least parts',
    25,
    { short: 0.95, 'front-usb': 0.9, 'front-switch': 0.5, 'card-seat': 0.1 },
    { yes: 'it starts outside', mends: false, risk: 3 },
  ),
  test(
    'standoffs',
    'Look under the board: a standoff without a hole above it?',
    20,
    { short: 0.93 },
    { yes: 'one touched' },
  ),
  test(
    'supply-swap',
    'Swap the supply',
    9,
    {
      'supply-dead': 0.97,
      'supply-weak': 0.92,
      'main-plug': 0.6,
      'cpu-plug': 0.5,
      'wrong-order': 0.6,
      rocker: 0.6,
    },
    { spare: 'supply', caution: 'A swap brings its own leads: leave none of the old ones on.' },
  ),
  test(
    'socket',
    'Cooler off, processor out, look at the pins under a glass',
    14,
    { pins: 0.92 },
    { yes: 'one is bent', risk: 8, mends: false },
  ),
  test(
    'processor-swap',
    'Swap the processor',
    16,
    { 'processor-bad': 0.96, firmware: 0.92, pins: 0.15, 'cooler-loose': 0.4 },
    { spare: 'processor', risk: 6 },
  ),
  test(
    'version',
    'Does the board maker list this processor, and from which firmware?',
    5,
    { firmware: 0.95 },
    { yes: 'from a newer one', no: 'it knows it', mends: false },
  ),
  test(
    'cooler-feel',
    'Is the cooler tight, warm, its fan turning?',
    2,
    { 'cooler-loose': 0.75, 'cooler-plug': 0.93 },
    { yes: 'it was not' },
  ),
  test('paste', 'Cooler off, new paste, seat it again', 15, { 'cooler-loose': 0.95 }, { risk: 2 }),
  test(
    'wall',
    'Wall meter while it is loaded: does it fall off at the same watts?',
    6,
    { 'supply-weak': 0.85, 'cooler-loose': 0.1, 'card-bad': 0.2 },
    { yes: 'at the same watts', no: 'at any', mends: false },
  ),
  test('drive-lead', 'Another data lead and another plug of the supply', 4, {
    'drive-lead': 0.94,
    'drive-socket': 0.15,
  }),
  test('drive-port', 'Another port or socket', 4, {
    'drive-socket': 0.92,
    'drive-lead': 0.35,
    settings: 0.2,
  }),
  test(
    'drive-swap',
    'Swap the drive',
    5,
    { 'drive-bad': 0.96, 'drive-lead': 0.2 },
    { spare: 'drive' },
  ),
  test('sensor', 'Join the lid or presence pin', 4, { 'lid-sensor': 0.95 }),
  test('fan-in', 'A fan on the header the alarm names', 4, {
    'fan-missing': 0.95,
    'cooler-plug': 0.7,
  }),
  test(
    'buzz',
    'Buzz the adapter or maker’s plug out against its list'.replace('’', "'"),
    15,
    { 'wrong-order': 0.96 },
    { yes: 'a wire is wrong', no: 'as listed', mends: false },
  ),
];

/** The usual order of a checklist, whatever the machine: what the search is measured against. */
export const checklist: readonly string[] = tests.map((each) => each.id);
