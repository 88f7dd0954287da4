import { laid } from '$core/donors/index.ts';
import type { Proposal, Strand } from '$core/allocate/proposal.ts';
import { indexOf } from '$core/model/lookup/lookup.ts';
import type { Part, Shop } from '$core/model/types/types.ts';
import { BUY, SHELF } from '$core/shop/allocations.ts';

/** Today's plan in ink and a proposal in pencil: where every row and line of the picture stands, in px. */

export const ROW_PX = 26;
const HEAD_PX = 34;
const LEAST_PX = 30;

export interface PlanRow {
  key: string;
  jobId: string;
  strand: Strand;
  y: number;
  part: Part | undefined;
  now: Part | undefined;
}

export interface PlanLine {
  key: string;
  /** In both plans, in today's alone, or in the proposal alone. */
  is: 'kept' | 'today' | 'proposed';
  from: string;
  row: PlanRow;
}

export interface PlanPicture {
  heads: { jobId: string; y: number; runs: boolean }[];
  rows: PlanRow[];
  lines: PlanLine[];
  sources: { id: string; y: number }[];
  height: number;
}

/** Where a part comes from: its machine's tag, the shelf, or a shop. */
function sourceOf(shop: Shop, part: Part): string {
  return indexOf(shop).homeOf.get(part.id)?.id ?? (part.place === 'buy' ? BUY : SHELF);
}

export function planPicture(shop: Shop, { jobs }: Pick<Proposal, 'jobs'>): PlanPicture {
  const { parts } = indexOf(shop);
  const of = (id: string | undefined) => (id === undefined ? undefined : parts.get(id));
  let y = 0;
  const heads: PlanPicture['heads'] = [];
  const rows: PlanRow[] = [];
  for (const { jobId, strands, runs } of jobs) {
    heads.push({ jobId, y: y + HEAD_PX / 2, runs });
    y += HEAD_PX;
    for (const strand of strands) {
      const row = { jobId, strand, part: of(strand.partId), now: of(strand.nowId) };
      if (!row.part && !row.now) continue;
      rows.push({ ...row, key: `${jobId} ${strand.seat} ${strand.stage}`, y: y + ROW_PX / 2 });
      y += ROW_PX;
    }
    y += 8;
  }
  const lines = rows.flatMap((row): PlanLine[] => {
    const { part, now, key } = row;
    const line = (is: PlanLine['is'], from: Part) => ({
      key: `${key} ${is}`,
      is,
      from: sourceOf(shop, from),
      row,
    });
    if (part && now && part.id === now.id) return [line('kept', part)];
    return [...(now ? [line('today', now)] : []), ...(part ? [line('proposed', part)] : [])];
  });
  const sources = placed(lines, y);
  const bottom = sources.at(-1);
  return { heads, rows, lines, sources, height: Math.max(y, (bottom?.y ?? 0) + LEAST_PX) };
}

/** Sources in an order in which few lines cross, each as near as may be to the middle of its lines. */
function placed(lines: readonly PlanLine[], height: number): PlanPicture['sources'] {
  const ends = lines.map(({ from, row }) => ({ from, to: row.key }));
  const keys = [...new Set(lines.map(({ row }) => row.key))];
  const mean = (id: string) => {
    const own = lines.filter(({ from }) => from === id);
    return own.reduce((sum, { row }) => sum + row.y, 0) / Math.max(1, own.length);
  };
  const ids = [...new Set(lines.map(({ from }) => from))];
  const order = laid(ids, keys, ends).left.sort((a, b) => mean(a) - mean(b));
  let from = LEAST_PX / 2;
  const list = order.map((id, i) => {
    const room = height - (order.length - i) * LEAST_PX + LEAST_PX / 2;
    const at = Math.max(from, Math.min(mean(id), room));
    from = at + LEAST_PX;
    return { id, y: at };
  });
  return list;
}
