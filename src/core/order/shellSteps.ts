import type { Plan } from '../model/lookup/plan.ts';
import type { RemedyValue } from '../model/types/remedyValue.ts';
import { isMade, kindOf, minutesOf, sameRemedy, stepIdOf, toGet } from '../remedies/index.ts';
import { cautions } from './cautions.ts';
import { type Step, step } from '../model/types/step.ts';

/** What is done to the shell itself: remedies applied. */
export function shellSteps(plan: Plan): Step[] {
  return (
    plan.applied
      /* What a template cuts is the template's own step. */
      .filter(
        (value) => !kindOf(value).stepElsewhere && !(kindOf(value).cuts && isMade(plan, value)),
      )
      .map((value) => {
        const { cuts = false, undoable } = kindOf(value);
        return step({
          id: stepIdOf(value),
          phase: 'shell',
          title: titleOfStep(value, plan),
          minutes: minutesOf(value),
          tools: cuts ? ['file', 'drill', 'goggles'] : ['driver'],
          cautions: cuts ? [cautions.edges, cautions.chips] : [],
          undoable,
          why: cuts ? 'metal is cut while the case is empty' : undefined,
        });
      })
  );
}

/** What is done, else what has to be got and fitted: in the words in which it stands on the list. */
function titleOfStep(value: RemedyValue, plan: Plan): string {
  const { step: said, title } = kindOf(value);
  const listed = plan.job?.wants.find((want) => want.remedy && sameRemedy(want.remedy, value));
  const what = listed?.what ?? toGet(value, plan)?.what;
  if (said) return said(value, plan);
  return what === undefined ? title(value, plan) : `Get and fit: ${what}`;
}
