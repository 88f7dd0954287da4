import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { listAt, partOfKind, type Placed, type Plan } from '../model/lookup/plan.ts';
import type { How } from '../model/types/fact.ts';
import type { RailAmps } from '../model/types/shapes.ts';
import { range, total, type Range } from '../units/range.ts';
import type { Source } from '../standards/source.ts';
import { treeOf, type Lead } from './tree/index.ts';

const source: Source = {
  title: 'ATX12V power supply design guide',
  clause: 'several 12 V rails, 240 VA each',
  memory: true,
};

type Group = NonNullable<RailAmps['feeds']>;
const groupOf: Record<Lead['over'], Group> = {
  processor: 'CPU',
  card: 'card',
  main: 'rest',
  drive: 'rest',
};
const groupName: Record<Group, string> = { CPU: 'CPU plug', card: 'card plugs', rest: 'the rest' };

/** 12 V rails with limits of their own: each against what hangs on it, as far as the label says which. */
export function twelveVoltRails(plan: Plan): Finding[] {
  const supply = partOfKind(plan, 'supply');
  const told = supply && listAt(plan, supply, 'rails12');
  const tree = supply && told && treeOf(plan, 'full');
  if (!supply || !told || !tree || told.items.length < 2) return [];
  const drawn = new Map<Group, Range>();
  for (const lead of tree.leads) {
    const amps = tree.branches.find((each) => each.id === `12 V ${lead.id}`)?.amps;
    if (!amps) continue;
    const group = groupOf[lead.over];
    drawn.set(group, total([drawn.get(group) ?? range(0), amps]));
  }
  if (drawn.size === 0) return [];
  const unsaid = told.items.filter((each) => !each.feeds);
  const found = [...drawn].flatMap(([group, amps]) => {
    const own = told.items.filter((each) => each.feeds === group);
    if (own.length === 0) return [];
    return [onRails(supply, group, own, amps, told.how)];
  });
  const open = [...drawn].filter(([group]) => !told.items.some((each) => each.feeds === group));
  return open.length === 0 || unsaid.length === 0
    ? found
    : [...found, unsaidRails(supply, unsaid, open, told.how)];
}

const base = (supply: Placed) => ({
  station: 'watts' as const,
  seats: [supply.seat],
  unit: 'A',
  short: 'short',
  source,
  undoMinutes: 30,
});

function onRails(
  supply: Placed,
  group: Group,
  rails: readonly RailAmps[],
  amps: Range,
  how: How,
): Finding {
  const sum = rails.reduce((all, each) => all + each.amps, 0);
  const several = rails.length > 1 ? `${rails.length} rails` : 'rail';
  return gap({
    ...base(supply),
    id: `rail12:${group}`,
    title: `12 V ${several} of ${groupName[group]}`,
    terms: [
      {
        ...plain(`label, ${several}`, range(sum), 1),
        how,
        input: { partId: supply.part.id, key: 'rails12', seat: supply.seat },
      },
      { ...plain(`${groupName[group]} draw${group === 'CPU' ? 's' : ''}`, amps, -1), how: 'class' },
    ],
    minimumMargin: 0.1 * sum,
    say: (_, mark) =>
      mark === 'clear'
        ? `Its 12 V ${several} carr${rails.length > 1 ? 'y' : 'ies'} it.`
        : mark === 'stop'
          ? 'That rail cuts out, whatever the label allows in all: move a plug to another rail, or take a PSU with one rail.'
          : 'That rail may cut out before the PSU as a whole is full.',
  });
}

/** Which plugs hang on which rail nobody said: any of them may be on any, several on one. */
function unsaidRails(
  supply: Placed,
  rails: readonly RailAmps[],
  open: readonly (readonly [Group, Range])[],
  how: How,
): Finding {
  const amps = rails.map((each) => each.amps);
  const least = Math.min(...open.map(([, each]) => each.lo));
  const all = total(open.map(([, each]) => each));
  const names = open.map(([group]) => groupName[group]).join(', ');
  return gap({
    ...base(supply),
    id: 'rail12:unsaid',
    title: 'plugs on the 12 V rails',
    terms: [
      {
        ...plain('one rail', range(Math.min(...amps), Math.max(...amps)), 1),
        how,
        input: { partId: supply.part.id, key: 'rails12', seat: supply.seat },
      },
      { ...plain(`on one rail: ${names}`, range(least, all.hi), -1), how: 'class' },
    ],
    minimumMargin: 0,
    say: (_, mark) =>
      mark === 'clear'
        ? 'Even all of them on one rail are carried.'
        : mark === 'stop'
          ? 'Even the least of them is more than any one rail carries.'
          : 'Which plug hangs on which 12 V rail is not said: read the table on its label, or the sleeves at the lead sockets.',
  });
}
