import {
  partsOfKind,
  appliedOf,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { keptByReads } from '../model/lookup/reads.ts';

/** A place where a drive is screwed down. */
export interface Mount {
  place: string;
  form: string;
}

/** Every mount of the case, as its list names them: `cage 3.5`. Undefined while nobody listed them. */
export function mountsOf(plan: Plan): Mount[] | undefined {
  const shell = partOfKind(plan, 'case');
  const list = shell && listAt(plan, shell, 'mounts');
  return list?.items.map((item) => {
    const at = item.lastIndexOf(' ');
    return { place: item.slice(0, at), form: item.slice(at + 1) };
  });
}

/** A 2.5 in drive also goes onto a 3.5 in mount with a bracket. */
const takes = (mount: Mount, form: string) =>
  mount.form === form || (form === '2.5' && mount.form === '3.5');

/**
 * Which mount each drive of the plan hangs on: the one a remedy moves it to,
 * else the first free one of its own form, else a larger one. The bracket over the processor
 * comes last, since it lowers the cooler's limit; mounts in a cage that is out are gone.
 */
export const drivePlaces = keptByReads((plan: Plan): Map<string, Mount> => {
  const noCage = appliedOf(plan, 'cageOut').length > 0;
  const chosen = new Map(appliedOf(plan, 'moveDrive').map(({ seat, to }) => [seat, to]));
  const free = (mountsOf(plan) ?? []).filter((mount) => !(noCage && mount.place === 'cage'));
  const held = new Map<string, Mount>();
  const drives = partsOfKind(plan, 'drive').flatMap((drive) => {
    const form = textAt(plan, drive, 'form')?.text;
    return form === '3.5' || form === '2.5' ? [{ drive, form }] : [];
  });
  const hold = (drive: Placed, mount: Mount | undefined) => {
    if (!mount) return;
    held.set(drive.seat, mount);
    free.splice(free.indexOf(mount), 1);
  };
  for (const { drive, form } of drives) {
    const to = chosen.get(drive.seat);
    if (to !== undefined)
      hold(
        drive,
        free.find((mount) => mount.place === to && takes(mount, form)),
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
  const now = mountOf(plan, drive)?.place;
  const all = (mountsOf(plan) ?? []).filter((mount) => takes(mount, form) && mount.place !== now);
  return [...new Set(all.map((mount) => mount.place))];
}

const weight = (mount: Mount, form: string) =>
  (mount.form === form ? 0 : 1) + (mount.place === 'bracket' ? 2 : 0);

export const mountOf = (plan: Plan, drive: Placed): Mount | undefined =>
  drivePlaces(plan).get(drive.seat);
