import type { Finding } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { listAt, one, textAt, type Plan } from '../model/plan.ts';
import { coolerMountOf, coolerMountSource } from '../standards/sockets.ts';

/** The cooler's mounting parts against the board's socket: holes decide, not names. */
export function coolerMount(plan: Plan): Finding[] {
  const board = one(plan, 'board');
  const cooler = one(plan, 'cooler');
  if (!board || !cooler) return [];
  const socket = textAt(plan, board, 'socket');
  const sockets = listAt(plan, cooler, 'sockets');
  const squares = sockets?.items.map((name) => coolerMountOf(name)?.name ?? name);
  return [
    match({
      id: 'cooler-mount',
      station: 'fit',
      title: 'cooler on its holes',
      seats: ['cooler', 'board'],
      have: {
        ...wordOf(cooler, 'sockets', 'mounting kit', undefined),
        value: sockets?.items.join(', ') || undefined,
        how: sockets?.how,
      },
      want: wordOf(board, 'socket', 'socket', socket),
      verdict: (_, want) => {
        const mount = coolerMountOf(want);
        const meets = squares?.includes(mount?.name ?? want) ?? false;
        return meets
          ? {
              mark: 'clear',
              rest: mount?.name ?? 'same',
              say: `The kit meets the holes (${mount?.name ?? want}).`,
            }
          : {
              mark: 'mend',
              rest: 'differs',
              say: `No kit for ${want} with this cooler: find the kit or another cooler.`,
            };
      },
      unknownSay: 'Which sockets the cooler has a kit for is not known.',
      source: coolerMountSource,
      undoMinutes: 25,
      remedies: (mark) =>
        mark === 'mend'
          ? [
              {
                id: 'cooler-kit',
                title: `Mounting kit for ${socket?.text ?? 'the socket'}`,
                mark: 'watch',
                minutes: 15,
                undoable: true,
                action: { do: 'want', what: `cooler kit ${socket?.text ?? ''}`.trim(), count: 1 },
              },
            ]
          : [],
    }),
  ];
}
