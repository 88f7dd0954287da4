import {
  array,
  boolean,
  mixed,
  number,
  object,
  string,
  type AnyObject,
  type ObjectShape,
} from 'yup';
import type { Fact, Facts } from './fact.ts';
import { allKeys } from './properties.ts';
import { knownSignal } from '../standards/plugs/index.ts';
import { kindOfSeat } from './seats.ts';
import { MOST_STAGES } from './stages.ts';
import {
  conditions,
  FORMAT,
  huntVerdicts,
  kinds,
  loadSchools,
  machineStates,
  VERSION,
} from './types.ts';

/** Yup schemas of the document. The JSON Schema under docs/ and the API is made from these. */

/** Points a course of a run keeps: enough to draw and to fit it again. */
export const MOST_POINTS = 1000;

const known = new Set(allKeys);
const hows = ['said', 'read', 'measured', 'class'];

const id = () =>
  string()
    .matches(/^[A-Za-z0-9][A-Za-z0-9_-]{0,39}$/, '${path} is no tag')
    .required();
const words = () => string().min(1).max(200).required();
const optionalWords = () => string().max(2000).optional();
const time = () => string().matches(/^\d{4}-\d{2}-\d{2}(T[\d:.]+Z?)?$/, '${path} is no ISO time');

/** Objects refuse names they do not know and never spring into being by default. */
function shape<T extends ObjectShape>(fields: T) {
  return object(fields)
    .noUnknown('${path} has names it does not know: ${unknown}')
    .default(undefined);
}

const factJsonSchema = {
  type: 'object',
  properties: {
    lo: { type: 'number' },
    hi: { type: 'number' },
    text: { type: 'string' },
    items: { type: 'array', items: { type: 'string' } },
    how: { enum: hows },
    source: { type: 'string' },
    at: { type: 'string' },
    who: { type: 'string' },
  },
  required: ['how'],
  oneOf: [{ required: ['lo', 'hi'] }, { required: ['text'] }, { required: ['items'] }],
  additionalProperties: false,
};

/** Why a value is no fact, or undefined when it is one. */
export function factFault(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null) return 'is no fact';
  const fact = value as Partial<Fact> & AnyObject;
  const extra = Object.keys(fact).find((key) => !Object.hasOwn(factJsonSchema.properties, key));
  if (extra !== undefined) return `has a name it does not know: ${extra}`;
  if (!hows.includes(fact.how as string)) return 'does not say how it is known';
  for (const key of ['source', 'at', 'who']) {
    if (fact[key] !== undefined && typeof fact[key] !== 'string')
      return `has a ${key} that is no text`;
  }
  const shapes = ['lo' in fact || 'hi' in fact, 'text' in fact, 'items' in fact].filter(
    Boolean,
  ).length;
  if (shapes !== 1) return 'must hold one of lo and hi, text, or items';
  if ('text' in fact)
    return typeof fact.text === 'string' && fact.text.length <= 2000 ? undefined : 'has no text';
  if ('items' in fact) {
    const good =
      Array.isArray(fact.items) && fact.items.every((item: unknown) => typeof item === 'string');
    return good ? undefined : 'has items that are no texts';
  }
  if (!Number.isFinite(fact['lo']) || !Number.isFinite(fact['hi']))
    return 'has a bound that is no number';
  return fact['lo'] <= fact['hi'] ? undefined : 'has its bounds the wrong way round';
}

const facts = () =>
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
        const fault = factFault(fact);
        if (fault) return context.createError({ path, message: `${path} ${fault}` });
      }
      return true;
    })
    .meta({
      jsonSchema: {
        type: 'object',
        properties: Object.fromEntries(allKeys.map((key) => [key, { $ref: '#/$defs/fact' }])),
        additionalProperties: false,
      },
    });

const money = () =>
  shape({
    minor: number().integer().required(),
    currency: string()
      .matches(/^[A-Z]{3}$/, '${path} is no currency')
      .required(),
  }).optional();

const seat = () =>
  string()
    .required()
    .test(
      'seat',
      '${path} is no seat',
      (value) => value !== undefined && kindOfSeat(value) !== undefined,
    );

const model = shape({
  id: id(),
  kind: string()
    .oneOf([...kinds, 'machine'])
    .required(),
  name: words(),
  facts: facts(),
});

const part = shape({
  id: id(),
  kind: string()
    .oneOf([...kinds])
    .required(),
  name: words(),
  modelId: id().optional(),
  facts: facts(),
  place: string().oneOf(['shelf', 'machine', 'buy', 'gone']).required(),
  where: optionalWords(),
  due: time().optional(),
  condition: string()
    .oneOf([...conditions])
    .optional(),
  origin: optionalWords(),
  price: money(),
  note: optionalWords(),
});

const machine = shape({
  id: id(),
  name: words(),
  modelId: id().optional(),
  state: string()
    .oneOf([...machineStates])
    .required(),
  starts: boolean().optional(),
  condition: string()
    .oneOf([...conditions])
    .optional(),
  origin: optionalWords(),
  price: money(),
  facts: facts(),
  seats: array(shape({ seat: seat(), partId: id() }).required()).required(),
  note: optionalWords(),
});

/** A list of figures, looked through at once: lists of hundreds are slow to check one by one. */
const figures = () =>
  mixed<number[]>()
    .required()
    .test(
      'figures',
      ({ path }) => `${path}: at most ${MOST_POINTS} figures are wanted, and nothing else`,
      (value) =>
        Array.isArray(value) &&
        value.length <= MOST_POINTS &&
        value.every((each) => typeof each === 'number' && Number.isFinite(each)),
    )
    .meta({
      jsonSchema: { type: 'array', items: { type: 'number' }, maxItems: MOST_POINTS },
    });

const count = () => number().integer().min(0).max(10000).required();

export const jobSchema = shape({
  id: id(),
  name: words(),
  becomes: string().max(300).defined(),
  asks: array(
    shape({
      what: string().oneOf(['screens', 'drives', 'memoryGb']).required(),
      count: count(),
    }).required(),
  ).required(),
  machineId: id().optional(),
  budget: money(),
  changes: array(
    shape({
      seat: seat(),
      partId: string().max(40).nullable().defined(),
      stage: number().integer().min(1).max(MOST_STAGES).optional(),
    }).required(),
  ).required(),
  taken: array(words()).required(),
  schools: shape({
    start: string().oneOf(['bench', 'straight']).required(),
    supply: string().oneOf(['first', 'last']).required(),
  }).required(),
  ticks: array(
    shape({
      stepId: words(),
      at: time().required(),
      note: optionalWords(),
      failed: boolean().optional(),
    }).required(),
  ).required(),
  waits: array(shape({ why: words(), until: time().optional() }).required()).required(),
  readings: array(
    shape({
      kind: string().oneOf(['temperatureC', 'wallW', 'clockMhz']).required(),
      value: number().required(),
      when: string().oneOf(['before', 'after']).required(),
      at: time().required(),
      load: string().oneOf(['flat out', 'until settled', 'real use', 'idle']).required(),
      note: optionalWords(),
    }).required(),
  ).required(),
  clearings: array(
    shape({
      partId: id(),
      how: string().oneOf(['clear', 'purge', 'destroy', 'none found']).required(),
      at: time().required(),
      note: optionalWords(),
    }).required(),
  ).required(),
  wants: array(
    shape({
      what: words(),
      count: count(),
      price: money(),
      bought: boolean().optional(),
      remedyId: words().optional(),
    }).required(),
  ).required(),
  sums: array(shape({ text: words(), at: time().required() }).required()).required(),
  runs: array(
    shape({
      id: id(),
      name: words(),
      at: time().required(),
      load: string()
        .oneOf([...loadSchools])
        .required(),
      roomC: number().min(-30).max(60).optional(),
      panel: string().oneOf(['on', 'off']).required(),
      fans: optionalWords(),
      changed: array(words()).max(40).required(),
      courses: array(
        shape({
          what: string().oneOf(['temperature', 'clock', 'fan', 'watts', 'room']).required(),
          name: words(),
          s: figures(),
          v: figures(),
        })
          .test(
            'pairs',
            ({ path }) => `${path}: as many figures as times are wanted`,
            (course) => course === undefined || course.s?.length === course.v?.length,
          )
          .required(),
      )
        .max(12)
        .required(),
    }).required(),
  ).required(),
  hunts: array(
    shape({
      id: id(),
      sign: words(),
      at: time().required(),
      after: array(words()).max(20).required(),
      tried: array(
        shape({
          testId: words(),
          result: words(),
          minutes: number().min(0).max(10000).required(),
          at: time().required(),
          who: optionalWords(),
          with: optionalWords(),
        }).required(),
      ).required(),
      verdict: string()
        .oneOf([...huntVerdicts])
        .optional(),
      causeId: words().optional(),
      note: optionalWords(),
    }).required(),
  ).required(),
  mishaps: array(
    shape({
      at: time().required(),
      what: words(),
      partId: id().optional(),
      mended: boolean().required(),
      retested: boolean().required(),
    }).required(),
  ).required(),
  trials: array(
    shape({
      at: time().required(),
      what: string().oneOf(['undervolt', 'base clock', 'watt limit']).required(),
      value: number().required(),
      stable: boolean().required(),
      note: optionalWords(),
    }).required(),
  ).required(),
  links: array(
    shape({
      at: time().required(),
      when: string().oneOf(['before', 'after']).required(),
      underLoad: boolean().required(),
      slot: words(),
      name: words(),
      gts: number().min(0).max(256).required(),
      lanes: number().min(0).max(32).required(),
      couldGts: number().min(0).max(256).required(),
      couldLanes: number().min(0).max(32).required(),
    }).required(),
  ).required(),
  note: optionalWords(),
  handedOver: time().optional(),
});

/** A plug of one's own; every signal must be one the house knows, so that nothing is guessed later. */
export const ownPlugSchema = shape({
  id: id(),
  name: words(),
  rows: number().integer().min(1).max(2).required(),
  ways: number().integer().min(2).max(48).required(),
  pitchMm: number().min(0.4).max(20).required(),
  pins: array(
    string()
      .required()
      .test('signal', ({ path, value }) => `${path}: no signal is called “${value}”`, knownSignal),
  )
    .min(2)
    .max(48)
    .required(),
  colours: array(string().max(20).defined()).max(48).optional(),
  note: optionalWords(),
  at: time().optional(),
}).test(
  'whole',
  ({ path }) => `${path}: its pins do not fill its rows`,
  (plug) => {
    const { rows, ways, pins } = plug ?? {};
    if (rows === undefined || ways === undefined || !pins) return true;
    return pins.length === ways && ways % rows === 0;
  },
);

export const shopSchema = shape({
  format: string().oneOf([FORMAT]).required(),
  version: number().oneOf([VERSION]).required(),
  name: words(),
  settings: shape({
    unit: string().oneOf(['mm', 'in']).required(),
    currency: string()
      .matches(/^[A-Z]{3}$/, '${path} is no currency')
      .required(),
    headroom: number().min(0).max(3).required(),
    theme: string().oneOf(['light', 'dark', 'auto']).required(),
  }).required(),
  models: array(model.required()).required(),
  machines: array(machine.required()).required(),
  parts: array(part.required()).required(),
  jobs: array(jobSchema.required()).required(),
  plugs: array(ownPlugSchema.required()).required(),
}).required();

export const factDefinition = factJsonSchema;
