import type { Finding } from '../findings/finding.ts';
import { gap, worthSaying } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { numberAt, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { range, total } from '../units/range.ts';
import { base } from './feedBase.ts';
import { boardVolts, converterIn, labelOf, lineCarries } from './feedVolts.ts';
import { fuseLoad, fuseWire, leadWire, wireAtLeast } from './feedWire.ts';
import { stateOf, type FeedState } from './feedState.ts';
import { boardW, drawsOf, feedOf, isSingleFeed, tapLead, tappedDraws } from './tree/index.ts';
import { identity, jack, tip } from './feedPlug.ts';

/** A machine on one voltage: brick, battery or bench supply, its lead, fuse, tip and converter at full load. */
export function feedLimits(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  if (!supply) return [];
  if (!isSingleFeed(plan, supply)) return wrongKind(plan, supply);
  const feed = feedOf(plan, supply);
  const draws = drawsOf(plan);
  if (draws.length === 0) return [];
  if (!feed)
    return [
      gap({
        ...base('feed-volts', 'volts of the feed', supply),
        unit: 'V',
        terms: [
          {
            ...plain('volts out', range(5, 24), 0),
            how: 'class',
            input: { partId: supply.part.id, key: 'volts', seat: supply.seat },
          },
        ],
        minimumMargin: 1,
        say: () =>
          'Which volts it gives has not been said: read its label before anything is joined.',
      }),
    ];
  const tapped = tappedDraws(plan, feed).map((each) => total(each.map((draw) => draw.watts.full)));
  const { low, state, taps } = stateOf(feed, supply, boardW(draws, 'full'), tapped);
  /* A line that collapses whatever else is true settles at no amps. */
  if (!low.solved.ok)
    return [...lineCarries(state), ...fuseWire(state), ...wireAtLeast(plan, state)];
  return [
    ...lineCarries(state),
    ...labelOf(plan, state).filter(worthSaying),
    ...boardVolts(plan, state),
    ...converterIn(plan, state),
    ...fuseLoad(state),
    ...fuseWire(state),
    ...leadWire(state),
    ...tip(plan, state).filter(worthSaying),
    ...jack(plan, state),
    ...identity(plan, state),
    ...taps.flatMap((tap, i) => tapLimits(plan, tap, i)),
  ];
}

/** A branch tapped beside the board's: its volts, converter, fuse and wire, by the same rules. */
function tapLimits(plan: Plan, state: FeedState, i: number): Finding[] {
  const seat = state.tap?.converter.placed.seat ?? '';
  return [
    ...boardVolts(plan, state),
    ...converterIn(plan, state),
    ...fuseLoad(state),
    ...fuseWire(state),
    ...leadWire(state),
  ].map(({ about, ...finding }) => ({
    ...finding,
    id: `${finding.id}:${seat}`,
    ...(about?.of === 'branch' && {
      about: {
        of: 'branch' as const,
        branch: about.branch === 'converter' ? `${tapLead(i)} converter` : tapLead(i),
      },
    }),
    remedies: [],
  }));
}

/** A board with one input and no main header is not fed by a supply for the case. */
function wrongKind(plan: Plan, supply: Placed): Finding[] {
  const board = partOfKind(plan, 'board');
  const taken = board && numberAt(plan, board, 'inVolts');
  const plugged = board && textAt(plan, board, 'mainPlug');
  if (!board || !taken || plugged) return [];
  return [
    {
      ...base('feed-kind', 'what feeds the board', supply),
      seats: [supply.seat, board.seat],
      mark: 'stop',
      unit: '',
      terms: [
        {
          ...plain('board takes', `${taken.lo} to ${taken.hi} V at one input`, 0),
          input: { partId: board.part.id, key: 'inVolts', seat: board.seat },
        },
        plain('PSU', supply.part.name, 0),
      ],
      marginLabel: 'no feed',
      say: `The board takes ${taken.lo} to ${taken.hi} V at one input: a brick, a battery or a bench PSU, not this.`,
      remedies: [],
    },
  ];
}
