import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { isApplied, listAt, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range } from '../units/range.ts';
import { offer } from '../remedies/offer.ts';
import { toFrame } from '../remedies/toFrame.ts';

/** Covers should lift without leads attached: what hangs on the lid with a lead pulls it out (common practice, no source). */
export function cover(plan: Plan): Finding[] {
  const shell = partOfKind(plan, 'case');
  const onLid = (shell && listAt(plan, shell, 'onLid')?.items) ?? [];
  if (!shell || onLid.length === 0) return [];
  const moved = isApplied(plan, toFrame());
  return [
    gap({
      id: 'cover',
      station: 'fit',
      title: 'lid lifts without leads',
      seats: ['case'],
      unit: '',
      terms: [
        plain(
          moved ? 'moved to the frame' : 'with a plug to part',
          range(moved ? onLid.length : 0),
          1,
        ),
        plain(`on the lid: ${onLid.join(', ')}`, range(onLid.length), -1),
      ],
      minimumMargin: 0,
      short: 'held by leads',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 10,
      say: (_rest, mark) =>
        mark === 'clear'
          ? 'The lid lifts off by itself.'
          : 'Whoever lifts the lid pulls leads: mount these on the frame, or leave slack and a plug.',
      remedies: () => (moved ? [] : [offer(plan, toFrame({ count: onLid.length }), 'watch')]),
    }),
  ];
}
