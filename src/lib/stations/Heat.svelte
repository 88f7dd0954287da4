<script lang="ts">
  import type { Component } from 'svelte';
  import { heatViews, type HeatView, type HeatViewProps } from '$lib/heat/views.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const { view }: { view: JobView } = $props();
  let open = $state.raw<HeatView>(heatViews[0] as HeatView);
  let Shown = $state.raw<Component<HeatViewProps> | undefined>();

  async function show(next: HeatView): Promise<void> {
    open = next;
    const loaded = (await next.load()).default;
    if (open === next) Shown = loaded;
  }
  $effect(() => void show(heatViews[0] as HeatView));
</script>

{#snippet tools()}
  {#each heatViews as each (each.id)}
    <Button onclick={() => void show(each)} aria-pressed={open.id === each.id}>{each.label}</Button>
  {/each}
{/snippet}

<Stage title="Heat" subtitle="" {tools}>
  {#if Shown && view.plan}<Shown {view} plan={view.plan} />{/if}
</Stage>
