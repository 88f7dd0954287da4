import type { PlanAnswer } from '$core/allocate/planned.ts';
import { takenUp, type Proposal } from '$core/allocate/proposal.ts';
import type { Kept } from '$core/allocate/stock.ts';
import { usualWishes, type Wishes } from '$core/allocate/wishes.ts';
import { takePlan } from '$core/edits/allocateEdits.ts';
import type { Part, Shop } from '$core/model/types/types.ts';
import { Background } from '$lib/shop/background.svelte.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import type { AllocateWorker, MovedPlan, SlotRef, Told } from '../../workers/allocate.worker.ts';

/** Seconds a plan may take, and its reasons after it. */
const PLAN_SECONDS = 60;
const REASON_SECONDS = 60;
const MOVE_SECONDS = 20;

/** A plan of the whole shop, worked out beside the page; nothing is done until it is taken. */
export class PlanState {
  wishes = $state.raw<Wishes>(usualWishes);
  answer = $state.raw<PlanAnswer | undefined>(undefined);
  kept = $state.raw<readonly Kept[]>([]);
  told = $state.raw<Told | undefined>(undefined);
  /** Reasons and other plans are still coming. */
  reasoning = $state(false);
  moved = $state.raw<(MovedPlan & { to: SlotRef }) | undefined>(undefined);
  further = $state.raw<{ proposal: Proposal; proven: boolean } | undefined>(undefined);
  /** The shop the answer holds for. */
  #of = $state.raw<Shop | undefined>(undefined);
  #background = new Background<AllocateWorker>(
    () =>
      new Worker(new URL('../../workers/allocate.worker.ts', import.meta.url), { type: 'module' }),
  );

  get busy(): boolean {
    return this.#background.busy;
  }
  get fault(): string | undefined {
    return this.#background.fault;
  }

  /** Something was changed since, here or in another tab. */
  get stale(): boolean {
    const [then, now] = [this.#of, shopStore.shop];
    if (!then || then === now) return false;
    return (['jobs', 'parts', 'machines', 'models', 'settings'] as const).some(
      (name) => then[name] !== now[name],
    );
  }

  async work(jobIds: readonly string[]): Promise<void> {
    const shop = shopStore.shop;
    this.told = undefined;
    this.moved = undefined;
    this.further = undefined;
    const asked = { jobIds, wishes: this.wishes, others: 2, reasons: true };
    const found = await this.#background.ask((api, telling) =>
      api.plan(
        shop,
        asked,
        PLAN_SECONDS,
        telling((told) => (this.told = told)),
      ),
    );
    this.told = undefined;
    if (!found) return;
    this.answer = found.answer;
    this.kept = found.kept;
    this.#of = shop;
    if (!found.answer.proven && found.answer.stuck.length === 0) return;
    this.reasoning = true;
    const whole = await this.#background.ask((api) => api.reasons(REASON_SECONDS));
    this.reasoning = false;
    if (whole) this.answer = whole;
  }

  /** Enough: the best so far is the answer. */
  finish = (): void => void this.#background.api().then((api) => api.finish());

  take(proposal: Proposal, label: string): void {
    if (this.stale) return;
    shopStore.edit(label, takePlan(proposal));
    this.#of = shopStore.shop;
  }

  options = async (slot: SlotRef): Promise<Pick<Part, 'id' | 'name'>[]> =>
    (await this.#background.api()).options(slot);

  async move(to: SlotRef & { partId: string | undefined }): Promise<void> {
    this.moved = undefined;
    const moved = await this.#background.ask((api) => api.move(to, MOVE_SECONDS));
    if (moved) this.moved = { ...moved, to };
  }

  async buildFurther(proposal: Proposal, most: number): Promise<void> {
    this.further = undefined;
    const after = takenUp(shopStore.shop, proposal);
    this.further = await this.#background.ask((api) => api.further(after, most, PLAN_SECONDS));
  }

  close = (): void => this.#background.close();
}
