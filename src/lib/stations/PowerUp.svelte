<script lang="ts">
  import { format } from 'date-fns';
  import { tickStep } from '$core/edits/edits.ts';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const { view }: { view: JobView } = $props();
  const gates = $derived(view.steps.filter((step) => step.gate));
  const ticks = $derived(new Map((view.job?.ticks ?? []).map((tick) => [tick.stepId, tick])));
  const next = $derived(gates.find((gate) => !ticks.has(gate.id) || ticks.get(gate.id)?.failed));
  const RISE = 64;

  function stamp(stepId: string, failed: boolean): void {
    if (!view.job) return;
    bench.edit(
      failed ? 'gate failed' : 'gate passed',
      tickStep(view.job.id, {
        stepId,
        at: new Date().toISOString(),
        ...(failed ? { failed } : {}),
      }),
    );
  }
</script>

<Stage title="Power-up" subtitle="gates, the least parts first · one stair each">
  {#if gates.length === 0}
    <p>No gates yet: they come with the work order.</p>
  {/if}
  <ol>
    {#each gates as gate, i (gate.id)}
      {@const tick = ticks.get(gate.id)}
      <li
        style:margin-left="{i * RISE}px"
        class:next={next?.id === gate.id}
        class:passed={tick && !tick.failed}
        class:failed={tick?.failed}
      >
        <b>{gate.title}</b>
        <p>Go on when: {gate.gate}.</p>
        {#each gate.cautions as caution (caution)}<p class="caution">{caution}</p>{/each}
        <p class="row">
          {#if tick}<span class="figure"
              >{tick.failed ? 'failed' : 'passed'} {format(new Date(tick.at), 'd MMM HH:mm')}</span
            >{/if}
          <Button next={next?.id === gate.id} onclick={() => stamp(gate.id, false)}>Passed</Button>
          <Button onclick={() => stamp(gate.id, true)}>Failed</Button>
        </p>
      </li>
    {/each}
  </ol>
</Stage>

<style>
  ol {
    display: flex;
    flex-direction: column-reverse;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    max-width: 470px;
    padding: 8px 12px 10px;
    border-left: 6px solid var(--line);
    border-bottom: 4px solid var(--ink);
  }
  .next {
    border-left-color: var(--accent);
    background: var(--tape-lit);
  }
  .passed {
    border-left-color: var(--clear);
  }
  .failed {
    border-left-color: var(--stop);
  }
  b {
    font: 600 18px var(--face-head);
  }
  p {
    font-size: 15px;
  }
  .caution {
    padding-left: 10px;
    border-left: 4px solid var(--mend);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    margin-top: 6px;
  }
  @media (max-width: 1000px) {
    li {
      margin-left: 0 !important;
    }
  }
</style>
