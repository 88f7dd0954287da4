import { array, lazy, number, object, string, ValidationError } from 'yup';
import type { System } from './network/index.ts';

const name = () =>
  string()
    .matches(/^[A-Za-z0-9][A-Za-z0-9 _.-]{0,39}$/, '${path} is no name')
    .required();

const netSchema = object({
  held: lazy((value: unknown) =>
    object(
      Object.fromEntries(
        Object.keys(typeof value === 'object' && value !== null ? value : {}).map((node) => [
          node,
          number().min(0).max(1000).required(),
        ]),
      ),
    ).required(),
  ),
  resistors: array(
    object({ id: name(), a: name(), b: name(), ohm: number().required() }).noUnknown().required(),
  )
    .max(2000)
    .required(),
  loads: array(
    object({ id: name(), node: name(), watts: number(), amps: number(), ohms: number() })
      .noUnknown()
      .test(
        'one',
        '${path} says one of watts, amps and ohms',
        (load) =>
          [load.watts, load.amps, load.ohms].filter((each) => each !== undefined).length === 1,
      )
      .required(),
  )
    .max(2000)
    .required(),
  converters: array(
    object({
      id: name(),
      in: name(),
      out: name(),
      outV: number().max(1000).required(),
      efficiency: number().required(),
      idleW: number().max(1000),
      mostInA: number().min(0).max(1000),
      leastInV: number().min(0).max(1000),
      mostInV: number().min(0).max(1000),
    })
      .noUnknown()
      .required(),
  ).max(200),
}).noUnknown('${path} has names it does not know: ${unknown}');

/** What the API takes, as a net. Throws yup's ValidationError with the path of the fault. */
export function readNet(value: unknown): System {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new ValidationError('the body is no object', value);
  return netSchema.validateSync(value, { strict: true }) as unknown as System;
}
