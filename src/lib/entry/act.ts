import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import { editJob, editPart } from '$core/edits/edits.ts';
import { writeEntry } from '$core/edits/ledgerEdits.ts';
import { noteJob, noteMachine, notePart } from '$core/edits/partEdits.ts';
import type { Part } from '$core/model/types/types.ts';
import type { Draft } from '$core/quick/book.ts';
import type { Understood } from '$core/quick/line/understood.ts';
import { addItems } from '$core/shop/items.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { recordFact } from '$lib/shop/recordFact.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';
import { undoable } from '$lib/shop/undoable.ts';
import { dateText } from '$lib/ui/dates.ts';
import { answerLit, sayWord } from './answers.ts';
import { goTo, startJob } from './goTo.ts';
import { add, doTo } from './partCommand.ts';
import { lay, placeScanned, putScanned } from './scanned.ts';

/** Does what the entry line understood. Returns false when there was nothing to do. */
export function act(understood: Understood, view: JobView | undefined): boolean {
  switch (understood.kind) {
    case 'sum':
      uiState.quick = [
        {
          text: understood.text,
          finding: understood.finding,
          unit: shopStore.shop.settings.unit,
        },
        ...uiState.quick,
      ].slice(0, 20);
      return true;
    case 'job':
      void goto(resolve('/job/[id]/[station]', { id: understood.jobId, station: 'take-in' }));
      return true;
    case 'newJob':
      void startJob(understood.name, understood.becomes);
      return true;
    case 'part':
      return putScanned(understood.partId, view);
    case 'answer':
      return answerLit(understood.value, view);
    case 'word':
      return sayWord(understood.word, view);
    case 'entry':
      return book(understood.entry, view);
    case 'move':
      return lay(understood.partId, understood.where);
    case 'place':
      return placeScanned(understood.where);
    case 'find': {
      const [only, ...others] = understood.parts;
      if (!only || others.length > 0) return false;
      uiState.sheet = only.id;
      return true;
    }
    case 'told':
      uiState.sheet = understood.partId;
      return true;
    case 'checked':
      return goTo(understood.finding.station, view);
    case 'plugs':
      return goTo('plugs', view);
    case 'go':
      return goTo(understood.to, view, understood.jobId);
    case 'condition':
      void shopStore.edit(
        `${understood.partId} ${understood.condition}`,
        editPart(understood.partId, { condition: understood.condition }),
      );
      undoable(`${understood.say}.`);
      return true;
    case 'do':
      return doTo(understood.what, understood.partId);
    case 'add':
      return add(understood, view);
    case 'set': {
      const part = partNamed(understood.partId);
      if (!part) return false;
      void recordFact(part, understood.key, understood.value);
      undoable(`${understood.say}.`);
      return true;
    }
    case 'price':
      void shopStore.edit(
        `price of ${understood.partId}`,
        editPart(understood.partId, { price: understood.price }),
      );
      undoable(`${understood.say}.`);
      return true;
    case 'note': {
      const { partId, machineId, jobId, note } = understood;
      const edit = partId
        ? notePart(partId, note)
        : machineId
          ? noteMachine(machineId, note)
          : jobId
            ? noteJob(jobId, note)
            : undefined;
      if (!edit) return false;
      void shopStore.edit(`note: ${note.slice(0, 40)}`, edit);
      undoable(`${understood.say}.`);
      return true;
    }
    case 'wait': {
      const { jobId, why, until } = understood;
      void shopStore.edit(`wait: ${why}`, addItems(jobId, 'waits', [{ why, until }]));
      undoable(`${understood.say}, until ${dateText(until, 'dayTime')}.`);
      return true;
    }
    case 'ownStep': {
      const { jobId, step } = understood;
      void shopStore.edit(`step of our own: ${step.title}`, addItems(jobId, 'own', [step]));
      undoable(`${understood.say}.`);
      return true;
    }
    case 'due':
      void shopStore.edit(
        `${understood.partId} comes`,
        editPart(understood.partId, { due: understood.due }),
      );
      undoable(`${understood.say} ${dateText(understood.due, 'day')}.`);
      return true;
    case 'deadline': {
      const { jobId, deadline } = understood;
      void shopStore.edit('the deadline', editJob(jobId, { deadline }));
      const when = deadline ? `, ${dateText(deadline, 'dayTime')}` : '';
      undoable(`${understood.say}${when}.`);
      return true;
    }
    case 'budget':
      void shopStore.edit('the budget', editJob(understood.jobId, { budget: understood.budget }));
      undoable(`${understood.say}.`);
      return true;
    case 'nothing':
      return false;
  }
}

const partNamed = (id: string): Part | undefined =>
  shopStore.shop.parts.find((part) => part.id === id);

/** A line for the book; with no part and no machine in it, of the job that is open. */
function book(entry: Draft, view: JobView | undefined): boolean {
  const loose = entry.partId === undefined && entry.machineId === undefined;
  const jobId = loose ? view?.job?.id : undefined;
  shopStore.edit(`book: ${entry.what}`, writeEntry({ at: shopStore.now, ...entry, jobId }));
  toast(`In the book: ${entry.what}${jobId ? `, job ${jobId}` : ''}.`);
  return true;
}
