import {
  isApplied,
  listAt,
  numberAt,
  partOfKind,
  partsOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { keptByReads } from '../model/lookup/reads.ts';
import { usualFanWalls, walls, type FanMount, type Wall } from '../model/types/shapes.ts';
import { fanOutside } from './fanOutside.ts';

/** Where a fan hangs: every wall it may hang on, as long as nobody said which. */
export interface FanPlace {
  fan: Placed;
  /** Undefined: no size was said. */
  mm: number | undefined;
  /** One: it hangs there. None: there is no mount for it among those listed. */
  walls: readonly Wall[];
  /** Screwed on from outside. */
  outside: boolean;
  blows: 'in' | 'out' | 'either';
}

/** Walls whose fans blow in, where nobody said otherwise, and those whose fans blow out (common practice, no source). */
const inward: readonly Wall[] = ['front', 'floor', 'side'];

/** A fan also goes on the next larger mount, which mostly has holes for both. */
export const takesFan = (mount: FanMount, mm: number): 'yes' | 'perhaps' | 'no' =>
  mount.mm === mm ? 'yes' : mount.mm > mm && mount.mm - mm <= 20 ? 'perhaps' : 'no';

/**
 * Where every fan of the plan hangs, by what was said of it and by the mounts of the case. Fans of one size are
 * alike: where they fill every mount of their size they hang on those, whichever is which.
 */
export const fanPlaces = keptByReads((plan: Plan): FanPlace[] => {
  const shell = partOfKind(plan, 'case');
  const mounts = shell && listAt(plan, shell, 'fanMounts')?.items;
  const fans = partsOfKind(plan, 'fan').map((fan) => {
    const told = numberAt(plan, fan, 'size');
    const mm = told && told.lo === told.hi ? told.lo : undefined;
    const said = walls.find((wall) => wall === textAt(plan, fan, 'wall')?.text);
    return { fan, mm, said };
  });
  const filled = mounts ? fill(mounts, fans) : new Map<Placed, Wall>();
  return fans.map(({ fan, mm, said }) => {
    const there = mounts?.filter((mount) => mm === undefined || takesFan(mount, mm) !== 'no');
    const wall = said ?? filled.get(fan);
    const open = wall
      ? [wall]
      : there
        ? [...new Set(there.map(({ at }) => at))]
        : [...usualFanWalls];
    const way = textAt(plan, fan, 'blows')?.text;
    return {
      fan,
      mm,
      walls: open,
      outside: isApplied(plan, fanOutside({ seat: fan.seat })),
      blows: way === 'in' || way === 'out' ? way : usualWay(open),
    };
  });
});

/** Fans without a word about their wall that, of their size, fill all mounts left. */
function fill(
  mounts: readonly FanMount[],
  fans: readonly { fan: Placed; mm: number | undefined; said: Wall | undefined }[],
): Map<Placed, Wall> {
  const hung = new Map<Placed, Wall>();
  for (const mm of new Set(fans.flatMap((each) => each.mm ?? []))) {
    const free = mounts.filter((mount) => mount.mm === mm);
    const own = fans.filter((each) => each.mm === mm);
    for (const { said } of own) {
      const at = free.findIndex((mount) => mount.at === said);
      if (at >= 0) free.splice(at, 1);
    }
    const open = own.filter(({ said }) => said === undefined);
    if (open.length < free.length) continue;
    free.forEach((mount, i) => {
      const each = open[i];
      if (each) hung.set(each.fan, mount.at);
    });
  }
  return hung;
}

function usualWay(open: readonly Wall[]): FanPlace['blows'] {
  if (open.length === 0) return 'either';
  if (open.every((wall) => inward.includes(wall))) return 'in';
  return open.every((wall) => !inward.includes(wall) && wall !== 'PSU bracket') ? 'out' : 'either';
}
