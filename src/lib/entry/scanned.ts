import { putPart } from '$core/edits/edits.ts';
import { movePart } from '$core/edits/ledgerEdits.ts';
import { indexOf } from '$core/model/lookup/lookup.ts';
import { seatName } from '$core/model/types/seats.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';
import { undoable } from '$lib/shop/undoable.ts';
import { seatFor } from './lit.ts';

export function lay(partId: string, where: string): boolean {
  const home = indexOf(shopStore.shop).homeOf.get(partId);
  if (home) {
    toast(`${partId} sits in ${home.name}: take it out at Donors first.`, 'stop');
    return false;
  }
  shopStore.edit(`${partId} to ${where}`, movePart(partId, where));
  toast(`${partId} lies in ${where}.`);
  return true;
}

/** The part scanned last goes there; without one, every part scanned from now on does. */
export function placeScanned(where: string): boolean {
  if (uiState.held) {
    const held = uiState.held;
    uiState.held = undefined;
    return lay(held, where);
  }
  uiState.laying = where;
  toast(`Parts scanned now go to ${where}. Scan “done” when the box is full.`);
  return true;
}

export function putScanned(partId: string, view: JobView | undefined): boolean {
  if (uiState.laying !== undefined) return lay(partId, uiState.laying);
  const already = view?.plan?.seats.find((placed) => placed.part.id === partId);
  if (already) {
    toast(`${partId} is in the plan already, as ${seatName(already.seat)}.`);
    return true;
  }
  const seat = seatFor(partId, view);
  if (!seat || !view?.job) {
    uiState.held = partId;
    const part = shopStore.shop.parts.find((each) => each.id === partId);
    toast(`${partId}, ${part?.name ?? ''}: scan a place to lay it there, or open a job.`);
    return true;
  }
  shopStore.edit(`${partId} as ${seatName(seat)}`, putPart(view.job.id, seat, partId));
  undoable(`${partId} is planned as ${seatName(seat)}.`);
  return true;
}
