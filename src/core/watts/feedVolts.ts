import type { NumberKey } from '../model/properties/index.ts';
import type { Finding, Term } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf } from '../findings/terms.ts';
import { numberAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { add, range, subtract, type Range } from '../units/range.ts';
import { trim } from '../units/length.ts';
import { base } from './feedBase.ts';
import { fewerWatts, thickerLeads, type FeedState } from './feedState.ts';

/** Volts of a machine on one voltage: what the line carries, the label, the board, the converter. */

/**
 * Where the line cannot carry the power at all: volts fall and amps rise until it collapses. Most
 * that ohms R pass on from V volts is V² / 4R.
 */
export function lineCarries({ supply, wantedW, feed }: FeedState): Finding[] {
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
export function labelOf(plan: Plan, state: FeedState): Finding[] {
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
export function boardVolts(plan: Plan, state: FeedState): Finding[] {
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
export function converterIn(plan: Plan, state: FeedState): Finding[] {
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
