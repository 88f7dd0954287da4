import { brokenJson } from '../units/brokenJson.ts';
import { array, number, object, string, ValidationError } from 'yup';
import { ownPlugSchema } from '../document/ownPlugSchema.ts';
import type { OwnPlug } from '../model/types/types.ts';

/** Plugs of one's own as a file that another shop can read. */
const FORMAT = 'nutshell-swap-plugs';

export const writePlugs = (plugs: readonly OwnPlug[]): string =>
  `${JSON.stringify({ format: FORMAT, version: 1, plugs }, null, 1)}\n`;

export class PlugFileError extends Error {}

const schema = object({
  format: string().oneOf([FORMAT], 'this is no file of plugs').required('this is no file of plugs'),
  version: number().oneOf([1], 'this version of the file is not known').required(),
  plugs: array(ownPlugSchema.required()).max(500).required(),
});

/** Reads a file of plugs. Throws PlugFileError with the place of the fault; nothing is taken in part. */
export function readPlugs(text: string): OwnPlug[] {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new PlugFileError(brokenJson(text));
  }
  try {
    const { plugs } = schema.validateSync(value, { strict: true });
    const twice = plugs.find((each, i) => plugs.findIndex((other) => other.id === each.id) !== i);
    if (twice) throw new PlugFileError(`Two plugs are called ${twice.id}.`);
    return plugs as OwnPlug[];
  } catch (error) {
    if (error instanceof ValidationError) throw new PlugFileError(`${error.message}.`);
    throw error;
  }
}
