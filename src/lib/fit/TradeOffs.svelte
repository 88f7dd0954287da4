<script lang="ts">
  import { area, curveStepAfter, line, max, scaleLinear } from 'd3';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import { tradeAxes, type TradeOff } from '$core/resolve/tradeOff.ts';
  import { drawnLength, MM_PER_INCH } from '$core/units/length.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { ResolutionSearch } from '$lib/fit/resolving.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';

  interface Props {
    plan: Plan;
    view: JobView;
    onclose: () => void;
  }
  const { plan, view, onclose }: Props = $props();
  const worker = new ResolutionSearch();
  $effect(() => () => worker.close());
  let a = $state('card');
  let b = $state('supply');
  /** Two of one kind are no trade. */
  const axesBeside = (other: string) =>
    tradeAxes.map(({ id, label }) => ({ value: id, words: label, off: id === other }));
  let map = $state.raw<TradeOff | undefined>();
  let run = 0;

  $effect(() => {
    const job = view.job;
    if (!job || a === b || !plan) return;
    run += 1;
    const mine = run;
    void worker.tradeOff(shopStore.shop, job.id, a, b).then((answer) => {
      if (mine === run) map = answer;
    });
  });

  const W = 620;
  const H = 400;
  const pad = { left: 56, right: 16, top: 12, bottom: 46 };
  const lengths = $derived(shopStore.shop.settings.unit);
  const shown = $derived(lengths === 'mm' ? 1 : 1 / MM_PER_INCH);
  const down = (mm: number) => drawnLength(mm, lengths, 'floor');
  const x = $derived(scaleLinear([map?.a.from ?? 0, map?.a.to ?? 1], [pad.left, W - pad.right]));
  const top = $derived(
    max([
      ...(map?.frontiers.flatMap((each) => each.points.map((point) => point.may ?? 0)) ?? []),
      (map?.here?.b ?? 0) * 1.05,
    ]) ?? 1,
  );
  const y = $derived(scaleLinear([map?.b.from ?? 0, top], [H - pad.bottom, pad.top]));
  /** Round figures of the shop's unit along an axis, each with its millimetres. */
  const ticksOf = (scale: typeof x, count: number) =>
    scale
      .copy()
      .domain(scale.domain().map((mm) => mm * shown))
      .ticks(count)
      .map((figure) => ({ figure, mm: figure / shown }));
  /** Px between lines that would lie on each other. */
  const APART = 5;
  const paths = $derived(
    (map?.frontiers ?? []).map((frontier) => ({
      label: frontier.label,
      sure: pathOf(frontier.points, 'sure'),
      may: pathOf(frontier.points, 'may'),
    })),
  );
  function pathOf(points: TradeOff['frontiers'][number]['points'], key: 'sure' | 'may'): string {
    const known = points.filter((point) => point[key] !== undefined);
    return (
      line<(typeof points)[number]>()
        .x((point) => x(point.a))
        .y((point) => y(point[key] ?? 0))
        .curve(curveStepAfter)(known) ?? ''
    );
  }
  /** What surely fits as planned: everything under the line. */
  function areaOf(points: TradeOff['frontiers'][number]['points']): string {
    const known = points.filter((point) => point.sure !== undefined);
    return (
      area<(typeof points)[number]>()
        .x((point) => x(point.a))
        .y0(H - pad.bottom)
        .y1((point) => y(point.sure ?? 0))
        .curve(curveStepAfter)(known) ?? ''
    );
  }
  const last = (frontier: TradeOff['frontiers'][number]) =>
    [...frontier.points].reverse().find((point) => point.sure !== undefined);
  const says = $derived.by(() => {
    if (!map) return 'Working out what excludes what …';
    const edge = map.frontiers[0];
    const first = edge?.points.find((point) => point.sure !== undefined);
    const end = edge && last(edge);
    if (!first || !end) return `As planned nothing of these two surely fits.`;
    return map.excludes
      ? `They exclude each other: ${map.b.label} ${down(first.sure ?? 0)} with ${map.a.label} up to ${down(turn(map))}, then ${down(end.sure ?? 0)}.`
      : `They leave each other alone: ${map.a.label} to about ${down(end.a)}, ${map.b.label} to ${down(first.sure ?? 0)}.`;
  });
  /** The last A before the limit of B first changes. */
  function turn(of: TradeOff): number {
    const points = of.frontiers[0]?.points ?? [];
    const first = points.find((point) => point.sure !== undefined)?.sure;
    const at = points.findIndex(
      (point) => point.sure !== undefined && Math.abs(point.sure - (first ?? 0)) > 1,
    );
    return points[Math.max(0, at - 1)]?.a ?? 0;
  }
</script>

<div class="trade">
  <p class="row">
    <Select label="how much" options={axesBeside(b)} bind:value={a} />
    <Select label="against" options={axesBeside(a)} bind:value={b} />
    <span class="says" aria-live="polite">{says}</span>
  </p>
  <svg
    viewBox="0 0 {W} {H}"
    role="img"
    aria-label="How large the one may be for each size of the other"
  >
    <rect
      class="ground"
      x={pad.left}
      y={pad.top}
      width={W - pad.left - pad.right}
      height={H - pad.top - pad.bottom}
    />
    {#if paths[0]}<path class="left" d={areaOf(map?.frontiers[0]?.points ?? [])} />{/if}
    {#each paths as path, i (path.label)}
      <!-- Lines that lie on each other are drawn side by side. -->
      <g transform="translate({i * APART} {i * APART})">
        <path class="may f{i}" d={path.may} />
        <path class="sure f{i}" d={path.sure} />
      </g>
    {/each}
    {#each ticksOf(x, 7) as { mm, figure } (figure)}
      <path class="tick" d="M{x(mm)} {H - pad.bottom}v6" />
      <text x={x(mm)} y={H - pad.bottom + 20} text-anchor="middle">{figure}</text>
    {/each}
    {#each ticksOf(y, 6) as { mm, figure } (figure)}
      <path class="tick" d="M{pad.left} {y(mm)}h-6" />
      <text x={pad.left - 10} y={y(mm) + 5} text-anchor="end">{figure}</text>
    {/each}
    <text class="name" x={W - pad.right} y={H - 8} text-anchor="end"
      >{map?.a.label ?? ''}, {lengths}</text
    >
    <text class="name" x={pad.left + 8} y={pad.top + 42}
      >{map?.b.label ?? ''}, {lengths}, at most</text
    >
    {#if map?.here}
      <g class="here" transform="translate({x(map.here.a)} {y(map.here.b)})">
        <path d="M-9 0H9M0 -9V9" /><text x="12" y="-8">this plan</text>
      </g>
    {/if}
  </svg>
  <ul>
    {#each paths as path, i (path.label)}<li>
        <svg width="34" height="10" aria-hidden="true"><path class="sure f{i}" d="M1 5H33" /></svg>
        {spoken(path.label, shopStore.shop.settings)}
      </li>{/each}
    <li>
      <svg width="34" height="10" aria-hidden="true"><path class="may f0" d="M1 5H33" /></svg> may, until
      measured; lines that coincide stand side by side
    </li>
  </ul>
  <p><Button onclick={onclose}>Back to the case</Button></p>
</div>

<style>
  .says {
    flex: 1 1 260px;
    font-size: 17px;
  }
  .trade > svg {
    display: block;
    width: 100%;
    max-width: 780px;
    max-height: 460px;
    margin: 8px 0;
  }
  .ground {
    fill: var(--tape);
    stroke: var(--ink);
  }
  .left {
    fill: var(--part-stays);
  }
  .sure,
  .may {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3.5;
  }
  .may {
    stroke-width: 1.5;
    stroke-dasharray: 4 4;
  }
  .f1 {
    stroke: var(--accent-ink);
    stroke-dasharray: 12 4;
  }
  .f2 {
    stroke: var(--watch);
    stroke-dasharray: 6 3 2 3;
  }
  .f3 {
    stroke: var(--clear);
    stroke-dasharray: 2 4;
  }
  .may.f1,
  .may.f2,
  .may.f3 {
    opacity: 0.6;
    stroke-dasharray: 2 5;
  }
  .tick {
    stroke: var(--ink);
  }
  text {
    fill: var(--ink-soft);
    font: 14px var(--face-figure);
  }
  text.name {
    fill: var(--ink);
    font: 600 16px var(--face-head);
  }
  .here path {
    stroke: var(--accent);
    stroke-width: 4;
  }
  .here text {
    fill: var(--ink);
    font: 600 16px var(--face-head);
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    gap: 8px;
    align-items: center;
  }
</style>
