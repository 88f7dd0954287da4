import { array, mixed, number, object, string, type ObjectShape } from 'yup';
import { kindOfSeat } from '../model/types/seats.ts';

/** Yup fields the document's shapes are made of. */

/** Points a course of a run keeps: enough to draw and to fit it again. */
export const MOST_POINTS = 1000;

export const id = () =>
  string()
    .matches(/^[A-Za-z0-9][A-Za-z0-9_-]{0,39}$/, '${path} is no tag')
    .required();
/** Tags borne before. */
export const formerTags = () => array(id()).max(10).optional();
export const words = () => string().min(1).max(200).required();
export const optionalWords = () => string().max(2000).optional();
export const time = () =>
  string().test('time', '${path} is no ISO time', (value) => value === undefined || isTime(value));

/** A day there is, between 1970 and 2199, with a time of day or without. */
export function isTime(text: string): boolean {
  const match =
    /^(19[789]\d|2[01]\d\d)-(\d{2})-(\d{2})(?:T\d{2}:\d{2}(?::\d{2}(?:\.\d{1,9})?)?Z?)?$/.exec(
      text,
    );
  if (!match) return false;
  const [, year, month, day] = match.map(Number);
  const date = new Date(Date.UTC(year as number, (month as number) - 1, day));
  return date.getUTCDate() === day && Number.isFinite(Date.parse(text));
}

/** Objects refuse names they do not know and never spring into being by default. */
export function shape<T extends ObjectShape>(fields: T) {
  return object(fields)
    .noUnknown('${path} has names it does not know: ${unknown}')
    .default(undefined);
}

export const currency = () =>
  string()
    .matches(/^[A-Z]{3}$/, '${path} is no currency')
    .required();

export const money = () =>
  shape({ minor: number().integer().required(), currency: currency() }).optional();

export const seat = () =>
  string()
    .required()
    .test(
      'seat',
      '${path} is no seat',
      (value) => value !== undefined && kindOfSeat(value) !== undefined,
    );

/** A list of figures, looked through at once: lists of hundreds are slow to check one by one. */
export const figures = () =>
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

export const count = () => number().integer().min(0).max(10000).required();
