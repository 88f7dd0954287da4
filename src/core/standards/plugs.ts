import type { Source } from './source.ts';

/**
 * Power plugs, numbered on the header face, latch side down: pin 1 top left,
 * the second row starts beneath it (the latch sits on the row with the high numbers).
 *
 *    1  2  3 … n/2
 *   n/2+1 …     n
 *   ─── latch ───
 *
 * A plug's wire side shows this same picture; its mating face shows the mirror image.
 */
export interface Plug {
  id: string;
  name: string;
  rows: number;
  ways: number;
  pitchMm: number;
  /** Signal by pin number, pin 1 first. */
  pins: readonly string[];
  /** Watts the publication allows through the plug, if it says. */
  limitW?: number;
  source: Source;
}

const atxGuide: Source = { title: 'ATX12V power supply design guide', memory: true };
const epsGuide: Source = { title: 'EPS12V power supply design guide', memory: true };
const atx12voGuide: Source = { title: 'ATX12VO power supply design guide', memory: true };
const cardSpec: Source = {
  title: 'PCI Express Card Electromechanical specification',
  clause: 'auxiliary power connectors',
  memory: true,
};
const sataSpec: Source = {
  title: 'Serial ATA specification',
  clause: 'power connector',
  memory: true,
};

export const plugs: readonly Plug[] = [
  {
    id: 'main24',
    name: 'ATX main 24-way',
    rows: 2,
    ways: 24,
    pitchMm: 4.2,
    pins: [
      '+3.3V',
      '+3.3V',
      'COM',
      '+5V',
      'COM',
      '+5V',
      'COM',
      'PWR_OK',
      '+5VSB',
      '+12V',
      '+12V',
      '+3.3V',
      '+3.3V',
      '-12V',
      'COM',
      'PS_ON#',
      'COM',
      'COM',
      'COM',
      'open',
      '+5V',
      '+5V',
      '+5V',
      'COM',
    ],
    source: { ...atxGuide, memory: false },
  },
  {
    id: 'main20',
    name: 'ATX main 20-way',
    rows: 2,
    ways: 20,
    pitchMm: 4.2,
    pins: [
      '+3.3V',
      '+3.3V',
      'COM',
      '+5V',
      'COM',
      '+5V',
      'COM',
      'PWR_OK',
      '+5VSB',
      '+12V',
      '+3.3V',
      '-12V',
      'COM',
      'PS_ON#',
      'COM',
      'COM',
      'COM',
      '-5V',
      '+5V',
      '+5V',
    ],
    source: { ...atxGuide, memory: false },
  },
  {
    id: 'main10',
    name: '12 V-only main 10-way',
    rows: 2,
    ways: 10,
    pitchMm: 4.2,
    pins: ['PS_ON#', 'COM', 'COM', 'COM', 'reserved', 'PWR_OK', '+12VSB', '+12V', '+12V', '+12V'],
    source: atx12voGuide,
  },
  {
    id: 'cpu4',
    name: 'processor 4-way',
    rows: 2,
    ways: 4,
    pitchMm: 4.2,
    pins: ['COM', 'COM', '+12V', '+12V'],
    source: atxGuide,
  },
  {
    id: 'cpu8',
    name: 'processor 8-way',
    rows: 2,
    ways: 8,
    pitchMm: 4.2,
    pins: ['COM', 'COM', 'COM', 'COM', '+12V', '+12V', '+12V', '+12V'],
    source: epsGuide,
  },
  {
    id: 'card6',
    name: 'card 6-way',
    rows: 2,
    ways: 6,
    pitchMm: 4.2,
    pins: ['+12V', '+12V', '+12V', 'COM', 'sense', 'COM'],
    limitW: 75,
    source: cardSpec,
  },
  {
    id: 'card8',
    name: 'card 8-way',
    rows: 2,
    ways: 8,
    pitchMm: 4.2,
    pins: ['+12V', '+12V', '+12V', 'sense1', 'COM', 'sense0', 'COM', 'COM'],
    limitW: 150,
    source: cardSpec,
  },
  {
    id: 'sata',
    name: 'SATA power',
    rows: 1,
    ways: 15,
    pitchMm: 1.27,
    pins: [
      '+3.3V',
      '+3.3V',
      'disable',
      'COM',
      'COM',
      'COM',
      '+5V',
      '+5V',
      '+5V',
      'COM',
      'activity',
      'COM',
      '+12V',
      '+12V',
      '+12V',
    ],
    limitW: 54,
    source: sataSpec,
  },
  {
    id: 'drive4',
    name: 'four-way drive plug',
    rows: 1,
    ways: 4,
    pitchMm: 5.08,
    pins: ['+12V', 'COM', 'COM', '+5V'],
    source: { title: 'common practice, no source' },
  },
];

/** A maker's main plug that carries 12 V only or another order: a family, never proof of its pins. */
export const makerMains: readonly { id: string; ways: number; name: string }[] = [
  { id: 'maker6', ways: 6, name: "maker's 6-way, 12 V only" },
  { id: 'maker8', ways: 8, name: "maker's 8-way, 12 V only" },
  { id: 'maker10', ways: 10, name: "maker's 10-way, 12 V only" },
  { id: 'maker14', ways: 14, name: "maker's 14-way, 12 V only" },
  { id: 'maker18', ways: 18, name: "maker's 18-way, 12 V only" },
  { id: 'maker24', ways: 24, name: "maker's 24-way, another order" },
];

export function plug(id: string): Plug | undefined {
  return plugs.find((one) => one.id === id);
}

export function plugName(id: string): string {
  return plug(id)?.name ?? makerMains.find((one) => one.id === id)?.name ?? id;
}

export const mainPlugIds: readonly string[] = [
  'main24',
  'main20',
  'main10',
  ...makerMains.map((m) => m.id),
];
export const processorPlugIds: readonly string[] = ['cpu4', 'cpu8', 'none'];

/** Slot power, PCI Express Card Electromechanical: watts a slot may give. */
export const slotW = {
  graphics: 75,
  other: 25,
  x1: 10,
  source: { ...cardSpec, clause: 'power' } as Source,
};
