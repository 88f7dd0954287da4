import type { Edit } from '$core/edits/edits.ts';
import { carryMemo } from '$core/model/lookup/reads.ts';
import { emptyShop } from '$core/model/types/empty.ts';
import type { Shop } from '$core/model/types/types.ts';
import { parseMoney } from '$core/units/money.ts';
import { newVersions } from '$core/merge/write.ts';
import type { Answer, Question } from '$core/merge/question.ts';
import type { Versions } from '$core/model/types/versionTypes.ts';
import { stableText } from '$core/units/stableText.ts';
import { beginning, storeName, whichShop, type Which } from './shops.ts';
import { ShopStore, type Trouble } from './store.ts';
import { toast } from './toasts.svelte.ts';

/** The shop as every view sees it; the store behind it keeps it, here and between tabs. */
class Bench {
  shop = $state.raw<Shop>(emptyShop());
  ready = $state(false);
  /** The shop before the latest edit: what the tape strikes through. */
  before = $state.raw<Shop | undefined>(undefined);
  canUndo = $state(false);
  canRedo = $state(false);
  /** Why what is on screen is not stored, if it is not. */
  trouble = $state.raw<Trouble | undefined>(undefined);
  /** Edits on screen that are not stored. */
  waiting = $state(0);
  /** Practising on a copy: nothing is stored, simulated instruments may be used. */
  practice = $state(false);
  /** Nothing was stored when the page opened: a first visit, or the browser lost what it kept. */
  began = $state(false);
  /** What merging left to be said. */
  questions = $state.raw<Question[]>([]);
  /** ISO time, moved on every half minute: when hands are next needed hangs on it. */
  now = $state(new Date().toISOString());

  /** Which of the shops kept here this page shows. */
  readonly which: Which = whichShop();

  #channel: BroadcastChannel | undefined;
  #store = new ShopStore(
    {
      onchange: () => this.#show(),
      onsay: toast,
      onwritten: (rev) => this.#channel?.postMessage(rev),
      now: () => Date.now(),
    },
    storeName(this.which),
  );
  #started = false;

  async start(): Promise<void> {
    if (this.#started) return;
    this.#started = true;
    this.#channel = new BroadcastChannel(storeName(this.which));
    this.#channel.onmessage = () => void this.#store.look();
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') void this.#store.look();
    });
    window.addEventListener('online', () => void this.#store.tryAgain());
    window.addEventListener('beforeunload', (event) => {
      if (this.#store.trouble && this.#store.waiting > 0) event.preventDefault();
    });
    setInterval(() => (this.now = new Date().toISOString()), 30_000);
    await this.#store.start();
    this.began = this.#store.ready && !this.#store.stored;
    if (this.began) await this.#firstRun();
    void navigator.storage?.persist?.();
    this.ready = this.#store.ready;
  }

  /**
   * Shows the edit at once and stores it; `key` joins quick edits of the same thing into one step.
   * Resolves when it is stored or the first try was refused.
   */
  edit(label: string, edit: Edit, key?: string): Promise<void> {
    return this.#store.edit(label, edit, key);
  }

  undo(): Promise<void> {
    return this.#store.undo();
  }

  redo(): Promise<void> {
    return this.#store.redo();
  }

  /** The shop with its versions, for a file of it that can be merged. */
  copy(): Promise<{ shop: Shop; versions?: Versions | undefined }> {
    return this.#store.copy();
  }

  /** A whole shop in the place of this one; where the browser keeps nothing, on screen alone. */
  async open(label: string, { versions, ...shop }: Shop): Promise<void> {
    if (this.trouble || this.practice) return this.edit(label, () => shop);
    const laid = versions ?? newVersions(await lineOf(shop));
    await this.#store.lay(label, () => ({ shop, versions: laid }));
  }

  /** A copy of this shop that was edited apart. Throws where what was done before is not stored yet. */
  merge(label: string, { versions, ...shop }: Shop): Promise<void> {
    if (!versions) throw new RangeError('a copy without versions');
    return this.#store.merge(label, { shop, versions });
  }

  answer(label: string, answer: Answer): Promise<void> {
    return this.#store.answer(label, answer);
  }

  startPractice(): void {
    this.#store.startPractice();
  }

  endPractice(): Promise<void> {
    return this.#store.endPractice();
  }

  tryAgain(): Promise<void> {
    return this.#store.tryAgain();
  }

  /** Waits until every edit so far is stored or was refused. */
  settled(): Promise<unknown> {
    return this.#store.settled();
  }

  #show(): void {
    const { shop, before, canUndo, canRedo, trouble, waiting, practice } = this.#store;
    carryMemo(this.shop, shop);
    this.shop = shop;
    this.before = before;
    this.canUndo = canUndo;
    this.canRedo = canRedo;
    this.trouble = trouble;
    this.waiting = waiting;
    this.practice = practice;
    if (this.#store.asks) this.#ask();
    else this.questions = [];
  }

  #asking = false;
  /** Questions are worked out once the writing has settled. */
  #ask(): void {
    if (this.#asking || this.practice) return;
    this.#asking = true;
    setTimeout(() => {
      this.#asking = false;
      void this.#store.questions().then((found) => (this.questions = found));
    }, 150);
  }

  /** Two tabs opened at once lay the demo down once: the second finds a shop that has something in it. */
  async #firstRun(): Promise<void> {
    if (this.which === 'own') return this.#begin();
    const answer = await fetch(
      this.which === 'demo' ? '/api/v1/demo' : '/api/v1/demo?when=first',
    ).catch(() => undefined);
    if (answer?.status !== 200) return;
    const demo = (await answer.json()) as Shop;
    const empty = ({ jobs, parts, machines }: Shop) =>
      jobs.length + parts.length + machines.length === 0;
    await this.edit('demo shop', (shop) => (empty(shop) ? demo : shop));
    this.before = undefined;
  }

  /** A shop of one's own: empty, with its name, its currency and what an hour is worth. */
  async #begin(): Promise<void> {
    const chosen = beginning();
    if (!chosen) return;
    const { name, unit, currency, hour } = chosen;
    const anHour = hour === '' ? undefined : parseMoney(hour, currency);
    await this.edit('my own shop', (shop) => ({
      ...shop,
      name: name || shop.name,
      settings: { ...shop.settings, unit, currency, ...(anHour && { anHour }) },
    }));
    this.before = undefined;
  }
}

/** Two benches that open the same old file begin the same line. */
async function lineOf(shop: Shop): Promise<string> {
  const bytes = new TextEncoder().encode(stableText(shop));
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  return [...digest.slice(0, 12)].map((each) => each.toString(16).padStart(2, '0')).join('');
}

export const shopStore = new Bench();
