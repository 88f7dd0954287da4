import { array, boolean, mixed, object, string, ValidationError } from 'yup';
import { kinds, type Kind } from '../model/types/types.ts';
import { symptomIds, type Symptom } from './causes.ts';
import type { DiagnosisState } from './diagnosis.ts';
import { tests } from './tests.ts';

const schema = object({
  sign: string()
    .oneOf([...symptomIds])
    .required(),
  after: array(
    string()
      .oneOf([...kinds])
      .required(),
  ).max(20),
  maker: boolean(),
  spares: mixed<Record<string, string>>().test(
    'spares',
    '${path} names parts by their kind',
    (value) =>
      value === undefined ||
      (typeof value === 'object' &&
        Object.entries(value).every(
          ([kind, name]) =>
            kinds.includes(kind as Kind) && typeof name === 'string' && name.length <= 200,
        )),
  ),
  tried: array(
    object({
      test: string()
        .oneOf(['undo', ...tests.map((each) => each.id)])
        .required(),
      yes: boolean().required(),
    })
      .noUnknown()
      .required(),
  ).max(60),
}).noUnknown('${path} has names it does not know: ${unknown}');

/** What the API takes, as the state of a search. Throws yup's ValidationError with the path of the fault. */
export function readDiagnosis(value: unknown): DiagnosisState {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new ValidationError('the body is no object', value);
  const { sign, after, maker, spares, tried } = schema.validateSync(value, { strict: true });
  return {
    symptom: sign as Symptom,
    after: (after ?? []) as Kind[],
    maker: maker ?? false,
    spares: Object.fromEntries(
      Object.entries(spares ?? {}).map(([kind, name]) => [kind, { id: name, name }]),
    ),
    tried: tried ?? [],
  };
}
