import { mixed, number, string } from 'yup';
import { finishFault, finishFields, type FinishField } from '../finish/fields.ts';
import { makeFault, makeFields } from '../make/fields.ts';
import { printFault, printFields } from '../print/fields.ts';
import { resources, type Finish } from '../model/types/finishTypes.ts';
import type { Make } from '../model/types/makeTypes.ts';
import type { Printed } from '../model/types/printTypes.ts';
import { optionalWords, shape, words } from './fields.ts';

/** Finishing and steps of one's own in a file. */

export const finishField = () =>
  mixed<Finish>()
    .test('finish', (value, context) => {
      const fault = value === undefined ? undefined : finishFault(value);
      return fault === undefined
        ? true
        : context.createError({ message: `${context.path} ${fault}` });
    })
    .meta({ jsonSchema: { type: 'object', $ref: '#/$defs/finish' } });

/** What is made of sheet. */
export const makeField = () =>
  mixed<Make>()
    .test('make', (value, context) => {
      const fault = value === undefined ? undefined : makeFault(value);
      return fault === undefined
        ? true
        : context.createError({ message: `${context.path} ${fault}` });
    })
    .meta({ jsonSchema: { type: 'object', $ref: '#/$defs/make' } });

/** What is printed. */
export const printField = () =>
  mixed<Printed>()
    .test('printed', (value, context) => {
      const fault = value === undefined ? undefined : printFault(value);
      return fault === undefined
        ? true
        : context.createError({ message: `${context.path} ${fault}` });
    })
    .meta({ jsonSchema: { type: 'object', $ref: '#/$defs/printed' } });

const jsonType = (field: FinishField): object => {
  switch (field.holds) {
    case 'choice':
      return { enum: [...field.of] };
    case 'yes':
      return { type: 'boolean' };
    case 'word':
      return { type: 'string', minLength: 1, maxLength: 60 };
    case 'figure':
      return { type: 'number', minimum: field.min, maximum: field.max };
  }
};

const definitionOf = (all: Readonly<Record<string, readonly FinishField[]>>) => ({
  oneOf: Object.entries(all).map(([sort, fields]) => ({
    type: 'object',
    properties: {
      do: { const: sort },
      id: { type: 'string', pattern: '^[a-z0-9]{1,20}$' },
      ...Object.fromEntries(fields.map((field) => [field.name, jsonType(field)])),
    },
    required: ['do', 'id', ...fields.flatMap(({ name, aside }) => (aside ? [] : [name]))],
    additionalProperties: false,
  })),
});

export const finishDefinition = definitionOf(finishFields);
export const printDefinition = definitionOf(printFields);
export const makeDefinition = definitionOf(makeFields);

export const MOST_MINUTES = 60_000;
export const ownStepSchema = shape({
  id: string()
    .matches(/^[a-z0-9]{1,20}$/, '${path} is no id')
    .required(),
  title: words(),
  minutes: number().min(0).max(MOST_MINUTES).required(),
  leaveMinutes: number().min(0).max(MOST_MINUTES).optional(),
  after: words().optional(),
  tool: optionalWords(),
  caution: optionalWords(),
  who: optionalWords(),
  uses: string()
    .oneOf([...resources])
    .optional(),
});
