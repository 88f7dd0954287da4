import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import {
  partsOfKind,
  listAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { m2Source } from '../standards/links.ts';

/** An M.2 drive against the sockets: kind, key and length, each said where both sides are known. */
export function m2Fits(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  return partsOfKind(plan, 'drive')
    .filter((drive) => textAt(plan, drive, 'form')?.text === 'M.2')
    .flatMap((drive) => {
      const found = [kind(plan, board, drive), key(plan, board, drive), size(plan, board, drive)];
      const said = found.flatMap((each) => each ?? []);
      if (said.length === 0) return [];
      const worst = said.find((each) => !each.fits);
      const mends = worst === undefined || worst.mends;
      return [
        {
          id: `m2-fit:${drive.seat}`,
          station: 'links' as const,
          mark: worst ? (mends ? ('mend' as const) : ('stop' as const)) : ('clear' as const),
          title: `${drive.part.name} in its socket`,
          seats: [drive.seat, 'board'],
          unit: '',
          terms: said.flatMap(({ what, has, takes }) => [
            plain(`${what} of the drive`, has, 0),
            plain(`${what} the socket takes`, takes, 0),
          ]),
          marginLabel: worst ? 'differs' : 'fits',
          say: worst ? worst.say : 'Kind, key and length as far as they are known agree.',
          source: m2Source,
          remedies: [],
          undoMinutes: 15,
        },
      ];
    });
}

interface Agreement {
  what: string;
  has: string;
  takes: string;
  fits: boolean;
  /** A way exists where it does not fit. */
  mends: boolean;
  say: string;
}

function kind(plan: Plan, board: Placed, drive: Placed): Agreement | undefined {
  const has = textAt(plan, drive, 'bus')?.text;
  const takes = listAt(plan, board, 'm2Kinds')?.items;
  if (has === undefined || !takes || takes.length === 0) return undefined;
  return {
    what: 'kind',
    has,
    takes: takes.join(', '),
    fits: takes.includes(has),
    mends: false,
    say: `The socket brings no ${has}: the drive goes in and is never seen.`,
  };
}

/** A drive with both notches goes into either key. */
function key(plan: Plan, board: Placed, drive: Placed): Agreement | undefined {
  const notches = listAt(plan, drive, 'm2Keys')?.items;
  const keys = listAt(plan, board, 'm2Keys')?.items;
  if (!notches || !keys || notches.length === 0 || keys.length === 0) return undefined;
  return {
    what: 'key',
    has: notches.join(' and '),
    takes: keys.join(' or '),
    fits: keys.some((each) => notches.includes(each)),
    mends: false,
    say: `The key of the socket stands where the drive has no notch: do not press.`,
  };
}

function size(plan: Plan, board: Placed, drive: Placed): Agreement | undefined {
  const has = textAt(plan, drive, 'm2Length')?.text;
  const takes = listAt(plan, board, 'm2Lengths')?.items;
  if (has === undefined || !takes || takes.length === 0) return undefined;
  const most = Math.max(...takes.map((each) => Number(each.slice(2))));
  const longer = Number(has.slice(2)) > most;
  return {
    what: 'length',
    has,
    takes: takes.join(', '),
    fits: takes.includes(has),
    mends: !longer,
    say: longer
      ? `The drive is ${Number(has.slice(2)) - most} mm longer than the last standoff.`
      : 'No standoff at that length: an extension bracket, or a drop of tape under its end, no loose drive.',
  };
}
