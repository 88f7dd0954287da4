<script lang="ts">
  import Stage from '$lib/frame/Stage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { faultSearch, startChecks, startupViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  /** A machine that came in dead has a fault to be found before there is anything to start. */
  const shown = new ViewSwitch(startupViews, () =>
    view.job?.diagnoses.some((each) => !each.verdict) && !view.steps.some((step) => step.gate)
      ? faultSearch
      : startChecks,
  );
</script>

{#snippet tools()}<ViewButtons views={startupViews} {shown} />{/snippet}

<Stage
  title="Power-up"
  subtitle={shown.open === startChecks ? 'the least parts first · one stair each' : ''}
  {tools}
>
  {#if shown.Shown && view.plan}
    <shown.Shown {view} plan={view.plan} onclose={shown.close} />
  {/if}
</Stage>
