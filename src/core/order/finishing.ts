import { finishCautions } from '../finish/cautions.ts';
import { finishSteps } from '../finish/index.ts';
import type { Finish, Piece } from '../model/types/finishTypes.ts';
import type { Step } from '../model/types/step.ts';

/** Finishing among the other steps: after the shell is empty and cut, before what goes in or what closes it. */

/** Pieces that hold up what goes into the case; the others only the lid. */
const holdsIn: readonly Piece[] = ['case', 'bracket', 'other piece'];
/** In which order several works of one piece are done. */
const rank: readonly Finish['do'][] = [
  'old shell',
  'print',
  'metal',
  'glue',
  'filler',
  'wash',
  'bath',
  'paint',
];

/** Carried to another place of the shop: two people for a heavy shell, and back. */
const carried = (steps: readonly Step[]): Step[] =>
  steps.map((step, i) =>
    step.uses !== undefined && steps[i - 1]?.uses !== step.uses
      ? {
          ...step,
          people: 2,
          cautions: [...new Set([...step.cautions, finishCautions.heavy])],
        }
      : step,
  );

export function finishing(
  finishes: readonly Finish[],
  steps: readonly Step[],
  heavy = false,
): Step[] {
  const works = [...finishes]
    .sort((a, b) => rank.indexOf(a.do) - rank.indexOf(b.do))
    .map((work) => ({
      work,
      steps: heavy && work.piece === 'case' ? carried(finishSteps(work)) : finishSteps(work),
    }))
    .filter((each) => each.steps.length > 0);
  const lastOf = (done: readonly Step[]): string => done.at(-1)?.id ?? '';
  const gates = works
    .filter(({ work }) => work.do === 'old shell')
    .map((each) => lastOf(each.steps));
  const made = works.flatMap(({ work, steps: own }, i) => {
    const before = works.slice(0, i).filter((each) => each.work.piece === work.piece);
    const free = work.do === 'print' || work.do === 'old shell';
    const ready = free ? [] : holdsIn.includes(work.piece) ? ['shell', 'out', 'open'] : ['open'];
    const earlier = work.do === 'old shell' ? [] : before.map((each) => lastOf(each.steps));
    return own.map((step, k) =>
      k > 0
        ? step
        : { ...step, after: [...step.after, ...ready, ...earlier, ...(free ? [] : gates)] },
    );
  });
  const lasts = (into: boolean) =>
    works
      .filter(({ work }) => work.do !== 'old shell' && holdsIn.includes(work.piece) === into)
      .map((each) => lastOf(each.steps));
  const [holdIn, holdClose] = [lasts(true), lasts(false)];
  return [
    ...steps.map((step) => {
      if (step.phase === 'open' && gates.length > 0)
        return { ...step, after: [...step.after, ...gates] };
      if (step.phase === 'in' && step.after.includes('shell'))
        return { ...step, after: [...step.after, ...holdIn] };
      if (step.id === 'close') return { ...step, after: [...step.after, ...holdIn, ...holdClose] };
      return step;
    }),
    ...made,
  ];
}
