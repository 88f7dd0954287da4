import { memoryKinds } from '../../standards/memory.ts';
import { mainPlugIds } from '../../standards/plugs/index.ts';
import { socketNames } from '../../standards/sockets.ts';
import { m2Lengths } from '../../standards/links.ts';
import { barrelIds, boardFormatNames, fanPlugs, frontPlugs, lightPlugs } from './words.ts';
import { area, place } from '../types/shapes.ts';
import { list, mm, num, shaped, text } from './property.ts';

export const boardProperties = [
  text('format', 'format', 'Which format is the board?', boardFormatNames),
  mm('width', 'board width', 'How wide is the board along its rear edge?'),
  mm('depth', 'depth from the rear edge', 'How deep is the board from the rear edge?'),
  list('holes', 'holes', 'Which holes has the board, by letter?'),
  shaped('holePlaces', 'hole places', 'Where are its holes, from any corner?', place),
  text('socket', 'socket', 'Which CPU socket is it?', socketNames),
  text('memoryKind', 'RAM kind', 'Which RAM does it take?', Object.keys(memoryKinds)),
  text('memoryForm', 'RAM form', 'Long modules or short ones?', ['DIMM', 'SO-DIMM']),
  text('memorySort', 'modules it takes', 'Plain modules or registered ones?', [
    'plain',
    'registered',
    'either',
  ]),
  num('memorySlots', 'RAM slots', 'count', 'How many RAM slots has it?', 32, 5),
  num('memoryMax', 'RAM limit', 'GB', "What is the board's RAM limit?", 4096, 60),
  num('memorySpeed', 'fastest RAM', 'MT/s', 'How fast may its RAM be?', 12000, 60),
  text('mainPlug', 'main plug', 'Which main plug does the board take?', mainPlugIds),
  text('processorPlug', 'CPU plug', 'Which CPU plug does the board take?', [
    'none',
    'cpu4',
    'cpu8',
  ]),
  num('inVolts', 'volts it takes', 'V', 'Between which volts may its input lie?', 60),
  num('x16', 'x16 slots', 'count', 'How many x16 slots has it?', 10, 5),
  num('slotLanes', 'lanes of the slot', 'count', 'How many lanes has the slot, as routed?', 16, 20),
  num(
    'slotWatts',
    'slot power',
    'W',
    'What may a card draw from the slot, by the maker of the board?',
    75,
    60,
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
  list(
    'm2Lengths',
    'lengths its M.2 sockets hold',
    'Which lengths have a standoff at its M.2 sockets?',
    m2Lengths,
  ),
  list('m2Keys', 'keys of its M.2 sockets', 'Where do the M.2 sockets have their key: B or M?', [
    'B',
    'M',
  ]),
  list('m2Kinds', 'drives its M.2 sockets take', 'Which M.2 drives do its sockets take?', [
    'NVMe',
    'SATA',
  ]),
  num(
    'm2Takes',
    'ports the M.2 socket takes',
    'count',
    'How many drive ports go dark when the M.2 socket is used?',
    4,
    30,
  ),
  num('channels', 'RAM channels', 'count', 'How many RAM channels has it?', 8, 20),
  num('m2', 'M.2 sockets', 'count', 'How many M.2 sockets for drives has it?', 10, 10),
  num('sata', 'SATA ports', 'count', 'How many SATA ports has it?', 20, 5),
  num('screens', 'screen outputs', 'count', 'How many screen outputs has the board?', 8, 5),
  mm('toMemory', 'CPU to RAM', "How far is it from the CPU's middle to the nearest RAM slot?"),
  mm(
    'toShield',
    'CPU to rear shield',
    "How far is it from the CPU's middle to the block of ports?",
  ),
  mm('toSlot', 'CPU to card slot', "How far is it from the CPU's middle to the slot?"),
  shaped('ports', 'ports', 'Where are its ports, from the port end and up from the board?', area),
  num('watts', 'draw at full load', 'W', 'What does the board draw by itself?', 200, 120),
  num('phases', 'power phases', 'count', 'How many chokes stand round the socket?', 30, 20),
  num('usbHeaders', 'USB headers', 'count', 'How many headers has it for USB at the front?', 8, 10),
  num(
    'wakePorts',
    'USB ports live when off',
    'count',
    'How many of its USB ports stay live when the machine is off?',
    20,
    30,
  ),
  text('jack', 'jack for its brick', 'Which jack does it take its brick by?', barrelIds),
  text('centre', 'middle of the barrel', 'Is plus or minus in the middle of the barrel?', [
    'plus',
    'minus',
  ]),
  num(
    'sataGen',
    'generation of the drive ports',
    'count',
    'Which generation are its drive ports?',
    3,
    60,
  ),
  list(
    'generations',
    'CPU generations it can ever know',
    "Which CPU generations does the board maker's list name, by number?",
  ),
  list(
    'generationsNow',
    'generations its firmware knows now',
    'Which of them does the firmware know that is on it now?',
  ),
  text('flashBare', 'firmware without a CPU', 'Can it write its firmware without a CPU?', [
    'yes',
    'no',
  ]),
  text('starts', 'way of starting', 'Does it start the old way, the UEFI way, or both?', [
    'legacy',
    'UEFI',
    'both',
  ]),
  list('startsFrom', 'starts from', 'From which drives can it start?', ['SATA', 'NVMe', 'USB']),
  text('frontHeader', 'front header', 'Which front header has the board?', frontPlugs),
  list('fanHeaders', 'fan headers', 'Which fan headers has the board?', fanPlugs),
  list('lightHeaders', 'light headers', 'Which light headers has the board?', lightPlugs),
] as const;
