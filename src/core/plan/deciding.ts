import { isOpen } from '../findings/terms.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { property, type FactKey } from '../model/properties/index.ts';
import type { Facts } from '../model/types/fact.ts';
import { kindName, kindOfSeat } from '../model/types/seats.ts';
import { stageOf } from '../model/types/stages.ts';
import type { Job, Kind, Part, SeatId, Shop } from '../model/types/types.ts';
import { planOf } from './planOf.ts';
import { runChecks } from './run.ts';

/** Figures asked for at once when a part is typed in: fewer leave it a guess, more are not typed (common practice, no source). */
export const LEAST_ASKED = 4;
export const MOST_ASKED = 6;

/** What is said first of a part of a kind where no check asks for more (common practice, no source). */
export const firstFigures: Record<Kind, readonly FactKey[]> = {
  case: ['class', 'boards', 'cardRoom', 'coolerRoom'],
  board: ['format', 'socket', 'memoryKind', 'mainPlug'],
  processor: ['socket', 'watts', 'graphics', 'generation'],
  cooler: ['class', 'height', 'sockets', 'width'],
  memory: ['memoryKind', 'size', 'speed', 'memoryForm'],
  card: ['length', 'slotsWide', 'watts', 'plugs'],
  drive: ['form', 'size', 'bus', 'plug'],
  supply: ['format', 'watts', 'mainPlug', 'plugs'],
  fan: ['size', 'thickness', 'wall', 'amps'],
  leads: ['block', 'length', 'usb', 'frontPlug'],
  small: ['sort', 'count', 'plug', 'belongsTo'],
};

/** Tag of a part while it is typed in: no shop gives it. */
export const DRAFT = 'draft';

/** The job as it would be with a part of these facts in a seat. */
export function withDraft(
  shop: Shop,
  job: Job,
  seat: SeatId,
  facts: Facts,
  stage?: number,
): { shop: Shop; plan: Plan } | undefined {
  const kind = kindOfSeat(seat);
  if (!kind) return undefined;
  const draft: Part = { id: DRAFT, kind, name: kindName(kind), facts, place: 'shelf' };
  const others = job.changes.filter(
    (change) => change.seat !== seat || (stage !== undefined && stageOf(change) !== stage),
  );
  const planned: Job = {
    ...job,
    changes: [...others, { seat, partId: DRAFT, ...(stage !== undefined && { stage }) }],
  };
  const put: Shop = {
    ...shop,
    parts: [...shop.parts, draft],
    jobs: shop.jobs.map((each) => (each.id === job.id ? planned : each)),
  };
  return { shop: put, plan: planOf(put, planned) };
}

/**
 * The four to six figures of a part in this seat that decide now: those a check of this plan reads and does not know,
 * by how many verdicts hang on each, the quickest to find first among equals; filled up with what is said first of its kind.
 */
export function decidingFigures(shop: Shop, job: Job, seat: SeatId, stage?: number): FactKey[] {
  const kind = kindOfSeat(seat);
  const draft = kind && withDraft(shop, job, seat, {}, stage);
  if (!kind || !draft) return [];
  const verdicts = new Map<FactKey, number>();
  for (const finding of runChecks(draft.plan)) {
    if (finding.mark === 'clear') continue;
    const keys = finding.terms.flatMap((term) =>
      term.input?.partId === DRAFT && isOpen(term) ? term.input.key : [],
    );
    for (const key of new Set(keys)) verdicts.set(key, (verdicts.get(key) ?? 0) + 1);
  }
  const seconds = (key: FactKey) => property(kind, key)?.seconds ?? Infinity;
  const read = [...verdicts]
    .filter(([key]) => property(kind, key) !== undefined)
    .sort(([a, n], [b, m]) => m - n || seconds(a) - seconds(b))
    .map(([key]) => key);
  const others = firstFigures[kind].filter((key) => !read.includes(key));
  const asked = read.slice(0, MOST_ASKED);
  return [...asked, ...others.slice(0, Math.max(0, LEAST_ASKED - asked.length))];
}
