<script lang="ts">
  import { settleIntake, type Settling } from '$core/edits/edits.ts';
  import { compareInventory } from '$core/intake/compare.ts';
  import type { Machine } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';

  /** Readings of a machine that contradict what is known of it, each until somebody chooses. */
  const { machine }: { machine: Machine } = $props();
  const readings = $derived(
    (machine.unsettled ?? []).map((reading) => ({
      reading,
      ...compareInventory(shopStore.shop, machine, reading),
    })),
  );
  const choose = (at: string, choice: Settling, label: string) =>
    void shopStore.edit(label, settleIntake(machine.id, at, choice));
</script>

{#each readings as { reading, contradictions, otherMachine } (reading.at)}
  <section aria-label="A reading that contradicts">
    <h3>
      <Mark mark="watch" size={18} />
      {otherMachine
        ? `${reading.tool} speaks of another machine`
        : `${reading.tool} contradicts what is known`}{reading.name ? `: ${reading.name}` : ''}
    </h3>
    <p class="soft">
      {reading.parts.length} parts came with it. Nothing was changed; both are kept until you choose.
    </p>
    <table>
      <thead><tr><th></th><th>known</th><th>this reading</th></tr></thead>
      <tbody>
        {#each contradictions as each, i (i)}
          <tr><th scope="row">{each.what}</th><td>{each.was}</td><td>{each.now}</td></tr>
        {/each}
      </tbody>
    </table>
    {#if reading.ignored.length > 0}
      <p class="soft">Not believed: {reading.ignored.join('; ')}.</p>
    {/if}
    <p class="row">
      <Button onclick={() => choose(reading.at, 'old', 'the known values hold')}
        >Keep what was known</Button
      >
      <Button onclick={() => choose(reading.at, 'new', 'the new reading holds')}
        >Take the new reading</Button
      >
      <Button
        next={otherMachine}
        onclick={() => choose(reading.at, 'apart', 'a machine of its own')}
        >It is another machine</Button
      >
    </p>
  </section>
{/each}

<style>
  section {
    margin: 0 0 14px;
    padding: 8px 14px;
    border-left: 6px solid var(--watch);
    background: var(--tape);
  }
  h3 {
    margin: 0;
  }
  table {
    margin: 6px 0;
    border-collapse: collapse;
    font-size: 14.5px;
  }
  th,
  td {
    padding: 2px 14px 2px 0;
    text-align: left;
    font-weight: 400;
    overflow-wrap: anywhere;
  }
  thead th {
    color: var(--ink-soft);
  }
  .row {
    gap: 8px;
    margin: 4px 0;
  }
</style>
