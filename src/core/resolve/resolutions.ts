import type { Finding } from '../findings/finding.ts';
import { isOpen } from '../findings/terms.ts';
import { conflictCore } from './conflictCore.ts';
import {
  combinations,
  levelAt,
  ranking,
  type Found,
  type Levels,
  type Problem,
  type Progress,
} from './solve.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { linkRequirements as asked } from '../links/linkRequirements.ts';
import { cardHeight } from '../fit/cardHeight.ts';
import { coolerMount } from '../fit/coolerMount.ts';
import { supplyBay } from '../fit/supplyBay.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import type { Job, SeatId, Shop } from '../model/types/types.ts';
import { hasApplied } from '../remedies/index.ts';
import { planOf } from '../plan/planOf.ts';
import { runChecks } from '../plan/run.ts';
import { mayFail as straddles } from '../findings/terms.ts';
import { familiesOf, type Family } from './constraints.ts';
import { costOf, usualWeights, type Weights } from './cost.ts';
import { variablesOf, withRemedy, type Option, type Variable } from './variables.ts';

/** One thing that gives, and the conflicts that come back without it. */
export interface ResolutionStep {
  label: string;
  because: string[];
}

/** A whole set of changes with which everything goes in. */
export interface Resolution {
  gives: ResolutionStep[];
  puts: { seat: SeatId; partId: string }[];
  applies: RemedyValue[];
  gets: { what: string; remedy: RemedyValue }[];
  minutes: number;
  /** Minor units of the shop's currency, for what is priced. */
  minor: number;
  unpriced: number;
  undoable: boolean;
  givesUp: string[];
  spoils: string[];
  cost: number;
  /** Surely fits, or may, on these measures. */
  sure: boolean;
  measure: string[];
}

export interface Resolutions {
  ways: Resolution[];
  combinations: number;
  nodes: number;
  proven: boolean;
  /** Where the search was not finished: nothing unseen costs less. */
  bound?: number | undefined;
  /** Where no set of changes is enough: the sums that contradict each other. */
  stuck: string[];
  /** Stops of the plan that nothing of this search has a say in: they stay, whatever is chosen. */
  stays: string[];
}

export interface ResolveOptions {
  weights?: Weights;
  most?: number;
  nodeLimit?: number;
}

interface Model {
  plan: Plan;
  variables: Variable[];
  families: { family: Family; scope: number[] }[];
  /** Sums that nothing which may give has a say in. */
  fixed: Family[];
  problem: Problem;
}

/** Ways to make it fit so that everything goes in: the cheapest set of changes, and the next best. */
export function* searchResolutions(
  shop: Shop,
  job: Job,
  options: ResolveOptions = {},
): Generator<Progress, Resolutions> {
  const model = modelOf(shop, job, options.weights ?? usualWeights);
  const most = options.most ?? 6;
  const nodeLimit = options.nodeLimit ?? 2_000_000;
  const standing = runChecks(model.plan);
  const before = stops(standing);
  const judged = new Set(
    model.families.flatMap(({ family }) =>
      family.tolerant ? [] : family.run(model.plan).map((finding) => finding.id),
    ),
  );
  const mends = new Set(standing.flatMap(({ id, mark }) => (mark === 'mend' ? [id] : [])));
  /* A Stop nothing here has a say in may stay as it was, a Mend that was there too; every other one refuses the plan. */
  const accept = (picks: readonly number[]) => {
    const plan = planWith(model, picks);
    return runChecks(plan).every((finding) =>
      finding.mark === 'stop'
        ? before.has(finding.id) && !judged.has(finding.id)
        : finding.mark !== 'mend' ||
          mends.has(finding.id) ||
          isMended(plan, finding) ||
          /* What the goal loses is counted as given up. */
          finding.about?.of === 'requirement',
    );
  };
  const sure = yield* ranking(model.problem, { least: 2, most, nodeLimit, accept });
  const may = yield* ranking(model.problem, { least: 1, most, nodeLimit, accept });
  const ways = merged(sure.found, may.found).map((found) => wayOf(model, found));
  return {
    ways,
    combinations: combinations(model.problem),
    nodes: sure.nodes + may.nodes,
    proven: sure.proven && may.proven,
    bound: sure.proven && may.proven ? undefined : Math.min(sure.bound, may.bound),
    stuck: ways.length > 0 ? [] : stuckOf(model),
    stays: standing
      .filter((each) => each.mark === 'stop' && !judged.has(each.id))
      .map((each) => `${each.title}: ${each.say}`),
  };
}

export function findResolutions(shop: Shop, job: Job, options: ResolveOptions = {}): Resolutions {
  const search = searchResolutions(shop, job, options);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

const stops = (found: readonly Finding[]) =>
  new Set(found.filter((finding) => finding.mark === 'stop').map((finding) => finding.id));

/** A plan with a way taken, for its picture. */
export function planWithResolution(plan: Plan, way: Pick<Resolution, 'puts' | 'applies'>): Plan {
  const parts = indexOf(plan.shop).parts;
  const puts = new Map(way.puts.map((put) => [put.seat, parts.get(put.partId)]));
  return {
    ...plan,
    seats: plan.seats.map((placed) => {
      const part = puts.get(placed.seat);
      return part ? { ...placed, part, state: 'comes' } : placed;
    }),
    applied: [...plan.applied, ...way.applies],
  };
}

/** The model of a job: what may give, and for every sum which combinations go. */
export function modelOf(shop: Shop, job: Job, weights: Weights): Model {
  const plan = planOf(shop, job);
  const variables = sound(plan, variablesOf(shop, job, plan));
  const index = new Map(variables.map((variable, v) => [variable.id, v]));
  const all = familiesOf(plan).map((family) => ({
    family,
    scope: family.variables.flatMap((id) => index.get(id) ?? []),
  }));
  const families = all.filter(({ scope }) => scope.length > 0);
  const fixed = all.filter(({ scope }) => scope.length === 0).map(({ family }) => family);
  const model: Model = {
    plan,
    variables,
    families,
    fixed,
    problem: {
      costs: variables.map((variable) =>
        variable.options.map((option, o) => (o === 0 ? 0 : costOf(option, weights))),
      ),
      constraints: [],
    },
  };
  const known = new Map<string, Plan>();
  const constraints = families.map(({ family, scope }) => ({
    scope,
    levels: levelsOf(model, family, scope, known),
  }));
  return { ...model, problem: { ...model.problem, constraints } };
}

const UNKNOWN = 255;

/** What a sum says of the combinations it hangs on, each worked out when the search first looks at it. */
function levelsOf(model: Model, family: Family, scope: number[], known: Map<string, Plan>): Levels {
  const sizes = scope.map((v) => model.variables[v]!.options.length);
  const length = sizes.reduce((product, n) => product * n, 1);
  const levels = new Uint8Array(length).fill(UNKNOWN);
  let base: Set<string> | undefined;
  const work = (index: number): number => {
    base ??= new Set(
      family
        .run(model.plan)
        .filter((each) => each.mark === 'mend' || (family.tolerant && each.mark === 'stop'))
        .map((each) => each.id),
    );
    const picks = new Array<number>(model.variables.length).fill(0);
    let rest = index;
    for (let s = scope.length - 1; s >= 0; s -= 1) {
      picks[scope[s]!] = rest % sizes[s]!;
      rest = Math.floor(rest / sizes[s]!);
    }
    const key = picks.join();
    let plan = known.get(key);
    if (!plan) known.set(key, (plan = planWith(model, picks)));
    return (levels[index] = levelOf(family.run(plan), base, plan));
  };
  return {
    length,
    at: (index) => (levels[index] === UNKNOWN ? work(index) : levels[index]),
  };
}

/** Whether one of the ways out of a Mend is taken. */
const isMended = (plan: Plan, { remedies }: Finding): boolean =>
  remedies.some(({ value }) => value.do !== 'put' && hasApplied(plan, value));

/** 0 with a Stop or a Mend that was not there before, 1 while an open range straddles, else 2. */
function levelOf(found: readonly Finding[], before: ReadonlySet<string>, plan: Plan): number {
  let level = 2;
  for (const finding of found) {
    if (before.has(finding.id)) continue;
    if (finding.mark === 'stop') return 0;
    if (finding.mark === 'mend' && !isMended(plan, finding)) return 0;
    if (straddles(finding)) level = 1;
  }
  return level;
}

/** The plan with these options in place of what stands. */
export function planWith(model: Pick<Model, 'plan' | 'variables'>, picks: readonly number[]): Plan {
  const options = picks.flatMap((o, v) => (o > 0 ? [model.variables[v]!.options[o]!] : []));
  if (options.length === 0) return model.plan;
  return planWithResolution(model.plan, {
    puts: options.flatMap(({ put }) => (put ? [{ seat: put.seat, partId: put.part.id }] : [])),
    applies: options.flatMap((option) => option.applies),
  });
}

/** Options whose own sum says Mend bring the remedy along; those that cost the goal something say so. */
function sound(plan: Plan, variables: Variable[]): Variable[] {
  const asks = (at: Plan) => new Map(asked(at).map((each) => [each.id, each]));
  const before = asks(plan);
  return variables.map((variable) => ({
    ...variable,
    options: variable.options.map((option, o) => {
      if (o === 0 || !option.put) return option;
      const at = planWith(
        { plan, variables: [{ id: variable.id, options: [option, option] }] },
        [1],
      );
      const lost = [...asks(at).values()].filter(
        (each) => each.mark !== 'clear' && before.get(each.id)?.mark === 'clear',
      );
      const mend = [...mendsOf(at, option.put.seat)][0];
      const whole = { ...option, givesUp: [...option.givesUp, ...lost.map((each) => each.title)] };
      return mend ? withRemedy(whole, mend) : whole;
    }),
  }));
}

function mendsOf(plan: Plan, seat: SeatId) {
  return [coolerMount, cardHeight, supplyBay]
    .flatMap((check) => check(plan))
    .filter((each) => each.mark === 'mend' && each.seats.includes(seat))
    .flatMap((each) => each.remedies.filter((remedy) => remedy.get).slice(0, 1));
}

/** Sure ways first where they cost the same; of one set of picks only one. */
function merged(sure: readonly Found[], may: readonly Found[]): (Found & { sure: boolean })[] {
  const known = new Set(sure.map((found) => found.picks.join()));
  return [
    ...sure.map((found) => ({ ...found, sure: true })),
    ...may
      .filter((found) => !known.has(found.picks.join()))
      .map((found) => ({ ...found, sure: false })),
  ].sort((a, b) => a.cost - b.cost || Number(b.sure) - Number(a.sure));
}

function wayOf(model: Model, found: Found & { sure: boolean }): Resolution {
  const picked = found.picks.flatMap((o, v) =>
    o > 0 ? [{ v, option: model.variables[v]!.options[o]! }] : [],
  );
  const options: Option[] = picked.map((each) => each.option);
  const open = found.sure ? openBeside(model, found.picks) : openIn(model, found.picks);
  return {
    gives: picked.map(({ v, option }) => ({
      label: option.label,
      because: because(model, found, v),
    })),
    puts: options.flatMap((option) =>
      option.put ? [{ seat: option.put.seat, partId: option.put.part.id }] : [],
    ),
    applies: options.flatMap((option) => option.applies),
    gets: options.flatMap((option) => option.gets),
    minutes: options.reduce((sum, option) => sum + option.minutes, 0),
    minor: options.reduce((sum, option) => sum + option.money.minor, 0),
    unpriced: options.reduce((sum, option) => sum + option.unpriced, 0),
    undoable: options.every((option) => option.undoable),
    givesUp: [...new Set(options.flatMap((option) => option.givesUp))],
    spoils: [...new Set(options.flatMap((option) => option.spoils))],
    cost: found.cost,
    sure: found.sure && open.length === 0,
    measure: open,
  };
}

/** The sums that say no once this change is left out and the others stay. */
function because(model: Model, found: Found, v: number): string[] {
  const without = found.picks.map((o, u) => (u === v ? 0 : o));
  const plan = planWith(model, without);
  return model.families
    .flatMap(({ family, scope }, i) => {
      if (!scope.includes(v)) return [];
      const constraint = model.problem.constraints[i]!;
      const then = levelAt(model.problem.costs, constraint, without);
      const now = levelAt(model.problem.costs, constraint, found.picks);
      return then < now ? family.run(plan).filter((each) => each.mark !== 'clear') : [];
    })
    .map((finding) => `${finding.title}: ${finding.say}`);
}

/** What is open in sums this search has no say in: surely is said of all of the plan. */
const openBeside = (model: Model, picks: readonly number[]): string[] => {
  const plan = planWith(model, picks);
  const open = model.fixed.flatMap((family) => family.run(plan)).filter(straddles);
  return [...new Set(open.flatMap(openTerms))];
};

/** What has to be measured before this plan surely fits. */
function openIn(model: Model, picks: readonly number[]): string[] {
  const plan = planWith(model, picks);
  const open = model.families.flatMap(({ family }, i) =>
    levelAt(model.problem.costs, model.problem.constraints[i]!, picks) === 1
      ? family.run(plan)
      : [],
  );
  return [...new Set(open.filter((each) => each.mark === 'watch').flatMap(openTerms))];
}

/** The measures a sum hangs on; the sum itself where only a usual place is in doubt. */
function openTerms(finding: Finding): string[] {
  const terms = finding.terms.filter((term) => isOpen(term) && term.input);
  return terms.length > 0 ? terms.map((term) => term.label) : [`${finding.title}, in its place`];
}

/** The smallest set of sums that cannot all be met, each with the best that could be had. */
function stuckOf(model: Model): string[] {
  return conflictCore(model.problem).map((i) => {
    const { family, scope } = model.families[i]!;
    const found = family
      .run(model.plan)
      .filter((each) => each.mark === 'stop' || each.mark === 'mend');
    const names = scope.map((v) => model.variables[v]!.id).join(', ');
    return found[0] ? `${found[0].title}: ${found[0].say}` : `${family.name} (${names})`;
  });
}
