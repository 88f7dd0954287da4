import type { Finding, Remedy, Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { appliedOf, listAt, one, type Plan } from '../model/plan.ts';
import { boardFormat, boardSource } from '../standards/boards.ts';
import type { ListTold } from '../model/lookup.ts';
import { range } from '../units/range.ts';
import { drill } from '../remedies/drill.ts';
import { offer } from '../remedies/offer.ts';
import { standoffsOut } from '../remedies/standoffsOut.ts';

/** The board's holes against the case's standoffs: which stand under nothing, which holes over none. */
export function boardHoles(plan: Plan): Finding[] {
  const shell = one(plan, 'case');
  const board = one(plan, 'board');
  const holes = board && listAt(plan, board, 'holes');
  const stands = shell && standoffs(plan);
  if (!shell || !board || !holes || !stands) return [];
  const unsupported = holes.items.filter((hole) => !stands.items.includes(hole));
  const touching = stands.items.filter((stand) => !holes.items.includes(stand));
  const own = stands.level !== 'class';
  const short = own && touching.length > 0;
  const mark = short
    ? 'stop'
    : unsupported.length === 0
      ? 'clear'
      : unsupported.length === 1
        ? 'watch'
        : 'mend';
  const terms: Term[] = [
    {
      ...plain('standoffs', range(stands.items.length), 1),
      how: stands.how,
      input: { partId: shell.part.id, key: 'standoffs', seat: 'case' },
    },
    {
      ...plain('holes of the board', range(holes.items.length), -1),
      how: holes.how,
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
      rest: range(stands.items.length - holes.items.length),
      restLabel: short
        ? `${touching.join(', ')} under no hole`
        : unsupported.length
          ? `${unsupported.join(', ')} unsupported`
          : 'all meet',
      say: short
        ? `Standoff ${touching.join(', ')} would touch the board's back and short it. Take it out first.`
        : unsupported.length === 0
          ? 'Every hole has its standoff.'
          : unsupported.length === 1
            ? `One corner (${unsupported[0]}) stands free. One may be tolerable; do not push plugs in there.`
            : `Holes ${unsupported.join(', ')} have no standoff.`,
      source: boardSource,
      remedies: mark === 'clear' ? [] : remedies(plan, touching, unsupported, short),
      undoMinutes: 60,
    },
  ];
}

function remedies(plan: Plan, touching: string[], unsupported: string[], short: boolean): Remedy[] {
  if (!short) return [offer(plan, drill({ holes: unsupported }), 'clear')];
  const left = unsupported.length > 1 ? 'mend' : unsupported.length === 1 ? 'watch' : 'clear';
  return [offer(plan, standoffsOut({ holes: touching }), left)];
}

/** Standoffs as counted, else those of the boards the case names; remedies taken are already in. */
function standoffs(plan: Plan): ListTold | undefined {
  const shell = one(plan, 'case');
  if (!shell) return undefined;
  let told = listAt(plan, shell, 'standoffs');
  if (!told) {
    const named = listAt(plan, shell, 'boards');
    const board = one(plan, 'board');
    const holes = board && listAt(plan, board, 'holes');
    const all = new Set(
      (named?.items ?? []).flatMap((name) => [...(boardFormat(name)?.holes ?? [])] as string[]),
    );
    if (all.size === 0) return undefined;
    /* A case for several boards lets its standoffs be moved: only those this board wants are set. */
    const set = [...all].filter((hole) => holes?.items.includes(hole) ?? true);
    told = { items: set, how: 'class', source: 'boards it names', level: 'class' };
  }
  let items = [...told.items];
  for (const { holes } of appliedOf(plan, 'standoffsOut'))
    items = items.filter((stand) => !holes.includes(stand));
  for (const { holes } of appliedOf(plan, 'drill'))
    items.push(...holes.filter((stand) => !items.includes(stand)));
  return { ...told, items };
}
