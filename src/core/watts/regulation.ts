import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain, wordOf } from '../findings/terms.ts';
import { numberAt, partOfKind, textAt, type Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { range, total } from '../units/range.ts';
import { treeOf, type Rail } from './tree/index.ts';

/** A group-regulated supply wants at least this share of its load on 5 V, or that rail climbs (common practice, no source). */
const LEAST_SHARE = range(0.05, 0.1);
/** Supplies as old may be group-regulated where nobody looked. */
const OLD_YEARS = 10;

/** 12 and 5 V by one choke: load on 12 V alone lifts 5 V over its tolerance. */
export function groupRegulation(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  if (!supply) return [];
  const said = textAt(plan, supply, 'regulation');
  const years = numberAt(plan, supply, 'years');
  const may = said ? said.text === 'group' : (years?.hi ?? 0) >= OLD_YEARS;
  const tree = may ? treeOf(plan, 'full') : undefined;
  if (!tree || said?.text === 'each rail') return [];
  const wattsOf = (rail: Rail) =>
    total(
      tree.draws
        .filter((draw) => draw.rail === rail && tree.on.has(draw.id))
        .map((draw) => draw.watts.full),
    );
  const [five, twelve] = [wattsOf('5 V'), wattsOf('12 V')];
  if (twelve.hi <= 0) return [];
  const share = range(
    five.lo / Math.max(1e-9, five.lo + twelve.hi),
    five.hi / Math.max(1e-9, five.hi + twelve.lo),
  );
  const percent = (each: { lo: number; hi: number }) => range(each.lo * 100, each.hi * 100);
  return [
    gap({
      id: 'regulation',
      station: 'watts',
      title: '5 V beside a load on 12 V',
      seats: [supply.seat],
      unit: '%',
      terms: [
        { ...wordOf(supply, 'regulation', 'regulation', said), value: said?.text ?? '?', sign: 0 },
        { ...plain('share of the load on 5 V', percent(share), 1), how: 'class' },
        plain('wanted of one choke for both', percent(LEAST_SHARE), -1),
      ],
      minimumMargin: 0,
      short: 'below',
      lack: 'watch',
      source: commonPractice,
      undoMinutes: 30,
      say: (_, mark) =>
        mark === 'clear'
          ? 'Enough hangs on 5 V to hold it down.'
          : 'Group-regulated, with nearly all of the load on 12 V, 5 V may climb over 5.25 V: measure it at a drive plug under full load before drives are trusted to it.',
    }),
  ];
}
