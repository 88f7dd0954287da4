import type { Shop } from '../model/types/types.ts';

/** All jobs that may be planned: open ones. */
export const openJobs = (shop: Shop): string[] =>
  shop.jobs.filter(({ handedOver }) => !handedOver).map(({ id }) => id);

/** Jobs made up for machines that could be built of what is left: named after a donor or a case. */
export const SEED = 'further ';
export const isSeed = (jobId: string): boolean => jobId.startsWith(SEED);
export const seedOf = (jobId: string): string => jobId.slice(SEED.length);
