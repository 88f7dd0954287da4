import type { Remedy } from '../findings/finding.ts';
import { numberAt, partOfKind, type Placed, type Plan } from '../model/lookup/plan.ts';
import { withApplied } from '../model/lookup/reads.ts';
import { range, type Range } from '../units/range.ts';
import { wireOhmPerM } from '../units/wire.ts';
import {
  boardW,
  drawsOf,
  feedAmps,
  feedCorner,
  tapLead,
  type Feed,
  type FeedCorner,
  type Tap,
} from './tree/index.ts';
import { limitWatts } from '../remedies/limitWatts.ts';
import { offer } from '../remedies/offer.ts';
import { thickerLead } from '../remedies/thickerLead.ts';

/** The line of a machine on one voltage at full load, and what changes it. */
export interface FeedState {
  feed: Feed;
  supply: Placed;
  /** A branch of its own, tapped beside the board's. */
  tap?: Tap;
  /** Into the board, or out of the tapped converter. */
  watts: Range;
  /** Out of every tapped converter. */
  tapped: readonly Range[];
  amps: Range;
  /** Of the source in all, with what is tapped beside the board. */
  totalA: Range;
  arrives: Range;
  givenW: Range;
  wantedW: Range;
}

/** The line at full load over all ranges. */
export function stateOf(
  feed: Feed,
  supply: Placed,
  watts: Range,
  tapped: readonly Range[] = [],
): { low: FeedCorner; state: FeedState; taps: FeedState[] } {
  const low = feedCorner(feed, watts, 'lo', tapped);
  const high = feedCorner(feed, watts, 'hi', tapped);
  const arrivesAt = (node: string) =>
    range(
      high.solved.ok ? (high.solved.volts[node] ?? 0) : feed.volts.lo / 2,
      low.solved.ok ? (low.solved.volts[node] ?? 0) : feed.volts.hi,
    );
  const state: FeedState = {
    feed,
    supply,
    watts,
    tapped,
    amps: feedAmps(feed, low, high),
    totalA: feedAmps(feed, low, high, 'inside'),
    arrives: arrivesAt('machine'),
    givenW: range(
      low.solved.ok ? (low.solved.givenW['source'] ?? 0) : 0,
      high.solved.ok ? (high.solved.givenW['source'] ?? 0) : high.wantedW * 2,
    ),
    wantedW: range(low.wantedW, high.wantedW),
  };
  const taps = feed.taps.map((tap, i): FeedState => ({
    ...state,
    tap,
    feed: { ...feed, ...tap, taps: [] },
    watts: tapped[i] ?? range(0),
    amps: feedAmps(feed, low, high, tapLead(i)),
    arrives: arrivesAt(tapLead(i)),
    wantedW: range(low.tapsW[i] ?? 0, high.tapsW[i] ?? 0),
  }));
  return { low, state, taps };
}

/** Processors held to fewer watts, each limit worked out again with what it leaves. */
export function fewerWatts(
  plan: Plan,
  state: FeedState,
  restOf: (after: FeedState) => Range,
  margin: number,
): Remedy[] {
  const processor = partOfKind(plan, 'processor');
  const said = processor && numberAt(plan, processor, 'watts');
  if (!processor || !said) return [];
  return LIMITS_W.filter((watts) => watts < said.hi)
    .map((watts) => {
      const limit = limitWatts({ seat: processor.seat, watts });
      const held = drawsOf(withApplied(plan, [...plan.applied, limit]));
      const { state: after } = stateOf(
        state.feed,
        state.supply,
        boardW(held, 'full'),
        state.tapped,
      );
      const rest = restOf(after);
      return { ...offer(plan, limit, rest.hi < 0 ? 'stop' : 'watch'), margin: rest };
    })
    .filter((remedy) => remedy.margin.hi >= 0 || remedy.margin.lo >= margin)
    .slice(0, 2);
}

/** Limits a firmware or a tool sets (common practice, no source). */
const LIMITS_W = [95, 65, 54, 45, 35, 25];

/** Thicker wire of the same length, each worked out again with the volts it leaves over the least. */
export function thickerLeads(plan: Plan, state: FeedState, leastV: number): Remedy[] {
  const { feed, supply } = state;
  const { awg, lengthMm } = feed;
  if (awg === undefined || !lengthMm) return [];
  return [14, 12, 10, 8, 6]
    .filter((each) => each < awg)
    .map((each) => {
      const ratio = wireOhmPerM(each) / wireOhmPerM(awg);
      const thicker = {
        ...feed,
        awg: each,
        leadOhm: range(feed.leadOhm.lo * ratio, feed.leadOhm.hi * ratio),
      };
      const { state: after } = stateOf(thicker, supply, state.watts, state.tapped);
      const rest = range(after.arrives.lo - leastV, after.arrives.hi - leastV);
      const lead = thickerLead({ awg: each, leadMm: lengthMm.hi });
      return { ...offer(plan, lead, rest.lo >= 0 ? 'clear' : 'watch'), margin: rest };
    })
    .filter((remedy) => remedy.margin.lo > state.arrives.lo - leastV)
    .slice(0, 3);
}
