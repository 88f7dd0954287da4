import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import { newPart, putPart } from '$core/edits/edits.ts';
import { deletePart, whyKept } from '$core/edits/partEdits.ts';
import { freeSeat, kindName, seatName } from '$core/model/types/seats.ts';
import type { PartCommand, Understood } from '$core/quick/line/understood.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';
import { undoable } from '$lib/shop/undoable.ts';

/** The camera of a phone, or the files of a desk; the part's sheet shows what came. */
function pickPhotos(partId: string): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = 'image/*';
  input.multiple = true;
  input.onchange = async () => {
    const { addFiles } = await import('$lib/photos/photoWork.ts');
    await addFiles([...(input.files ?? [])], { partId });
  };
  input.click();
  uiState.sheet = partId;
}

export function doTo(what: PartCommand, partId: string): boolean {
  switch (what) {
    case 'edit':
      uiState.sheet = partId;
      return true;
    case 'photo':
      pickPhotos(partId);
      return true;
    case 'label':
      uiState.labelOf = partId;
      void goto(resolve('/labels'));
      return true;
    case 'delete': {
      const why = whyKept(shopStore.shop, partId);
      if (why) {
        toast(why, 'stop');
        return false;
      }
      void shopStore.edit(`${partId} deleted`, deletePart(partId));
      undoable(`${partId} deleted.`);
      return true;
    }
  }
}

/** A part, or several alike: on the shelf, and the first of them in the plan of the open job where it has a place. */
async function added(
  { part, times }: Extract<Understood, { kind: 'add' }>,
  view: JobView | undefined,
): Promise<void> {
  const at = shopStore.now;
  const facts = Object.fromEntries(
    Object.entries(part.facts).map(([key, fact]) => [key, { ...fact, at }]),
  );
  const job = view?.job;
  const tags: string[] = [];
  for (let n = 0; n < times; n += 1) {
    const taken = view?.plan?.seats.map(({ seat }) => seat) ?? [];
    const seat = job && freeSeat(part.kind, taken);
    const isFree = seat !== undefined && !taken.includes(seat);
    const made = newPart(
      { ...part, facts, place: 'shelf' },
      job && isFree ? (id) => putPart(job.id, seat, id) : undefined,
    );
    await shopStore.edit(`new ${kindName(part.kind)}: ${part.name}`, made.edit);
    tags.push(`${made.tag()}${job && isFree ? ` (${seatName(seat)} of job ${job.id})` : ''}`);
  }
  undoable(`Added ${tags.join(', ')}.`);
}

export function add(
  adding: Extract<Understood, { kind: 'add' }>,
  view: JobView | undefined,
): boolean {
  void added(adding, view);
  return true;
}
