<script lang="ts">
  import { drawingOf, type Entity } from '$core/make/drawing.ts';
  import type { Piece } from '$core/make/piece.ts';
  import { leastWebMm } from '$core/make/sheet.ts';
  import { tightestWeb } from '$core/make/sums.ts';
  import { formatLength } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  /** A piece of sheet as it is cut: openings, holes, bends, with its sizes beside it. */
  const { piece }: { piece: Piece } = $props();
  const drawing = $derived(drawingOf(piece));
  const lengths = $derived(shopStore.shop.settings.unit);
  const sized = (mm: number) => formatLength(Math.round(mm * 10) / 10, lengths);

  /** Height of the picture at the most, px, and what is kept round it for the sizes. */
  const [HEIGHT, AIR] = [330, 46];
  /** Room across, px: words stay as large on a phone. */
  let room = $state(760);
  const bounds = $derived(drawing.bounds);
  const scale = $derived(
    Math.min(
      (Math.min(760, room) - 2 * AIR) / Math.max(1, bounds.x1 - bounds.x0),
      (HEIGHT - 2 * AIR) / Math.max(1, bounds.y1 - bounds.y0),
      6,
    ),
  );
  const w = $derived((bounds.x1 - bounds.x0) * scale);
  const h = $derived((bounds.y1 - bounds.y0) * scale);
  const x = (mm: number) => (mm - bounds.x0) * scale + AIR;
  const y = (mm: number) => (bounds.y1 - mm) * scale + AIR;

  function path(each: Entity): string {
    if (each.is === 'line') return `M${x(each.x1)} ${y(each.y1)}L${x(each.x2)} ${y(each.y2)}`;
    if (each.is !== 'arc') return '';
    const at = (degrees: number) => {
      const angle = (degrees * Math.PI) / 180;
      return `${x(each.x + each.r * Math.cos(angle))} ${y(each.y + each.r * Math.sin(angle))}`;
    };
    return `M${at(each.from)}A${each.r * scale} ${each.r * scale} 0 0 0 ${at(each.to)}`;
  }
  /** Where too little would be left standing: a line from rim to rim with its figure. */
  const web = $derived.by(() => {
    const tight = tightestWeb(piece);
    if (!tight?.at || tight.mm >= leastWebMm(piece.material, piece.thick)) return undefined;
    const [a, b] = tight.at;
    /* Middle of what the two have in common, else the corners that look at each other. */
    const side = (a0: number, a1: number, b0: number, b1: number): [number, number] => {
      if (a1 < b0) return [a1, b0];
      if (b1 < a0) return [a0, b1];
      const middle = (Math.max(a0, b0) + Math.min(a1, b1)) / 2;
      return [middle, middle];
    };
    const [x1, x2] = side(a.x0, a.x1, b.x0, b.x1);
    const [y1, y2] = side(a.y0, a.y1, b.y0, b.y1);
    return { x1, x2, y1, y2, say: `web ${sized(tight.mm)}` };
  });
  const openings = $derived(
    piece.openings.map((each) => ({
      ...each,
      size: `${sized(each.x1 - each.x0)} × ${sized(each.y1 - each.y0)}`,
    })),
  );
</script>

<div bind:clientWidth={room}>
  <svg
    viewBox="0 0 {w + 2 * AIR} {h + 2 * AIR}"
    style:width="{w + 2 * AIR}px"
    role="img"
    aria-label="{piece.name}: {openings.length} openings, {piece.holes.length} holes, {piece.bends
      .length} bends, to scale"
  >
    {#if piece.outline}
      <rect
        class="sheet"
        x={x(piece.outline.x0)}
        y={y(piece.outline.y1)}
        width={(piece.outline.x1 - piece.outline.x0) * scale}
        height={(piece.outline.y1 - piece.outline.y0) * scale}
        rx={piece.outline.r * scale}
      />
    {:else}
      <rect class="sheet wall" x={AIR / 2} y={AIR / 2} width={w + AIR} height={h + AIR} />
    {/if}
    {#each openings as each, i (i)}
      <rect
        class="opening"
        x={x(each.x0)}
        y={y(each.y1)}
        width={(each.x1 - each.x0) * scale}
        height={(each.y1 - each.y0) * scale}
        rx={each.r * scale}
      />
    {/each}
    {#each drawing.entities as each, i (i)}
      {#if each.is === 'line' || each.is === 'arc'}
        <path class={each.layer} d={path(each)} />
      {:else if each.is === 'circle'}
        <circle class={each.layer} cx={x(each.x)} cy={y(each.y)} r={each.r * scale} />
      {/if}
    {/each}
    {#each openings as each, i (i)}
      <text x={x((each.x0 + each.x1) / 2)} y={y(each.y1) - 6}>{each.name}</text>
      {#if (each.x1 - each.x0) * scale > 70}
        <text class="figure" x={x((each.x0 + each.x1) / 2)} y={y((each.y0 + each.y1) / 2) + 5}
          >{each.size}</text
        >
      {/if}
    {/each}
    {#each piece.bends as each, i (i)}
      <text class="bend-name" x={x(each.x)} y={AIR - 10}
        >{each.degrees}° {each.up ? 'up' : 'down'}</text
      >
    {/each}
    {#if web}
      <path class="web" d="M{x(web.x1)} {y(web.y1)}L{x(web.x2)} {y(web.y2)}" />
      <text class="figure thin" x={x((web.x1 + web.x2) / 2)} y={y((web.y1 + web.y2) / 2) - 8}
        >{web.say}</text
      >
    {/if}
    <text class="figure" x={AIR + w / 2} y={piece.outline ? h + AIR + 30 : h + 2 * AIR - 6}
      >{sized(bounds.x1 - bounds.x0)}</text
    >
    <text
      class="figure"
      transform="translate({piece.outline ? AIR - 24 : 14} {AIR + h / 2}) rotate(-90)"
      >{sized(bounds.y1 - bounds.y0)}</text
    >
  </svg>
</div>

<style>
  div {
    flex: 1 1 auto;
    min-width: 0;
  }
  svg {
    max-width: 100%;
    max-height: 360px;
  }
  .sheet {
    fill: var(--part-stays);
    stroke: none;
  }
  .wall {
    stroke: var(--line);
    stroke-dasharray: 6 4;
  }
  .opening {
    fill: var(--paper);
  }
  path,
  circle {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  path.drill {
    stroke-width: 0.75;
  }
  circle.drill {
    fill: var(--paper);
  }
  path.bend {
    stroke: var(--watch);
    stroke-dasharray: 9 5;
  }
  path.guide {
    stroke: var(--ink-soft);
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
  text {
    fill: var(--ink);
    font: 14px var(--face-text);
    text-anchor: middle;
    stroke: var(--paper);
    stroke-width: 3px;
    paint-order: stroke;
  }
  path.web {
    stroke: var(--stop);
    stroke-width: 5;
  }
  text.thin {
    fill: var(--stop);
    font-weight: 700;
  }
  text.figure {
    font: 14px var(--face-figure);
  }
  .bend-name {
    fill: var(--watch);
  }
</style>
