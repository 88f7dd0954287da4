import {
  partsOfKind,
  numberAt,
  textAt,
  type Placed,
  type Plan,
  sortOf,
} from '../../model/lookup/plan.ts';
import { range, total, type Range, mid } from '../../units/range.ts';
import { efficiencyOf } from './efficiencyOf.ts';
import type { Branch, Draw, State, Tree } from './types.ts';

/** A second supply that feeds the cards by itself: what hangs on it does not hang on the first. */
export function cardsOwnSupply(plan: Plan): Placed | undefined {
  return partsOfKind(plan, 'small').find(
    (each) =>
      sortOf(plan, each) === 'second PSU' &&
      textAt(plan, each, 'feedsWhat')?.text === 'loads of its own',
  );
}

/** Watts its label allows: volts by amps; undefined until both are known. */
export function secondLabelW(plan: Plan, second: Placed): Range | undefined {
  const [volts, amps] = [numberAt(plan, second, 'outVolts'), numberAt(plan, second, 'outAmps')];
  return volts && amps ? range(volts.lo * amps.lo, volts.hi * amps.hi) : undefined;
}

/** The tree with a second supply beside the first, on the same wall where the first has one. */
export function withSecond(
  plan: Plan,
  tree: Tree,
  second: Placed,
  cards: readonly Draw[],
  state: State,
): Tree {
  if (cards.length === 0) return tree;
  const givenW = total(cards.map((draw) => draw.watts[state]));
  const label = secondLabelW(plan, second);
  const rating = label ? mid(label) : 2 * Math.max(1, givenW.hi);
  const eta = efficiencyOf(plan, second);
  const wallW = range(
    givenW.lo / eta(givenW.lo / Math.max(1, rating)).hi,
    givenW.hi / eta(givenW.hi / Math.max(1, rating)).lo,
  );
  const ownW = tree.wallW;
  const branches: Branch[] = [
    ...tree.branches.map((branch) =>
      branch.kind === 'wall'
        ? { ...branch, watts: range(branch.watts.lo + wallW.lo, branch.watts.hi + wallW.hi) }
        : branch,
    ),
    {
      id: 'second',
      parent: ownW ? 'wall' : undefined,
      kind: 'supply',
      label: second.part.name,
      seat: second.seat,
      watts: wallW,
      lossW: range(Math.max(0, wallW.lo - givenW.lo), Math.max(0, wallW.hi - givenW.hi)),
    },
    ...cards.map((draw): Branch => ({
      id: draw.id,
      parent: 'second',
      kind: 'load',
      label: draw.label,
      seat: draw.seat,
      watts: draw.watts[state],
      lossW: range(0),
      amps: range(draw.watts[state].lo / 12, draw.watts[state].hi / 12),
    })),
  ];
  return {
    ...tree,
    branches,
    wallW: ownW ? range(ownW.lo + wallW.lo, ownW.hi + wallW.hi) : wallW,
  };
}
