import { memoryKinds } from '../../standards/memory.ts';
import { radiatorSizes } from '../../standards/room.ts';
import { m2Lengths } from '../../standards/links.ts';
import { socketNames } from '../../standards/sockets.ts';
import { walls } from '../types/shapes.ts';
import { list, mm, num, plug, plugList, text } from './property.ts';
import { drivePlugs, fanPlugs } from './words.ts';

export const processorProperties = [
  text('socket', 'socket', 'Which socket does the CPU fit?', socketNames),
  num('watts', 'draw at full load', 'W', 'What does the CPU draw at its boost limit?', 600, 60),
  num('generation', 'generation', 'count', 'Which generation is the CPU?', 30, 30),
  text('lid', 'under its lid', 'Is its lid soldered, pasted, or over several chips?', [
    'soldered',
    'pasted',
    'chiplets',
  ]),
  text('graphics', 'own graphics', 'Has the CPU its own graphics?', ['yes', 'no']),
] as const;

export const coolerProperties = [
  text('class', 'class', 'Low cooler, tower or radiator?', ['low', 'tower', 'radiator']),
  mm('height', 'height', "How high is the cooler above the CPU's top?"),
  mm('width', 'width', 'How wide is the cooler across the RAM slots?'),
  mm('breadth', 'breadth', 'How wide is the cooler from memory end to card end?'),
  mm('under', 'free under its fins', "How far over the CPU's top do its fins begin?"),
  text('radiator', 'radiator', 'How long is the radiator?', Object.keys(radiatorSizes)),
  text('wall', 'where its radiator hangs', 'On which wall does its radiator hang?', walls),
  mm('thickness', 'radiator with its fans', 'How thick is the radiator with its fans?', 10),
  text('fansOn', 'fans of the radiator', 'Has its radiator fans on one side or on both?', [
    'one side',
    'both sides',
  ]),
  text('blows', 'radiator blows', 'Which way do the fans of its radiator blow?', ['in', 'out']),
  list('sockets', 'sockets', 'Which sockets has it mounting parts for?', socketNames),
] as const;

export const memoryProperties = [
  text('memoryKind', 'kind', 'Which RAM kind is it?', Object.keys(memoryKinds)),
  text('memoryForm', 'form', 'A long module or a short one?', ['DIMM', 'SO-DIMM']),
  num('size', 'size', 'GB', 'How large is the module?', 1024, 5),
  num('speed', 'speed', 'MT/s', 'How fast is the module?', 12000, 5),
  mm('height', 'height', 'How high is the module above its slot?'),
  text('sort', 'sort of module', 'Plain, with check bits, or registered?', [
    'plain',
    'ECC',
    'registered',
    'fully buffered',
  ]),
  text('memoryVolts', 'volts', 'PC3 or PC3L on the label?', ['1.5 V', '1.35 V too']),
  num('ranks', 'ranks', 'count', 'How many ranks: the figure before the R on the label?', 8, 10),
] as const;

export const cardProperties = [
  mm('length', 'length from the bracket', 'How long is the card from the inside of its bracket?'),
  mm('height', 'height above the slot', 'How high is the card above the slot seat?'),
  num('slotsWide', 'slots taken', 'count', 'How many slots does it take?', 5, 5),
  text('bracket', 'bracket', 'Full height or low bracket?', ['full', 'low', 'both']),
  num('lanes', 'lanes', 'count', 'How many lanes has the card, by its contacts?', 16, 20),
  num('gen', 'generation', 'count', 'Which generation is the card?', 6, 20),
  plugList('plugs', 'power plugs', 'Which power plugs does the card want?', [
    'card6',
    'card8',
    'card16',
  ]),
  text('plugAt', 'place of its plugs', 'Where do its power plugs sit?', ['top', 'end']),
  num('watts', 'draw at full load', 'W', 'What does the card draw?', 1000, 60),
  num(
    'makerTotal',
    "card maker's figure for the whole machine",
    'W',
    'Which PSU does the card maker ask for?',
    2000,
    60,
  ),
  num('screens', 'screen outputs', 'count', 'How many screen outputs has the card?', 8, 5),
  text('starts', 'firmware of the card', 'Is its firmware of the old kind, UEFI, or both?', [
    'legacy',
    'UEFI',
    'both',
  ]),
] as const;

export const driveForms = ['3.5', '2.5', 'M.2'] as const;

export const driveProperties = [
  text('form', 'form', 'Which form is the drive?', driveForms),
  num('size', 'size', 'GB', 'How large is the drive?', 100000, 5),
  text('m2Length', 'length, M.2', 'Which length is printed on the M.2 drive?', m2Lengths),
  list('m2Keys', 'notches, M.2', 'Where has the M.2 drive its notches: B, M or both?', ['B', 'M']),
  text('bus', 'bus', 'NVMe or SATA?', ['NVMe', 'SATA']),
  num('lanes', 'lanes', 'count', 'How many lanes has the drive?', 4, 20),
  num('gen', 'generation', 'count', 'Which generation is the drive?', 6, 20),
  num(
    'sataGen',
    'generation on a drive port',
    'count',
    'Which SATA generation is the drive?',
    3,
    20,
  ),
  mm('sink', 'heat sink', 'How high does its heat sink stand?', 10),
  mm('height', 'thickness', 'How thick is the drive?', 10),
  num('hours', 'hours', 'h', 'How many hours has it run?', 200000, 60),
  num('worn', 'worn', '%', 'How much of its life is used up, by its own record?', 255, 60),
  num('reallocated', 'bad sectors', 'count', 'How many sectors has it set aside?', 1e6, 60),
  text('selfTest', 'its own record', 'Does it say of itself that it is well?', [
    'passed',
    'failed',
  ]),
  num('watts', 'draw at full load', 'W', 'What does the drive draw?', 40, 60),
  plug('plug', 'power plug', 'Which power plug does the drive take?', drivePlugs),
] as const;

export const fanProperties = [
  mm('size', 'size', 'How wide is the fan?', 5),
  mm('thickness', 'thickness', 'How thick is the fan?', 10),
  text('wall', 'where it hangs', 'On which wall does it hang?', walls),
  text('blows', 'blows', 'Which way does it blow?', ['in', 'out']),
  num('amps', 'amps', 'A', 'How many amps are on its label?', 6),
  plug('plug', 'plug', 'Which plug has the fan?', fanPlugs),
] as const;
