import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { flatRows, numberIn, rowsIn, textIn, type Row } from './json.ts';
import { believable } from './junk.ts';
import {
  driveGb,
  fullName,
  memoryFormIn,
  memoryGbFromBytes,
  memoryKindIn,
  socketIn,
} from './words.ts';

const TOOL = 'lshw';
const say = reader(TOOL);

/** A node with its fields as what they must be, or not at all. */
interface Node {
  id: string;
  class: string | undefined;
  description: string | undefined;
  product: string | undefined;
  vendor: string | undefined;
  slot: string | undefined;
  size: number | undefined;
  units: string | undefined;
  businfo: string;
  logicalname: string;
}

function nodeOf(row: Row): Node {
  const names = row['logicalname'];
  return {
    id: textIn(row['id']) ?? '',
    class: textIn(row['class']),
    description: textIn(row['description']),
    product: textIn(row['product']),
    vendor: textIn(row['vendor']),
    slot: textIn(row['slot']),
    size: numberIn(row['size']),
    units: textIn(row['units']),
    businfo: textIn(row['businfo']) ?? '',
    logicalname: (Array.isArray(names) ? names : [names])
      .map((name) => textIn(name) ?? '')
      .join(' '),
  };
}

/** Reads `lshw -json`, an object or (newer versions) an array of them. */
export function readLshw(json: unknown): Inventory {
  const nodes = flatRows(rowsIn(json), 'children').map(nodeOf);
  const system = nodes.find((node) => node.class === 'system');
  if (!system) throw new IntakeError('No system in this lshw output.');
  const name = fullName(believable(system.vendor), bare(system.product));
  const parts = [
    ...nodes.filter((node) => node.class === 'bus' && node.id.startsWith('core')).flatMap(board),
    ...nodes.filter((node) => node.class === 'processor').flatMap(processor),
    ...nodes.filter((node) => node.id.startsWith('bank')).flatMap(bank),
    ...nodes.filter((node) => node.class === 'disk' || isNvme(node)).flatMap(disk),
  ];
  return {
    tool: TOOL,
    name,
    facts: present({ model: name ? say.text(name) : undefined }),
    parts,
    ignored: [],
  };
}

/** lshw appends the stock number in brackets. */
const bare = (text: string | undefined) => believable((text ?? '').replace(/\s*\([^)]*\)$/, ''));

function board(node: Node): DraftPart[] {
  const name = fullName(believable(node.vendor), bare(node.product));
  return name ? [{ kind: 'board', name: `board ${name}`, facts: {} }] : [];
}

function processor(node: Node): DraftPart[] {
  const name = believable(node.product);
  const socket = socketIn(node.slot);
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

function bank(node: Node): DraftPart[] {
  const size =
    node.units === 'bytes' || node.units === undefined ? memoryGbFromBytes(node.size) : undefined;
  if (!size) return [];
  const kind = memoryKindIn(node.description);
  const form = memoryFormIn(node.description);
  const speed = Number(/(\d{3,5}) ?MHz/.exec(node.description ?? '')?.[1]);
  return [
    {
      kind: 'memory',
      name: [`${size} GB`, kind, believable(node.slot)].filter(Boolean).join(' '),
      facts: present({
        size: say.number(size),
        memoryKind: kind ? say.text(kind) : undefined,
        memoryForm: form ? say.text(form) : undefined,
        speed: speed > 0 ? say.number(speed) : undefined,
      }),
    },
  ];
}

const isNvme = (node: Node) =>
  node.class === 'storage' && /nvme/i.test(`${node.id} ${node.description}`);

function disk(node: Node): DraftPart[] {
  const name = believable(node.product);
  if (/dvd|cd-?rom|optical/i.test(`${node.description} ${node.product}`)) return [];
  if (/^usb/.test(node.businfo)) return [];
  const size = node.units === 'bytes' && node.size ? driveGb(node.size) : undefined;
  if (!name && !size) return [];
  const flash = isNvme(node) || /nvme/.test(node.logicalname);
  return [
    {
      kind: 'drive',
      name: name ?? 'drive',
      facts: present({
        size: size ? say.number(size) : undefined,
        form: flash ? say.text('M.2') : undefined,
      }),
    },
  ];
}
