<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Finding } from '$core/findings/finding.ts';
  import { drawnLength } from '$core/units/length.ts';
  import GapLine from './GapLine.svelte';
  import type { Gap } from './gapPlace.ts';
  import type { Box, CaseCut } from './caseCut.ts';

  interface Props {
    cut: CaseCut;
    /** Room for the whole drawing, px. */
    width: number;
    height: number;
    /** Both sections, or the side alone. */
    end?: boolean;
    /** Findings of the plan: what stands over is hatched. */
    found?: readonly Finding[];
    chosen?: string | undefined;
    title: string;
    /** A thumbnail: shapes alone, no words. */
    small?: boolean;
    /** The air between two parts, drawn in its place. */
    gap?: Gap | undefined;
    /** A part was taken hold of or pressed. */
    ongrab?: ((seat: string, event: PointerEvent) => void) | undefined;
    /** Drawn over the sections: px a mm, where the end section begins, the top edge. */
    overlay?: Snippet<[{ scale: number; endX: number; top: number; left: number }]>;
  }
  const {
    cut,
    width,
    height,
    end = true,
    found = [],
    chosen,
    title,
    small = false,
    gap,
    ongrab,
    overlay,
  }: Props = $props();

  const GAP = 26;
  const foot = $derived(small ? 8 : 34);
  const scale = $derived(
    Math.min(
      (width - (end ? GAP : 0) - 8) / (cut.side.w + (end ? cut.end.w : 0)),
      (height - foot) / cut.side.h,
    ),
  );
  const endX = $derived(cut.side.w * scale + GAP + 4);
  const inHand = $derived(found.find((finding) => finding.id === chosen));
  const lit = $derived(new Set(inHand?.seats ?? []));
  const overRoom = (room: 'card length' | 'cooler height') =>
    found.find(
      ({ about, margin }) => about?.of === 'room' && about.room === room && margin && margin.hi < 0,
    );
  const overCard = $derived(overRoom('card length'));
  const overCooler = $derived(overRoom('cooler height'));

  function fits(box: Box, text: string, size: number): boolean {
    return !small && text.length * size * 0.52 < box.w * scale - 8 && box.h * scale > size + 4;
  }
</script>

{#snippet part(box: Box, dx: number, labelled: boolean)}
  {@const x = dx + box.x * scale}
  {@const y = 4 + box.y * scale}
  <g
    class="part {box.state} {box.kind}"
    class:open={box.open}
    class:bend={box.bend}
    class:lit={lit.has(box.seat)}
  >
    <rect {x} {y} width={Math.max(1, box.w * scale)} height={Math.max(1, box.h * scale)} />
    {#if box.state === 'comes' && !box.bend && !small && box.w * scale > 14 && box.h * scale > 14}
      <path class="come" d="M{x + 3} {y + 3}h8l-8 8z" />
    {/if}
    {#if labelled && fits(box, box.label, 14)}
      {@const tx = x + (box.kind === 'board' ? 12 + 26 * scale : 8)}
      <text class="name" x={tx} y={y + 18}>{box.label}</text>
      {#if box.figure && box.h * scale > (box.kind === 'board' ? 170 : 36) && fits(box, box.figure, 14)}
        <text class="figure" x={tx} y={y + 35}>{box.figure}</text>
      {:else if box.figure && box.w * scale * (box.seat === 'board' ? 0.64 : 1) > (box.label.length + box.figure.length) * 8 + 20}
        <text class="figure" x={tx + 6 + box.label.length * 7.4} y={y + 18}>{box.figure}</text>
      {/if}
    {/if}
  </g>
{/snippet}

<svg class="cut" {width} height={cut.side.h * scale + foot} role="img" aria-label={title}>
  <defs>
    <pattern
      id="hatch"
      width="7"
      height="7"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <path d="M0 0v7" class="hatch-line" />
    </pattern>
  </defs>
  <rect
    class="shell"
    class:open={!cut.outside.known}
    x="4"
    y="4"
    width={cut.side.w * scale}
    height={cut.side.h * scale}
  />
  {#if cut.cardWall && cut.cardWall.cage > 0}
    <rect
      class="cage"
      class:lit={inHand?.about?.of === 'room' && inHand.about.room === 'card length'}
      x={4 + cut.cardWall.x * scale}
      y={4 + cut.cardWall.y * scale}
      width={Math.min(cut.side.w - cut.cardWall.x, cut.cardWall.cage + 40) * scale}
      height={Math.min(cut.cardWall.h, cut.side.h - cut.cardWall.y - 4) * scale}
    />
  {/if}
  {#each cut.side.boxes as box (box.id)}
    {#if ongrab}
      <!-- svelte-ignore a11y_no_static_element_interactions (each part is also a button under the picture) -->
      <g class="click" onpointerdown={(event) => ongrab(box.seat, event)}
        >{@render part(box, 4, true)}</g
      >
    {:else}
      {@render part(box, 4, true)}
    {/if}
  {/each}
  {#if overCard?.margin && cut.cardWall}
    {@const box = cut.side.boxes.find(
      ({ kind, seat }) => kind === 'card' && overCard.seats.includes(seat),
    )}
    {#if box}
      <rect
        class="over"
        x={4 + (box.w + overCard.margin.hi) * scale}
        y={4 + box.y * scale}
        width={-overCard.margin.hi * scale}
        height={box.h * scale}
      />
      {#if !small}
        {@const words = `${drawnLength(-overCard.margin.hi, cut.lengths, 'ceil')} over`}
        {@const beside = 10 + box.w * scale + words.length * 10 < cut.side.w * scale}
        <text
          class="over-text figure"
          text-anchor={beside ? 'start' : 'end'}
          x={(beside ? 10 : 4) + box.w * scale}
          y={beside ? 8 + (box.y + box.h / 2) * scale : box.y * scale - 4}>{words}</text
        >
      {/if}
    {/if}
  {/if}
  {#if cut.cardWall && !small}
    {#if cut.cardWall.cage > 0}
      <text
        class="name"
        x={11 + cut.cardWall.x * scale}
        y={4 + (cut.cardWall.y + cut.cardWall.h * 0.66) * scale}>cage</text
      >
    {/if}
    {@const y = cut.side.h * scale + 16}
    <path
      class="dim"
      d="M4 {y}H{4 + cut.cardWall.x * scale}M4 {y - 5}v10M{4 + cut.cardWall.x * scale} {y - 5}v10"
    />
    <text class="dim-text figure" x={4 + (cut.cardWall.x * scale) / 2} y={y + 15}
      >room for a card {drawnLength(cut.cardWall.x, cut.lengths)}</text
    >
  {/if}
  {#if end}
    <rect
      class="shell"
      class:open={!cut.outside.known}
      x={endX}
      y="4"
      width={cut.end.w * scale}
      height={cut.end.h * scale}
    />
    {#each cut.end.boxes as box (box.id)}
      {@render part(box, endX, true)}
      {@const spare = cut.end.w - box.x - box.w}
      {@const y = 4 + (box.y + box.h / 2) * scale}
      {#if spare < 0}
        <rect
          class="over"
          x={endX + cut.end.w * scale}
          y={4 + box.y * scale}
          width={-spare * scale}
          height={box.h * scale}
        />
      {:else if spare > 4 && !box.open && !box.bend && (box.kind === 'cooler' || box.kind === 'card')}
        <path class="dim" d="M{endX + (box.x + box.w) * scale} {y}H{endX + cut.end.w * scale}" />
        {#if spare * scale > 24}
          <text class="dim-text figure" x={endX + (box.x + box.w + spare / 2) * scale} y={y - 4}
            >{drawnLength(spare, cut.lengths)}</text
          >
        {/if}
      {/if}
    {/each}
    {#if overCooler}<text class="over-text figure" x={endX} y={cut.end.h * scale + 20}
        >lid {drawnLength(-(overCooler.margin?.hi ?? 0), cut.lengths, 'ceil')} open</text
      >{:else}<text class="dim-text figure start" x={endX} y={cut.end.h * scale + 31}
        >from the front</text
      >{/if}
  {/if}
  {#if gap && !small}<GapLine {gap} {scale} {endX} />{/if}
  {@render overlay?.({ scale, endX, top: 4, left: 4 })}
</svg>

<style>
  .cut {
    display: block;
    max-width: 100%;
    overflow: visible;
    user-select: none;
  }
  .shell {
    fill: var(--shell);
    stroke: var(--ink);
    stroke-width: 3;
  }
  .shell.open {
    stroke-dasharray: 9 5;
    stroke-width: 2;
  }
  .part rect {
    fill: var(--part-stays);
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .part.comes rect {
    fill: var(--part-comes);
    stroke-width: 2;
  }
  .part.furniture rect {
    fill: none;
    stroke: var(--ink-soft);
  }
  .part.bend rect {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 3 4;
  }
  .part.bend.lit rect {
    stroke: var(--accent);
  }
  .part.goes rect {
    fill: var(--part-goes);
    stroke-dasharray: 2 3;
  }
  .part.open rect {
    stroke-dasharray: 6 4;
  }
  .part.lit rect {
    stroke: var(--accent);
    stroke-width: 3;
  }
  .come {
    fill: var(--ink);
  }
  .click {
    cursor: grab;
    touch-action: none;
  }
  .click:hover rect {
    stroke: var(--accent);
  }
  .cage {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 8 5;
  }
  .cage.lit {
    stroke: var(--accent-ink);
  }
  .name {
    font: 600 15px var(--face-head);
    fill: var(--ink);
  }
  text.figure {
    font-size: 13.5px;
    fill: var(--ink);
  }
  .over {
    fill: url(#hatch);
    stroke: var(--stop);
    stroke-width: 2;
  }
  .hatch-line {
    stroke: var(--stop);
    stroke-width: 3;
  }
  text.over-text {
    fill: var(--stop);
    font-weight: 700;
    font-size: 15px;
    paint-order: stroke;
    stroke: var(--tape);
    stroke-width: 5px;
  }
  .dim {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.2;
  }
  text.dim-text {
    text-anchor: middle;
    fill: var(--ink-soft);
    font-size: 13px;
  }
  text.start {
    text-anchor: start;
  }
</style>
