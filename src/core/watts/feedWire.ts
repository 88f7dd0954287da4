import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { type Plan } from '../model/lookup/plan.ts';
import {
  FUSE_CARRIES,
  FUSE_LOAD,
  fuseFor,
  fuseSource,
  wireAlone,
  wireSource,
  wireSpan,
} from '../standards/wire.ts';
import { range, scale } from '../units/range.ts';
import { offer } from '../remedies/offer.ts';
import { thickerLead } from '../remedies/thickerLead.ts';
import { base, leadAt } from './feedBase.ts';
import type { FeedState } from './feedState.ts';

/** Fuse and wire of a machine on one voltage. */

/** The fuse must hold at full load for ever, and blow before the wire is harmed. */
export function fuseLoad(state: FeedState): Finding[] {
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

export function fuseWire(state: FeedState): Finding[] {
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
export function wireAtLeast(plan: Plan, { feed, supply, wantedW }: FeedState): Finding[] {
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

export function leadWire(state: FeedState): Finding[] {
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
