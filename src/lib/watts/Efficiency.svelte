<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import { area, line, scaleLinear } from 'd3';
  import { addCurvePoint } from '$core/edits/wattEdits.ts';
  import { numberAt, partOfKind, textAt, type Plan } from '$core/model/lookup/plan.ts';
  import { curveOf, efficiencyOf, treeOf } from '$core/watts/tree/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  interface Props {
    plan: Plan;
  }
  const { plan }: Props = $props();
  const supply = $derived(partOfKind(plan, 'supply'));
  const label = $derived(supply && numberAt(plan, supply, 'watts'));
  const name = $derived(supply && textAt(plan, supply, 'class')?.text);
  const eta = $derived(supply ? efficiencyOf(plan, supply) : () => ({ lo: 0.7, hi: 0.9 }));
  const measured = $derived(supply ? curveOf(plan, supply) : []);
  let [out, into] = $state(['', '']);
  let fault = $state('');

  /** A point from two meters: watts out of the supply, watts at its inlet. */
  function addPoint(): void {
    const [given, taken] = [out, into].map((each) => Number(each.replace(',', '.'))) as [
      number,
      number,
    ];
    if (!supply || !label) return;
    if (!(given > 0 && taken > given && given / taken > 0.05)) {
      fault = 'Watts out above nothing, and more watts in than out. Kept as typed.';
      return;
    }
    const rating = mid(label);
    shopStore.edit(
      'measured efficiency',
      addCurvePoint(
        supply.part.id,
        { load: (given / rating) * 100, percent: (given / taken) * 100 },
        shopStore.now,
      ),
    );
    fault = '';
    out = into = '';
  }
  const W = 330;
  const H = 150;
  const x = scaleLinear([0, 1.1], [34, W - 8]);
  const y = scaleLinear([0.4, 1], [H - 24, 8]);
  const loads = Array.from({ length: 56 }, (_, i) => i / 50);
  const band = $derived(
    area<number>()
      .x((load) => x(load))
      .y0((load) => y(Math.max(0.4, eta(load).lo)))
      .y1((load) => y(eta(load).hi))(loads) ?? '',
  );
  const floor = $derived(
    line<number>()
      .x((load) => x(load))
      .y((load) => y(Math.max(0.4, eta(load).lo)))(loads) ?? '',
  );
  const points = $derived(
    label
      ? (['idle', 'usual', 'full'] as const).flatMap((state) => {
          const tree = treeOf(plan, state);
          if (!tree?.wallW) return [];
          const load = mid(tree.givenW) / mid(label);
          return [{ state, load, eta: eta(Math.max(0, load)) }];
        })
      : [],
  );
</script>

{#if points.length > 0}
  <figure>
    <figcaption>
      Efficiency against load, {measured.length > 0
        ? `${measured.length} measured`
        : (name ?? 'class not known')}
    </figcaption>
    <svg
      width={W}
      height={H}
      role="img"
      aria-label="Efficiency against load, with the machine's points"
    >
      {#each [0.5, 0.6, 0.7, 0.8, 0.9, 1] as tick (tick)}
        <path class="grid" d="M34 {y(tick)}H{W - 8}" />
        <text x="28" y={y(tick) + 4} class="end">{tick * 100}</text>
      {/each}
      {#each [0, 0.2, 0.5, 1] as tick (tick)}
        <text x={x(tick)} y={H - 8} class="mid">{tick * 100} %</text>
      {/each}
      <path class="band" d={band} />
      <path class="floor" d={floor} />
      {#each points as point (point.state)}
        <path
          class="point"
          d="M{x(point.load)} {y(Math.max(0.4, point.eta.lo))}V{y(point.eta.hi)}"
        />
        <text class="mid" x={x(point.load)} y={y(point.eta.hi) - 4}>{point.state}</text>
      {/each}
      {#each measured as point (point.load)}
        <circle
          class="measured"
          cx={x(point.load / 100)}
          cy={y(Math.max(0.4, point.percent / 100))}
          r="4"
        />
      {/each}
    </svg>
    <p class="row">
      <TextField short label="W out" bind:value={out} inputmode="decimal" />
      <TextField
        short
        label="W in"
        bind:value={into}
        inputmode="decimal"
        onkeydown={(event) => event.key === 'Enter' && addPoint()}
      />
      <Button onclick={addPoint}>Measured point</Button>
    </p>
    <Fault text={fault} />
  </figure>
{/if}

<style>
  figure {
    margin: 0;
  }
  figcaption {
    font: 600 16px var(--face-head);
  }
  .measured {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .grid {
    stroke: var(--line);
  }
  .band {
    fill: var(--part-comes);
  }
  .floor {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .point {
    stroke: var(--accent);
    stroke-width: 5;
  }
  text {
    fill: var(--ink-soft);
    font: 11px var(--face-figure);
  }
  .end {
    text-anchor: end;
  }
  .mid {
    text-anchor: middle;
  }
</style>
