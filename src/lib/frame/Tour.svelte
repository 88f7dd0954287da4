<script lang="ts">
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { tour } from './help.ts';

  const at = $derived(uiState.tour ?? 0);
  const stop = $derived(tour[at]);
  /** The job with the most in its plan has the most to show. */
  const job = $derived(
    [...shopStore.shop.jobs]
      .filter((each) => !each.handedOver && each.machineId)
      .sort((a, b) => b.changes.length - a.changes.length)[0],
  );
  /** Where the thing it speaks of stands on the screen. */
  let ring = $state<{ left: number; top: number; width: number; height: number }>();
  const LOOK_MS = 120;

  /* Goes where the stop is; the ring follows what it is about until it stands still. */
  $effect(() => {
    if (!stop || !job) return;
    void (stop.station
      ? goto(resolve('/job/[id]/[station]', { id: job.id, station: stop.station }))
      : goto(resolve('/')));
    const target = stop.at;
    const timer = setInterval(() => {
      const box = document.querySelector(target)?.getBoundingClientRect();
      ring = box && { left: box.left, top: box.top, width: box.width, height: box.height };
    }, LOOK_MS);
    return () => clearInterval(timer);
  });

  function leave(): void {
    uiState.tour = undefined;
  }
  const next = () => (at + 1 < tour.length ? (uiState.tour = at + 1) : leave());
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && leave()} />

{#if stop}
  {#if ring}
    <div
      class="ring"
      aria-hidden="true"
      style:left="{ring.left - 4}px"
      style:top="{ring.top - 4}px"
      style:width="{ring.width + 8}px"
      style:height="{ring.height + 8}px"
    ></div>
  {/if}
  <div class="card no-print" role="dialog" aria-label="Tour, {at + 1} of {tour.length}">
    <p aria-live="polite"><b class="figure">{at + 1} of {tour.length}</b> {stop.says}</p>
    <p class="row apart">
      <Button next onclick={next}>{at + 1 < tour.length ? 'Next' : 'Done'}</Button>
      {#if at > 0}<Button onclick={() => (uiState.tour = at - 1)}>Back</Button>{/if}
      <Button quiet onclick={leave}>Leave the tour</Button>
    </p>
  </div>
{/if}

<style>
  .ring {
    position: fixed;
    z-index: 45;
    border: 3px solid var(--accent);
    border-radius: 4px;
    pointer-events: none;
  }
  .card {
    position: fixed;
    z-index: 46;
    right: 20px;
    bottom: 20px;
    width: min(430px, calc(100vw - 32px));
    padding: 14px 16px;
    background: var(--tape);
    color: var(--ink);
    border: 2px solid var(--ink);
    border-left: 8px solid var(--accent);
    box-shadow: 0 8px 24px rgb(0 0 0 / 30%);
  }
</style>
