import { project } from './camera.ts';
import type { Pixels } from './picture.ts';
import type { Solved } from './solve.ts';

export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Larger than any screen shows, px. */
const MOST_PX = 2400;

/** How fine a plane is flattened, px a mm: as fine as the picture itself, and no larger than a screen wants. */
export const finenessOf = (box: Box, pixelMm: number): number =>
  Math.min(1 / pixelMm, MOST_PX / (box.x1 - box.x0), MOST_PX / (box.y1 - box.y0));

/** What a picture shows of a plane above the mat, laid flat: `fine` px a mm, its upper left at the box's. White where the picture does not reach. */
export function flattened(
  { width, height, data }: Pixels,
  { lens, turn, pose }: Solved,
  above: number,
  box: Box,
  fine: number,
): Pixels {
  const [w, h] = [
    Math.max(1, Math.round((box.x1 - box.x0) * fine)),
    Math.max(1, Math.round((box.y1 - box.y0) * fine)),
  ];
  const out = new Uint8ClampedArray(w * h * 4).fill(255);
  for (let j = 0; j < h; j += 1)
    for (let i = 0; i < w; i += 1) {
      const at = { x: box.x0 + (i + 0.5) / fine, y: box.y0 + (j + 0.5) / fine, z: above };
      const pixel = project(lens, turn, pose, at);
      if (!pixel) continue;
      const [x, y] = [Math.floor(pixel.u), Math.floor(pixel.v)];
      if (x < 0 || y < 0 || x >= width - 1 || y >= height - 1) continue;
      const [a, b] = [pixel.u - x, pixel.v - y];
      const k = (y * width + x) * 4;
      const below = k + width * 4;
      const to = (j * w + i) * 4;
      for (let c = 0; c < 3; c += 1)
        out[to + c] =
          (data[k + c]! * (1 - a) + data[k + 4 + c]! * a) * (1 - b) +
          (data[below + c]! * (1 - a) + data[below + 4 + c]! * a) * b;
    }
  return { width: w, height: h, data: out };
}
