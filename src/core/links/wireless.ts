import type { Finding } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import {
  isSort,
  listAt,
  partOfKind,
  partsOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { m2Source } from '../standards/links.ts';
import { commonPractice } from '../standards/source.ts';

/** A wireless card in a socket of the board, and antennas that hear something. */
export function wireless(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  return partsOfKind(plan, 'small')
    .filter((each) => isSort(plan, each, ['wireless card']))
    .flatMap((card) => [inSocket(plan, board, card), antennas(plan, card)]);
}

function inSocket(plan: Plan, board: Placed, card: Placed): Finding {
  const sockets = listAt(plan, board, 'wirelessSockets');
  return match({
    id: `wireless-socket:${card.seat}`,
    station: 'links',
    title: 'wireless card in its socket',
    seats: [card.seat, board.seat],
    have: {
      label: 'sockets of the board',
      value: sockets && (sockets.items.join(', ') || 'none'),
      how: sockets?.how,
      input: { partId: board.part.id, key: 'wirelessSockets', seat: board.seat },
    },
    want: wordOf(card, 'wirelessForm', 'wireless card', textAt(plan, card, 'wirelessForm')),
    verdict: (have, want) =>
      sockets?.items.some((each) => each === want)
        ? { mark: 'clear', rest: 'same', say: 'The board has its socket.' }
        : {
            mark: 'stop',
            rest: 'differs',
            say:
              have === 'none'
                ? 'The board has no socket for a wireless card: one for USB or for a card slot instead.'
                : `The board has ${have}, the wireless card wants ${want}.`,
          },
    unknownSay: 'Which socket the board has, or the card wants, nobody said.',
    source: m2Source,
    undoMinutes: 10,
  });
}

function antennas(plan: Plan, card: Placed): Finding {
  const told = textAt(plan, card, 'antennas');
  return match({
    id: `antennas:${card.seat}`,
    station: 'links',
    title: 'antennas',
    seats: [card.seat],
    have: wordOf(card, 'antennas', 'antennas', told),
    want: { label: 'heard', value: 'outside, or behind plastic' },
    verdict: (have) =>
      have === 'none'
        ? { mark: 'stop', rest: 'missing', say: 'Without antennas it hears next to nothing.' }
        : have === 'inside metal'
          ? {
              mark: 'watch',
              rest: 'shut in',
              say: 'Inside a metal case it hears little: lead them out.',
            }
          : { mark: 'clear', rest: have, say: 'Its antennas hear.' },
    unknownSay: 'Where its antennas go decides whether it hears anything.',
    source: commonPractice,
    undoMinutes: 20,
  });
}
