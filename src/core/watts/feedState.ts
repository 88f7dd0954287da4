import type { Remedy } from '../findings/finding.ts';
import { numberAt, partOfKind, type Placed, type Plan } from '../model/lookup/plan.ts';
import { withApplied } from '../model/lookup/reads.ts';
import { range, type Range } from '../units/range.ts';
import { wireOhmPerM } from '../units/wire.ts';
import { boardW, drawsOf, feedAmps, feedCorner, type Feed, type FeedCorner } from './tree/index.ts';
import { limitWatts } from '../remedies/limitWatts.ts';
import { offer } from '../remedies/offer.ts';
import { thickerLead } from '../remedies/thickerLead.ts';

/** The line of a machine on one voltage at full load, and what changes it. */
export interface FeedState {
  feed: Feed;
  supply: Placed;
  /** Into the board. */
  watts: Range;
  amps: Range;
  arrives: Range;
  givenW: Range;
  wantedW: Range;
}

/** The line at full load over all ranges. */
export function stateOf(
  feed: Feed,
  supply: Placed,
  watts: Range,
): { low: FeedCorner; state: FeedState } {
  const [low, high] = [feedCorner(feed, watts, 'lo'), feedCorner(feed, watts, 'hi')];
  const state: FeedState = {
    feed,
    supply,
    watts,
    amps: feedAmps(feed, low, high),
    arrives: range(
      high.solved.ok ? (high.solved.volts['machine'] ?? 0) : feed.volts.lo / 2,
      low.solved.ok ? (low.solved.volts['machine'] ?? 0) : feed.volts.hi,
    ),
    givenW: range(
      low.solved.ok ? (low.solved.givenW['source'] ?? 0) : 0,
      high.solved.ok ? (high.solved.givenW['source'] ?? 0) : high.wantedW * 2,
    ),
    wantedW: range(low.wantedW, high.wantedW),
  };
  return { low, state };
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
      const { state: after } = stateOf(state.feed, state.supply, boardW(held, 'full'));
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
      const { state: after } = stateOf(thicker, supply, state.watts);
      const rest = range(after.arrives.lo - leastV, after.arrives.hi - leastV);
      const lead = thickerLead({ awg: each, leadMm: lengthMm.hi });
      return { ...offer(plan, lead, rest.lo >= 0 ? 'clear' : 'watch'), margin: rest };
    })
    .filter((remedy) => remedy.margin.lo > state.arrives.lo - leastV)
    .slice(0, 3);
}
