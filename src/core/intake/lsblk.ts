import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { rowsIn, textIn, type Row } from './json.ts';
import { believable } from './junk.ts';
import { driveGbIn } from './words.ts';

const say = reader('lsblk');

const yes = (value: unknown) => value === true || value === '1';

/** Reads `lsblk -J`, with sizes as `465.8G` or as bytes (`-b`), flags as booleans or "0"/"1". */
export function readLsblk(json: unknown): Inventory {
  const devices = (json as { blockdevices?: unknown }).blockdevices;
  if (!Array.isArray(devices)) throw new IntakeError('No blockdevices list in this JSON.');
  const ignored: string[] = [];
  const parts = rowsIn(devices).flatMap((device) => drive(device, ignored));
  return { tool: 'lsblk', facts: {}, parts, ignored };
}

function drive(device: Row, ignored: string[]): DraftPart[] {
  const name = textIn(device['name']) ?? textIn(device['kname']) ?? '';
  const type = device['type'] ?? 'disk';
  if (
    type !== 'disk' ||
    yes(device['rm']) ||
    device['tran'] === 'usb' ||
    /^(loop|zram|ram|sr|fd)/.test(name)
  )
    return [];
  const size = driveGbIn(device['size']);
  if (!size) return [];
  if (/^mmcblk/.test(name)) {
    ignored.push(`${name}, ${size} GB: soldered or a card in its slot, no drive`);
    return [];
  }
  const flash = device['tran'] === 'nvme' || name.startsWith('nvme');
  return [
    {
      kind: 'drive',
      name: believable(device['model']) ?? `drive ${name}`,
      facts: present({ size: say.number(size), form: flash ? say.text('M.2') : undefined }),
    },
  ];
}
