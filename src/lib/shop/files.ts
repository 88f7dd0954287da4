import Papa from 'papaparse';
import { bookTable, journal } from '$core/export/journal.ts';
import { partsTable } from '$core/export/partsTable.ts';
import { jobShop, writeShop } from '$core/export/json.ts';
import { planOf } from '$core/plan/planOf.ts';
import type { Job, Shop } from '$core/model/types/types.ts';

/** Hands the browser a file to keep. */
export const saveFile = (name: string, text: string, type: string): void =>
  saveBlob(name, new Blob([text], { type }));

export const saveBytes = (name: string, bytes: Uint8Array, type: string): void =>
  saveBlob(name, new Blob([bytes as Uint8Array<ArrayBuffer>], { type }));

function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

const slug = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'shop';

export function saveShop(shop: Shop): void {
  saveFile(`${slug(shop.name)}.nutshell.json`, writeShop(shop), 'application/json');
}

export function saveJob(shop: Shop, job: Job): void {
  saveFile(`job-${job.id}.nutshell.json`, writeShop(jobShop(shop, job)), 'application/json');
}

/** Rows are defused in the core; the package only quotes them. */
export function partsCsv(shop: Shop, job: Job): string {
  const plan = planOf(shop, job);
  const parts = [...plan.seats.map((placed) => placed.part), ...plan.goes.map((gone) => gone.part)];
  return Papa.unparse(partsTable(shop, parts), { newline: '\r\n' });
}

export function saveParts(shop: Shop, job: Job): void {
  saveFile(`job-${job.id}-parts.csv`, partsCsv(shop, job), 'text/csv');
}

export function saveBook(shop: Shop): void {
  const text = Papa.unparse(bookTable(shop), { newline: '\r\n' });
  saveFile(`${slug(shop.name)}-book.csv`, text, 'text/csv');
}

/** A plain-text journal of double entries, as the usual bookkeeping programs of the command line read it. */
export function saveJournal(shop: Shop): void {
  saveFile(`${slug(shop.name)}.journal`, journal(shop), 'text/plain');
}
