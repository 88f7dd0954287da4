import { mixed, type AnyObject } from 'yup';
import type { Fact, Facts } from '../model/types/fact.ts';
import { allKeys, shapeOf } from '../model/properties/index.ts';

/** What a fact must look like, and why a value is none. */

const known = new Set(allKeys);
/** Beyond this nothing at a bench is meant, in any unit. */
const MOST_FIGURE = 1e7;
const MOST_ITEMS = 1000;
const hows = ['said', 'read', 'measured', 'class'];

const factJsonSchema = {
  type: 'object',
  properties: {
    lo: { type: 'number' },
    hi: { type: 'number' },
    text: { type: 'string' },
    items: { type: 'array', items: { type: 'string' }, maxItems: MOST_ITEMS },
    how: { enum: hows },
    source: { type: 'string' },
    at: { type: 'string' },
    who: { type: 'string' },
    heard: { const: true },
  },
  required: ['how'],
  oneOf: [{ required: ['lo', 'hi'] }, { required: ['text'] }, { required: ['items'] }],
  additionalProperties: false,
};

/** What a fact of this name is called among the definitions of the schema. */
const definitionOf = (key: string): string => {
  const shape = shapeOf(key);
  return shape ? `${shape.name}s` : 'fact';
};

/** Why a value is no fact of this name, or undefined when it is one. */
export function factFault(value: unknown, key: string): string | undefined {
  if (typeof value !== 'object' || value === null) return 'is no fact';
  const fact = value as Partial<Fact> & AnyObject;
  const extra = Object.keys(fact).find((key) => !Object.hasOwn(factJsonSchema.properties, key));
  if (extra !== undefined) return `has a name it does not know: ${extra}`;
  if (!hows.includes(fact.how as string)) return 'does not say how it is known';
  for (const key of ['source', 'at', 'who']) {
    if (fact[key] !== undefined && typeof fact[key] !== 'string')
      return `has a ${key} that is no text`;
  }
  if (fact.heard !== undefined && (fact.heard !== true || fact.how !== 'said'))
    return 'was heard and is not said';
  const shapes = ['lo' in fact || 'hi' in fact, 'text' in fact, 'items' in fact].filter(
    Boolean,
  ).length;
  if (shapes !== 1) return 'must hold one of lo and hi, text, or items';
  if ('text' in fact)
    return typeof fact.text === 'string' && fact.text.length <= 2000 ? undefined : 'has no text';
  if ('items' in fact) {
    const shape = shapeOf(key);
    const good =
      Array.isArray(fact.items) &&
      fact.items.length <= MOST_ITEMS &&
      fact.items.every((item: unknown) =>
        shape ? shape.holds(item) : typeof item === 'string' && item.length <= 400,
      );
    if (good) return undefined;
    return shape ? `has items that are no ${shape.name}` : 'has items that are no texts';
  }
  if (!Number.isFinite(fact['lo']) || !Number.isFinite(fact['hi']))
    return 'has a bound that is no number';
  if (fact['lo'] < 0) return 'has a bound below zero';
  if (Math.abs(fact['hi']) > MOST_FIGURE) return 'has a bound that cannot be meant';
  return fact['lo'] <= fact['hi'] ? undefined : 'has its bounds the wrong way round';
}

export const facts = () =>
  mixed<Facts>()
    .required()
    .test('facts', (value, context) => {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) {
        return context.createError({ message: `${context.path} holds no facts` });
      }
      for (const [key, fact] of Object.entries(value)) {
        const path = `${context.path}.${key}`;
        if (!known.has(key))
          return context.createError({ path, message: `${path} is no property` });
        const fault = factFault(fact, key);
        if (fault) return context.createError({ path, message: `${path} ${fault}` });
      }
      return true;
    })
    .meta({
      jsonSchema: {
        type: 'object',
        properties: Object.fromEntries(
          allKeys.map((key) => [key, { $ref: `#/$defs/${definitionOf(key)}` }]),
        ),
        additionalProperties: false,
      },
    });

/** A fact of any name, and a list of each shape. */
export const factDefinitions = {
  fact: factJsonSchema,
  ...Object.fromEntries(
    allKeys.flatMap((key) => {
      const shape = shapeOf(key);
      if (!shape) return [];
      const items = { type: 'array', items: shape.jsonSchema, maxItems: MOST_ITEMS };
      const { lo: _lo, hi: _hi, text: _text, ...known } = factJsonSchema.properties;
      const list = {
        ...factJsonSchema,
        properties: { ...known, items },
        required: ['how', 'items'],
      };
      return [[definitionOf(key), { ...list, oneOf: undefined }]];
    }),
  ),
};
