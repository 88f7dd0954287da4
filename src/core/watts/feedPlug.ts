import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, wordOf } from '../findings/terms.ts';
import { partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { plug } from '../standards/plugs/index.ts';
import { range } from '../units/range.ts';
import { base } from './feedBase.ts';
import type { FeedState } from './feedState.ts';
import { tipOf } from './tree/index.ts';

/** Where the lead ends: its tip, the jack, what the source is asked by. */

export function tip(plan: Plan, { supply, amps }: FeedState): Finding[] {
  const barrel = tipOf(plan, supply);
  if (!barrel?.contactA) return [];
  return [
    gap({
      ...base('tip', `${barrel.name} tip`, supply),
      unit: 'A',
      terms: [
        plain('tip carries', range(barrel.contactA), 1),
        { ...plain('full load', amps, -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'over',
      source: barrel.source,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The tip carries it.'
          : 'The tip is asked as much as it carries, or more: feel it after ten minutes.',
    }),
  ];
}

/** The brick's tip and the board's jack: the same barrel, plus and minus the same way round. */
export function jack(plan: Plan, { supply }: FeedState): Finding[] {
  const board = partOfKind(plan, 'board');
  if (!board) return [];
  const [tipId, jackId] = [textAt(plan, supply, 'tip'), textAt(plan, board, 'jack')];
  const [ours, theirs] = [textAt(plan, supply, 'centre'), textAt(plan, board, 'centre')];
  const found: Finding[] = [];
  const at = { seats: [supply.seat, board.seat], unit: '' as const, remedies: [] };
  if (tipId && jackId) {
    const same = tipId.text === jackId.text;
    found.push({
      ...base('jack', "tip in the board's jack", supply),
      ...at,
      mark: same ? 'clear' : 'mend',
      terms: [
        {
          ...wordOf(supply, 'tip', 'tip', tipId),
          value: plug(tipId.text)?.name ?? tipId.text,
          sign: 0,
        },
        {
          ...wordOf(board, 'jack', 'jack', jackId),
          value: plug(jackId.text)?.name ?? jackId.text,
          sign: 0,
        },
      ],
      marginLabel: same ? 'the same' : 'another barrel',
      say: same
        ? 'Tip and jack are the same barrel.'
        : 'Another barrel: it does not go in, or goes in and touches only now and then. Another tip, soldered or as an adapter that bears the amps.',
    });
  }
  if (ours || theirs || (tipId && jackId && tipId.text === jackId.text)) {
    const known = ours && theirs;
    const same = known && ours.text === theirs.text;
    found.push({
      ...base('centre', 'plus and minus of the barrel', supply),
      ...at,
      mark: same ? 'clear' : known ? 'stop' : 'watch',
      terms: [
        {
          ...wordOf(supply, 'centre', 'in the middle of the tip', ours),
          value: ours?.text ?? '?',
          sign: 0,
        },
        {
          ...wordOf(board, 'centre', 'in the middle of the jack', theirs),
          value: theirs?.text ?? '?',
          sign: 0,
        },
      ],
      marginLabel: same ? 'the same way round' : known ? 'the wrong way round' : 'not known',
      say: same
        ? 'Plus and minus agree.'
        : known
          ? 'Plus and minus are swapped: it destroys the board at once. Never plug it in.'
          : 'Most have plus in the middle, not all: read both labels, or measure tip and jack before it is plugged in.',
    });
  }
  return found;
}

/** A board that does not know its brick runs throttled or does not charge. */
export function identity(plan: Plan, { supply }: FeedState): Finding[] {
  const said = textAt(plan, supply, 'identity');
  if (said?.text !== 'not known') return [];
  return [
    {
      ...base('identity', 'middle pin of the brick', supply),
      mark: 'watch',
      unit: '',
      terms: [{ ...plain('board and brick', 'not known to each other', 0) }],
      marginLabel: 'throttled, perhaps',
      say: 'The board does not know this brick: it may run throttled or not charge. Try a brick of its own kind, then look at the clock under load.',
      remedies: [],
    },
  ];
}
