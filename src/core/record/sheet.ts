import type { Finding } from '../findings/finding.ts';
import { factOf, indexOf, standingOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type {
  Incomplete,
  JobRecord,
  Sheet,
  SheetCosts,
  SheetFinding,
  SheetLine,
} from '../model/types/recordTypes.ts';
import type { Job, Part, Shop } from '../model/types/types.ts';
import { workOrderOf } from '../plan/workOrderOf.ts';
import { jobAccount } from '../donors/accounts.ts';
import { costs } from '../shop/standing.ts';
import { planOf } from '../plan/planOf.ts';
import { runChecks } from '../plan/run.ts';
import { damageLines, diagnosisLine, droppedLine, heatLines, serviceLine } from './record.ts';
import { isText } from '../model/types/fact.ts';
import { titleOf } from '../remedies/index.ts';

/** The sheet of a job: as it was frozen at hand-over, else as it stands now. */
export function sheetOf(shop: Shop, job: Job): Sheet {
  return job.record?.sheet ?? sheetNow(shop, job);
}

function sheetNow(shop: Shop, job: Job): Sheet {
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
    open: found.filter((finding) => finding.mark !== 'clear').map(openLine),
    remedies: job.applied.map((value) => titleOf(value, plan)),
    readings: job.readings,
    diagnoses: job.diagnoses.map(diagnosisLine),
    damages: damageLines(job),
    heat: heatLines(job),
    clearings: job.clearings.map((clearing) => ({
      ...clearing,
      name: index.parts.get(clearing.partId)?.name ?? clearing.partId,
    })),
    uncleared: drives
      .filter((drive) => !job.clearings.some((each) => each.partId === drive.id))
      .map(({ id, name }) => ({ id, name })),
    loans: [
      ...(plan.machine ? loanLine(plan.machine) : []),
      ...plan.seats.flatMap(({ part }) => loanLine(part)),
    ],
    done: steps.flatMap((step) => {
      const tick = ticks.get(step.id);
      return tick
        ? [
            {
              title: step.title,
              at: tick.at,
              note: tick.note,
              failed: tick.failed ?? false,
              gate: step.gate,
            },
          ]
        : [];
    }),
    left: steps.filter((step) => !ticks.has(step.id)).map((step) => step.title),
    costs: costsOf(shop, job, plan),
    customer: job.customer,
    system: job.system,
    warranty: job.warranty,
    watch: job.watch,
    serials: serialsOf(shop, plan),
    dropped: job.dropped.map(droppedLine),
    service: plan.seats.flatMap(({ part }) =>
      (part.service ?? []).map((line) => `${part.name} (${part.id}): ${serviceLine(line)}`),
    ),
    note: job.note,
  };
}

const openLine = ({
  id,
  mark,
  title,
  unit,
  margin: rest,
  say,
  shopsOwn,
}: Finding): SheetFinding => ({
  id,
  mark,
  title,
  unit,
  margin: rest && Number.isFinite(rest.lo) && Number.isFinite(rest.hi) ? rest : undefined,
  say,
  ...(shopsOwn && { shopsOwn }),
});

function loanLine({ id, name, loan }: Pick<Part, 'id' | 'name' | 'loan'>): string[] {
  if (!loan) return [];
  const who = loan.who ? `${loan.way === 'lent' ? ' to' : ' from'} ${loan.who}` : '';
  return [
    `${name} (${id}): ${loan.way}${who}${loan.until ? `, owed back by ${loan.until.slice(0, 10)}` : ''}`,
  ];
}

/** What is open at hand-over, a line each: Stops, steps, drives without a clearing, parts that are not ours. */
export function openPoints(sheet: Sheet): string[] {
  return [
    ...sheet.open
      .filter(({ mark }) => mark === 'stop')
      .map(({ title, say }) => `Stop: ${title}. ${say}`),
    ...sheet.left.map((title) => `Not done: ${title}`),
    ...sheet.uncleared.map(({ name, id }) => `Data not dealt with: ${name} (${id})`),
    ...sheet.loans,
  ];
}

/** The record a job keeps: what is on its sheet at this moment. */
export const recordOf = (shop: Shop, job: Job, at: string, incomplete?: Incomplete): JobRecord => ({
  at,
  shop: shop.name,
  sheet: sheetNow(shop, job),
  ...(incomplete ? { incomplete } : {}),
});

/** Serial numbers that are known: of the machine, and of what sits in it. */
function serialsOf(shop: Shop, plan: Plan): { name: string; serial: string }[] {
  const own = plan.machine?.facts['serial'];
  return [
    ...(plan.machine && isText(own) && own.text.trim()
      ? [{ name: plan.machine.name, serial: own.text }]
      : []),
    ...plan.seats.flatMap(({ part }) => {
      const fact = factOf(shop, part, 'serial')?.fact;
      return fact && isText(fact) && fact.text.trim()
        ? [{ name: part.name, serial: fact.text }]
        : [];
    }),
  ].map(({ name, serial }) => ({ name: name.slice(0, 200), serial: serial.slice(0, 200) }));
}

function costsOf(shop: Shop, job: Job, plan: Plan): SheetCosts {
  const { total, unpriced } = costs(shop, job, plan);
  return {
    currency: total.currency,
    total: total.minor,
    lines: jobAccount(shop, job, plan)
      .lines.filter((line) => line.kind === 'cost')
      .map(({ what, own }) => ({ label: what, minor: own })),
    unpriced,
  };
}
