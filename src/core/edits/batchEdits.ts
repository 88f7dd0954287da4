import { create } from 'mutative';
import type { Edit } from '../model/types/edit.ts';
import type { Job, Machine, Part, Shop } from '../model/types/types.ts';
import { nextNumber, nextPartId } from './edits.ts';
import { freeModel } from './partEdits.ts';
import { withParts } from '../remedies/index.ts';

/**
 * The same again: more machines like one that was taken in, each with a job of its own and the same plan. What was
 * measured once is known of each, for twins share their models; what is one's own (serial number, ticks, readings,
 * photographs, money) is not copied. Parts the plan brings from the shelf are copied as parts still to be found: one
 * lies there, not twelve.
 */
export const sameAgain =
  (jobId: string, count: number): Edit =>
  (shop) =>
    create(shop, (next) => {
      const job = shop.jobs.find(({ id }) => id === jobId);
      if (!job) return;
      const machine = shop.machines.find(({ id }) => id === job.machineId);
      shareModels(next, machine);
      for (let n = 0; n < count; n += 1) again(next, job, machine?.id);
    });

/** Parts of the machine get models of their own, so that a figure measured at one is known of all. */
function shareModels(shop: Shop, machine: Machine | undefined): void {
  for (const { partId } of machine?.seats ?? []) {
    const part = shop.parts.find(({ id }) => id === partId);
    if (!part || part.modelId !== undefined) continue;
    const id = freeModel(shop, part.name);
    const { serial, hours, worn, reallocated, selfTest, ...shared } = part.facts;
    shop.models.push({ id, kind: part.kind, name: part.name, facts: shared });
    part.modelId = id;
    part.facts = Object.fromEntries(
      Object.entries({ serial, hours, worn, reallocated, selfTest }).flatMap(([key, fact]) =>
        fact ? [[key, fact]] : [],
      ),
    );
  }
}

function again(shop: Shop, job: Job, machineId: string | undefined): void {
  const number = nextNumber(shop);
  const machine = shop.machines.find(({ id }) => id === machineId);
  const tags = new Map<string, string>();
  const copyOf = (partId: string, place: Part['place']): string | undefined => {
    const part = shop.parts.find(({ id }) => id === partId);
    if (!part) return undefined;
    const known = tags.get(partId);
    if (known) return known;
    const id = nextPartId(shop, place === 'machine' ? `M${number}-` : 'P');
    tags.set(partId, id);
    const { kind, name, modelId, facts, condition, origin } = part;
    shop.parts.push({
      id,
      kind,
      name,
      place,
      facts: modelId && place === 'machine' ? {} : { ...facts },
      ...(modelId && { modelId }),
      ...(place === 'machine' && condition && { condition }),
      ...(place === 'machine' && origin && { origin }),
    });
    return id;
  };
  const seats = (machine?.seats ?? []).flatMap(({ seat, partId }) => {
    const id = copyOf(partId, 'machine');
    return id ? [{ seat, partId: id }] : [];
  });
  if (machine) {
    const { serial: _, ...facts } = machine.facts;
    shop.machines.push({
      id: `M${number}`,
      name: machine.name,
      state: 'here',
      facts,
      seats,
      ...(machine.modelId && { modelId: machine.modelId }),
      ...(machine.starts !== undefined && { starts: machine.starts }),
      ...(machine.condition && { condition: machine.condition }),
      ...(machine.origin && { origin: machine.origin }),
    });
  }
  const changes = job.changes.map((change) => ({
    ...change,
    partId: change.partId === null ? null : (copyOf(change.partId, 'buy') ?? change.partId),
  }));
  shop.jobs.push({
    ...job,
    id: number,
    was: undefined,
    name: job.name,
    ...(machine && { machineId: `M${number}` }),
    requirements: job.requirements.map((each) => ({ ...each })),
    changes,
    applied: job.applied.map((value) => withParts(value, (id) => tags.get(id) ?? id)),
    schools: { ...job.schools },
    wants: job.wants.map(({ bought: _, ...want }) => ({
      ...want,
      ...(want.remedy && { remedy: withParts(want.remedy, (id) => tags.get(id) ?? id) }),
    })),
    finishes: job.finishes.map((each) => ({ ...each })),
    own: job.own.map((each) => ({ ...each })),
    ticks: [],
    started: [],
    planned: [],
    waits: [],
    readings: [],
    clearings: [],
    sums: [],
    runs: [],
    diagnoses: [],
    damages: [],
    trials: [],
    links: [],
    dropped: [],
    additions: [],
    customer: undefined,
    handedOver: undefined,
    record: undefined,
  });
}

/** Ticks one step of several jobs that have it. */
export const tickTogether =
  (jobIds: readonly string[], stepId: string, at: string): Edit =>
  (shop) =>
    create(shop, (next) => {
      for (const job of next.jobs)
        if (
          jobIds.includes(job.id) &&
          !job.handedOver &&
          !job.ticks.some((tick) => tick.stepId === stepId)
        )
          job.ticks.push({ stepId, at });
    });

/** Open jobs of machines like this job's, the same thing to become: a batch. */
export function batchOf(shop: Shop, job: Job): Job[] {
  const nameOf = (id: string | undefined) => shop.machines.find((each) => each.id === id)?.name;
  const own = nameOf(job.machineId);
  if (own === undefined) return [];
  return shop.jobs.filter(
    (each) =>
      each.id !== job.id &&
      !each.handedOver &&
      each.becomes === job.becomes &&
      nameOf(each.machineId) === own,
  );
}
