import { expose, transfer } from 'comlink';
import { finenessOf, flattened } from '$core/photo/flatten.ts';
import { pixelMm, type At } from '$core/photo/plane.ts';
import type { MatRules } from '$core/photo/mat.ts';
import type { Pixel } from '$core/photo/camera.ts';
import { advice } from '$core/photo/advice.ts';
import { edgeAt, holeAt, rectangleAt } from '$core/photo/measure.ts';
import { type Measured } from '$core/photo/measured.ts';
import { readCard, readShot, type Shot } from '$core/photo/shot.ts';
import { accuracyAt, planeOf, surveyOf, type Height, type Survey } from '$core/photo/survey.ts';
import type { Pixels } from '$core/photo/picture.ts';

/** Pictures measured beside the page: they stay here, only figures and what is laid flat go back. */

/** More pixels tell no more than the lens does, and fill the memory. */
const MOST_PIXELS = 16_000_000;
/** Pictures kept at once. */
const MOST_SHOTS = 5;

interface Kept {
  id: number;
  pixels: Pixels;
  film?: number | undefined;
  shot?: Shot;
  fault?: string;
}

export interface Taken {
  id: number;
  width: number;
  height: number;
  /** Why it cannot be measured on the mat. */
  fault?: string | undefined;
  /** It was larger than is of use. */
  smaller: boolean;
}

export interface Laid {
  bitmap: ImageBitmap;
  box: { x0: number; y0: number; x1: number; y1: number };
  fine: number;
}

export interface Joined {
  /** Pictures that count, by id. */
  ids: number[];
  fault?: string;
  codes: number[];
  leftOut: number;
  rmsPx: number;
  advice: string[];
  /** mm with 95 %, in the middle and at the far corner. */
  accuracy: { middle: number; corner: number };
}

let kept: Kept[] = [];
let survey: Survey | undefined;
let next = 1;

const indexOf = (id: number): number => {
  const index = shots().findIndex((each) => each.id === id);
  if (index < 0) throw new Error('That picture is not measured.');
  return index;
};
const shots = (): (Kept & { shot: Shot })[] =>
  kept.filter((each): each is Kept & { shot: Shot } => each.shot !== undefined);
const current = (): Survey => {
  if (!survey) throw new Error('No picture is measured yet.');
  return survey;
};

/** Focal length as on 35 mm film, where the camera wrote it. */
async function filmOf(file: Blob): Promise<number | undefined> {
  try {
    const { load } = await import('exifreader');
    const tags = load(await file.arrayBuffer());
    const value = Number(tags.FocalLengthIn35mmFilm?.value);
    return value >= 8 && value <= 400 ? value : undefined;
  } catch {
    return undefined;
  }
}

async function pixelsOf(file: Blob): Promise<{ pixels: Pixels; smaller: boolean }> {
  const whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const by = Math.min(1, Math.sqrt(MOST_PIXELS / (whole.width * whole.height)));
  const [width, height] = [Math.round(whole.width * by), Math.round(whole.height * by)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser draws no pictures beside the page.');
  context.imageSmoothingQuality = 'high';
  context.drawImage(whole, 0, 0, width, height);
  whole.close();
  const { data } = context.getImageData(0, 0, width, height);
  return { pixels: { width, height, data }, smaller: by < 1 };
}

const worker = {
  /** Takes a picture in; undefined where it is none this browser reads. */
  async take(file: Blob): Promise<Taken | undefined> {
    let read;
    try {
      read = await pixelsOf(file);
    } catch {
      return undefined;
    }
    const film = await filmOf(file);
    const { pixels, smaller } = read;
    const found = readShot(pixels, film);
    const id = next;
    next += 1;
    kept = [...kept, { id, pixels, film, ...found }].slice(-MOST_SHOTS);
    return {
      id,
      width: pixels.width,
      height: pixels.height,
      smaller,
      fault: 'fault' in found ? found.fault : undefined,
    };
  },

  /** A picture with a card in it instead of the mat; why not, in words. */
  card(id: number, taps: Pixel[], card: { width: number; height: number }): string | undefined {
    const own = kept.find((each) => each.id === id);
    if (!own) return 'That picture is gone: take it again.';
    const found = readCard(own.pixels, taps, card, own.film);
    if ('fault' in found) return found.fault;
    own.shot = found.shot;
    return undefined;
  },

  drop(id: number): void {
    kept = kept.filter((each) => each.id !== id);
    survey = undefined;
  },

  /** Solves all pictures together. */
  join(rules: MatRules, height: Height): Joined {
    const found = surveyOf(
      shots().map(({ shot }) => shot),
      rules,
    );
    survey = 'survey' in found ? found.survey : undefined;
    const none = {
      ids: [],
      codes: [],
      leftOut: 0,
      rmsPx: 0,
      advice: [],
      accuracy: { middle: 0, corner: 0 },
    };
    if (!survey) return { ...none, ...('fault' in found && { fault: found.fault }) };
    const { box, solution } = survey;
    const middle = { x: (box.x0 + box.x1) / 2, y: (box.y0 + box.y1) / 2 };
    const best = (at: At) =>
      Math.min(...shots().map((_, i) => accuracyAt(current(), i, at, height)));
    return {
      ids: shots().map(({ id }) => id),
      codes: shots().map(({ shot }) => shot.seen.length),
      leftOut: solution.leftOut,
      rmsPx: solution.rms,
      advice: advice(survey, height),
      accuracy: { middle: best(middle), corner: best({ x: box.x1 - 40, y: box.y1 - 50 }) },
    };
  },

  /** A picture as it is, no larger than a screen shows. */
  async plain(id: number): Promise<Laid> {
    const own = kept.find((each) => each.id === id);
    if (!own) throw new Error('That picture is gone.');
    const { width, height } = own.pixels;
    const fine = Math.min(1, 1600 / Math.max(width, height));
    const bitmap = await createImageBitmap(
      new ImageData(Uint8ClampedArray.from(own.pixels.data), width, height),
      { resizeWidth: Math.round(width * fine), resizeQuality: 'high' },
    );
    return transfer({ bitmap, box: { x0: 0, y0: 0, x1: width, y1: height }, fine }, [bitmap]);
  },

  /** A plane of a picture laid flat. */
  async flat(id: number, height: Height): Promise<Laid> {
    const index = indexOf(id);
    const { box } = current();
    const own = shots()[index]!;
    const middle = { x: (box.x0 + box.x1) / 2, y: (box.y0 + box.y1) / 2 };
    const fine = finenessOf(box, pixelMm(planeOf(current(), index, height), middle));
    const view = current().solution.views[index]!;
    const { width, height: high, data } = flattened(own.pixels, view, height.mm, box, fine);
    const bitmap = await createImageBitmap(
      new ImageData(Uint8ClampedArray.from(data), width, high),
    );
    return transfer({ bitmap, box, fine }, [bitmap]);
  },

  find(
    what: Measured['is'],
    id: number,
    tap: At,
    height: Height,
  ): { found?: Measured | undefined } {
    const index = indexOf(id);
    switch (what) {
      case 'hole':
        return { found: holeAt(current(), index, tap, height) };
      case 'edge':
        return { found: edgeAt(current(), index, tap, height) };
      case 'rectangle':
        return { found: rectangleAt(current(), index, tap, height) };
    }
  },

  accuracy(id: number, at: At, height: Height): number {
    return accuracyAt(current(), indexOf(id), at, height);
  },
};

export type PhotoWorker = typeof worker;
expose(worker);
