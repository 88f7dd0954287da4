import * as Comlink from 'comlink';
import { hashOf } from './zipFile.ts';

/** Pictures made ready beside the page. */

/** Longest side a picture is kept at, and one of a strip, px. */
const LONGEST = 1600;
const SMALL = 320;
const QUALITY = 0.82;

export interface Ready {
  hash: string;
  blob: Blob;
  small: Blob;
  width: number;
  height: number;
}

async function drawn(image: ImageBitmap, longest: number): Promise<Blob> {
  const scale = Math.min(1, longest / Math.max(image.width, image.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(image.width * scale)),
    Math.max(1, Math.round(image.height * scale)),
  );
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser draws no pictures beside the page.');
  /* What is see-through becomes white, as on paper. */
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.imageSmoothingQuality = 'high';
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}

const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());

const worker = {
  /**
   * A picture upright, at most 1600 px long, drawn anew: nothing the camera wrote into the file (place, owner) is
   * in it any more. Undefined where the file is no picture this browser reads.
   */
  async prepare(file: Blob): Promise<Ready | undefined> {
    let image: ImageBitmap;
    try {
      image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return undefined;
    }
    const { width, height } = image;
    const scale = Math.min(1, LONGEST / Math.max(width, height));
    const [blob, small] = [await drawn(image, LONGEST), await drawn(image, SMALL)];
    image.close();
    return {
      hash: hashOf(await bytesOf(blob)),
      blob,
      small,
      width: Math.max(1, Math.round(width * scale)),
      height: Math.max(1, Math.round(height * scale)),
    };
  },

  /** A picture out of a file, with its small one; the bytes stay what they are, for they are its name. */
  async small(blob: Blob): Promise<Blob | undefined> {
    try {
      const image = await createImageBitmap(blob);
      const small = await drawn(image, SMALL);
      image.close();
      return small;
    } catch {
      return undefined;
    }
  },
};
export type PhotosWorker = typeof worker;

Comlink.expose(worker);
