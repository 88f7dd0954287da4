import { seededRandom } from '../../src/core/units/seededRandom.ts';

/** Damage to JSON values and to texts, seeded: the same seed does the same harm. */

export type Random = () => number;
export const random = (seed: number): Random => seededRandom(seed);
export const pick = <T>(rnd: Random, list: readonly T[]): T =>
  list[Math.floor(rnd() * list.length)] as T;

const LONG = 'w'.repeat(3000);
const names = ['__proto__', 'constructor', 'prototype', 'toString', 'hasOwnProperty', 'valueOf'];
/** Values somebody could have put there, by hand, by another program or by malice. */
const values: readonly (() => unknown)[] = [
  () => null,
  () => true,
  () => '',
  () => ' ',
  () => '0',
  () => LONG,
  () => 'a'.repeat(199),
  () => '\u0000\u202e\ud800',
  () => '<img src=x onerror=alert(1)>',
  () => '=1+1',
  () => '2999-02-99',
  () => '2026-13-45T99:99:99Z',
  () => '-1',
  () => -1,
  () => 0,
  () => -0,
  () => 1e308,
  () => -1e308,
  () => 5e-324,
  () => 1.5,
  () => Number.MAX_SAFE_INTEGER + 1,
  () => [],
  () => ({}),
  () => [null],
  () => ({ lo: 5, hi: 1, how: 'measured' }),
  () => ({ lo: -1e308, hi: 1e308, how: 'measured' }),
  () => ({ lo: 0, hi: 0, how: 'measured' }),
  () => ({ text: 'constructor', how: 'said' }),
  () => ({ text: '__proto__', how: 'said' }),
  () => ({ items: ['constructor', '__proto__', ''], how: 'said' }),
  () => ({ items: Array.from({ length: 40 }, () => 'sata'), how: 'said' }),
  () => deep(40),
  () => 'constructor',
  () => '__proto__',
];

function deep(levels: number): unknown {
  let value: unknown = 1;
  for (let i = 0; i < levels; i += 1) value = i % 2 ? [value] : { a: value };
  return value;
}

type Holder = { at: Record<string, unknown>; key: string };

/** Every place of a JSON value. */
function places(value: unknown, found: Holder[] = []): Holder[] {
  if (typeof value !== 'object' || value === null) return found;
  for (const key of Object.keys(value)) {
    found.push({ at: value as Record<string, unknown>, key });
    places((value as Record<string, unknown>)[key], found);
  }
  return found;
}

/** A copy with one to four places harmed. */
export function mutated(value: unknown, rnd: Random): unknown {
  const copy = structuredClone(value);
  const all = places(copy);
  const times = 1 + Math.floor(rnd() * rnd() * 4);
  for (let n = 0; n < times && all.length > 0; n += 1) {
    const { at, key } = pick(rnd, all);
    const other = pick(rnd, all);
    const kind = rnd();
    if (kind < 0.3 && isFact(at[key])) put(at, key, slyFact(at[key] as Fact, rnd));
    else if (kind < 0.55) put(at, key, pick(rnd, values)());
    else if (kind < 0.65) delete at[key];
    else if (kind < 0.8) put(at, key, structuredClone(other.at[other.key]));
    else if (kind < 0.86) put(at, pick(rnd, [...names, other.key, 'x']), at[key]);
    else if (Array.isArray(at))
      Array.prototype.push.call(at, structuredClone((at as unknown[])[Number(key)]));
    else if (typeof at[key] === 'number')
      put(at, key, (at[key] as number) * pick(rnd, [-1, 0.001, 1000, 1e9]));
    else if (typeof at[key] === 'string') put(at, key, harmed(at[key] as string, rnd));
  }
  return copy;
}

type Fact = Record<string, unknown>;
const isFact = (value: unknown): value is Fact =>
  typeof value === 'object' && value !== null && 'how' in value;

/** A fact of the right shape that says something nobody would. */
function slyFact(fact: Fact, rnd: Random): Fact {
  const how = pick(rnd, ['said', 'read', 'measured']);
  if ('lo' in fact) {
    const ends = [pick(rnd, extremes), pick(rnd, extremes)].sort((a, b) => a - b);
    return { lo: ends[0], hi: rnd() < 0.5 ? ends[0] : ends[1], how };
  }
  if ('text' in fact)
    return { text: pick(rnd, [...names, '', 'none', '0', 'a b', '3.5', fact['text']]), how };
  const items = Array.isArray(fact['items']) ? (fact['items'] as unknown[]) : [];
  return {
    items: pick(rnd, [
      [],
      [...items, ...items],
      items.slice(1),
      [...names],
      ['', ' '],
      ['0 0', '-5 x'],
      Array(60).fill('sata'),
    ]),
    how,
  };
}
const extremes = [
  -1e7, -1000, -1, -1e-9, 0, 1e-9, 0.001, 0.5, 1, 2, 3, 12, 64, 247, 1000, 1e5, 1e7,
];

/** Sets an own property, `__proto__` too, as JSON.parse would. */
function put(at: Record<string, unknown>, key: string, value: unknown): void {
  Object.defineProperty(at, key, { value, enumerable: true, configurable: true, writable: true });
}

const marks = [
  '\n',
  '\t',
  ' ',
  ':',
  ',',
  ';',
  '"',
  '{',
  '}',
  '[',
  ']',
  '0',
  '-',
  '9',
  'x',
  '%',
  '\u0000',
  '\ufeff',
  '°',
  '€',
  '=',
  '|',
  '/',
  '(',
  ')',
];

/** A text with some of it cut, doubled, swapped, or long runs put in. */
export function harmed(text: string, rnd: Random): string {
  let now = text;
  const times = 1 + Math.floor(rnd() * 4);
  for (let n = 0; n < times; n += 1) {
    const a = Math.floor(rnd() * (now.length + 1));
    const b = Math.min(now.length, a + Math.floor(rnd() * rnd() * 200));
    const kind = rnd();
    if (kind < 0.2) now = now.slice(0, a) + now.slice(b);
    else if (kind < 0.35) now = now.slice(0, b) + now.slice(a, b) + now.slice(b);
    else if (kind < 0.5) now = now.slice(0, a) + pick(rnd, marks) + now.slice(a + 1);
    else if (kind < 0.6) now = now.slice(0, a) + pick(rnd, marks).repeat(200) + now.slice(a);
    else if (kind < 0.7)
      now =
        now.slice(0, a) +
        pick(rnd, ['1e308', '999999999999', '-1', '0x1F', 'NaN', '65535', '1.8T', '1,250.50']) +
        now.slice(b);
    else if (kind < 0.8) now = now.slice(0, a) + pick(rnd, names) + now.slice(b);
    else if (kind < 0.9) {
      const lines = now.split('\n');
      const i = Math.floor(rnd() * lines.length);
      lines.splice(i, 1, ...Array.from({ length: 2 }, () => pick(rnd, lines)));
      now = lines.join('\n');
    } else now = now.slice(0, a);
  }
  return now;
}
