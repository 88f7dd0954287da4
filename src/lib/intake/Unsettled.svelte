<script lang="ts">
  import { settleIntake, type Holds, type Settling } from '$core/edits/intakeEdits.ts';
  import { compareInventory, type Difference } from '$core/intake/compare.ts';
  import type { Machine } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';

  /** Readings of a machine that differ from what is known of it, each thing until somebody chooses. */
  const { machine }: { machine: Machine } = $props();
  const readings = $derived(
    (machine.unsettled ?? []).map((reading) => ({
      reading,
      ...compareInventory(shopStore.shop, machine, reading),
    })),
  );
  /** What was picked so far, by the reading's time and the difference's id. */
  let picked = $state<Record<string, Record<string, Holds>>>({});

  const choose = (at: string, choice: Settling, label: string) =>
    void shopStore.edit(label, settleIntake(machine.id, at, choice));
  const pick = (at: string, id: string, holds: Holds) => {
    picked[at] = { ...picked[at], [id]: holds };
  };
  /** The two answers to each sort of difference, what was known first. */
  const answers: Record<Difference['sort'], readonly [old: string, now: string]> = {
    changed: ['Known holds', 'Reading holds'],
    gone: ['Still in it', 'Out of it'],
    new: ['Not in it', 'Came in'],
  };
</script>

{#each readings as { reading, differences, otherMachine } (reading.at)}
  {@const own = picked[reading.at] ?? {}}
  {@const open = differences.filter(({ id }) => own[id] === undefined).length}
  <section aria-label="A reading that differs">
    <h3>
      <Mark mark="watch" size={18} />
      {otherMachine
        ? `${reading.tool} speaks of another machine`
        : `${reading.tool} differs from what is known`}{reading.name ? `: ${reading.name}` : ''}
    </h3>
    <p class="soft">
      {reading.parts.length} parts came with it. Nothing was changed yet: one choice for each line, or
      one for all.
    </p>
    <table>
      <thead><tr><th></th><th>known</th><th>this reading</th><th></th></tr></thead>
      <tbody>
        {#each differences as { id, sort, what, was, now } (id)}
          <tr>
            <th scope="row">{what}{sort === 'gone' ? ', gone' : sort === 'new' ? ', new' : ''}</th>
            <td class:struck={own[id] === 'new'}>{was || '–'}</td>
            <td class:struck={own[id] === 'old'}>{now || '–'}</td>
            <td class="two">
              {#each ['old', 'new'] as const as holds, i (holds)}
                <button
                  aria-pressed={own[id] === holds}
                  aria-label="{what}: {answers[sort][i]}"
                  onclick={() => pick(reading.at, id, holds)}>{answers[sort][i]}</button
                >
              {/each}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if reading.ignored.length > 0}
      <p class="soft">Not believed: {reading.ignored.join('; ')}.</p>
    {/if}
    <p class="row apart">
      <Button
        next={open === 0}
        disabled={open > 0}
        onclick={() => choose(reading.at, own, 'chosen line by line')}
        >{open > 0 ? `${open} still to choose` : 'Done'}</Button
      >
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
  .struck {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
  .two {
    white-space: nowrap;
  }
  .two button {
    min-height: 36px;
    padding: 0 10px;
    border: 1px solid var(--line);
    background: none;
    color: var(--ink);
    font: 500 15px var(--face-head);
  }
  .two button[aria-pressed='true'] {
    border-color: var(--ink);
    background: var(--ink);
    color: var(--paper);
  }
</style>
