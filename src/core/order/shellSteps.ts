import type { Plan } from '../model/plan.ts';
import { cautions } from './cautions.ts';
import { step } from './draft.ts';
import type { Step } from './step.ts';

/** What is done to the shell itself: remedies taken. */
export function shellSteps(plan: Plan): Step[] {
  const steps: Step[] = [];
  for (const id of plan.taken) {
    const [what, detail = ''] = id.split(':');
    const cut = what === 'cut-front' || what === 'drill';
    const title =
      {
        'cage-out': 'Take the drive cage out',
        'cut-front': 'Cut the wall in front of the card',
        drill: `Drill and set standoff ${[...detail].join(', ')}`,
        'standoffs-out': `Take standoff ${[...detail].join(', ')} out`,
      }[what ?? ''] ?? `Get and fit: ${wanted(plan, id)}`;
    steps.push(
      step({
        id: `remedy:${id}`,
        phase: 'shell',
        title,
        minutes:
          { 'cage-out': 20, 'cut-front': 55, drill: 25, 'standoffs-out': 5 }[what ?? ''] ?? 15,
        tools: cut ? ['file', 'drill', 'goggles'] : ['driver'],
        cautions: cut ? [cautions.edges, cautions.chips] : [],
        undoable: !cut,
        why: cut ? 'metal is cut while the case is empty' : undefined,
      }),
    );
  }
  return steps;
}

const wanted = (plan: Plan, remedyId: string) =>
  plan.job?.wants.find((want) => want.remedyId === remedyId)?.what ?? remedyId;
