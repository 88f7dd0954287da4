import { mixed } from 'yup';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { kindOfSeat } from '../model/types/seats.ts';
import {
  remedyKinds as kinds,
  type Field,
  type FieldSort,
  type RemedyKind,
} from '../remedies/index.ts';

/** What a remedy in a file must look like: it follows from the list of remedies. */

const fieldsOf = (kind: RemedyKind) => Object.entries(kind.fields as Record<string, Field>);

const MOST_WORDS = 100;
const MOST_FIGURE = 1e6;

const isWord = (value: unknown, most = 200) =>
  typeof value === 'string' && value.length > 0 && value.length <= most;
const isSeat = (value: unknown) => typeof value === 'string' && kindOfSeat(value) !== undefined;
const isList = (value: unknown, of: (each: unknown) => boolean) =>
  Array.isArray(value) && value.length <= MOST_WORDS && value.every(of);

const holds: Record<FieldSort, (value: unknown) => boolean> = {
  seat: isSeat,
  seats: (value) => isList(value, isSeat),
  part: (value) => isWord(value, 40),
  word: (value) => isWord(value),
  words: (value) => isList(value, (each) => isWord(each, 40)),
  count: (value) =>
    typeof value === 'number' && Number.isFinite(value) && value >= 0 && value <= MOST_FIGURE,
};

/** Why a value is no remedy, or undefined where it is one. */
export function remedyFault(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null) return 'is no remedy';
  const own = new Map(Object.entries(value));
  const kind = kinds.find((each) => each.do === own.get('do'));
  if (!kind) return 'names no remedy that is known';
  const fields = new Map(fieldsOf(kind));
  for (const key of own.keys())
    if (key !== 'do' && !fields.has(key)) return `has a name it does not know: ${key}`;
  for (const [key, { holds: sort, aside }] of fields) {
    const told = own.get(key);
    if (told === undefined && aside) continue;
    if (!holds[sort](told)) return `does not say its ${key} as it must`;
  }
  return undefined;
}

const jsonTypes: Record<FieldSort, object> = {
  seat: { type: 'string' },
  seats: { type: 'array', items: { type: 'string' }, maxItems: MOST_WORDS },
  part: { type: 'string', maxLength: 40 },
  word: { type: 'string', minLength: 1, maxLength: 200 },
  words: { type: 'array', items: { type: 'string' }, maxItems: MOST_WORDS },
  count: { type: 'number', minimum: 0, maximum: MOST_FIGURE },
};

export const remedyDefinition = {
  oneOf: kinds.map((kind) => ({
    type: 'object',
    properties: {
      do: { const: kind.do },
      ...Object.fromEntries(fieldsOf(kind).map(([key, { holds: sort }]) => [key, jsonTypes[sort]])),
    },
    required: ['do', ...fieldsOf(kind).flatMap(([key, { aside }]) => (aside ? [] : [key]))],
    additionalProperties: false,
  })),
};

/** A remedy of a job or of a line of its list. */
export const remedyField = () =>
  mixed<RemedyValue>()
    .test('remedy', (value, context) => {
      const fault = value === undefined ? undefined : remedyFault(value);
      return fault === undefined
        ? true
        : context.createError({ message: `${context.path} ${fault}` });
    })
    .meta({ jsonSchema: { type: 'object', $ref: '#/$defs/remedy' } });
