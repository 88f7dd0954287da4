import type { Finding } from '../findings/finding.ts';
import { indexOf, standingOf } from '../model/lookup.ts';
import type { Plan } from '../model/plan.ts';
import { seatName } from '../model/seats.ts';
import type { Clearing, Job, Part, Reading, Shop } from '../model/types.ts';
import { workOrderOf } from '../plan/workOrderOf.ts';
import { jobAccount } from '../plan/accounts.ts';
import { costs } from '../plan/bench.ts';
import { planOf } from '../plan/planOf.ts';
import { runChecks } from '../plan/run.ts';
import { heatLines, huntLine, mishapLines } from './record.ts';
import type { MoneySum } from '../units/money.ts';

/** Everything that goes on the swap sheet, in its order on paper. */
export interface Sheet {
  title: string;
  becomes: string;
  machine?: string | undefined;
  origin?: string | undefined;
  found: SheetLine[];
  built: SheetLine[];
  open: Finding[];
  remedies: string[];
  readings: Reading[];
  /** Searches for faults, what was damaged, what the logged runs came to: a line each. */
  hunts: string[];
  mishaps: string[];
  heat: string[];
  clearings: (Clearing & { name: string })[];
  /** Drives that came in with the machine and have no clearing on record. */
  uncleared: Part[];
  done: { title: string; at: string; note?: string | undefined; failed: boolean }[];
  left: string[];
  costs: MoneySum & { lines: { label: string; minor?: number | undefined }[] };
}

export interface SheetLine {
  seat: string;
  name: string;
  tag: string;
  mark: 'stays' | 'goes' | 'comes';
  condition: string;
}

export function sheetOf(shop: Shop, job: Job): Sheet {
  const plan = planOf(shop, job);
  const found = runChecks(plan);
  const steps = workOrderOf(plan, job.schools);
  const index = indexOf(shop);
  const line = (seat: string, part: Part, mark: SheetLine['mark']): SheetLine => ({
    seat: seatName(seat),
    name: part.name,
    tag: part.id,
    mark,
    condition: standingOf(shop, part).condition,
  });
  const goes = new Set(plan.goes.map((gone) => gone.part.id));
  const ticks = new Map(job.ticks.map((tick) => [tick.stepId, tick]));
  const foundSeats = (plan.machine?.seats ?? []).flatMap(({ seat, partId }) => {
    const part = index.parts.get(partId);
    return part ? [line(seat, part, goes.has(partId) ? 'goes' : 'stays')] : [];
  });
  const drives = (plan.machine?.seats ?? []).flatMap(({ partId }) => {
    const part = index.parts.get(partId);
    return part?.kind === 'drive' ? [part] : [];
  });
  return {
    title: `${job.id} · ${job.name}`,
    becomes: job.becomes,
    machine: plan.machine?.name,
    origin: plan.machine?.origin,
    found: foundSeats,
    built: plan.seats.map((placed) => line(placed.seat, placed.part, placed.state)),
    open: found.filter((finding) => finding.mark !== 'clear'),
    remedies: job.taken,
    readings: job.readings,
    hunts: job.hunts.map(huntLine),
    mishaps: mishapLines(job),
    heat: heatLines(job),
    clearings: job.clearings.map((clearing) => ({
      ...clearing,
      name: index.parts.get(clearing.partId)?.name ?? clearing.partId,
    })),
    uncleared: drives.filter((drive) => !job.clearings.some((each) => each.partId === drive.id)),
    done: steps.flatMap((step) => {
      const tick = ticks.get(step.id);
      return tick
        ? [{ title: step.title, at: tick.at, note: tick.note, failed: tick.failed ?? false }]
        : [];
    }),
    left: steps.filter((step) => !ticks.has(step.id)).map((step) => step.title),
    costs: { ...costs(shop, job, plan), lines: costLines(shop, job, plan) },
  };
}

function costLines(shop: Shop, job: Job, plan: Plan) {
  return jobAccount(shop, job, plan)
    .lines.filter((line) => line.kind === 'cost')
    .map(({ what, own }) => ({ label: what, minor: own }));
}
