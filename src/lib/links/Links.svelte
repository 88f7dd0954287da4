<script lang="ts">
  import { chainsOf } from '$core/links/index.ts';
  import IdNames from '$lib/links/IdNames.svelte';
  import MemoryRows from '$lib/links/MemoryRows.svelte';
  import Pipe from '$lib/links/Pipe.svelte';
  import TrainedLinks from '$lib/links/TrainedLinks.svelte';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import SumStage from '../frame/SumStage.svelte';

  const { view }: { view: JobView } = $props();
  const chains = $derived(view.plan ? chainsOf(view.plan) : []);
  const most = $derived(Math.max(1, ...chains.flatMap((each) => [each.wants.hi, each.gives.hi])));
</script>

<SumStage {view} station="links" subtitle="will it be seen, and how fast">
  {#snippet picture()}
    {#each chains as chain (chain.seat)}
      <Pipe
        {chain}
        {most}
        chosen={uiState.chosen === `link:${chain.seat}`}
        onchoose={() => (uiState.chosen = `link:${chain.seat}`)}
      />
    {/each}
    {#if chains.length > 0}
      <p class="soft">
        Height by what passes. Solid: surely; dashed: perhaps, nobody looked. Red: where it narrows.
      </p>
    {/if}
    {#if view.plan}<MemoryRows plan={view.plan} />{/if}
    <TrainedLinks {view} />
    <IdNames />
  {/snippet}
</SumStage>
