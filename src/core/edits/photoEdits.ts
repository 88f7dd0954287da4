import type { Edit } from '../model/types/edit.ts';
import type { Photo, Shop } from '../model/types/types.ts';

/** `F001` upwards, one for each picture added. */
function freePhotoIds(shop: Shop, count: number): string[] {
  const last = shop.photos.reduce(
    (most, { id }) => Math.max(most, Number(/\d+$/.exec(id)?.[0])),
    0,
  );
  return Array.from({ length: count }, (_, n) => `F${String(last + n + 1).padStart(3, '0')}`);
}

/** Hangs photographs up; the same picture at the same place stands once. */
export const addPhotos =
  (photos: readonly Omit<Photo, 'id'>[]): Edit =>
  (shop) => {
    const fresh = photos.filter(
      (photo, at) =>
        !shop.photos.some((each) => samePlace(each, photo)) &&
        photos.findIndex((each) => samePlace(each, photo)) === at,
    );
    if (fresh.length === 0) return shop;
    const ids = freePhotoIds(shop, fresh.length);
    return {
      ...shop,
      photos: [...shop.photos, ...fresh.map((photo, n) => ({ id: ids[n] ?? '', ...photo }))],
    };
  };

const samePlace = (a: Omit<Photo, 'id'>, b: Omit<Photo, 'id'>): boolean =>
  a.hash === b.hash &&
  a.jobId === b.jobId &&
  a.machineId === b.machineId &&
  a.partId === b.partId &&
  a.modelId === b.modelId &&
  a.about?.of === b.about?.of &&
  a.about?.key === b.about?.key;

export const editPhoto =
  (id: string, fields: Partial<Pick<Photo, 'when' | 'note' | 'marks'>>): Edit =>
  (shop) => ({
    ...shop,
    photos: shop.photos.map((photo) => (photo.id === id ? { ...photo, ...fields } : photo)),
  });

export const dropPhoto =
  (id: string): Edit =>
  (shop) => ({ ...shop, photos: shop.photos.filter((photo) => photo.id !== id) });
