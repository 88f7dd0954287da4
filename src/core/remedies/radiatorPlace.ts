import {
  appliedOf,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { keptByReads } from '../model/lookup/reads.ts';
import { walls, type FanMount, type Wall } from '../model/types/shapes.ts';
import { radiatorSizes, type RadiatorSize } from '../standards/room.ts';

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
  walls.filter((wall) => wall !== 'lid' && (wall !== 'rear' || fans === 1));

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

/** Walls it could hang on instead of where it is. */
export function otherWalls(plan: Plan): readonly Wall[] {
  const place = radiatorPlace(plan);
  const now = place && place.walls.length === 1 ? place.walls[0] : undefined;
  return (place?.carry ?? []).filter((wall) => wall !== now);
}
