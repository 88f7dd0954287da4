<script lang="ts">
  import { one, textAt } from '$core/model/plan.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import WhatPlug from '$lib/plugs/WhatPlug.svelte';
  import Button from '$lib/ui/Button.svelte';
  import SumStage from './SumStage.svelte';

  const { view }: { view: JobView } = $props();
  let asking = $state(false);
  const supply = $derived(view.plan && one(view.plan, 'supply'));
  const board = $derived(view.plan && one(view.plan, 'board'));
  const gives = $derived(view.plan && supply && textAt(view.plan, supply, 'mainPlug'));
  const takes = $derived(view.plan && board && textAt(view.plan, board, 'mainPlug'));
</script>

<SumStage {view} station="plugs" subtitle="the main plugs to scale, then every pair">
  {#snippet picture()}
    {#if asking && supply && view.plan}
      <WhatPlug plan={view.plan} {supply} onclose={() => (asking = false)} />
    {:else if supply && board}
      <div class="faces">
        <PlugFace id={gives?.text ?? ''} whose="Supply" />
        <PlugFace id={takes?.text ?? ''} whose="Board" />
        <Button onclick={() => (asking = true)}>What is this plug?</Button>
      </div>
    {/if}
  {/snippet}
</SumStage>

<style>
  .faces {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 40px;
    align-items: flex-start;
    margin-bottom: 12px;
  }
</style>
