import { expect } from 'chai';
import bwip from 'bwip-js/node';
import { readCode, type Picture } from '../../../src/workers/readCode.ts';

/** A label as another package draws its bars (bwip-js), as grey levels: turned, soft, uneven and noisy as a camera sees it. */
function photographed(
  text: string,
  {
    scale = 3,
    slope = 0,
    noise = 0,
    shade = 0,
  }: Partial<Record<'scale' | 'slope' | 'noise' | 'shade', number>> = {},
): Picture {
  const [{ sbs }] = bwip.raw({ bcid: 'code128', text }) as unknown as [{ sbs: number[] }];
  const quiet = 14;
  const modules = sbs.reduce((sum, width) => sum + width, 0) + 2 * quiet;
  const [width, height] = [Math.ceil(modules * scale), 160];
  const bars = new Uint8Array(width);
  let at = quiet * scale;
  sbs.forEach((wide, i) => {
    if (i % 2 === 0) bars.fill(1, Math.round(at), Math.round(at + wide * scale));
    at += wide * scale;
  });
  const grey = new Uint8ClampedArray(width * height);
  let seed = 7;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const from = Math.round(x - (y - height / 2) * slope);
      const dark = y > 20 && y < height - 20 && bars[from] === 1;
      grey[y * width + x] = (dark ? 40 : 225) - (shade * x) / width + (random() - 0.5) * noise;
    }
  return { width, height, grey };
}

describe('codes in pictures', () => {
  const tags = ['F04', 'M14-02', '14', '@drawer 3', 'done', 'not measured', 'P128'];
  it('reads every sort of label, straight on', () => {
    for (const tag of tags) expect(readCode(photographed(tag)), tag).to.equal(tag);
  });
  it('reads one that is held aslant, badly lit and grainy', () => {
    for (const tag of tags)
      expect(
        readCode(photographed(tag, { slope: 0.12, noise: 24, shade: 70, scale: 4 })),
        tag,
      ).to.equal(tag);
  });
  it('reads none where there is none, and none of noise', () => {
    const grey = new Uint8ClampedArray(320 * 200).fill(200);
    expect(readCode({ width: 320, height: 200, grey })).to.equal(undefined);
    for (let i = 0; i < grey.length; i += 1) grey[i] = (i * 7919) % 256;
    expect(readCode({ width: 320, height: 200, grey })).to.equal(undefined);
  });
});
