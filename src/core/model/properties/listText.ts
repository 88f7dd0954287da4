import { plugsSaid } from '../../standards/plugs/spoken.ts';
import type { Item } from '../types/shapes.ts';
import { itemTexts } from './index.ts';
import type { Property } from './property.ts';

/** How the items of a list are written as one line of text, and read back from it. */

type Listed = Pick<Property, 'key' | 'plugs' | 'phrases' | 'shape'>;

const parted = ({ plugs, phrases, shape }: Listed) =>
  plugs === true || phrases === true || shape !== undefined;

/** Some items as the field prints them. */
export const writeList = (property: Listed, items: readonly Item[]): string =>
  itemTexts(property.key, items).join(parted(property) ? ', ' : ' ');

/** The word for a list somebody looked at and found nothing for. */
export const NONE = 'none';

/** What an item of this list looks like. */
export const listLike = (property: Property): string =>
  property.shape?.like ?? writeList(property, property.options?.slice(0, 3) ?? []);

/**
 * The items of a typed line, none of them for `none`, or a sentence about the first that is none. `plugIds`: every plug the shop
 * knows, for lists of plugs without options of their own.
 */
export function readList(
  text: string,
  property: Property,
  plugIds: readonly string[],
): { items: Item[] } | { fault: string } {
  const { options, shape } = property;
  if (text.trim().toLowerCase() === NONE && !options?.includes(NONE)) return { items: [] };
  if (property.plugs) {
    const read = plugsSaid(text, options ?? plugIds);
    return 'ids' in read ? { items: read.ids } : read;
  }
  const typed = text
    .split(parted(property) ? /[,;\n]/ : /[,;\s]+/)
    .map((item) => item.trim().replace(/\s+/g, ' '))
    .filter((item) => item !== '');
  const items: Item[] = [];
  for (const item of typed) {
    if (item.length > 200) return { fault: 'That is too long for one item.' };
    const read = shape
      ? (shape.read(item) as Item | undefined)
      : options
        ? options.find((option) => option.toLowerCase() === item.toLowerCase())
        : item;
    if (read === undefined)
      return {
        fault: shape
          ? `“${item}”: write it like ${shape.like}.`
          : `“${item}” is none of ${options?.slice(0, 12).join(', ')}.`,
      };
    items.push(read);
  }
  return { items };
}
