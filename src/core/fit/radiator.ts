import type { Finding, Remedy } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf, wordOf } from '../findings/terms.ts';
import { listAt, numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import type { RadiatorSize } from '../standards/room.ts';
import { hangRadiator } from '../remedies/hangRadiator.ts';
import { offer } from '../remedies/offer.ts';
import {
  otherWalls,
  radiatorPlace,
  radiatorThick,
  type RadiatorPlace,
} from '../remedies/radiatorPlace.ts';

/** A radiator on the mounts of one wall, and its thickness under the top. */
export function radiators(plan: Plan): Finding[] {
  const place = radiatorPlace(plan);
  const shell = partOfKind(plan, 'case');
  return place && shell ? [...mounts(plan, place), ...underTop(plan, place)] : [];
}

function mounts(plan: Plan, { cooler, size, walls, carry }: RadiatorPlace): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell) return [];
  const listed = listAt(plan, shell, 'fanMounts')?.items;
  const long = textAt(plan, cooler, 'radiator');
  const there = carry?.filter((wall) => walls.includes(wall)) ?? [];
  const known = listed !== undefined && size !== undefined;
  const mark = !known ? 'watch' : there.length > 0 ? 'clear' : 'stop';
  return [
    {
      id: 'radiator-mount',
      station: 'fit',
      mark,
      title: 'radiator on its mounts',
      seats: ['cooler', 'case'],
      unit: '',
      terms: [
        { ...wordOf(cooler, 'radiator', 'radiator', long), value: long?.text ?? '?', sign: 0 },
        {
          ...plain(
            'mounts',
            listed?.map(({ at, mm }) => `${at} ${mm}`).join(', ') || (listed ? 'none' : '?'),
            0,
          ),
          input: { partId: shell.part.id, key: 'fanMounts', seat: 'case' },
        },
      ],
      marginLabel: !known ? 'not known' : there.length > 0 ? there.join(' or ') : 'no wall for it',
      say: !known
        ? 'Which fan mounts the case has, and how long the radiator is, decide where it hangs.'
        : there.length > 0
          ? `It hangs at the ${there.join(' or the ')}.`
          : `No wall has ${wordsOf(size)} beside each other${walls.length === 1 && (carry?.length ?? 0) > 0 ? ` at the ${walls[0]}` : ''}.`,
      source: commonPractice,
      remedies: mark === 'stop' ? elsewhere(plan) : [],
      undoMinutes: 60,
    },
  ];
}

const wordsOf = (size: RadiatorSize | undefined): string =>
  size ? `${size.fans === 1 ? 'a mount' : `${size.fans} mounts`} of ${size.mm} mm` : 'mounts';

/** Under the top it hangs over the board: with its fans it must not reach the sinks, the RAM or the cooler's block. */
function underTop(plan: Plan, { cooler, walls }: RadiatorPlace): Finding[] {
  const shell = partOfKind(plan, 'case');
  if (!shell || walls.length !== 1 || walls[0] !== 'top') return [];
  const room = numberAt(plan, shell, 'topRoom');
  if (!room) return [];
  return [
    gap({
      id: 'radiator-top',
      station: 'fit',
      title: 'radiator under the top',
      seats: ['cooler', 'case', 'board'],
      unit: 'mm',
      terms: [termOf(shell, 'topRoom', 'top to the board', 1, room), radiatorThick(plan, cooler)],
      minimumMargin: 0,
      short: 'into the board',
      source: commonPractice,
      undoMinutes: 60,
      say: (_, mark) =>
        mark === 'clear'
          ? 'It hangs clear of the board.'
          : mark === 'stop'
            ? 'With its fans it reaches over the board, into sinks, RAM or the CPU plug.'
            : 'Measure from the top mounts to the upper edge of the board.',
      remedies: () => elsewhere(plan),
    }),
  ];
}

const elsewhere = (plan: Plan): Remedy[] =>
  otherWalls(plan).map((to) => offer(plan, hangRadiator({ seat: 'cooler', to }), 'watch'));
