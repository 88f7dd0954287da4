import type { Kind } from '../model/types/types.ts';

/**
 * Signs of a machine that does not start and causes with rough odds. Common practice, no source: the
 * shop's own results correct them.
 */

export const symptoms = {
  nothing: 'nothing at all happens',
  'no-standby': 'no standby light, no standby volts',
  picture: 'fans spin, no picture',
  loops: 'starts and stops, again and again',
  beeps: 'beeps or blinks a code',
  seconds: 'stops after a few seconds',
  case: 'starts outside, not in the case',
  memory: 'sees only part of the RAM',
  alarm: 'starts with an alarm',
  drive: 'a drive is not seen',
  card: 'the card is not seen',
  link: 'a link is slow or narrow',
  load: 'shuts off under load',
} as const;
export type Symptom = keyof typeof symptoms;
export const symptomIds = Object.keys(symptoms) as Symptom[];

/** What a machine may have or not, where a cause or a test hangs on it. */
export type Need = Kind | 'riser' | 'two modules' | "maker's plug";

export interface Cause {
  id: string;
  name: string;
  /** What mends it. */
  mend: string;
  /** Kinds of part it sits in: made likelier when one of them was changed last. */
  kinds: readonly Kind[];
  /** Rough odds by sign, of a hundred; a sign it does not cause is left out. */
  odds: Partial<Record<Symptom, number>>;
  /** What has to be there for it to be at fault at all. */
  needs?: Need;
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
    needs: 'supply',
    name: 'PSU dead',
    mend: 'another PSU; the dead one stays closed',
    kinds: ['supply'],
    odds: { nothing: 16, 'no-standby': 38, loops: 4 },
  },
  {
    id: 'supply-weak',
    needs: 'supply',
    name: 'PSU aged or too small',
    mend: 'another PSU',
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
    name: 'CPU plug missing or not home',
    mend: 'plug it in',
    kinds: ['supply', 'board', 'processor'],
    odds: { picture: 12, loops: 8, seconds: 8, nothing: 4 },
  },
  {
    id: 'wrong-order',
    needs: "maker's plug",
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
    needs: 'two modules',
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
    name: 'CPU dead',
    mend: 'another CPU',
    kinds: ['processor'],
    odds: { picture: 2, loops: 2, nothing: 1 },
  },
  {
    id: 'firmware',
    name: 'firmware does not know the CPU',
    mend: 'an older CPU first, then new firmware',
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
    needs: 'card',
    name: 'card not home or its plug missing',
    mend: 'reseat it, plug it in',
    kinds: ['card', 'case'],
    odds: { card: 34, picture: 7, beeps: 9, link: 12, case: 6 },
  },
  {
    id: 'card-bad',
    needs: 'card',
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
    needs: 'riser',
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
    needs: 'cooler',
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
    needs: 'drive',
    name: "drive's data or power lead",
    mend: 'another lead',
    kinds: ['drive', 'supply', 'case'],
    odds: { drive: 36, link: 2 },
  },
  {
    id: 'drive-bad',
    needs: 'drive',
    name: 'drive dead',
    mend: 'another drive',
    kinds: ['drive'],
    odds: { drive: 18 },
  },
  {
    id: 'drive-socket',
    needs: 'drive',
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
