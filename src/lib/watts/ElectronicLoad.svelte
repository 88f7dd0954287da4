<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import { line, scaleLinear } from 'd3';
  import { keepLoadResult } from '$core/edits/wattEdits.ts';
  import { numberAt, partOfKind, type Plan } from '$core/model/lookup/plan.ts';
  import { loadResult, type LoadStep } from '$core/watts/electronicLoad.ts';
  import { isSingleFeed } from '$core/watts/tree/index.ts';
  import Practise from '$lib/instruments/Practise.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  interface Props {
    plan: Plan;
  }
  const { plan }: Props = $props();
  const supply = $derived(partOfKind(plan, 'supply'));
  const single = $derived(supply !== undefined && isSingleFeed(plan, supply));
  const volts = $derived.by(() => {
    const said = supply && single ? numberAt(plan, supply, 'volts') : undefined;
    return said ? mid(said) : 12;
  });
  /** Amps of the label: of its 12 V, or its watts by its volts. */
  const amps = $derived.by(() => {
    if (!supply) return undefined;
    const watts = numberAt(plan, supply, 'watts');
    const rail = single ? undefined : numberAt(plan, supply, 'amps12');
    return rail ? mid(rail) : watts && single ? watts.hi / volts : undefined;
  });
  let source = $state.raw<EventSource | undefined>();
  let steps = $state.raw<LoadStep[]>([]);
  let fault = $state('');
  const result = $derived(loadResult(steps, volts));
  const done = $derived(result?.why !== undefined || steps.at(-1)?.off === true);

  function run(): void {
    stop();
    if (!supply || !amps) return;
    steps = [];
    fault = '';
    const seed = [...supply.part.id].reduce((sum, c) => sum * 31 + c.charCodeAt(0), 7) | 0;
    const ask = new URLSearchParams({
      volts: volts.toFixed(2),
      amps: amps.toFixed(2),
      seed: String(seed),
      every: '120',
    });
    source = new EventSource(`/api/v1/watts/load?${ask}`);
    source.onmessage = (event: MessageEvent<string>) => {
      steps = [...steps, JSON.parse(event.data) as LoadStep];
      if (loadResult(steps, volts)?.why !== undefined) stop();
    };
    source.onerror = () => {
      if (steps.length === 0) fault = 'The practice load is not there.';
      stop();
    };
  }
  function stop(): void {
    source?.close();
    source = undefined;
  }
  $effect(() => () => stop());

  function keep(): void {
    if (!supply || !result) return;
    shopStore.edit(
      'what the PSU gave under load',
      keepLoadResult(supply.part.id, result, shopStore.now, single),
    );
    toast(`${result.holdsA.toFixed(1)} A held, kept with the PSU.`);
  }

  const [W, H] = [330, 140];
  const x = $derived(scaleLinear([0, Math.max(1, (amps ?? 1) * 1.25)], [52, W - 8]));
  const y = $derived(scaleLinear([volts * 0.92, volts * 1.06], [H - 22, 6]));
  const path = $derived(
    line<LoadStep>()
      .x((each) => x(each.amps))
      .y((each) => y(Math.max(volts * 0.92, each.volts)))(steps.filter((each) => !each.off)) ?? '',
  );
</script>

{#if supply && amps}
  <section>
    <h2>What does it really give?</h2>
    <p class="soft">
      A little more load every step until its volts leave 5 % or it shuts off. Case closed, outputs
      only; the load gets hot.
    </p>
    <p class="row">
      {#if source}<Button onclick={stop}>Stop</Button>
      {:else}<Practise what="with a made-up load"
          ><Button onclick={run}>Practice load</Button></Practise
        >{/if}
      {#if result && done}<Button next onclick={keep}>Keep what it gave</Button>{/if}
    </p>
    {#if steps.length > 0}
      <svg width={W} height={H} role="img" aria-label="Volts against amps under the load">
        <rect
          class="band"
          x={x(0)}
          y={y(volts * 1.05)}
          width={x.range()[1]! - x(0)}
          height={y(volts * 0.95) - y(volts * 1.05)}
        />
        <path class="label" d="M{x(amps)} 6V{H - 22}" />
        <text class="mid" x={x(amps)} y={H - 6}>label {amps.toFixed(1)} A</text>
        <text class="end" x="48" y={y(volts) + 4}>{volts.toFixed(1)} V</text>
        <path class="line" d={path} />
        {#if result?.failsA !== undefined}
          <path class="fails" d="M{x(result.failsA)} 6V{H - 22}" />
        {/if}
      </svg>
      <p aria-live="polite">
        {#if result && done}
          <span class="figure">{result.openV.toFixed(2)} V</span> with nothing on it,
          <span class="figure"
            >{(result.ohm * 1000).toFixed(0)} ± {(result.ohmDev * 2000).toFixed(0)} mΩ</span
          >
          inside; holds <span class="figure">{result.holdsA.toFixed(1)} A</span>, {result.why} at
          <span class="figure">{result.failsA?.toFixed(1)} A</span>.
        {:else}
          <span class="figure"
            >{steps.at(-1)?.amps.toFixed(2)} A, {steps.at(-1)?.volts.toFixed(2)} V</span
          >
        {/if}
      </p>
    {/if}
    <Fault text={fault} />
  </section>
{/if}

<style>
  section {
    flex: 1 1 300px;
  }
  .band {
    fill: var(--part-stays);
  }
  .label {
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }
  .line {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .fails {
    stroke: var(--stop);
    stroke-width: 3;
  }
  text {
    fill: var(--ink-soft);
    font: 11px var(--face-figure);
  }
  .mid {
    text-anchor: middle;
  }
  .end {
    text-anchor: end;
  }
</style>
