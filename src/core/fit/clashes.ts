import type { Finding, Remedy } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import type { SeatId } from '../model/types/types.ts';
import { partsOfKind, isApplied, type Plan } from '../model/lookup/plan.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { angledPlug } from '../remedies/angledPlug.ts';
import { cutSink, sunkDrives } from '../remedies/cutSink.ts';
import { fanOutside } from '../remedies/fanOutside.ts';
import { flatSink, isLowered } from '../remedies/flatSink.ts';
import { hasOtherSocket, otherSocket } from '../remedies/otherSocket.ts';
import { otherPlaces } from '../remedies/mounts.ts';
import { moveDrive } from '../remedies/moveDrive.ts';
import { offer, offerIn } from '../remedies/offer.ts';
import { hasSlotFurther, slotFurther } from '../remedies/slotFurther.ts';
import { canTurn, turnSupply } from '../remedies/turnSupply.ts';
import { commonPractice } from '../standards/source.ts';
import { width, type Range } from '../units/range.ts';
import { airBetween, farApart, separation, type Box, type Separation } from './space/box.ts';
import { SINK } from './space/onBoard.ts';
import { boxesOf, spaceOf } from './space/space.ts';

/** Air parts should keep from each other, mm (common practice, no source). */
const MARGIN_MM = 1;
/** Pairs further apart than this are not worth a line. */
const FAR_MM = 12;

/** Every part against every other, plugs and bends included: the sums of those that come near. */
export function clashes(plan: Plan): Finding[] {
  return among(plan, spaceOf(plan)?.boxes ?? []);
}

/** The same for the parts of two seats alone. */
export function clashesBetween(plan: Plan, a: SeatId, b: SeatId): Finding[] {
  return among(plan, boxesOf(plan, [a, b]));
}

interface Pair {
  a: Box;
  b: Box;
  rest: Range;
}

function among(plan: Plan, boxes: readonly Box[]): Finding[] {
  const found = new Map<string, Pair>();
  for (let i = 0; i < boxes.length; i += 1) {
    for (let k = i + 1; k < boxes.length; k += 1) {
      const [a, b] = [boxes[i] as Box, boxes[k] as Box];
      if (farApart(a, b, FAR_MM) || !mayCollide(a, b)) continue;
      const rest = airBetween(a, b);
      const worthALine = rest.lo < 0 || (rest.lo < FAR_MM && width(rest) < FAR_MM);
      if (!worthALine) continue;
      const key = a.seat < b.seat ? `${a.seat} ${b.seat}` : `${b.seat} ${a.seat}`;
      const known = found.get(key);
      if (!known || worse(rest, known.rest)) found.set(key, { a, b, rest });
    }
  }
  return [...found.values()].map(({ a, b }) => finding(plan, a, b, separation(a, b)));
}

/** Of several boxes of two parts the one that is nearest to trouble speaks. */
function worse(a: Range, b: Range): boolean {
  const rank = (rest: Range) => (rest.hi < 0 ? 0 : rest.lo < 0 ? 1 : 2);
  if (rank(a) !== rank(b)) return rank(a) < rank(b);
  return rank(a) === 0 ? a.hi < b.hi : a.lo < b.lo;
}

/** Pairs that are no question: one part, what sits in the board, what other sums judge. */
export function mayCollide(a: Box, b: Box): boolean {
  if (a.seat === b.seat || never(a) || never(b)) return false;
  if (a.kind === b.kind && a.kind !== 'card') return false;
  if (onMounts(a, b) || onMounts(b, a)) return false;
  if (a.what === 'bend' && b.what === 'bend') return false;
  if (besideSockets(a, b) || besideSockets(b, a)) return false;
  if (a.kind === 'board') return meetsBoard(a, b);
  if (b.kind === 'board') return meetsBoard(b, a);
  if (a.kind === 'case') return meetsCage(b);
  if (b.kind === 'case') return meetsCage(a);
  return true;
}

/** The mounts of one case are made to be used at once: what hangs on them does not meet. */
const onMounts = (fan: Box, other: Box) =>
  fan.kind === 'fan' && (other.kind === 'drive' || other.kind === 'supply');

/** Boards keep their M.2 sockets clear of RAM. */
const besideSockets = (sink: Box, other: Box) => sink.name === SINK && other.kind === 'memory';

const never = (box: Box) => box.what === 'base' || box.what === 'guess';

/** What sits in the board does not clash with it; its block of ports and a cooler may. */
function meetsBoard(board: Box, other: Box): boolean {
  if (other.kind === 'cooler') return board.name === 'ports' && other.what !== 'furniture';
  return other.kind !== 'card' && other.kind !== 'memory' && other.kind !== 'drive';
}

const meetsCage = (other: Box) =>
  other.kind !== 'card' && other.kind !== 'drive' && other.kind !== 'fan';

/** Beside the processor boards keep the cooler's square free: a cooler of that size may touch its edge. */
const keptFree = (a: Box, b: Box) => {
  const other = a.kind === 'cooler' ? b : b.kind === 'cooler' ? a : undefined;
  return other !== undefined && (other.kind === 'memory' || other.name === 'ports');
};

function finding(plan: Plan, a: Box, b: Box, apart: Separation): Finding {
  const [first, second] = a.id < b.id ? [a, b] : [b, a];
  const title = `${first.name} against ${second.name}`;
  return gap({
    id: `space:${first.seat}:${second.seat}`,
    about: { of: 'space', between: [first.seat, second.seat] },
    station: 'fit',
    title,
    seats: [
      ...new Set([
        first.seat,
        second.seat,
        ...apart.terms.flatMap((term) => term.input?.seat ?? []),
      ]),
    ],
    unit: 'mm',
    terms: apart.terms,
    minimumMargin: keptFree(first, second) ? 0 : MARGIN_MM,
    source: commonPractice,
    undoMinutes: 40,
    say: (rest, mark) => said(first, second, apart, rest, mark),
    remedies: (rest) => remedies(plan, first, second, apart, rest),
  });
}

const where: Record<Separation['axis'], string> = {
  x: 'toward the front',
  y: 'along the rear',
  w: 'toward the lid',
};

function said(a: Box, b: Box, apart: Separation, rest: Range, mark: string): string {
  if (mark === 'stop')
    return `The ${a.name} and the ${b.name} want the same place: ${Math.ceil(-rest.hi)} mm short ${where[apart.axis]}.`;
  if (mark === 'clear') return `The ${a.name} passes the ${b.name}.`;
  return rest.lo >= 0
    ? `The ${a.name} and the ${b.name} all but touch ${where[apart.axis]}.`
    : `The ${a.name} may meet the ${b.name} ${where[apart.axis]}.`;
}

function remedies(plan: Plan, a: Box, b: Box, apart: Separation, rest: Range): Remedy[] {
  return [a, b].flatMap((box): Remedy[] => {
    const { seat, kind, what } = box;
    const other = box === a ? b : a;
    if (kind === 'drive') return box.name === SINK ? sinkWays(plan, seat) : otherMounts(plan, seat);
    if (kind === 'supply' && what === 'bend' && canTurn(plan))
      return unlessApplied(plan, turnSupply(), (turn) => [offer(plan, turn, 'watch')]);
    const gives =
      kind === 'memory' && apart.axis === 'x' && other.kind === 'cooler' && hasSlotFurther(plan)
        ? slotFurther({ seat })
        : kind === 'card' && what === 'bend'
          ? angledPlug({ seat })
          : kind === 'fan'
            ? fanOutside({ seat })
            : undefined;
    return gives
      ? unlessApplied(plan, gives, (value) => offerIn(plan, value, rest, MARGIN_MM))
      : [];
  });
}

/** What lets a cooler or a card pass over an M.2 drive's heat sink. */
const sinkWays = (plan: Plan, seat: SeatId): Remedy[] =>
  isLowered(plan, seat) || !sunkDrives(plan).some((drive) => drive.seat === seat)
    ? []
    : [
        ...(hasOtherSocket(plan) ? [otherSocket({ seat })] : []),
        flatSink({ seat }),
        cutSink({ seat }),
      ].map((value) => offer(plan, value, 'watch'));

const unlessApplied = (
  plan: Plan,
  value: RemedyValue,
  offered: (value: RemedyValue) => Remedy[],
): Remedy[] => (isApplied(plan, value) ? [] : offered(value));

/** Other places of the case for a drive, each named once. */
export function otherMounts(plan: Plan, seat: SeatId): Remedy[] {
  const drive = partsOfKind(plan, 'drive').find((each) => each.seat === seat);
  if (!drive) return [];
  return otherPlaces(plan, drive).map((to) => offer(plan, moveDrive({ seat, to }), 'watch'));
}
