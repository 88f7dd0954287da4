<script lang="ts">
  import { dropChange, putPart } from '$core/edits/edits.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { stageName } from '$core/model/types/stages.ts';
  import type { Part } from '$core/model/types/types.ts';
  import type { Service } from '$core/resolve/candidatesFor.ts';
  import { allocationsOf, type Allocation } from '$core/shop/allocations.ts';
  import { wantedBy } from '$core/model/lookup/wanted.ts';
  import PartSheet from '$lib/parts/PartSheet.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { Judge } from '../parts/judge.svelte.ts';
  import Services from '../parts/Services.svelte';
  import { nameOfSource } from './allocationsPicture.ts';
  import StrandsDrawn from './Allocations.svelte';

  const { view }: { view: JobView } = $props();
  const crossing = $derived(allocationsOf(shopStore.shop, view.job?.id));
  const goals = $derived(new Map(crossing.goals.map((goal) => [goal.job.id, goal])));
  const sources = $derived(new Map(crossing.sources.map((source) => [source.id, source])));
  let chosen = $state.raw<Allocation | undefined>();
  let held = $state.raw<Part | undefined>();
  let showing = $state<string | undefined>();
  const judge = new Judge();
  $effect(() => () => judge.close());

  const still = $derived(
    chosen &&
      shopStore.shop.jobs.some(
        (job) =>
          job.id === chosen?.to && job.changes.some((change) => change.partId === chosen?.part.id),
      )
      ? chosen
      : undefined,
  );
  const nameOf = (id: string) => nameOfSource(sources.get(id));

  function choose(strand: Allocation): void {
    held = undefined;
    chosen = still?.part.id === strand.part.id && still.to === strand.to ? undefined : strand;
  }

  function hold(part: Part): void {
    chosen = undefined;
    held = held?.id === part.id ? undefined : part;
    if (held) void judge.askPart(shopStore.shop, held);
  }

  function takeOff(strand: Allocation): void {
    shopStore.edit(
      `${strand.part.id} off job ${strand.to}`,
      dropChange(strand.to, strand.seat, strand.part.id, strand.stage),
    );
  }

  function putOn({ jobId, seat, part }: Service): void {
    shopStore.edit(
      `${part.id} as ${seatName(seat)} of job ${jobId}`,
      putPart(jobId, seat, part.id),
    );
    held = undefined;
  }
</script>

<StrandsDrawn
  {crossing}
  jobId={view.job?.id}
  chosen={still}
  {held}
  onchoose={choose}
  onhold={hold}
/>

<div class="hand" aria-live="polite">
  {#if still}
    {@const others = (wantedBy(shopStore.shop).get(still.part.id) ?? []).filter(
      (id) => id !== still?.to,
    )}
    <p>
      <b>{still.part.id}</b>
      {still.part.name}: {seatName(still.seat)} of job {still.to}{still.stage > 1
        ? `, ${stageName(still.stage)}`
        : ''}, from {nameOf(still.from)}.
      {#if still.trouble}<Mark mark={still.trouble.mark} word /> {still.trouble.say}{/if}
    </p>
    <p class="tools">
      <Button next onclick={() => still && takeOff(still)}>Take it off job {still.to}</Button>
      {#each others as id (id)}
        {@const other = goals.get(id)?.strands.find((strand) => strand.part.id === still?.part.id)}
        {#if other}<Button onclick={() => takeOff(other)}>Take it off job {id}</Button>{/if}
      {/each}
      <Button onclick={() => still && hold(still.part)}>Where else could it serve?</Button>
      <Button quiet onclick={() => (showing = still?.part.id)}>What is known of it</Button>
    </p>
  {:else if held}
    <p><b>{held.id}</b> {held.name} could serve:</p>
    <Services {judge} onput={putOn} />
    <Button quiet onclick={() => (held = undefined)}>Put it back</Button>
  {:else}
    <p class="soft">
      {crossing.crossings === 0 ? 'No strands cross.' : `${crossing.crossings} strands cross.`}
      Choose a strand to take it off, or a part of a donor to see where it could serve.
    </p>
  {/if}
</div>
{#if showing}<PartSheet partId={showing} onclose={() => (showing = undefined)} />{/if}

<style>
  .hand {
    position: sticky;
    bottom: -20px;
    margin: 8px -20px -20px;
    padding: 8px 20px 12px;
    background: var(--paper-deep);
    border-top: 2px solid var(--ink);
    font-size: 15px;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 6px;
  }
  @media (max-width: 37.5em) {
    .hand {
      margin-inline: 0;
    }
  }
</style>
