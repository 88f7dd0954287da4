import { array, number, object, string, ValidationError } from 'yup';
import type { WorthInput } from './worth.ts';

const amount = () =>
  object({ lo: number().required(), hi: number().required() }).noUnknown().default(undefined);

const schema = object({
  value: amount().required(),
  fixes: array(
    object({ what: string().min(1).max(200).required(), price: amount() })
      .noUnknown()
      .required(),
  )
    .max(100)
    .required(),
  asked: number(),
  hours: amount(),
  anHour: number(),
  seed: number().integer(),
}).noUnknown('${path} has names it does not know: ${unknown}');

/** What the API takes, amounts in minor units. Throws yup's ValidationError with the path of the fault. */
export function readWorth(value: unknown): WorthInput {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new ValidationError('the body is no object', value);
  return schema.validateSync(value, { strict: true }) as WorthInput;
}
