import type { Finding, Mark } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { fedByOneVoltage, listAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { plugNameIn } from '../model/lookup/ownPlugs.ts';
import { goesAs, isOfGroup, plug } from '../standards/plugs/index.ts';
import { commonPractice } from '../standards/source.ts';
import { adapterFor } from './adapters.ts';
import { mate } from './mate/index.ts';
import { offer } from '../remedies/offer.ts';
import { processorAdapter } from '../remedies/processorAdapter.ts';

/** The board's processor header against what the supply brings. A card's six-way is reversed there: a Stop. */
export function processorPlug(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const supply = partOfKind(plan, 'supply');
  if (!board || !supply) return [];
  const take = textAt(plan, board, 'processorPlug');
  const gives = listAt(plan, supply, 'plugs');
  if (fedByOneVoltage(plan, supply) && (!take || take.text === 'none')) return [];
  const mine = gives?.items.filter((id) => isOfGroup(id, 'processor'));
  const name = (id: string) => plugNameIn(plugsOf(plan), id);
  const adapter = gives?.items
    .map((id) => adapterFor(plan, id, take?.text ?? ''))
    .find((each) => each !== undefined);
  return [
    match({
      id: 'processor-plug',
      station: 'plugs',
      title: 'CPU plug',
      about: { of: 'plugs', plug: pushedIn(gives?.items, take?.text), socket: take?.text },
      seats: ['supply', 'board'],
      have: {
        ...wordOf(supply, 'plugs', 'PSU', undefined),
        value: mine && (mine.map(name).join(', ') || 'none'),
        how: gives?.how,
      },
      want: {
        ...wordOf(board, 'processorPlug', 'board', take),
        value: take && name(take.text),
      },
      verdict: () => adapter ?? verdict(gives?.items ?? [], take?.text ?? ''),
      unknownSay: 'Which CPU plug is wanted, or brought, has not been said.',
      source: plug(take?.text ?? '')?.source ?? commonPractice,
      undoMinutes: 30,
      remedies: (mark) =>
        mark === 'mend' ? [offer(plan, processorAdapter({ to: take?.text ?? '' }), 'watch')] : [],
    }),
  ];
}

function verdict(
  gives: readonly string[],
  take: string,
): { mark: Mark; rest: string; say: string } {
  const mine = gives.filter((id) => isOfGroup(id, 'processor'));
  if (take === 'none' || take === '')
    return { mark: 'clear', rest: 'none wanted', say: 'The board has no CPU header.' };
  if (mine.some((id) => goesAs(id, take)))
    return { mark: 'clear', rest: 'same', say: 'The CPU plug meets its header.' };
  if (take === 'cpu4' && mine.includes('cpu8')) {
    return {
      mark: 'watch',
      rest: 'if it splits',
      say: 'An 8-pin that splits in two goes on a 4-pin header; one that does not, overhangs.',
    };
  }
  if (take === 'cpu8' && mine.includes('cpu4')) {
    return {
      mark: 'watch',
      rest: '4 of 8',
      say: 'A 4-pin in the latch half of an 8-pin header starts most boards, with half the contacts.',
    };
  }
  return {
    mark: 'mend',
    rest: 'missing',
    say: `The PSU brings no CPU plug.${reversed(gives, take)}`,
  };
}

/** What a card plug would do in the processor's header: the pins are the other way round. */
function reversed(gives: readonly string[], take: string): string {
  const [card, socket] = [plug(gives.find((id) => isOfGroup(id, 'card')) ?? 'card6'), plug(take)];
  const meeting = card && socket && mate(card, socket);
  return meeting?.verdict === 'burns'
    ? ` A ${card?.name} plug goes in and burns: ${meeting.says.join(', ')}. Never.`
    : '';
}

/** Which of the plugs there would be pushed in: one that belongs there, else a CPU plug, else what goes in and must not. */
const pushedIn = (
  gives: readonly string[] | undefined,
  take: string | undefined,
): string | undefined =>
  gives?.find((id) => goesAs(id, take ?? '')) ??
  gives?.find((id) => isOfGroup(id, 'processor')) ??
  gives?.find((id) => isOfGroup(id, 'card'));
