import { paperHtml, paperJson } from '$core/export/paperHtml.ts';
import { customersPaper, shopsPaper, type Paper } from '$core/record/papers.ts';
import { sheetOf } from '$core/record/sheet.ts';
import { photosOfJob } from '$core/shop/photos.ts';
import type { Job, Photo, Shop } from '$core/model/types/types.ts';
import { codeImage } from '../print/code.ts';
import { saveFile } from '../files/save.ts';
import { dateText } from '../ui/dates.ts';

/** A paper of a job, as it stands or as it was frozen. */
export function paperOf(sort: Paper['sort'], shop: Shop, job: Job, now: string): Paper {
  const make = sort === 'customer' ? customersPaper : shopsPaper;
  return make(sheetOf(shop, job), {
    jobId: job.id,
    shop: job.record?.shop ?? shop.name,
    contact: shop.settings.contact,
    at: job.handedOver ?? now,
    handedOver: job.handedOver !== undefined,
    incomplete: job.record?.incomplete,
    additions: job.additions,
    units: shop.settings,
    day: (iso) => dateText(iso, 'day'),
  });
}

/** Photographs that go on a paper: those marked before and after. */
export const photosOn = (shop: Shop, job: Job): Photo[] =>
  photosOfJob(shop, job.id).filter(({ when }) => when !== undefined);

const asData = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(reader.error ?? new Error('unreadable'));
    reader.readAsDataURL(blob);
  });

/** The paper as one HTML file with its code and, where wished, its photographs inside. */
export async function savePaperHtml(paper: Paper, photos: readonly Photo[]): Promise<void> {
  const { picturesOf } = await import('../photos/pictures.ts');
  const pictures = new Map(
    (await picturesOf(photos.map(({ hash }) => hash))).map(({ hash, blob }) => [hash, blob]),
  );
  const images = [{ src: await codeImage(paper.code), caption: `job ${paper.code}` }];
  for (const { hash, when, note } of photos) {
    const blob = pictures.get(hash);
    if (blob)
      images.push({ src: await asData(blob), caption: [when, note].filter(Boolean).join(', ') });
  }
  saveFile(`${nameOf(paper)}.html`, paperHtml(paper, images), 'text/html');
}

export const savePaperJson = (paper: Paper): void =>
  saveFile(`${nameOf(paper)}.json`, paperJson(paper), 'application/json');

const nameOf = ({ sort, code }: Paper): string => `job-${code}-${sort}-sheet`;
