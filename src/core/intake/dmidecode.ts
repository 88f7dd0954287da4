import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { isNumber } from '../model/types/fact.ts';
import { believable } from './junk.ts';
import {
  caseClassIn,
  fullName,
  memoryFormIn,
  memoryGb,
  memoryKindIn,
  socketIn,
  speedIn,
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
  const memory = of(17).flatMap(module);
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
      ...memory,
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

/** A limit below what is fitted is a slip of the firmware: not believed. */
function board(records: DmiRecord[], memory: DraftPart[], ignored: string[]): DraftPart[] {
  const base = records.find((record) => record.type === 2)?.fields;
  const array = records.find(
    (record) =>
      record.type === 16 && /system memory/i.test(record.fields.get('Use') ?? 'System Memory'),
  )?.fields;
  const socket = records.flatMap((record) =>
    record.type === 4 ? (socketOf(record) ?? []) : [],
  )[0];
  const slots = Number(array?.get('Number Of Devices'));
  const limit = memoryGb(array?.get('Maximum Capacity'));
  const fitted = memory.reduce(
    (sum, { facts: { size } }) => sum + (isNumber(size) ? size.lo : 0),
    0,
  );
  const most = limit !== undefined && limit >= fitted ? limit : undefined;
  if (limit !== undefined && most === undefined) {
    ignored.push(`memory limit "${limit} GB": ${fitted} GB are fitted`);
  }
  const wide = records.filter(
    (record) => record.type === 9 && /x16/i.test(record.fields.get('Type') ?? ''),
  ).length;
  const kind = memory[0]?.facts['memoryKind'];
  const form = memory[0]?.facts['memoryForm'];
  const name = fullName(
    believable(base?.get('Manufacturer')),
    believable(base?.get('Product Name')),
  );
  if (!base && !array) return [];
  return [
    {
      kind: 'board',
      name: name ? `board ${name}` : 'board',
      facts: present({
        socket: text1(socket),
        memorySlots: slots > 0 ? say.number(slots) : undefined,
        memoryMax: most ? say.number(most) : undefined,
        memoryKind: kind,
        memoryForm: form,
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

function module(record: DmiRecord): DraftPart[] {
  const size = memoryGb(record.fields.get('Size'));
  if (!size || /flash/i.test(record.fields.get('Type') ?? '')) return [];
  const kind = memoryKindIn(record.fields.get('Type'));
  const speed = speedIn(record.fields.get('Speed'));
  return [
    {
      kind: 'memory',
      name: [`${size} GB`, kind, believable(record.fields.get('Locator'))]
        .filter(Boolean)
        .join(' '),
      facts: present({
        size: say.number(size),
        memoryKind: text1(kind),
        memoryForm: text1(memoryFormIn(record.fields.get('Form Factor'))),
        speed: speed ? say.number(speed) : undefined,
      }),
    },
  ];
}

/** Watts as printed; firmware that fills the field in watts shows up as thousandths ("0.460 W"): not believed, taken as said. */
function supply(record: DmiRecord, ignored: string[]): DraftPart[] {
  const printed = record.fields.get('Max Power Capacity') ?? '';
  const watts = Number(/^(\d+(?:\.\d+)?)\s*W$/.exec(printed)?.[1]);
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
