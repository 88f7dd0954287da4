import { besideC, softensC } from '../../standards/air.ts';
import { mainPlugIds } from '../../standards/plugs/index.ts';
import { supplyFormats } from '../../standards/room.ts';
import { efficiencyClasses } from '../../standards/supplies.ts';
import { buzzedWire, curvePoint, plugReading, railAmps } from '../types/shapes.ts';
import { smallSorts } from './smallSorts.ts';
import { list, mm, num, plug, plugList, shaped, text } from './property.ts';
import { antennaPlaces, wirelessForms } from '../../standards/links.ts';
import { barrelIds, frontPlugs, powerPlugs, usbHeaderIds } from './words.ts';

export const supplyProperties = [
  text(
    'format',
    'format',
    'Which format is the PSU?',
    supplyFormats.map((f) => f.name),
  ),
  mm('depth', 'depth without plugs', 'How deep is the PSU, plug side to inlet?'),
  mm('width', 'width of the brick', 'How wide is the brick?'),
  mm('height', 'height of the brick', 'How high is the brick?'),
  text('modular', 'its leads', 'Are its leads fixed, or do they plug in?', [
    'fixed',
    'main lead fixed',
    'all plug in',
  ]),
  num('watts', 'watts on the label', 'W', 'How many watts in all does the label allow?', 3000),
  num('amps12', 'amps on 12 V', 'A', 'How many amps in all does the label allow on 12 V?', 250),
  shaped(
    'rails12',
    '12 V rails',
    'Which amps has each 12 V rail of the label, and what does it feed?',
    railAmps,
  ),
  num(
    'ampsStandby',
    'amps of standby',
    'A',
    'How many amps does the label allow on 5 V standby?',
    20,
  ),
  text(
    'regulation',
    'regulation',
    'One choke for 12 and 5 V together, or a converter for each rail?',
    ['each rail', 'group'],
  ),
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
  shaped(
    'curve',
    'measured efficiency',
    'Percent of the label and percent that come out, as 50 88?',
    curvePoint,
  ),
  num('years', 'years in use', 'years', 'How many years has it been in use?', 40),
  text('feeds', 'what it is', 'A PSU in the case, a brick, a battery or a bench PSU?', [
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
  plug('tip', 'tip', 'Which tip has the lead?', barrelIds),
  text('centre', 'middle of the barrel', 'Is plus or minus in the middle of the barrel?', [
    'plus',
    'minus',
  ]),
  text('identity', 'middle pin', 'Does the board know the brick by its middle pin?', [
    'known',
    'not known',
    'none',
  ]),
  plug('mainPlug', 'main plug', 'Which main plug does it bring?', mainPlugIds),
  plugList('plugs', 'other plugs', 'Which other plugs does it bring?', powerPlugs),
  shaped(
    'pinReadings',
    'readings of its plug',
    'What did the meter say of its main plug, pin by pin?',
    plugReading,
  ),
  text('driveKey', 'key of its drive plug', 'Is the key of its 4-pin peripheral plug whole?', [
    'whole',
    'snapped',
  ]),
  list(
    'socketOrder',
    'order of its lead sockets',
    'What does each pin of its lead socket carry, counted on the header face?',
  ),
  mm('leadMain', 'main lead', 'How long is its main lead?', 15),
  mm('leadProcessor', 'CPU lead', 'How long is its CPU lead?', 15),
  mm('leadCard', 'card lead', 'How long is its card lead?', 15),
] as const;

export const leadsProperties = [
  text('block', 'front block', "Single leads, the standard block, or a maker's block?", [
    'single',
    'standard 2x5',
    "maker's block",
  ]),
  mm('length', 'length', 'How long are the front leads?'),
  plug('frontPlug', 'plug of the block', 'Which plug has the front block?', frontPlugs),
  plugList('usb', 'USB leads', 'Which USB leads has the front?', usbHeaderIds),
] as const;

export const smallProperties = [
  text('sort', 'sort', 'What sort of part is it?', smallSorts),
  num('count', 'count', 'count', 'How many are there?', 10000, 20),
  plug('plug', 'plug', 'Which plug has it?'),
  mm(
    'rise',
    'slot of the riser over the board',
    "How high over the board does the riser's slot stand?",
  ),
  mm('length', 'length of its lead', 'How long is it, plug to plug?', 15),
  mm('way', 'way of its lead', 'How far is it for its lead, laid as it shall lie?', 30),
  text(
    'plugEnd',
    'socket end of the ribbon',
    'Does its socket end go straight on, or at an angle?',
    ['straight', 'angled'],
  ),
  mm(
    'wallBeside',
    'wall beside the ribbon',
    "How far is it from the card's contacts to the wall beside them?",
    20,
  ),
  text(
    'wirelessForm',
    'socket it wants',
    'Which socket does the wireless card want?',
    wirelessForms,
  ),
  text('antennas', 'where its antennas go', 'Where do its antennas go?', antennaPlaces),
  text('belongsTo', 'PSU it belongs to', 'Which PSU, or model of PSU, did this lead come with?'),
  shaped(
    'buzzed',
    'wires buzzed out',
    'Which pin at the PSU end beeps with which at the other?',
    buzzedWire,
  ),
  plugList('joinsFrom', 'joins from', 'Which plugs does the adapter take from the PSU?'),
  plugList('joinsTo', 'joins to', 'Which plugs does the adapter give?'),
  {
    ...list('wiring', 'wiring', 'Which wire goes from which pin to which?'),
    phrases: true,
  },
  num('inVolts', 'volts in', 'V', 'Between which volts may its input lie?', 60),
  num('outVolts', 'volts out', 'V', 'How many volts does the converter give?', 60),
  num('outAmps', 'amps out', 'A', 'How many amps does it give at most?', 60),
  num('inAmps', 'amps in', 'A', 'How many amps may go into it at most?', 60),
  num('efficiency', 'efficiency', '%', 'How many percent of the power come out?', 100),
  shaped(
    'curve',
    'measured efficiency',
    'Percent of the label and percent that come out, as 50 88?',
    curvePoint,
  ),
  num('idleWatts', 'draw with nothing on it', 'W', 'What does it draw with nothing on it?', 20, 60),
  text('straight', '12 V straight through', 'Is its 12 V rail joined to its input?', ['yes', 'no']),
  num('out5Amps', 'amps out on 5 V', 'A', 'How many amps does it give on 5 V?', 60),
  num('out33Amps', 'amps out on 3.3 V', 'A', 'How many amps does it give on 3.3 V?', 60),
  text('enable', 'how it is switched', 'How is the second PSU switched on?', [
    'linked to the first',
    'by its rocker',
    'not yet',
  ]),
  text('feedsWhat', 'what it feeds', 'What does the second PSU feed?', [
    'loads of its own',
    'a rail the first feeds too',
  ]),
  text('sharedReturn', 'shared ground', 'Are the grounds of both PSUs joined?', ['yes', 'no']),
  text('carries', 'carries', 'Which seat depends on it, as card1?'),
  num('fuse', 'fuse', 'A', 'Which fuse is in its lead?', 200),
  num(
    'feedLength',
    'length of its lead',
    'mm',
    'How long is the lead from the source to it?',
    60000,
  ),
  num('feedAwg', 'gauge of its lead', 'count', 'Which gauge (AWG) has the lead?', 30),
  num(
    'lanes',
    'lanes it routes',
    'count',
    'How many lanes does it route, by its contacts?',
    16,
    20,
  ),
  num('gen', 'generation', 'count', 'Which generation does it carry?', 6, 20),
  text('material', 'material', 'Which material is it printed of?', Object.keys(softensC)),
  text('beside', 'beside', 'What is the hottest thing beside it?', Object.keys(besideC)),
  text('proved', 'proved', 'How far has it been tested?', ['not yet', 'buzzed out', 'live']),
] as const;
