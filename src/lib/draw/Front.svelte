<script lang="ts">
  import type { Outside } from './sizes.ts';

  interface Props {
    outside: Outside;
    /** Left edge and the shelf's height, in the drawing's own units. */
    x: number;
    floor: number;
    /** Units per mm. */
    scale: number;
    /** What it shall become: dashed. */
    planned?: boolean;
  }
  const { outside, x, floor, scale, planned = false }: Props = $props();
  const w = $derived(outside.w * scale);
  const h = $derived(outside.h * scale);
  const y = $derived(floor - h);
  const lying = $derived(outside.h < outside.w);
</script>

<g class:planned class:guess={!outside.known}>
  <rect class="body" {x} {y} width={w} height={h} />
  {#if outside.class === 'custom case'}
    <circle class="line" cx={x + w * 0.36} cy={y + h * 0.45} r={Math.min(w, h) * 0.24} />
    <path class="line" d="M{x + w * 0.68} {y + h * 0.3}h{w * 0.2}v{h * 0.22}h{-w * 0.2}z" />
  {:else if lying}
    <path class="line" d="M{x + w * 0.08} {y + h * 0.5}h{w * 0.4}" />
    <circle class="line" cx={x + w * 0.88} cy={y + h * 0.5} r={Math.min(3, h * 0.25)} />
  {:else}
    <path
      class="line"
      d="M{x + w * 0.14} {y + h * 0.08}h{w * 0.72}M{x + w * 0.14} {y + h * 0.15}h{w * 0.72}M{x +
        w * 0.2} {y + h * 0.8}h{w * 0.6}M{x + w * 0.2} {y + h * 0.86}h{w * 0.6}M{x + w * 0.2} {y +
        h * 0.92}h{w * 0.6}"
    />
    <circle class="line" cx={x + w / 2} cy={y + h * 0.28} r="3.4" />
  {/if}
</g>

<style>
  .body {
    fill: var(--shell);
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .line {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.6;
  }
  .guess .body {
    stroke-width: 1;
  }
  .planned .body {
    fill: none;
    stroke-dasharray: 6 4;
  }
</style>
