import { sameContent } from '../shop/items.ts';
import type { Dot, RecordVersion, Seen } from '../model/types/versionTypes.ts';
import { table } from '../units/table.ts';
import { birthsOf, dotOf, isOfThings, slotsOf, type Bag } from './slots.ts';

/** What an edit did to the version of a record: every slot that differs was written by this write. */

/** Of a record that was edited. `seen`: what is known with this write. */
export function stamped(
  version: RecordVersion,
  before: object,
  after: object,
  dot: Dot,
  seen: Seen,
): RecordVersion {
  const births = birthsAfter(version, before as Bag, after as Bag, dot);
  const shifted: RecordVersion = { ...version, births: { ...version.births, ...births } };
  const [was, is] = [slotsOf(before, version).values, slotsOf(after, shifted).values];
  const wrote = table<Dot>();
  const apart = { ...version.apart };
  for (const slot of new Set([...was.keys(), ...is.keys()])) {
    const stays = is.has(slot) || !/[#[]/.test(slot);
    const kept = version.wrote?.[slot];
    if (sameContent(was.get(slot), is.get(slot))) {
      if (kept !== undefined && stays) wrote[slot] = kept;
      continue;
    }
    delete apart[slot];
    if (stays && dotOf({ ...shifted, wrote: {} }, slot) !== dot) wrote[slot] = dot;
  }
  for (const [slot, kept] of Object.entries(version.wrote ?? {}))
    if (!was.has(slot) && !is.has(slot) && !/[#[]/.test(slot)) wrote[slot] ??= kept;
  return tidy({
    ...shifted,
    wrote: { ...wrote },
    apart,
    handed: (after as Bag)['handedOver'] === undefined ? undefined : seen,
  });
}

/** Of a slot somebody chose for, though its value stays: what stood beside it is settled. */
export function settled(version: RecordVersion, slot: string, dot: Dot): RecordVersion {
  const { [slot]: _, ...apart } = version.apart ?? {};
  return tidy({ ...version, apart, wrote: { ...version.wrote, [slot]: dot } });
}

/** Of a record that is wanted though it was taken out elsewhere. */
export const KEPT = '+';
export const keptOn = (version: RecordVersion, dot: Dot): RecordVersion =>
  tidy({ ...version, deleted: undefined, wrote: { ...version.wrote, [KEPT]: dot } });

/** Without names that hold nothing. */
export function tidy(version: RecordVersion): RecordVersion {
  return Object.fromEntries(
    Object.entries(version).filter(([, value]) =>
      Array.isArray(value)
        ? value.length > 0
        : typeof value === 'object'
          ? Object.keys(value as object).length > 0
          : value !== undefined,
    ),
  ) as unknown as RecordVersion;
}

type Items = readonly unknown[];
const itemsAt = (record: Bag, path: string): Items => {
  const value = path
    .split('.')
    .reduce<unknown>((bag, name) => (bag as Bag | undefined)?.[name], record);
  return Array.isArray(value) ? value : [];
};

/** Births of the lists that changed: items that stayed keep theirs, also when they were edited; new ones get one. */
function birthsAfter(
  version: RecordVersion,
  before: Bag,
  after: Bag,
  dot: Dot,
): Record<string, string[]> {
  const lists = new Set([
    ...slotsOf(before, version).order.keys(),
    ...slotsOf(after, { made: version.made }).order.keys(),
  ]);
  const changed = table<string[]>();
  for (const list of lists) {
    const [was, is] = [itemsAt(before, list), itemsAt(after, list)];
    if (was === is || !isOfThings(list)) continue;
    const known = birthsOf(version, list, was.length);
    const births = alignedBirths(was, is, known, dot);
    if (births.length !== known.length || births.some((birth, i) => birth !== known[i]))
      changed[list] = births;
  }
  return changed;
}

function alignedBirths(was: Items, is: Items, known: readonly string[], dot: Dot): string[] {
  const free = new Set(was.keys());
  const births: (string | undefined)[] = is.map(() => undefined);
  const take = (i: number, fits: (item: unknown) => boolean): void => {
    if (births[i] !== undefined) return;
    for (const at of free)
      if (fits(was[at])) {
        free.delete(at);
        births[i] = known[at];
        return;
      }
  };
  is.forEach((item, i) => take(i, (old) => old === item));
  is.forEach((item, i) => take(i, (old) => sameContent(old, item)));
  /* Edited: the one that was noted at the same moment, or stands at the same place where none came or went. */
  is.forEach((item, i) => take(i, (old) => sameMoment(old, item)));
  if (was.length === is.length)
    is.forEach((_, i) => {
      if (births[i] !== undefined || !free.has(i)) return;
      free.delete(i);
      births[i] = known[i];
    });
  let fresh = 0;
  return births.map((birth) => birth ?? `${dot}/${(fresh += 1)}`);
}

function sameMoment(a: unknown, b: unknown): boolean {
  const [left, right] = [a as Bag, b as Bag];
  const name = ['id', 'at', 'back'].find((each) => typeof right?.[each] === 'string');
  return name !== undefined && left?.[name] === right[name];
}
