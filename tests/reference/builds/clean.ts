import type { Seats } from '../../helpers/build.ts';
import * as s from './shelf.ts';

/** A build nobody would think twice about, and what a technician would say of it. */
export interface CleanBuild {
  name: string;
  say: string;
  seats: Seats;
}

const body = { leads: s.frontLeads };
const officeMini: Seats = {
  ...body,
  case: s.miniTower,
  board: s.office,
  processor: s.cpu65,
  cooler: s.lowCooler('LGA1151'),
  memory1: s.ddr4(),
  memory2: s.ddr4(),
  drive1: s.nvme(),
  supply: s.atx(450),
  fan1: s.fan(92, 'out'),
};
const game: Seats = {
  ...body,
  case: { ...s.tower, standoffs: ['B', 'C', 'F', 'H', 'J', 'L', 'M', 'R', 'S'] },
  board: s.am4,
  processor: s.cpuAm4Plain,
  cooler: s.towerCooler('AM4'),
  memory1: s.ddr4(16, 3200),
  memory2: s.ddr4(16, 3200),
  card1: s.card150,
  drive1: s.nvme(4),
  supply: s.atx(650, ['card62', 'card62']),
  fan1: s.fan(120, 'out'),
  fan2: s.fan(120, 'in'),
  fan3: s.fan(120, 'in'),
};
const station: Seats = {
  ...body,
  case: s.tower,
  board: s.lga1700,
  processor: s.cpu1700,
  cooler: s.towerCooler('LGA1700', 158),
  memory1: s.ddr5(),
  memory2: s.ddr5(),
  card1: s.card285,
  drive1: s.nvme(4),
  supply: s.atx(850, ['card62', 'card62', 'card62']),
  fan1: s.fan(120, 'out'),
  fan2: s.fan(120, 'in'),
  fan3: s.fan(120, 'in'),
};
const slimOffice: Seats = {
  ...body,
  case: s.slim,
  board: s.office,
  processor: s.cpu65,
  cooler: s.lowCooler('LGA1151', 45),
  memory1: s.ddr4(),
  memory2: s.ddr4(),
  drive1: s.sata25,
  supply: s.tfx,
  fan1: s.fan(80, 'in'),
};
const litre: Seats = {
  case: s.micro,
  board: s.brickBoard,
  processor: s.cpu35,
  cooler: { ...s.lowCooler('LGA1151', 22), width: 80, breadth: 80, under: 12 },
  memory1: s.sodimm(),
  memory2: s.sodimm(),
  drive1: s.nvme(),
  supply: s.brick(90),
};
const serverCooler = { ...s.lowCooler('LGA2011-3', 60), under: 10 };
const rack: Seats = {
  case: s.rack,
  board: s.serverBoard,
  processor: s.cpuServer,
  processor2: s.cpuServer,
  cooler: serverCooler,
  cooler2: serverCooler,
  memory1: s.registered(),
  memory2: s.registered(),
  memory3: s.registered(),
  memory4: s.registered(),
  drive1: s.sata35,
  supply: s.serverSupply(['cpu44', 'cpu44', 'sata', 'sata', 'sata', 'sata']),
  supply2: s.serverSupply([]),
  fan1: s.fan(80, 'in'),
  fan2: s.fan(80, 'in'),
  fan3: s.fan(80, 'in'),
};
const itxCube: Seats = {
  ...body,
  case: s.cube,
  board: s.itx,
  processor: s.cpuAm4,
  cooler: s.lowCooler('AM4', 65),
  memory1: s.ddr4(16, 3200),
  memory2: s.ddr4(16, 3200),
  drive1: s.nvme(4),
  supply: s.sfx,
  fan1: s.fan(120, 'in'),
};

export const cleanBuilds: readonly CleanBuild[] = [
  {
    name: 'office mini tower',
    say: 'Plain office box, own graphics: nothing to think about.',
    seats: officeMini,
  },
  {
    name: 'office, SATA drive',
    say: 'The same with a 2.5 in drive in the cage.',
    seats: { ...officeMini, drive1: s.sata25 },
  },
  {
    name: 'office, two drives',
    say: 'NVMe for the system, a 4 TB disk for the files.',
    seats: { ...officeMini, drive2: s.sata35 },
  },
  {
    name: 'office, four modules',
    say: 'All four slots filled with the same module.',
    seats: { ...officeMini, memory3: s.ddr4(), memory4: s.ddr4() },
  },
  {
    name: 'office, small card',
    say: 'A card without a plug for two more screens.',
    seats: { ...officeMini, card1: s.card75(), fan2: s.fan(120, 'in') },
  },
  {
    name: 'older office, DDR3',
    say: 'Ten years old, an SSD and 16 GB: a good school machine.',
    seats: {
      ...officeMini,
      board: s.ddr3,
      processor: s.cpu84,
      cooler: s.lowCooler('LGA1150'),
      memory1: s.ddr3Module(8),
      memory2: s.ddr3Module(8),
      drive1: s.sata25,
    },
  },
  {
    name: 'older office with a card',
    say: 'The same, a 75 W card from the slot alone.',
    seats: {
      ...officeMini,
      board: s.ddr3,
      processor: s.cpu84,
      cooler: s.lowCooler('LGA1150'),
      memory1: s.ddr3Module(8),
      memory2: s.ddr3Module(8),
      drive1: s.sata25,
      card1: s.card75(),
      fan2: s.fan(120, 'in'),
    },
  },
  {
    name: 'older office, tower cooler',
    say: 'A quiet tower cooler under 155 mm.',
    seats: {
      ...officeMini,
      board: s.ddr3,
      processor: s.cpu84,
      cooler: s.towerCooler('LGA1150', 135),
      memory1: s.ddr3Module(8),
      memory2: s.ddr3Module(8),
      drive1: s.sata25,
    },
  },
  { name: 'slim office', say: 'Slim desktop, TFX supply, low cooler.', seats: slimOffice },
  {
    name: 'slim office, low card',
    say: 'A low card without a plug in the slim one.',
    seats: { ...slimOffice, card1: s.card75('low') },
  },
  {
    name: 'slim office, NVMe',
    say: 'The slim one with an M.2 drive.',
    seats: { ...slimOffice, drive1: s.nvme() },
  },
  { name: 'one litre, 35 W', say: 'A one-litre machine on the brick of its maker.', seats: litre },
  {
    name: 'one litre, both drives',
    say: 'With a 2.5 in drive on the floor as well.',
    seats: { ...litre, drive2: s.sata25 },
  },
  {
    name: 'one litre, one module',
    say: 'One module only, said so.',
    seats: { ...litre, memory2: s.sodimm(16), memory1: s.sodimm(16) },
  },
  { name: 'games, middle', say: 'The usual games box: one 8-pin card, 650 W.', seats: game },
  {
    name: 'games, no front disk',
    say: 'With a disk in the cage for recordings.',
    seats: { ...game, drive2: s.sata35 },
  },
  {
    name: 'games, low cooler',
    say: 'A low cooler in a large case: it fits, of course.',
    seats: { ...game, cooler: s.lowCooler('AM4', 70) },
  },
  {
    name: 'games, 550 W',
    say: '550 W is enough for a 165 W card and 88 W.',
    seats: { ...game, supply: s.atx(550, ['card62', 'card62']) },
  },
  {
    name: 'games, own graphics as well',
    say: 'A processor with graphics of its own beside the card.',
    seats: { ...game, processor: s.cpuAm4 },
  },
  {
    name: 'games, four modules',
    say: 'Four of 8 GB.',
    seats: {
      ...game,
      memory1: s.ddr4(8, 3200),
      memory2: s.ddr4(8, 3200),
      memory3: s.ddr4(8, 3200),
      memory4: s.ddr4(8, 3200),
    },
  },
  {
    name: 'home server',
    say: 'Own graphics, two disks and an SSD.',
    seats: {
      ...game,
      processor: s.cpuAm4,
      card1: undefined as never,
      supply: s.atx(450),
      drive2: s.sata35,
      drive3: s.sata35,
    },
  },
  {
    name: 'workstation',
    say: '850 W, a three-slot card, a tall cooler that was measured.',
    seats: station,
  },
  {
    name: 'workstation, no card',
    say: 'The same before its card comes.',
    seats: { ...station, card1: undefined as never },
  },
  {
    name: 'workstation, 128 GB',
    say: 'Four modules of 32 GB.',
    seats: {
      ...station,
      memory1: s.ddr5(32),
      memory2: s.ddr5(32),
      memory3: s.ddr5(32),
      memory4: s.ddr5(32),
    },
  },
  {
    name: 'workstation, disks',
    say: 'Two disks and two SSDs.',
    seats: { ...station, drive2: s.sata35, drive3: s.sata35, drive4: s.sata25 },
  },
  { name: 'cube', say: 'Mini-ITX cube on SFX, no card.', seats: itxCube },
  {
    name: 'cube with a short card',
    say: 'A short card without a plug.',
    seats: { ...itxCube, card1: s.card75() },
  },
  {
    name: 'cube, SATA',
    say: 'A 2.5 in drive on the floor.',
    seats: { ...itxCube, drive2: s.sata25 },
  },
  {
    name: 'Mini-ITX in a tower',
    say: 'A small board in a large case: looks odd, works.',
    seats: {
      ...game,
      case: { ...s.tower, standoffs: ['C', 'F', 'H', 'J'] },
      board: s.itx,
      cooler: s.towerCooler('AM4'),
    },
  },
  {
    name: 'microATX in a tower, no card',
    say: 'The office board moved into a tower.',
    seats: {
      ...officeMini,
      case: { ...s.tower, standoffs: ['B', 'C', 'F', 'H', 'J', 'L', 'M', 'R', 'S'] },
      fan1: s.fan(120, 'out'),
      fan2: s.fan(120, 'in'),
    },
  },
  {
    name: 'games, radiator at the front',
    say: 'A 240 behind the front, the card measured against it.',
    seats: {
      ...game,
      cooler: s.radiator('240', 'AM4', 'front'),
      fan2: undefined as never,
      fan3: undefined as never,
    },
  },
  {
    name: 'workstation, radiator on top',
    say: 'A 360 under the top of a case with room for it.',
    seats: {
      ...station,
      case: { ...s.airyTower },
      cooler: s.radiator('360', 'LGA1700', 'top'),
    },
  },
  {
    name: 'one litre, DDR3L',
    say: 'The same on the low-voltage modules it was made for.',
    seats: {
      ...litre,
      board: s.lowVoltBoard,
      processor: { ...s.cpu35, socket: 'LGA1150', generation: 4 },
      cooler: { ...(litre['cooler'] ?? {}), sockets: ['LGA1150'] },
      memory1: s.sodimm3('1.35 V too'),
      memory2: s.sodimm3('1.35 V too'),
      drive1: s.sata25,
    },
  },
  {
    name: 'flat, card on a riser',
    say: 'A low box lying flat: the card lies on a passive riser.',
    seats: {
      ...slimOffice,
      case: s.flat,
      card1: s.card75('low'),
      small1: { sort: 'riser', carries: 'card1', lanes: 16, gen: 3 },
    },
  },
  {
    name: 'games, card upright on a ribbon',
    say: 'The card stands before the board, its ribbon long enough and bent nowhere.',
    seats: {
      ...game,
      small1: {
        sort: 'ribbon riser',
        carries: 'card1',
        lanes: 16,
        gen: 3,
        length: 250,
        way: 190,
        plugEnd: 'angled',
        wallBeside: 25,
      },
    },
  },
  {
    name: 'cube that stands on its ports, wireless',
    say: 'Leads go down out of a deep foot, antennas outside, the modular PSU with its leads in their pocket.',
    seats: {
      ...itxCube,
      case: {
        ...s.cube,
        portsFace: 'down',
        portsSet: 55,
        feet: 12,
        leadRoom: 30,
        mounts: ['floor 2.5 150 deep', 'floor 2.5 150 deep'],
      },
      board: { ...s.itx, wirelessSockets: ['M.2 key E'] },
      supply: { ...(itxCube['supply'] ?? {}), modular: 'all plug in' },
      drive2: { ...s.sata25, height: 7 },
      small1: {
        sort: 'wireless card',
        wirelessForm: 'M.2 key E',
        antennas: 'outside',
        length: 200,
        way: 120,
      },
    },
  },
  {
    name: 'one litre, the brick inside a larger box',
    say: 'The board of a one-litre machine and its brick in a box of one’s own, the brick in a pocket with air round it.',
    seats: {
      ...litre,
      case: { ...s.micro, class: 'custom case', brickRoom: ['150 x 70 x 45'] },
      supply: { ...(litre['supply'] ?? {}), depth: 115, width: 50, height: 30 },
    },
  },
  {
    name: 'rack server',
    say: 'Two units, registered memory, two CPUs and two supplies that share the load.',
    seats: rack,
  },
  {
    name: 'rack server, disks',
    say: 'The same with four disks in front.',
    seats: { ...rack, drive2: s.sata35, drive3: s.sata35, drive4: s.sata35 },
  },
].map(({ seats, ...build }) => ({
  ...build,
  seats: Object.fromEntries(
    Object.entries(seats as Seats).filter(([, part]) => part !== undefined),
  ),
}));
