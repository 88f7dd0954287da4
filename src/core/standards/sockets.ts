import { range, type Range } from '../units/range.ts';
import type { Source } from './source.ts';

/** How a cooler is held: through holes with a plate beneath, by studs of the socket, or by the board's own plate. */
export type Fixing = 'through holes' | 'studs' | "board's plate";

/** Processor sockets that take each other's cooler: sides of the hole rectangle, mm, and what holds it. */
export interface CoolerMount {
  name: string;
  sockets: readonly string[];
  xMm: number;
  yMm: number;
  fixing: Fixing;
}

export const coolerMountSource: Source = {
  title: 'processor thermal and mechanical design guidelines',
  clause: 'cooler keep-out and holes',
  memory: true,
};

const mount = (
  name: string,
  xMm: number,
  yMm: number,
  sockets: readonly string[],
  fixing: Fixing = 'through holes',
): CoolerMount => ({ name, xMm, yMm, sockets, fixing });

export const coolerMounts: readonly CoolerMount[] = [
  mount('72 square', 72, 72, ['LGA775']),
  mount('75 square', 75, 75, ['LGA1150', 'LGA1151', 'LGA1155', 'LGA1156', 'LGA1200']),
  mount('78 square', 78, 78, ['LGA1700', 'LGA1851']),
  mount('80 square', 80, 80, ['LGA1366', 'LGA1356']),
  /* M4 studs of the socket, no holes through the board; narrow ones 56 x 94. */
  mount('80 square, M4 studs', 80, 80, ['LGA2011', 'LGA2011-3', 'LGA2066'], 'studs'),
  mount('90 x 54', 90, 54, ['AM4']),
  /* The plate under an AM5 board stays on: only coolers that screw into it (6-32). */
  mount("90 x 54, board's plate", 90, 54, ['AM5'], "board's plate"),
  mount('96 x 48', 96, 48, ['AM2', 'AM2+', 'AM3', 'AM3+', 'FM1', 'FM2', 'FM2+']),
  mount('socket of large CPUs', 0, 0, ['TR4'], 'studs'),
  mount('frame of server CPUs', 0, 0, ['LGA4677'], 'studs'),
];

export const socketNames: readonly string[] = coolerMounts.flatMap((each) => each.sockets);

export function coolerMountOf(socket: string): CoolerMount | undefined {
  return coolerMounts.find((each) => each.sockets.includes(socket));
}

/** Sockets that take a CPU of another name; the board maker's list has the last word (common practice, no source). */
const takesToo: readonly (readonly [board: string, processor: string])[] = [
  ['AM2+', 'AM2'],
  ['AM2', 'AM2+'],
  ['AM2+', 'AM3'],
  ['AM2', 'AM3'],
  ['AM3+', 'AM3'],
  ['FM2+', 'FM2'],
];

/** Does a CPU of one socket go into a board of another: by its name, perhaps, or never? */
export function socketTakes(board: string, processor: string): 'same' | 'perhaps' | 'never' {
  if (board === processor) return 'same';
  return takesToo.some(([own, other]) => own === board && other === processor)
    ? 'perhaps'
    : 'never';
}

/** Sockets whose CPUs are made to run at 95 to 100 °C under load (common practice, no source). */
export const hotSockets: readonly string[] = ['AM5', 'LGA1700', 'LGA1851'];

/** The CPU's top over the board, mm, once clamped (sockets' mechanical drawings, from memory). */
const tops: readonly { sockets: RegExp; mm: Range }[] = [
  { sockets: /^LGA115\d|^LGA1200/, mm: range(7.44, 8.12) },
  { sockets: /^LGA1700|^LGA1851/, mm: range(6.5, 7.5) },
  { sockets: /^LGA2011|^LGA2066/, mm: range(7.8, 8.2) },
  { sockets: /^AM[45]/, mm: range(7, 8) },
];

export const topOverBoardMm = (socket: string | undefined): Range =>
  tops.find((each) => each.sockets.test(socket ?? ''))?.mm ?? range(6.5, 8.5);

/**
 * Half the square of 95 mm that boards keep free round the CPU for its cooler, mm (thermal design guides of the
 * LGA115x processors, from memory).
 */
export const KEEP_FREE_MM = 47.5;
