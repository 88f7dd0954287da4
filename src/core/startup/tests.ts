import type { Kind } from '../model/types/types.ts';
import type { Need, Symptom } from './causes.ts';

/**
 * Tests of a search for a fault, with how often each cause makes them say yes. Common practice, no
 * source.
 */
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
  /** How often it says yes though its cause is another: what the eye sees is hardly ever there by chance. */
  byChance: number;
  /** Signs of which it tells nothing, whatever comes out: a slow link cannot be seen with the card out. */
  blind: readonly Symptom[];
  /** What has to be there to make it. */
  needs?: Need;
}

/** How often a test says yes though its cause is another. */
export const BY_CHANCE = 0.03;
/** The same for what is plain to the eye or the beeper. */
const BY_CHANCE_SEEN = 0.003;

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
  byChance: BY_CHANCE,
  blind: [],
  ...more,
});

/** Signs of a machine that starts: whether it starts tells nothing of them. */
const runsAnyhow: readonly Symptom[] = ['memory', 'drive', 'card', 'link', 'alarm'];

export const tests: readonly Test[] = [
  test(
    'look',
    'Look: rocker, mains lead, main plug, CPU plug, card plug, all home',
    2,
    {
      rocker: 0.5,
      'main-plug': 0.85,
      'cpu-plug': 0.92,
      'card-seat': 0.45,
      'cooler-plug': 0.6,
      'fan-missing': 0.4,
    },
    { yes: 'one was not', no: 'all home' },
  ),
  test('mains', 'Another mains lead, another wall socket, rocker to I', 1, { rocker: 0.95 }),
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
      caution: 'Only at the plug, never inside a PSU.',
    },
  ),
  test(
    'clip',
    'PSU alone, 0.5 to 1 A on 12 V and on 5 V: tie its enable to ground, measure 12, 5 and 3.3 V',
    6,
    { rocker: 0.9, 'supply-dead': 0.95, 'supply-weak': 0.3 },
    {
      yes: 'dead, or a rail is off',
      no: 'all three there; its fan may stand still',
      needs: 'supply',
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
    'Swap the RAM',
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
  test(
    'card-reseat',
    'Reseat the card and its plugs',
    3,
    { 'card-seat': 0.93, riser: 0.15 },
    { needs: 'card' },
  ),
  test(
    'card-out',
    'Without the card, screen on the board',
    4,
    { 'card-bad': 0.93, 'card-seat': 0.7, riser: 0.9, 'supply-weak': 0.35 },
    { yes: 'it starts', mends: false, needs: 'card', blind: runsAnyhow },
  ),
  test(
    'card-swap',
    'Swap the card',
    6,
    { 'card-bad': 0.96, 'card-seat': 0.7, 'supply-weak': 0.2 },
    { spare: 'card', needs: 'card' },
  ),
  test(
    'card-elsewhere',
    'The card in another machine',
    12,
    { 'card-bad': 0.95 },
    { yes: 'no picture there either', no: 'it works there', mends: false, needs: 'card' },
  ),
  test(
    'riser-out',
    'Straight in, without riser or adapter',
    6,
    { riser: 0.95, 'card-seat': 0.3 },
    { needs: 'riser' },
  ),
  test('link-set', 'Link power saving off, slot generation fixed one lower', 5, {
    'link-setting': 0.93,
    riser: 0.4,
  }),
  test(
    'least',
    'Least parts: CPU, one module, screen',
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
    { yes: 'it starts', mends: false, blind: runsAnyhow },
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
    { yes: 'one touched', byChance: BY_CHANCE_SEEN },
  ),
  test(
    'supply-swap',
    'Swap the PSU',
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
    'Cooler off, CPU out, look at the pins under a glass',
    14,
    { pins: 0.92 },
    { yes: 'one is bent', risk: 8, mends: false, byChance: BY_CHANCE_SEEN },
  ),
  test(
    'processor-swap',
    'Swap the CPU',
    16,
    { 'processor-bad': 0.96, firmware: 0.92, pins: 0.15, 'cooler-loose': 0.4 },
    { spare: 'processor', risk: 6 },
  ),
  test(
    'version',
    'Does the board maker list this CPU, and from which firmware?',
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
  test(
    'drive-lead',
    'Another data lead and another plug of the PSU',
    4,
    {
      'drive-lead': 0.94,
      'drive-socket': 0.15,
    },
    { needs: 'drive' },
  ),
  test(
    'drive-port',
    'Another port or socket',
    4,
    {
      'drive-socket': 0.92,
      'drive-lead': 0.35,
      settings: 0.2,
    },
    { needs: 'drive' },
  ),
  test(
    'drive-swap',
    'Swap the drive',
    5,
    { 'drive-bad': 0.96, 'drive-lead': 0.2 },
    { spare: 'drive', needs: 'drive' },
  ),
  test('sensor', 'Join the lid or presence pin', 4, { 'lid-sensor': 0.95 }),
  test('fan-in', 'A fan on the header the alarm names', 4, {
    'fan-missing': 0.95,
    'cooler-plug': 0.7,
  }),
  test(
    'buzz',
    "Buzz the adapter or maker's plug out against its list",
    15,
    { 'wrong-order': 0.96 },
    {
      yes: 'a wire is wrong',
      no: 'as listed',
      mends: false,
      byChance: BY_CHANCE_SEEN,
      needs: "maker's plug",
    },
  ),
];

/** The usual order of a checklist, whatever the machine: what the search is measured against. */
export const checklist: readonly string[] = tests.map((each) => each.id);
