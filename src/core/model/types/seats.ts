import { doubledKinds, kinds, manyKinds, type Kind, type SeatId } from './types.ts';

const byName = new Map<string, Kind>(kinds.map((kind) => [kind, kind]));
const many: ReadonlySet<Kind> = new Set(manyKinds);

const isDigit = (code: number) => code >= 48 && code <= 57;

/** Where the number of a seat begins: at its length when it has none. */
function numberFrom(seat: SeatId): number {
  let at = seat.length;
  while (at > 0 && isDigit(seat.charCodeAt(at - 1))) at -= 1;
  return at;
}

/** The kind of part a seat takes; undefined when the text names no seat. */
export function kindOfSeat(seat: SeatId): Kind | undefined {
  const at = numberFrom(seat);
  const kind = byName.get(at === seat.length ? seat : seat.slice(0, at));
  if (!kind || seat.length - at > 3) return undefined;
  if (at === seat.length) return many.has(kind) ? undefined : kind;
  return many.has(kind) || (doubledKinds.includes(kind) && Number(seat.slice(at)) > 1)
    ? kind
    : undefined;
}

/** The next free seat of a kind, given those taken: `board`, or `memory3`. */
export function freeSeat(kind: Kind, taken: Iterable<SeatId>): SeatId {
  if (!manyKinds.includes(kind)) return kind;
  const used = new Set(taken);
  for (let n = 1; ; n += 1) if (!used.has(`${kind}${n}`)) return `${kind}${n}`;
}

const order = new Map(kinds.map((kind, index) => [kind, index]));

/** A seat for one more of a kind beside those taken; undefined where a machine has one and has it: `processor2`. */
export function seatBeside(kind: Kind, taken: Iterable<SeatId>): SeatId | undefined {
  const seats = [...taken];
  const free = freeSeat(kind, seats);
  if (!seats.includes(free)) return free;
  if (!doubledKinds.includes(kind)) return undefined;
  for (let n = 2; ; n += 1) if (!seats.includes(`${kind}${n}`)) return `${kind}${n}`;
}

/** Seats in the order of the kinds, numbered ones by number. */
export function compareSeats(a: SeatId, b: SeatId): number {
  const kindA = kindOfSeat(a);
  const kindB = kindOfSeat(b);
  const byKind = (order.get(kindA ?? 'small') ?? 0) - (order.get(kindB ?? 'small') ?? 0);
  return byKind || Number(a.slice(numberFrom(a))) - Number(b.slice(numberFrom(b)));
}

const names: Record<Kind, string> = {
  case: 'case',
  board: 'board',
  processor: 'CPU',
  cooler: 'cooler',
  memory: 'RAM',
  card: 'card',
  drive: 'drive',
  supply: 'PSU',
  fan: 'fan',
  leads: 'front leads',
  small: 'small part',
};

export function seatName(seat: SeatId): string {
  const kind = kindOfSeat(seat);
  if (!kind) return seat;
  const number = seat.replace(/\D/g, '');
  return number ? `${names[kind]} ${number}` : names[kind];
}

export const kindName = (kind: Kind): string => names[kind];
