import type { Finding, Mark } from '../findings/finding.ts';
import { match } from '../findings/match.ts';
import { wordOf } from '../findings/terms.ts';
import { plugIn } from '../model/lookup/ownPlugs.ts';
import { fedByOneVoltage, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { plug, type Plug } from '../standards/plugs/index.ts';
import { commonPractice } from '../standards/source.ts';
import { adapterFor } from './adapters.ts';
import { pairFinding } from './pairs.ts';

/** The supply's main plug against the board's header: looks prove nothing, the order must be known. */
export function mainPlug(plan: Plan): Finding[] {
  const board = partOfKind(plan, 'board');
  const supply = partOfKind(plan, 'supply');
  if (!board || !supply) return [];
  const give = textAt(plan, supply, 'mainPlug');
  const take = textAt(plan, board, 'mainPlug');
  /* A board fed by a brick, a battery or a bench supply has no main plug to ask for. */
  if (!take && fedByOneVoltage(plan, supply)) return [];
  if (!give || !take) return [notSaid(plan, give?.text, take?.text)];
  const found = pairFinding(plan, {
    id: 'main-plug',
    title: 'main plug',
    plug: { id: give.text, placed: supply, key: 'mainPlug', told: give },
    socket: { id: take.text, placed: board, key: 'mainPlug', told: take },
    undoMinutes: 40,
  });
  if (adapterFor(plan, give.text, take.text)) return [found];
  const verdict = mainVerdict(plugIn(plugsOf(plan), give.text), plugIn(plugsOf(plan), take.text));
  if (!verdict) return [found];
  return [
    {
      ...found,
      mark: verdict.mark,
      marginLabel: verdict.rest,
      say: verdict.say,
      remedies: verdict.mark === 'mend' ? found.remedies : [],
    },
  ];
}

/** What the family itself says, where pins alone do not decide; undefined where they do. */
export function mainVerdict(
  give: Plug | undefined,
  take: Plug | undefined,
): { mark: Mark; rest: string; say: string } | undefined {
  const open = (each: Plug | undefined) => !each || each.pins.includes('?');
  if (open(give) || open(take)) {
    return give && take && give.id === take.id
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
  if (give?.id === 'main20' && take?.id === 'main24') {
    return {
      mark: 'watch',
      rest: '4 ways open',
      say: 'A 20-pin plug goes on a 24-pin header, but carries less.',
    };
  }
  const only12 = (each: Plug | undefined) => !each?.pins.includes('+5V');
  if (only12(give) !== only12(take)) {
    return {
      mark: 'mend',
      rest: 'differs',
      say: 'One side is 12 V only: the adapter needs a converter for 5 V and 3.3 V and standby.',
    };
  }
  return undefined;
}

function notSaid(plan: Plan, give: string | undefined, take: string | undefined): Finding {
  const [board, supply] = [partOfKind(plan, 'board'), partOfKind(plan, 'supply')];
  const side = (placed: typeof board, label: string, id: string | undefined) => ({
    ...(placed ? wordOf(placed, 'mainPlug', label, undefined) : { label }),
    value: id === undefined ? undefined : plugIn(plugsOf(plan), id)?.name,
  });
  return match({
    id: 'main-plug',
    about: { of: 'plugs', plug: give, socket: take },
    station: 'plugs',
    title: 'main plug',
    seats: ['supply', 'board'],
    have: side(supply, 'supply', give),
    want: side(board, 'board', take),
    verdict: () => ({ mark: 'watch', rest: 'not known', say: '' }),
    unknownSay:
      'Which main plug this is has not been said. Count its ways and look at the colours.',
    source: plug(take ?? '')?.source ?? commonPractice,
    undoMinutes: 40,
  });
}
