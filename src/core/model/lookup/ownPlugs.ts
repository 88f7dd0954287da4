import { plug, type Plug } from '../../standards/plugs/index.ts';
import { commonPractice } from '../../standards/source.ts';
import type { Property } from '../properties/property.ts';
import type { OwnPlug, Shop } from '../types/types.ts';

/** A plug of one's own as the shelf shows its plugs: counted row by row on the header's face. */
export const asPlug = (own: OwnPlug): Plug => ({
  ...own,
  group: "maker's",
  numbering: own.rows === 1 ? 'line' : 'rows',
  latch: 'where it is on the piece',
  source: { ...commonPractice, title: 'measured on the piece' },
});

/** A plug by its id: one's own before the shelf's. */
export function plugIn(shop: Pick<Shop, 'plugs'>, id: string): Plug | undefined {
  const own = shop.plugs.find((each) => each.id === id);
  return own ? asPlug(own) : plug(id);
}

export const plugNameIn = (shop: Pick<Shop, 'plugs'>, id: string): string =>
  plugIn(shop, id)?.name ?? id;

/** A word of a property as it is shown: plugs by their name. */
export const wordIn = (
  shop: Pick<Shop, 'plugs'>,
  { plugs }: Pick<Property, 'plugs'>,
  word: string,
): string => (plugs ? plugNameIn(shop, word) : word);

/** Every plug a shop knows, its own first. */
export const plugsIn = (shop: Pick<Shop, 'plugs'>, shelf: readonly Plug[]): Plug[] => [
  ...shop.plugs.map(asPlug),
  ...shelf,
];
