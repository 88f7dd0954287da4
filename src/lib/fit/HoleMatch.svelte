<script lang="ts">
  import { placed, type Candidate, type Point } from '$core/fit/holes/index.ts';
  import { HOLE_DIAMETER_MM } from '$core/standards/boards.ts';
  import { formatLength, lengthWithUnit, type LengthUnit } from '$core/units/length.ts';

  interface Props {
    candidate: Candidate;
    points: readonly Point[];
    /** Numbers of the measured holes as shown in the list. */
    numbers: readonly number[];
    standoffs: readonly string[];
    lengths: LengthUnit;
    width: number;
    height: number;
  }
  const { candidate, points, numbers, standoffs, lengths, width, height }: Props = $props();
  /** Residuals are drawn this many times longer than they are. */
  const GAIN = 20;
  const PAD = 26;
  const w = $derived(
    candidate.pattern.widthMm ?? Math.max(...candidate.pattern.holes.map((hole) => hole.x)) + 10,
  );
  const d = $derived(
    candidate.pattern.depthMm ?? Math.max(...candidate.pattern.holes.map((hole) => hole.y)) + 10,
  );
  const scale = $derived(Math.min((width - 2 * PAD) / w, (height - 2 * PAD) / d));
  const at = $derived(points.map((point) => placed(candidate.placement, point)));
  const matched = $derived(new Map(candidate.pairs.map((pair) => [pair.measured, pair])));
  const X = (x: number) => PAD + x * scale;
  const Y = (y: number) => PAD + y * scale;
</script>

<!-- The pattern from above, rear edge on top; rings are its holes, crosses the measured ones, arrows what is left between them. -->
<svg
  {width}
  height={d * scale + 2 * PAD + 16}
  role="img"
  aria-label="The measured holes laid on {candidate.pattern.name}"
>
  <defs>
    <marker
      id="arrow"
      viewBox="0 0 8 8"
      refX="6"
      refY="4"
      markerWidth="3.4"
      markerHeight="3.4"
      orient="auto"><path d="M0 0l8 4-8 4z" class="head" /></marker
    >
  </defs>
  <rect class="board" x={PAD} y={PAD} width={w * scale} height={d * scale} />
  <text class="edge" x={PAD} y={PAD - 8}
    >rear edge, port end left · {candidate.pattern.name}{candidate.placement.mirrored
      ? ' · measured from its back'
      : ''}</text
  >
  {#each candidate.pattern.holes as hole (hole.name)}
    {@const missing = candidate.missing.includes(hole.name)}
    <circle
      class="hole"
      class:missing
      cx={X(hole.x)}
      cy={Y(hole.y)}
      r={Math.max(6, (HOLE_DIAMETER_MM / 2) * scale)}
    />
    {#if standoffs.includes(hole.name)}<circle
        class="stand"
        cx={X(hole.x)}
        cy={Y(hole.y)}
        r="2.5"
      />{/if}
    <text class="name" x={X(hole.x) + 10} y={Y(hole.y) - 7}>{hole.name}{missing ? ' ?' : ''}</text>
  {/each}
  {#each at as point, i (i)}
    {@const pair = matched.get(i)}
    <path
      class="cross"
      class:extra={!pair}
      d="M{X(point.x) - 6} {Y(point.y)}h12M{X(point.x)} {Y(point.y) - 6}v12"
    />
    {#if pair && Math.hypot(pair.dx, pair.dy) > 0.02}
      <path
        class="arrow"
        marker-end="url(#arrow)"
        d="M{X(point.x)} {Y(point.y)}l{pair.dx * GAIN * scale} {pair.dy * GAIN * scale}"
      />
    {/if}
    <text class="number" x={X(point.x) - 18} y={Y(point.y) + 16}>{numbers[i]}</text>
  {/each}
  <text class="edge" x={PAD} y={d * scale + 2 * PAD + 8}
    >arrows {GAIN} times as long · off by {formatLength(candidate.rmsMm, lengths)}, at most {lengthWithUnit(
      candidate.worstMm,
      lengths,
    )}</text
  >
</svg>

<style>
  svg {
    display: block;
    max-width: 100%;
  }
  .board {
    fill: var(--part-stays);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .hole {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .missing {
    stroke-dasharray: 3 2;
  }
  .stand {
    fill: var(--ink);
  }
  .cross {
    stroke: var(--watch);
    stroke-width: 2;
  }
  .extra {
    stroke: var(--stop);
    stroke-width: 3;
  }
  .arrow {
    fill: none;
    stroke: var(--accent);
    stroke-width: 2;
  }
  .head {
    fill: var(--accent);
  }
  .name {
    font: 600 14px var(--face-head);
    fill: var(--ink);
  }
  .number,
  .edge {
    font: 13px var(--face-figure);
    fill: var(--ink-soft);
  }
</style>
