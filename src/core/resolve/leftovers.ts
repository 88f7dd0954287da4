import type { Mark } from '../findings/finding.ts';
import { byMark, worst } from '../findings/finding.ts';
import { factOf, indexOf, standingOf } from '../model/lookup/lookup.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { emptyJob } from '../model/types/empty.ts';
import { isList, isText } from '../model/types/fact.ts';
import { kindName } from '../model/types/seats.ts';
import {
  countOf,
  type Job,
  type Kind,
  type Part,
  type SeatId,
  type Shop,
} from '../model/types/types.ts';
import { isMissing } from '../plan/missing.ts';
import { checksOf } from '../plan/run.ts';
import { byWorth, judging } from './candidatesFor.ts';

/** What the rest could become: around every free board, the parts nobody has promised. */

export interface Leftover {
  board: Part;
  /** The board first. */
  parts: { seat: SeatId; part: Part }[];
  /** Kinds nothing free serves as. */
  lacks: Kind[];
  /** Worst of its sums as it would stand. */
  mark: Mark;
  stops: number;
}

const seats: readonly { seat: SeatId; kind: Kind }[] = [
  { seat: 'processor', kind: 'processor' },
  { seat: 'memory1', kind: 'memory' },
  { seat: 'cooler', kind: 'cooler' },
  { seat: 'supply', kind: 'supply' },
  { seat: 'case', kind: 'case' },
  { seat: 'drive1', kind: 'drive' },
];
/** Parts of a kind that are judged at a seat: those that match by what is known of them, cheapest first. */
const MOST_JUDGED = 8;

/** Parts on the shelf and in donors that are whole or untested, in nobody's plan and nobody's debt. */
export function freeParts(shop: Shop): Part[] {
  const { homeOf } = indexOf(shop);
  const wanted = wantedBy(shop);
  return shop.parts.filter((part) => {
    if (part.place === 'gone' || part.place === 'buy') return false;
    if (part.reserved || part.loan) return false;
    if ((wanted.get(part.id)?.length ?? 0) >= countOf(part)) return false;
    if (standingOf(shop, part).condition === 'dead') return false;
    const home = homeOf.get(part.id);
    return home ? home.state === 'donor' && !home.keepWhole && !home.loan : part.place === 'shelf';
  });
}

/** Nearest to complete first. Each is reckoned by itself: two of them may want the same part. */
export function leftovers(shop: Shop): Leftover[] {
  const free = freeParts(shop);
  const boards = distinct(
    shop,
    free.filter(({ kind }) => kind === 'board'),
  );
  const found = boards.map((board) => around(shop, board, free));
  return found.sort(
    (a, b) =>
      a.lacks.length - b.lacks.length ||
      a.stops - b.stops ||
      byMark({ mark: b.mark }, { mark: a.mark }) ||
      (a.board.id < b.board.id ? -1 : 1),
  );
}

/** Of twins one is enough. */
function distinct(shop: Shop, parts: readonly Part[]): Part[] {
  const known = new Map<string, Part>();
  for (const part of parts) {
    const key = JSON.stringify([part.name, part.modelId, part.facts]);
    if (!known.has(key)) known.set(key, part);
  }
  return [...known.values()];
}

function around(shop: Shop, board: Part, free: readonly Part[]): Leftover {
  let job: Job = {
    ...emptyJob('leftover', board.name, ''),
    changes: [{ seat: 'board', partId: board.id }],
  };
  const parts: Leftover['parts'] = [{ seat: 'board', part: board }];
  const lacks: Kind[] = [];
  for (const { seat, kind } of seats) {
    const judge = judging(shop, job, seat);
    const [best] = distinct(
      shop,
      free.filter((part) => part.kind === kind && mayMatch(shop, board, part)),
    )
      .sort((a, b) => surely(shop, board, b) - surely(shop, board, a) || valueOf(a) - valueOf(b))
      .slice(0, MOST_JUDGED)
      .map(judge)
      .filter(({ against }) => !against.some(({ id, mark }) => mark === 'stop' && !isMissing(id)))
      .sort(byWorth);
    if (!best) {
      lacks.push(kind);
      continue;
    }
    parts.push({ seat, part: best.part });
    job = { ...job, changes: [...job.changes, { seat, partId: best.part.id }] };
  }
  const findings = checksOf(shop, job).filter(({ shopsOwn, id }) => !shopsOwn && !isMissing(id));
  return {
    board,
    parts,
    lacks,
    mark: worst(findings),
    stops: findings.filter(({ mark }) => mark === 'stop').length,
  };
}

const valueOf = ({ worth, price }: Part): number => (worth ?? price)?.minor ?? 0;

/** What a part and a board must have in common, by kind. */
const common: Partial<Record<Kind, readonly [part: string, board: string]>> = {
  processor: ['socket', 'socket'],
  memory: ['memoryKind', 'memoryKind'],
  cooler: ['sockets', 'socket'],
  supply: ['mainPlug', 'mainPlug'],
};

function matches(shop: Shop, board: Part, part: Part): boolean | undefined {
  const keys = common[part.kind];
  if (!keys) return undefined;
  const own = factOf(shop, part, keys[0])?.fact;
  const its = factOf(shop, board, keys[1])?.fact;
  if (!own || !isText(its)) return undefined;
  if (isText(own)) return own.text === its.text;
  return isList(own) ? own.items.includes(its.text) : undefined;
}
const mayMatch = (shop: Shop, board: Part, part: Part): boolean =>
  part.kind === 'supply' || matches(shop, board, part) !== false;
const surely = (shop: Shop, board: Part, part: Part): number =>
  Number(matches(shop, board, part) === true);

/** `lacks RAM and a case`, or that nothing does. */
export const lackWords = ({ lacks }: Pick<Leftover, 'lacks'>): string =>
  lacks.length === 0 ? 'lacks nothing' : `lacks ${lacks.map(kindName).join(', ')}`;
