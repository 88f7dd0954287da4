<script lang="ts">
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import {
    deleteParts,
    markParts,
    moveParts,
    priceParts,
    reserveParts,
    sendToJob,
    whyPartsKept,
    type Leaving,
  } from '$core/edits/shelfEdits.ts';
  import { conditions, type Condition } from '$core/model/types/types.ts';
  import { currencySign, formatMoney, parseMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { undoable } from '$lib/shop/undoable.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    /** Tags of the parts. */
    picked: readonly string[];
    /** They leave the shop: asked of whom and for how much elsewhere. */
    onleave: (how: Leaving) => void;
    /** None is chosen any more. */
    onnone: () => void;
  }
  /** What can be done with several parts at once: each one step, with one undo. */
  const { picked, onleave, onnone }: Props = $props();

  const shop = $derived(shopStore.shop);
  const { currency } = $derived(shopStore.shop.settings);
  const jobs = $derived(
    shop.jobs
      .filter(({ handedOver }) => !handedOver)
      .map(({ id, name }) => ({ value: id, words: `${id} · ${name}` })),
  );
  const NOBODY = 'nobody';
  /* Picked, done, and ready for the same again. */
  let condition = $state<Condition | ''>('');
  let job = $state('');
  let kept = $state('');

  const say = (what: string) => undoable(what);
  const few = (ids: readonly string[]) => (ids.length > 3 ? `${ids.length} parts` : ids.join(', '));

  let place = $state('');
  let price = $state('');
  let fault = $state('');
  function move(): void {
    if (place.trim() === '') return;
    void shopStore.edit(`${few(picked)} to ${place.trim()}`, moveParts(picked, place.trim()));
    say(`${few(picked)}: ${place.trim()}.`);
    place = '';
  }
  function setPrice(): void {
    const money = price.trim() === '' ? undefined : parseMoney(price, currency);
    fault = price.trim() !== '' && !money ? 'A price: 12.50' : '';
    if (fault) return;
    void shopStore.edit(`price of ${few(picked)}`, priceParts(picked, money));
    say(
      `${few(picked)}: ${money ? `${formatMoney(money)} ${currencySign(money.currency)}` : 'no price'}.`,
    );
    price = '';
  }
  function remove(): void {
    const kept = whyPartsKept(shop, picked);
    const going = picked.length - kept.length;
    if (going > 0) {
      void shopStore.edit(`${few(picked)} deleted`, deleteParts(picked));
      say(`${going} deleted.${kept.length > 0 ? ` ${kept.length} stay.` : ''}`);
    }
    if (kept.length > 0) toast(kept.slice(0, 3).join(' '), 'stop');
  }
  function toJob(jobId: string): void {
    job = '';
    if (jobId === '') return;
    void shopStore.edit(`${few(picked)} to job ${jobId}`, sendToJob(picked, jobId));
    say(`${few(picked)} planned in job ${jobId}.`);
  }
  function keepFor(jobId: string): void {
    kept = '';
    if (jobId === '') return;
    const nobody = jobId === NOBODY;
    void shopStore.edit(`${few(picked)} kept`, reserveParts(picked, nobody ? undefined : jobId));
    say(`${few(picked)} ${nobody ? 'kept for nobody' : `kept for job ${jobId}`}.`);
  }
  function mark(value: Condition | ''): void {
    condition = '';
    if (value === '') return;
    void shopStore.edit(`${few(picked)} ${value}`, markParts(picked, value));
    say(`${few(picked)}: ${value}.`);
  }
  function labels(): void {
    uiState.labelsOf = picked;
    void goto(resolve('/labels'));
  }
</script>

<div class="row chosen no-print" role="group" aria-label="What to do with what is chosen">
  <b>{picked.length} chosen</b>
  <form
    class="row"
    onsubmit={(event) => {
      event.preventDefault();
      move();
    }}
  >
    <TextField short label="Move to" bind:value={place} maxlength={60} />
    <Button type="submit">Move</Button>
  </form>
  <form
    class="row"
    onsubmit={(event) => {
      event.preventDefault();
      setPrice();
    }}
  >
    <TextField
      short
      label="Price each"
      {fault}
      bind:value={price}
      inputmode="decimal"
      maxlength={14}
    />
    <Button type="submit">Set</Button>
  </form>
  <Select label="Condition" options={conditions} none="say" bind:value={condition} onpick={mark} />
  <Select label="Send to job" options={jobs} none="which" bind:value={job} onpick={toJob} />
  <Select
    label="Keep for"
    options={[{ value: NOBODY, words: 'nobody' }, ...jobs]}
    none="which"
    bind:value={kept}
    onpick={keepFor}
  />
  <span class="row">
    <Button onclick={labels}>Labels</Button>
    <Button onclick={() => onleave('sold')}>Sell</Button>
    <Button onclick={() => onleave('given away')}>Give away</Button>
    <Button onclick={() => onleave('scrapped')}>Scrap</Button>
    <Button onclick={remove}>Delete</Button>
    <Button quiet onclick={onnone}>Choose none</Button>
  </span>
</div>

<style>
  .chosen {
    margin-bottom: 10px;
    padding: 8px 12px;
    background: var(--tape-lit);
    border-left: 5px solid var(--accent);
  }
</style>
