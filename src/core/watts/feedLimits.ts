import type { NumberKey } from '../model/properties/index.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { gap, worthSaying, type GapSpec } from '../findings/gap.ts';
import { plain, termOf, wordOf } from '../findings/terms.ts';
import { numberAt, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { plug } from '../standards/plugs/index.ts';
import { commonPractice } from '../standards/source.ts';
import {
  FUSE_CARRIES,
  FUSE_LOAD,
  fuseFor,
  fuseSource,
  wireAlone,
  wireSource,
  wireSpan,
} from '../standards/wire.ts';
import { add, range, scale, subtract, total, type Range } from '../units/range.ts';
import { fewerWatts, stateOf, thickerLeads, type FeedState } from './feedState.ts';
import {
  boardW,
  drawsOf,
  feedOf,
  isSingleFeed,
  tapLead,
  tappedDraws,
  tipOf,
} from './tree/index.ts';
import { trim } from '../units/length.ts';
import { offer } from '../remedies/offer.ts';
import { thickerLead } from '../remedies/thickerLead.ts';

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

/** Whose facts tell of the lead: the source's, or the converter's at the end of a branch of its own. */
const leadAt = ({ tap, supply }: FeedState): Placed => tap?.converter.placed ?? supply;

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

const base = (
  id: string,
  title: string,
  supply: Placed,
): Pick<GapSpec, 'id' | 'station' | 'title' | 'seats' | 'source' | 'undoMinutes'> => ({
  id,
  station: 'watts',
  title,
  seats: [supply.seat],
  source: commonPractice,
  undoMinutes: 60,
});

/**
 * Where the line cannot carry the power at all: volts fall and amps rise until it collapses. Most
 * that ohms R pass on from V volts is V² / 4R.
 */
function lineCarries({ supply, wantedW, feed }: FeedState): Finding[] {
  const ohm = add(feed.insideOhm, feed.leadOhm);
  const most = range(feed.volts.lo ** 2 / (4 * ohm.hi), feed.volts.hi ** 2 / (4 * ohm.lo));
  if (wantedW.hi < most.lo * 0.8) return [];
  return [
    gap({
      ...base('line', 'what the line can carry', supply),
      unit: 'W',
      terms: [
        { ...plain('the line carries at most', most, 1), how: 'class' },
        { ...plain('wanted at its end', wantedW, -1), how: 'class' },
      ],
      minimumMargin: most.lo * 0.2,
      short: 'short',
      say: () =>
        `Over this lead ${feed.volts.lo} V may collapse: ${Math.round(most.lo)} W is what it can carry at worst. A shorter or thicker lead.`,
    }),
  ];
}

/** The label of brick or bench supply: watts, or volts by amps. A small dc-dc board is limited by what feeds it. */
function labelOf(plan: Plan, state: FeedState): Finding[] {
  const { supply, givenW, feed, totalA: amps } = state;
  const watts = numberAt(plan, supply, 'watts');
  const label12 = numberAt(plan, supply, 'amps12');
  const found: Finding[] = [];
  if (watts && watts.how !== 'class' && feed.source !== 'battery')
    found.push(
      gap({
        ...base('feed-watts', `${feed.source} at full load`, supply),
        about: { of: 'branch', branch: 'supply' },
        seats: [supply.seat, 'board'],
        unit: 'W',
        terms: [
          termOf(supply, 'watts', 'label', 1, watts),
          { ...plain('machine draws through it', givenW, -1), how: 'class' },
        ],
        /* The most of every draw at once is counted already: no reserve stands on top of it. */
        minimumMargin: 0,
        short: 'short',
        say: (rest, mark) =>
          mark === 'stop'
            ? `At least ${Math.ceil(-rest.hi)} W more than the ${feed.source} gives. A bigger one may have another tip: compare them before you buy.`
            : mark === 'watch'
              ? `The ${feed.source} is near its limit at full load, or the draws are not known.`
              : `The ${feed.source} carries it.`,
        remedies: () => fewerWatts(plan, state, (after) => subtract(watts, after.givenW), 0),
      }),
    );
  if (label12 && label12.how !== 'class' && feed.source !== 'brick')
    found.push(
      gap({
        ...base('feed-amps', `amps of the ${feed.source}`, supply),
        unit: 'A',
        terms: [
          termOf(supply, 'amps12', 'gives', 1, label12),
          { ...plain('machine draws', amps, -1), how: 'class' },
        ],
        minimumMargin: label12.lo * 0.1,
        short: 'short',
        say: (_, mark) =>
          mark === 'clear' ? 'It gives what the machine draws.' : 'More than it gives, or near it.',
      }),
    );
  return found;
}

/** What a board said to take one figure stands: a brick of 19.5 V belongs to a board of 19 V (common practice, no source). */
const nominal = (volts: number): Range => range(volts * 0.95, volts * 1.05);

/** Do the volts that arrive lie within what the board, or the converter, takes? 19 V on a 12 V board destroy it. */
function boardVolts(plan: Plan, state: FeedState): Finding[] {
  const { feed, arrives, supply } = state;
  const board = partOfKind(plan, 'board');
  const converter = feed.converter;
  const told = converter ? converter.inV : board && numberAt(plan, board, 'inVolts');
  const taken = told && (told.lo === told.hi ? nominal(told.lo) : told);
  const into = converter ? converter.placed : board;
  if (!taken || !into) return [];
  const most = feed.volts.hi;
  const key = 'inVolts';
  const name = converter ? 'converter' : 'board';
  return [
    gap({
      ...base('feed-over', `most volts into the ${name}`, supply),
      seats: [supply.seat, into.seat],
      unit: 'V',
      terms: [
        {
          ...plain(`${name} stands`, range(taken.hi), 1),
          input: { partId: into.part.id, key, seat: into.seat },
        },
        plain('may arrive', feed.volts, -1),
      ],
      minimumMargin: 0,
      short: 'over',
      say: (_, mark) =>
        mark === 'stop'
          ? `${most} V into a ${name} for ${trim(taken.hi, 1)} V at most destroys it. Never plug it in.`
          : `The ${name} stands what may arrive.`,
    }),
    gap({
      ...base('feed-under', `least volts into the ${name}`, supply),
      seats: [supply.seat, into.seat],
      unit: 'V',
      terms: [
        { ...plain('may arrive at full load', arrives, 1), how: 'class' },
        {
          ...plain(converter ? 'cuts out below' : 'needs', range(taken.lo), -1),
          input: { partId: into.part.id, key, seat: into.seat },
        },
      ],
      minimumMargin: 0,
      short: 'too low',
      say: (_, mark) =>
        mark === 'stop'
          ? `At full load too little arrives: it cuts out. It may well start and idle.`
          : mark === 'watch'
            ? 'At full load it may cut out: a thicker or shorter lead.'
            : 'Enough arrives at full load.',
      remedies: () => thickerLeads(plan, state, taken.lo),
    }),
  ];
}

/** A converter that works at idle trips at load: its input current at full load is what counts. */
function converterIn(plan: Plan, state: FeedState): Finding[] {
  const { feed, amps, watts, supply } = state;
  const converter = feed.converter;
  if (!converter) return [];
  const into = converter.placed;
  const term = (key: NumberKey, label: string, value: Range): Term => ({
    ...plain(label, value, 1),
    input: { partId: into.part.id, key, seat: into.seat },
  });
  const found: Finding[] = [];
  if (converter.inA !== undefined)
    found.push(
      gap({
        ...base('converter-in', 'amps into the converter', supply),
        about: { of: 'branch', branch: 'converter' },
        seats: [into.seat, supply.seat],
        unit: 'A',
        terms: [
          term('inAmps', 'may go in', converter.inA),
          { ...plain('go in at full load', amps, -1), how: 'class' },
        ],
        minimumMargin: converter.inA.lo * 0.1,
        short: 'over',
        say: (_, mark) =>
          mark === 'stop'
            ? 'It works at idle and trips at load: take a larger one, or fewer watts.'
            : mark === 'watch'
              ? 'At full load it may trip.'
              : 'It takes what full load asks.',
        remedies: () => {
          const inA = converter.inA ?? range(0);
          return [...fewerWatts(plan, state, (after) => subtract(inA, after.amps), inA.lo * 0.1)];
        },
      }),
    );
  if (converter.outA !== undefined) {
    const out = range(watts.lo / converter.outV.hi, watts.hi / converter.outV.lo);
    found.push(
      gap({
        ...base('converter-out', 'amps out of the converter', supply),
        seats: [into.seat, state.tap?.seat ?? 'board'],
        unit: 'A',
        terms: [
          term('outAmps', 'gives', converter.outA),
          {
            ...plain(`${state.tap ? 'it feeds' : 'machine draws'} at full load`, out, -1),
            how: 'class',
          },
        ],
        minimumMargin: converter.outA.lo * 0.1,
        short: 'short',
        say: (_, mark) =>
          mark === 'clear'
            ? 'It gives what full load asks.'
            : 'Full load asks as much as it gives, or more.',
      }),
    );
  }
  return found;
}

/** The fuse must hold at full load for ever, and blow before the wire is harmed. */
function fuseLoad(state: FeedState): Finding[] {
  const { feed, amps } = state;
  const supply = leadAt(state);
  const { fuseA } = feed;
  const found: Finding[] = [];
  if (feed.source === 'battery' && fuseA === undefined)
    found.push({
      ...base('fuse-none', 'fuse at the battery', supply),
      mark: 'watch',
      unit: '',
      terms: [
        {
          ...plain('fuse', '?', 0),
          input: { partId: supply.part.id, key: 'fuse', seat: supply.seat },
        },
      ],
      marginLabel: 'not known',
      say: 'No fuse was said. A battery without one sets its lead on fire: fit it at the battery end.',
      remedies: [],
    });
  if (fuseA === undefined) return found;
  found.push(
    gap({
      ...base('fuse-load', 'fuse at full load', supply),
      unit: 'A',
      terms: [
        {
          ...plain('fuse', fuseA, 1),
          input: { partId: supply.part.id, key: 'fuse', seat: supply.seat },
        },
        { ...plain(`full load, ${FUSE_LOAD} times`, scale(amps, FUSE_LOAD), -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'over',
      lack: 'mend',
      source: fuseSource,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The fuse holds. Its DC rating must lie above the volts, and it must break 1 kA.'
          : 'Full load comes near the fuse or over it: it blows in time.',
    }),
  );
  return found;
}

function fuseWire(state: FeedState): Finding[] {
  const { feed } = state;
  const supply = leadAt(state);
  const { fuseA, awg } = feed;
  if (fuseA === undefined || awg === undefined) return [];
  return [
    gap({
      ...base('fuse-wire', 'fuse against the wire', supply),
      unit: 'A',
      terms: [
        {
          ...plain(`AWG ${awg}, largest fuse, bundled or open`, fuseFor(awg), 1),
          input: { partId: supply.part.id, key: 'feedAwg', seat: supply.seat },
        },
        plain('fuse', fuseA, -1),
      ],
      minimumMargin: 0,
      short: 'over',
      source: fuseSource,
      say: (_, mark) =>
        mark === 'stop'
          ? `A fuse carries ${FUSE_CARRIES} times its rating for up to an hour: the wire burns first. A smaller fuse or a thicker wire.`
          : mark === 'watch'
            ? 'It may save the wire while that lies alone in open air; in a bundle or in PVC it does not.'
            : 'The fuse blows before the wire is harmed.',
    }),
  ];
}

/** The wire of a line that collapses: what it would take at its plain volts is the least that is asked of it. */
function wireAtLeast(plan: Plan, { feed, supply, wantedW }: FeedState): Finding[] {
  const { awg, lengthMm } = feed;
  if (awg === undefined) return [];
  const asked = range(wantedW.lo / feed.volts.hi, wantedW.hi / feed.volts.lo);
  const carries = wireSpan(awg, 2);
  if (asked.lo <= carries.hi) return [];
  return [
    gap({
      ...base('feed-wire-least', 'wire of the lead', supply),
      unit: 'A',
      terms: [
        plain(`AWG ${awg} carries`, carries, 1),
        { ...plain('asked at its plain volts', asked, -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'over',
      source: wireSource,
      say: () => 'The wire gets hot before the volts fall: a thicker one.',
      remedies: () =>
        [18, 16, 14, 12, 10, 8, 6]
          .filter((each) => each < awg && wireSpan(each, 2).lo >= asked.hi)
          .slice(0, 2)
          .map((each) =>
            offer(
              plan,
              thickerLead({ awg: each, ...(lengthMm && { leadMm: lengthMm.hi }) }),
              'watch',
            ),
          ),
    }),
  ];
}

function leadWire(state: FeedState): Finding[] {
  const { feed, amps } = state;
  const supply = leadAt(state);
  const { awg } = feed;
  if (awg === undefined) return [];
  const bears = wireSpan(awg, 2);
  const known = wireAlone[awg] !== undefined;
  if (amps.hi < bears.lo * 0.5) return [];
  return [
    gap({
      ...base('feed-wire', 'wire of the lead', supply),
      about: { of: 'branch', branch: 'lead' },
      unit: 'A',
      terms: [
        plain(`AWG ${awg} carries`, bears, 1),
        { ...plain('full load', amps, -1), how: 'class' },
      ],
      minimumMargin: bears.lo * 0.1,
      short: 'over',
      source: wireSource,
      say: (_, mark) =>
        mark === 'clear'
          ? 'The wire carries it.'
          : known || mark === 'stop'
            ? 'The wire gets hot: a thicker one.'
            : `No table here has a figure for AWG ${awg}: look it up at its maker's, or take a thicker one.`,
    }),
  ];
}

function tip(plan: Plan, { supply, amps }: FeedState): Finding[] {
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
function jack(plan: Plan, { supply }: FeedState): Finding[] {
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
function identity(plan: Plan, { supply }: FeedState): Finding[] {
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
