/** A picture as light: linear in brightness, so that the middle of a blurred edge is where the edge is. */
export interface Light {
  width: number;
  height: number;
  /** Row by row, 0 to 1. */
  at: Float32Array;
}

export interface Pixels {
  width: number;
  height: number;
  /** Red, green, blue, alpha of each pixel, row by row. */
  data: Uint8ClampedArray | Uint8Array;
}

/** Brightness of a figure of a picture file (IEC 61966-2-1, sRGB). */
const linear = Float32Array.from({ length: 256 }, (_, i) => {
  const s = i / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
});

export function lightOf({ width, height, data }: Pixels): Light {
  const at = new Float32Array(width * height);
  for (let i = 0, k = 0; i < at.length; i += 1, k += 4)
    at[i] =
      0.2126 * linear[data[k]!]! + 0.7152 * linear[data[k + 1]!]! + 0.0722 * linear[data[k + 2]!]!;
  return { width, height, at };
}

/** Light between pixels, from the four round it; NaN outside the picture. */
export function sample({ width, height, at }: Light, u: number, v: number): number {
  const [x, y] = [Math.floor(u), Math.floor(v)];
  if (x < 0 || y < 0 || x >= width - 1 || y >= height - 1) return NaN;
  const [a, b] = [u - x, v - y];
  const i = y * width + x;
  return (
    (at[i]! * (1 - a) + at[i + 1]! * a) * (1 - b) +
    (at[i + width]! * (1 - a) + at[i + width + 1]! * a) * b
  );
}
