import { jobShop } from '$core/export/jobShop.ts';
import { writeShop } from '$core/export/json.ts';
import type { Job, Shop } from '$core/model/types/types.ts';
import { planOf } from '$core/plan/planOf.ts';
import { shopStore } from '../shop/shopStore.svelte.ts';
import { toast } from '../shop/toasts.svelte.ts';
import { saveBlob, saveFile, saveZip, slug } from './save.ts';

/** Parts of a shop as files: cards of models, one job, tables, the book. */

/** What was measured of some models, or of all, as cards another shop takes in. */
export async function exportCards(modelIds?: readonly string[]): Promise<void> {
  const { cardsOf, writeCards } = await import('$core/cards/cards.ts');
  const file = cardsOf(shopStore.shop, modelIds);
  if (file.cards.length === 0) {
    toast('Nothing is measured of a model yet.');
    return;
  }
  const name = modelIds?.length === 1 ? (file.cards[0]?.id ?? 'model') : slug(shopStore.shop.name);
  const wanted = [
    ...new Set(file.cards.flatMap((card) => (card.photos ?? []).map(({ hash }) => hash))),
  ];
  if (wanted.length === 0) {
    saveFile(`${name}.cards.json`, writeCards(file), 'application/json');
    return;
  }
  const { filesWorker } = await import('./fileWork.ts');
  const { picturesOf } = await import('../photos/pictures.ts');
  saveBlob(
    `${name}.cards.zip`,
    await filesWorker().zip(writeCards(file), await picturesOf(wanted), 'cards.nutshell.json'),
  );
}

/** One job with its photos; whose machine it is goes out only where that is wished. */
export async function exportJob(shop: Shop, job: Job, withCustomer: boolean): Promise<void> {
  const own = jobShop(shop, job, withCustomer);
  if (own.photos.length === 0) saveJob(shop, job, withCustomer);
  else await saveZip(`job-${job.id}`, own);
}

export function saveJob(shop: Shop, job: Job, withCustomer = false): void {
  saveFile(
    `job-${job.id}.nutshell.json`,
    writeShop(jobShop(shop, job, withCustomer)),
    'application/json',
  );
}

/** Rows are defused in the core; the package only quotes them. Both come with the first table that is wanted. */
async function csv(rows: readonly (readonly unknown[])[]): Promise<string> {
  const { default: Papa } = await import('papaparse');
  return Papa.unparse(rows as unknown[][], { newline: '\r\n' });
}

export async function saveParts(shop: Shop, job: Job): Promise<void> {
  const { partsTable } = await import('$core/export/partsTable.ts');
  const plan = planOf(shop, job);
  const parts = [...plan.seats.map((placed) => placed.part), ...plan.goes.map((gone) => gone.part)];
  saveFile(`job-${job.id}-parts.csv`, await csv(partsTable(shop, parts)), 'text/csv');
}

export async function saveBook(shop: Shop): Promise<void> {
  const { bookTable } = await import('$core/export/journal.ts');
  saveFile(`${slug(shop.name)}-book.csv`, await csv(bookTable(shop)), 'text/csv');
}

/** A plain-text journal of double entries, as the usual bookkeeping programs of the command line read it. */
export async function saveJournal(shop: Shop): Promise<void> {
  const { journal } = await import('$core/export/journal.ts');
  saveFile(`${slug(shop.name)}.journal`, journal(shop), 'text/plain');
}
