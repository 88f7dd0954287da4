import { array, boolean, number, object, string } from 'yup';
import { table } from '../../units/table.ts';

/** The names each kind must bring. */
const brings: Record<string, readonly string[]> = table({
  colour: ['colour'],
  gauge: ['awg'],
  empty: [],
  chassis: ['beeps'],
  common: ['with', 'beeps'],
  ohms: ['ohms'],
  standby: ['volts'],
  running: ['volts'],
});

const whole = (reading: Record<string, unknown> & { kind: string }) =>
  (brings[reading.kind] ?? []).every((name) => reading[name] !== undefined);

/** What the API takes: rows and ways, readings, whether a load is set. */
export const identifySchema = object({
  rows: number().integer().min(1).max(2).required(),
  ways: number().integer().min(2).max(48).required(),
  loadSet: boolean().default(false),
  beepsTo: number().min(1).max(1000),
  readings: array(
    object({
      kind: string()
        .oneOf(['colour', 'gauge', 'empty', 'chassis', 'common', 'ohms', 'standby', 'running'])
        .required(),
      pin: number().integer().min(1).max(48).required(),
      colour: string().max(20),
      awg: number().min(10).max(30),
      with: number().integer().min(1).max(48),
      ohms: number().min(0),
      beeps: boolean(),
      volts: number().min(-60).max(60),
    })
      .noUnknown()
      .test('whole', '${path} says nothing: a value of its kind is missing', whole)
      .required(),
  )
    .max(400)
    .default([]),
}).noUnknown();
