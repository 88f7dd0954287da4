import { copiesToKeep, copyDue } from '$core/shop/copies.ts';
import { writeShop } from '$core/export/json.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { storeName, whichShop } from '../shop/shops.ts';

/** Copies in the browser's own private file storage, taken by themselves while work goes on. */

export interface KeptCopy {
  /** ISO time it was taken. */
  at: string;
  bytes: number;
}

const CHECK_MS = 600_000;
const ending = '.nutshell.json';
/** A file's name has no colons: `2026-11-27T14-05-00Z`. */
const fileName = (at: string) => `${at.replace(/\.\d+Z$/, 'Z').replaceAll(':', '-')}${ending}`;
const timeOf = (name: string): string =>
  name.slice(0, -ending.length).replace(/T(\d\d)-(\d\d)-(\d\d)/, 'T$1:$2:$3');

async function directory(): Promise<FileSystemDirectoryHandle | undefined> {
  try {
    const root = await navigator.storage.getDirectory();
    return await root.getDirectoryHandle(`copies-${storeName(whichShop())}`, { create: true });
  } catch {
    return undefined;
  }
}

async function filesIn(folder: FileSystemDirectoryHandle): Promise<File[]> {
  const files: File[] = [];
  for await (const handle of folder.values())
    if (handle.kind === 'file' && handle.name.endsWith(ending))
      files.push(await (handle as FileSystemFileHandle).getFile());
  return files;
}

/** The newest first. */
export async function keptCopies(): Promise<KeptCopy[]> {
  const folder = await directory();
  if (!folder) return [];
  return (await filesIn(folder))
    .map(({ name, size }) => ({ at: timeOf(name), bytes: size }))
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

export async function copyOf(at: string): Promise<File | undefined> {
  const folder = await directory();
  const handle = await folder?.getFileHandle(fileName(at)).catch(() => undefined);
  return handle?.getFile();
}

/** The shop the last copy of this page was taken of: unchanged, it needs no other. */
let copied: unknown;

/** Takes a copy now; false where the browser keeps none. A copy is whole or not there. */
export async function takeCopy(): Promise<boolean> {
  const folder = await directory();
  if (!folder) return false;
  const at = new Date().toISOString();
  try {
    const { shop, versions } = await shopStore.copy();
    const handle = await folder.getFileHandle(fileName(at), { create: true });
    const stream = await handle.createWritable();
    await stream.write(writeShop({ ...shop, versions }));
    await stream.close();
  } catch {
    await folder.removeEntry(fileName(at)).catch(() => undefined);
    return false;
  }
  const copies = await keptCopies();
  const stay = new Set(
    copiesToKeep(
      copies.map((each) => each.at),
      at,
    ),
  );
  for (const each of copies)
    if (!stay.has(each.at)) await folder.removeEntry(fileName(each.at)).catch(() => undefined);
  return true;
}

async function copyWhenDue(): Promise<void> {
  const { ready, practice, trouble, shop } = shopStore;
  const { jobs, machines, parts } = shop;
  if (!ready || practice || trouble || shop === copied) return;
  if (jobs.length + machines.length + parts.length === 0) return;
  const times = (await keptCopies()).map(({ at }) => at);
  if (copyDue(times, new Date().toISOString()) && (await takeCopy())) copied = shop;
}

/** Looks every ten minutes whether one is due; the first time once the page has settled. */
export function keepCopies(): () => void {
  const first = setTimeout(() => void copyWhenDue(), 20_000);
  const timer = setInterval(() => void copyWhenDue(), CHECK_MS);
  return () => {
    clearTimeout(first);
    clearInterval(timer);
  };
}
