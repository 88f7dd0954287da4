import { houseSupply } from '../model/properties/shell.ts';
import { printHeat } from '../print/heat.ts';
import { goesOfKind } from '../model/lookup/reads.ts';
import { hotSockets } from '../standards/sockets.ts';
import type { NumberKey, TextKey } from '../model/properties/index.ts';
import type { Finding } from '../findings/finding.ts';
import { gap, worthSaying } from '../findings/gap.ts';
import { plain, termOf, wordOf } from '../findings/terms.ts';
import { caseAir, type CaseAir, type PlacedFan } from '../heat/caseAir.ts';
import {
  partsOfKind,
  appliedOf,
  isApplied,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
  sortOf,
  comesAny,
} from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { Kind } from '../model/types/types.ts';
import { litresOf, PASSIVE_LITRES } from '../fit/litres.ts';
import {
  aimC,
  anyLidKW,
  hotAimC,
  lidKW,
  lidOfSocket,
  lowCoolerKW,
  airSource,
  anyCoolerKW,
  CASE_K,
  coolerKW,
  pasteKW,
  roomC,
} from '../standards/air.ts';
import { fanPlaces } from '../remedies/fanPlaces.ts';
import { radiatorFans } from '../remedies/radiatorPlace.ts';
import { supplyPlaceOf } from '../remedies/supplyOutside.ts';
import { turnSupply } from '../remedies/turnSupply.ts';
import { commonPractice } from '../standards/source.ts';
import { add, range, total, type Range, mid } from '../units/range.ts';
import { boardW, cardsDraws, cardsOwnSupply, drawsOf } from '../watts/tree/index.ts';

const product = (a: Range, b: Range): Range => range(a.lo * b.lo, a.hi * b.hi);

/** The fans of a plan, each where it was said to hang or where its size lets it hang. */
export const placedFans = (plan: Plan): PlacedFan[] =>
  fanPlaces(plan).map(({ fan, mm, walls, blows }) => {
    const told = numberAt(plan, fan, 'size');
    return {
      name: fan.seat,
      sizeMm: mm !== undefined ? range(mm) : told ? range(told.lo, told.hi) : range(60, 140),
      wall: walls.length === 1 ? (walls[0] ?? 'somewhere') : 'somewhere',
      blows,
    };
  });

/** The fans of a radiator move the air of the case like others, held back by its fins. */
function ofRadiator(plan: Plan): PlacedFan[] {
  const fans = radiatorFans(plan);
  if (!fans) return [];
  const wall = fans.walls.length === 1 ? (fans.walls[0] ?? 'somewhere') : 'somewhere';
  return Array.from({ length: fans.count }, (_, i) => ({
    name: `radiator fan ${i + 1}`,
    sizeMm: range(fans.mm),
    wall,
    blows: fans.blows,
    throughRadiator: true,
  }));
}

/** A supply in the case warms its air by what it loses, share of what it gives (common practice, no source). */
const LOSES = range(1.03, 1.35);

/** Outer faces in m² by the case's sizes, those nobody measured by any case's. */
function facesOf(plan: Plan, shell: Placed): Range {
  const side = (key: NumberKey, usual: Range) => numberAt(plan, shell, key) ?? usual;
  const [w, h, d] = [
    side('outerWidth', range(80, 230)),
    side('outerHeight', range(150, 480)),
    side('outerDepth', range(200, 500)),
  ];
  const at = (end: 'lo' | 'hi') =>
    (2 * (w[end] * h[end] + h[end] * d[end] + w[end] * d[end])) / 1e6;
  return range(at('lo'), at('hi'));
}

/** Air through the case at full load; undefined without a case or watts. */
export function airOf(plan: Plan): CaseAir | undefined {
  const shell = partOfKind(plan, 'case');
  const draws = drawsOf(plan);
  if (!shell || draws.length === 0) return undefined;
  const place = supplyPlaceOf(plan);
  const supply = partOfKind(plan, 'supply');
  const feeds = supply && textAt(plan, supply, 'feeds')?.text;
  const outside = place === 'outside the case' || (feeds !== undefined && feeds !== 'supply');
  const turned = isApplied(plan, turnSupply());
  const litres = litresOf(plan, shell);
  const vents = listAt(plan, shell, 'vents')?.items;
  const tall =
    (litres?.lo ?? 0) >= PASSIVE_LITRES || (vents !== undefined && !vents.includes('lid'));
  const small = (litres?.hi ?? Infinity) < PASSIVE_LITRES && vents?.includes('lid') === true;
  /* Cards on a supply of their own warm the same air; a supply inside adds what it loses. */
  const second = cardsOwnSupply(plan)
    ? total(cardsDraws(plan).map((draw) => draw.watts.full))
    : range(0);
  const drawn = total(draws.map((draw) => draw.watts.full));
  const inside = range(drawn.lo * LOSES.lo, drawn.hi * LOSES.hi);
  const sort = textAt(plan, shell, 'class')?.text;
  const housed = place !== undefined || houseSupply.some((each) => each === sort);
  return caseAir({
    fans: [...placedFans(plan), ...ofRadiator(plan)],
    facesM2: facesOf(plan, shell),
    supplyDraws: outside || turned || !supply ? 'no' : housed ? 'yes' : 'perhaps',
    rises: tall ? 'no' : small ? 'yes' : 'perhaps',
    watts: add(outside ? boardW(draws, 'full') : range(drawn.lo, inside.hi), second),
  });
}

/** Will it stay cool? Cooler against watts and room, the air of the case, prints beside what is hot. */
export function heatSums(plan: Plan): Finding[] {
  if (!changes(plan, warms)) return prints(plan);
  const air = airOf(plan);
  /* A card warms the air of the case, which is a sum of its own: the CPU under its cooler is as it was. */
  const cpu = changes(
    plan,
    warms.filter((kind) => kind !== 'card'),
  )
    ? processorHeat(plan, air).filter(likelyOver)
    : [];
  return [...[...cpu, ...caseWarmth(air)].filter(worthSaying), ...prints(plan)];
}

/** A few kelvin over the aim at the middle of all ranges prove nothing yet. */
const PROVE_K = 5;
const likelyOver = ({ mark, margin }: Finding): boolean =>
  mark !== 'watch' || !margin || mid(margin) < -PROVE_K;

const warms: readonly Kind[] = ['case', 'fan', 'supply', 'card', 'cooler', 'processor'];

/** As found, a machine stayed cool enough; asked again when something that warms or cools it changes. */
function changes(plan: Plan, kinds: readonly Kind[]): boolean {
  return (
    comesAny(plan, kinds) ||
    kinds.some((kind) => goesOfKind(plan, kind).length > 0) ||
    isApplied(plan, turnSupply())
  );
}

/** Each CPU under its own cooler, the first under the first, a server's second under its second: the warmest speaks. */
function processorHeat(plan: Plan, air: CaseAir | undefined): Finding[] {
  const coolers = partsOfKind(plan, 'cooler');
  return partsOfKind(plan, 'processor')
    .flatMap((processor, i) => {
      const cooler = coolers[i];
      return cooler ? underCooler(plan, processor, cooler, air) : [];
    })
    .sort((a, b) => (a.margin?.lo ?? 0) - (b.margin?.lo ?? 0))
    .slice(0, 1);
}

function underCooler(
  plan: Plan,
  processor: Placed,
  cooler: Placed,
  air: CaseAir | undefined,
): Finding[] {
  const watts = numberAt(plan, processor, 'watts');
  if (!watts) return [];
  const held = appliedOf(plan, 'limitWatts').find(({ seat }) => seat === processor.seat)?.watts;
  const w =
    held === undefined
      ? range(watts.lo, watts.hi)
      : range(Math.min(watts.lo, held), Math.min(watts.hi, held));
  const kind = textAt(plan, cooler, 'class');
  const kw =
    kind?.text === 'low'
      ? lowCoolerKW(numberAt(plan, cooler, 'height'))
      : ((kind && coolerKW[kind.text]) ?? anyCoolerKW);
  const lid = textAt(plan, processor, 'lid');
  const board = partOfKind(plan, 'board');
  const socket = (textAt(plan, processor, 'socket') ?? (board && textAt(plan, board, 'socket')))
    ?.text;
  const joined = (lid?.text as keyof typeof lidKW) ?? lidOfSocket[socket ?? ''];
  const lidK = joined ? lidKW[joined] : anyLidKW;
  const aim = socket === undefined || hotSockets.includes(socket) ? hotAimC : aimC;
  return [
    gap({
      id: 'heat-processor',
      station: 'heat',
      title: `${seatName(processor.seat)} at full load, settled`,
      seats: [processor.seat, cooler.seat],
      unit: 'K',
      terms: [
        plain('aim, °C', aim, 1),
        { ...plain('room, °C', roomC, -1), how: 'class' },
        ...(air
          ? [{ ...plain('air of the case warmer by', air.warmerK, -1), how: 'class' as const }]
          : []),
        {
          ...termOf(processor, 'watts', `${kind?.text ?? 'any'} cooler and paste`, -1, watts),
          value: product(w, add(kw, pasteKW)),
        },
        {
          ...wordOf(processor, 'lid', 'from the die to its lid', lid),
          how: lid?.how ?? 'class',
          value: product(w, lidK),
          sign: -1 as const,
        },
      ],
      minimumMargin: 5,
      spare: 'cooler than the aim',
      short: 'too warm',
      /* It slows down, it does not burn. */
      lack: 'mend',
      source: commonPractice,
      undoMinutes: 45,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The cooler is enough, whatever the room.'
          : mark === 'mend'
            ? 'This cooler cannot hold it at full load: it slows down. A better cooler, or fewer watts.'
            : 'It may get warm at full load: measure it until it settles, lid on.',
    }),
  ];
}

function caseWarmth(air: CaseAir | undefined): Finding[] {
  if (!air) return [];
  return [
    gap({
      id: 'heat-case',
      station: 'heat',
      title: 'air of the case at full load',
      seats: ['case', ...air.fans.map((fan) => fan.name)],
      unit: 'K',
      terms: [
        plain('may be warmer than the room by', range(CASE_K), 1),
        { ...plain('watts over the air that goes through', air.warmerK, -1), how: 'class' },
      ],
      minimumMargin: 2,
      short: 'too warm',
      lack: 'mend',
      source: airSource,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Air enough goes through.'
          : mark === 'mend'
            ? 'Too little air for these watts: open the panel, a fan more.'
            : 'Perhaps too little air for these watts: run it with the panel off and on.',
    }),
  ];
}

/** Printed brackets and lids beside what gets hot. */
function prints(plan: Plan): Finding[] {
  return partsOfKind(plan, 'small').flatMap((placed) => {
    if (sortOf(plan, placed) !== 'printed part') return [];
    const material = textAt(plan, placed, 'material');
    const beside = textAt(plan, placed, 'beside');
    const input = (key: TextKey) => ({ partId: placed.part.id, key, seat: placed.seat });
    return printHeat({
      id: `heat-print:${placed.seat}`,
      station: 'heat',
      title: `${placed.part.name}, ${material?.text ?? 'material not said'}`,
      seats: [placed.seat],
      material: { ...material, input: input('material') },
      beside: { ...beside, input: input('beside') },
    });
  });
}
