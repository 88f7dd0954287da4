import { barrelIds } from '../../model/properties/words.ts';
import { plug, plugName, plugs as shelf } from '../../standards/plugs/index.ts';
import { plugSaid } from '../../standards/plugs/spoken.ts';
import { table } from '../../units/table.ts';
import type { Understood } from '../line/understood.ts';

const ids = shelf.map(({ id }) => id);

/** Words alone that may be one of several plugs: all of them. */
const several: Record<string, readonly string[]> = table({
  '8': ['cpu8', 'card8', 'card62'],
  '6': ['card6'],
  '4': ['cpu4', 'drive4', 'fan4'],
  '3': ['fan3'],
  '2': ['fan2'],
  '10': ['main10'],
  '16': ['card16'],
  '20': ['main20'],
  '24': ['main24'],
  pcie: ['card6', 'card8', 'card62', 'card16'],
  cpu: ['cpu4', 'cpu8', 'cpu44'],
  eps: ['cpu4', 'cpu8', 'cpu44'],
  gpu: ['card6', 'card8', 'card62', 'card16'],
  atx: ['main24', 'main20'],
  atx12v: ['cpu4'],
  '12vo': ['main10'],
  atx12vo: ['main10'],
  fan: ['fan2', 'fan3', 'fan4'],
  sata: ['sata'],
  p4: ['cpu4'],
  'usb 2': ['usb2'],
  'usb 3': ['usb3'],
  'usb c': ['usbC20'],
  'front panel': ['front10'],
  front: ['front10'],
  barrel: barrelIds,
});

/** Old and roundabout names (common practice, no source). */
const plainly = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[?!.]+$/, '')
    .replace(
      /\b(?:old|big|white|legacy) (?:4[ -]?pin )?(?:drive|disk|hdd|power)(?: power)?\b/g,
      'peripheral',
    )
    .replace(
      /\b(?:what(?:'s| is| are)?|which|show(?: me)?|pinout(?: of)?|pins? of|picture of|look of|wiring of|an?|the|is|like|does|look|my|of|for)\b/g,
      ' ',
    )
    .replace(/\b(?:graphics?|video)(?: cards?)?\b/g, 'gpu')
    .replace(/\b(?:motherboard|mainboard|mobo|board)\b/g, 'main')
    .replace(/\b(?:processor)\b/g, 'cpu')
    .replace(/\bhard (?:drive|disk)\b/g, 'drive')
    .replace(/12v[ -]?2x6/g, '12v-2x6')
    .replace(/\s+/g, ' ')
    .trim();

const bare = (text: string): string =>
  text
    .replace(/(\d)[ -]*(?:pins?|ways?)\b/g, '$1')
    .replace(/\b(?:plugs?|connectors?|leads?|power|cables?|sockets?|headers?)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** Which plugs a text names; undefined where it names none. A bare figure must say that it counts pins. */
function plugsNamed(text: string): readonly string[] | undefined {
  const plain = plainly(text);
  const words = bare(plain);
  if (words === '') return undefined;
  const countsPins =
    /\d[ -]*(?:pin|way)/.test(plain) || /\b(?:plug|connector|cable|lead)/.test(plain);
  if (/^\d+$/.test(words) && !countsPins) return undefined;
  /* A kind of part alone is no plug: `fan`, `cpu`. */
  if (
    /^(?:fan|cpu|gpu|atx|drive|main)$/.test(words) &&
    !/\b(?:plug|connector|header|power|cable|lead|pins?)/.test(plain)
  )
    return undefined;
  const many = several[words];
  if (many && words !== 'sata') return many;
  const one = plugSaid(plain, ids);
  if ('id' in one) return [one.id];
  const turned = plugSaid(words, ids);
  return 'id' in turned ? [turned.id] : undefined;
}

/** Of what either may be, two of one family where there are: a card's plug goes to a card's. */
function alike(from: readonly string[], to: readonly string[]): (string | undefined)[] {
  for (const one of from)
    for (const other of to)
      if (one !== other && plug(one)?.group === plug(other)?.group && family(one) === family(other))
        return [one, other];
  /* Else two of as many pins. */
  for (const one of from)
    for (const other of to) if (plug(one)?.ways === plug(other)?.ways) return [one, other];
  return [from[0], to[0]];
}
const family = (id: string) => id.replace(/\d.*$/, '');

/** `8 pin`, `eps`, `12v-2x6`, `old drive plug to sata`: a plug's picture, or what joins two. */
export function asPlugs(text: string): Understood | undefined {
  const [said = '', to, more] = text
    .replace(/\b(?:dual|two|double|a pair of|pair of|2 ?x) (?=\d)/gi, '')
    .split(/\s+(?:to|into|onto|->|→)\s+/i);
  if (more !== undefined) return undefined;
  /* `24 to 20 pin`: the pins of one are the pins of both. */
  const from = /^\d+$/.test(said.trim()) && /\d[ -]*pin/i.test(to ?? '') ? `${said} pin` : said;
  const given = plugsNamed(from.replace(/\b(?:adapter|adaptor|converter)\b(?: from)?/gi, ' '));
  if (!given) return undefined;
  if (to === undefined) {
    const say = given.map(plugName).join(', ');
    return { kind: 'plugs', text, say, plugs: [...given] };
  }
  const wanted = plugsNamed(to.replace(/\b(?:adapter|adaptor|converter)\b/gi, ' '));
  const [one, other] = alike(given, wanted ?? []);
  if (!one || !other) return undefined;
  return {
    kind: 'plugs',
    text,
    say: `${plugName(one)} to ${plugName(other)}`,
    plugs: [one, other],
    to: other,
  };
}
