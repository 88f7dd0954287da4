import type { Pixel } from './camera.ts';
import { codesIn, quadNear, type Seen } from './codes.ts';
import { placeOfCode, type MatPaper } from './mat.ts';
import { lightOf, type Light, type Pixels } from './picture.ts';

/** One picture, read: where its codes or its card are, how sharp it is. */
export interface Shot {
  width: number;
  height: number;
  light: Light;
  /** Focal length as on 35 mm film, where the camera wrote it. */
  film?: number | undefined;
  /** The mat it was found on; or the card, mm. */
  on: { paper: MatPaper } | { card: { width: number; height: number } };
  seen: Seen[];
  /** How its edges are smeared, px, one standard deviation. */
  blur: number;
}

/** Fewer whole codes do not tell tilt from lens. */
const LEAST_CODES = 3;
/** Smeared wider than this no rim is found to its tenths, px. */
const MOST_BLUR_PX = 4;

/** A picture on a mat, or why it cannot be measured. */
export function readShot(pixels: Pixels, film?: number): { shot: Shot } | { fault: string } {
  const light = lightOf(pixels);
  const { seen, mirrored } = codesIn(pixels, light);
  if (mirrored)
    return { fault: 'The picture is mirrored: turn mirroring off in the camera, or flip it back.' };
  const placed = seen.flatMap((each) => {
    const place = placeOfCode(each.id);
    return place ? [{ ...each, paper: place.paper }] : [];
  });
  if (placed.length === 0)
    return {
      fault:
        'No code of the mat is seen: the whole mat in the picture, sharp, without glare, whole squares with white round them.',
    };
  const papers = new Set(placed.map(({ paper }) => paper));
  const ids = new Set(placed.map(({ id }) => id));
  if (papers.size > 1 || ids.size < placed.length)
    return { fault: 'Two mats are in the picture: leave one, or cover the other.' };
  if (placed.length < LEAST_CODES)
    return {
      fault: `Only ${placed.length} whole ${placed.length === 1 ? 'code is' : 'codes are'} seen, ${LEAST_CODES} are the least: uncover more of the mat, or step back.`,
    };
  const blurs = placed.map(({ blur }) => blur).sort((a, b) => a - b);
  const blur = blurs[Math.floor(blurs.length / 2)] ?? 1;
  if (blur > MOST_BLUR_PX)
    return {
      fault: `The picture is blurred (${blur.toFixed(1)} px): hold still, tap to focus, more light.`,
    };
  const [paper] = [...papers] as [MatPaper];
  const { width, height } = pixels;
  return { shot: { width, height, light, film, on: { paper }, seen: placed, blur } };
}

/** A picture with a card of known size in it, its four corners tapped one after the other round it. */
export function readCard(
  pixels: Pixels,
  taps: readonly Pixel[],
  card: { width: number; height: number },
  film?: number,
): { shot: Shot } | { fault: string } {
  if (taps.length !== 4) return { fault: 'Tap the four corners of the card, one after the other.' };
  const light = lightOf(pixels);
  const far = (a: number, b: number) =>
    Math.hypot(taps[a]!.u - taps[b]!.u, taps[a]!.v - taps[b]!.v);
  /* Round the card clockwise, and from its upper left along its long side. */
  const area = taps.reduce((sum, p, i) => {
    const q = taps[(i + 1) % 4] as Pixel;
    return sum + p.u * q.v - q.u * p.v;
  }, 0);
  const round = area > 0 ? [...taps] : [...taps].reverse();
  const lies = far(0, 1) + far(2, 3) >= far(1, 2) + far(3, 0);
  const long = card.width >= card.height;
  if (lies !== long) round.push(round.shift() as Pixel);
  const quad = quadNear(light, round);
  if (!quad)
    return {
      fault: 'The card’s edges are not told from what lies round it: another ground, more light.',
    };
  const { width, height } = pixels;
  return {
    shot: {
      width,
      height,
      light,
      film,
      on: { card },
      seen: [{ id: 0, ...quad }],
      blur: Math.min(MOST_BLUR_PX, quad.blur),
    },
  };
}
