import type { Finding, Remedy } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { indexOf, numberOf, standingOf, textOf } from '../model/lookup/lookup.ts';
import {
  partsOfKind,
  appliedOf,
  listAt,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import type { Part } from '../model/types/types.ts';
import { BARE, firmwareFirst } from '../remedies/firmwareFirst.ts';
import { offer } from '../remedies/offer.ts';
import { commonPractice } from '../standards/source.ts';

/** Does the firmware know this processor, show a picture with this card, start from this drive? */
export function firmware(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  return [...knows(plan, board), ...shows(plan, board), ...startsFrom(plan, board)];
}

/** The generation of the processor against what the board's maker lists, now and ever. */
function knows(plan: Plan, board: Placed): Finding[] {
  const processor = partOfKind(plan, 'processor');
  if (!processor) return [];
  const socket = textAt(plan, processor, 'socket')?.text;
  const same = socket !== undefined && socket === textAt(plan, board, 'socket')?.text;
  const generation = numberAt(plan, processor, 'generation');
  const ever = listAt(plan, board, 'generations')?.items;
  const now = listAt(plan, board, 'generationsNow')?.items;
  if (!same || (!generation && !ever && !now)) return [];
  const of = generation?.lo === generation?.hi ? generation?.lo : undefined;
  const is = (list: readonly string[] | undefined) =>
    of === undefined || list === undefined ? undefined : list.includes(String(of));
  const known = is(now);
  const listed = known ? true : is(ever);
  const term = (label: string, list: readonly string[] | undefined) =>
    plain(label, list && list.length > 0 ? list.join(', ') : '?', 0);
  const base = {
    id: 'firmware',
    station: 'links' as const,
    title: 'does the firmware know the CPU?',
    seats: ['processor', 'board'],
    unit: '',
    terms: [
      plain('generation of the CPU', of === undefined ? '?' : String(of), 0),
      term('the firmware knows now', now),
      term('the board can ever know', ever),
    ],
    source: commonPractice,
    undoMinutes: 60,
  };
  if (known)
    return [
      {
        ...base,
        mark: 'clear',
        marginLabel: 'known',
        say: 'The firmware on it knows it.',
        remedies: [],
      },
    ];
  if (listed === false)
    return [
      {
        ...base,
        mark: 'stop',
        marginLabel: 'never',
        say: `The board's maker lists no CPU of generation ${of}: the socket fits, the firmware never will.`,
        remedies: [],
      },
    ];
  if (appliedOf(plan, 'firmwareFirst').length > 0)
    return [
      {
        ...base,
        mark: 'watch',
        marginLabel: 'to be written first',
        say: 'New firmware is written before this CPU goes in: a step of the work order.',
        remedies: [],
      },
    ];
  const ways = now === undefined && listed === undefined ? [] : waysToWrite(plan, board, now ?? []);
  if (known === false && listed)
    return [
      {
        ...base,
        mark: 'mend',
        marginLabel: 'too old',
        say:
          ways.length > 0
            ? 'The firmware on it is older than the CPU: write a new one first.'
            : 'The firmware on it is older than the CPU, and nothing here starts it: an older CPU has to be lent.',
        remedies: ways,
      },
    ];
  return [
    {
      ...base,
      mark: 'watch',
      marginLabel: 'not known',
      say: listed
        ? 'It is on the list; from which firmware on, the list says too. Read what is on the board.'
        : "Look in the board maker's list before the CPU goes in.",
      remedies: ways,
    },
  ];
}

/** An older processor that goes into the socket and is known now; or none needed. */
function waysToWrite(plan: Plan, board: Placed, now: readonly string[]): Remedy[] {
  if (textAt(plan, board, 'flashBare')?.text === 'yes')
    return [offer(plan, firmwareFirst({ older: BARE }), 'watch')];
  const [older] = olderProcessors(plan, board, now);
  return older ? [offer(plan, firmwareFirst({ older: older.id }), 'watch')] : [];
}

function olderProcessors(plan: Plan, board: Placed, now: readonly string[]): Part[] {
  const { shop } = plan;
  const socket = textAt(plan, board, 'socket')?.text;
  const homes = indexOf(shop).homeOf;
  return shop.parts
    .filter((part) => {
      if (part.kind !== 'processor' || part.place === 'gone') return false;
      if (standingOf(shop, part).condition === 'dead' || part.loan) return false;
      const state = homes.get(part.id)?.state;
      if (state === 'in use' || state === 'offered') return false;
      const generation = numberOf(shop, part, 'generation');
      const told = generation && generation.lo === generation.hi ? String(generation.lo) : '';
      return textOf(shop, part, 'socket')?.text === socket && now.includes(told);
    })
    .sort((a, b) => Number(homes.has(a.id)) - Number(homes.has(b.id)) || a.id.localeCompare(b.id));
}

/** A card of old firmware on a board that starts the UEFI way only stays dark until the system is up. */
function shows(plan: Plan, board: Placed): Finding[] {
  const way = textAt(plan, board, 'starts')?.text;
  const own = partOfKind(plan, 'processor');
  const graphics = own && textAt(plan, own, 'graphics')?.text === 'yes';
  return partsOfKind(plan, 'card').flatMap((card): Finding[] => {
    const has = textAt(plan, card, 'starts')?.text;
    const screens = numberAt(plan, card, 'screens');
    if (way === undefined || has === undefined || !screens || screens.hi === 0) return [];
    const fits = way === 'both' || has === 'both' || way === has;
    return [
      {
        id: `card-start:${card.seat}`,
        station: 'links',
        mark: fits ? 'clear' : graphics ? 'watch' : 'stop',
        title: `a picture of ${card.part.name} at the start`,
        seats: [card.seat, 'board'],
        unit: '',
        terms: [plain('the board starts', way, 0), plain('firmware of the card', has, 0)],
        marginLabel: fits ? 'joins' : 'dark at the start',
        say: fits
          ? 'Board and card speak the same firmware.'
          : graphics
            ? "The card shows nothing before the system is up: set the board up on the CPU's own picture, or switch its way of starting."
            : 'The card shows nothing before the system is up, and there is no other picture to set the board up with.',
        source: commonPractice,
        remedies: [],
        undoMinutes: 30,
      },
    ];
  });
}

/** The only drives of a plan must be of a kind the board starts from. */
function startsFrom(plan: Plan, board: Placed): Finding[] {
  const from = listAt(plan, board, 'startsFrom')?.items;
  const drives = partsOfKind(plan, 'drive').flatMap((drive) => {
    const bus = textAt(plan, drive, 'bus')?.text;
    const form = textAt(plan, drive, 'form')?.text;
    const kind = bus ?? (form === '3.5' || form === '2.5' ? 'SATA' : undefined);
    return kind === undefined ? [] : [{ drive, kind }];
  });
  if (!from || from.length === 0 || drives.length === 0) return [];
  const good = drives.filter(({ kind }) => from.includes(kind));
  return [
    {
      id: 'starts-from',
      station: 'links',
      mark: good.length > 0 ? 'clear' : 'mend',
      title: 'a drive it can start from',
      seats: ['board', ...drives.map(({ drive }) => drive.seat)],
      unit: '',
      terms: [
        plain('the board starts from', from.join(', '), 0),
        ...drives.map(({ drive, kind }) => plain(drive.part.name, kind, 0)),
      ],
      marginLabel: good.length > 0 ? 'starts' : 'none',
      say:
        good.length > 0
          ? `It starts from ${good[0]?.drive.part.name}.`
          : `It sees ${drives[0]?.drive.part.name} only once a system is up: let a small drive it can start from hand over, or put the system there.`,
      source: commonPractice,
      remedies: [],
      undoMinutes: 40,
    },
  ];
}
