import * as Comlink from 'comlink';
import { readCards, saysCards } from '$core/document/cardsSchema.ts';
import { MOST_FILE_BYTES, readShop, ShopFileError } from '$core/document/read.ts';
import type { CardFile } from '$core/model/types/cardFile.ts';
import type { Shop } from '$core/model/types/types.ts';
import { MOST_BYTES, readZip, writeZip, ZipError, type Inside, type Picture } from './zipFile.ts';

/** Files packed, unpacked and checked beside the page: a large one would hold it still. */

export interface PictureFile {
  hash: string;
  blob: Blob;
}

/** What a file holds, or why it is refused and where. */
export type Opened =
  | ({ shop: Shop; cards?: undefined } & Beside)
  | ({ cards: CardFile; shop?: undefined } & Beside)
  | { fault: string; path?: string };

interface Beside {
  zipped: boolean;
  pictures: PictureFile[];
  /** How many pictures in the file are not what they say. */
  spoilt: number;
}

const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());

/** A zip begins with PK, whatever it is called. */
async function isZip(file: Blob): Promise<boolean> {
  const [p, k] = await bytesOf(file.slice(0, 2));
  return p === 0x50 && k === 0x4b;
}

/** The document in a file and what lies beside it. Throws ShopFileError and ZipError. */
async function unpacked(file: Blob): Promise<Beside & { text: string }> {
  const zipped = await isZip(file);
  if (file.size > (zipped ? MOST_BYTES : MOST_FILE_BYTES))
    throw new ShopFileError(`The file is larger than ${zipped ? '1.5 GB' : '25 MB'}.`);
  if (!zipped) return { text: await file.text(), zipped, pictures: [], spoilt: 0 };
  const read = readZip(await bytesOf(file));
  return {
    text: read.document,
    zipped,
    pictures: read.pictures.map(({ hash, bytes }) => ({
      hash,
      blob: new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' }),
    })),
    spoilt: read.spoilt.length,
  };
}

const worker = {
  async zip(document: string, blobs: readonly PictureFile[], inside?: Inside): Promise<Blob> {
    const pictures: Picture[] = [];
    for (const { hash, blob } of blobs) pictures.push({ hash, bytes: await bytesOf(blob) });
    return new Blob([writeZip(document, pictures, inside) as Uint8Array<ArrayBuffer>], {
      type: 'application/zip',
    });
  },

  /** Reads a shop's file or one of model cards, plain or zipped. */
  async open(file: Blob): Promise<Opened> {
    try {
      const { text, ...beside } = await unpacked(file);
      return saysCards(text)
        ? { cards: readCards(text), ...beside }
        : { shop: readShop(text), ...beside };
    } catch (error) {
      if (error instanceof ShopFileError)
        return { fault: error.message, ...(error.path && { path: error.path }) };
      if (error instanceof ZipError) return { fault: error.message };
      throw error;
    }
  },
};
export type FilesWorker = typeof worker;

Comlink.expose(worker);
