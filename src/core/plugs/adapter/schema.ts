import { array, boolean, lazy, number, object, string, ValidationError, type Schema } from 'yup';
import { ownPlugSchema } from '../../document/ownPlugSchema.ts';
import { asPlug } from '../../model/lookup/ownPlugs.ts';
import { plug, type Plug } from '../../standards/plugs/index.ts';
import { levels } from '../../standards/plugs/signals.ts';
import type { OwnPlug } from '../../model/types/types.ts';
import type { AdapterSpec } from './types.ts';

/** A plug of the shelf by its id, or one of one's own written out. */
const plugField = () =>
  lazy((value: unknown): Schema =>
    typeof value === 'string'
      ? string().test(
          'shelf',
          ({ path }) => `${path}: no plug is called “${value}”`,
          (id) => plug(id ?? '') !== undefined,
        )
      : (ownPlugSchema.required() as unknown as Schema),
  );
const plugsField = () => array(plugField()).min(1).max(4).required();
/** Amps by rail: only voltages the house knows, so that a misspelt one is named instead of passed over. */
const rails = levels.filter((each) => each.volts !== undefined).map((each) => each.name);
const byRail = () =>
  object(Object.fromEntries(rails.map((name) => [name, number().min(0).max(200).optional()])))
    .noUnknown('${path} has rails it does not know: ${unknown}')
    .default(undefined);

const joinSchema = object({
  gives: plugsField(),
  takes: plugsField(),
  needs: array(byRail()).max(4).optional(),
  limits: byRail(),
  lengthMm: number().min(20).max(3000).optional(),
  awgs: array(number().oneOf([14, 16, 18, 20, 22, 24]).required())
    .min(1)
    .max(6)
    .optional(),
  fill: string().oneOf(['all', 'enough']).optional(),
  alarms: string().oneOf(['satisfy', 'silence']).optional(),
  converters: boolean().optional(),
}).noUnknown('${path} has names it does not know: ${unknown}');

/** What the API takes, as a spec. Throws yup's ValidationError with the path of the fault. */
export function readAdapterSpec(value: unknown): AdapterSpec {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new ValidationError('the body is no object', value);
  const input = joinSchema.validateSync(value, { strict: true });
  const plugs = (list: readonly unknown[]): Plug[] =>
    list.map((each) => (typeof each === 'string' ? (plug(each) as Plug) : asPlug(each as OwnPlug)));
  return {
    ...(input as unknown as AdapterSpec),
    gives: plugs(input.gives),
    takes: plugs(input.takes),
  };
}
