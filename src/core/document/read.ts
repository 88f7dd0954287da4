import { ValidationError } from 'yup';
import { migrate } from './migrate.ts';
import { brokenJson } from '../units/brokenJson.ts';
import { shopSchema } from './schema.ts';
import { FORMAT, VERSION, type Shop } from '../model/types/types.ts';

export const MOST_FILE_BYTES = 25_000_000;

/** A file that is refused: what was wrong and, where there is one, the place. Nothing stored changes. */
export class ShopFileError extends Error {
  readonly path: string | undefined;
  constructor(message: string, path?: string) {
    super(message);
    this.path = path;
  }
}

/** Reads the text of an exported shop; migrates older versions. Throws ShopFileError. */
export function readShop(text: string): Shop {
  if (text.length > MOST_FILE_BYTES) throw new ShopFileError('The file is larger than 25 MB.');
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new ShopFileError(brokenJson(text));
  }
  return checkShop(value);
}

/** Checks a parsed document of any version. Throws ShopFileError. */
export function checkShop(value: unknown): Shop {
  if (
    typeof value !== 'object' ||
    value === null ||
    (value as { format?: unknown }).format !== FORMAT
  ) {
    throw new ShopFileError('This is no Nutshell Swap file: its format is not named.', 'format');
  }
  const poison = poisoned(value, '');
  if (poison) throw new ShopFileError(`A name that is not allowed in a file: ${poison}.`, poison);
  const version = (value as { version?: unknown }).version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw new ShopFileError('The file does not say its version.', 'version');
  }
  if (version > VERSION) {
    throw new ShopFileError(
      `The file is version ${version}; this product reads up to ${VERSION}. Update the product.`,
      'version',
    );
  }
  const shop = validated(migrate(value as Record<string, unknown>, version));
  const twice = repeatedTag(shop);
  if (twice) throw new ShopFileError(`The tag ${twice.id} stands twice.`, twice.path);
  return shop;
}

function validated(value: unknown): Shop {
  try {
    return shopSchema.validateSync(value, { strict: true, abortEarly: true }) as unknown as Shop;
  } catch (error) {
    if (error instanceof ValidationError) throw new ShopFileError(`${error.message}.`, error.path);
    throw error;
  }
}

/** The path of a property name that could reach an object's prototype. */
function poisoned(value: unknown, path: string, depth = 0): string | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  if (depth > 12) return `${path} (nested too deep)`;
  for (const key of Object.keys(value)) {
    const here = Array.isArray(value) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
    if (key === '__proto__' || key === 'constructor' || key === 'prototype') return here;
    const inner = poisoned((value as Record<string, unknown>)[key], here, depth + 1);
    if (inner) return inner;
  }
  return undefined;
}

function repeatedTag(shop: Shop): { id: string; path: string } | undefined {
  for (const list of [
    'models',
    'machines',
    'parts',
    'jobs',
    'plugs',
    'ledger',
    'photos',
  ] as const) {
    const seen = new Set<string>();
    for (const [i, { id }] of shop[list].entries()) {
      if (seen.has(id)) return { id, path: `${list}[${i}].id` };
      seen.add(id);
    }
  }
  return undefined;
}
