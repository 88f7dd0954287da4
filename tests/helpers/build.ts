import type { Finding } from '../../src/core/findings/finding.ts';
import type { Facts } from '../../src/core/model/types/fact.ts';
import { emptyJob, emptyShop } from '../../src/core/model/types/empty.ts';
import type { Plan } from '../../src/core/model/lookup/plan.ts';
import { kindOfSeat } from '../../src/core/model/types/seats.ts';
import type { Job, Part, Shop } from '../../src/core/model/types/types.ts';
import { shapeOf } from '../../src/core/model/properties/index.ts';
import type { Item } from '../../src/core/model/types/shapes.ts';
import { planOf } from '../../src/core/plan/planOf.ts';

/** Items as tests write them: as they are typed, read by the property's shape. */
const itemsOf = (key: string, lines: readonly string[]): Item[] => {
  const shape = shapeOf(key);
  return lines.map((line) => {
    const item = shape ? (shape.read(line) as Item | undefined) : line;
    if (item === undefined) throw new Error(`“${line}” is no ${shape?.name}`);
    return item;
  });
};

/** Shops and plans written down by seat, for tests. */

export type Value = number | readonly [number, number] | string | readonly string[];
export type Seats = Record<string, Record<string, Value>>;

export function facts(
  values: Record<string, Value>,
  how: 'said' | 'read' | 'measured' = 'measured',
): Facts {
  return Object.fromEntries(
    Object.entries(values).map(([key, value]) => {
      if (typeof value === 'number') return [key, { lo: value, hi: value, how }];
      if (typeof value === 'string') return [key, { text: value, how }];
      const [first, second] = value;
      return typeof first === 'number'
        ? [key, { lo: first, hi: second as number, how }]
        : [key, { items: itemsOf(key, value as readonly string[]), how }];
    }),
  );
}

export function partFor(
  seat: string,
  values: Record<string, Value>,
  more: Partial<Part> = {},
): Part {
  const kind = kindOfSeat(seat);
  if (!kind) throw new Error(`no seat: ${seat}`);
  return { id: `T-${seat}`, kind, name: seat, facts: facts(values), place: 'shelf', ...more };
}

/** A job whose parts all come: nothing was found together. */
export function jobWith(seats: Seats, more: Partial<Job> = {}): { shop: Shop; job: Job } {
  const parts = Object.entries(seats).map(([seat, values]) => partFor(seat, values));
  const job: Job = {
    ...emptyJob('1', 'test', ''),
    changes: Object.keys(seats).map((seat) => ({ seat, partId: `T-${seat}` })),
    ...more,
  };
  return { shop: { ...emptyShop(), parts, jobs: [job] }, job };
}

/** A job over a machine that was found with these parts; `comes` are put in. */
export function jobOver(
  found: Seats,
  comes: Seats = {},
  more: Partial<Job> = {},
): { shop: Shop; job: Job } {
  const foundParts = Object.entries(found).map(([seat, values]) =>
    partFor(seat, values, { id: `F-${seat}`, place: 'machine' }),
  );
  const newParts = Object.entries(comes).map(([seat, values]) => partFor(seat, values));
  const job: Job = {
    ...emptyJob('1', 'test', ''),
    machineId: 'M1',
    changes: Object.keys(comes).map((seat) => ({ seat, partId: `T-${seat}` })),
    ...more,
  };
  const shop: Shop = {
    ...emptyShop(),
    machines: [
      {
        id: 'M1',
        name: 'found machine',
        state: 'here',
        starts: true,
        condition: 'worn',
        origin: 'attic',
        facts: {},
        seats: Object.keys(found).map((seat) => ({ seat, partId: `F-${seat}` })),
      },
    ],
    parts: [...foundParts, ...newParts],
    jobs: [job],
  };
  return { shop, job };
}

export function planWith(seats: Seats, more: Partial<Job> = {}): Plan {
  const { shop, job } = jobWith(seats, more);
  return planOf(shop, job);
}

/** The only finding of that id, or an error that lists what there is. */
export function the(found: readonly Finding[], id: string): Finding {
  const match = found.filter((finding) => finding.id === id);
  if (match.length !== 1) {
    throw new Error(`${match.length} findings ${id} in ${found.map((each) => each.id).join(', ')}`);
  }
  return match[0] as Finding;
}
