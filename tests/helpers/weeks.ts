import { demoShop } from '../../src/core/demo/demoShop.ts';
import type { Job, Shop } from '../../src/core/model/types/types.ts';

/** The demo on a Friday, 14:05 at a bench an hour ahead of UTC. */
export const NOW = '2026-11-27T13:05:00.000Z';
export const asked = { now: NOW, ahead: 60 };
export const shop = demoShop(NOW);

export const withJob = (id: string, fields: Partial<Job>, of: Shop = shop): Shop => ({
  ...of,
  jobs: of.jobs.map((job) => (job.id === id ? { ...job, ...fields } : job)),
});
export const only = (...ids: string[]): Shop => ({
  ...shop,
  jobs: shop.jobs.filter(({ id }) => ids.includes(id)),
});
