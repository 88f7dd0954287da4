import { freeSeat, kindOfSeat } from '$core/model/types/seats.ts';
import type { Question } from '$core/plan/questions.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';

/** What stands lit on the page: the question in hand, the seat a part would go to; and the step back. */

export const questionKey = (question: Question) => `${question.input.partId} ${question.input.key}`;

export function litQuestion(view: JobView | undefined): Question | undefined {
  return view?.questions.find((question) => questionKey(question) === uiState.measuring);
}

export function nextQuestion(view: JobView | undefined): void {
  uiState.measuring = keyAfter(uiState.measuring, view?.questions ?? []);
}

/** The question after one, round about, in the order in which they are asked on screen. */
export function keyAfter(
  key: string | undefined,
  questions: readonly Question[],
): string | undefined {
  const asked = questions.map(questionKey);
  const order = uiState.order?.filter((each) => asked.includes(each)) ?? asked;
  return order[order.indexOf(key ?? '') + 1] ?? order[0];
}

export function seatFor(partId: string, view: JobView | undefined): string | undefined {
  const part = shopStore.shop.parts.find((each) => each.id === partId);
  if (!part || !view?.plan) return undefined;
  if (uiState.seat && kindOfSeat(uiState.seat) === part.kind) return uiState.seat;
  return freeSeat(
    part.kind,
    view.plan.seats.map((placed) => placed.seat),
  );
}

/** A line without a tag of its own belongs to the job that is open. */
/** A quick sum printed last is torn off first; then the shop's own steps. */
export async function undo(): Promise<void> {
  if (uiState.quick.length > 0) {
    uiState.quick = uiState.quick.slice(1);
    toast('Torn off the tape.');
    return;
  }
  await shopStore.undo();
}
