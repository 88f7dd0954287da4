import type { Finding } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { numberAt, partsOfKind, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { socketTakes } from '../standards/sockets.ts';
import { commonPractice } from '../standards/source.ts';

/** Processor against socket, and a picture from somewhere. */
export function socket(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const processor = partOfKind(plan, 'processor');
  if (!board || !processor) return [];
  const found = [
    match({
      id: 'socket',
      station: 'links',
      title: 'CPU socket',
      seats: ['processor', 'board'],
      have: wordOf(board, 'socket', 'board', textAt(plan, board, 'socket')),
      want: wordOf(processor, 'socket', 'CPU', textAt(plan, processor, 'socket')),
      verdict: (have, want) =>
        socketTakes(have, want) === 'perhaps'
          ? {
              mark: 'watch',
              rest: 'goes in',
              say: `A ${want} CPU goes into ${have}; whether this board runs it stands in its maker's list.`,
            }
          : have === want
            ? {
                mark: 'clear',
                rest: 'same',
                say: 'The CPU goes into the socket. Whether the firmware knows it is another matter.',
              }
            : { mark: 'stop', rest: 'differs', say: `A ${want} CPU does not go into ${have}.` },
      unknownSay: 'Read the socket off the frame round the CPU.',
      source: commonPractice,
      undoMinutes: 60,
    }),
  ];
  const graphics = textAt(plan, processor, 'graphics');
  const chip = textAt(plan, board, 'graphics')?.text === 'yes';
  /* A card without an output shows nothing either. */
  const shows = partsOfKind(plan, 'card').some((card) => numberAt(plan, card, 'screens')?.hi !== 0);
  if (graphics?.text === 'no' && !shows && !chip) {
    found.push(
      match({
        id: 'picture',
        about: { of: 'lack', kind: 'card' },
        station: 'links',
        title: 'a picture from somewhere',
        seats: ['processor'],
        have: wordOf(processor, 'graphics', 'own graphics', graphics),
        want: { label: 'card', value: 'none' },
        verdict: () => ({
          mark: 'stop',
          rest: 'no picture',
          say: 'The CPU has no graphics of its own and no card is planned: the screen stays dark.',
        }),
        unknownSay: '',
        source: commonPractice,
        undoMinutes: 30,
      }),
    );
  }
  return found;
}
