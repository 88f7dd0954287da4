<script lang="ts">
  import { area, line, scaleLinear } from 'd3';
  import { numberAt, one, textAt, type Plan } from '$core/model/plan.ts';
  import { efficiency, type EfficiencyClass } from '$core/standards/supplies.ts';
  import { treeOf } from '$core/watts/tree/index.ts';

  interface Props {
    plan: Plan;
  }
  const { plan }: Props = $props();
  const supply = $derived(one(plan, 'supply'));
  const label = $derived(supply && numberAt(plan, supply, 'watts'));
  const name = $derived(
    supply && (textAt(plan, supply, 'class')?.text as EfficiencyClass | undefined),
  );
  const W = 330;
  const H = 150;
  const x = scaleLinear([0, 1.1], [34, W - 8]);
  const y = scaleLinear([0.4, 1], [H - 24, 8]);
  const loads = Array.from({ length: 56 }, (_, i) => i / 50);
  const band = $derived(
    area<number>()
      .x((load) => x(load))
      .y0((load) => y(Math.max(0.4, efficiency(name, load).lo)))
      .y1((load) => y(efficiency(name, load).hi))(loads) ?? '',
  );
  const floor = $derived(
    line<number>()
      .x((load) => x(load))
      .y((load) => y(Math.max(0.4, efficiency(name, load).lo)))(loads) ?? '',
  );
  const points = $derived(
    label
      ? (['idle', 'usual', 'full'] as const).flatMap((state) => {
          const tree = treeOf(plan, state);
          if (!tree?.wallW) return [];
          const load = (tree.givenW.lo + tree.givenW.hi) / 2 / ((label.lo + label.hi) / 2);
          const eta = efficiency(name, Math.max(0, load));
          return [{ state, load, eta, wall: tree.wallW }];
        })
      : [],
  );
</script>

{#if points.length > 0}
  <figure>
    <figcaption>
      Efficiency against load, {name ?? 'class not known'}
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
    </svg>
  </figure>
{/if}

<style>
  figure {
    margin: 0;
  }
  figcaption {
    font: 600 16px var(--face-head);
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
