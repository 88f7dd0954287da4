import type { Machine, Part } from '../model/types.ts';
import { euros, machine, measured, part, read, said } from './write.ts';

const inMachine = { place: 'machine' as const };

/** One of the twelve slim desk units of the batch, its common parts by model. */
function desk40(id: string, more: Partial<Machine> = {}): { machine: Machine; parts: Part[] } {
  const tag = (n: number) => `M${id}-0${n}`;
  return {
    machine: machine(
      `M${id}`,
      'Ombrik Desk 40',
      {
        case: tag(1),
        board: tag(2),
        processor: tag(3),
        cooler: tag(4),
        memory1: tag(5),
        memory2: tag(6),
        drive1: tag(7),
        supply: tag(8),
        leads: tag(9),
      },
      {
        starts: true,
        condition: 'worn',
        origin: 'valley office, retired batch',
        price: euros(15),
        facts: read({ model: 'Ombrik Desk 40', firmware: '1.22' }),
        ...more,
      },
    ),
    parts: [
      part(tag(1), 'case', 'Desk 40 shell', {}, { ...inMachine, modelId: 'desk40-case' }),
      part(tag(2), 'board', 'Desk 40 board', {}, { ...inMachine, modelId: 'desk40-board' }),
      part(
        tag(3),
        'processor',
        'Corvane C5-640',
        { ...read({ socket: 'LGA1151' }), ...said({ watts: [65, 95], graphics: 'yes' }) },
        inMachine,
      ),
      part(
        tag(4),
        'cooler',
        'Desk 40 cooler',
        { ...measured({ height: 58 }), ...said({ class: 'low', sockets: ['LGA1151'] }) },
        inMachine,
      ),
      ...[5, 6].map((n) =>
        part(
          tag(n),
          'memory',
          '8 GB DDR4',
          read({ memoryKind: 'DDR4', memoryForm: 'DIMM', size: 8, speed: 2400 }),
          inMachine,
        ),
      ),
      part(tag(7), 'drive', '256 GB SSD', read({ form: '2.5', size: 256 }), inMachine),
      part(
        tag(8),
        'supply',
        'Ombrik 210 W, 12 V only',
        {},
        { ...inMachine, modelId: 'desk40-supply' },
      ),
      part(
        tag(9),
        'leads',
        'Desk 40 front block',
        { ...said({ block: "maker's block" }), ...measured({ length: 230 }) },
        inMachine,
      ),
    ],
  };
}

function nook(id: string, more: Partial<Machine> = {}): { machine: Machine; parts: Part[] } {
  const tag = (n: number) => `M${id}-0${n}`;
  return {
    machine: machine(
      `M${id}`,
      'Ombrik Nook 12',
      {
        case: tag(1),
        board: tag(2),
        processor: tag(3),
        memory1: tag(4),
        drive1: tag(5),
        supply: tag(6),
      },
      {
        starts: true,
        condition: 'good',
        origin: 'valley office, retired batch',
        price: euros(35),
        ...more,
      },
    ),
    parts: [
      part(tag(1), 'case', 'Nook 12 shell', {}, { ...inMachine, modelId: 'nook-case' }),
      part(
        tag(2),
        'board',
        'Nook 12 board',
        {
          ...measured({ width: 165, depth: 170 }),
          ...said({
            format: "maker's own",
            socket: 'LGA1151',
            memoryKind: 'DDR4',
            memoryForm: 'SO-DIMM',
            memorySlots: 2,
            memoryMax: 32,
            memorySpeed: 2400,
            processorPlug: 'none',
            screens: 3,
            m2: 1,
            sata: 1,
            watts: [12, 20],
          }),
        },
        inMachine,
      ),
      part(
        tag(3),
        'processor',
        'Corvane C5-640 T',
        { ...read({ socket: 'LGA1151' }), ...said({ watts: [35, 55], graphics: 'yes' }) },
        inMachine,
      ),
      part(
        tag(4),
        'memory',
        '8 GB DDR4 short',
        read({ memoryKind: 'DDR4', memoryForm: 'SO-DIMM', size: 8, speed: 2400 }),
        inMachine,
      ),
      part(tag(5), 'drive', '256 GB M.2 drive', read({ form: 'M.2', size: 256 }), inMachine),
      part(tag(6), 'supply', 'brick 19 V, 65 W', said({ watts: 65 }), inMachine),
    ],
  };
}

const desk14 = desk40('14');
const desk5 = desk40('5', { origin: 'valley office, retired batch' });
const desk3 = desk40('3');
const donor8 = desk40('8', {
  state: 'donor',
  condition: 'damaged',
  starts: false,
  note: 'board dead, bent socket pins',
});
const nook12 = nook('12');
const nook11 = nook('11');

const tower9 = {
  machine: machine(
    'M9',
    'cream tower, rebuilt',
    {
      case: 'M9-01',
      board: 'M9-02',
      processor: 'M9-03',
      cooler: 'M9-04',
      memory1: 'M9-05',
      memory2: 'M9-06',
      drive1: 'M9-07',
      supply: 'M9-08',
      fan1: 'M9-09',
      leads: 'M9-10',
    },
    { starts: true, condition: 'good', origin: 'school', price: euros(10) },
  ),
  parts: [
    part(
      'M9-01',
      'case',
      'cream tower',
      {
        ...measured({
          outerWidth: 190,
          outerHeight: 430,
          outerDepth: 440,
          coolerRoom: 150,
          cardRoom: 295,
          slots: 7,
          bays35: 4,
          bays25: 1,
          supplyRoom: 180,
        }),
        ...said({
          class: 'tower',
          boards: ['ATX', 'microATX'],
          bracket: 'full',
          supplyFormat: 'ATX',
        }),
      },
      inMachine,
    ),
    part(
      'M9-02',
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
      inMachine,
    ),
    part(
      'M9-03',
      'processor',
      'Corvane C5-340',
      said({ socket: 'LGA1155', watts: [65, 77], graphics: 'yes' }),
      inMachine,
    ),
    part(
      'M9-04',
      'cooler',
      'round office cooler',
      { ...measured({ height: 62 }), ...said({ class: 'low', sockets: ['LGA1155'] }) },
      inMachine,
    ),
    ...[5, 6].map((n) =>
      part(
        `M9-0${n}`,
        'memory',
        '4 GB DDR3-1600',
        said({ memoryKind: 'DDR3', memoryForm: 'DIMM', size: 4, speed: 1600 }),
        inMachine,
      ),
    ),
    part('M9-07', 'drive', '256 GB SSD', said({ form: '2.5', size: 256 }), inMachine),
    part(
      'M9-08',
      'supply',
      'Tavelin 350, ATX',
      {
        ...measured({ depth: 140 }),
        ...said({
          format: 'ATX',
          watts: 350,
          amps12: 26,
          mainPlug: 'main24',
          plugs: ['cpu4', 'sata', 'sata', 'drive4'],
        }),
      },
      inMachine,
    ),
    part('M9-09', 'fan', 'fan 120', said({ size: 120, thickness: 25, amps: 0.25 }), inMachine),
    part(
      'M9-10',
      'leads',
      'single front leads',
      { ...said({ block: 'single' }), ...measured({ length: 420 }) },
      inMachine,
    ),
  ],
};

const mast4 = {
  machine: machine(
    'M4',
    'Ombrik Mast 70',
    {
      case: 'M4-01',
      board: 'M4-02',
      processor: 'M4-03',
      cooler: 'M4-04',
      memory1: 'M4-05',
      memory2: 'M4-06',
      card1: 'M4-07',
      supply: 'M4-08',
    },
    {
      state: 'donor',
      starts: true,
      condition: 'worn',
      origin: 'survey office',
      price: euros(30),
      note: 'raises a fan alert when its front fan is missing',
    },
  ),
  parts: [
    part('M4-01', 'case', 'Mast 70 shell', {}, { ...inMachine, modelId: 'mast-case' }),
    part(
      'M4-02',
      'board',
      'Mast 70 board',
      {
        ...measured({ width: 290, depth: 265 }),
        ...said({
          format: "maker's own",
          socket: 'LGA1151',
          memoryKind: 'DDR4',
          memoryForm: 'DIMM',
          memorySlots: 4,
          memoryMax: 64,
          mainPlug: 'maker24',
          processorPlug: 'cpu8',
          x16: 2,
          sata: 5,
        }),
      },
      inMachine,
    ),
    part(
      'M4-03',
      'processor',
      'Corvane C7-670',
      { ...read({ socket: 'LGA1151' }), ...said({ watts: [65, 130], graphics: 'yes' }) },
      inMachine,
    ),
    part(
      'M4-04',
      'cooler',
      'Mast 70 cooler',
      { ...measured({ height: 120 }), ...said({ class: 'tower', sockets: ['LGA1151'] }) },
      inMachine,
    ),
    ...[5, 6].map((n) =>
      part(
        `M4-0${n}`,
        'memory',
        '16 GB DDR4',
        read({ memoryKind: 'DDR4', memoryForm: 'DIMM', size: 16, speed: 2666 }),
        inMachine,
      ),
    ),
    part(
      'M4-07',
      'card',
      'Fennoch Quad 210',
      {
        ...measured({ length: 210, height: 111 }),
        ...said({ slotsWide: 1, bracket: 'full', plugs: [], watts: [60, 75], screens: 4 }),
      },
      inMachine,
    ),
    part(
      'M4-08',
      'supply',
      'Mast 425 W',
      {
        ...measured({ depth: 165 }),
        ...said({
          watts: 425,
          amps12: 34,
          mainPlug: 'maker24',
          plugs: ['cpu8', 'card6', 'sata', 'sata', 'sata'],
        }),
      },
      inMachine,
    ),
  ],
};

const parade6 = {
  machine: machine(
    'M6',
    'Kasquill Parade',
    {
      case: 'M6-01',
      board: 'M6-02',
      processor: 'M6-03',
      cooler: 'M6-04',
      memory1: 'M6-05',
      card1: 'M6-06',
      drive1: 'M6-07',
      supply: 'M6-08',
    },
    { state: 'donor', starts: true, condition: 'good', origin: 'bought closed', price: euros(180) },
  ),
  parts: [
    part(
      'M6-01',
      'case',
      'Parade shell',
      said({ class: 'tower', boards: ['microATX'], bracket: 'full' }),
      inMachine,
    ),
    part(
      'M6-02',
      'board',
      'Parade board',
      said({
        format: 'microATX',
        socket: 'LGA1700',
        memoryKind: 'DDR4',
        memoryForm: 'DIMM',
        memorySlots: 2,
        mainPlug: 'main24',
        processorPlug: 'cpu4',
      }),
      inMachine,
    ),
    part(
      'M6-03',
      'processor',
      'Corvane C5-124',
      said({ socket: 'LGA1700', watts: [65, 117], graphics: 'no' }),
      inMachine,
    ),
    part(
      'M6-04',
      'cooler',
      'Parade cooler',
      said({ class: 'low', sockets: ['LGA1700'] }),
      inMachine,
    ),
    part(
      'M6-05',
      'memory',
      '16 GB DDR4',
      said({ memoryKind: 'DDR4', memoryForm: 'DIMM', size: 16, speed: 3200 }),
      inMachine,
    ),
    part(
      'M6-06',
      'card',
      'Fennoch Bright 242',
      {
        ...measured({ length: 242, height: 112 }),
        ...said({
          slotsWide: 2,
          bracket: 'full',
          plugs: ['card8'],
          watts: [150, 170],
          makerTotal: 550,
          screens: 4,
        }),
      },
      inMachine,
    ),
    part('M6-07', 'drive', '1 TB M.2 drive', said({ form: 'M.2', size: 1000 }), inMachine),
    part(
      'M6-08',
      'supply',
      'Parade 500 W',
      said({
        format: 'ATX',
        watts: 500,
        amps12: 40,
        mainPlug: 'main24',
        plugs: ['cpu4', 'card8', 'sata', 'sata'],
      }),
      inMachine,
    ),
  ],
};

const all = [desk14, desk5, desk3, donor8, nook12, nook11, tower9, mast4, parade6];

export const machines: Machine[] = all.map((each) => each.machine);
export const machineParts: Part[] = all.flatMap((each) => each.parts);
