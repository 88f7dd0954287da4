import { placeOf, type Plug } from '../../standards/plugs/index.ts';

/**
 * How a plug may come to sit on a socket, both seen on the header's face:
 *
 *   as it is   shifted by one   turned    mirrored (an adapter drawn from the wrong side)
 *   [1 2 3]     [1 2 3]          [6 5 4]   [3 2 1]
 *   [4 5 6]       (1 2 3 …)      [3 2 1]   [6 5 4]
 */
export interface Placement {
  how: string;
  /** It slides on by itself; otherwise it takes force, a worn key or a mistake with the views. */
  free: boolean;
  /** Pin of the plug, pin of the socket. */
  pairs: readonly (readonly [number, number])[];
  /** Ways of the plug that hang beside the socket. */
  over: number;
}

/** Bare pins without a wall round them: a plug goes on shifted or turned. */
const bare: readonly Plug['group'][] = ['front', 'light'];

export interface Keys {
  /** The key of the plug is gone: it goes in backwards. */
  snapped?: boolean;
}

const across = (plug: Plug) => Math.ceil(plug.ways / plug.rows);

/** Every way the plug may sit on the socket; empty when pitch or rows differ and it does not go in at all. */
export function placements(plug: Plug, socket: Plug, keys: Keys = {}): Placement[] {
  if (Math.abs(plug.pitchMm - socket.pitchMm) > 0.05) return [];
  if (plug.rows !== socket.rows || plug.group === 'slot' || socket.group === 'slot') return [];
  const isBare = bare.includes(socket.group) || socket.bare === true;
  const wider = across(socket) - across(plug);
  const list: Placement[] = [laid(plug, socket, 'as it is', true, {})];
  /* A shorter plug goes in at either end; only where its key leaves it. */
  for (let by = 1; by <= Math.max(wider, 1); by += 1)
    list.push(laid(plug, socket, `shifted by ${by}`, isBare || fitsBy(plug, socket, by), { by }));
  if (isBare) list.push(laid(plug, socket, 'shifted by −1', true, { by: -1 }));
  if (plug.rows > 1) list.push(laid(plug, socket, 'a row off', isBare, { down: 1 }));
  list.push(
    laid(plug, socket, 'turned', isBare || keys.snapped === true, { columns: true, rows: true }),
  );
  if (plug.rows > 1) list.push(laid(plug, socket, 'mirrored', false, { columns: true }));
  return list.filter((each) => each.pairs.length > 0);
}

/** Processor and card plugs of four and six ways go into a longer header of their own pitch beside its end. */
const fitsBy = (plug: Plug, socket: Plug, by: number) =>
  ['processor', 'card'].includes(plug.group) &&
  ['processor', 'card'].includes(socket.group) &&
  by <= across(socket) - across(plug);

interface Move {
  by?: number;
  down?: number;
  columns?: boolean;
  rows?: boolean;
}

function laid(plug: Plug, socket: Plug, how: string, free: boolean, move: Move): Placement {
  const at = new Map(
    Array.from({ length: socket.ways }, (_, i) => {
      const place = placeOf(socket, i + 1);
      return [`${place.row} ${place.col}`, i + 1];
    }),
  );
  const pairs: [number, number][] = [];
  let over = 0;
  for (let pin = 1; pin <= plug.ways; pin += 1) {
    const place = placeOf(plug, pin);
    const row = (move.rows ? plug.rows - 1 - place.row : place.row) + (move.down ?? 0);
    const col = (move.columns ? across(plug) - 1 - place.col : place.col) + (move.by ?? 0);
    const meets = at.get(`${row} ${col}`);
    if (meets === undefined) over += 1;
    else pairs.push([pin, meets]);
  }
  return { how, free, pairs, over };
}
