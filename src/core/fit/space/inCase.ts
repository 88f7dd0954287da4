import { partsOfKind, isApplied, partOfKind, textAt, type Plan } from '../../model/lookup/plan.ts';
import { driveSize, box } from './onBoard.ts';
import type { Box } from './box.ts';
import { supplyFormat } from '../../standards/room.ts';
import { range } from '../../units/range.ts';
import {
  beyond,
  coord,
  flipped,
  measure,
  origin,
  usual,
  type Coord,
  type NumberTerm,
} from './coord.ts';
import { cageOut } from '../../remedies/cageOut.ts';
import { radiatorPlace, radiatorThick } from '../../remedies/radiatorPlace.ts';
import { fanPlaces } from '../../remedies/fanPlaces.ts';
import { drivePlaces, mountsOf } from '../../remedies/mounts.ts';
import { turnSupply } from '../../remedies/turnSupply.ts';
import type { Places } from './places.ts';
import type { SeatId } from '../../model/types/names.ts';

/** Room the plugs of a supply and their bend need, mm (common practice, no source). */
const SUPPLY_BEND = range(20, 35);

/** The supply where its bay is, with its plugs toward the room the bay leaves, or turned round. */
export function supplyBoxes(plan: Plan, at: Places): Box[] {
  const supply = partOfKind(plan, 'supply');
  const format = supply && supplyFormat(textAt(plan, supply, 'format')?.text);
  const depth = supply && measure(plan, supply, 'depth', 'PSU');
  if (!supply || !format || !depth) return [];
  const height = usual('height of the PSU', range(format.heightMm));
  const width = usual('width of the PSU', range(format.widthMm));
  const near = usual('wall to the PSU', range(1, 6));
  const bend = usual('plugs and bend', SUPPLY_BEND);
  const turned = isApplied(plan, turnSupply());
  const under = beyond(origin, usual('lid to the PSU', range(2, 25)));
  const from = (start: Coord, term: typeof height): [Coord, Coord] => [start, beyond(start, term)];
  const upTo = (end: Coord, term: typeof height): [Coord, Coord] => [
    beyond(end, flipped(term)),
    end,
  ];
  const boxes = (sides: Pick<Box, 'x' | 'y' | 'w'>, plugs: Partial<Pick<Box, 'x' | 'y' | 'w'>>) => [
    box(supply, 'body', 'PSU', sides),
    box(supply, 'bend', 'PSU plugs', { ...sides, ...plugs }),
  ];
  switch (at.supplyAt) {
    case 'above the board':
    case 'below the board': {
      const below = at.supplyAt === 'below the board';
      if (below && !at.bottomY) return [];
      const y = below
        ? upTo(beyond(at.bottomY as Coord, flipped(near)), height)
        : from(coord(near), height);
      const x = from(coord(usual('rear wall', range(0, 1))), depth);
      return boxes({ x, y, w: from(under, width) }, { x: from(x[1], bend) });
    }
    case 'in front of the board': {
      if (!at.frontX || !at.trayW) return [];
      const y = from(coord(near), depth);
      const sides = {
        x: upTo(beyond(at.frontX, flipped(near)), width),
        y,
        w: upTo(beyond(at.trayW, flipped(near)), height),
      };
      return boxes(sides, { y: turned ? upTo(y[0], bend) : from(y[1], bend) });
    }
    case 'over the board': {
      const x = from(coord(usual('rear wall', range(0, 1))), depth);
      const y = from(coord(near), width);
      return boxes(
        { x, y, w: from(origin, height) },
        { x: turned ? upTo(x[0], bend) : from(x[1], bend) },
      );
    }
    default:
      return [];
  }
}

/** Drives where they are screwed down. */
export function driveBoxes(plan: Plan, at: Places, wanted?: SeatId): Box[] {
  const drives = partsOfKind(plan, 'drive');
  if (drives.length === 0) return [];
  const held = mountsOf(plan) && drivePlaces(plan);
  const usually = held ? undefined : usualPlace(plan, at);
  const drop = measure(plan, at.shell, 'bracketDrop', 'drive on the bracket');
  const what = held ? 'body' : 'guess';
  return drives.flatMap((drive, i) => {
    if (wanted && wanted !== drive.seat) return [];
    const form = textAt(plan, drive, 'form')?.text;
    if (form !== '3.5' && form !== '2.5') return [];
    const place = held ? held.get(drive.seat)?.at : usually;
    const size = driveSize(form);
    const name = `drive ${i + 1}`;
    const thick = measure(plan, drive, 'height', 'drive') ?? usual('drive', range(size.heightMm));
    if (place === 'bracket' && drop) {
      const round = usual('bracket', range(45));
      return box(drive, what, name, {
        x: [beyond(at.socketX, flipped(round)), beyond(at.socketX, round)],
        y: [beyond(at.socketY, flipped(round)), beyond(at.socketY, round)],
        w: [origin, coord(drop)],
      });
    }
    if (place === 'cage' && at.cardEndX) {
      const y = beyond(at.slotY, usual('slot to the cage', range(0, 20)));
      return box(drive, what, name, {
        x: [at.cardEndX, beyond(at.cardEndX, usual('drive', range(size.lengthMm)))],
        y: [y, beyond(y, thick)],
        w: [
          coord(usual('lid to the drive', range(2, 30))),
          coord(usual('lid to the drive', range(size.widthMm + 2, size.widthMm + 30))),
        ],
      });
    }
    if (place === 'floor' && at.bottomY) {
      const end = beyond(at.bottomY, usual('floor', range(0, 4), -1));
      return box(drive, what, name, {
        x: [
          coord(usual('rear wall to the drive', range(130, 160))),
          coord(usual('rear wall to the drive', range(130 + size.lengthMm, 160 + size.lengthMm))),
        ],
        y: [beyond(end, flipped(thick)), end],
        w: [
          coord(usual('lid to the drive', range(5, 40))),
          coord(usual('lid to the drive', range(size.widthMm + 5, size.widthMm + 40))),
        ],
      });
    }
    return [];
  });
}

/** While nobody listed the mounts: in the cage if there is one, else on the floor. */
const usualPlace = (plan: Plan, at: Places) =>
  at.cageEndX !== at.cardEndX && !isApplied(plan, cageOut()) ? 'cage' : 'floor';

/**
 * Rear fans stand at the processor's height over the shield, front ones at the front wall. A fan whose wall
 * nobody said is drawn at the front and judged nowhere; one on another wall, or outside, takes no room here.
 */
export function fanBoxes(plan: Plan, at: Places): Box[] {
  const wall = measure(plan, at.shell, 'innerDepth', 'depth inside');
  const front = wall ? coord(wall) : at.cageEndX;
  const places = fanPlaces(plan);
  /* The first of those at the front stands before the card; where more hang is a guess. */
  const first = places.findIndex((each) => each.walls.includes('front'));
  return places.flatMap(({ fan, walls, outside }, i) => {
    const size = measure(plan, fan, 'size', 'fan');
    const half = measure(plan, fan, 'size', 'half the fan', 1, 0.5);
    const thick =
      measure(plan, fan, 'thickness', 'thickness of the fan') ??
      usual('thickness of the fan', range(25));
    if (!size || !half) return [];
    const name = fan.seat.replace('fan', 'fan ');
    const under = usual('lid to the fan', range(5, 15));
    if (walls.length === 1 && walls[0] === 'rear') {
      return box(fan, 'body', name, {
        x: [origin, coord(thick)],
        y: [beyond(at.socketY, flipped(half)), beyond(at.socketY, half)],
        w: [coord(under), coord(under, size)],
      });
    }
    if (!front || outside || !walls.includes('front')) return [];
    return box(fan, walls.length === 1 && first === i && wall ? 'body' : 'guess', name, {
      x: [beyond(front, flipped(thick)), front],
      y: [
        beyond(at.slotY, usual('slot to the fan', range(60, 90), -1)),
        beyond(at.slotY, usual('slot to the fan', range(30, 60))),
      ],
      w: [coord(under), coord(under, size)],
    });
  });
}

/** How far a radiator reaches along the wall past the slot's height, toward the ports, mm (common practice, no source). */
const PAST_SLOT_MM = 60;

/**
 * A radiator with its fans inside the front takes from the card's room, one at the rear stands over the ports.
 * Where it may hang on several walls it is drawn at the first and judged nowhere; under the top it is a sum of its own.
 */
export function radiatorBoxes(plan: Plan, at: Places): Box[] {
  const place = radiatorPlace(plan);
  const front = at.cageEndX;
  if (!place) return [];
  const { cooler, size, walls } = place;
  const sure = walls.length === 1;
  const [wall] = sure ? walls : walls.filter((each) => each === 'front');
  const thick = [flipped(radiatorThick(plan, cooler) as NumberTerm)];
  const under = usual('lid to the radiator', range(5, 20));
  const wide = coord(under, usual('radiator', size ? range(size.widthMm) : range(120, 140)));
  const long = size ? range(size.lengthMm) : range(157, 455);
  const what = sure ? 'furniture' : 'guess';
  if (wall === 'front' && front)
    return [
      box(cooler, what, 'radiator', {
        x: [beyond(front, ...thick.map(flipped)), front],
        y: [
          beyond(
            at.slotY,
            usual('radiator', range(long.lo - PAST_SLOT_MM, long.hi - PAST_SLOT_MM), -1),
          ),
          beyond(at.slotY, usual('radiator', range(PAST_SLOT_MM))),
        ],
        w: [coord(under), wide],
      }),
    ];
  if (wall !== 'rear') return [];
  const half = usual('half the radiator', range(long.lo / 2, long.hi / 2));
  return [
    box(cooler, what, 'radiator', {
      x: [origin, coord(...thick)],
      y: [beyond(at.socketY, flipped(half)), beyond(at.socketY, half)],
      w: [coord(under), wide],
    }),
  ];
}

/** The cage, while it is in: what a card's room ends at. */
export function cageBox(plan: Plan, at: Places): Box[] {
  const gain = measure(plan, at.shell, 'cageGain', 'cage out');
  if (!gain || !at.cardEndX || !at.cageEndX || isApplied(plan, cageOut())) return [];
  return [
    box(at.shell, 'furniture', 'cage', {
      x: [at.cardEndX, at.cageEndX],
      y: [
        beyond(at.slotY, usual('slot to the cage', range(10), -1)),
        beyond(at.slotY, usual('slot to the cage', range(90))),
      ],
      w: [coord(usual('lid to the cage', range(2))), coord(usual('lid to the cage', range(120)))],
    }),
  ];
}
