import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { compactIds } from '$core/links/ids.ts';

/**
 * The open lists of PCI and USB numbers as they lie on this machine (Debian packages pci.ids and
 * usb.ids): none ships with the product. `ID_LISTS` names another folder.
 */
export const idKinds = ['pci', 'usb'] as const;
export type IdKind = (typeof idKinds)[number];

const folders = [
  process.env['ID_LISTS'],
  '/usr/share/misc',
  '/var/lib/usbutils',
  '/usr/share/hwdata',
].filter((folder) => folder !== undefined);

export interface CompactList {
  text: string;
  br: Uint8Array<ArrayBuffer>;
  gzip: Uint8Array<ArrayBuffer>;
}
const kept = new Map<IdKind, Promise<CompactList>>();

/** The compact list with its packed forms, made once; undefined where this machine has none. */
export function idList(kind: IdKind): Promise<CompactList> | undefined {
  const before = kept.get(kind);
  if (before) return before;
  const path = folders.map((folder) => `${folder}/${kind}.ids`).find((each) => existsSync(each));
  if (path === undefined) return undefined;
  const list = packed(path);
  kept.set(kind, list);
  list.catch(() => kept.delete(kind));
  return list;
}

/** Packed off the serving thread. */
async function packed(path: string): Promise<CompactList> {
  const text = compactIds(textOf(await readFile(path)));
  const [br, gz] = await Promise.all([
    promisify(brotliCompress)(text, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
    promisify(gzip)(text, { level: 9 }),
  ]);
  return { text, br: new Uint8Array(br), gzip: new Uint8Array(gz) };
}

function textOf(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
