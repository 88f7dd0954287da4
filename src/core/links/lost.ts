import type { NumberKey } from '../model/properties/index.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { listOf, numberOf } from '../model/lookup/lookup.ts';
import { partsOfKind, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { behind, goesOfKind } from '../model/lookup/reads.ts';
import type { Part, Shop } from '../model/types/types.ts';
import { commonPractice } from '../standards/source.ts';
import { range, type Range } from '../units/range.ts';

/** What a board offers, and what of it a plan uses as far as that can be counted. */
const offers: readonly { key: NumberKey; label: string; used?: (plan: Plan) => number }[] = [
  { key: 'memorySlots', label: 'RAM slots', used: (plan) => partsOfKind(plan, 'memory').length },
  { key: 'x16', label: 'card slots', used: (plan) => partsOfKind(plan, 'card').length },
  { key: 'm2', label: 'M.2 sockets' },
  { key: 'sata', label: 'drive ports' },
  { key: 'screens', label: 'screen outputs' },
  { key: 'channels', label: 'RAM channels' },
  { key: 'usbHeaders', label: 'USB headers' },
  { key: 'phases', label: 'power phases' },
];

/** What is lost by another board: ports, slots, headers and phases, each with what it had and has. */
export function lost(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const was = goesOfKind(plan, 'board')[0]?.part;
  if (!board || !was || board.state === 'stays') return [];
  const counted = [
    ...offers.flatMap(({ key, label, used }) => {
      const [had, has] = [
        numberOf(behind(plan), was, key),
        numberOf(behind(plan), board.part, key),
      ];
      return had && has ? [{ label, had, has, used: used?.(plan) ?? 0 }] : [];
    }),
    ...headers(behind(plan), was, board.part),
  ];
  const fewer = counted.filter(({ had, has }) => has.hi < had.lo);
  if (counted.length === 0) return [];
  const short = fewer.filter(({ has, used }) => has.hi < used);
  const terms = (fewer.length > 0 ? fewer : counted).map(({ label, had, has }): Term =>
    plain(label, `${figure(had)}, then ${figure(has)}`, 0),
  );
  const names = fewer.map(({ label }) => label).join(', ');
  return [
    {
      id: 'board-lost',
      station: 'links',
      mark: short.length > 0 ? 'stop' : fewer.length > 0 ? 'watch' : 'clear',
      title: 'what the other board lacks',
      seats: ['board'],
      unit: '',
      terms,
      marginLabel: fewer.length > 0 ? `${fewer.length} fewer` : 'nothing lost',
      say:
        short.length > 0
          ? `${was.name} had more, and the plan needs it: ${short.map(({ label }) => label).join(', ')}.`
          : fewer.length > 0
            ? `Fewer than on ${was.name}: ${names}. Count what depends on them before it goes.`
            : `Nothing counted is fewer than on ${was.name}.`,
      source: commonPractice,
      remedies: [],
      undoMinutes: 60,
    },
  ];
}

/** Fan headers are listed, not counted. */
function headers(shop: Shop, was: Part, now: Part) {
  const count = (part: Part) => listOf(shop, part, 'fanHeaders')?.items.length;
  const [had, has] = [count(was), count(now)];
  return had === undefined || has === undefined
    ? []
    : [{ label: 'fan headers', had: range(had), has: range(has), used: 0 }];
}

const figure = ({ lo, hi }: Range): string => (lo === hi ? String(lo) : `${lo} to ${hi}`);
