import type { Fact, Facts, How } from '../model/fact.ts';
import type { Kind, Machine, Part, Seat } from '../model/types.ts';

/** Short hands for writing the demo shop down. Everything in it is invented. */

type Value = number | readonly [number, number] | string | readonly string[];

const isPair = (value: Value): value is readonly [number, number] =>
  Array.isArray(value) && typeof value[0] === 'number';

function fact(how: How, value: Value): Fact {
  if (typeof value === 'number') return { lo: value, hi: value, how };
  if (typeof value === 'string') return { text: value, how };
  if (isPair(value)) return { lo: value[0], hi: value[1], how };
  return { items: [...value], how };
}

export function facts(how: How, values: Record<string, Value>): Facts {
  return Object.fromEntries(Object.entries(values).map(([key, value]) => [key, fact(how, value)]));
}

export const measured = (values: Record<string, Value>) => facts('measured', values);
export const said = (values: Record<string, Value>) => facts('said', values);
export const read = (values: Record<string, Value>) => facts('read', values);

export const euros = (amount: number) => ({ minor: Math.round(amount * 100), currency: 'EUR' });

export function part(
  id: string,
  kind: Kind,
  name: string,
  known: Facts,
  more: Partial<Part> = {},
): Part {
  return { id, kind, name, facts: known, place: 'shelf', ...more };
}

/** A machine from its seats written as `{ board: 'M14-02', memory1: … }`. */
export function machine(
  id: string,
  name: string,
  seats: Record<string, string>,
  more: Partial<Machine> = {},
): Machine {
  const list: Seat[] = Object.entries(seats).map(([seat, partId]) => ({ seat, partId }));
  return { id, name, state: 'here', facts: {}, seats: list, ...more };
}
