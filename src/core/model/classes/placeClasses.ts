import { KEEP_FREE_MM } from '../../standards/sockets.ts';
import { range, type Range } from '../../units/range.ts';
import type { ClassValue } from './classValue.ts';
import type { Kind } from '../types/types.ts';
import { table } from '../../units/table.ts';

/**
 * Where things usually are inside a case and on a board when nobody measured it, mm.
 * Common practice, no source, but for the space round the processor, which makers keep free: memory,
 * shield and slot begin no nearer.
 */

const of = (value: ClassValue['value'], source: string): ClassValue => ({ value, source });

const onBoards: Record<string, Range> = table({
  toMemory: range(KEEP_FREE_MM, 60),
  toShield: range(KEEP_FREE_MM, 70),
  toSlot: range(58, 100),
});

const coolers: Record<string, Record<string, Range>> = table({
  low: { width: range(77, 140), breadth: range(77, 140), under: range(12, 30) },
  tower: { width: range(50, 165), breadth: range(92, 155), under: range(32, 55) },
  radiator: { width: range(55, 80), breadth: range(55, 80), under: range(0, 5) },
});

const places: Partial<Record<Kind, Record<string, Range>>> = {
  case: table({
    bracketDrop: range(10, 30),
    feet: range(0, 10),
    coats: range(0),
    lining: range(0),
  }),
  board: onBoards,
  drive: table({ sink: range(1, 12) }),
  supply: table({
    leadMain: range(280, 600),
    leadProcessor: range(300, 650),
    leadCard: range(300, 600),
  }),
};

export function placeClass(
  kind: Kind,
  key: string,
  textOf: (key: string) => string | undefined,
): ClassValue | undefined {
  if (kind === 'cooler') {
    const name = textOf('class') ?? '';
    const found = coolers[name]?.[key];
    if (found) return of(found, `${name} cooler`);
    const all = Object.values(coolers).flatMap((each) => each[key] ?? []);
    return all.length > 0
      ? of(
          range(Math.min(...all.map((each) => each.lo)), Math.max(...all.map((each) => each.hi))),
          'any cooler',
        )
      : undefined;
  }
  if (kind === 'case' && key === 'supplyAt') {
    const at: Record<string, string> = table({
      tower: 'above the board',
      'mini tower': 'above the board',
      slim: 'above the board',
      micro: 'outside the case',
      notebook: 'outside the case',
    });
    const name = textOf('class') ?? '';
    return at[name] ? of(at[name], name) : undefined;
  }
  const value = places[kind]?.[key];
  return value && of(value, kind === 'case' ? 'any case' : `any ${kind}`);
}
