import type { Kind } from '../../model/types/types.ts';
import { table } from '../../units/table.ts';

/** What the trade calls things at the entry line (common practice, no source). */

const kindsSaid: Record<string, Kind> = table({
  case: 'case',
  chassis: 'case',
  shell: 'case',
  enclosure: 'case',
  housing: 'case',
  board: 'board',
  motherboard: 'board',
  mainboard: 'board',
  mobo: 'board',
  mb: 'board',
  cpu: 'processor',
  processor: 'processor',
  cooler: 'cooler',
  heatsink: 'cooler',
  aio: 'cooler',
  ram: 'memory',
  memory: 'memory',
  dimm: 'memory',
  sodimm: 'memory',
  stick: 'memory',
  module: 'memory',
  card: 'card',
  gpu: 'card',
  vga: 'card',
  graphics: 'card',
  drive: 'drive',
  disk: 'drive',
  disc: 'drive',
  ssd: 'drive',
  hdd: 'drive',
  nvme: 'drive',
  psu: 'supply',
  supply: 'supply',
  brick: 'supply',
  fan: 'fan',
  screw: 'small',
  standoff: 'small',
  riser: 'small',
  bracket: 'small',
  adapter: 'small',
  adaptor: 'small',
  splitter: 'small',
  backplate: 'small',
  converter: 'small',
});

/** Words that say more than the kind: they must be found in the part itself, or its facts, too. */
export const tellingKinds: ReadonlySet<string> = new Set([
  'ssd',
  'hdd',
  'nvme',
  'sodimm',
  'brick',
  'aio',
  'screw',
  'standoff',
  'riser',
  'bracket',
  'adapter',
  'splitter',
  'backplate',
  'converter',
]);

/** The word without its plural. */
export const singular = (word: string): string =>
  word.length > 3 && !/(?:ss|us|is)$/.test(word) ? word.replace(/s$/, '') : word;

export const kindSaid = (word: string): Kind | undefined =>
  kindsSaid[word] ?? kindsSaid[word.replace(/s$/, '')] ?? kindsSaid[word.replace(/-/g, '')];

export const kindWords: readonly string[] = Object.keys(kindsSaid);

/** Words that ask for nothing and tell nothing. */
const fillers = new Set(
  (
    'a an the my this that these those it its i we you me us do does did is are was be will would can could should ' +
    'have has got get please hey so just any some there here with and or then of on at about my our your now still ' +
    'really actually only also ok okay to go goes going fit fits fitting want wants need needs take takes make makes ' +
    "use using put give gives show tell find look looking search list if much many how what which whats what's let " +
    'one old new used spare another good big little standard'
  ).split(' '),
);
export const isFiller = (word: string): boolean => fillers.has(word);

/** The way from a part to its room. */
export const relations: ReadonlySet<string> = new Set([
  'in',
  'into',
  'inside',
  'under',
  'through',
  'within',
  'below',
  'between',
  'past',
  'vs',
  'clear',
  'clears',
  'against',
  'versus',
]);

/** What a part goes into. */
export const rooms: ReadonlySet<string> = new Set([
  'room',
  'space',
  'clearance',
  'gap',
  'bay',
  'opening',
  'hole',
  'lid',
  'panel',
  'side panel',
  'tray',
  'cage',
  'case',
  'chassis',
  'shell',
  'enclosure',
  'slot',
  'wall',
  'free',
  'available',
  'limit',
  'max',
  'maximum',
  'allows',
  'allow',
]);

export const isRoom = (word: string): boolean => rooms.has(word) || rooms.has(singular(word));

/** Which way a length runs. */
export const directions: ReadonlySet<string> = new Set([
  'long',
  'length',
  'high',
  'height',
  'tall',
  'deep',
  'depth',
  'wide',
  'width',
  'thick',
  'thickness',
]);

/** Slips it takes to make one word of another (a letter more, less, another, or two turned round), given up beyond `most`. */
export function editDistance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let before: number[] = [];
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const same = a[i - 1] === b[j - 1];
      let edits = Math.min(
        (row[j] ?? 0) + 1,
        (next[j - 1] ?? 0) + 1,
        (row[j - 1] ?? 0) + (same ? 0 : 1),
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        edits = Math.min(edits, (before[j - 2] ?? 0) + 1);
      next[j] = edits;
    }
    [before, row] = [row, next];
  }
  return row[b.length] ?? most + 1;
}
