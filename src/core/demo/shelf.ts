import type { Part } from '../model/types.ts';
import { euros, measured, part, said } from './write.ts';

const batch = { origin: 'valley office, retired batch' };

const cases: Part[] = [
  part(
    'A01',
    'case',
    'grey low tower',
    {},
    { modelId: 'low-tower-case', where: 'rack 2', condition: 'worn', price: euros(8) },
  ),
  part(
    'A02',
    'case',
    'grey low tower',
    {},
    { modelId: 'low-tower-case', where: 'rack 2', condition: 'good', price: euros(8) },
  ),
  part(
    'A03',
    'case',
    'cream tower, 1999',
    {
      ...measured({
        outerWidth: 190,
        outerHeight: 430,
        outerDepth: 440,
        coolerRoom: 150,
        cardRoom: 295,
        slots: 7,
        bays35: 4,
        bays25: 0,
        supplyRoom: 180,
      }),
      ...said({
        class: 'tower',
        boards: ['ATX', 'microATX'],
        bracket: 'full',
        supplyFormat: 'ATX',
      }),
    },
    { where: 'rack 3', condition: 'worn', price: euros(0) },
  ),
  part(
    'A04',
    'case',
    'lamp tester, steel',
    {
      ...measured({
        outerWidth: 203,
        outerHeight: 150,
        outerDepth: 310,
        boardWidth: 190,
        boardDepth: 190,
        coolerRoom: 56,
        cardRoom: 136,
      }),
      ...said({ class: 'odd shell' }),
    },
    {
      where: 'rack 4',
      condition: 'good',
      origin: 'market',
      price: euros(4),
      note: 'old lamps out; no radium dial found',
    },
  ),
];

const boards: Part[] = [
  part(
    'B01',
    'board',
    'Pelvar Q7, microATX',
    said({
      format: 'microATX',
      socket: 'LGA1151',
      memoryKind: 'DDR4',
      memoryForm: 'DIMM',
      memorySlots: 4,
      memoryMax: 64,
      memorySpeed: 2666,
      mainPlug: 'main24',
      processorPlug: 'cpu8',
      x16: 1,
      m2: 1,
      sata: 4,
      screens: 2,
    }),
    { where: 'B1', condition: 'good', price: euros(35) },
  ),
  part(
    'B02',
    'board',
    'Pelvar I3, Mini-ITX',
    said({
      format: 'Mini-ITX',
      socket: 'LGA1200',
      memoryKind: 'DDR4',
      memoryForm: 'DIMM',
      memorySlots: 2,
      memoryMax: 64,
      memorySpeed: 2933,
      mainPlug: 'main24',
      processorPlug: 'cpu4',
      x16: 1,
      m2: 1,
      sata: 4,
      screens: 2,
    }),
    {
      where: 'B1',
      condition: 'mended',
      price: euros(28),
      note: 'lifted leg at the audio chip, soldered, not retested',
    },
  ),
  part(
    'B03',
    'board',
    'Pelvar A5, ATX',
    said({
      format: 'ATX',
      socket: 'AM4',
      memoryKind: 'DDR4',
      memoryForm: 'DIMM',
      memorySlots: 4,
      memoryMax: 128,
      memorySpeed: 3200,
      mainPlug: 'main24',
      processorPlug: 'cpu8',
      x16: 2,
      m2: 2,
      sata: 6,
      screens: 1,
    }),
    { where: 'B1', condition: 'unknown', price: euros(30) },
  ),
  part(
    'B04',
    'board',
    'Pelvar G4, microATX',
    said({
      format: 'microATX',
      socket: 'LGA1155',
      memoryKind: 'DDR3',
      memoryForm: 'DIMM',
      memorySlots: 2,
      memoryMax: 16,
      memorySpeed: 1600,
      mainPlug: 'main24',
      processorPlug: 'cpu4',
      x16: 1,
      m2: 0,
      sata: 4,
      screens: 2,
    }),
    { where: 'B2', condition: 'good', ...batch },
  ),
];

const processors: Part[] = [
  part(
    'C01',
    'processor',
    'Corvane C5-640',
    said({ socket: 'LGA1151', watts: [65, 95], graphics: 'yes' }),
    { where: 'C', condition: 'good', ...batch },
  ),
  part(
    'C02',
    'processor',
    'Corvane C3-610',
    said({ socket: 'LGA1151', watts: [51, 65], graphics: 'yes' }),
    { where: 'C', condition: 'good', ...batch },
  ),
  part(
    'C03',
    'processor',
    'Corvane C7-670',
    said({ socket: 'LGA1151', watts: [65, 130], graphics: 'yes' }),
    { where: 'C', condition: 'unknown', price: euros(45) },
  ),
  part(
    'C04',
    'processor',
    'Corvane C5-340',
    said({ socket: 'LGA1155', watts: [65, 77], graphics: 'yes' }),
    { where: 'C', condition: 'good', ...batch },
  ),
  part(
    'C05',
    'processor',
    'Tolmar R5-36',
    said({ socket: 'AM4', watts: [65, 88], graphics: 'no' }),
    { where: 'C', condition: 'good', price: euros(40) },
  ),
  part(
    'C06',
    'processor',
    'Corvane C5-100',
    said({ socket: 'LGA1200', watts: [65, 134], graphics: 'yes' }),
    { where: 'C', condition: 'good', price: euros(50) },
  ),
];

const square75 = ['LGA1150', 'LGA1151', 'LGA1155', 'LGA1156', 'LGA1200'];

const coolers: Part[] = [
  part(
    'K01',
    'cooler',
    'Surrandel Low 58',
    { ...measured({ height: 58, width: 92 }), ...said({ class: 'low', sockets: square75 }) },
    { where: 'K', condition: 'good', price: euros(9) },
  ),
  part(
    'K02',
    'cooler',
    'Surrandel Tower 12',
    said({ class: 'tower', sockets: [...square75, 'AM4'] }),
    { where: 'K', condition: 'good', price: euros(12) },
  ),
  part(
    'K03',
    'cooler',
    'Surrandel Low 37',
    { ...measured({ height: 37, width: 95 }), ...said({ class: 'low', sockets: ['AM4', 'AM5'] }) },
    { where: 'K', condition: 'good', price: euros(14), note: 'kit for AM4 only' },
  ),
  part(
    'K04',
    'cooler',
    'round office cooler',
    { ...measured({ height: 62 }), ...said({ class: 'low', sockets: square75 }) },
    { where: 'K', condition: 'worn', ...batch },
  ),
  part('K05', 'cooler', 'round office cooler', said({ class: 'low', sockets: square75 }), {
    where: 'K',
    condition: 'worn',
    ...batch,
  }),
  part(
    'K06',
    'cooler',
    'old flat cooler',
    { ...measured({ height: 45 }), ...said({ class: 'low', sockets: ['LGA775'] }) },
    { where: 'K', condition: 'good' },
  ),
];

const memory: Part[] = [
  ...[1, 2, 3, 4].map((n) =>
    part(
      `E0${n}`,
      'memory',
      '8 GB DDR4-2400',
      {
        ...said({ memoryKind: 'DDR4', memoryForm: 'DIMM', size: 8, speed: 2400 }),
        ...measured({ height: 31 }),
      },
      { where: 'E', condition: 'good', ...batch },
    ),
  ),
  ...[5, 6].map((n) =>
    part(
      `E0${n}`,
      'memory',
      '16 GB DDR4-2666',
      said({ memoryKind: 'DDR4', memoryForm: 'DIMM', size: 16, speed: 2666 }),
      { where: 'E', condition: 'good', price: euros(18) },
    ),
  ),
  ...[7, 8].map((n) =>
    part(
      `E0${n}`,
      'memory',
      '4 GB DDR3-1600',
      said({ memoryKind: 'DDR3', memoryForm: 'DIMM', size: 4, speed: 1600 }),
      { where: 'E', condition: 'good', ...batch },
    ),
  ),
  part(
    'E09',
    'memory',
    '2 GB DDR3-1333',
    said({ memoryKind: 'DDR3', memoryForm: 'DIMM', size: 2, speed: 1333 }),
    { where: 'E', condition: 'good' },
  ),
  ...[10, 11].map((n) =>
    part(
      `E${n}`,
      'memory',
      '8 GB DDR4-2666 short',
      said({ memoryKind: 'DDR4', memoryForm: 'SO-DIMM', size: 8, speed: 2666 }),
      { where: 'E', condition: 'good', ...batch },
    ),
  ),
];

const cards: Part[] = [
  part(
    'F01',
    'card',
    'Fennoch Quad 267',
    {
      ...measured({ length: 267, height: 111 }),
      ...said({
        slotsWide: 2,
        bracket: 'full',
        plugs: ['card6'],
        watts: [110, 120],
        makerTotal: 400,
        screens: 4,
      }),
    },
    { where: 'F', condition: 'good', price: euros(38) },
  ),
  part(
    'F02',
    'card',
    'Fennoch Duo 228',
    {
      ...measured({ length: 228, height: 111 }),
      ...said({
        slotsWide: 2,
        bracket: 'full',
        plugs: ['card6'],
        watts: [90, 100],
        makerTotal: 350,
        screens: 3,
      }),
    },
    { where: 'F', condition: 'good', price: euros(30) },
  ),
  part(
    'F03',
    'card',
    'Fennoch Slip',
    {
      ...measured({ length: 168, height: 68.9 }),
      ...said({ slotsWide: 1, bracket: 'low', plugs: [], watts: [30, 50], screens: 4 }),
    },
    { where: 'F', condition: 'worn', price: euros(24), note: 'no full bracket with it' },
  ),
  part(
    'F04',
    'card',
    'unnamed two-fan card',
    said({ slotsWide: 2, bracket: 'full', plugs: ['card8'], screens: 4 }),
    { where: 'F', condition: 'unknown', price: euros(60) },
  ),
  part(
    'F05',
    'card',
    'network card, two ports',
    {
      ...measured({ length: 140, height: 68.9 }),
      ...said({ slotsWide: 1, bracket: 'both', plugs: [], watts: [5, 8], screens: 0 }),
    },
    { where: 'F', condition: 'good' },
  ),
];

const drives: Part[] = [
  ...[1, 2, 3].map((n) =>
    part(`G0${n}`, 'drive', '256 GB SSD', said({ form: '2.5', size: 256 }), {
      where: 'G',
      condition: 'good',
      ...batch,
      note: 'cleared',
    }),
  ),
  part('G04', 'drive', '512 GB M.2 drive', said({ form: 'M.2', size: 512, hours: 9100 }), {
    where: 'G',
    condition: 'good',
    price: euros(22),
  }),
  part('G05', 'drive', '1 TB hard drive', said({ form: '3.5', size: 1000, hours: 31200 }), {
    where: 'G',
    condition: 'worn',
    ...batch,
  }),
  part('G06', 'drive', '2 TB hard drive', said({ form: '3.5', size: 2000, hours: 18800 }), {
    where: 'G',
    condition: 'good',
    price: euros(12),
  }),
];

const supplies: Part[] = [
  part(
    'S01',
    'supply',
    'Tavelin 450, SFX',
    {
      ...measured({ depth: 100 }),
      ...said({
        format: 'SFX',
        watts: 450,
        amps12: 37.5,
        mainPlug: 'main24',
        plugs: ['cpu8', 'card8', 'card6', 'sata', 'sata', 'sata', 'drive4'],
      }),
    },
    { where: 'S', condition: 'good', price: euros(32) },
  ),
  part(
    'S02',
    'supply',
    'Tavelin 300, SFX',
    {
      ...measured({ depth: 100 }),
      ...said({
        format: 'SFX',
        watts: 300,
        amps12: 22,
        mainPlug: 'main24',
        plugs: ['cpu4', 'sata', 'sata', 'drive4'],
      }),
    },
    { where: 'S', condition: 'worn', price: euros(14) },
  ),
  part(
    'S03',
    'supply',
    'Tavelin 550, ATX',
    {
      ...measured({ depth: 140 }),
      ...said({
        format: 'ATX',
        watts: 550,
        amps12: 45,
        mainPlug: 'main24',
        plugs: ['cpu8', 'card8', 'card8', 'sata', 'sata', 'sata', 'sata', 'drive4'],
      }),
    },
    { where: 'S', condition: 'good', price: euros(30) },
  ),
  part(
    'S04',
    'supply',
    'supply without a label, ATX',
    said({ format: 'ATX', mainPlug: 'main20', plugs: ['cpu4', 'drive4', 'drive4'] }),
    { where: 'S', condition: 'unknown' },
  ),
];

const fans: Part[] = [
  ...[1, 2].map((n) =>
    part(`H0${n}`, 'fan', 'fan 92', said({ size: 92, thickness: 25, amps: 0.2 }), {
      where: 'H',
      condition: 'good',
      ...batch,
    }),
  ),
  ...[3, 4, 5].map((n) =>
    part(`H0${n}`, 'fan', 'fan 120', said({ size: 120, thickness: 25, amps: 0.25 }), {
      where: 'H',
      condition: 'good',
      price: euros(4),
    }),
  ),
  part('H06', 'fan', 'fan 80, loud', said({ size: 80, thickness: 25, amps: 0.3 }), {
    where: 'H',
    condition: 'worn',
  }),
];

const small: Part[] = [
  part('N01', 'small', '6-32 screws', said({ what: 'screw 6-32', count: 140 }), { where: 'N' }),
  part('N02', 'small', 'M3 screws', said({ what: 'screw M3', count: 85 }), { where: 'N' }),
  part('N03', 'small', 'standoffs 6-32 on M3', said({ what: 'standoff', count: 22 }), {
    where: 'N',
  }),
  part('N04', 'small', 'M.2 screws', said({ what: 'screw M2', count: 5 }), { where: 'N' }),
  part('N05', 'small', 'crimped SATA splitter', said({ what: 'SATA splitter', count: 2 }), {
    where: 'N',
  }),
  part('N06', 'small', 'fan splitter', said({ what: 'fan splitter', count: 3 }), { where: 'N' }),
  part('N07', 'small', 'angled display lead', said({ what: 'display lead', count: 1 }), {
    where: 'N',
    note: 'limits the picture it carries',
  }),
  part('N08', 'small', 'backplate 75 square', said({ what: 'backplate', count: 2 }), {
    where: 'N',
  }),
  part(
    'N09',
    'leads',
    'single front leads',
    { ...said({ block: 'single' }), ...measured({ length: 420 }) },
    { where: 'N', condition: 'good' },
  ),
  part(
    'N10',
    'leads',
    'front leads, standard block',
    { ...said({ block: 'standard 2x5' }), ...measured({ length: 310 }) },
    { where: 'N', condition: 'good' },
  ),
];

const wanted: Part[] = [
  part('W01', 'drive', '1 TB M.2 drive', said({ form: 'M.2', size: 1000 }), {
    place: 'buy',
    price: euros(48),
  }),
  part(
    'W02',
    'memory',
    '16 GB DDR4-2666',
    said({ memoryKind: 'DDR4', memoryForm: 'DIMM', size: 16, speed: 2666 }),
    { place: 'buy', price: euros(18) },
  ),
];

export const shelf: Part[] = [
  ...cases,
  ...boards,
  ...processors,
  ...coolers,
  ...memory,
  ...cards,
  ...drives,
  ...supplies,
  ...fans,
  ...small,
  ...wanted,
];
