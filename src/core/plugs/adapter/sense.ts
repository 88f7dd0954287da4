import {
  codeFor,
  hasSense,
  senseNames,
  type Plug,
  type SenseCode,
  type SenseContact,
} from '../../standards/plugs/index.ts';
import { ratedA } from './rated.ts';
import type { AdapterSpec, Recipe } from './types.ts';

/**
 * The side contacts of a 12V-2x6: they tell the card what it may draw, so an adapter codes them to what feeds it,
 * never higher. Gauge, bend and angle as the specification's notes have them (from memory).
 */

/** Watts of 12 V the giving side brings: what each plug may carry, else what its contacts do on AWG 18. */
function givenW(spec: AdapterSpec): number {
  return spec.gives.reduce((sum, plug) => {
    const feeds = plug.pins.filter((name) => name === '+12V').length;
    return sum + (feeds === 0 ? 0 : (plug.limitW ?? feeds * ratedA(plug, 18) * 12));
  }, 0);
}

/** Watts the kth taking plug is left of them: what the others are said to draw goes off, equal ones share. */
function leftW(spec: AdapterSpec, k: number, needOf: (k: number) => number): number {
  const alike = spec.takes.filter(hasSense).length;
  const others = spec.takes.reduce(
    (sum, plug, i) =>
      i !== k && !hasSense(plug) && plug.pins.includes('+12V') ? sum + needOf(i) * 12 : sum,
    0,
  );
  return (givenW(spec) - others) / Math.max(1, alike);
}

export function codeOf(
  spec: AdapterSpec,
  k: number,
  needOf: (k: number) => number,
): SenseCode | undefined {
  const plug = spec.takes[k];
  return plug && hasSense(plug) ? codeFor(plug, leftW(spec, k, needOf)) : undefined;
}

type Kept = Pick<Recipe, 'ties' | 'open' | 'impossible'>;

/** What becomes of the side contacts of the kth taking plug; refused where less feeds it than the least code says, or more is drawn. */
export function senseOf(
  spec: AdapterSpec,
  plug: Plug,
  k: number,
  needOf: (k: number) => number,
): Kept {
  const kept: Kept = { ties: [], open: [], impossible: [] };
  if (!hasSense(plug)) return kept;
  const code = codeOf(spec, k, needOf);
  const end = (pin: SenseContact) => ({ side: 'sense' as const, plug: k, pin });
  if (!code) {
    kept.impossible.push({
      end: end('S3'),
      say: `${plug.name}: ${Math.round(leftW(spec, k, needOf))} W feed it, and it cannot tell the card less than 150 W. Give it more plugs.`,
    });
    return kept;
  }
  const wantedW = needOf(k) * 12;
  if (wantedW > code.watts * 1.001)
    kept.impossible.push({
      end: end('S3'),
      say: `${plug.name}: what feeds it allows ${code.watts} W to be coded, ${Math.round(wantedW)} W are wanted. Give it more plugs.`,
    });
  const open = (pin: SenseContact, say: string) =>
    kept.open.push({ end: end(pin), signal: senseNames[pin], say });
  open('S1', 'the card does without it');
  open('S2', 'the card does without it');
  for (const pin of ['S3', 'S4'] as const) {
    if (code.joined) {
      if (pin === 'S4')
        kept.ties.push({
          end: end('S4'),
          signal: 'SENSE1',
          to: 'SENSE0',
          at: end('S3'),
          say: `SENSE0 and SENSE1 to each other, to nothing else: the card may draw ${code.watts} W`,
        });
    } else if (code.grounded.includes(pin))
      kept.ties.push({
        end: end(pin),
        signal: senseNames[pin],
        to: 'COM',
        say: `${senseNames[pin]} to ground: the card may draw ${code.watts} W`,
      });
    else open(pin, `open: the card may draw ${code.watts} W, no more`);
  }
  return kept;
}

/** What whoever makes it has to keep to. */
export const senseNote = (plug: Plug): string =>
  `${plug.name}: AWG 16 for its full amps, side contacts AWG 28, the first 35 mm straight, no angle of one's own; pushed home until it clicks.`;
