import type { NumberKey } from '../model/properties/index.ts';
import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, termOf, wordOf } from '../findings/terms.ts';
import {
  partsOfKind,
  numberAt,
  partOfKind,
  textAt,
  type Placed,
  type Plan,
} from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range, total } from '../units/range.ts';
import { drawsOf, feedOf, isDcBoard, isSingleFeed, type Rail } from './tree/index.ts';

/** A small board that makes the rails of one voltage: does the source reach its 12 V rail, and does it carry the small rails? */
export function dcBoard(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  if (!supply || !isSingleFeed(plan, supply)) return [];
  const placed = partsOfKind(plan, 'small').find((each) => isDcBoard(plan, each));
  if (!placed) return [];
  return [...straight(plan, supply, placed), ...smallRails(plan, placed)];
}

/** ATX12V: 12 V within 5 %. */
const TOLERANCE = 0.05;

/** A plain board passes its input on as 12 V: 19 V there destroy drives, fans and cards. */
function straight(plan: Plan, supply: Placed, placed: Placed): Finding[] {
  const volts = feedOf(plan, supply)?.volts;
  if (!volts) return [];
  const told = textAt(plan, placed, 'straight');
  const within = volts.lo >= 12 * (1 - TOLERANCE) && volts.hi <= 12 * (1 + TOLERANCE);
  const never = volts.lo > 12 * (1 + TOLERANCE) || volts.hi < 12 * (1 - TOLERANCE);
  const mark =
    within || told?.text === 'no' ? 'clear' : told?.text === 'yes' && never ? 'stop' : 'watch';
  return [
    {
      id: 'dc-straight',
      station: 'watts',
      mark,
      title: `${volts.hi} V and the 12 V rail`,
      seats: [supply.seat, placed.seat],
      unit: '',
      terms: [
        plain('source', `${volts.lo === volts.hi ? volts.hi : `${volts.lo} to ${volts.hi}`} V`, 0),
        {
          ...wordOf(placed, 'straight', '12 V straight through', told),
          value: told?.text ?? '?',
          sign: 0,
        },
      ],
      marginLabel: mark === 'clear' ? 'apart' : mark === 'stop' ? 'joined' : 'not known',
      say:
        mark === 'clear'
          ? within
            ? 'What comes in is 12 V within 5 %.'
            : 'It makes its 12 V itself: what comes in does not reach the rail.'
          : mark === 'stop'
            ? `It passes its input on: ${volts.hi} V on the 12 V rail destroy what hangs there. A wide-input board, or a 12 V source.`
            : `Is it a wide-input board? A plain one would put ${volts.hi} V on the 12 V rail. Beep input against 12 V, and give the first power through a current limit.`,
      source: commonPractice,
      remedies: [],
      undoMinutes: 240,
    },
  ];
}

/** The 5 and 3.3 V it makes, against its own label. */
function smallRails(plan: Plan, placed: Placed): Finding[] {
  const draws = drawsOf(plan);
  const rails: readonly { key: NumberKey; rail: Rail; volts: number }[] = [
    { key: 'out5Amps', rail: '5 V', volts: 5 },
    { key: 'out33Amps', rail: '3.3 V', volts: 3.3 },
  ];
  return rails.flatMap(({ key, rail, volts }) => {
    const label = numberAt(plan, placed, key);
    if (!label) return [];
    const watts = total(draws.flatMap((draw) => (draw.rail === rail ? [draw.watts.full] : [])));
    return gap({
      id: `dc-${key}`,
      station: 'watts',
      title: `${rail} of the small board`,
      seats: [placed.seat],
      unit: 'A',
      terms: [
        termOf(placed, key, `label, ${rail}`, 1, label),
        { ...plain('parts draw', range(watts.lo / volts, watts.hi / volts), -1), how: 'class' },
      ],
      minimumMargin: label.lo * 0.1,
      short: 'short',
      source: commonPractice,
      undoMinutes: 60,
      say: (_, mark) =>
        mark === 'clear'
          ? `It carries ${rail}.`
          : `${rail} is asked for as much as it gives, or more.`,
    });
  });
}
