import { softensC } from '../../standards/air.ts';

/** Sorts of small parts, in the trade's words. */
export const smallSorts = [
  'screw 6-32',
  'screw M3',
  'screw M2',
  'screw M2.5',
  'screw 4-40',
  'standoff',
  'backplate',
  'cooler kit',
  'rear plate',
  'bracket',
  'SATA splitter',
  'crimped SATA splitter',
  'moulded SATA splitter',
  'fan splitter',
  'fan hub',
  'riser',
  'ribbon riser',
  'powered riser',
  'M.2 adapter',
  'slot adapter',
  'converter',
  'step-down',
  'step-up',
  'DC-DC board',
  'second PSU',
  'modular lead',
  'display lead',
  'wireless card',
  'antenna lead',
  'plug adapter',
  'printed part',
  'other',
] as const;
export type SmallSort = (typeof smallSorts)[number];

export const risers: readonly SmallSort[] = ['riser', 'ribbon riser', 'powered riser'];
/** What makes several sockets of one, and what is fed by such a plug itself. */
export const branchings: readonly SmallSort[] = [
  ...risers,
  'SATA splitter',
  'crimped SATA splitter',
  'moulded SATA splitter',
  'fan splitter',
  'fan hub',
];
/** What stands between a board's slot or socket and the device in it. */
export const betweenSlots: readonly SmallSort[] = [...risers, 'M.2 adapter', 'slot adapter'];
export const converters: readonly SmallSort[] = [
  'converter',
  'step-down',
  'step-up',
  'DC-DC board',
];
/** What belongs to its board or case and is missed when it goes astray. */
export const belongings: readonly SmallSort[] = [
  'standoff',
  'backplate',
  'cooler kit',
  'rear plate',
  'bracket',
];

/** What people write on a bag, first match first. */
const named: readonly (readonly [RegExp, SmallSort])[] = [
  [/moulded/, 'moulded SATA splitter'],
  [/crimp\S* .*splitter/, 'crimped SATA splitter'],
  [/fan .*splitter/, 'fan splitter'],
  [/splitter/, 'SATA splitter'],
  [/\bhub\b/, 'fan hub'],
  [/powered riser|riser.* powered/, 'powered riser'],
  [/ribbon.* riser|riser.* ribbon/, 'ribbon riser'],
  [/m\.?2 adapter/, 'M.2 adapter'],
  [/\briser/, 'riser'],
  [/slot adapter/, 'slot adapter'],
  [/dc-?dc/, 'DC-DC board'],
  [/step-?up|boost/, 'step-up'],
  [/step-?down|buck/, 'step-down'],
  [/converter/, 'converter'],
  [/second (?:supply|psu)/, 'second PSU'],
  [/modular (?:lead|cable)/, 'modular lead'],
  [/display (?:lead|cable)/, 'display lead'],
  [/antenna/, 'antenna lead'],
  [/wireless|wi-?fi|wlan/, 'wireless card'],
  [/print/, 'printed part'],
  [/adapter/, 'plug adapter'],
  [/screws? .*6-32|6-32 screw/, 'screw 6-32'],
  [/screws? .*4-40|4-40 screw/, 'screw 4-40'],
  [/screws? .*m2\.5|m2\.5 screw/, 'screw M2.5'],
  [/screws? .*m2\b|m2 screw|m\.2 screw/, 'screw M2'],
  [/screws? .*m3|m3 screw/, 'screw M3'],
  [/standoff/, 'standoff'],
  [/backplate/, 'backplate'],
  [/(?:cooler|mount\S*) kit/, 'cooler kit'],
  [/rear plate|port plate|shield/, 'rear plate'],
  [/bracket/, 'bracket'],
];

/** The sort of a small part by what it is called; undefined where no word of it says so. */
export function smallSortOf(name: string): SmallSort | undefined {
  const text = name.toLowerCase();
  return (
    smallSorts.find((sort) => sort.toLowerCase() === text) ??
    named.find(([pattern]) => pattern.test(text))?.[1]
  );
}

/** What a printed part is made of, by what it is called: `PETG bracket`; undefined where no word of it says so. */
export const materialOf = (name: string): string | undefined =>
  Object.keys(softensC).find((material) => new RegExp(`\\b${material}\\b`, 'i').test(name));
