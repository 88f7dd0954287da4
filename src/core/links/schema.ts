import { array, number, object, string, ValidationError } from 'yup';

const schema = object({
  lspci: string().max(4_000_000),
  memory: object({
    modules: array(
      object({
        name: string().max(200),
        gb: number().positive().max(4096).required(),
        mts: number().positive().max(20_000).required(),
      })
        .noUnknown()
        .required(),
    )
      .min(1)
      .max(12)
      .required(),
    channels: number().integer().min(1).max(8).required(),
    platformMts: number().positive().max(20_000),
  })
    .noUnknown()
    .default(undefined),
}).noUnknown('${path} has names it does not know: ${unknown}');

/** What the API takes: the text of lspci -vv, modules of memory, or both. Throws yup's ValidationError. */
export function readLinks(value: unknown) {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new ValidationError('the body is no object', value);
  const read = schema.validateSync(value, { strict: true });
  if (read.lspci === undefined && read.memory === undefined)
    throw new ValidationError('lspci or memory is wanted', value, 'lspci');
  return read;
}
