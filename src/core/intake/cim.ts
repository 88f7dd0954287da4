import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { believableLimit } from './fitting.ts';
import { isRow, numberIn, rowsIn, type Row } from './json.ts';
import { believable } from './junk.ts';
import {
  caseClassOf,
  ddr3Volts,
  driveGb,
  fullName,
  isSoldered,
  memoryFormIn,
  memoryGbFromBytes,
  memoryKindIn,
  moduleSortIn,
  socketIn,
  speedIn,
} from './words.ts';

/**
 * The built-in inventory of the common consumer desktop system, as JSON from one shell line.
 * Class and property names: the CIM schema as that system documents it (from memory).
 */
export const cimCommand = [
  'powershell -NoProfile -Command "[ordered]@{nutshell=1;',
  'system=gcim Win32_ComputerSystem|select Manufacturer,Model;',
  'board=gcim Win32_BaseBoard|select Manufacturer,Product;',
  'bios=gcim Win32_BIOS|select SMBIOSBIOSVersion;',
  'chassis=gcim Win32_SystemEnclosure|select ChassisTypes;',
  'processors=@(gcim Win32_Processor|select Name,SocketDesignation);',
  'memory=@(gcim Win32_PhysicalMemory|select Capacity,Speed,ConfiguredClockSpeed,SMBIOSMemoryType,FormFactor,DeviceLocator,TotalWidth,DataWidth,MinVoltage);',
  'array=@(gcim Win32_PhysicalMemoryArray|select MemoryDevices,MaxCapacity);',
  'drives=@(gcim Win32_DiskDrive|select Model,Size,InterfaceType);',
  'cards=@(gcim Win32_VideoController|select Name)',
  '}|ConvertTo-Json -Depth 4"',
].join('');

const TOOL = 'built-in inventory';
const say = reader(TOOL);

/** A list that the tool may have printed as one object, as `{value:[…]}`, or not at all. */
function rows(value: unknown): Row[] {
  const inner = isRow(value) ? value['value'] : undefined;
  return rowsIn(Array.isArray(inner) ? inner : value);
}

/** Reads what `cimCommand` prints. */
export function readCim(json: unknown): Inventory {
  const all = json as Row;
  if (typeof all !== 'object' || all === null || !('system' in all)) {
    throw new IntakeError('No system in this JSON: was the shell line copied whole?');
  }
  const first = (key: string) => rows(all[key])[0] ?? {};
  const name = fullName(
    believable(first('system')['Manufacturer']),
    believable(first('system')['Model']),
  );
  const ignored: string[] = [];
  const memory = rows(all['memory']).flatMap((row) => module(row, ignored));
  const processors = rows(all['processors']);
  const chassisTypes = first('chassis')['ChassisTypes'];
  const shell = caseClassOf(Array.isArray(chassisTypes) ? chassisTypes[0] : chassisTypes);
  const firmware = believable(first('bios')['SMBIOSBIOSVersion']);
  return {
    tool: TOOL,
    name,
    facts: present({
      model: name ? say.text(name) : undefined,
      firmware: firmware ? say.text(firmware) : undefined,
    }),
    parts: [
      {
        kind: 'case',
        name: shell ? `case (${shell})` : 'case',
        facts: present({ class: shell ? say.text(shell) : undefined }),
      },
      ...board(first('board'), rows(all['array']), processors[0], memory, ignored),
      ...processors.flatMap(processor),
      ...memory,
      ...rows(all['drives']).flatMap(drive),
      ...rows(all['cards']).flatMap(card),
    ],
    ignored,
  };
}

function board(
  base: Row,
  arrays: readonly Row[],
  cpu: Row | undefined,
  memory: DraftPart[],
  ignored: string[],
): DraftPart[] {
  const name = fullName(believable(base['Manufacturer']), believable(base['Product']));
  const socket = socketIn(believable(cpu?.['SocketDesignation']));
  const sum = (key: string) => arrays.reduce((all, each) => all + (Number(each[key]) || 0), 0);
  const [slots, mostKib] = [sum('MemoryDevices'), sum('MaxCapacity')];
  const most = believableLimit(mostKib > 0 ? mostKib / 2 ** 20 : undefined, memory, ignored);
  return [
    {
      kind: 'board',
      name: name ? `board ${name}` : 'board',
      facts: present({
        socket: socket ? say.text(socket) : undefined,
        memorySlots: slots > 0 ? say.number(slots) : undefined,
        memoryMax: most ? say.number(most) : undefined,
        memoryKind: memory[0]?.facts['memoryKind'],
        memoryForm: memory[0]?.facts['memoryForm'],
      }),
    },
  ];
}

function processor(row: Row): DraftPart[] {
  const name = believable(row['Name']);
  const socket = socketIn(believable(row['SocketDesignation']));
  return name
    ? [
        {
          kind: 'processor',
          name,
          facts: present({ socket: socket ? say.text(socket) : undefined }),
        },
      ]
    : [];
}

function module(row: Row, ignored: string[]): DraftPart[] {
  const size = memoryGbFromBytes(row['Capacity']);
  if (!size) return [];
  const type = numberIn(row['SMBIOSMemoryType']);
  const form = memoryFormIn(numberIn(row['FormFactor']));
  if (isSoldered(type)) {
    ignored.push(`${size} GB of soldered memory: no module`);
    return [];
  }
  const kind = memoryKindIn(type);
  const speed = speedIn(row['Speed']);
  const volts = (numberIn(row['MinVoltage']) ?? 0) / 1000;
  const low = ddr3Volts(volts > 0 ? volts : undefined, kind);
  const sort = moduleSortIn(
    undefined,
    type,
    numberIn(row['TotalWidth']),
    numberIn(row['DataWidth']),
  );
  return [
    {
      kind: 'memory',
      name: [`${size} GB`, kind, believable(row['DeviceLocator'])].filter(Boolean).join(' '),
      facts: present({
        size: say.number(size),
        memoryKind: kind ? say.text(kind) : undefined,
        memoryForm: form ? say.text(form) : undefined,
        speed: speed ? say.number(speed) : undefined,
        memoryVolts: low ? say.text(low) : undefined,
        sort: sort ? say.text(sort) : undefined,
      }),
    },
  ];
}

function drive(row: Row): DraftPart[] {
  const name = believable(row['Model']);
  const size = driveGb(Number(row['Size']));
  if (!name || /^usb$/i.test(String(row['InterfaceType']))) return [];
  const flash = /nvme/i.test(name);
  return [
    {
      kind: 'drive',
      name,
      facts: present({
        size: size ? say.number(size) : undefined,
        form: flash ? say.text('M.2') : undefined,
      }),
    },
  ];
}

/** Graphics that is part of the processor is no card. */
function card(row: Row): DraftPart[] {
  const name = believable(row['Name']);
  const onChip = /\b(UHD|HD|Iris|Vega \d) ?Graphics|basic display|remote|virtual/i.test(name ?? '');
  return name && !onChip ? [{ kind: 'card', name, facts: {} }] : [];
}
