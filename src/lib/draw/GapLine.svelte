<script lang="ts">
  import type { Gap } from './gapPlace.ts';

  interface Props {
    gap: Gap;
    /** px a mm. */
    scale: number;
    /** Where the end section begins, px. */
    endX: number;
  }
  const { gap, scale, endX }: Props = $props();
  const along = $derived(gap.axis === 'y' ? 'y' : 'x');
  const dx = $derived(gap.axis === 'w' ? endX : 4);
  const a = $derived((along === 'x' ? dx : 4) + gap.from * scale);
  const b = $derived((along === 'x' ? dx : 4) + gap.to * scale);
  const at = $derived((along === 'x' ? 4 : dx) + gap.at * scale);
</script>

<path
  class="gap-line {gap.mark}"
  d={along === 'x'
    ? `M${a} ${at}H${b}M${a} ${at - 7}v14M${b} ${at - 7}v14`
    : `M${at} ${a}V${b}M${at - 7} ${a}h14M${at - 7} ${b}h14`}
/>
<text
  class="gap-text figure {gap.mark}"
  x={along === 'x' ? (a + b) / 2 : at + 12}
  y={along === 'x' ? at - 10 : (a + b) / 2 + 5}
  text-anchor={along === 'x' ? 'middle' : 'start'}>{gap.figure}</text
>

<style>
  .gap-line {
    fill: none;
    stroke: var(--c);
    stroke-width: 2.5;
  }
  .gap-text {
    /* The part under it is what the hand grabs. */
    pointer-events: none;
    paint-order: stroke;
    stroke: var(--tape);
    stroke-width: 5px;
    font-weight: 700;
  }
  text.gap-text {
    fill: var(--c);
    font-size: 15px;
  }
  .stop {
    --c: var(--stop);
  }
  .watch {
    --c: var(--watch);
  }
  .clear {
    --c: var(--clear);
  }
</style>
