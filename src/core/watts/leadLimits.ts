import type { Finding } from '../findings/finding.ts';
import { gap, markOf, worthSaying } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import { partsOfKind, partOfKind, type Plan } from '../model/lookup/plan.ts';
import { atLoad, contactA, slotW } from '../standards/plugs/index.ts';
import type { Source } from '../standards/source.ts';
import { wireA } from '../standards/wire.ts';
import { range, subtract, type Range } from '../units/range.ts';
import {
  contactLimit,
  isFan,
  ampsLeft,
  railVolts,
  treeOf,
  worstShare,
  type Branch,
  type Lead,
  type Rail,
  type Tree,
} from './tree/index.ts';
import { hasBudget } from './cardBudget.ts';
import { slotPower } from './slotPower.ts';
import { hangOn } from '../remedies/hangOn.ts';
import { offer } from '../remedies/offer.ts';

/** Ways of the housing a drive lead has at the supply (common practice, no source). */
const DRIVE_HOUSING = 6;
/** Leads that use less than this of what they bear are not worth a line. */
const WORTH = 0.3;

/** The worst contact of every lead at full load, and fire risks. */
export function leadLimits(plan: Plan): Finding[] {
  const tree = treeOf(plan, 'full');
  if (!tree) return [];
  return judged(tree).flatMap((lead) => contactOf(plan, tree, lead));
}

const judged = (tree: Tree): Lead[] => tree.leads.filter((lead) => !lead.missing);

const branchesOf = (tree: Tree, lead: Lead): { rail: Rail; branch: Branch }[] =>
  tree.branches.flatMap((branch) =>
    branch.lead === lead.id ? [{ rail: branch.parent as Rail, branch }] : [],
  );

/** Amps of the tightest place of a lead, and what it bears: one wire for all plugs of a drive lead, else the worst contact. */
function loadOf(
  lead: Lead,
  rail: Rail,
  amps: Range = range(0),
): { bears: number; need: Range; what: string } {
  /* All plugs of a drive lead hang on one contact at the supply, of a housing of six or so. */
  if (lead.sharedWire)
    return {
      bears: Math.min(wireA(lead.awg, 5), contactA(DRIVE_HOUSING, lead.awg)),
      need: amps,
      what: 'contact at the PSU',
    };
  const n = lead.feeds[rail] ?? 1;
  return {
    bears: contactLimit(lead),
    need: range(amps.lo / n, amps.hi * worstShare(lead, rail)),
    what: `contact of ${n}`,
  };
}

function contactOf(plan: Plan, tree: Tree, lead: Lead): Finding[] {
  const found = branchesOf(tree, lead).map(({ rail, branch }) => ({
    rail,
    ...loadOf(lead, rail, branch.amps),
  }));
  const seats = [
    ...new Set(
      tree.draws.filter((draw) => tree.on.get(draw.id) === lead.id).map((draw) => draw.seat),
    ),
  ];
  return found.flatMap(({ rail, bears, need, what }) =>
    need.hi < bears * WORTH
      ? []
      : gap({
          id: `lead-${lead.id}-${rail}`,
          about: { of: 'branch', branch: `${rail} ${lead.id}` },
          station: 'watts',
          title: `${lead.label}, ${rail}`,
          seats: ['supply', ...seats],
          unit: 'A',
          terms: [
            { ...plain(`one ${what} carries`, range(bears), 1), how: 'class' },
            { ...plain('it may carry', need, -1), how: 'class' },
          ],
          minimumMargin: 0,
          short: 'over',
          source: lead.plug.source,
          undoMinutes: 30,
          say: (_, mark) =>
            mark === 'stop'
              ? `${lead.label}: at least ${need.lo.toFixed(1)} A of ${bears.toFixed(1)} A on ${rail}. It gets hot: move a load to another lead.`
              : mark === 'watch'
                ? `${lead.label}: up to ${need.hi.toFixed(1)} A of ${bears.toFixed(1)} A when one contact is better than the others.`
                : `${lead.label} carries it.`,
          remedies: () => moves(plan, tree, lead, rail, bears),
        }),
  );
}

/** Which load onto which other lead, each worked out again with what it leaves there. */
function moves(plan: Plan, tree: Tree, lead: Lead, rail: Rail, bears: number): Finding['remedies'] {
  const movable = tree.draws
    .filter(
      (draw) =>
        tree.on.get(draw.id) === lead.id &&
        draw.rail === rail &&
        (draw.over === 'drive' || isFan(draw)),
    )
    .sort((a, b) => b.watts.full.hi - a.watts.full.hi);
  return movable.slice(0, 2).flatMap((draw) => {
    const others = tree.leads.filter(
      (other) =>
        other.id !== lead.id &&
        other.feeds[rail] !== undefined &&
        (other.over === 'drive' || (other.id === 'main' && isFan(draw))),
    );
    const [first] = others;
    if (!first) return [];
    /* What it leaves here hangs on the load alone, not on where it goes. */
    const left = ampsLeft(tree, rail, lead.id, { seat: draw.seat, to: first.id });
    const { need } = loadOf(lead, rail, left);
    const rest = subtract(range(bears), need);
    return others.map((other) =>
      offer(plan, hangOn({ seat: draw.seat, lead: other.id }), markOf(rest, 0), rest),
    );
  });
}

/**
 * Share of the nominal volts a lead may lose: the guides' 5 % hold at the PSU's own plug, the card's 8 % at the card, and
 * the PSU takes part of both: 2 to 3 % are left (common practice, no source). `most`: what the load stands in all.
 */
const allowed: Record<Lead['over'], { share: number; most: number; source: Source }> = {
  main: {
    share: 0.025,
    most: 0.05,
    source: { title: 'ATX12V power supply design guide', memory: true },
  },
  /* The board's own converter takes a wide 12 V. */
  processor: {
    share: 0.05,
    most: 0.05,
    source: { title: 'EPS12V power supply design guide', memory: true },
  },
  card: {
    share: 0.03,
    most: atLoad.cardPlug.under,
    source: { title: 'PCI Express Card Electromechanical specification', memory: true },
  },
  drive: { share: 0.02, most: 0.05, source: { title: 'Serial ATA specification', memory: true } },
};

/** Volts lost on the way to every lead's plug, where they come near what the load stands. */
export function leadDrops(plan: Plan): Finding[] {
  const tree = treeOf(plan, 'full');
  if (!tree) return [];
  return judged(tree).flatMap((lead) =>
    branchesOf(tree, lead).flatMap(({ rail, branch }) => {
      const nominal = railVolts[rail];
      const { share, most, source } = allowed[lead.over];
      const drop = subtract(range(nominal), branch.volts ?? range(nominal));
      if (drop.lo <= 0 && drop.hi >= nominal / 2) return [];
      const found = gap({
        id: `drop-${lead.id}-${rail}`,
        station: 'watts',
        title: `volts at the end of the ${lead.label}`,
        seats: ['supply'],
        unit: 'V',
        terms: [
          plain(`may lose, ${Math.round(share * 100)} % of ${rail}`, range(nominal * share), 1),
          { ...plain('loses in wire and contacts', drop, -1), how: 'class' },
        ],
        minimumMargin: 0,
        short: 'too low',
        lack: drop.lo > nominal * most ? 'stop' : 'watch',
        source,
        undoMinutes: 30,
        say: (rest, mark) =>
          mark === 'stop'
            ? `${(nominal - drop.lo).toFixed(2)} V at best arrive. Shorter or thicker leads, or fewer loads on it.`
            : mark === 'watch'
              ? `Down to ${(nominal - drop.hi).toFixed(2)} V may arrive: more than the lead's share of what the load stands.`
              : 'Enough arrives.',
      });
      /* That a lead brings its volts is no news. */
      return found.mark !== 'clear' && worthSaying(found) ? [found] : [];
    }),
  );
}

/** What a card takes from its slot, while nobody said both its watts and its plugs. */
export function slotLimits(plan: Plan): Finding[] {
  const tree = treeOf(plan, 'full');
  if (!tree || !partOfKind(plan, 'board')) return [];
  return partsOfKind(plan, 'card').flatMap((placed) => {
    const draw = tree.draws.find((each) => each.id === `${placed.seat} slot`);
    if (!draw || hasBudget(plan, placed)) return [];
    const need: Range = draw.watts.full;
    return gap({
      id: `slot-${placed.seat}`,
      about: { of: 'branch', branch: `${placed.seat} slot` },
      station: 'watts',
      title: 'slot power',
      seats: ['board', placed.seat],
      unit: 'W',
      terms: [
        plain('slot provides', slotPower(plan, placed), 1),
        { ...plain('card takes there', need, -1), how: 'class' },
      ],
      minimumMargin: 0,
      short: 'over',
      source: slotW.source,
      undoMinutes: 30,
      say: (rest, mark) =>
        mark === 'stop'
          ? 'It asks more of the slot than that gives.'
          : mark === 'watch'
            ? "It may ask more of the slot than that gives: read the card's label, and what the maker of the board allows."
            : 'The slot provides what the card draws there.',
    });
  });
}
