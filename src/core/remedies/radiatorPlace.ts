import {
  appliedOf,
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
import type { Term } from '../findings/finding.ts';
import { plain, termOf } from '../findings/terms.ts';
import { radiator as usual, radiatorSizes, type RadiatorSize } from '../standards/room.ts';
import { add, range } from '../units/range.ts';

/** Where a radiator hangs: every wall it may hang on, as long as nobody said which. */
export interface RadiatorPlace {
  cooler: Placed;
  /** Undefined: nobody said how long it is. */
  size: RadiatorSize | undefined;
  walls: readonly Wall[];
  /** Walls with mounts enough for it, where the mounts of the case were listed. */
  carry: readonly Wall[] | undefined;
}

/** Walls a radiator of so many fans may hang on where nobody listed mounts: more than one fan finds no room at the rear. */
const usualWalls = (fans: number): readonly Wall[] =>
  usualFanWalls.filter((wall) => wall !== 'lid' && (wall !== 'rear' || fans === 1));

/** The radiator of a plan with the walls it may hang on: moved, said, or by the mounts listed. */
export const radiatorPlace = keptByReads((plan: Plan): RadiatorPlace | undefined => {
  const cooler = partOfKind(plan, 'cooler');
  if (!cooler || textAt(plan, cooler, 'class')?.text !== 'radiator') return undefined;
  const size = radiatorSizes[textAt(plan, cooler, 'radiator')?.text ?? ''];
  const shell = partOfKind(plan, 'case');
  const mounts = shell && listAt(plan, shell, 'fanMounts')?.items;
  const carry = mounts && carrying(mounts, size);
  const [moved] = appliedOf(plan, 'hangRadiator');
  const told = moved?.to ?? textAt(plan, cooler, 'wall')?.text;
  const said = walls.find((wall) => wall === told);
  return {
    cooler,
    size,
    walls: said ? [said] : (carry ?? usualWalls(size?.fans ?? 1)),
    carry,
  };
});

/** Walls with as many mounts of its fans as it is long; of one nobody measured, walls with any it could have. */
function carrying(mounts: readonly FanMount[], size: RadiatorSize | undefined): Wall[] {
  const enough = ({ fans, mm }: RadiatorSize, wall: Wall) =>
    mounts.filter((mount) => mount.at === wall && mount.mm === mm).length >= fans;
  const sizes = size ? [size] : Object.values(radiatorSizes);
  return walls.filter((wall) => sizes.some((each) => enough(each, wall)));
}

/** How thick it is with its fans: measured as a whole, else by what is usual, with fans on one side or on both. */
export function radiatorThick(plan: Plan, cooler: Placed): Term {
  const told = numberAt(plan, cooler, 'thickness');
  if (told) return termOf(cooler, 'thickness', 'radiator with its fans', -1, told);
  const sides = textAt(plan, cooler, 'fansOn')?.text;
  const fans =
    sides === 'both sides'
      ? range(2 * usual.fanMm)
      : sides === 'one side'
        ? range(usual.fanMm)
        : range(usual.fanMm, 2 * usual.fanMm);
  return {
    ...plain('radiator with its fans', add(usual.depthMm, fans), -1),
    how: 'class',
    input: { partId: cooler.part.id, key: 'thickness', seat: cooler.seat },
  };
}

/** Fans of its own it has where it hangs: those of the plan that hang there are its fans, too. */
export function radiatorFans(
  plan: Plan,
):
  | { mm: number; count: number; walls: readonly Wall[]; blows: 'in' | 'out' | 'either' }
  | undefined {
  const place = radiatorPlace(plan);
  if (!place?.size) return undefined;
  const { cooler, size, walls: open } = place;
  const listed = partsOfKind(plan, 'fan').filter((fan) => {
    const wall = textAt(plan, fan, 'wall')?.text;
    return numberAt(plan, fan, 'size')?.lo === size.mm && open.some((each) => each === wall);
  }).length;
  const way = textAt(plan, cooler, 'blows')?.text;
  return {
    mm: size.mm,
    count: Math.max(0, size.fans - listed),
    walls: open,
    blows: way === 'in' || way === 'out' ? way : 'either',
  };
}

/** Walls it could hang on instead of where it is. */
export function otherWalls(plan: Plan): readonly Wall[] {
  const place = radiatorPlace(plan);
  const now = place && place.walls.length === 1 ? place.walls[0] : undefined;
  return (place?.carry ?? []).filter((wall) => wall !== now);
}
