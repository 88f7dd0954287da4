import { isPriced, pricedIn } from '../donors/index.ts';
import type { Finding, Remedy } from '../findings/finding.ts';
import type { Plan } from '../model/lookup/plan.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import type { Shop } from '../model/types/types.ts';
import { judged } from '../plan/run.ts';
import { isAgainst } from '../plan/runs.ts';
import { remedyId } from '../remedies/index.ts';
import { costsOf, dearer, EMPTY, together, type Bundle } from './bundles.ts';
import { tell, type Unit } from './told.ts';
import type { Taken, Way } from './verdict.ts';
import type { Goal } from './wishes.ts';

/** Sets of remedies looked through for one plan. */
const MOST_SETS = 40;
/** Remedies that settle one sum only together. */
const MOST_TOGETHER = 2;

/** Remedies that are work or things to get: other parts are for the plan itself to choose. */
const waysOf = (finding: Finding): Remedy[] =>
  finding.remedies.filter(({ value }) => value.do !== 'put');

/** A remedy with what it costs in this shop. */
function wayOf(shop: Shop, remedy: Remedy): Way {
  const nothing = remedy.money?.minor === 0 || (!remedy.get && !remedy.money);
  const price = nothing ? { lo: 0, hi: 0 } : pricedIn(shop, remedy.money);
  return {
    id: remedyId(remedy.value as RemedyValue),
    taken: [{ value: remedy.value as RemedyValue, title: remedy.title, get: remedy.get }],
    minutes: remedy.minutes,
    minor: isPriced(price) ? price.hi : 0,
    unpriced: Number(!isPriced(price)),
    spoils: Number(remedy.spoils !== undefined) + Number(!remedy.undoable),
  };
}

/**
 * What settles a sum: each remedy of its own that does so alone, or else the cheapest few together. None: nothing
 * that is offered for it helps.
 */
export function cures(plan: Plan, unit: Unit, finding: Finding): Way[] {
  const after = (applied: readonly Taken[]) => {
    const at = { ...plan, applied: [...plan.applied, ...applied.map(({ value }) => value)] };
    return unit
      .run(at)
      .map((raw) => judged(at, raw))
      .find(({ id }) => id === finding.id);
  };
  const offered = waysOf(finding).map((remedy) => ({
    way: wayOf(plan.shop, remedy),
    left: remedy,
  }));
  const tried = offered.map(({ way }) => ({ way, left: after(way.taken) }));
  const alone = tried.filter(({ left }) => !left || !isAgainst(left)).map(({ way }) => way);
  if (alone.length > 0) return alone;
  let open = tried.map(({ way, left }) => ({ bundle: together(EMPTY, way), left }));
  for (let n = 0; n < MOST_TOGETHER && open.length > 0; n += 1) {
    const cured: Bundle[] = [];
    const next: typeof open = [];
    for (const { bundle, left } of open.slice(0, MOST_SETS)) {
      for (const remedy of left ? waysOf(left) : []) {
        const way = wayOf(plan.shop, remedy);
        if (bundle.ids.includes(way.id)) continue;
        const wider = together(bundle, way);
        const rest = after(wider.taken);
        if (rest && isAgainst(rest)) next.push({ bundle: wider, left: rest });
        else cured.push(wider);
      }
    }
    if (cured.length > 0)
      return cured.map((each) => ({
        ...costsOf(each),
        id: each.ids.toSorted().join(' '),
        taken: each.taken,
      }));
    open = next;
  }
  return [];
}

/** The cheapest remedies after which nothing stands against the plan. */
export function settled(
  planWith: (taken: readonly Taken[]) => Plan,
  least: Bundle,
  order: readonly Goal[],
): { found: Bundle | undefined; whole: boolean } {
  const seen = new Set<string>();
  const against = (bundle: Bundle) =>
    tell(planWith(bundle.taken))
      .map(({ finding }) => finding)
      .filter(isAgainst);
  /* Nothing cheaper can do, so where this does it is the answer. */
  if (against(least).length === 0) return { found: least, whole: true };
  const open: Bundle[] = [EMPTY];
  for (let n = 0; n < MOST_SETS; n += 1) {
    open.sort((a, b) => dearer(order, a, b));
    const next = open.shift();
    if (!next) return { found: undefined, whole: true };
    const [worst] = against(next);
    if (!worst) return { found: next, whole: true };
    for (const remedy of waysOf(worst)) {
      const way = wayOf(planWith([]).shop, remedy);
      if (next.ids.includes(way.id)) continue;
      const bundle = together(next, way);
      const key = bundle.ids.toSorted().join();
      if (seen.has(key)) continue;
      seen.add(key);
      open.push(bundle);
    }
  }
  return { found: undefined, whole: open.length === 0 };
}
