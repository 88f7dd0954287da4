import type { Finding, Remedy, Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import {
  appliedOf,
  listAt,
  numberAt,
  partOfKind,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import {
  boardFormat,
  boardSource,
  HOLE_DIAMETER_MM,
  holes,
  type HoleName,
} from '../standards/boards.ts';
import type { ResolvedList } from '../model/lookup/lookup.ts';
import { range, type Range } from '../units/range.ts';
import { trayRoom } from './boardOutline.ts';
import { drill } from '../remedies/drill.ts';
import { offer } from '../remedies/offer.ts';
import { standoffsOut } from '../remedies/standoffsOut.ts';

/** The board's holes against the case's standoffs: which stand under nothing, which holes over none. */
export function boardHoles(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const board = partOfKind(plan, 'board');
  const own = board && holesOf(plan, board);
  const stands = shell && standoffs(plan);
  if (!shell || !board || !own || !stands) return [];
  const unsupported = own.items.filter((hole) => !stands.items.includes(hole));
  const said = stands.level !== 'class';
  const idle = said ? stands.items.filter((stand) => !own.items.includes(stand)) : [];
  const touching = idle.filter((stand) => underBoard(plan, board, stand) === 'sure');
  const perhaps = idle.filter((stand) => underBoard(plan, board, stand) === 'may');
  const short = touching.length > 0;
  const mark = short
    ? 'stop'
    : unsupported.length > 1
      ? 'mend'
      : unsupported.length === 1 || perhaps.length > 0
        ? 'watch'
        : 'clear';
  const terms: Term[] = [
    {
      ...plain('standoffs', range(stands.items.length), 1),
      how: stands.how,
      input: { partId: shell.part.id, key: 'standoffs', seat: 'case' },
    },
    {
      ...plain('holes of the board', range(own.items.length), -1),
      how: own.how,
      input: { partId: board.part.id, key: 'holes', seat: 'board' },
    },
  ];
  return [
    {
      id: 'board-holes',
      station: 'fit',
      mark,
      title: 'standoffs under the board',
      seats: ['board', 'case'],
      unit: '',
      terms,
      margin: range(stands.items.length - own.items.length),
      marginLabel: short
        ? `${touching.join(', ')} under no hole`
        : unsupported.length
          ? `${unsupported.join(', ')} unsupported`
          : perhaps.length
            ? `${perhaps.join(', ')} perhaps under it`
            : 'all meet',
      say: short
        ? `Standoff ${touching.join(', ')} would touch the board's back and short it. Take it out first.`
        : unsupported.length === 0
          ? perhaps.length > 0
            ? `Every hole has its standoff. ${perhaps.join(', ')} may lie under the board and under no hole: measure the board, or take it out.`
            : 'Every hole has its standoff.'
          : unsupported.length === 1
            ? `One corner (${unsupported[0]}) stands free. One may be tolerable; do not push plugs in there.`
            : `Holes ${unsupported.join(', ')} have no standoff.`,
      source: boardSource,
      remedies: mark === 'clear' ? [] : remedies(plan, touching, perhaps, unsupported),
      undoMinutes: 60,
    },
  ];
}

function remedies(
  plan: Plan,
  touching: string[],
  perhaps: string[],
  unsupported: string[],
): Remedy[] {
  const out = touching.length > 0 ? touching : perhaps;
  const left = unsupported.length > 1 ? 'mend' : unsupported.length === 1 ? 'watch' : 'clear';
  return [
    ...(out.length > 0 ? [offer(plan, standoffsOut({ holes: out }), left)] : []),
    ...(touching.length === 0 && unsupported.every((hole) => overTray(plan, hole))
      ? unsupported.length > 0
        ? [offer(plan, drill({ holes: unsupported }), perhaps.length > 0 ? 'watch' : 'clear')]
        : []
      : []),
  ];
}

/** The holes of a board: as counted, else those of its format that lie within the depth it was measured to have. */
export function holesOf(plan: Plan, board: Placed): ResolvedList | undefined {
  const told = listAt(plan, board, 'holes');
  const depth = numberAt(plan, board, 'depth');
  if (!told || told.level !== 'class' || !depth || depth.how === 'class') return told;
  return {
    ...told,
    items: told.items.filter(
      (hole) => (holePlace(hole)?.y ?? 0) + HOLE_DIAMETER_MM / 2 <= depth.hi,
    ),
  };
}

/** Half of what a standoff is across, mm: 5 to 6 (common practice, no source). */
const STANDOFF_MM = 3;

/** Does a standoff stand under the board? One beyond its outline touches nothing. */
function underBoard(plan: Plan, board: Placed, stand: string): 'sure' | 'may' | 'no' {
  const place = holePlace(stand);
  if (!place) return 'may';
  const along = (at: number, edge: Range | undefined) =>
    !edge
      ? 'may'
      : at - STANDOFF_MM >= edge.hi
        ? 'no'
        : at - STANDOFF_MM < edge.lo
          ? 'sure'
          : 'may';
  const sides = [
    along(place.x, numberAt(plan, board, 'width')),
    along(place.y, numberAt(plan, board, 'depth')),
  ];
  return sides.includes('no') ? 'no' : sides.includes('may') ? 'may' : 'sure';
}

/**
 * Is there tray under a hole of the board, as far as anybody knows? Where the board stands over, drilling helps
 * nothing, nor where the board itself is larger than the tray.
 */
function overTray(plan: Plan, hole: string): boolean {
  const [shell, board] = [partOfKind(plan, 'case'), partOfKind(plan, 'board')];
  const place = holePlace(hole);
  if (!shell || !board || !place) return true;
  return (
    [
      ['boardWidth', 'width', place.x],
      ['boardDepth', 'depth', place.y],
    ] as const
  ).every(([roomKey, key, at]) => {
    const room = trayRoom(plan, shell, roomKey, key);
    const need = numberAt(plan, board, key);
    return !room || (at <= room.hi && (need?.lo ?? 0) <= room.hi);
  });
}

const holePlace = (name: string): { x: number; y: number } | undefined =>
  Object.hasOwn(holes, name) ? holes[name as HoleName] : undefined;

/** Standoffs as counted, else those of the boards the case names; remedies taken are already in. */
function standoffs(plan: Plan): ResolvedList | undefined {
  const shell = partOfKind(plan, 'case');
  if (!shell) return undefined;
  let told = listAt(plan, shell, 'standoffs');
  if (!told) {
    const named = listAt(plan, shell, 'boards');
    const board = partOfKind(plan, 'board');
    const bored = board && holesOf(plan, board);
    const all = new Set(
      (named?.items ?? []).flatMap((name) => [...(boardFormat(name)?.holes ?? [])] as string[]),
    );
    if (all.size === 0) return undefined;
    /* A case for several boards lets its standoffs be moved: only those this board wants are set. */
    const set = [...all].filter((hole) => bored?.items.includes(hole) ?? true);
    told = { items: set, how: 'class', source: 'boards it names', level: 'class' };
  }
  let items = [...told.items];
  for (const { holes } of appliedOf(plan, 'standoffsOut'))
    items = items.filter((stand) => !holes.includes(stand));
  for (const { holes } of appliedOf(plan, 'drill'))
    items.push(...holes.filter((stand) => !items.includes(stand)));
  return { ...told, items };
}
