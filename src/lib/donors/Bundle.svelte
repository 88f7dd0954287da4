<script lang="ts">
  import { priceBundle } from '$core/edits/edits.ts';
  import { splitBundle, type BundlePiece } from '$core/donors/index.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { currencySign, formatMoney, type Money } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import MoneyField from '$lib/ui/MoneyField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  /** One price paid for several parts: their tags, the price, what each counts, what of it is dead. */
  let typed = $state('');
  let price = $state.raw<Money | undefined>(undefined);
  let weights = $state<Record<string, string>>({});
  let dead = $state<Record<string, boolean>>({});

  const currency = $derived(shopStore.shop.settings.currency);
  const tags = $derived([
    ...new Set(
      typed
        .toUpperCase()
        .split(/[^A-Z0-9-]+/)
        .filter(Boolean),
    ),
  ]);
  const parts = $derived(tags.flatMap((tag) => indexOf(shopStore.shop).parts.get(tag) ?? []));
  const unknown = $derived(tags.filter((tag) => !indexOf(shopStore.shop).parts.has(tag)));
  const pieces = $derived(
    parts.map((part): BundlePiece => ({
      partId: part.id,
      weight: Number((weights[part.id] ?? String(part.worth?.minor ?? 1)).replace(',', '.')),
      dead: dead[part.id] ?? false,
    })),
  );
  const split = $derived.by((): { money?: Map<string, Money>; fault?: string } => {
    if (!price || parts.length < 2) return {};
    try {
      return { money: splitBundle(price, pieces) };
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      return { fault: error.message };
    }
  });

  function keep(): void {
    if (!price || !split.money) return;
    void shopStore.edit(`one price for ${parts.length} parts`, priceBundle(price, pieces));
    toast(
      `${formatMoney(price)} ${currencySign(price.currency)} parted over ${parts.length} parts.`,
    );
    typed = '';
    price = undefined;
    weights = {};
    dead = {};
  }
</script>

<details>
  <summary>One price for several</summary>
  <p class="row">
    <TextField
      label="Tags"
      bind:value={typed}
      placeholder="E01 E02 C03"
      autocomplete="off"
      maxlength={400}
    />
    <MoneyField
      label="Price of all"
      value={price}
      {currency}
      onmoney={(money) => (price = money)}
    />
  </p>
  <Fault text={unknown.length > 0 ? `Not on the shelf: ${unknown.join(', ')}.` : ''} />
  {#if parts.length > 0}
    <ul>
      {#each parts as part, i (part.id)}
        <li>
          <b class="figure">{part.id}</b> <span>{part.name}</span>
          <TextField
            label="counts"
            short
            inputmode="decimal"
            value={weights[part.id] ?? String(pieces[i]?.weight ?? 1)}
            disabled={dead[part.id]}
            oninput={(event) => (weights[part.id] = event.currentTarget.value)}
          />
          <Tick
            label="dead"
            checked={dead[part.id] ?? false}
            onchange={(event) => (dead[part.id] = event.currentTarget.checked)}
          />
          <span class="figure"
            >{split.money ? formatMoney(split.money.get(part.id) as Money) : ''}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
  <Fault text={split.fault ?? ''} />
  <Button next={split.money !== undefined} disabled={!split.money} onclick={keep}
    >Part the price</Button
  >
</details>

<style>
  details {
    margin: 8px 0;
  }
  summary {
    min-height: 36px;
    font: 500 16px var(--face-head);
  }
  ul {
    margin: 6px 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 70px 1fr auto auto 70px;
    gap: 12px;
    align-items: center;
    min-height: var(--target);
    border-bottom: 1px solid var(--line);
  }
  li .figure:last-child {
    text-align: right;
  }
  @media (max-width: 37.5em) {
    li {
      grid-template-columns: 60px 1fr;
      padding: 6px 0;
    }
  }
</style>
