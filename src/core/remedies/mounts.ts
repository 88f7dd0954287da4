import {
  partsOfKind,
  appliedOf,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import type { DriveMount } from '../model/types/shapes.ts';
import { keptByReads } from '../model/lookup/reads.ts';

/** Every mount of the case, as somebody listed them. Undefined while nobody did. */
export function mountsOf(plan: Plan): readonly DriveMount[] | undefined {
  const shell = partOfKind(plan, 'case');
  return shell && listAt(plan, shell, 'mounts')?.items;
}

/** A 2.5 in drive also goes onto a 3.5 in mount with a bracket. */
const takes = (mount: DriveMount, form: string) =>
  mount.form === form || (form === '2.5' && mount.form === '3.5');

/**
 * Which mount each drive of the plan hangs on: the one a remedy moves it to,
 * else the first free one of its own form, else a larger one. The bracket over the processor
 * comes last, since it lowers the cooler's limit; mounts in a cage that is out are gone.
 */
export const drivePlaces = keptByReads((plan: Plan): Map<string, DriveMount> => {
  const noCage = appliedOf(plan, 'cageOut').length > 0;
  const chosen = new Map(appliedOf(plan, 'moveDrive').map(({ seat, to }) => [seat, to]));
  const free = (mountsOf(plan) ?? []).filter((mount) => !(noCage && mount.at === 'cage'));
  const held = new Map<string, DriveMount>();
  const drives = partsOfKind(plan, 'drive').flatMap((drive) => {
    const form = textAt(plan, drive, 'form')?.text;
    return form === '3.5' || form === '2.5' ? [{ drive, form }] : [];
  });
  const hold = (drive: Placed, mount: DriveMount | undefined) => {
    if (!mount) return;
    held.set(drive.seat, mount);
    free.splice(free.indexOf(mount), 1);
  };
  for (const { drive, form } of drives) {
    const to = chosen.get(drive.seat);
    if (to !== undefined)
      hold(
        drive,
        free.find((mount) => mount.at === to && takes(mount, form)),
      );
  }
  for (const { drive, form } of drives) {
    if (held.has(drive.seat) || chosen.has(drive.seat)) continue;
    const order = [...free].sort((a, b) => weight(a, form) - weight(b, form));
    hold(
      drive,
      order.find((mount) => takes(mount, form)),
    );
  }
  return held;
});

/** Places that take this drive, but for the one it hangs on; each named once. */
export function otherPlaces(plan: Plan, drive: Placed): string[] {
  const form = textAt(plan, drive, 'form')?.text ?? '';
  const now = mountOf(plan, drive)?.at;
  const all = (mountsOf(plan) ?? []).filter((mount) => takes(mount, form) && mount.at !== now);
  return [...new Set(all.map((mount) => mount.at))];
}

const weight = (mount: DriveMount, form: string) =>
  (mount.form === form ? 0 : 1) + (mount.at === 'bracket' ? 2 : 0);

export const mountOf = (plan: Plan, drive: Placed): DriveMount | undefined =>
  drivePlaces(plan).get(drive.seat);
