import { wrap } from 'comlink';
import type { CodesWorker } from '../../workers/codes.worker.ts';
import type { Picture } from '../../workers/readCode.ts';

/** Longest side a frame is looked at, px: more costs time and finds no more. */
const LONGEST = 960;
/** Between two looks, ms. */
const LOOK_MS = 120;
/** The same code is not read twice within this time, ms: it is still before the camera. */
const AGAIN_MS = 2500;

/** Why there is no picture, in a sentence. */
export function whyNot(error: unknown): string {
  const name = (error as Error).name;
  if (name === 'NotAllowedError')
    return 'The browser was not allowed to use the camera. Allow it for this page, or type the tag.';
  if (name === 'NotFoundError') return 'No camera was found. Type the tag, or use a scanner.';
  return `The camera could not be opened (${(error as Error).message}). Type the tag.`;
}

/** Frames of a video as pictures in grey, no larger than is looked at. */
function pictureOf(video: HTMLVideoElement, canvas: HTMLCanvasElement): Picture | undefined {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) return undefined;
  const scale = Math.min(1, LONGEST / Math.max(videoWidth, videoHeight));
  const [width, height] = [Math.round(videoWidth * scale), Math.round(videoHeight * scale)];
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return undefined;
  context.drawImage(video, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  const grey = new Uint8ClampedArray(width * height);
  /* ITU-R BT.601 luma. */
  for (let i = 0; i < grey.length; i += 1)
    grey[i] =
      0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0);
  return { width, height, grey };
}

/** Shows the camera in a video and reads codes until it is stopped. Throws where there is no camera. */
export async function scanWith(
  video: HTMLVideoElement,
  oncode: (text: string) => void,
): Promise<() => void> {
  const stream = await navigator.mediaDevices.getUserMedia({
    video: { facingMode: 'environment', width: { ideal: 1280 } },
    audio: false,
  });
  video.srcObject = stream;
  await video.play();
  const thread = new Worker(new URL('../../workers/codes.worker.ts', import.meta.url), {
    type: 'module',
  });
  const codes = wrap<CodesWorker>(thread);
  const canvas = document.createElement('canvas');
  let stopped = false;
  let last = { text: '', at: 0 };
  const look = async (): Promise<void> => {
    if (stopped) return;
    const picture = pictureOf(video, canvas);
    const text = picture && (await codes.read(picture));
    if (text && (text !== last.text || Date.now() - last.at > AGAIN_MS)) {
      last = { text, at: Date.now() };
      navigator.vibrate?.(40);
      oncode(text);
    }
    if (!stopped) setTimeout(() => void look(), LOOK_MS);
  };
  void look();
  return () => {
    stopped = true;
    thread.terminate();
    for (const track of stream.getTracks()) track.stop();
  };
}
