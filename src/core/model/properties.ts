import { besideC, softensC } from '../standards/air.ts';
import { boardFormats } from '../standards/boards.ts';
import { memoryKinds } from '../standards/memory.ts';
import { mainPlugIds, plugs } from '../standards/plugs/index.ts';
import { supplyFormats } from '../standards/room.ts';
import { efficiencyClasses } from '../standards/supplies.ts';
import { socketNames } from '../standards/sockets.ts';
import type { Kind } from './types.ts';

/** What can be known of a part: every figure the checks use, with its unit and where it is measured from. */

export type Measure =
  'mm' | 'W' | 'A' | 'V' | 'mΩ' | 'GB' | 'MT/s' | 'count' | 'h' | 'years' | '%' | 'text' | 'list';

export interface Property {
  key: string;
  label: string;
  measure: Measure;
  /** The question put to the technician; names the datum. */
  ask: string;
  /** Seconds it takes to find out at the bench (common practice, no source). */
  seconds: number;
  options?: readonly string[];
  /** Largest figure that can be meant, in its unit. */
  most?: number;
}

const mm = (key: string, label: string, ask: string, seconds = 20): Property => ({
  key,
  label,
  measure: 'mm',
  ask,
  seconds,
  most: 1000,
});
const text = (key: string, label: string, ask: string, options?: readonly string[]): Property => ({
  key,
  label,
  measure: 'text',
  ask,
  seconds: 10,
  ...(options ? { options } : {}),
});
const list = (key: string, label: string, ask: string, options?: readonly string[]): Property => ({
  key,
  label,
  measure: 'list',
  ask,
  seconds: 30,
  ...(options ? { options } : {}),
});
const num = (
  key: string,
  label: string,
  measure: Measure,
  ask: string,
  most: number,
  seconds = 10,
): Property => ({ key, label, measure, ask, seconds, most });

const formats = [...boardFormats.map((format) => format.name), "maker's own"];
const drivePlugs = ['sata', 'slimsata', 'drive4', 'small4'];
const fanPlugs = ['fan2', 'fan3', 'fan4', 'fan5'];
const frontPlugs = ['front10', 'frontMaker'];
const lightPlugs = ['light12', 'light5'];
const barrelIds = plugs.filter((each) => each.group === 'barrel').map((each) => each.id);
const powerPlugs = ['card6', 'card8', 'cpu4', 'cpu8', 'sata', 'drive4'];

export const caseClasses = ['tower', 'low tower', 'slim', 'micro', 'odd shell'] as const;
export const driveForms = ['3.5', '2.5', 'M.2'] as const;
/** Where the supply sits, seen with the ports at the upper end of the rear wall. */
export const supplyPlaces = [
  'above the board',
  'below the board',
  'in front of the board',
  'over the board',
  'outside the case',
] as const;
/** Where drives are screwed down; each mount of a case is listed once. */
export const drivePlaces = ['cage', 'floor', 'front', 'bracket', 'behind the tray'] as const;
const mounts = drivePlaces.flatMap((place) => [`${place} 3.5`, `${place} 2.5`]);
const vents = ['lid', 'top', 'rear', 'front', 'floor'];

export const properties: Record<Kind, readonly Property[]> = {
  case: [
    text('class', 'class', 'What sort of case is it?', caseClasses),
    mm('outerWidth', 'width outside', 'How wide is it outside, side to side?'),
    mm('outerHeight', 'height outside', 'How high is it outside, without feet?'),
    mm('outerDepth', 'depth outside', 'How deep is it outside, front to back?'),
    list('boards', 'boards it is made for', 'Which board sizes does it name?', formats),
    list('standoffs', 'standoffs', 'Which standoff places are there, by letter?'),
    mm(
      'boardWidth',
      'room for the board, along the rear',
      'How wide may a board be, along the rear wall?',
      40,
    ),
    mm(
      'boardDepth',
      'room for the board, from the rear',
      'How deep may a board be, from the rear wall to the first obstruction?',
      40,
    ),
    mm(
      'coolerRoom',
      'room over the processor',
      "How far is it from the processor's top to the closed lid?",
      40,
    ),
    mm(
      'cardRoom',
      'room for the card',
      'How far is it from inside the rear wall, at the upper slot, to the first obstruction?',
      30,
    ),
    mm(
      'cardHeightRoom',
      'room over the slot',
      'How far is it from the slot seat to the closed lid, less the plug?',
      40,
    ),
    num('slots', 'card openings', 'count', 'How many card openings are in the rear wall?', 10, 5),
    text('bracket', 'card bracket', 'Full height or low card brackets?', ['full', 'low']),
    text(
      'supplyFormat',
      'supply bay',
      'Which supply format does the bay take?',
      supplyFormats.map((f) => f.name),
    ),
    mm(
      'supplyRoom',
      'depth for the supply, plugs in',
      'How deep may the supply be, with its plugs in?',
      30,
    ),
    num(
      'bays35',
      'mounts for 3.5 in drives',
      'count',
      'How many 3.5 in drives can be screwed down?',
      30,
      15,
    ),
    num(
      'bays25',
      'mounts for 2.5 in drives',
      'count',
      'How many 2.5 in drives can be screwed down?',
      30,
      15,
    ),
    mm(
      'cageGain',
      'room the drive cage gives when out',
      'How far back is the next obstruction once the drive cage is out?',
      40,
    ),
    list('mounts', 'drive mounts', 'Where can drives be screwed down, each place once?', mounts),
    list('fanMounts', 'fan mounts', 'Which fan mounts are there (rear 92, front 120)?'),
    text('supplyAt', 'place of the supply', 'Where does the supply sit?', supplyPlaces),
    mm('innerWidth', 'width inside', 'How far is it from the tray to the closed lid?', 30),
    mm('innerHeight', 'height inside', 'How far is it inside, along the rear wall?', 30),
    mm('innerDepth', 'depth inside', 'How far is it from inside the rear wall to the front?', 30),
    mm(
      'bracketDrop',
      'what the drive bracket takes',
      'How far does the bracket with its drive hang down from the lid?',
    ),
    list('onLid', 'on the lid', 'What with a lead is fixed to the lid?', [
      'fan',
      'drive',
      'lights',
      'radiator',
    ]),
    list('vents', 'vents', 'Which walls have holes for air?', vents),
    mm('feet', 'feet', 'How high do its feet lift it?', 5),
    num('coats', 'coats of paint', 'count', 'How many coats of paint will it get inside?', 20, 5),
    mm('lining', 'lining', 'How thick are tape, pads or felt under the lid?', 10),
    list(
      'openings',
      'cut-outs for ports',
      'Which cut-outs has the rear wall, from the port end and up from the board?',
    ),
  ],
  board: [
    text('format', 'format', 'Which format is the board?', formats),
    mm('width', 'width along the rear', 'How wide is the board along its rear edge?'),
    mm('depth', 'depth from the rear edge', 'How deep is the board from the rear edge?'),
    list('holes', 'holes', 'Which holes has the board, by letter?'),
    list('holePlaces', 'hole places', 'Where are its holes, from any corner?'),
    text('socket', 'socket', 'Which processor socket is it?', socketNames),
    text('memoryKind', 'memory kind', 'Which memory does it take?', Object.keys(memoryKinds)),
    text('memoryForm', 'memory form', 'Long modules or short ones?', ['DIMM', 'SO-DIMM']),
    num('memorySlots', 'memory slots', 'count', 'How many memory slots has it?', 32, 5),
    num('memoryMax', 'memory limit', 'GB', "What is the board's memory limit?", 4096, 60),
    num('memorySpeed', 'fastest memory', 'MT/s', 'How fast may its memory be?', 12000, 60),
    text('mainPlug', 'main plug', 'Which main plug does the board take?', mainPlugIds),
    text('processorPlug', 'processor plug', 'Which processor plug does the board take?', [
      'none',
      'cpu4',
      'cpu8',
    ]),
    num('inVolts', 'volts it takes', 'V', 'Between which volts may its input lie?', 60),
    num('x16', 'x16 slots', 'count', 'How many x16 slots has it?', 10, 5),
    num(
      'slotLanes',
      'lanes of the slot',
      'count',
      'How many lanes has the slot, as routed?',
      16,
      20,
    ),
    num('slotGen', 'generation of the slot', 'count', 'Which generation is the slot?', 5, 20),
    num('m2Lanes', 'lanes of the M.2 socket', 'count', 'How many lanes has the M.2 socket?', 4, 20),
    num(
      'm2Gen',
      'generation of the M.2 socket',
      'count',
      'Which generation is the M.2 socket?',
      5,
      20,
    ),
    num(
      'm2Takes',
      'ports the M.2 socket takes',
      'count',
      'How many drive ports go dark when the M.2 socket is used?',
      4,
      30,
    ),
    num('channels', 'memory channels', 'count', 'How many memory channels has it?', 8, 20),
    num('m2', 'M.2 sockets', 'count', 'How many M.2 sockets for drives has it?', 10, 10),
    num('sata', 'SATA ports', 'count', 'How many SATA ports has it?', 20, 5),
    num('screens', 'screen outputs', 'count', 'How many screen outputs has the board?', 8, 5),
    mm(
      'toMemory',
      'processor to memory',
      "How far is it from the processor's middle to the nearest memory slot?",
    ),
    mm(
      'toShield',
      'processor to rear shield',
      "How far is it from the processor's middle to the block of ports?",
    ),
    mm(
      'toSlot',
      'processor to card slot',
      "How far is it from the processor's middle to the slot?",
    ),
    list('ports', 'ports', 'Where are its ports, from the port end and up from the board?'),
    num('watts', 'draw at full load', 'W', 'What does the board draw by itself?', 200, 120),
    text('frontHeader', 'front header', 'Which front header has the board?', frontPlugs),
    list('fanHeaders', 'fan headers', 'Which fan headers has the board?', fanPlugs),
    list('lightHeaders', 'light headers', 'Which light headers has the board?', lightPlugs),
  ],
  processor: [
    text('socket', 'socket', 'Which socket does the processor fit?', socketNames),
    num(
      'watts',
      'draw at full load',
      'W',
      'What does the processor draw at its boost limit?',
      600,
      60,
    ),
    text('graphics', 'own graphics', 'Has the processor its own graphics?', ['yes', 'no']),
  ],
  cooler: [
    text('class', 'class', 'Low cooler, tower or radiator?', ['low', 'tower', 'radiator']),
    mm('height', 'height', "How high is the cooler above the processor's top?"),
    mm('width', 'width', 'How wide is the cooler across the memory slots?'),
    mm('breadth', 'breadth', 'How wide is the cooler from memory end to card end?'),
    mm('under', 'free under its fins', "How far over the processor's top do its fins begin?"),
    text('radiator', 'radiator', 'How long is the radiator?', ['120', '240', '280', '360']),
    list('sockets', 'sockets', 'Which sockets has it mounting parts for?', socketNames),
  ],
  memory: [
    text('memoryKind', 'kind', 'Which memory kind is it?', Object.keys(memoryKinds)),
    text('memoryForm', 'form', 'A long module or a short one?', ['DIMM', 'SO-DIMM']),
    num('size', 'size', 'GB', 'How large is the module?', 1024, 5),
    num('speed', 'speed', 'MT/s', 'How fast is the module?', 12000, 5),
    mm('height', 'height', 'How high is the module above its slot?'),
  ],
  card: [
    mm('length', 'length from the bracket', 'How long is the card from the inside of its bracket?'),
    mm('height', 'height above the slot', 'How high is the card above the slot seat?'),
    num('slotsWide', 'slots taken', 'count', 'How many slots does it take?', 5, 5),
    text('bracket', 'bracket', 'Full height or low bracket?', ['full', 'low', 'both']),
    num('lanes', 'lanes', 'count', 'How many lanes has the card, by its contacts?', 16, 20),
    num('gen', 'generation', 'count', 'Which generation is the card?', 5, 20),
    list('plugs', 'power plugs', 'Which power plugs does the card want?', ['card6', 'card8']),
    text('plugAt', 'place of its plugs', 'Where do its power plugs sit?', ['top', 'end']),
    num('watts', 'draw at full load', 'W', 'What does the card draw?', 1000, 60),
    num(
      'makerTotal',
      "card maker's figure for the whole machine",
      'W',
      'Which supply does the card maker ask for?',
      2000,
      60,
    ),
    num('screens', 'screen outputs', 'count', 'How many screen outputs has the card?', 8, 5),
  ],
  drive: [
    text('form', 'form', 'Which form is the drive?', driveForms),
    num('size', 'size', 'GB', 'How large is the drive?', 100000, 5),
    text('bus', 'bus', 'NVMe or SATA?', ['NVMe', 'SATA']),
    num('lanes', 'lanes', 'count', 'How many lanes has the drive?', 4, 20),
    num('gen', 'generation', 'count', 'Which generation is the drive?', 5, 20),
    mm('sink', 'heat sink', 'How high does its heat sink stand?', 10),
    num('hours', 'hours', 'h', 'How many hours has it run?', 200000, 60),
    num('watts', 'draw at full load', 'W', 'What does the drive draw?', 40, 60),
    text('plug', 'power plug', 'Which power plug does the drive take?', drivePlugs),
  ],
  supply: [
    text(
      'format',
      'format',
      'Which format is the supply?',
      supplyFormats.map((f) => f.name),
    ),
    mm('depth', 'depth without plugs', 'How deep is the supply, plug side to inlet?'),
    num('watts', 'watts on the label', 'W', 'How many watts in all does the label allow?', 3000),
    num('amps12', 'amps on 12 V', 'A', 'How many amps in all does the label allow on 12 V?', 250),
    num('amps5', 'amps on 5 V', 'A', 'How many amps does the label allow on 5 V?', 100),
    num('amps33', 'amps on 3.3 V', 'A', 'How many amps does the label allow on 3.3 V?', 100),
    num(
      'combined',
      '5 and 3.3 V together',
      'W',
      'How many watts does the label allow on 5 and 3.3 V together?',
      500,
    ),
    text('class', 'efficiency class', 'Which efficiency class is on its label?', efficiencyClasses),
    list(
      'curve',
      'measured efficiency',
      'Percent of the label and percent that come out, as 50 88?',
    ),
    num('years', 'years in use', 'years', 'How many years has it been in use?', 40),
    text('feeds', 'what it is', 'A supply in the case, a brick, a battery or a bench supply?', [
      'supply',
      'brick',
      'battery',
      'bench supply',
    ]),
    num('volts', 'volts out', 'V', 'How many volts does it give?', 60),
    num(
      'innerOhm',
      'resistance inside',
      'mΩ',
      'How many milliohms has the battery inside?',
      5000,
      120,
    ),
    num('fuse', 'fuse', 'A', 'Which fuse is in its lead?', 200),
    num(
      'feedLength',
      'length of its lead',
      'mm',
      'How long is the lead from it to the machine?',
      60000,
    ),
    num('feedAwg', 'gauge of its lead', 'count', 'Which gauge (AWG) has the lead?', 30),
    text('tip', 'tip', 'Which tip has the lead?', barrelIds),
    text('identity', 'middle pin', 'Does the board know the brick by its middle pin?', [
      'known',
      'not known',
      'none',
    ]),
    text('mainPlug', 'main plug', 'Which main plug does it bring?', mainPlugIds),
    list('plugs', 'other plugs', 'Which other plugs does it bring?', powerPlugs),
    list(
      'pinReadings',
      'readings of its plug',
      'What did the meter say of its main plug, pin by pin?',
    ),
    text('driveKey', 'key of its drive plug', 'Is the key of its four-way drive plug whole?', [
      'whole',
      'snapped',
    ]),
    list(
      'socketOrder',
      'order of its lead sockets',
      'What does each pin of its lead socket carry, counted on the header face?',
    ),
    mm('leadMain', 'main lead', 'How long is its main lead?', 15),
    mm('leadProcessor', 'processor lead', 'How long is its processor lead?', 15),
    mm('leadCard', 'card lead', 'How long is its card lead?', 15),
  ],
  fan: [
    mm('size', 'size', 'How wide is the fan?', 5),
    mm('thickness', 'thickness', 'How thick is the fan?', 10),
    text('blows', 'blows', 'Which way does it blow?', ['in', 'out']),
    num('amps', 'amps', 'A', 'How many amps are on its label?', 6),
    text('plug', 'plug', 'Which plug has the fan?', fanPlugs),
  ],
  leads: [
    text('block', 'front block', "Single leads, the standard block, or a maker's block?", [
      'single',
      'standard 2x5',
      "maker's block",
    ]),
    mm('length', 'length', 'How long are the front leads?'),
    text('frontPlug', 'plug of the block', 'Which plug has the front block?', frontPlugs),
  ],
  small: [
    text('what', 'what', 'What is it?'),
    num('count', 'count', 'count', 'How many are there?', 10000, 20),
    text('plug', 'plug', 'Which plug has it?'),
    text(
      'belongsTo',
      'supply it belongs to',
      'Which supply, or model of supply, did this lead come with?',
    ),
    list(
      'buzzed',
      'wires buzzed out',
      'Which pin at the supply end beeps with which at the other?',
    ),
    list('joinsFrom', 'joins from', 'Which plugs does the adapter take from the supply?'),
    list('joinsTo', 'joins to', 'Which plugs does the adapter give?'),
    list('wiring', 'wiring', 'Which wire goes from which pin to which?'),
    num('inVolts', 'volts in', 'V', 'Between which volts may its input lie?', 60),
    num('outVolts', 'volts out', 'V', 'How many volts does the converter give?', 60),
    num('outAmps', 'amps out', 'A', 'How many amps does it give at most?', 60),
    num('inAmps', 'amps in', 'A', 'How many amps may go into it at most?', 60),
    num('efficiency', 'efficiency', '%', 'How many percent of the power come out?', 100),
    list(
      'curve',
      'measured efficiency',
      'Percent of the label and percent that come out, as 50 88?',
    ),
    num(
      'idleWatts',
      'draw with nothing on it',
      'W',
      'What does it draw with nothing on it?',
      20,
      60,
    ),
    text('straight', '12 V straight through', 'Is its 12 V rail joined to its input?', [
      'yes',
      'no',
    ]),
    num('out5Amps', 'amps out on 5 V', 'A', 'How many amps does it give on 5 V?', 60),
    num('out33Amps', 'amps out on 3.3 V', 'A', 'How many amps does it give on 3.3 V?', 60),
    text('enable', 'how it is switched', 'How is the second supply switched on?', [
      'linked to the first',
      'by its rocker',
      'not yet',
    ]),
    text('feedsWhat', 'what it feeds', 'What does the second supply feed?', [
      'loads of its own',
      'a rail the first feeds too',
    ]),
    text('sharedReturn', 'shared return', 'Are the returns of both supplies joined?', [
      'yes',
      'no',
    ]),
    text('carries', 'carries', 'Which seat hangs on it, as card1?'),
    num(
      'lanes',
      'lanes it routes',
      'count',
      'How many lanes does it route, by its contacts?',
      16,
      20,
    ),
    num('gen', 'generation', 'count', 'Which generation does it carry?', 5, 20),
    text('material', 'material', 'Which material is it printed of?', Object.keys(softensC)),
    text('beside', 'beside', 'What is the hottest thing beside it?', Object.keys(besideC)),
    text('proved', 'proved', 'How far has it been tested?', ['not yet', 'buzzed out', 'live']),
  ],
};

/** Figures that are a span by nature, not a value that is known less well: what an input stands. */
export const spans: readonly string[] = ['inVolts'];

/** Facts a machine carries itself (firmware, what the machine was). */
export const machineKeys = ['model', 'serial', 'firmware', 'chassis', 'biosDate'] as const;

export function property(kind: Kind, key: string): Property | undefined {
  return properties[kind].find((one) => one.key === key);
}

export const allKeys: readonly string[] = [
  ...new Set([
    ...Object.values(properties).flatMap((list) => list.map((one) => one.key)),
    ...machineKeys,
  ]),
].sort();

export const knownPlugIds: readonly string[] = plugs.map((one) => one.id);
