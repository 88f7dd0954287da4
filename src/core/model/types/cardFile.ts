import type { CardBody } from './cardTypes.ts';
import type { Kind, OwnPlug } from './types.ts';

export const CARDS_FORMAT = 'nutshell-swap-cards';
export const CARDS_VERSION = 1;

export interface Card extends CardBody {
  /** The model's own name among models: `ombrik-desk-40-case`. */
  id: string;
  kind: Kind | 'machine';
  name: string;
}

export interface CardFile {
  format: typeof CARDS_FORMAT;
  version: typeof CARDS_VERSION;
  /** Who says all this. */
  shop: string;
  cards: Card[];
  /** Plugs that facts of the cards name. */
  plugs: OwnPlug[];
}
