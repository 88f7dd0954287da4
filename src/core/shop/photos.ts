import type { Photo, PhotoSubject, Shop } from '../model/types/types.ts';

/** Where a photograph hangs: on a job, a machine or a part, and perhaps on one thing of it. */
export interface PhotoPlace {
  jobId?: string | undefined;
  machineId?: string | undefined;
  partId?: string | undefined;
  modelId?: string | undefined;
  about?: PhotoSubject | undefined;
}

/** Photographs of just this place, the oldest first. What hangs on a step is not the job's own. */
export const photosAt = (shop: Shop, place: PhotoPlace): Photo[] =>
  shop.photos
    .filter(
      (photo) =>
        photo.jobId === place.jobId &&
        photo.machineId === place.machineId &&
        photo.partId === place.partId &&
        photo.modelId === place.modelId &&
        photo.about?.of === place.about?.of &&
        photo.about?.key === place.about?.key,
    )
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));

/** Every photograph that belongs to a job's story: its own, of its steps, its machine. */
export function photosOfJob(shop: Shop, jobId: string): Photo[] {
  const machineId = shop.jobs.find(({ id }) => id === jobId)?.machineId;
  return shop.photos.filter(
    (photo) => photo.jobId === jobId || (machineId !== undefined && photo.machineId === machineId),
  );
}

/** Hashes of the pictures a shop wants, each once. */
export const picturesWanted = (shop: Shop): string[] => [
  ...new Set(shop.photos.map(({ hash }) => hash)),
];
