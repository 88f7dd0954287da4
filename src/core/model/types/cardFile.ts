import type { CardBody } from './cardTypes.ts';
import type { Kind, OwnPlug, Photo } from './types.ts';

export const CARDS_FORMAT = 'nutshell-swap-cards';
export const CARDS_VERSION = 1;

export interface Card extends CardBody {
  /** The model's own name among models: `ombrik-desk-40-case`. */
  id: string;
  kind: Kind | 'machine';
  name: string;
  /** Pictures of it; the files lie beside in the zip. */
  photos?: CardPhoto[] | undefined;
}

export type CardPhoto = Pick<
  Photo,
  'hash' | 'at' | 'width' | 'height' | 'bytes' | 'note' | 'marks'
>;

export interface CardFile {
  format: typeof CARDS_FORMAT;
  version: typeof CARDS_VERSION;
  /** Who says all this. */
  shop: string;
  cards: Card[];
  /** Plugs that facts of the cards name. */
  plugs: OwnPlug[];
}
