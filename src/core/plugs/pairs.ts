import type { FactKey } from '../model/properties/index.ts';
import type { Finding, Mark } from '../findings/finding.ts';
import { wordOf } from '../findings/terms.ts';
import type { ResolvedText } from '../model/lookup/lookup.ts';
import { plugIn, plugNameIn } from '../model/lookup/ownPlugs.ts';
import type { Placed, Plan } from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { commonPractice } from '../standards/source.ts';
import { adapterFor } from './adapters.ts';
import { mate, type Keys, type Mating, type Verdict } from './mate/index.ts';
import { offer } from '../remedies/offer.ts';
import { plugAdapter } from '../remedies/plugAdapter.ts';

/** One plug of the plan pushed onto one socket of it. */
export interface Pair {
  id: string;
  title: string;
  plug: { id: string; placed: Placed; key: FactKey; told?: ResolvedText | undefined };
  socket: { id: string; placed: Placed; key: FactKey; told?: ResolvedText | undefined };
  keys?: Keys;
  undoMinutes?: number;
}

const marks: Record<Verdict, Mark> = {
  right: 'clear',
  partly: 'watch',
  unknown: 'watch',
  'does not fit': 'mend',
  wrong: 'stop',
  burns: 'stop',
};

const rests: Record<Verdict, string> = {
  right: 'fits and right',
  partly: 'fits in part',
  unknown: 'order not known',
  'does not fit': 'does not fit',
  wrong: 'fits and is wrong',
  burns: 'fits and burns',
};

/** Fits and right, fits and burns, does not fit: with what meets what. A proved adapter of the plan settles it. */
export function pairFinding(plan: Plan, pair: Pair): Finding {
  const [plug, socket] = [
    plugIn(plugsOf(plan), pair.plug.id),
    plugIn(plugsOf(plan), pair.socket.id),
  ];
  const name = (id: string) => plugNameIn(plugsOf(plan), id);
  const meeting: Mating =
    plug && socket
      ? mate(plug, socket, pair.keys)
      : { verdict: 'unknown', placement: undefined, contacts: [], says: [] };
  const adapter = adapterFor(plan, pair.plug.id, pair.socket.id);
  /* Wrong and of another size, nobody takes one for the other: an adapter mends it. Of one size it is a trap. */
  const unlike = meeting.verdict === 'wrong' && plug?.ways !== socket?.ways;
  const mark = adapter?.mark ?? (unlike ? 'mend' : marks[meeting.verdict]);
  const side = ({ placed, key, id, told }: Pair['plug'], label: string) => ({
    ...wordOf(placed, key, label, told),
    value: name(id),
    sign: 0 as const,
  });
  const terms = [side(pair.plug, 'plug'), side(pair.socket, 'socket')];
  return {
    id: pair.id,
    station: 'plugs',
    mark,
    title: pair.title,
    seats: [
      pair.plug.placed.seat,
      pair.socket.placed.seat,
      ...(adapter ? [adapter.placed.seat] : []),
    ],
    about: { of: 'plugs', plug: pair.plug.id, socket: pair.socket.id },
    unit: '',
    terms: adapter
      ? [
          ...terms,
          {
            ...wordOf(adapter.placed, 'proved', 'adapter', undefined),
            value: adapter.placed.part.name,
            sign: 0,
          },
        ]
      : terms,
    marginLabel: adapter?.rest ?? rests[meeting.verdict],
    say: adapter?.say ?? sayOf(meeting),
    source: socket?.source ?? commonPractice,
    undoMinutes: pair.undoMinutes ?? 30,
    remedies:
      adapter || mark === 'clear' || meeting.verdict === 'partly'
        ? []
        : [
            offer(
              plan,
              plugAdapter({ pair: pair.id, from: pair.plug.id, to: pair.socket.id }),
              'watch',
            ),
          ],
  };
}

/** In words, with what meets what. */
export function sayOf(meeting: Mating): string {
  const what = meeting.says.slice(0, 3).join(', ');
  switch (meeting.verdict) {
    case 'right':
      return 'Every contact meets its own.';
    case 'partly':
      return partly(meeting);
    case 'burns':
      return `It goes on${turnedWord(meeting)} and burns: ${what}. Never push it on.`;
    case 'wrong':
      return `It goes on${turnedWord(meeting)} and is wrong: ${what}. Keep it off.`;
    case 'unknown':
      return 'The order of one side is not known: find it out pin by pin before anything is joined.';
    case 'does not fit':
      return 'It does not go in: an adapter joins them.';
  }
}

const turnedWord = (meeting: Mating) =>
  meeting.placement && meeting.placement.how !== 'as it is' ? ` ${meeting.placement.how}` : '';

function partly({ placement, contacts, says }: Mating): string {
  if (says.length > 0) return `It goes on, but ${says.slice(0, 2).join(', ')}.`;
  if ((placement?.over ?? 0) > 0)
    return `${placement?.over} of its ways hang beside the socket: look that nothing stands there.`;
  return `It goes on and fills ${contacts.length} contacts; the rest stay open, it carries less.`;
}
