import type { Seats } from '../../helpers/build.ts';

/**
 * Ordinary parts with what a technician knows of them after ten minutes with the labels and a caliper.
 * Sizes and figures are those usual in the trade (common practice, no source); none is a real product.
 */
type Part = Seats[string];

/** Standoffs set for ATX, and for microATX. */
const atxStandoffs = ['A', 'C', 'F', 'G', 'H', 'J', 'K', 'L', 'M'];
const microStandoffs = ['B', 'C', 'F', 'H', 'J', 'L', 'M', 'R', 'S'];

export const tower: Part = {
  class: 'tower',
  boards: ['ATX', 'microATX', 'Mini-ITX'],
  standoffs: atxStandoffs,
  boardWidth: 315,
  boardDepth: 275,
  coolerRoom: 168,
  cardRoom: 345,
  cardHeightRoom: 158,
  slots: 7,
  bracket: 'full',
  supplyFormat: 'ATX',
  supplyAt: 'below the board',
  supplyRoom: 220,
  mounts: ['cage 3.5', 'cage 3.5', 'behind the tray 2.5', 'behind the tray 2.5'],
  fanMounts: ['rear 120', 'front 120', 'front 120', 'front 120', 'top 120', 'top 120'],
  innerWidth: 200,
  innerHeight: 450,
  innerDepth: 430,
  outerWidth: 220,
  outerHeight: 470,
  outerDepth: 460,
  onLid: [],
  vents: ['front', 'rear', 'top'],
};
export const miniTower: Part = {
  class: 'mini tower',
  boards: ['microATX', 'Mini-ITX'],
  standoffs: microStandoffs,
  boardWidth: 255,
  boardDepth: 260,
  coolerRoom: 155,
  cardRoom: 295,
  cardHeightRoom: 140,
  slots: 4,
  bracket: 'full',
  supplyFormat: 'ATX',
  supplyAt: 'above the board',
  supplyRoom: 195,
  mounts: ['cage 3.5', 'cage 2.5'],
  fanMounts: ['rear 92', 'front 120'],
  innerWidth: 180,
  innerHeight: 360,
  innerDepth: 370,
  outerWidth: 190,
  outerHeight: 375,
  outerDepth: 390,
  onLid: [],
  vents: ['front', 'rear', 'lid'],
};
/** A maker's slim desktop, low cards only. */
export const slim: Part = {
  class: 'slim',
  boards: ['microATX'],
  standoffs: microStandoffs,
  boardWidth: 250,
  boardDepth: 250,
  coolerRoom: 62,
  cardRoom: 190,
  cardHeightRoom: 72,
  slots: 3,
  bracket: 'low',
  supplyFormat: 'TFX',
  supplyAt: 'in front of the board',
  supplyRoom: 190,
  mounts: ['front 3.5', 'bracket 2.5'],
  fanMounts: ['front 80'],
  innerWidth: 92,
  innerHeight: 330,
  innerDepth: 370,
  outerWidth: 98,
  outerHeight: 340,
  outerDepth: 385,
  onLid: [],
  vents: ['lid', 'front'],
};
/** A one-litre machine on a brick. */
export const micro: Part = {
  class: 'micro',
  boardWidth: 172,
  boardDepth: 177,
  coolerRoom: 26,
  slots: 0,
  mounts: ['floor 2.5'],
  innerWidth: 34,
  innerHeight: 176,
  innerDepth: 180,
  outerWidth: 36,
  outerHeight: 180,
  outerDepth: 183,
  onLid: [],
  vents: ['lid', 'rear'],
};
/** A small cube for Mini-ITX and an SFX supply. */
export const cube: Part = {
  class: 'custom case',
  boards: ['Mini-ITX'],
  standoffs: ['C', 'F', 'H', 'J'],
  boardWidth: 180,
  boardDepth: 180,
  coolerRoom: 130,
  cardRoom: 200,
  cardHeightRoom: 135,
  slots: 2,
  bracket: 'full',
  supplyFormat: 'SFX',
  supplyAt: 'in front of the board',
  supplyRoom: 150,
  mounts: ['floor 2.5', 'floor 2.5'],
  fanMounts: ['front 120'],
  innerWidth: 190,
  innerHeight: 230,
  innerDepth: 330,
  outerWidth: 200,
  outerHeight: 240,
  outerDepth: 345,
  onLid: [],
  vents: ['front', 'rear', 'lid'],
};

const boardCommon: Part = {
  mainPlug: 'main24',
  memoryForm: 'DIMM',
  memorySort: 'plain',
  channels: 2,
  sata: 4,
  sataGen: 3,
  usbHeaders: 2,
  frontHeader: 'front10',
  starts: 'UEFI',
  startsFrom: ['SATA', 'NVMe', 'USB'],
  watts: 25,
  toMemory: 55,
  toShield: 60,
  toSlot: 80,
};
/** An office board of its time: microATX, DDR4, one M.2. */
export const office: Part = {
  ...boardCommon,
  format: 'microATX',
  width: 243.84,
  depth: 243.84,
  holes: microStandoffs,
  socket: 'LGA1151',
  memoryKind: 'DDR4',
  memorySlots: 4,
  memoryMax: 64,
  memorySpeed: 2666,
  processorPlug: 'cpu4',
  x16: 1,
  slotLanes: 16,
  slotGen: 3,
  m2: 1,
  m2Lanes: 4,
  m2Gen: 3,
  m2Takes: 0,
  m2Lengths: ['2242', '2280'],
  m2Keys: ['M'],
  m2Kinds: ['NVMe', 'SATA'],
  screens: 2,
  fanHeaders: ['fan4', 'fan4'],
  generations: ['8', '9'],
  generationsNow: ['8', '9'],
};
/** An older office board: DDR3, SATA only. */
export const ddr3: Part = {
  ...boardCommon,
  format: 'microATX',
  width: 243.84,
  depth: 243.84,
  holes: microStandoffs,
  socket: 'LGA1150',
  memoryKind: 'DDR3',
  memorySlots: 4,
  memoryMax: 32,
  memorySpeed: 1600,
  processorPlug: 'cpu4',
  x16: 1,
  slotLanes: 16,
  slotGen: 3,
  m2: 0,
  screens: 2,
  fanHeaders: ['fan4', 'fan4'],
  starts: 'both',
  startsFrom: ['SATA', 'USB'],
  generations: ['4'],
  generationsNow: ['4'],
};
/** A current microATX board: DDR4, AM4. */
export const am4: Part = {
  ...boardCommon,
  format: 'microATX',
  width: 243.84,
  depth: 243.84,
  holes: microStandoffs,
  socket: 'AM4',
  memoryKind: 'DDR4',
  memorySlots: 4,
  memoryMax: 128,
  memorySpeed: 3200,
  processorPlug: 'cpu8',
  x16: 1,
  slotLanes: 16,
  slotGen: 4,
  m2: 2,
  m2Lanes: 4,
  m2Gen: 4,
  m2Takes: 0,
  m2Lengths: ['2280'],
  m2Keys: ['M'],
  m2Kinds: ['NVMe'],
  screens: 2,
  fanHeaders: ['fan4', 'fan4', 'fan4'],
  generations: ['3', '5'],
  generationsNow: ['3', '5'],
};
/** A current full ATX board: DDR5, LGA1700. */
export const lga1700: Part = {
  ...am4,
  format: 'ATX',
  width: 304.8,
  depth: 243.84,
  holes: ['A', 'C', 'F', 'G', 'H', 'J', 'K', 'L', 'M'],
  socket: 'LGA1700',
  memoryKind: 'DDR5',
  memoryMax: 192,
  memorySpeed: 5600,
  slotGen: 5,
  x16: 2,
  m2: 3,
  fanHeaders: ['fan4', 'fan4', 'fan4', 'fan4', 'fan4'],
  generations: ['12', '13', '14'],
  generationsNow: ['12', '13', '14'],
};
export const itx: Part = {
  ...am4,
  format: 'Mini-ITX',
  width: 170.18,
  depth: 170.18,
  holes: ['C', 'F', 'H', 'J'],
  memorySlots: 2,
  memoryMax: 64,
  m2: 1,
  fanHeaders: ['fan4', 'fan4'],
};
/** The board of a one-litre machine: takes a brick of 19 V. */
export const brickBoard: Part = {
  format: "maker's own",
  width: 170,
  depth: 175,
  holes: [],
  socket: 'LGA1151',
  memoryKind: 'DDR4',
  memoryForm: 'SO-DIMM',
  memorySort: 'plain',
  memorySlots: 2,
  memoryMax: 32,
  memorySpeed: 2666,
  channels: 2,
  inVolts: 19,
  m2: 1,
  m2Lanes: 4,
  m2Gen: 3,
  m2Takes: 0,
  m2Lengths: ['2280'],
  m2Keys: ['M'],
  m2Kinds: ['NVMe', 'SATA'],
  sata: 1,
  sataGen: 3,
  screens: 2,
  x16: 0,
  processorPlug: 'none',
  fanHeaders: ['fan4'],
  starts: 'UEFI',
  startsFrom: ['SATA', 'NVMe', 'USB'],
  generations: ['8', '9'],
  generationsNow: ['8', '9'],
  watts: 8,
};

export const cpu65: Part = { socket: 'LGA1151', watts: 65, generation: 8, graphics: 'yes' };
export const cpu35: Part = { socket: 'LGA1151', watts: 35, generation: 8, graphics: 'yes' };
export const cpu84: Part = { socket: 'LGA1150', watts: 84, generation: 4, graphics: 'yes' };
export const cpuAm4: Part = { socket: 'AM4', watts: 88, generation: 5, graphics: 'yes' };
export const cpuAm4Plain: Part = { socket: 'AM4', watts: 88, generation: 5, graphics: 'no' };
export const cpu1700: Part = { socket: 'LGA1700', watts: 180, generation: 13, graphics: 'yes' };

export const lowCooler = (socket: string, height = 58): Part => ({
  class: 'low',
  height,
  width: 92,
  breadth: 92,
  under: 25,
  sockets: [socket],
});
export const towerCooler = (socket: string, height = 150): Part => ({
  class: 'tower',
  height,
  width: 75,
  breadth: 122,
  under: 45,
  sockets: [socket],
});

export const ddr4 = (size = 8, speed = 2666): Part => ({
  memoryKind: 'DDR4',
  memoryForm: 'DIMM',
  size,
  speed,
  height: 31.25,
  sort: 'plain',
});
export const ddr3Module = (size = 4): Part => ({
  ...ddr4(size, 1600),
  memoryKind: 'DDR3',
  height: 30,
});
export const ddr5 = (size = 16): Part => ({ ...ddr4(size, 5600), memoryKind: 'DDR5' });
export const sodimm = (size = 8): Part => ({ ...ddr4(size), memoryForm: 'SO-DIMM' });

/** A card without a plug of its own, low or full. */
export const card75 = (bracket: 'full' | 'low' = 'full'): Part => ({
  length: 165,
  height: bracket === 'low' ? 69 : 111,
  slotsWide: 1,
  bracket,
  lanes: 16,
  gen: 3,
  plugs: [],
  watts: 70,
  screens: 4,
  starts: 'UEFI',
});
/** A card of the middle, one 8-pin on top. */
export const card150: Part = {
  length: 242,
  height: 115,
  slotsWide: 2,
  bracket: 'full',
  lanes: 16,
  gen: 4,
  plugs: ['card8'],
  plugAt: 'top',
  watts: 165,
  screens: 4,
  starts: 'UEFI',
};
/** A large card, two 8-pin. */
export const card285: Part = {
  ...card150,
  length: 304,
  height: 120,
  slotsWide: 3,
  plugs: ['card8', 'card8'],
  watts: 285,
};

export const sata25: Part = {
  form: '2.5',
  size: 500,
  bus: 'SATA',
  sataGen: 3,
  plug: 'sata',
  watts: 3,
};
export const sata35: Part = {
  form: '3.5',
  size: 4000,
  bus: 'SATA',
  sataGen: 3,
  plug: 'sata',
  watts: 8,
};
export const nvme = (gen = 3): Part => ({
  form: 'M.2',
  size: 1000,
  bus: 'NVMe',
  m2Length: '2280',
  m2Keys: ['M'],
  lanes: 4,
  gen,
  watts: 6,
  sink: 3,
});

export const atx = (watts: number, cards: readonly string[] = []): Part => ({
  format: 'ATX',
  depth: 150,
  watts,
  amps12: Math.floor((watts * 0.98) / 12),
  amps5: 20,
  amps33: 20,
  combined: 110,
  class: 'gold',
  years: 2,
  feeds: 'supply',
  mainPlug: 'main24',
  plugs: ['cpu44', ...cards, 'sata', 'sata', 'sata', 'sata', 'drive4'],
  driveKey: 'whole',
  leadMain: 600,
  leadProcessor: 700,
  leadCard: 650,
});
export const tfx: Part = {
  ...atx(300),
  format: 'TFX',
  depth: 175,
  amps12: 24,
  class: 'bronze',
  plugs: ['cpu4', 'sata', 'sata', 'sata'],
  leadMain: 450,
  leadProcessor: 600,
};
export const sfx: Part = {
  ...atx(450, ['card8']),
  format: 'SFX',
  depth: 100,
  leadMain: 350,
  leadProcessor: 450,
  leadCard: 400,
};
export const brick = (watts: number): Part => ({
  feeds: 'brick',
  watts,
  volts: 19.5,
  tip: 'barrel55-25',
  feedLength: 1800,
  feedAwg: 18,
  identity: 'none',
});

export const fan = (size: number, blows: 'in' | 'out'): Part => ({
  size,
  thickness: 25,
  blows,
  amps: size >= 120 ? 0.2 : 0.15,
  plug: 'fan4',
});
export const frontLeads: Part = { block: 'standard 2x5', length: 600, frontPlug: 'front10' };

/** A radiator with its fans, on the wall it was hung on. */
export const radiator = (size: string, socket: string, wall: string): Part => ({
  class: 'radiator',
  radiator: size,
  wall,
  thickness: 52,
  height: 50,
  width: 70,
  breadth: 70,
  under: 2,
  sockets: [socket],
});
/** Room over the board for a radiator under the top. */
export const airyTower: Part = {
  ...tower,
  boardWidth: 330,
  innerHeight: 500,
  outerHeight: 520,
  topRoom: 60,
  fanMounts: [...(tower['fanMounts'] as string[]), 'top 120'],
};
/** A box that lies flat: the card on a riser, the supply in front. */
export const flat: Part = { ...slim, cardRoom: 240 };
/** Two units high, a board of its own trade, two supplies that share. */
export const rack: Part = {
  class: 'rack server',
  boardWidth: 340,
  boardDepth: 340,
  coolerRoom: 66,
  slots: 3,
  bracket: 'low',
  mounts: ['front 3.5', 'front 3.5', 'front 3.5', 'front 3.5'],
  fanMounts: ['front 80', 'front 80', 'front 80'],
  onLid: [],
  vents: ['front', 'rear'],
};
export const serverBoard: Part = {
  ...lga1700,
  format: 'E-ATX',
  width: 304.8,
  depth: 330.2,
  socket: 'LGA2011-3',
  memoryKind: 'DDR4',
  memorySort: 'registered',
  memorySlots: 16,
  memoryMax: 512,
  memorySpeed: 2400,
  channels: 4,
  screens: 1,
  generations: ['6', '7'],
  generationsNow: ['6', '7'],
};
export const cpuServer: Part = { socket: 'LGA2011-3', watts: 120, generation: 6, graphics: 'yes' };
export const registered = (size = 16): Part => ({
  ...ddr4(size, 2400),
  sort: 'registered',
  ranks: 2,
});
/** DDR3 on short modules, in a board of the years when 1.35 V came up. */
export const lowVoltBoard: Part = {
  ...brickBoard,
  socket: 'LGA1150',
  memoryKind: 'DDR3',
  memorySpeed: 1600,
  memoryMax: 16,
  memoryVolts: '1.35 V only',
  generations: ['4'],
  generationsNow: ['4'],
};
export const sodimm3 = (memoryVolts: string): Part => ({
  ...ddr3Module(4),
  memoryForm: 'SO-DIMM',
  memoryVolts,
});

const { format: _format, ...ofNoFormat } = atx(750);
/** A supply of a server's own format, with these plugs. */
export const serverSupply = (plugs: readonly string[]): Part => ({ ...ofNoFormat, plugs });
