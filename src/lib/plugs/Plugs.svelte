<script lang="ts">
  import type { Finding } from '$core/findings/finding.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import SumStage from '$lib/frame/SumStage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import PairBoard from './PairBoard.svelte';
  import { plugViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const shown = new ViewSwitch(plugViews);
  const plan = $derived(view.plan);
  /** Pairs are drawn face to face; a count that holds is one line. */
  const isDrawn = ({ about, mark, margin }: Finding) =>
    about?.of === 'plugs' && (mark !== 'clear' || margin === undefined);
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
  <SumStage {view} station="plugs" subtitle="" {tools} {isDrawn}>
    {#snippet drawn({ chosen, choose })}
      <PairBoard
        findings={chosen.here.filter(isDrawn)}
        chosen={chosen.finding?.id}
        onchoose={choose}
      />
    {/snippet}
  </SumStage>
{/if}
