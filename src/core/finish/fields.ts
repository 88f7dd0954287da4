import {
  glues,
  materials,
  paints,
  pieces,
  prints,
  shells,
  washables,
  type Finish,
} from '../model/types/finishTypes.ts';

/**
 * What each sort of finishing is told. Form, schema of the document and its published schema follow from this list.
 */
export type FinishField = { name: string; label: string; aside?: true } & (
  | { holds: 'choice'; of: readonly string[]; says?: Readonly<Record<string, string>> }
  | { holds: 'yes' }
  | { holds: 'word' }
  | { holds: 'figure'; min: number; max: number; unit: string }
);

const piece: FinishField = { name: 'piece', label: 'Piece', holds: 'choice', of: pieces };
const room: readonly FinishField[] = [
  { name: 'roomC', label: 'Room', aside: true, holds: 'figure', min: -20, max: 50, unit: '°C' },
  {
    name: 'humidity',
    label: 'Humidity',
    aside: true,
    holds: 'figure',
    min: 1,
    max: 100,
    unit: '%',
  },
];

export const finishFields: Readonly<Record<Finish['do'], readonly FinishField[]>> = {
  paint: [
    piece,
    { name: 'material', label: 'Material', aside: true, holds: 'choice', of: materials },
    { name: 'paint', label: 'Paint', holds: 'choice', of: paints },
    {
      name: 'ground',
      label: 'On',
      holds: 'choice',
      of: ['over', 'bare'],
      says: { over: 'the cleaned old finish', bare: 'bare material, with primer' },
    },
    {
      name: 'coats',
      label: 'Coats',
      holds: 'choice',
      of: ['thin', 'three-two-two'],
      says: { thin: 'seven or eight thin ones', 'three-two-two': '3 primer, 2 colour, 2 clear' },
    },
    { name: 'colour', label: 'Colour', aside: true, holds: 'word' },
    { name: 'secondColour', label: 'Second colour', aside: true, holds: 'word' },
    { name: 'clear', label: 'Clear coat', holds: 'yes' },
    { name: 'fill', label: 'Fill dents', holds: 'yes' },
    { name: 'bake', label: 'Bake', holds: 'yes' },
    { name: 'bakeC', label: 'Oven', aside: true, holds: 'figure', min: 30, max: 250, unit: '°C' },
    {
      name: 'areaCm2',
      label: 'Area',
      aside: true,
      holds: 'figure',
      min: 1,
      max: 100_000,
      unit: 'cm²',
    },
    ...room,
  ],
  bath: [
    piece,
    { name: 'school', label: 'As', holds: 'choice', of: ['bath', 'cream'] },
    {
      name: 'bottlePercent',
      label: 'The bottle says',
      holds: 'figure',
      min: 0,
      max: 60,
      unit: '%',
    },
    { name: 'wantedPercent', label: 'Wanted', holds: 'figure', min: 0, max: 60, unit: '%' },
    { name: 'vesselMl', label: 'Vessel', holds: 'figure', min: 1, max: 500_000, unit: 'ml' },
    {
      name: 'displacedMl',
      label: 'Part and fillers',
      aside: true,
      holds: 'figure',
      min: 0,
      max: 500_000,
      unit: 'ml',
    },
    {
      name: 'openMonths',
      label: 'Bottle open since',
      aside: true,
      holds: 'figure',
      min: 0,
      max: 120,
      unit: 'months',
    },
    {
      name: 'light',
      label: 'Light',
      holds: 'choice',
      of: ['sun', 'lamp', 'shade'],
      says: { lamp: 'UV lamp' },
    },
    ...room,
  ],
  wash: [piece, { name: 'what', label: 'What', holds: 'choice', of: washables }],
  glue: [piece, { name: 'which', label: 'Glue', holds: 'choice', of: glues }],
  filler: [
    piece,
    { name: 'which', label: 'Filler', holds: 'choice', of: ['two-part', 'spot putty'] },
  ],
  metal: [
    piece,
    { name: 'what', label: 'Do', holds: 'choice', of: ['file', 'drill', 'cut'] },
    { name: 'minutes', label: 'Hands', holds: 'figure', min: 1, max: 600, unit: 'min' },
  ],
  print: [
    piece,
    { name: 'material', label: 'Material', holds: 'choice', of: prints },
    { name: 'hours', label: 'On the printer', holds: 'figure', min: 0.1, max: 200, unit: 'h' },
    { name: 'unattended', label: 'May run alone', holds: 'yes' },
  ],
  'old shell': [
    piece,
    { name: 'shell', label: 'It was a', holds: 'choice', of: shells },
    { name: 'built', label: 'Built', aside: true, holds: 'figure', min: 1900, max: 2100, unit: '' },
  ],
};

/** Words for choices a field says otherwise. */
export const saysOf = (field: FinishField, value: string): string =>
  (field.holds === 'choice' && field.says?.[value]) || value;

/** Why a value cannot stand in its field; undefined where it can. */
export function fieldFault(field: FinishField, value: unknown): string | undefined {
  if (value === undefined) return field.aside ? undefined : `${field.label} is wanted`;
  switch (field.holds) {
    case 'choice':
      return field.of.includes(value as string) ? undefined : `${field.label}: not on the list`;
    case 'yes':
      return typeof value === 'boolean' ? undefined : `${field.label}: yes or no`;
    case 'word':
      return typeof value === 'string' && value.length > 0 && value.length <= 60
        ? undefined
        : `${field.label}: at most 60 letters`;
    case 'figure':
      return typeof value === 'number' && value >= field.min && value <= field.max
        ? undefined
        : `${field.label}: ${field.min} to ${field.max}${field.unit === '' ? '' : ` ${field.unit}`}`;
  }
}

/** Why a value is no work on a surface; undefined where it is. */
export const finishFault = (value: unknown): string | undefined =>
  toldFault(finishFields, value, 'work on a surface');

/** Why a value is none of these, each told by its fields: a sort in `do`, an id, and nothing it does not know. */
export function toldFault(
  all: Readonly<Record<string, readonly FinishField[]>>,
  value: unknown,
  noun: string,
): string | undefined {
  if (typeof value !== 'object' || value === null) return `is no ${noun}`;
  const own = new Map<string, unknown>(Object.entries(value));
  const fields = Object.entries(all).find(([sort]) => sort === own.get('do'))?.[1];
  if (!fields) return `names no ${noun} that is known`;
  const id = own.get('id');
  if (typeof id !== 'string' || !/^[a-z0-9]{1,20}$/.test(id)) return 'has no id';
  const known = new Set(['do', 'id', ...fields.map(({ name }) => name)]);
  for (const name of own.keys())
    if (!known.has(name)) return `has a name it does not know: ${name}`;
  return fields.flatMap((field) => fieldFault(field, own.get(field.name)) ?? [])[0];
}
