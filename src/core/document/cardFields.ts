import { array, number, string } from 'yup';
import { facts } from './factFields.ts';
import { shape, words } from './fields.ts';

/** What a card says of its model, in a file of cards and beside the model that heard it. */
export const cardBody = {
  facts: facts(),
  minutes: array(
    shape({
      what: string().max(300).defined(),
      minutes: number().min(0).max(100_000).required(),
    }).required(),
  )
    .max(50)
    .optional(),
  faults: array(shape({ symptom: words(), cause: words() }).required())
    .max(50)
    .optional(),
};
