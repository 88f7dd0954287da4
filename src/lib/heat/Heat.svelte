<script lang="ts">
  import Stage from '$lib/frame/Stage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { heatViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const shown = new ViewSwitch(heatViews, () => heatViews[0]);
</script>

{#snippet tools()}<ViewButtons views={heatViews} {shown} />{/snippet}

<Stage title="Heat" subtitle="" {tools}>
  {#if shown.Shown && view.plan}
    <shown.Shown {view} plan={view.plan} onclose={shown.close} />
  {/if}
</Stage>
