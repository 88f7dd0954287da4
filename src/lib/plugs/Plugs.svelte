<script lang="ts">
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { partOfKind, textAt } from '$core/model/lookup/plan.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import SumStage from '$lib/frame/SumStage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import { plugViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const shown = new ViewSwitch(plugViews);
  const plan = $derived(view.plan);
  const supply = $derived(plan && partOfKind(plan, 'supply'));
  const board = $derived(plan && partOfKind(plan, 'board'));
  const gives = $derived(plan && supply && textAt(plan, supply, 'mainPlug'));
  const takes = $derived(plan && board && textAt(plan, board, 'mainPlug'));
</script>

{#snippet tools()}
  {#if plan}
    <ViewButtons views={plugViews} {shown} />
  {/if}
{/snippet}

{#if shown.open && plan}
  <Stage title="Plugs" subtitle="" {tools}>
    {#if shown.Shown}<shown.Shown {plan} {view} onclose={shown.close} />{/if}
  </Stage>
{:else}
  <SumStage {view} station="plugs" subtitle="" {tools}>
    {#snippet picture()}
      {#if supply && board}
        <div class="faces">
          <PlugFace plug={plugIn(shopStore.shop, gives?.text ?? '')} whose="PSU" />
          <PlugFace plug={plugIn(shopStore.shop, takes?.text ?? '')} whose="Board" />
        </div>
      {/if}
    {/snippet}
  </SumStage>
{/if}

<style>
  .faces {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 40px;
    align-items: flex-start;
    margin-bottom: 12px;
  }
</style>
