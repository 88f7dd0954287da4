import { IntakeError, present, reader, type DraftPart, type Inventory } from './inventory.ts';
import { rowsIn, textIn, type Row } from './json.ts';
import { believable } from './junk.ts';
import { bytesIn, driveGb } from './words.ts';

const say = reader('lsblk');

const yes = (value: unknown) => value === true || value === '1';

/** Reads `lsblk -J`, with sizes as `465.8G` or as bytes (`-b`), flags as booleans or "0"/"1". */
export function readLsblk(json: unknown): Inventory {
  const devices = (json as { blockdevices?: unknown }).blockdevices;
  if (!Array.isArray(devices)) throw new IntakeError('No blockdevices list in this JSON.');
  return { tool: 'lsblk', facts: {}, parts: rowsIn(devices).flatMap(drive), ignored: [] };
}

function drive(device: Row): DraftPart[] {
  const name = textIn(device['name']) ?? textIn(device['kname']) ?? '';
  const type = device['type'] ?? 'disk';
  if (
    type !== 'disk' ||
    yes(device['rm']) ||
    device['tran'] === 'usb' ||
    /^(loop|zram|ram|sr|fd)/.test(name)
  )
    return [];
  const bytes = bytesIn(device['size']);
  const size = bytes ? driveGb(bytes) : undefined;
  if (!size) return [];
  const flash = device['tran'] === 'nvme' || name.startsWith('nvme');
  return [
    {
      kind: 'drive',
      name: believable(device['model']) ?? `drive ${name}`,
      facts: present({ size: say.number(size), form: flash ? say.text('M.2') : undefined }),
    },
  ];
}
