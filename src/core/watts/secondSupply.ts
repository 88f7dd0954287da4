import type { TextKey } from '../model/properties/index.ts';
import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, wordOf } from '../findings/terms.ts';
import { partsOfKind, sortOf, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range, total } from '../units/range.ts';
import { cardsDraws, cardsOwnSupply, secondLabelW } from './tree/index.ts';

/**
 * A second supply beside the first, for a card that wants 12 V in a machine that has none: switched
 * together with it, returns joined, outputs never side by side. Common practice, no source.
 */
export function secondSupply(plan: Plan): Finding[] {
  return partsOfKind(plan, 'small').flatMap((placed) =>
    sortOf(plan, placed) === 'second PSU'
      ? [
          outputs(plan, placed),
          enable(plan, placed),
          sharedReturn(plan, placed),
          ...ownLoads(plan, placed),
        ]
      : [],
  );
}

/** Its label against the cards it feeds. */
function ownLoads(plan: Plan, placed: Placed): Finding[] {
  if (cardsOwnSupply(plan) !== placed) return [];
  const draws = cardsDraws(plan);
  if (draws.length === 0) return [];
  const need = total(draws.map((draw) => draw.watts.full));
  const label = secondLabelW(plan, placed);
  return [
    gap({
      ...base(placed, 'second-watts', 'second PSU at full load'),
      remedies: () => [],
      seats: [placed.seat, ...new Set(draws.map((draw) => draw.seat))],
      unit: 'W',
      terms: [
        {
          ...plain('label, volts by amps', label ?? UNKNOWN_W, 1),
          how: label ? 'said' : 'class',
          input: { partId: placed.part.id, key: 'outAmps', seat: placed.seat },
        },
        { ...plain('the cards draw', need, -1), how: 'class' },
      ],
      minimumMargin: (label?.lo ?? 0) * 0.1,
      short: 'short',
      undoMinutes: 60,
      say: (_, mark) =>
        mark === 'clear'
          ? 'It carries the cards.'
          : mark === 'stop'
            ? 'The cards draw more than it gives: a larger one, or a smaller card.'
            : 'It may do: read the label of the card and of the PSU.',
    }),
  ];
}

/** What small supplies give when nobody read the label (common practice, no source). */
const UNKNOWN_W = range(60, 450);

const base = (placed: Placed, id: string, title: string) => ({
  id: `${id}:${placed.seat}`,
  station: 'watts' as const,
  title,
  seats: ['supply', placed.seat],
  unit: '',
  source: commonPractice,
  remedies: [],
  undoMinutes: 240,
});

const term = (plan: Plan, placed: Placed, key: TextKey, label: string) => {
  const told = textAt(plan, placed, key);
  return { ...wordOf(placed, key, label, told), value: told?.text ?? '?', sign: 0 as const };
};

function outputs(plan: Plan, placed: Placed): Finding {
  const said = textAt(plan, placed, 'feedsWhat')?.text;
  const same = said === 'a rail the first feeds too';
  return {
    ...base(placed, 'second-outputs', 'outputs of the second PSU'),
    mark: same ? 'stop' : said ? 'clear' : 'watch',
    terms: [term(plan, placed, 'feedsWhat', 'feeds')],
    marginLabel: same ? 'side by side' : said ? 'apart' : 'not known',
    say: same
      ? 'Outputs of two PSUs side by side feed back into each other: part them. Each load depends on one PSU.'
      : said
        ? 'It feeds loads of its own.'
        : 'What it feeds has not been said: never a rail the first one feeds too.',
  };
}

function enable(plan: Plan, placed: Placed): Finding {
  const said = textAt(plan, placed, 'enable')?.text;
  const linked = said === 'linked to the first';
  return {
    ...base(placed, 'second-enable', 'switching the second PSU on'),
    mark: linked ? 'clear' : said ? 'mend' : 'watch',
    terms: [term(plan, placed, 'enable', 'switched')],
    marginLabel: linked ? 'with the first' : (said ?? 'not known'),
    say: linked
      ? 'Its enable follows the first: both start and stop together.'
      : said
        ? 'Tie its enable to the enable of the first, rocker on: both start and stop within a second. Switched by hand the card feeds into a dead board sooner or later: no order is safe.'
        : 'How it is switched has not been said: enable to enable, so that both start and stop together.',
  };
}

function sharedReturn(plan: Plan, placed: Placed): Finding {
  const said = textAt(plan, placed, 'sharedReturn')?.text;
  return {
    ...base(placed, 'second-return', 'ground of both PSUs'),
    mark: said === 'yes' ? 'clear' : said === 'no' ? 'stop' : 'watch',
    terms: [term(plan, placed, 'sharedReturn', 'joined')],
    marginLabel: said === 'yes' ? 'joined' : said === 'no' ? 'apart' : 'not known',
    say:
      said === 'yes'
        ? 'Both grounds are joined.'
        : said === 'no'
          ? "Without a joined return the card's signals have no level: join a return of both before power."
          : 'Whether both grounds are joined has not been said: they must be, by wire, not by a screw.',
  };
}
