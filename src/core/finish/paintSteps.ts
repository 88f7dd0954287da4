import type { PaintWork } from '../model/types/finishTypes.ts';
import { finishId, step, type Draft, type Step } from '../model/types/step.ts';
import {
  BAKE_MIN,
  BEFORE_BAKE_MIN,
  materialFacts,
  paintTimes,
  type PaintTimes,
} from '../standards/coatings.ts';
import { trim } from '../units/length.ts';
import { mid, type Range } from '../units/range.ts';
import { inRoom } from './climate.ts';
import { layersOf, type Layer } from './paint.ts';
import { finishCautions } from './cautions.ts';

/** Minutes of hands (common practice, no source): a small piece; a case is four of them. */
const SMALL = { clean: 8, strip: 25, scuff: 10, fill: 15, sand: 15, mask: 15, coat: 3 };
const sizeOf = ({ piece }: PaintWork): number => (piece === 'case' ? 3 : 1);

/** The steps of a paint plan, each after the one before. Minutes left alone are the longer end of the range. */
export function paintSteps(paint: PaintWork): Step[] {
  const facts = materialFacts[paint.material ?? 'steel'];
  /* What nobody said it is made of is not put into an oven. */
  const bakeC = paint.bake && paint.material !== undefined ? facts.bakeC : undefined;
  const size = sizeOf(paint);
  const bare = paint.ground === 'bare';
  const drafts: Draft[] = [];
  const put = (key: string, draft: Omit<Draft, 'id' | 'phase' | 'after'>) =>
    drafts.push({
      id: finishId(paint.id, key),
      phase: 'finish',
      after: drafts.length > 0 ? [(drafts[drafts.length - 1] as Draft).id] : [],
      ...draft,
    });
  const on = paint.piece;
  put('mock', {
    title: `Mock up with the ${on} bare: everything fits once before it is painted`,
    minutes: 10,
    photo: 'What lies where, before the paint',
    why: 'paint takes room and shows every later cut',
  });
  put('clean', {
    title: `Wash and degrease the ${on}`,
    minutes: SMALL.clean * size,
    leaveMinutes: 30,
    tools: ['degreaser', 'gloves'],
    cautions: facts.tender ? [finishCautions.tender] : [],
  });
  if (bare)
    put('strip', {
      title: facts.tender
        ? `Sand the old finish off the ${on}: no stripper on plastic`
        : `Take the ${on} down to the bare material`,
      minutes: SMALL.strip * size,
      tools: facts.tender ? ['180 grit'] : ['paint stripper or 120 grit', 'scraper'],
      cautions: [finishCautions.dust, finishCautions.lead],
      undoable: false,
    });
  if (paint.fill)
    put('fill', {
      title: 'Fill dents and holes, thin layers',
      minutes: SMALL.fill,
      leaveMinutes: 30,
      tools: ['two-part filler'],
      cautions: [finishCautions.solvent],
    });
  const [coarse, fine] = facts.grit;
  put('sand', {
    title:
      bare || paint.fill
        ? `Sand ${coarse}, then ${fine}; wipe the dust off`
        : `Scuff the old finish with ${fine} until nothing shines; wipe the dust off`,
    minutes: (bare || paint.fill ? SMALL.sand : SMALL.scuff) * size,
    tools: [`${coarse} to ${fine} grit`, 'tack cloth', 'dust mask'],
    cautions: [finishCautions.dust],
  });
  put('mask', {
    title: 'Mask threads, earth points, contact faces, labels and openings',
    minutes: SMALL.mask * (size > 1 ? 2 : 1),
    tools: ['masking tape', 'paper'],
    cautions: facts.metal ? [finishCautions.earth] : [],
    photo: 'What is masked: the earth points',
  });
  const layers = layersOf(paint);
  layers.forEach((layer, i) => coatsOf(paint, layer, layers[i - 1], put));
  if (bakeC !== undefined)
    put('bake', {
      title: `Bake the ${on} at ${trim(bakeAt(paint, bakeC), 0)} °C for an hour, then let it cool in the oven`,
      minutes: 10,
      leaveMinutes: BAKE_MIN + 30,
      uses: 'oven',
      unattended: false,
      tools: ['oven thermometer'],
      cautions: [finishCautions.oven],
      why: 'heat hardens paint on metal',
    });
  const times = paintTimes[paint.paint];
  const dry = bakeC !== undefined ? 0 : inRoom(times.assemble, paint, paint.paint).hi;
  const last = drafts[drafts.length - 1] as Draft;
  drafts[drafts.length - 1] = {
    ...last,
    holds: last.leaveMinutes,
    rests: true,
    leaveMinutes: Math.round(Math.max(last.leaveMinutes ?? 0, dry)),
  };
  put('unmask', {
    title: `Unmask the ${on}, clean the threads, look at edges`,
    minutes: 10,
    tools: ['knife', 'M3 and 6-32 taps'],
    why: `soft until it has cured, ${Math.round(times.cureDays.lo)} to ${Math.round(times.cureDays.hi)} days at 20 °C: no clamps, no boxes`,
  });
  if (facts.metal)
    put('earth', {
      title: 'Continuity from the inlet’s earth pin to every earth point of the case',
      minutes: 5,
      tools: ['meter'],
      gate: 'under 0.1 ohm more than the meter’s own leads, at PSU, tray and panels',
      cautions: [finishCautions.law],
    });
  return drafts.map(step);
}

const bakeAt = ({ bakeC }: PaintWork, ceiling: number): number =>
  Math.min(bakeC ?? ceiling, ceiling);

type Put = (key: string, draft: Omit<Draft, 'id' | 'phase' | 'after'>) => void;

function coatsOf(paint: PaintWork, layer: Layer, before: Layer | undefined, put: Put): void {
  const times = paintTimes[paint.paint];
  const facts = materialFacts[paint.material ?? 'steel'];
  const minutes = SMALL.coat * sizeOf(paint);
  const room = (time: Range) => inRoom(time, paint, paint.paint);
  const flash = Math.round(mid(room(times.flash)));
  if (layer.name === 'second colour')
    put('mask-second', {
      title: `Mask for the second colour, ${layer.what}`,
      minutes: 20,
      tools: ['fine-line tape'],
    });
  for (let coat = 1; coat <= layer.coats; coat += 1) {
    const key = coatKey(layer, coat);
    const first = coat === 1;
    const last = coat === layer.coats;
    const of = lastBefore(paint.id, layer, coat, before);
    put(key, {
      title: `${capital(layer.what)}, coat ${coat} of ${layer.coats}${coverOf(paint, layer, coat)}`,
      minutes,
      leaveMinutes: last ? afterLayer(layer, times, room, facts.metal && paint.bake) : flash,
      uses: 'paint place',
      colour: layer.what,
      tools: first ? [`${layer.what}, ${paint.paint}`] : [],
      cautions: first
        ? [paint.paint === 'two-part' ? finishCautions.isocyanate : finishCautions.spray]
        : [],
      ...(of && {
        within: { of, minutes: times.recoat, again: times.again, else: again(times) },
      }),
    });
  }
  if (layer.name === 'primer')
    put('sand-primer', {
      title: 'Sand the primer with 600, wet; wipe and dry',
      minutes: 10 * sizeOf(paint),
      tools: ['600 grit', 'tack cloth'],
      cautions: [finishCautions.dust],
    });
}

const coatKey = ({ name }: Layer, coat: number): string => `${name.replace(' ', '-')}:${coat}`;

/** The coat a recoat window runs from: the one before, or the last of the layer under it; sanded primer has none. */
function lastBefore(
  id: string,
  layer: Layer,
  coat: number,
  before: Layer | undefined,
): string | undefined {
  if (coat > 1) return finishId(id, coatKey(layer, coat - 1));
  if (before === undefined || before.name === 'primer' || layer.name === 'second colour')
    return undefined;
  return finishId(id, coatKey(before, before.coats));
}

const again = (times: PaintTimes): string =>
  `the window is past: leave it ${times.again / 60} h from the last coat, scuff with 800, go on`;

function afterLayer(
  layer: Layer,
  times: PaintTimes,
  room: (time: Range) => Range,
  baked: boolean,
): number {
  if (layer.name === 'primer') return Math.round(room(times.handle).hi);
  if (layer.name === 'colour') return Math.round(mid(room(times.flash)) * 2);
  return baked ? BEFORE_BAKE_MIN : Math.round(room(times.touch).hi);
}

const coverOf = ({ coats }: PaintWork, layer: Layer, coat: number): string =>
  coat === 1 && (coats === 'thin' || layer.name === 'colour') ? ', thin: half cover' : '';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
