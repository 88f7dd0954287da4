/**
 * What an item of a list is, where it is more than a word: its fields are data, so that nobody takes
 * text apart to find them. A shape knows how an item is typed and printed; what a file may hold and
 * the JSON Schema follow from its fields.
 */
export interface Shape<Item = unknown> {
  name: string;
  /** What a typed item looks like. */
  like: string;
  /** An item as it is typed; undefined when it is none. */
  read(text: string): Item | undefined;
  write(item: Item): string;
  /** Whether a value of a file is such an item. */
  holds(value: unknown): value is Item;
  jsonSchema: Record<string, unknown>;
}

/** A field of an item: a figure between two bounds, several of them, a word of a list or of any letters, yes or no. */
type Field = (
  | { least: number; most: number; whole?: boolean; several?: boolean }
  | { words: readonly string[] }
  | { letters: number }
  | { yesNo: true }
) & { optional?: boolean };

type Fields = Readonly<Record<string, Field>>;

function fieldHolds(field: Field, value: unknown): boolean {
  if (value === undefined) return field.optional === true;
  if ('words' in field) return (field.words as readonly unknown[]).includes(value);
  if ('letters' in field)
    return typeof value === 'string' && value !== '' && value.length <= field.letters;
  if ('yesNo' in field) return typeof value === 'boolean';
  const figure = (each: unknown) =>
    typeof each === 'number' &&
    each >= field.least &&
    each <= field.most &&
    (!field.whole || Number.isInteger(each));
  return field.several
    ? Array.isArray(value) && value.length <= 60 && value.every(figure)
    : figure(value);
}

function fieldSchema(field: Field): Record<string, unknown> {
  if ('words' in field) return { enum: [...field.words] };
  if ('letters' in field) return { type: 'string', minLength: 1, maxLength: field.letters };
  if ('yesNo' in field) return { type: 'boolean' };
  const figure = {
    type: field.whole ? 'integer' : 'number',
    minimum: field.least,
    maximum: field.most,
  };
  return field.several ? { type: 'array', items: figure, maxItems: 60 } : figure;
}

const objectHolds = (fields: Fields, value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.keys(value).every((name) => Object.hasOwn(fields, name)) &&
  Object.entries(fields).every(([name, field]) =>
    fieldHolds(field, (value as Record<string, unknown>)[name]),
  );

const objectSchema = (fields: Fields): Record<string, unknown> => ({
  type: 'object',
  properties: Object.fromEntries(
    Object.entries(fields).map(([name, field]) => [name, fieldSchema(field)]),
  ),
  required: Object.keys(fields).filter((name) => !fields[name]?.optional),
  additionalProperties: false,
});

/** A shape of one sort of item, or of several. */
function shape<Item>(
  name: string,
  like: string,
  sorts: readonly Fields[],
  read: Shape<Item>['read'],
  write: Shape<Item>['write'],
  whole: (item: Item) => boolean = () => true,
): Shape<Item> {
  const holds = (value: unknown): value is Item =>
    sorts.some((fields) => objectHolds(fields, value)) && whole(value as Item);
  const schemas = sorts.map(objectSchema);
  return {
    name,
    like,
    read: (text) => {
      const item = read(text.trim());
      return holds(item) ? item : undefined;
    },
    write,
    holds,
    jsonSchema: schemas.length === 1 ? (schemas[0] ?? {}) : { anyOf: schemas },
  };
}

const figure = (text: string | undefined): number =>
  text === undefined || text.trim() === '' ? NaN : Number(text.replace(',', '.'));

/** Places in a case where drives are screwed down. */
export const drivePlaces = ['cage', 'floor', 'front', 'bracket', 'behind the tray'] as const;
export type DrivePlace = (typeof drivePlaces)[number];

/** From and to, as `20-38` or `-2-12`. */
function span(text: string | undefined): [number, number] {
  const [, from, to] = /^(-?[\d.]+)-(-?[\d.]+)$/.exec(text ?? '') ?? [];
  return [figure(from), figure(to)];
}

/** A place where a drive is screwed down, `cage 3.5`, and how deep it is there for drive, plugs and leads, where somebody measured. */
export interface DriveMount {
  at: DrivePlace;
  form: string;
  deep?: number | undefined;
}

export const driveMount = shape<DriveMount>(
  'driveMount',
  'cage 3.5',
  [
    {
      at: { words: drivePlaces },
      form: { words: ['3.5', '2.5'] },
      deep: { least: 1, most: 500, optional: true },
    },
  ],
  (text) => {
    const [, at, form, deep] =
      /^([a-z][a-z ]*?) (\d\.\d)(?: (\d+(?:[.,]\d+)?) deep)?$/i.exec(text) ?? [];
    return at && form ? { at: at.toLowerCase() as DrivePlace, form, ...deepOf(deep) } : undefined;
  },
  ({ at, form, deep }) => `${at} ${form}${deep === undefined ? '' : ` ${deep} deep`}`,
);

/** How deep a mount is free, where it was typed. */
const deepOf = (deep: string | undefined) => (deep === undefined ? {} : { deep: figure(deep) });

/** Where a fan may hang: walls, and the bracket that small cases have over their PSU. */
export const walls = ['rear', 'front', 'top', 'floor', 'side', 'lid', 'PSU bracket'] as const;
export type Wall = (typeof walls)[number];

/** Where fans hang in a case whose mounts nobody listed: few have a bracket over the PSU. */
export const usualFanWalls: readonly Wall[] = walls.filter((wall) => wall !== 'PSU bracket');

/** A place for a fan: the wall, the fan's size in mm, and how deep it is free behind it where somebody measured. */
export interface FanMount {
  at: Wall;
  mm: number;
  deep?: number | undefined;
}

export const fanMount = shape<FanMount>(
  'fanMount',
  'rear 92',
  [
    {
      at: { words: walls },
      mm: { least: 20, most: 400, whole: true },
      deep: { least: 1, most: 500, optional: true },
    },
  ],
  (text) => {
    const [, name, mm, deep] =
      /^([a-z][a-z ]*?) (\d+)(?: (\d+(?:[.,]\d+)?) deep)?$/i.exec(text) ?? [];
    const at = walls.find((wall) => wall.toLowerCase() === name?.toLowerCase());
    return at ? { at, mm: figure(mm), ...deepOf(deep) } : undefined;
  },
  ({ at, mm, deep }) => `${at} ${mm}${deep === undefined ? '' : ` ${deep} deep`}`,
);

/**
 * A port or a cut-out of the rear wall, mm, seen from the board's side:
 *
 *   up ▲  ┌──────┐
 *      │  │ port │ y0..y1 over the board's surface
 *      └──┴──────┴──▶ x0..x1 from the board's edge at the port end
 */
export interface Area {
  name: string;
  x0: number;
  x1: number;
  y0: number;
  y1: number;
}

export const area = shape<Area>(
  'area',
  'HDMI 20-38 2-12',
  [
    {
      name: { letters: 200 },
      x0: { least: -100, most: 400 },
      x1: { least: -100, most: 400 },
      y0: { least: -100, most: 100 },
      y1: { least: -100, most: 100 },
    },
  ],
  (text) => {
    const words = text.split(/\s+/);
    const [x0, x1] = span(words.at(-2));
    const [y0, y1] = span(words.at(-1));
    const name = words.slice(0, -2).join(' ');
    return name ? { name, x0, x1, y0, y1 } : undefined;
  },
  ({ name, x0, x1, y0, y1 }) => `${name} ${x0}-${x1} ${y0}-${y1}`,
  ({ x0, x1, y0, y1 }) => x1 > x0 && y1 > y0,
);

/** A free place as a box, mm, its sides in any order: `160 x 70 x 40`. */
export interface Cuboid {
  sides: number[];
}

export const cuboid = shape<Cuboid>(
  'cuboid',
  '160 x 70 x 40',
  [{ sides: { least: 1, most: 1000, several: true } }],
  (text) => ({ sides: text.split(/[x×*]/i).map(figure) }),
  ({ sides }) => sides.join(' x '),
  ({ sides }) => sides.length === 3,
);

/** A hole of a board, mm from one corner; an unmeasured figure is left out. */
export interface Place {
  x?: number | undefined;
  y?: number | undefined;
}

export const place = shape<Place>(
  'place',
  '6.35 33.02',
  [
    {
      x: { least: -1000, most: 1000, optional: true },
      y: { least: -1000, most: 1000, optional: true },
    },
  ],
  (text) => {
    const [, x, y] = /^(\S+)[ ]+(\S+)$/.exec(text) ?? [];
    if (x === undefined || y === undefined) return undefined;
    return { ...(x !== '?' && { x: figure(x) }), ...(y !== '?' && { y: figure(y) }) };
  },
  ({ x, y }) => `${x ?? '?'} ${y ?? '?'}`,
  ({ x, y }) => x !== undefined || y !== undefined,
);

/** One measured point of an efficiency: load in percent of the label, percent of the power that comes out. */
export interface CurvePoint {
  load: number;
  percent: number;
}

export const curvePoint = shape<CurvePoint>(
  'curvePoint',
  '50 88',
  [{ load: { least: 0, most: 200 }, percent: { least: 5, most: 99.99 } }],
  (text) => {
    const [, load, percent] = /^([\d.,]+) ?%?[ :]+([\d.,]+) ?%?$/.exec(text) ?? [];
    return load ? { load: figure(load), percent: figure(percent) } : undefined;
  },
  ({ load, percent }) => `${load} ${percent}`,
);

/** What a 12 V rail of its own feeds. */
export const railFeeds = ['CPU', 'card', 'rest'] as const;

/** A 12 V rail with a limit of its own: its amps, and the plugs that hang on it where the label says. */
export interface RailAmps {
  amps: number;
  feeds?: (typeof railFeeds)[number] | undefined;
}

export const railAmps = shape<RailAmps>(
  'railAmps',
  '18 CPU',
  [{ amps: { least: 1, most: 200 }, feeds: { words: railFeeds, optional: true } }],
  (text) => {
    const [, amps, feeds] = /^([\d.,]+) ?A?(?: ([a-z]+))?$/i.exec(text) ?? [];
    if (amps === undefined) return undefined;
    const word = railFeeds.find((each) => each.toLowerCase() === feeds?.toLowerCase());
    return feeds !== undefined && !word
      ? undefined
      : { amps: figure(amps), ...(word && { feeds: word }) };
  },
  ({ amps, feeds }) => (feeds ? `${amps} ${feeds}` : `${amps}`),
);

/** A wire of a lead as a meter hears it: a pin at the PSU end and those at the load end that beep with it. */
export interface BuzzedWire {
  /** Counted on the header's face. */
  from: number;
  /** Empty: none does. */
  to: number[];
}

const pin = { least: 1, most: 60, whole: true };

export const buzzedWire = shape<BuzzedWire>(
  'buzzedWire',
  '3>5+6',
  [{ from: pin, to: { ...pin, several: true } }],
  (text) => {
    const [, from, to] = /^(\d{1,2})>(\d{1,2}(?:\+\d{1,2})*)?$/.exec(text) ?? [];
    return from ? { from: Number(from), to: to ? to.split('+').map(Number) : [] } : undefined;
  },
  ({ from, to }) => `${from}>${to.join('+')}`,
);

/** What a meter and the eye say of one pin of a plug. */
export type PinReading =
  | { kind: 'colour'; pin: number; colour: string }
  | { kind: 'gauge'; pin: number; awg: number }
  /** No contact in the cavity. */
  | { kind: 'empty'; pin: number }
  /** Does it beep to the chassis or to a pin known to be ground, unplugged? */
  | { kind: 'chassis'; pin: number; beeps: boolean }
  /** Does it beep to another pin, unplugged? */
  | { kind: 'common'; pin: number; with: number; beeps: boolean }
  /** Ohms to a pin known to be ground, unplugged and discharged; weak, for capacitors and bleeders tell little. */
  | { kind: 'ohms'; pin: number; ohms: number }
  | { kind: 'standby'; pin: number; volts: number }
  | { kind: 'running'; pin: number; volts: number };

/** A reading of a plug as it is kept: of a pin, or how many pins there are in how many rows. */
export type PlugReading = PinReading | { kind: 'grid'; rows: number; columns: number };

const beeps = { yesNo: true } as const;

export const plugReading = shape<PlugReading>(
  'plugReading',
  'colour 3 black',
  [
    { kind: { words: ['grid'] }, rows: { least: 1, most: 4, whole: true }, columns: pin },
    { kind: { words: ['colour'] }, pin, colour: { letters: 40 } },
    { kind: { words: ['gauge'] }, pin, awg: { least: 0, most: 40 } },
    { kind: { words: ['empty'] }, pin },
    { kind: { words: ['chassis'] }, pin, beeps },
    { kind: { words: ['common'] }, pin, with: pin, beeps },
    { kind: { words: ['ohms'] }, pin, ohms: { least: 0, most: 1e9 } },
    { kind: { words: ['standby', 'running'] }, pin, volts: { least: -1000, most: 1000 } },
  ],
  (text) => {
    const [kind, first, second, third] = text.split(' ');
    const at = figure(first);
    const heard = (word: string | undefined) =>
      ({ yes: true, no: false })[word ?? ''] as unknown as boolean;
    switch (kind) {
      case 'grid': {
        const [rows, columns] = (first ?? '').split('x').map(figure) as [number, number];
        return { kind, rows, columns };
      }
      case 'colour':
        return { kind, pin: at, colour: second ?? '' };
      case 'gauge':
        return { kind, pin: at, awg: figure(second) };
      case 'empty':
        return second === undefined ? { kind, pin: at } : undefined;
      case 'chassis':
        return { kind, pin: at, beeps: heard(second) };
      case 'common':
        return { kind, pin: at, with: figure(second), beeps: heard(third) };
      case 'ohms':
        return { kind, pin: at, ohms: figure(second) };
      case 'standby':
      case 'running':
        return { kind, pin: at, volts: figure(second) };
      default:
        return undefined;
    }
  },
  (reading) => {
    switch (reading.kind) {
      case 'grid':
        return `grid ${reading.rows}x${reading.columns}`;
      case 'colour':
        return `colour ${reading.pin} ${reading.colour}`;
      case 'gauge':
        return `gauge ${reading.pin} ${reading.awg}`;
      case 'empty':
        return `empty ${reading.pin}`;
      case 'chassis':
        return `chassis ${reading.pin} ${reading.beeps ? 'yes' : 'no'}`;
      case 'common':
        return `common ${reading.pin} ${reading.with} ${reading.beeps ? 'yes' : 'no'}`;
      case 'ohms':
        return `ohms ${reading.pin} ${reading.ohms}`;
      default:
        return `${reading.kind} ${reading.pin} ${reading.volts}`;
    }
  },
);

/** What a list of facts may hold. */
export type Item =
  string | DriveMount | FanMount | Area | Cuboid | Place | CurvePoint | BuzzedWire | PlugReading;
