<script lang="ts">
  import { editPart } from '$core/edits/edits.ts';
  import { markParts, moveParts } from '$core/edits/shelfEdits.ts';
  import { kindName } from '$core/model/types/seats.ts';
  import { conditions, countOf, type Condition, type Photo } from '$core/model/types/types.ts';
  import type { ShelfRow } from '$core/quick/shelf.ts';
  import { formatMoney, parseMoney } from '$core/units/money.ts';
  import Picture from '$lib/photos/Picture.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { dateText } from '$lib/ui/dates.ts';

  interface Props {
    row: ShelfRow;
    /** Where it stands in its list, px from the top. */
    y: number;
    photo: Photo | undefined;
    /** Its box is ticked. */
    chosen: boolean;
    /** Place, condition and price can be changed in it. */
    editing: boolean;
    onchoose: (event: MouseEvent & { currentTarget: HTMLInputElement }) => void;
    /** Its editing begun or ended. */
    onedit: () => void;
  }
  /** A part of the shelf's page, in one line. Columns are those of the table it stands in (`--columns`). */
  const { row, y, photo, chosen, editing, onchoose, onedit }: Props = $props();

  const part = $derived(row.part);
  const { currency } = $derived(shopStore.shop.settings);
  const bound = $derived.by(() => {
    if (row.wanted.length > 0) return `job ${row.wanted.join(', ')}`;
    if (part.loan) return `${part.loan.way}${part.loan.who ? `, ${part.loan.who}` : ''}`;
    return part.reserved ? `kept for ${part.reserved}` : '';
  });
  function priced(typed: string): void {
    const money = typed.trim() === '' ? undefined : parseMoney(typed, currency);
    if (typed.trim() !== '' && !money) {
      toast(`${typed} is no price: 12.50. ${part.id} keeps what it had.`, 'stop');
      return;
    }
    void shopStore.edit(`price of ${part.id}`, editPart(part.id, { price: money }));
  }
</script>

<div class="row" role="row" class:on={chosen} style:transform="translateY({y}px)">
  <span role="cell"
    ><input
      type="checkbox"
      aria-label="Choose {part.id}"
      checked={chosen}
      onclick={onchoose}
    /></span
  >
  <span role="cell" class="figure tag">{part.id}</span>
  <span role="cell" class="name">
    {#if photo}<span class="thumb"><Picture {photo} label="" small /></span>{/if}
    <button onclick={() => (uiState.sheet = part.id)}
      >{countOf(part) > 1 ? `${countOf(part)} x ` : ''}{part.name}<small
        >{kindName(part.kind)}</small
      ></button
    >
  </span>
  {#if editing}
    <span role="cell" class="place"
      ><input
        value={part.where ?? ''}
        aria-label="Where {part.id} lies"
        maxlength={60}
        disabled={row.sort !== 'shelf'}
        onchange={(event) =>
          void shopStore.edit(`${part.id} moved`, moveParts([part.id], event.currentTarget.value))}
      /></span
    >
    <span role="cell" class="condition"
      ><select
        value={row.condition}
        aria-label="Condition of {part.id}"
        onchange={(event) =>
          void shopStore.edit(
            `${part.id} ${event.currentTarget.value}`,
            markParts([part.id], event.currentTarget.value as Condition),
          )}
        >{#each conditions as one (one)}<option>{one}</option>{/each}</select
      ></span
    >
    <span role="cell" class="price"
      ><input
        value={part.price ? formatMoney(part.price) : ''}
        aria-label="Price of {part.id}"
        inputmode="decimal"
        onchange={(event) => priced(event.currentTarget.value)}
      /></span
    >
  {:else}
    <span role="cell" class="place">{row.place}</span>
    <span role="cell" class="condition">{row.condition}</span>
    <span role="cell" class="price figure"
      >{part.price
        ? `${formatMoney(part.price)}${part.price.currency === currency ? '' : ` ${part.price.currency}`}`
        : ''}</span
    >
  {/if}
  <span role="cell" class="age">{row.since ? dateText(row.since, 'day') : ''}</span>
  <span role="cell" class="bound" class:twice={row.wanted.length > countOf(part)}>{bound}</span>
  <span role="cell" class="edit"
    ><button aria-pressed={editing} aria-label="Edit {part.id} in its line" onclick={onedit}
      >{editing ? 'done' : 'edit'}</button
    ></span
  >
</div>

<style>
  .row {
    position: absolute;
    top: 0;
    left: 0;
    display: grid;
    grid-template-columns: var(--columns);
    gap: 8px;
    align-items: center;
    width: 100%;
    height: 48px;
    padding: 0 6px;
    border-bottom: 1px solid var(--line);
    font-size: 15px;
  }
  .on {
    background: var(--tape-lit);
  }
  .row span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .price {
    padding-right: 8px;
    text-align: right;
  }
  .name {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .name button {
    min-width: 0;
    height: 46px;
    padding: 0;
    overflow: hidden;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .name small {
    display: block;
    font-size: 13px;
    color: var(--ink-soft);
  }
  .row .thumb {
    flex: none;
    width: 44px;
    max-height: 44px;
  }
  input[type='checkbox'] {
    width: 24px;
    height: 24px;
  }
  input:not([type='checkbox']),
  select {
    width: 100%;
    height: 40px;
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    color: var(--ink);
    font-size: 15px;
  }
  .edit button {
    min-height: 40px;
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font-size: 14px;
    text-decoration: underline;
  }
  .twice {
    color: var(--stop);
    font-weight: 700;
  }
  @media (max-width: 62.5em) {
    .age,
    .bound,
    .condition {
      display: none;
    }
  }
  @media (max-width: 37.5em) {
    .place {
      display: none;
    }
  }
</style>
