import type { Collection } from '../model/types/collections.ts';
import type { RecordVersion } from '../model/types/versionTypes.ts';
import { BEGINNING } from './dots.ts';

/** What a record is called: by its list and tag here, and by a name all benches agree on. */

export const keyOf = (list: Collection | 'head', id: string): string =>
  list === 'head' ? 'head' : `${list}/${id}`;

/** Models are known by their own name on every bench: two of one name are one. */
export const nameOf = (list: Collection, id: string, version: RecordVersion): string =>
  list === 'models' || version.made === BEGINNING ? id : `~${version.made}`;
