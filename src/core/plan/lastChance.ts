import type { Step } from '../order/index.ts';
import type { Question } from './questions.ts';

/** What can still be measured before a step that cannot be undone: everything open on the seats it touches. */
export function lastChance(step: Step, open: readonly Question[]): Question[] {
  if (step.undoable) return [];
  return open.filter(
    (question) => step.phase === 'shell' || step.seats.includes(question.input.seat),
  );
}
