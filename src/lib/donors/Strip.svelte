<script lang="ts">
  import { keepWhole, strip } from '$core/edits/ledgerEdits.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import type { Machine } from '$core/model/types/types.ts';
  import { stripping } from '$core/shop/stripping.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  interface Props {
    donor: Machine;
    onclose: () => void;
  }
  const { donor, onclose }: Props = $props();
  let chosen = $state<string[]>([]);
  let where = $state('');
  const parts = $derived(indexOf(shopStore.shop).parts);
  const told = $derived(stripping(shopStore.shop, donor, chosen));

  function out(): void {
    const minutes = told.minutes;
    const note = told.spoils.join(' ') || undefined;
    shopStore.edit(
      `${chosen.join(', ')} out of ${donor.id}`,
      strip(donor.id, chosen, where.trim() || 'shelf', note),
    );
    toast(`Out of ${donor.id}: ${chosen.join(', ')}. About ${minutes} min.`);
    chosen = [];
    onclose();
  }
</script>

<section aria-label="Dismantle {donor.id}">
  <fieldset>
    <legend>Take out of {donor.id}</legend>
    {#each donor.seats as seat (seat.seat)}
      {@const part = parts.get(seat.partId)}
      {#if part}
        <Tick
          label="{seatName(seat.seat)}: {part.name}"
          checked={chosen.includes(part.id)}
          onchange={(event) =>
            (chosen = event.currentTarget.checked
              ? [...chosen, part.id]
              : chosen.filter((each) => each !== part.id))}
        />
      {/if}
    {/each}
  </fieldset>
  <div>
    {#if chosen.length > 0}
      <p class="minutes"><b class="figure">{told.minutes}</b> min of hands</p>
      <ul>
        {#each told.spoils as line (line)}<li>{line}</li>{:else}<li>
            Nothing else is spoilt.
          </li>{/each}
        {#each told.wanted as each (each.partId)}
          <li>{each.partId} is planned for job {each.jobs.join(' and ')}.</li>
        {/each}
      </ul>
      <p class="row">
        <TextField label="lay them in" bind:value={where} placeholder="drawer 3" maxlength={40} />
        <Button next onclick={out}>Taken out</Button>
      </p>
    {:else}
      <p>Tick what you mean to take: minutes and what it spoils stand here before you begin.</p>
    {/if}
    <Tick
      label="Keep it whole: its parts serve no other job"
      checked={donor.keepWhole ?? false}
      onchange={(event) =>
        shopStore.edit('kept whole', keepWhole(donor.id, event.currentTarget.checked))}
    />
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: minmax(220px, 1fr) minmax(240px, 1.2fr);
    gap: 8px 24px;
    padding: 8px 0;
    grid-column: 1 / -1;
  }
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
  }
  legend {
    font: 600 16px var(--face-head);
  }
  .minutes b {
    font-size: 22px;
  }
  ul {
    margin: 4px 0;
    padding-left: 18px;
    font-size: 15px;
  }
  @media (max-width: 43.75em) {
    section {
      grid-template-columns: 1fr;
    }
  }
</style>
