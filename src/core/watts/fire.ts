import type { Finding, Mark } from '../findings/finding.ts';
import { wordOf } from '../findings/terms.ts';
import {
  isSort,
  partsOfKind,
  sortOf,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { plugNameIn } from '../model/lookup/ownPlugs.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { commonPractice } from '../standards/source.ts';
import { risers } from '../model/properties/smallSorts.ts';

/** What burns however the machine is fed: moulded splitters, and risers that ask 75 W of a drive plug (common practice, no source). */
export function fire(plan: Plan): Finding[] {
  return partsOfKind(plan, 'small').flatMap((placed): Finding[] => {
    const plug = textAt(plan, placed, 'plug')?.text;
    if (sortOf(plan, placed) === 'moulded SATA splitter')
      return [
        finding(plan, placed, 'stop', 'A moulded splitter is a fire risk: crimped ones only.'),
      ];
    if (!isSort(plan, placed, risers)) return [];
    /* A plain riser or a ribbon has no plug: what it passes comes from the slot. */
    if (plug === undefined && sortOf(plan, placed) !== 'powered riser') return [];
    if (plug === undefined)
      return [
        finding(
          plan,
          placed,
          'watch',
          'Which plug feeds the riser has not been said: a SATA plug would burn, a card plug of the PSU is right.',
        ),
      ];
    if (plug === 'sata')
      return [
        finding(
          plan,
          placed,
          'stop',
          'A riser asks up to 75 W and a SATA plug carries 54: a fire risk. Feed it from a card plug of the PSU.',
        ),
      ];
    return plug === 'drive4'
      ? [
          finding(
            plan,
            placed,
            'watch',
            'A riser asks up to 75 W of a 4-pin peripheral plug: that plug alone on its lead, and felt for warmth after ten minutes. A card plug is better.',
          ),
        ]
      : [];
  });
}

function finding(plan: Plan, placed: Placed, mark: Mark, say: string): Finding {
  const plug = textAt(plan, placed, 'plug');
  const side = (key: 'sort' | 'plug', label: string, value: string) => ({
    ...wordOf(placed, key, label, undefined),
    value,
    sign: 0 as const,
  });
  return {
    id: `fire-${placed.seat}`,
    station: 'watts',
    mark,
    title: placed.part.name,
    seats: [placed.seat],
    unit: '',
    terms: [
      side('sort', 'what it is', sortOf(plan, placed) ?? '?'),
      side('plug', 'fed from', plug ? plugNameIn(plugsOf(plan), plug.text) : '?'),
    ],
    marginLabel: mark === 'stop' ? 'fire risk' : plug ? 'feel it' : 'not known',
    say,
    source: commonPractice,
    remedies: [],
    undoMinutes: 240,
  };
}
