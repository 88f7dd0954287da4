import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import {
  isApplied,
  listAt,
  numberAt,
  partOfKind,
  partsOfKind,
  textAt,
  type Plan,
} from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import type { FanMount, Wall } from '../model/types/shapes.ts';
import { commonPractice } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';
import { fanOutside } from '../remedies/fanOutside.ts';
import { fanPlaces, takesFan } from '../remedies/fanPlaces.ts';
import { hangRadiator } from '../remedies/hangRadiator.ts';
import { angledDrive } from '../remedies/angledDrive.ts';
import { drivePlaces, mountsOf, otherPlaces } from '../remedies/mounts.ts';
import { moveDrive } from '../remedies/moveDrive.ts';
import { appliedTerms, offer, offerIn } from '../remedies/offer.ts';
import { DRIVE_BEND_MM, drives as sizes } from '../standards/room.ts';
import { otherWalls, radiatorPlace, radiatorThick } from '../remedies/radiatorPlace.ts';

/** A fan without a thickness is one of these, mm: flat ones, the usual, those out of servers (common practice, no source). */
const ANY_FAN = range(15, 38);

/** Walls before which no other sum looks for what a radiator meets. */
const unseen: readonly Wall[] = ['side', 'floor', 'PSU bracket'];

/** A drive with its plugs and their leads' bend against how deep its mount is, where somebody measured that. */
export function driveDepth(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const mounts = mountsOf(plan);
  if (!shell || !mounts?.some(({ deep }) => deep !== undefined)) return [];
  const held = drivePlaces(plan);
  return partsOfKind(plan, 'drive').flatMap((drive) => {
    const mount = held.get(drive.seat);
    const form = textAt(plan, drive, 'form')?.text;
    if (mount?.deep === undefined || (form !== '3.5' && form !== '2.5')) return [];
    const angled = angledDrive({ seat: drive.seat });
    return gap({
      id: `drive-depth:${drive.seat}`,
      station: 'fit',
      title: `${seatName(drive.seat)} with its plugs`,
      seats: [drive.seat, shell.seat],
      unit: 'mm',
      terms: [
        {
          ...plain(`deep at the ${mount.at}`, range(mount.deep), 1),
          input: { partId: shell.part.id, key: 'mounts' as const, seat: shell.seat },
        },
        plain(`${form} in drive`, range(sizes[form].lengthMm), -1),
        plain('plugs and bend', DRIVE_BEND_MM, -1),
        ...appliedTerms(plan, [angled]),
      ],
      minimumMargin: 0,
      source: commonPractice,
      undoMinutes: 15,
      say: (rest, mark) =>
        mark === 'stop'
          ? `Drive and plugs are ${Math.ceil(-rest.hi)} mm too long for that place.`
          : mark === 'clear'
            ? 'It goes in with its plugs and leads.'
            : 'Its plugs may be bent: try it with both leads on.',
      remedies: (rest) => [
        ...(isApplied(plan, angled) ? [] : offerIn(plan, angled, rest, 0)),
        ...otherPlaces(plan, drive).map((to) =>
          offer(plan, moveDrive({ seat: drive.seat, to }), 'watch'),
        ),
      ],
    });
  });
}

/** What hangs on a mount against how deep it is free behind it, where somebody measured that: fans, and the radiator. */
export function mountDepth(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const mounts = shell && listAt(plan, shell, 'fanMounts')?.items;
  if (!shell || !mounts) return [];
  const term = (deep: Range, wall: Wall) => ({
    ...plain(`free behind the ${wall} mounts`, deep, 1),
    input: { partId: shell.part.id, key: 'fanMounts' as const, seat: shell.seat },
  });
  const fans = fanPlaces(plan).flatMap(({ fan, mm, walls: open, outside }) => {
    const [wall] = open;
    if (!wall || open.length > 1 || outside) return [];
    const deep = among(
      mounts.filter(
        (mount) => mount.at === wall && (mm === undefined || takesFan(mount, mm) !== 'no'),
      ),
    );
    if (!deep) return [];
    const thick = numberAt(plan, fan, 'thickness');
    return gap({
      id: `fan-depth:${fan.seat}`,
      station: 'fit',
      title: `${seatName(fan.seat)} on its mount`,
      seats: [fan.seat, shell.seat],
      unit: 'mm',
      terms: [
        term(deep, wall),
        thick
          ? termOf(fan, 'thickness', 'fan', -1, thick)
          : {
              ...plain('fan', ANY_FAN, -1),
              how: 'class' as const,
              input: { partId: fan.part.id, key: 'thickness' as const, seat: fan.seat },
            },
      ],
      minimumMargin: 0,
      short: 'too thick',
      source: commonPractice,
      undoMinutes: 20,
      say: (rest, mark) =>
        mark === 'stop'
          ? `It is ${-rest.hi} mm thicker than what is free there.`
          : mark === 'clear'
            ? 'It goes where it hangs.'
            : 'It depends on which mount it hangs, or how thick it is.',
      remedies: () => [offer(plan, fanOutside({ seat: fan.seat }), 'watch')],
    });
  });
  return [...fans, ...radiatorDepth(plan, mounts, term)];
}

/** What may be free behind mounts nobody measured, mm (common practice, no source). */
const ANY_DEPTH_MM = range(20, 150);

function radiatorDepth(
  plan: Plan,
  mounts: readonly FanMount[],
  term: (deep: Range, wall: Wall) => Finding['terms'][number],
): Finding[] {
  const place = radiatorPlace(plan);
  const [wall] = place?.walls ?? [];
  if (!place || !wall || place.walls.length > 1) return [];
  const deep = among(
    mounts.filter((mount) => mount.at === wall && (!place.size || mount.mm === place.size.mm)),
  );
  if (!deep && !unseen.includes(wall)) return [];
  return [
    gap({
      id: 'radiator-depth',
      station: 'fit',
      title: 'radiator on its mounts, how deep',
      seats: [place.cooler.seat, 'case'],
      unit: 'mm',
      /* It lies over several mounts: the shallowest counts. */
      terms: [
        deep ? term(range(deep.lo), wall) : { ...term(ANY_DEPTH_MM, wall), how: 'class' as const },
        radiatorThick(plan, place.cooler),
      ],
      minimumMargin: 0,
      short: 'too thick',
      source: commonPractice,
      undoMinutes: 60,
      say: (rest, mark) =>
        mark === 'stop'
          ? `With its fans it is ${-rest.hi} mm thicker than what is free there.`
          : mark === 'clear'
            ? 'With its fans it goes where it hangs.'
            : 'How thick it is with its fans decides, and whether they are on one side or both.',
      remedies: () =>
        otherWalls(plan).map((to) => offer(plan, hangRadiator({ seat: 'cooler', to }), 'watch')),
    }),
  ];
}

/** Depths of mounts that are one as good as another; undefined where one of them was not measured. */
function among(mounts: readonly FanMount[]): Range | undefined {
  const depths = mounts.flatMap(({ deep }) => deep ?? []);
  if (depths.length === 0 || depths.length < mounts.length) return undefined;
  return range(Math.min(...depths), Math.max(...depths));
}
