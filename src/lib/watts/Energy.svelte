<script lang="ts">
  import type { Plan } from '$core/model/lookup/plan.ts';
  import { DutyError, kWhAYear } from '$core/watts/energy.ts';
  import { treeOf } from '$core/watts/tree/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    plan: Plan;
  }
  const { plan }: Props = $props();
  let usual = $state(6);
  let full = $state(1);
  let idle = $state(1);
  /** Price of a kilowatt-hour in the shop's currency. */
  let price = $state(0.3);
  const year = $derived.by(() => {
    const trees = {
      idle: treeOf(plan, 'idle'),
      usual: treeOf(plan, 'usual'),
      full: treeOf(plan, 'full'),
    };
    if (!trees.idle || !trees.usual || !trees.full) return undefined;
    try {
      return {
        kWh: kWhAYear(
          { idle: trees.idle, usual: trees.usual, full: trees.full },
          { idle, usual, full },
        ),
      };
    } catch (error) {
      if (!(error instanceof DutyError)) throw error;
      return { fault: error.message };
    }
  });
  const f = (value: number) => Math.round(value).toString();
</script>

<section>
  <h2>A year of it</h2>
  <p class="row">
    <TextField short label="idle, h a day" type="number" min="0" max="24" bind:value={idle} />
    <TextField short label="usual, h a day" type="number" min="0" max="24" bind:value={usual} />
    <TextField short label="full, h a day" type="number" min="0" max="24" bind:value={full} />
    <TextField
      short
      label={`a kWh, ${shopStore.shop.settings.currency}`}
      type="number"
      min="0"
      step="0.01"
      bind:value={price}
    />
  </p>
  {#if year?.fault}
    <p role="alert">{year.fault}</p>
  {:else if year?.kWh}
    <p>
      <span class="figure">{f(year.kWh.lo)} to {f(year.kWh.hi)}</span> kWh,
      <span class="figure">{f(year.kWh.lo * price)} to {f(year.kWh.hi * price)}</span>
      {shopStore.shop.settings.currency} a year.
    </p>
  {/if}
</section>

<style>
  section {
    flex: 1 1 300px;
  }
</style>
