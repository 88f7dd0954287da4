<script lang="ts">
  import type { Component } from 'svelte';
  import { litreClass, litresOf } from '$core/fit/litres.ts';
  import { one } from '$core/model/plan.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import CaseView from '$lib/fit/CaseView.svelte';
  import { fitViews, type FitView, type FitViewProps } from '$lib/fit/views.ts';
  import Ways from '$lib/fit/Ways.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import { Chosen } from './chosen.svelte.ts';

  const { view }: { view: JobView } = $props();
  // svelte-ignore state_referenced_locally (the view is the frame's, one for all pages)
  const chosen = new Chosen(view, 'fit');
  const plan = $derived(view.plan);
  const shell = $derived(plan && one(plan, 'case'));
  let open = $state<FitView | undefined>();
  let Other = $state.raw<Component<FitViewProps> | undefined>();

  const views = $derived(
    fitViews.filter((each) => (each.needs === 'board' ? plan && one(plan, 'board') : shell)),
  );

  async function show(next: FitView): Promise<void> {
    open = open?.id === next.id ? undefined : next;
    Other = undefined;
    if (open) Other = (await next.load()).default;
  }

  const subtitle = $derived.by(() => {
    if (!plan || !shell) return 'no case in the plan';
    const litres = litresOf(plan, shell);
    const size = litres
      ? `${((litres.lo + litres.hi) / 2).toFixed(1)} l, ${litreClass((litres.lo + litres.hi) / 2)}`
      : 'outside not measured';
    return `${shell.part.name} · ${size}`;
  });
</script>

<Stage title="Fit" {subtitle}>
  {#snippet tools()}
    {#each views as each (each.id)}
      <Button onclick={() => void show(each)} aria-pressed={open?.id === each.id}
        >{each.label}</Button
      >
    {/each}
  {/snippet}
  {#if open && plan}
    {#if Other}<Other {plan} {view} onclose={() => (open = undefined)} />{/if}
  {:else if plan}
    <CaseView {view} {plan} {chosen} />
    {#if shell}<Ways {view} {plan} />{/if}
  {:else}
    <p>Put a case into the plan at Intake, and its parts are drawn here to scale.</p>
  {/if}
</Stage>
