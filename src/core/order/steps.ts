import type { Plan } from '../model/lookup/plan.ts';
import type { Schools } from '../model/types/types.ts';
import type { Blockage } from './blockages.ts';
import { finishing } from './finishing.ts';
import { firmwareSteps } from './firmwareSteps.ts';
import { gatedOf } from './gates.ts';
import { gateSteps } from './gateSteps.ts';
import { inSteps } from './inSteps.ts';
import { beforeSteps, heavyShell, outSteps } from './outSteps.ts';
import { retestSteps } from './retestSteps.ts';
import { makeSteps } from './makeSteps.ts';
import { shellSteps } from './shellSteps.ts';
import type { Step } from '../model/types/step.ts';

/** Every step a plan asks for, unordered, each knowing what must come first. */
export function stepsOf(plan: Plan, schools: Schools, blocked: readonly Blockage[] = []): Step[] {
  const comes = plan.seats.filter((placed) => placed.state === 'comes');
  const newCase = comes.some((placed) => placed.kind === 'case');
  const moved = newCase
    ? plan.seats.filter((placed) => placed.state === 'stays' && placed.kind !== 'case')
    : [];
  const boardMoves = newCase || comes.some((placed) => placed.kind === 'board');
  const changes = comes.length + plan.goes.length + plan.applied.length;
  const finishes = plan.job?.finishes ?? [];
  const heavy = heavyShell(plan);
  if (changes === 0) return joined(finishing(finishes, makeSteps(plan), heavy));
  const coming = [...comes, ...moved].filter((placed) => placed.kind !== 'case');
  const gated = gatedOf(plan, coming, blocked);
  const steps = [
    ...beforeSteps(plan),
    ...outSteps(plan, moved, boardMoves),
    ...shellSteps(plan),
    ...makeSteps(plan),
    ...firmwareSteps(plan),
    ...retestSteps(plan),
    ...inSteps(plan, coming, boardMoves, schools, gated),
    ...gateSteps(plan, boardMoves, schools, coming, gated),
  ];
  return joined(finishing(finishes, steps, heavy));
}

/** Phase names in `after` mean every step of that phase; ids that do not exist fall away. */
function joined(steps: Step[]): Step[] {
  const ids = new Set(steps.map((each) => each.id));
  return steps.map((each) => ({
    ...each,
    after: [
      ...new Set(
        each.after.flatMap((name) =>
          ids.has(name)
            ? [name]
            : steps
                .filter((other) => other.phase === name && other.id !== each.id)
                .map((other) => other.id),
        ),
      ),
    ],
  }));
}
