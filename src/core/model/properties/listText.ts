import { plugsSaid } from '../../standards/plugs/spoken.ts';
import type { Property } from './property.ts';
import { table } from '../../units/table.ts';

/** How the items of a list are written as one line of text, and read back from it. */

/** Keys whose items hold spaces of their own: they are parted by commas. */
const withSpaces: Record<string, { shape: RegExp; like: string }> = table({
  mounts: { shape: /^[a-z][a-z ]* \d{1,3}(?:\.\d)?$/, like: 'cage 3.5' },
  fanMounts: { shape: /^[a-z]+ \d{2,3}$/, like: 'rear 92' },
  ports: { shape: /^\S.* -?[\d.]+-[\d.]+ -?[\d.]+-[\d.]+$/, like: 'HDMI 20-38 2-12' },
  openings: { shape: /^\S.* -?[\d.]+-[\d.]+ -?[\d.]+-[\d.]+$/, like: 'HDMI 20-38 2-12' },
  holePlaces: { shape: /^(?:-?[\d.]+|\?) (?:-?[\d.]+|\?)$/, like: '6.35 33.02' },
  curve: { shape: /^\d{1,3}(?:\.\d+)? \d{1,3}(?:\.\d+)?$/, like: '50 88' },
  pinReadings: { shape: /^[a-z]+ \S.*$/, like: 'colour 3 black' },
  wiring: { shape: /\S/, like: 'P1.3 to P2.1' },
});

/** Lists of plugs, where a plug may be said in the trade's words. */
const plugLists = ['plugs', 'fanHeaders', 'lightHeaders', 'joinsFrom', 'joinsTo'];

/** Some items as the field prints them. */
export const writeList = (key: string, items: readonly string[]): string =>
  items.join(withSpaces[key] || plugLists.includes(key) ? ', ' : ' ');

/** What an item of this list looks like. */
export const listLike = ({ key, options }: Property): string =>
  withSpaces[key]?.like ?? writeList(key, options?.slice(0, 3) ?? []);

/**
 * The items of a typed line, or a sentence about the first that is none. `plugIds`: every plug the shop
 * knows, for lists of plugs without options of their own.
 */
export function readList(
  text: string,
  property: Property,
  plugIds: readonly string[],
): { items: string[] } | { fault: string } {
  const { key, options } = property;
  if (plugLists.includes(key)) {
    const read = plugsSaid(text, options ?? plugIds);
    return 'ids' in read ? { items: read.ids } : read;
  }
  const rule = withSpaces[key];
  const items = text
    .split(rule ? /[,;\n]/ : /[,;\s]+/)
    .map((item) => item.trim().replace(/\s+/g, ' '))
    .filter((item) => item !== '');
  const read: string[] = [];
  for (const item of items) {
    const known = options?.find((option) => option.toLowerCase() === item.toLowerCase());
    if (options && known === undefined)
      return { fault: `“${item}” is none of ${options.slice(0, 12).join(', ')}.` };
    if (!options && rule && !rule.shape.test(item))
      return { fault: `“${item}”: write it like ${rule.like}.` };
    if (item.length > 200) return { fault: 'That is too long for one item.' };
    read.push(known ?? item);
  }
  return { items: read };
}
