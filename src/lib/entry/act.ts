import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import { movePart, writeEntry } from '$core/edits/ledgerEdits.ts';
import type { Draft } from '$core/quick/book.ts';
import { editJob, editPart, newJob, newPart, putPart, tickStep } from '$core/edits/edits.ts';
import { deletePart, noteJob, noteMachine, notePart, whyKept } from '$core/edits/partEdits.ts';
import { addItems } from '$core/shop/items.ts';
import { indexOf } from '$core/model/lookup/lookup.ts';
import { freeSeat, kindName, seatName } from '$core/model/types/seats.ts';
import { answered, type Question } from '$core/plan/questions.ts';
import type { Part } from '$core/model/types/types.ts';
import type {
  AnswerValue,
  Destination,
  PartCommand,
  Understood,
  Word,
} from '$core/quick/line/understood.ts';
import { progress } from '$core/order/index.ts';
import { hasCamera } from './hasCamera.ts';
import { exportShop } from '$lib/files/save.ts';
import { recordFact } from '$lib/shop/recordFact.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { keyAfter, litQuestion, nextQuestion, questionKey, seatFor, undo } from './lit.ts';
import { uiState, type QuickPrinted } from '$lib/shop/uiState.svelte.ts';
import { dateText } from '$lib/ui/dates.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';

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
      toast(`${understood.say}.`, 'plain', undoNow);
      return true;
    case 'do':
      return doTo(understood.what, understood.partId);
    case 'add':
      return add(understood, view);
    case 'set': {
      const part = partNamed(understood.partId);
      if (!part) return false;
      void recordFact(part, understood.key, understood.value);
      toast(`${understood.say}.`, 'plain', undoNow);
      return true;
    }
    case 'price':
      void shopStore.edit(
        `price of ${understood.partId}`,
        editPart(understood.partId, { price: understood.price }),
      );
      toast(`${understood.say}.`, 'plain', undoNow);
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
      toast(`${understood.say}.`, 'plain', undoNow);
      return true;
    }
    case 'wait': {
      const { jobId, why, until } = understood;
      void shopStore.edit(`wait: ${why}`, addItems(jobId, 'waits', [{ why, until }]));
      toast(`${understood.say}, until ${dateText(until, 'dayTime')}.`, 'plain', undoNow);
      return true;
    }
    case 'ownStep': {
      const { jobId, step } = understood;
      void shopStore.edit(`step of our own: ${step.title}`, addItems(jobId, 'own', [step]));
      toast(`${understood.say}.`, 'plain', undoNow);
      return true;
    }
    case 'due':
      void shopStore.edit(
        `${understood.partId} comes`,
        editPart(understood.partId, { due: understood.due }),
      );
      toast(`${understood.say} ${dateText(understood.due, 'day')}.`, 'plain', undoNow);
      return true;
    case 'deadline': {
      const { jobId, deadline } = understood;
      void shopStore.edit('the deadline', editJob(jobId, { deadline }));
      const when = deadline ? `, ${dateText(deadline, 'dayTime')}` : '';
      toast(`${understood.say}${when}.`, 'plain', undoNow);
      return true;
    }
    case 'budget':
      void shopStore.edit('the budget', editJob(understood.jobId, { budget: understood.budget }));
      toast(`${understood.say}.`, 'plain', undoNow);
      return true;
    case 'nothing':
      return false;
  }
}

const partNamed = (id: string): Part | undefined =>
  shopStore.shop.parts.find((part) => part.id === id);

const undoNow = (): void => void shopStore.undo();

/** Opens a station of the open job, a page, or what a button opens too. */
function goTo(to: Destination, view: JobView | undefined, jobId?: string): boolean {
  switch (to) {
    case 'bench':
      void goto(resolve('/'));
      return true;
    case 'book':
      void goto(resolve('/book'));
      return true;
    case 'shelf':
      void goto(resolve('/shelf'));
      return true;
    case 'week':
      void goto(resolve('/week'));
      return true;
    case 'labels':
      void goto(resolve('/labels'));
      return true;
    case 'scan sheet':
      if (hasCamera() && matchMedia('(pointer: coarse)').matches) uiState.scanning = true;
      else void goto(resolve('/scan-sheet'));
      return true;
    case 'settings':
      void goto(resolve('/settings'));
      return true;
    case 'new job':
      uiState.dialog = 'new job';
      return true;
    case 'help':
      uiState.dialog = 'keys';
      return true;
    case 'print':
      uiState.dialog = 'print';
      return true;
    case 'export':
      void exportShop();
      return true;
    case 'open file':
      pickShopFile();
      return true;
    default: {
      const id = jobId ?? view?.job?.id ?? uiState.lastJob ?? shopStore.shop.jobs.at(0)?.id;
      if (id === undefined) {
        toast('Start a job first: its stations are there then.');
        return false;
      }
      void goto(resolve('/job/[id]/[station]', { id, station: to }));
      return true;
    }
  }
}

/** The same as the button at the foot of the bench: the browser asks for the file. */
function pickShopFile(): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = '.json,.zip,application/json,application/zip';
  input.onchange = async () => {
    const [file] = input.files ?? [];
    if (!file) return;
    const { readFile } = await import('$lib/files/open.ts');
    await readFile(file);
  };
  input.click();
}

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

function doTo(what: PartCommand, partId: string): boolean {
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
      toast(`${partId} deleted.`, 'plain', undoNow);
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
  toast(`Added ${tags.join(', ')}.`, 'plain', undoNow);
}

function add(adding: Extract<Understood, { kind: 'add' }>, view: JobView | undefined): boolean {
  void added(adding, view);
  return true;
}

/** A new job needs a name; what it should become may follow. */
export async function startJob(name: string, becomes: string): Promise<void> {
  const made = newJob(name, becomes);
  await shopStore.edit(`new job: ${name}`, made.edit);
  await goto(resolve('/job/[id]/[station]', { id: made.tag(), station: 'take-in' }));
}

/** Where a scanned part would go in this job: the lit seat if it takes its kind, else the next free one. */
function book(entry: Draft, view: JobView | undefined): boolean {
  const loose = entry.partId === undefined && entry.machineId === undefined;
  const jobId = loose ? view?.job?.id : undefined;
  shopStore.edit(`book: ${entry.what}`, writeEntry({ at: shopStore.now, ...entry, jobId }));
  toast(`In the book: ${entry.what}${jobId ? `, job ${jobId}` : ''}.`);
  return true;
}

function lay(partId: string, where: string): boolean {
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
function placeScanned(where: string): boolean {
  if (uiState.held) {
    const held = uiState.held;
    uiState.held = undefined;
    return lay(held, where);
  }
  uiState.laying = where;
  toast(`Parts scanned now go to ${where}. Scan “done” when the box is full.`);
  return true;
}

function putScanned(partId: string, view: JobView | undefined): boolean {
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
  toast(`${partId} is planned as ${seatName(seat)}.`, 'plain', undoNow);
  return true;
}

/** Writes the answer down and moves the light to the next question. */
function answerLit(value: AnswerValue, view: JobView | undefined): boolean {
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

function sayWord(word: Word, view: JobView | undefined): boolean {
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

export function keepSum(jobId: string, { text, unit }: QuickPrinted): void {
  if (!shopStore.shop.jobs.some((each) => each.id === jobId)) return;
  void shopStore.edit(
    `sum kept with ${jobId}`,
    addItems(jobId, 'sums', [{ text, at: shopStore.now, unit }]),
  );
  uiState.quick = uiState.quick.filter((sum) => sum.text !== text);
}
