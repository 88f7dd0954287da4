import { convertSchema } from '@sodaru/yup-to-json-schema';
import { array, number, string, ValidationError } from 'yup';
import { CARDS_FORMAT, CARDS_VERSION, type CardFile } from '../model/types/cardFile.ts';
import { kinds } from '../model/types/types.ts';
import { brokenJson } from '../units/brokenJson.ts';
import { cardBody } from './cardFields.ts';
import { factDefinitions } from './factFields.ts';
import { id, shape, words } from './fields.ts';
import { ownPlugSchema } from './ownPlugSchema.ts';
import { pictureFields } from './photoSchema.ts';
import { ShopFileError } from './read.ts';

/** The file of model cards: its shape, and reading it. */

const cardsSchema = shape({
  format: string().oneOf([CARDS_FORMAT]).required(),
  version: number().oneOf([CARDS_VERSION]).required(),
  shop: words(),
  cards: array(
    shape({
      id: id(),
      kind: string()
        .oneOf([...kinds, 'machine'])
        .required(),
      name: words(),
      ...cardBody,
      photos: array(shape(pictureFields).required()).max(20).optional(),
    }).required(),
  )
    .max(2000)
    .required(),
  plugs: array(ownPlugSchema.required()).max(500).required(),
}).required();

const MOST_BYTES = 5_000_000;

/** Whether a text says it is a file of cards. */
export const saysCards = (text: string): boolean =>
  text.slice(0, 400).includes(`"${CARDS_FORMAT}"`);

/** Throws ShopFileError with the place of what is wrong. */
export function readCards(text: string): CardFile {
  if (text.length > MOST_BYTES) throw new ShopFileError('The file is larger than 5 MB.');
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new ShopFileError(brokenJson(text));
  }
  try {
    return cardsSchema.validateSync(value, { strict: true }) as unknown as CardFile;
  } catch (error) {
    if (error instanceof ValidationError) throw new ShopFileError(`${error.message}.`, error.path);
    throw error;
  }
}

/** The published JSON Schema of the file. */
export const cardsJsonSchema = (): Record<string, unknown> => ({
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'Nutshell Swap model cards',
  ...convertSchema(cardsSchema),
  $defs: { ...factDefinitions },
});
