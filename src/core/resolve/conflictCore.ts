import { solve, type Constraint, type Problem } from './solve.ts';

/**
 * Where nothing fits: a smallest set of constraints that already contradict each other, by
 * leaving them out one after the other (deletion filter). Indices into the problem's constraints;
 * empty when a plan exists.
 */
export function conflictCore(problem: Problem, nodeLimit = 200_000): number[] {
  const feasible = (constraints: readonly Constraint[]) =>
    solve({ ...problem, constraints }, { least: 1, most: 1, nodeLimit }).found.length > 0;
  if (feasible(problem.constraints)) return [];
  let kept = problem.constraints.map((_, i) => i);
  for (const i of [...kept]) {
    const without = kept.filter((each) => each !== i);
    if (!feasible(without.map((each) => problem.constraints[each]!))) kept = without;
  }
  return kept;
}
