import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { MOST_DEPTH, numberIn, rowsIn, textIn, type Row } from './json.ts';
import { believable } from './junk.ts';
import {
  caseClassIn,
  driveGb,
  fullName,
  isSoldered,
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
  /** Below a USB host or hub: a stick or a case for drives, none of the machine's own. */
  overUsb: boolean;
  inner: Row[];
  /** Sort of chassis, of the system only. */
  chassis: string | undefined;
}

function nodeOf(row: Row, overUsb: boolean): Node {
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
    overUsb,
    inner: rowsIn(row['children']),
    chassis: textIn(rowsIn(row['configuration'])[0]?.['chassis']),
  };
}

/** Reads `lshw -json`, an object or (newer versions) an array of them. */
export function readLshw(json: unknown): Inventory {
  const nodes = nodesIn(rowsIn(json));
  const system = nodes.find((node) => node.class === 'system');
  if (!system) throw new IntakeError('No system in this lshw output.');
  const name = fullName(believable(system.vendor), bare(system.product));
  const ignored: string[] = [];
  const shell = caseClassIn(system.chassis);
  const parts: DraftPart[] = [
    ...(shell
      ? [{ kind: 'case' as const, name: `case (${shell})`, facts: { class: say.text(shell) } }]
      : []),
    ...nodes.filter((node) => node.class === 'bus' && node.id.startsWith('core')).flatMap(board),
    ...nodes.filter((node) => node.class === 'processor').flatMap(processor),
    ...nodes.filter((node) => node.id.startsWith('bank')).flatMap((node) => bank(node, ignored)),
    ...nodes.filter((node) => node.class === 'disk' || isNvme(node)).flatMap(disk),
  ];
  return {
    tool: TOOL,
    name,
    facts: present({ model: name ? say.text(name) : undefined }),
    parts,
    ignored,
  };
}

/** Every node, those below a USB one marked, those below a drive left to it. */
function nodesIn(rows: readonly Row[], overUsb = false, depth = 0): Node[] {
  if (depth > MOST_DEPTH) return [];
  return rows.flatMap((row) => {
    const node = nodeOf(
      row,
      overUsb || /^usb/.test(`${textIn(row['id'])}`) || /^usb/.test(textIn(row['businfo']) ?? ''),
    );
    return [node, ...(isNvme(node) ? [] : nodesIn(node.inner, node.overUsb, depth + 1))];
  });
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

function bank(node: Node, ignored: string[]): DraftPart[] {
  const size =
    node.units === 'bytes' || node.units === undefined ? memoryGbFromBytes(node.size) : undefined;
  if (!size) return [];
  if (isSoldered(node.description)) {
    ignored.push(`${size} GB ${node.description}: soldered to the board, no module`);
    return [];
  }
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
  if (node.overUsb) return [];
  /* An NVMe drive bears its size on the namespace below it. */
  const bytes = [node, ...node.inner.map((row) => nodeOf(row, false))].find(
    (each) => each.units === 'bytes' && each.size,
  )?.size;
  const size = bytes ? driveGb(bytes) : undefined;
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
