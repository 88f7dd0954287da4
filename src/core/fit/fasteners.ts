import { holesOf } from './boardHoles.ts';
import { textOf } from '../model/lookup/lookup.ts';
import {
  partsOfKind,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Plan,
  comesAny,
} from '../model/lookup/plan.ts';
import { threads, type Thread } from '../standards/threads.ts';
import { range, type Range } from '../units/range.ts';

/**
 * Which thread is it? A crest measures up to 0.2 mm less than the thread's name says (tolerance
 * 6g and 2A, ISO 965 and ASME B1.1, from memory), so the pitch decides where diameters are near.
 */
export interface ThreadAnswer {
  /** Threads the figures allow, the nearest first. */
  may: Thread[];
  say: string;
}

const SLACK_MM = 0.25;
const PITCH_SLACK_MM = 0.06;

/** Diameter and, if measured, pitch in mm. Throws RangeError for what no screw is. */
export function whichThread(diameterMm: number, pitchMm?: number): ThreadAnswer {
  if (!(diameterMm > 0.5 && diameterMm < 20)) throw new RangeError(`no screw: ${diameterMm} mm`);
  if (pitchMm !== undefined && !(pitchMm > 0.05 && pitchMm < 3))
    throw new RangeError(`no pitch: ${pitchMm} mm`);
  const off = (thread: Thread) => thread.diameterMm - diameterMm;
  const may = threads
    .filter((thread) => off(thread) > -0.08 && off(thread) < SLACK_MM)
    .filter(
      (thread) => pitchMm === undefined || Math.abs(thread.pitchMm - pitchMm) < PITCH_SLACK_MM,
    )
    .sort((a, b) => Math.abs(off(a)) - Math.abs(off(b)));
  const [first, second] = may;
  if (!first)
    return {
      may,
      say: `None of ${threads.map((thread) => thread.name).join(', ')}: do not force it.`,
    };
  if (second)
    return {
      may,
      say: `${may.map((thread) => thread.name).join(' or ')}: measure over ten turns, ${may
        .map((thread) => `${(thread.pitchMm * 10).toFixed(1)} mm is ${thread.name}`)
        .join(', ')}.`,
    };
  const look = pitchMm === undefined ? lookalike(first) : undefined;
  return {
    may,
    say: `${first.name}: ${first.where}.${look ? ` It looks like ${look.name}: finger-tight first.` : ''}`,
  };
}

/** The coarse 6-32 and the fine M3 are taken for each other. */
const lookalike = (thread: Thread) =>
  thread.name === 'M3' || thread.name === '6-32'
    ? threads.find((other) => other.name === (thread.name === 'M3' ? '6-32' : 'M3'))
    : undefined;

/** Lengths that screws come in, mm under the head (common practice, no source; 6.35 is 1/4 in). */
export const screwLengthsMm = [3, 4, 5, 6, 6.35, 8, 10, 12, 16, 20, 25, 30] as const;
const WASHER_MM = 0.8;

export interface ScrewAnswer {
  /** What a screw may measure under its head, mm. */
  mayMm: Range;
  /** Lengths that fit as they are. */
  fits: number[];
  /** The next longer one, with the washers that take up the rest. */
  washers?: { lengthMm: number; count: number } | undefined;
  say: string;
}

/**
 * A screw through a plate into a hole of a depth, mm: at least one diameter of thread holds, or
 * all there is (common practice, no source), and what lies behind the hole must not be reached.
 *
 *   head ▄▄▄
 *   ═════╪═════ plate
 *   ─────┼─────
 *        │  ▲ depth, what it may reach
 */
export function screwLength(plateMm: number, depthMm: number, diameterMm = 3): ScrewAnswer {
  if (!(plateMm >= 0 && plateMm < 50)) throw new RangeError(`no plate: ${plateMm} mm`);
  if (!(depthMm > 0 && depthMm < 60)) throw new RangeError(`no hole: ${depthMm} mm deep`);
  const hold = Math.min(depthMm * 0.6, diameterMm);
  const mayMm = range(plateMm + hold, plateMm + depthMm);
  const fits = screwLengthsMm.filter((length) => length >= mayMm.lo && length <= mayMm.hi);
  if (fits.length > 0)
    return {
      mayMm,
      fits,
      say: `${Math.max(...fits)} mm under the head, ${mayMm.hi.toFixed(1)} at most.`,
    };
  const longer = screwLengthsMm.find((length) => length > mayMm.hi);
  const count = longer === undefined ? undefined : Math.ceil((longer - mayMm.hi) / WASHER_MM);
  const washers =
    longer !== undefined && count !== undefined && longer - count * WASHER_MM >= mayMm.lo
      ? { lengthMm: longer, count }
      : undefined;
  return {
    mayMm,
    fits,
    washers,
    say: washers
      ? `No common length: ${longer} mm with ${washers.count} ${washers.count === 1 ? 'washer' : 'washers'} of ${WASHER_MM}.`
      : `No common length between ${mayMm.lo.toFixed(1)} and ${mayMm.hi.toFixed(1)} mm: cut one down.`,
  };
}

/** Fasteners a plan needs for what comes into it, and what lies on the shelf. */
export interface FastenerLine {
  what: string;
  why: string;
  need: number;
  /** Undefined: none of that name on the shelf. */
  have: number | undefined;
}

export function fastenersFor(plan: Plan): FastenerLine[] {
  const lines: { what: string; why: string; need: number }[] = [];
  const moved = comesAny(plan, ['case']);
  const comes = (kind: Parameters<typeof partsOfKind>[1]) =>
    partsOfKind(plan, kind).filter((placed) => moved || placed.state === 'comes');
  const add = (what: string, why: string, need: number) =>
    need > 0 && lines.push({ what, why, need });
  const drives = (form: string) =>
    comes('drive').filter((drive) => textAt(plan, drive, 'form')?.text === form).length;
  add('screw 6-32', '3.5 in drive, 3.8 mm deep at most', drives('3.5') * 4);
  add('screw M3', '2.5 in drive, 3 mm deep at most', drives('2.5') * 4);
  add('screw M2', 'M.2 drive', drives('M.2'));
  add('screw 6-32', 'supply', comes('supply').length * 4);
  add('screw 6-32', 'card bracket', comes('card').length);
  add('fan screw', 'fan', comes('fan').length * 4);
  const board = partOfKind(plan, 'board');
  const shell = partOfKind(plan, 'case');
  const holes = board && holesOf(plan, board)?.items;
  if (board && holes && comes('board').length > 0) {
    add('screw 6-32', 'board on its standoffs', holes.length);
    const there = (shell && listAt(plan, shell, 'standoffs')?.items) ?? [];
    if (shell && there.length > 0)
      add('standoff', 'under the board', holes.filter((hole) => !there.includes(hole)).length);
  }
  return lines.map((line) => ({ ...line, have: onShelf(plan, line.what) }));
}

function onShelf(plan: Plan, what: string): number | undefined {
  const parts = plan.shop.parts.filter(
    (part) =>
      part.kind === 'small' &&
      part.place === 'shelf' &&
      textOf(plan.shop, part, 'sort')?.text === what,
  );
  if (parts.length === 0) return undefined;
  return parts.reduce((sum, part) => {
    const placed = { seat: 'small1', kind: 'small' as const, part, state: 'stays' as const };
    return sum + (numberAt(plan, placed, 'count')?.lo ?? 0);
  }, 0);
}

/** What is missing, by name: needs added up, less what the shelf has. */
export function missingFasteners(plan: Plan): { what: string; count: number }[] {
  const need = new Map<string, number>();
  for (const line of fastenersFor(plan))
    need.set(line.what, (need.get(line.what) ?? 0) + line.need);
  return [...need].flatMap(([what, count]) => {
    const lacking = count - (onShelf(plan, what) ?? 0);
    return lacking > 0 ? [{ what, count: lacking }] : [];
  });
}
