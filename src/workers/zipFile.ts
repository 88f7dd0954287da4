import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/**
 * A shop with its pictures as one `.zip`: `shop.nutshell.json` and `photos/<hash>.jpg`, each picture once, so that
 * any program opens it. The hash is SHA-256 of the picture's bytes and is checked on reading.
 */
const SHOP = 'shop.nutshell.json';
/** Model cards travel the same way. */
const CARDS = 'cards.nutshell.json';
export type Inside = typeof SHOP | typeof CARDS;
const isDocument = (name: string): boolean => name === SHOP || name === CARDS;
const PICTURE = /^photos\/([0-9a-f]{64})\.jpg$/;

export const MOST_DOCUMENT_BYTES = 25_000_000;
const MOST_PICTURE_BYTES = 20_000_000;
export const MOST_BYTES = 1_500_000_000;

export const hashOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));

export interface Picture {
  hash: string;
  bytes: Uint8Array;
}

/** The bytes of the file; the same document and pictures give the same bytes. */
export function writeZip(
  document: string,
  pictures: readonly Picture[],
  inside: Inside = SHOP,
): Uint8Array {
  const files: Zippable = { [inside]: strToU8(document) };
  for (const { hash, bytes } of [...pictures].sort((a, b) => (a.hash < b.hash ? -1 : 1)))
    files[`photos/${hash}.jpg`] = [bytes, { level: 0 }];
  return zipSync(files, { level: 6, mtime: new Date(1980, 0, 1) });
}

export interface ZipRead {
  document: string;
  pictures: Picture[];
  /** Names of pictures whose bytes are not what their name says. */
  spoilt: string[];
}

export class ZipError extends Error {}

/** Reads such a file. Throws ZipError; what else lies in it is passed over. */
export function readZip(bytes: Uint8Array): ZipRead {
  let total = 0;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const most = isDocument(name) ? MOST_DOCUMENT_BYTES : MOST_PICTURE_BYTES;
        if (!isDocument(name) && !PICTURE.test(name)) return false;
        total += originalSize;
        if (originalSize > most || total > MOST_BYTES)
          throw new ZipError(`${name} in it is too large to be meant.`);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof ZipError) throw error;
    throw new ZipError('This file is no zip, or it is cut off.');
  }
  const document = files[SHOP] ?? files[CARDS];
  if (!document) throw new ZipError(`There is no ${SHOP} in it.`);
  const read: ZipRead = { document: strFromU8(document), pictures: [], spoilt: [] };
  for (const [name, bytes] of Object.entries(files)) {
    const hash = PICTURE.exec(name)?.[1];
    if (hash === undefined) continue;
    if (hashOf(bytes) === hash && isJpeg(bytes)) read.pictures.push({ hash, bytes });
    else read.spoilt.push(name);
  }
  return read;
}

const isJpeg = (bytes: Uint8Array): boolean =>
  bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;
