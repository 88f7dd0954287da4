import {
  appliedOf,
  numberAt,
  partOfKind,
  type Placed,
  type Plan,
} from '../../model/lookup/plan.ts';
import { keptByReads } from '../../model/lookup/reads.ts';
import { goesAs } from '../../standards/plugs/index.ts';
import { add, range, subtract, total, type Range } from '../../units/range.ts';
import { solve, type Load, type Net, type Resistor, type Solved } from '../network/index.ts';
import { cardsDraws, drawsOf, mapStates } from './draws.ts';
import { wallOf } from './efficiencyOf.ts';
import { feedTree, isSingleFeed } from './feed.ts';
import { leadsOf, loopOhm } from './leads.ts';
import { cardsOwnSupply, withSecond } from './second.ts';
import {
  type Branch,
  type Draw,
  type Lead,
  type Rail,
  type State,
  type Tree,
  isFan,
  railNames,
  railVolts,
} from './types.ts';

/** Ohms inside a supply between its regulator and its leads (common practice, no source). */
const INSIDE_OHM = range(0.001, 0.004);

const grown = new Map<State, (plan: Plan) => Tree | undefined>();

/** The tree of a plan with a supply and something to feed; undefined without. A plan is a value: its trees are kept. */
export function treeOf(plan: Plan, state: State): Tree | undefined {
  let tree = grown.get(state);
  if (!tree) grown.set(state, (tree = keptByReads((each) => grow(each, state))));
  return tree(plan);
}

function grow(plan: Plan, state: State): Tree | undefined {
  const tree = growFirst(plan, state);
  const second = cardsOwnSupply(plan);
  return tree && second ? withSecond(plan, tree, second, cardsDraws(plan), state) : tree;
}

/** What hangs on the first supply. */
function growFirst(plan: Plan, state: State): Tree | undefined {
  const supply = partOfKind(plan, 'supply');
  const said = drawsOf(plan);
  if (!supply || said.length === 0) return undefined;
  if (isSingleFeed(plan, supply)) return feedTree(plan, supply, said, state);
  const leads = leadsOf(plan);
  const draws = said.map((draw) => perhapsOnBoard(plan, byBoard(draw, leads), leads));
  const { on, unfed } = hang(plan, leads, draws);
  const low = cornerOf(draws, leads, on, state, 'lo');
  const high = cornerOf(draws, leads, on, state, 'hi');
  return assemble(plan, supply, { draws, leads, on, unfed, state, low, high });
}

/** What a board, or an adapter's converter, passes on where the main plug brings 12 V only (common practice, no source). */
const MADE = range(0.85, 0.93);

/** A rail the main plug does not bring is made of 12 V on the board or in the adapter. */
function byBoard(draw: Draw, leads: readonly Lead[]): Draw {
  const main = leads.find((lead) => lead.id === 'main');
  if (draw.over !== 'main' || !main || main.feeds[draw.rail] !== undefined) return draw;
  const watts = mapStates(draw.watts, (each) => range(each.lo / MADE.hi, each.hi / MADE.lo));
  return { ...draw, rail: '12 V', watts, label: `${draw.label}, ${draw.rail} made of 12 V` };
}

/** A drive without a plug of the supply, on a board that may have none for it either, may draw nothing. */
function perhapsOnBoard(plan: Plan, draw: Draw, leads: readonly Lead[]): Draw {
  const board = partOfKind(plan, 'board');
  const brings = board && numberAt(plan, board, 'drivePlugs');
  if (draw.over !== 'drive' || brings?.lo !== 0 || leads.some((lead) => lead.plug.id === 'sata'))
    return draw;
  return { ...draw, watts: mapStates(draw.watts, (each) => range(0, each.hi)) };
}

/** Which load hangs on which lead: as the plan says, else as its plug has it, drives dealt out in turn. */
export function hang(
  plan: Plan,
  leads: readonly Lead[],
  draws: readonly Draw[],
): { on: Map<string, string>; unfed: Draw[] } {
  const on = new Map<string, string>();
  const unfed: Draw[] = [];
  const seats = new Map<string, string>();
  const dealt = new Map<string, number>();
  const least = (list: readonly Lead[]) =>
    [...list].sort((a, b) => (dealt.get(a.id) ?? 0) - (dealt.get(b.id) ?? 0))[0];
  const hub = leads.find((lead) => lead.hub);
  const hung = new Map(appliedOf(plan, 'hangOn').map(({ seat, lead }) => [seat, lead]));
  for (const draw of draws) {
    const wanted = hung.get(draw.seat);
    const chosen = wanted === undefined ? undefined : leads.find((lead) => lead.id === wanted);
    const kept = seats.get(`${draw.seat} ${draw.over}`);
    const lead =
      (draw.over === 'main' && !isFan(draw) ? undefined : chosen) ??
      leads.find((each) => each.id === kept && draw.over === 'drive') ??
      (isFan(draw) && hub ? hub : undefined) ??
      (draw.over === 'card'
        ? leadOfCard(leads, draw.plugId, dealt)
        : draw.over === 'processor'
          ? (least(leads.filter((each) => each.over === 'processor')) ??
            leads.find((each) => each.id === 'main'))
          : draw.over === 'drive'
            ? (least(leads.filter((each) => each.plug.id === 'sata' && !each.of)) ??
              boardLead(plan, leads))
            : leads.find((each) => each.id === 'main'));
    if (!lead || lead.feeds[draw.rail] === undefined) {
      unfed.push(draw);
      continue;
    }
    on.set(draw.id, lead.id);
    seats.set(`${draw.seat} ${draw.over}`, lead.id);
    if (kept === undefined) dealt.set(lead.id, (dealt.get(lead.id) ?? 0) + 1);
  }
  return { on, unfed };
}

/** Drives on the board's own plug hang on its main lead. */
function boardLead(plan: Plan, leads: readonly Lead[]): Lead | undefined {
  const board = partOfKind(plan, 'board');
  const brings = board && numberAt(plan, board, 'drivePlugs');
  return brings && brings.hi > 0 ? leads.find((lead) => lead.id === 'main') : undefined;
}

/** A free card lead: one of that very plug, else one that splits into it. */
function leadOfCard(
  leads: readonly Lead[],
  wanted: string | undefined,
  dealt: ReadonlyMap<string, number>,
): Lead | undefined {
  const free = leads.filter((each) => each.over === 'card' && !dealt.has(each.id));
  return (
    free.find((each) => each.plug.id === wanted) ??
    free.find((each) => wanted !== undefined && goesAs(each.plug.id, wanted))
  );
}

type Corner = Record<Rail, { net: Net; solved: Solved } | undefined>;

/** One rail after the other at one end of all ranges: least draws over new contacts, or most over aged ones. */
function cornerOf(
  draws: readonly Draw[],
  leads: readonly Lead[],
  on: ReadonlyMap<string, string>,
  state: State,
  end: 'lo' | 'hi',
): Corner {
  const rail = (name: Rail) => railAt(name, draws, leads, on, state, end);
  return Object.fromEntries(railNames.map((name) => [name, rail(name)])) as Corner;
}

function railAt(
  name: Rail,
  draws: readonly Draw[],
  leads: readonly Lead[],
  on: ReadonlyMap<string, string>,
  state: State,
  end: 'lo' | 'hi',
): { net: Net; solved: Solved } | undefined {
  const own = draws.filter((draw) => draw.rail === name && on.has(draw.id));
  if (own.length === 0) return undefined;
  const used = leads.filter((lead) => own.some((draw) => on.get(draw.id) === lead.id));
  const resistors: Resistor[] = [
    { id: 'inside', a: 'regulator', b: 'rail', ohm: INSIDE_OHM[end] },
    ...used.map((lead) => ({
      id: lead.id,
      a: 'rail',
      b: lead.id,
      ohm: loopOhm(lead, name)[end],
    })),
  ];
  const loads: Load[] = own.map((draw) => ({
    id: draw.id,
    node: on.get(draw.id) ?? '',
    watts: draw.watts[state][end],
  }));
  const net = { held: { regulator: railVolts[name] }, resistors, loads };
  return { net, solved: solve(net) };
}

/** Amps one lead of a tree is left on one rail at full load once a seat hangs on another lead; undefined where it carries nothing. */
export function ampsLeft(
  { draws, leads, on }: Tree,
  rail: Rail,
  leadId: string,
  moved: { seat: string; to: string },
): Range | undefined {
  const after = new Map(on);
  for (const draw of draws)
    if (draw.seat === moved.seat && on.get(draw.id) === leadId && draw.rail === rail)
      after.set(draw.id, moved.to);
  const [low, high] = (['lo', 'hi'] as const).map((end) =>
    railAt(rail, draws, leads, after, 'full', end),
  );
  if (!low?.solved.ok || !high?.solved.ok) return undefined;
  return range(low.solved.amps[leadId] ?? 0, high.solved.amps[leadId] ?? 0);
}

interface Parts {
  draws: Draw[];
  leads: Lead[];
  on: Map<string, string>;
  unfed: Draw[];
  state: State;
  low: Corner;
  high: Corner;
}

function assemble(plan: Plan, supply: Placed, parts: Parts): Tree {
  const { draws, leads, on, low, high, state } = parts;
  const both = (of: (corner: Corner) => number | undefined): Range =>
    range(of(low) ?? 0, of(high) ?? 0);
  /* On the branch a machine runs on, volts stay above half: that bounds what cannot be carried. */
  const leadAmps = (rail: Rail, lead: Lead, own: readonly Draw[]): Range => {
    const [p, q] = [low[rail]?.solved, high[rail]?.solved];
    if (p?.ok && q?.ok) return range(p.amps[lead.id] ?? 0, q.amps[lead.id] ?? 0);
    const most = own.reduce((sum, draw) => sum + draw.watts[state].hi, 0);
    const least = own.reduce((sum, draw) => sum + draw.watts[state].lo, 0);
    return range(least / railVolts[rail], (2 * most) / railVolts[rail]);
  };
  const leadVolts = (rail: Rail, lead: Lead): Range => {
    const [p, q] = [low[rail]?.solved, high[rail]?.solved];
    return range(
      p?.ok ? (p.volts[lead.id] ?? 0) : railVolts[rail],
      q?.ok ? (q.volts[lead.id] ?? 0) : railVolts[rail] / 2,
    );
  };
  const branches: Branch[] = [];
  const railW: Range[] = [];
  for (const rail of railNames) {
    if (!high[rail]) continue;
    const given = both((corner) => corner[rail]?.solved.givenW['regulator']);
    railW.push(given);
    branches.push({
      id: rail,
      parent: 'supply',
      kind: 'rail',
      label: rail,
      watts: given,
      lossW: both((corner) => corner[rail]?.solved.lossW['inside']),
      amps: both((corner) => corner[rail]?.solved.amps['inside']),
      volts: both((corner) => corner[rail]?.solved.volts['rail']),
    });
    for (const lead of leads) {
      const own = draws.filter((draw) => draw.rail === rail && on.get(draw.id) === lead.id);
      if (own.length === 0) continue;
      const loss = both((corner) => corner[rail]?.solved.lossW[lead.id]);
      const drawn = total(
        own.map((draw) => both((corner) => corner[rail]?.solved.drawnW[draw.id])),
      );
      branches.push({
        id: `${rail} ${lead.id}`,
        parent: rail,
        kind: 'lead',
        lead: lead.id,
        label: lead.label,
        watts: add(loss, drawn),
        lossW: loss,
        amps: leadAmps(rail, lead, own),
        volts: leadVolts(rail, lead),
      });
      for (const draw of own)
        branches.push({
          id: draw.id,
          parent: `${rail} ${lead.id}`,
          kind: 'load',
          label: draw.label,
          seat: draw.seat,
          watts: both((corner) => corner[rail]?.solved.drawnW[draw.id]),
          lossW: range(0),
          amps: both((corner) => corner[rail]?.solved.drawnA[draw.id]),
        });
    }
  }
  const givenW = total(railW);
  const wallW = wallOf(plan, supply, givenW);
  const solved = [low, high].flatMap((corner) =>
    railNames.flatMap((rail) => corner[rail]?.solved ?? []),
  );
  return {
    state,
    branches: [
      { id: 'wall', parent: undefined, kind: 'wall', label: 'wall', watts: wallW, lossW: range(0) },
      {
        id: 'supply',
        parent: 'wall',
        kind: 'supply',
        label: supply.part.name,
        seat: supply.seat,
        watts: wallW,
        lossW: range(Math.max(0, wallW.lo - givenW.lo), Math.max(0, subtract(wallW, givenW).hi)),
      },
      ...branches,
    ],
    givenW,
    wallW,
    ok: solved.every((each) => each.ok),
    carries: Math.min(1, ...solved.map((each) => each.carries)),
    leads,
    on,
    draws,
    unfed: parts.unfed,
    nets: railNames.flatMap((rail) => (high[rail] ? [{ name: rail, net: high[rail].net }] : [])),
  };
}
