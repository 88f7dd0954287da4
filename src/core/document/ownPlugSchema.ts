import { array, number, string } from 'yup';
import { knownSignal } from '../standards/plugs/index.ts';
import { id, optionalWords, shape, time, words } from './fields.ts';

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
