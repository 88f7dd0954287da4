<script lang="ts">
  import type { Component } from 'svelte';
  import { plugIn } from '$core/model/ownPlugs.ts';
  import { one, textAt } from '$core/model/plan.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import { plugViews, type PlugView, type PlugViewProps } from '$lib/plugs/views.ts';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import SumStage from './SumStage.svelte';

  const { view }: { view: JobView } = $props();
  let open = $state<PlugView | undefined>();
  let Other = $state.raw<Component<PlugViewProps> | undefined>();
  const plan = $derived(view.plan);
  const supply = $derived(plan && one(plan, 'supply'));
  const board = $derived(plan && one(plan, 'board'));
  const gives = $derived(plan && supply && textAt(plan, supply, 'mainPlug'));
  const takes = $derived(plan && board && textAt(plan, board, 'mainPlug'));

  async function show(next: PlugView): Promise<void> {
    open = open?.id === next.id ? undefined : next;
    Other = undefined;
    if (open) Other = (await next.load()).default;
  }
</script>

{#snippet tools()}
  {#if plan}
    {#each plugViews as each (each.id)}
      <Button onclick={() => void show(each)} aria-pressed={open?.id === each.id}
        >{each.label}</Button
      >
    {/each}
  {/if}
{/snippet}

{#if open && plan}
  <Stage title="Plugs" subtitle="" {tools}>
    {#if Other}<Other {plan} {view} onclose={() => (open = undefined)} />{/if}
  </Stage>
{:else}
  <SumStage {view} station="plugs" subtitle="" {tools}>
    {#snippet picture()}
      {#if supply && board}
        <div class="faces">
          <PlugFace plug={plugIn(bench.shop, gives?.text ?? '')} whose="PSU" />
          <PlugFace plug={plugIn(bench.shop, takes?.text ?? '')} whose="Board" />
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
