import type { Finding, Mark } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { one, textAt, type Plan } from '../model/plan.ts';
import { plug, plugName } from '../standards/plugs/index.ts';
import { practice } from '../standards/source.ts';

/** The supply's main plug against the board's header: looks prove nothing, the order must be known. */
export function mainPlug(plan: Plan): Finding[] {
  const board = one(plan, 'board');
  const supply = one(plan, 'supply');
  if (!board || !supply) return [];
  const give = textAt(plan, supply, 'mainPlug');
  const take = textAt(plan, board, 'mainPlug');
  const named = (side: ReturnType<typeof wordOf>) => ({
    ...side,
    value: side.value === undefined ? undefined : plugName(side.value),
  });
  return [
    match({
      id: 'main-plug',
      station: 'plugs',
      title: 'main plug',
      seats: ['supply', 'board'],
      have: named(wordOf(supply, 'mainPlug', 'supply', give)),
      want: named(wordOf(board, 'mainPlug', 'board', take)),
      verdict: () => mainVerdict(give?.text ?? '', take?.text ?? ''),
      unknownSay:
        'Which main plug this is has not been said. Count its ways and look at the colours.',
      source: plug(take?.text ?? '')?.source ?? practice,
      undoMinutes: 40,
      remedies: (mark) =>
        mark === 'mend'
          ? [
              {
                id: 'main-adapter',
                title: `Adapter ${plugName(give?.text ?? '')} to ${plugName(take?.text ?? '')}`,
                mark: 'watch',
                minutes: 60,
                undoable: true,
                action: { do: 'want', what: `adapter ${give?.text} to ${take?.text}`, count: 1 },
              },
            ]
          : [],
    }),
  ];
}

/** What happens when this plug meets that header. */
export function mainVerdict(give: string, take: string): { mark: Mark; rest: string; say: string } {
  const isMaker = (id: string) => id.startsWith('maker');
  if (isMaker(give) || isMaker(take)) {
    return give === take
      ? {
          mark: 'watch',
          rest: 'same family',
          say: "A maker's plug: the order is certain only if both come from one model.",
        }
      : {
          mark: 'mend',
          rest: 'differs',
          say: "A maker's plug on one side: find out its order pin by pin, then an adapter. Never push it on.",
        };
  }
  if (give === take) return { mark: 'clear', rest: 'same', say: 'The main plug meets its header.' };
  if (give === 'main20' && take === 'main24') {
    return {
      mark: 'watch',
      rest: '4 ways open',
      say: 'A 20-way plug goes on a 24-way header, but carries less.',
    };
  }
  if (give === 'main24' && take === 'main20') {
    return {
      mark: 'watch',
      rest: '4 ways over',
      say: 'A 24-way plug overhangs a 20-way header: look that nothing stands beside it.',
    };
  }
  return {
    mark: 'mend',
    rest: 'differs',
    say: 'One side is 12 V only: the adapter needs a converter for 5 V and 3.3 V and standby.',
  };
}
