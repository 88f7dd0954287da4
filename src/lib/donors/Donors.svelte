<script lang="ts">
  import Stage from '$lib/frame/Stage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { donorsViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const shown = new ViewSwitch(donorsViews, () => donorsViews[0]);
</script>

{#snippet tools()}<ViewButtons views={donorsViews} {shown} />{/snippet}

<Stage title="Donors" subtitle="" {tools}>
  {#if shown.Shown && view.plan}
    <shown.Shown {view} plan={view.plan} onclose={shown.close} />
  {/if}
</Stage>
