import { range, type Range } from '../units/range.ts';
import type { Source } from './source.ts';

/** Processor sockets that take each other's cooler: side of the hole square or rectangle, mm. */
export interface CoolerMount {
  name: string;
  sockets: readonly string[];
  xMm: number;
  yMm: number;
}

export const coolerMountSource: Source = {
  title: 'processor thermal and mechanical design guidelines',
  clause: 'cooler keep-out and holes',
  memory: true,
};

export const coolerMounts: readonly CoolerMount[] = [
  { name: '72 square', sockets: ['LGA775'], xMm: 72, yMm: 72 },
  {
    name: '75 square',
    sockets: ['LGA1150', 'LGA1151', 'LGA1155', 'LGA1156', 'LGA1200'],
    xMm: 75,
    yMm: 75,
  },
  { name: '78 square', sockets: ['LGA1700', 'LGA1851'], xMm: 78, yMm: 78 },
  { name: '80 square', sockets: ['LGA1366', 'LGA2011'], xMm: 80, yMm: 80 },
  { name: '90 x 54', sockets: ['AM4', 'AM5'], xMm: 90, yMm: 54 },
  { name: '96 x 48', sockets: ['AM2', 'AM3'], xMm: 96, yMm: 48 },
];

/** Sockets whose CPUs are made to run at 95 to 100 °C under load (common practice, no source). */
export const hotSockets: readonly string[] = ['AM5', 'LGA1700', 'LGA1851'];

export const socketNames: readonly string[] = coolerMounts.flatMap((mount) => mount.sockets);

export function coolerMountOf(socket: string): CoolerMount | undefined {
  return coolerMounts.find((mount) => mount.sockets.includes(socket));
}

/** The CPU's top over the board, mm, once clamped (sockets' mechanical drawings, from memory). */
const tops: readonly { sockets: RegExp; mm: Range }[] = [
  { sockets: /^LGA115\d|^LGA1200/, mm: range(7.44, 8.12) },
  { sockets: /^LGA1700|^LGA1851/, mm: range(6.5, 7.5) },
  { sockets: /^LGA2011|^LGA2066/, mm: range(7.8, 8.2) },
  { sockets: /^AM[45]/, mm: range(7, 8) },
];

export const topOverBoardMm = (socket: string | undefined): Range =>
  tops.find((each) => each.sockets.test(socket ?? ''))?.mm ?? range(6.5, 8.5);
