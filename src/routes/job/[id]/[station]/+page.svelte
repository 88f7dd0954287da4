<script lang="ts">
  import { page } from '$app/state';
  import { resolve } from '$app/paths';
  import type { Component } from 'svelte';
  import JobTape from '$lib/entry/JobTape.svelte';
  import { getView } from '$lib/shop/context.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { isStation } from '$lib/ui/stations.ts';
  import Stage from '$lib/ui/Stage.svelte';
  import { stageOf } from '$lib/stations/stages.ts';

  const view = getView();
  const station = $derived(page.params['station'] ?? '');
  let stage = $state<Component<{ view: JobView }> | undefined>();

  $effect(() => {
    if (!isStation(station)) return;
    const wanted = station;
    void stageOf[wanted]().then((loaded) => {
      if (page.params['station'] === wanted) stage = loaded.default;
    });
  });
  const Current = $derived(stage);
</script>

{#if !isStation(station) || !view.job}
  <Stage title="Not on the bench">
    <p>
      There is no {isStation(station) ? `job ${page.params['id']}` : `station ${station}`} here. It may
      have been undone, or it stands in another shop file.
    </p>
    <p><a href={resolve('/')}>Back to the bench</a></p>
  </Stage>
{:else}
  {#if Current}<Current {view} />{:else}<Stage title=""><p></p></Stage>{/if}
  <div class="tape" class:no-print={station === 'hand-over'}>
    <JobTape
      {view}
      {station}
      everything={station === 'take-in' || station === 'order' || station === 'hand-over'}
    />
  </div>
{/if}

<style>
  .tape {
    display: grid;
    min-height: 0;
  }
</style>
