import type { Source } from '../source.ts';
import type { Plug } from './plug.ts';

/**
 * Card slots and M.2 sockets. Slots: side B first (1 to n), then side A; pin tables made by the
 * specification's rule and checked pin by pin against KiCad's symbols where those are at hand.
 */

const cem: Source = {
  title: 'PCI Express Card Electromechanical specification',
  clause: 'connector pinout, checked against KiCad',
};
const m2: Source = {
  title: 'PCI Express M.2 specification',
  clause: 'socket pinout, power and returns checked against KiCad',
};

const ends: Record<number, number> = { 1: 18, 4: 32, 8: 49, 16: 82 };

/** Signals of side B and side A of a slot with so many lanes. */
export function slotSides(lanes: 1 | 4 | 8 | 16): { b: string[]; a: string[] } {
  const n = ends[lanes] as number;
  const b = new Array<string>(n + 1).fill('COM');
  const a = new Array<string>(n + 1).fill('COM');
  const put = (side: string[], from: number, text: string) =>
    text.split(' ').forEach((name, i) => (side[from + i] = name));
  put(
    b,
    1,
    '+12V +12V +12V COM SMCLK SMDAT COM +3.3V TRST# +3.3VAUX WAKE# CLKREQ# COM TX0+ TX0- COM PRSNT2# COM',
  );
  put(
    a,
    1,
    'PRSNT1# +12V +12V COM TCK TDI TDO TMS +3.3V +3.3V PERST# COM REFCLK+ REFCLK- COM RX0+ RX0- COM',
  );
  for (let lane = 1; lane < lanes; lane += 1) {
    const at =
      lane < 4 ? 19 + 4 * (lane - 1) : lane < 8 ? 33 + 4 * (lane - 4) : 50 + 4 * (lane - 8);
    put(b, at, `TX${lane}+ TX${lane}-`);
    put(a, at + 2, `RX${lane}+ RX${lane}-`);
  }
  if (lanes >= 4) {
    put(a, 19, 'reserved');
    put(b, 30, 'reserved PRSNT2#');
    put(a, 32, 'reserved');
  }
  if (lanes >= 8) {
    put(a, 33, 'reserved');
    put(b, 48, 'PRSNT2#');
  }
  if (lanes === 16) {
    put(a, 50, 'reserved');
    put(b, 81, 'PRSNT2# reserved');
  }
  return { b: b.slice(1), a: a.slice(1) };
}

function slot(lanes: 1 | 4 | 8 | 16): Plug {
  const { b, a } = slotSides(lanes);
  return {
    id: `x${lanes}`,
    name: `card slot x${lanes}`,
    group: 'slot',
    rows: 2,
    ways: b.length + a.length,
    pitchMm: 1,
    numbering: 'rows',
    pins: [...b, ...a],
    latch: 'key between pins 11 and 12',
    contactA: 1.1,
    limitW: lanes === 16 ? 75 : lanes === 1 ? 10 : 25,
    source: cem,
  };
}

/** Power, returns and key of an M.2 socket; what the other contacts carry depends on the host. */
function m2Socket(key: 'A' | 'B' | 'E' | 'M'): Plug {
  const keys = { A: [8, 15], B: [12, 19], E: [24, 31], M: [59, 66] }[key] as [number, number];
  const feeds = {
    A: [2, 4, 72, 74],
    B: [2, 4, 70, 72, 74],
    E: [2, 4, 72, 74],
    M: [2, 4, 12, 14, 16, 18, 70, 72, 74],
  }[key];
  const returns = {
    A: [1, 7, 18, 23, 24, 29, 30, 33, 36, 39, 45, 51, 57, 63, 69, 75],
    B: [3, 5, 11, 27, 33, 39, 45, 51, 57, 71, 73],
    E: [1, 7, 18, 33, 39, 45, 51, 57, 63, 69, 75],
    M: [1, 3, 9, 15, 21, 27, 33, 39, 45, 51, 57, 71, 73, 75],
  }[key];
  const pins = Array.from({ length: 75 }, (_, i) => {
    const pin = i + 1;
    if (pin >= keys[0] && pin <= keys[1]) return 'key';
    return feeds.includes(pin) ? '+3.3V' : returns.includes(pin) ? 'COM' : '?';
  });
  return {
    id: `m2${key}`,
    name: `M.2 socket, key ${key}`,
    group: 'slot',
    rows: 2,
    ways: 75,
    pitchMm: 0.5,
    numbering: 'zigzag',
    pins,
    latch: `key at ${keys[0]} to ${keys[1]}`,
    contactA: 0.5,
    limitW: feeds.length * 0.5 * 3.3,
    source: m2,
  };
}

export const slotPlugs: readonly Plug[] = [
  ...([1, 4, 8, 16] as const).map(slot),
  ...(['A', 'B', 'E', 'M'] as const).map(m2Socket),
];
