<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import { litreClass, litresOf } from '$core/fit/litres.ts';
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import CaseView from './CaseView.svelte';
  import Resolutions from './Resolutions.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import { Chosen } from '$lib/frame/chosen.svelte.ts';
  import { fitViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const chosen = $derived(new Chosen(view, 'fit'));
  const plan = $derived(view.plan);
  const shell = $derived(plan && partOfKind(plan, 'case'));
  const shown = new ViewSwitch(fitViews);

  const views = $derived(
    fitViews.filter((each) => (each.needs === 'board' ? plan && partOfKind(plan, 'board') : shell)),
  );

  const subtitle = $derived.by(() => {
    if (!plan || !shell) return 'no case in the plan';
    const litres = litresOf(plan, shell);
    const size = litres
      ? `${mid(litres).toFixed(1)} l, ${litreClass(mid(litres))}`
      : 'outside not measured';
    return `${shell.part.name} · ${size}`;
  });
</script>

<Stage title="Fit" {subtitle}>
  {#snippet tools()}
    <ViewButtons {views} {shown} />
  {/snippet}
  {#if shown.open && plan}
    {#if shown.Shown}<shown.Shown {plan} {view} onclose={shown.close} />{/if}
  {:else if plan}
    <CaseView {view} {plan} {chosen} />
    {#if shell}<Resolutions {view} {plan} />{/if}
  {:else}
    <p>Put a case into the plan at Intake, and its parts are drawn here to scale.</p>
  {/if}
</Stage>
