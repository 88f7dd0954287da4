import { tickStep } from '$core/edits/edits.ts';
import { progress } from '$core/order/index.ts';
import { answered, type Question } from '$core/plan/questions.ts';
import type { AnswerValue, Word } from '$core/quick/line/understood.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { recordFact } from '$lib/shop/recordFact.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';
import { keyAfter, litQuestion, nextQuestion, questionKey, undo } from './lit.ts';

/** Writes the answer down and moves the light to the next question. */
export function answerLit(value: AnswerValue, view: JobView | undefined): boolean {
  const question = litQuestion(view);
  if (!question) return false;
  answerThen(question, view, () => measureInto(question, value));
  return true;
}

/** The answer to a question, written down. */
export const measureInto = ({ input, part }: Question, value: AnswerValue): Promise<void> =>
  recordFact(part, input.key, value);

/**
 * Answers a question and lights the one after it, where that is still asked; `among` is what the list in the
 * hands shows, all questions of the job where there is none.
 */
export function answerThen(
  question: Question,
  view: JobView | undefined,
  answer: () => void,
  among: () => readonly Question[] = () => view?.questions ?? [],
): void {
  const after = keyAfter(questionKey(question), among());
  answer();
  const left = among();
  uiState.measuring =
    after !== undefined && left.some((each) => questionKey(each) === after)
      ? after
      : keyAfter(undefined, left);
}

export function answerYesNo(question: Question, yes: boolean): void {
  if (!question.yesNo || !question.known) return;
  measureInto(question, answered(question.known, question.yesNo.below, yes));
}

export function sayWord(word: Word, view: JobView | undefined): boolean {
  const question = litQuestion(view);
  switch (word) {
    case 'undo':
      void undo();
      return true;
    case 'redo':
      void shopStore.redo();
      return true;
    case 'next':
    case 'not measured':
      nextQuestion(view);
      return true;
    case 'yes':
    case 'no':
      if (!question?.yesNo) {
        toast('No question is lit that yes or no answers.');
        return false;
      }
      answerThen(question, view, () => answerYesNo(question, word === 'yes'));
      return true;
    case 'done':
      if (uiState.laying !== undefined) {
        toast(`No more parts to ${uiState.laying}.`);
        uiState.laying = undefined;
        return true;
      }
      return tickNext(view);
  }
}

function tickNext(view: JobView | undefined): boolean {
  const next = view?.job && progress(view.steps, view.job.ticks).next;
  if (!view?.job || !next) {
    toast(view?.job ? 'No step is left to tick.' : 'Open a job first: done ticks its next step.');
    return false;
  }
  shopStore.edit(
    `done: ${next.title}`,
    tickStep(view.job.id, { stepId: next.id, at: shopStore.now }),
  );
  toast(`Done: ${next.title}`);
  return true;
}
