<script lang="ts">
  import { page } from '$app/state';
  import { resolve } from '$app/paths';
  import type { Component } from 'svelte';
  import JobTape from '$lib/frame/JobTape.svelte';
  import { getView } from '$lib/shop/context.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { isStation } from '$lib/frame/stations.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveJob } from '$lib/files/exports.ts';
  import Broken from '$lib/ui/Broken.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import { stageOf } from './stages.ts';

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
  <svelte:boundary>
    {#if Current}<Current {view} />{:else}<Stage title=""><p></p></Stage>{/if}
    {#snippet failed(error, reset)}
      <Stage title="This station cannot be shown">
        <Broken
          what="Something in the job's data: it"
          why={(error as Error).message}
          {reset}
          resetOn={page.url.pathname}
        >
          {#if view.job}
            {@const job = view.job}
            <Button onclick={() => saveJob(shopStore.shop, job)}>Export the job as it is</Button>
          {/if}
        </Broken>
      </Stage>
    {/snippet}
  </svelte:boundary>
  <div class="tape" class:no-print={station === 'hand-over'}>
    <svelte:boundary>
      <JobTape
        {view}
        {station}
        everything={station === 'take-in' || station === 'order' || station === 'hand-over'}
      />
      {#snippet failed(error, reset)}
        <Broken
          what="The tape"
          why={(error as Error).message}
          {reset}
          resetOn={page.url.pathname}
        />
      {/snippet}
    </svelte:boundary>
  </div>
{/if}

<style>
  .tape {
    display: grid;
    min-height: 0;
  }
</style>
