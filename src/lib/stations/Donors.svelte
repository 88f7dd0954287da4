<script lang="ts">
  import type { Component } from 'svelte';
  import { donorsViews, type DonorsView, type DonorsViewProps } from '$lib/donors/views.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const { view }: { view: JobView } = $props();
  let open = $state.raw<DonorsView>(donorsViews[0] as DonorsView);
  let Shown = $state.raw<Component<DonorsViewProps> | undefined>();

  async function show(next: DonorsView): Promise<void> {
    open = next;
    const loaded = (await next.load()).default;
    if (open === next) Shown = loaded;
  }
  $effect(() => void show(donorsViews[0] as DonorsView));
</script>

{#snippet tools()}
  {#each donorsViews as each (each.id)}
    <Button onclick={() => void show(each)} aria-pressed={open.id === each.id}>{each.label}</Button>
  {/each}
{/snippet}

<Stage title="Donors" subtitle="" {tools}>
  {#if Shown}<Shown {view} />{/if}
</Stage>
