import { demoShop } from '../../src/core/demo/demoShop.ts';
import type { Job, Machine, Part, Shop } from '../../src/core/model/types/types.ts';

/** A made-up shop of so many parts and jobs: the demo over and over, every part and machine a thing of its own. */
export function largeShop(partCount: number, jobCount: number): Shop {
  const demo = demoShop('2026-11-25T09:00:00.000Z');
  const parts: Part[] = [];
  const machines: Machine[] = [];
  const jobs: Job[] = [];
  for (let round = 0; jobs.length < jobCount; round += 1) {
    const tag = (id: string) => (round === 0 ? id : `${id}-R${round}`);
    const mine = new Set<string>();
    for (const job of demo.jobs) {
      if (jobs.length >= jobCount) break;
      const machine = demo.machines.find((each) => each.id === job.machineId);
      const seats = machine?.seats.map((seat) => ({ ...seat, partId: tag(seat.partId) })) ?? [];
      if (machine) machines.push({ ...machine, id: tag(machine.id), seats });
      const changes = job.changes.map((change) => ({
        ...change,
        partId: change.partId === null ? null : tag(change.partId),
      }));
      for (const id of [...(machine?.seats ?? []), ...job.changes].map((each) => each.partId))
        if (id !== null) mine.add(id);
      jobs.push({
        ...job,
        id: round === 0 ? job.id : String(1000 + jobs.length),
        changes,
        ...(machine ? { machineId: tag(machine.id) } : {}),
      });
    }
    for (const part of demo.parts)
      if (mine.has(part.id)) parts.push({ ...part, id: tag(part.id), facts: { ...part.facts } });
  }
  const shelf = demo.parts.filter((part) => part.place === 'shelf');
  for (let i = 0; parts.length < partCount; i += 1) {
    const part = shelf[i % shelf.length] as Part;
    parts.push({ ...part, id: `X${i}`, where: `drawer ${i % 60}`, facts: { ...part.facts } });
  }
  return { ...demo, parts: parts.slice(0, partCount), machines, jobs, ledger: [] };
}
