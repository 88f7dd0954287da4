import { laid, type Laid } from '../donors/index.ts';
import type { Finding, Mark } from '../findings/finding.ts';
import { worst } from '../findings/finding.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import { compareSeats, seatName } from '../model/types/seats.ts';
import { stageOf } from '../model/types/stages.ts';
import type { Job, Machine, Part, Shop } from '../model/types/types.ts';
import { wantedBy } from '../model/lookup/wanted.ts';
import { checksOf, tightest } from '../plan/run.ts';

/** Where a part comes from: a machine by its tag, or one of these two. */
export const SHELF = 'shelf';
export const BUY = 'buy';

/** A part on its way from what it sits in to the job that has planned it. */
export interface Allocation {
  from: string;
  to: string;
  part: Part;
  seat: string;
  stage: number;
  /** What the job's sums of the donors station say against it: wanted twice, in use, lent. */
  trouble: Finding | undefined;
}

export interface Source {
  id: string;
  machine: Machine | undefined;
  strands: Allocation[];
}

export interface Goal {
  job: Job;
  strands: Allocation[];
  mark: Mark;
  tightest: Finding | undefined;
}

export interface Crossing {
  sources: Source[];
  goals: Goal[];
  crossings: number;
}

const rank: readonly Mark[] = ['stop', 'mend', 'watch', 'clear'];

/**
 * All that open jobs take from donors, shelf and shops: sources left, jobs right, in an order in which
 * few strands cross. Sources and jobs without a strand stand at the end; the job `near` stands in the upper half.
 */
export function allocationsOf(shop: Shop, near?: string): Crossing {
  const { parts, homeOf, machines } = indexOf(shop);
  const open = shop.jobs.filter((job) => !job.handedOver);
  const strands = open.flatMap((job) => {
    const found = checksOf(shop, job);
    return job.changes.flatMap((change): Allocation[] => {
      const part = change.partId === null ? undefined : parts.get(change.partId);
      if (!part) return [];
      const home = homeOf.get(part.id);
      if (home && home.id === job.machineId) return [];
      return [
        {
          from: home?.id ?? (part.place === 'buy' ? BUY : SHELF),
          to: job.id,
          part,
          seat: change.seat,
          stage: stageOf(change),
          trouble: found.find(
            (each) =>
              each.station === 'donors' &&
              each.mark !== 'clear' &&
              each.seats.includes(change.seat) &&
              each.about?.of !== 'money',
          ),
        },
      ];
    });
  });
  const donors = shop.machines.filter(({ state }) => state === 'donor').map(({ id }) => id);
  const sources = [...new Set([...donors, ...strands.map(({ from }) => from), SHELF])];
  const order = turned(
    laidOnce(
      sources,
      open.map(({ id }) => id),
      strands,
    ),
    strands,
    near,
  );
  const place = (list: string[]) => new Map(list.map((id, i) => [id, i]));
  const [left, right] = [place(order.left), place(order.right)];
  const byGoal = (a: Allocation, b: Allocation) =>
    (right.get(a.to) ?? 0) - (right.get(b.to) ?? 0) || compareSeats(a.seat, b.seat);
  const bySource = (a: Allocation, b: Allocation) =>
    (left.get(a.from) ?? 0) - (left.get(b.from) ?? 0) || compareSeats(a.seat, b.seat);
  return {
    crossings: order.crossings,
    sources: order.left.map((id) => ({
      id,
      machine: machines.get(id),
      strands: strands.filter((strand) => strand.from === id).sort(byGoal),
    })),
    goals: order.right.flatMap((id): Goal[] => {
      const job = open.find((each) => each.id === id);
      if (!job) return [];
      const found = checksOf(shop, job);
      return [
        {
          job,
          strands: strands.filter((strand) => strand.to === id).sort(bySource),
          mark: worst(found),
          tightest: tightest(found),
        },
      ];
    }),
  };
}

let last: { key: string; order: Laid } | undefined;

/** The order found last is found again as long as nothing begins or ends elsewhere. */
function laidOnce(left: string[], right: string[], strands: readonly Allocation[]): Laid {
  const key = JSON.stringify([left, right, strands.map(({ from, to }) => [from, to])]);
  if (last?.key !== key) last = { key, order: laid(left, right, strands) };
  return last.order;
}

/** Upside down, if that brings the job into the upper half: as many strands cross. */
function turned(order: Laid, strands: readonly Allocation[], near: string | undefined): Laid {
  const goals = new Set(strands.map(({ to }) => to));
  const from = new Set(strands.map((strand) => strand.from));
  const at = near === undefined ? -1 : order.right.indexOf(near);
  if (at < goals.size / 2 || at >= goals.size) return order;
  const turn = (list: string[], joined: ReadonlySet<string>) => [
    ...list.filter((id) => joined.has(id)).reverse(),
    ...list.filter((id) => !joined.has(id)),
  ];
  return { ...order, left: turn(order.left, from), right: turn(order.right, goals) };
}

/** What a strand does to the jobs of a shop: marks and tightest gaps that are not what they were. */
export interface Moved {
  jobId: string;
  from: Mark;
  to: Mark;
  better: boolean;
}

/** Jobs whose worst mark differs between two states of a shop. */
export function movedBetween(before: Shop, after: Shop): Moved[] {
  return after.jobs.flatMap((job): Moved[] => {
    const was = before.jobs.find((each) => each.id === job.id);
    if (!was || job.handedOver) return [];
    const [from, to] = [worst(checksOf(before, was)), worst(checksOf(after, job))];
    if (from === to) return [];
    return [{ jobId: job.id, from, to, better: rank.indexOf(to) > rank.indexOf(from) }];
  });
}

/** `supply, to 14 · wanted by 9 too`. */
export const sayOf = (strand: Allocation, shop: Shop): string => {
  const others = (wantedBy(shop).get(strand.part.id) ?? []).filter((id) => id !== strand.to);
  return `${strand.part.name} (${strand.part.id}), ${seatName(strand.seat)} of job ${strand.to}${
    others.length > 0 ? `, wanted by ${others.join(' and ')} too` : ''
  }`;
};
