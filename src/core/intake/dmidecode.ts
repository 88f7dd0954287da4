import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { believableLimit } from './fitting.ts';
import { believable } from './junk.ts';
import {
  caseClassIn,
  ddr3Volts,
  fullName,
  isSoldered,
  memoryFormIn,
  memoryGb,
  memoryKindIn,
  moduleSortIn,
  socketIn,
  speedIn,
  voltsIn,
} from './words.ts';

const TOOL = 'dmidecode';
const say = reader(TOOL);

/** One structure of the table: its SMBIOS type and its `key: value` lines. */
export interface DmiRecord {
  type: number;
  title: string;
  fields: Map<string, string>;
}

/** Splits the text of any version (tabs or spaces, type on the handle's line or below it). */
export function dmiRecords(text: string): DmiRecord[] {
  return text
    .replace(/\r/g, '')
    .split(/^Handle 0x/m)
    .slice(1)
    .flatMap((block) => {
      const type = /DMI type (\d+)/.exec(block)?.[1];
      if (type === undefined) return [];
      const lines = block.split('\n');
      const at = lines.findIndex((line) => line.includes('DMI type'));
      const fields = new Map<string, string>();
      for (const line of lines.slice(at + 1)) {
        const match = /^\s+([^:\s][^:]*):(.*)$/.exec(line);
        if (match?.[1] && !fields.has(match[1])) fields.set(match[1], (match[2] ?? '').trim());
      }
      return { type: Number(type), title: (lines[at + 1] ?? '').trim(), fields };
    });
}

/** Reads `dmidecode` text. Throws IntakeError when no structure is in it. */
export function readDmidecode(text: string): Inventory {
  const records = dmiRecords(text);
  if (records.length === 0)
    throw new IntakeError('No DMI structures in this text: was it cut short?');
  const of = (type: number) => records.filter((record) => record.type === type);
  const field = (type: number, key: string) => believable(of(type)[0]?.fields.get(key));
  const ignored: string[] = [];
  const name = fullName(field(1, 'Manufacturer'), field(1, 'Product Name'));
  const memory = of(17).flatMap((record) => module(record, ignored));
  return {
    tool: TOOL,
    name: name ?? fullName(field(2, 'Manufacturer'), field(2, 'Product Name')),
    facts: present({
      model: text1(name),
      serial: text1(field(1, 'Serial Number')),
      firmware: text1(field(0, 'Version')),
      biosDate: text1(field(0, 'Release Date')),
      chassis: text1(field(3, 'Type')),
    }),
    parts: [
      shell(field(3, 'Type')),
      ...board(records, memory, ignored),
      ...of(4).flatMap(processor),
      ...memory.map(({ part }) => part),
      ...of(39).flatMap((record) => supply(record, ignored)),
    ],
    ignored,
  };
}

const text1 = (text: string | undefined) => (text ? say.text(text) : undefined);

function shell(type: string | undefined): DraftPart {
  return {
    kind: 'case',
    name: type ? `case (${type.toLowerCase()})` : 'case',
    facts: present({ class: text1(caseClassIn(type)) }),
  };
}

/** The board with its memory, array by array added up. A limit below what is fitted is a slip of the firmware: not believed. */
function board(records: DmiRecord[], memory: DmiModule[], ignored: string[]): DraftPart[] {
  const base = records.find((record) => record.type === 2)?.fields;
  const arrays = records
    .filter(
      (record) =>
        record.type === 16 && /system memory/i.test(record.fields.get('Use') ?? 'System Memory'),
    )
    .map(({ fields }) => fields);
  const socket = records.flatMap((record) =>
    record.type === 4 ? (socketOf(record) ?? []) : [],
  )[0];
  const slots = arrays.reduce((sum, each) => sum + (Number(each.get('Number Of Devices')) || 0), 0);
  const limits = arrays.map((each) => memoryGb(each.get('Maximum Capacity')));
  const limit = limits.reduce<number | undefined>(
    (sum, each) => (sum === undefined || each === undefined ? undefined : sum + each),
    limits.length > 0 ? 0 : undefined,
  );
  const most = believableLimit(
    limit,
    memory.map(({ part }) => part),
    ignored,
  );
  const slowed = slowedTo(memory);
  const wide = records.filter(
    (record) => record.type === 9 && /x16/i.test(record.fields.get('Type') ?? ''),
  ).length;
  const first = memory[0]?.part.facts;
  const name = fullName(
    believable(base?.get('Manufacturer')),
    believable(base?.get('Product Name')),
  );
  if (!base && arrays.length === 0) return [];
  return [
    {
      kind: 'board',
      name: name ? `board ${name}` : 'board',
      facts: present({
        socket: text1(socket),
        memorySlots: slots > 0 ? say.number(slots) : undefined,
        memoryMax: most ? say.number(most) : undefined,
        memoryKind: first?.['memoryKind'],
        memoryForm: first?.['memoryForm'],
        memorySpeed: slowed ? say.number(slowed) : undefined,
        x16: wide > 0 ? say.number(wide) : undefined,
      }),
    },
  ];
}

const socketOf = (record: DmiRecord) =>
  socketIn(record.fields.get('Upgrade')) ?? socketIn(record.fields.get('Socket Designation'));

function processor(record: DmiRecord): DraftPart[] {
  const status = record.fields.get('Status') ?? '';
  if (/unpopulated/i.test(status)) return [];
  const name = believable(record.fields.get('Version')) ?? believable(record.fields.get('Family'));
  return [
    {
      kind: 'processor',
      name: name ?? 'processor',
      facts: present({ socket: text1(socketOf(record)) }),
    },
  ];
}

/** A module with the speed it is made for and the one it runs at. */
interface DmiModule {
  part: DraftPart;
  rated: number | undefined;
  runs: number | undefined;
}

function module({ fields }: DmiRecord, ignored: string[]): DmiModule[] {
  const size = memoryGb(fields.get('Size'));
  if (!size || /flash/i.test(fields.get('Type') ?? '')) return [];
  const at = believable(fields.get('Locator'));
  if (isSoldered(fields.get('Type'), fields.get('Form Factor'))) {
    ignored.push(
      `${size} GB ${fields.get('Type')}${at ? ` ${at}` : ''}: soldered to the board, no module`,
    );
    return [];
  }
  const kind = memoryKindIn(fields.get('Type'));
  const rated = speedIn(fields.get('Speed'));
  const bits = (key: string) =>
    Number(/^(\d+) bits$/.exec(fields.get(key) ?? '')?.[1]) || undefined;
  const sort = moduleSortIn(
    fields.get('Type Detail'),
    fields.get('Type'),
    bits('Total Width'),
    bits('Data Width'),
  );
  const ranks = Number(fields.get('Rank'));
  return [
    {
      rated,
      runs: speedIn(fields.get('Configured Memory Speed') ?? fields.get('Configured Clock Speed')),
      part: {
        kind: 'memory',
        name: [`${size} GB`, kind, at].filter(Boolean).join(' '),
        facts: present({
          size: say.number(size),
          memoryKind: text1(kind),
          memoryForm: text1(memoryFormIn(fields.get('Form Factor'))),
          memoryVolts: text1(ddr3Volts(voltsIn(fields.get('Minimum Voltage')), kind)),
          speed: rated ? say.number(rated) : undefined,
          sort: text1(sort),
          ranks: ranks > 0 && ranks <= 8 ? say.number(ranks) : undefined,
        }),
      },
    },
  ];
}

/** The speed all modules run at while each is made for more: then it is the board's. */
function slowedTo(memory: readonly DmiModule[]): number | undefined {
  const runs = memory[0]?.runs;
  return runs !== undefined &&
    memory.every((each) => each.runs === runs && each.rated !== undefined && each.rated > runs)
    ? runs
    : undefined;
}

/** Watts as printed; firmware that fills the field in watts shows up as thousandths ("0.460 W"): not believed, taken as said. */
function supply(record: DmiRecord, ignored: string[]): DraftPart[] {
  const printed = record.fields.get('Max Power Capacity') ?? '';
  const figure = Number(/^(\d+(?:\.\d+)?)\s*W$/.exec(printed)?.[1]);
  const watts = figure === 65535 ? NaN : figure;
  const name = believable(record.fields.get('Name')) ?? 'supply';
  if (/not present/i.test(record.fields.get('Status') ?? '')) return [];
  const slipped = watts > 0 && watts < 10;
  if (slipped)
    ignored.push(`supply "${printed}": no supply is that small, taken as ${watts * 1000} W, said`);
  const value = slipped ? Math.round(watts * 1000) : watts;
  return [
    {
      kind: 'supply',
      name,
      facts: present({
        watts:
          value > 0
            ? {
                lo: value,
                hi: value,
                how: slipped ? 'said' : 'read',
                source: slipped ? `${TOOL}, printed as ${printed}` : TOOL,
              }
            : undefined,
      }),
    },
  ];
}
