<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import type { Choice } from '$core/resolve/choices.ts';
  import { along, nearestWay, type Rect } from './seatMove.ts';

  interface Props {
    choices: readonly Choice[];
    scale: number;
    left: number;
    top: number;
    endX: number;
    /** Thickness of the case in the end section, mm. */
    thick: number;
    /** How far the pointer went, px; undefined while nothing is dragged. */
    moved: { x: number; y: number } | undefined;
    /** The place the part would drop into. */
    over: number;
  }
  const { choices, scale, left, top, endX, thick, moved, over }: Props = $props();
  const rects = $derived<Rect[]>(
    choices.map(({ box }) => ({
      x: left + mid(box.x[0]) * scale,
      y: top + mid(box.y[0]) * scale,
      w: (mid(box.x[1]) - mid(box.x[0])) * scale,
      h: (mid(box.y[1]) - mid(box.y[0])) * scale,
    })),
  );
  const home = $derived(rects[0]);
  const held = $derived.by(() => {
    if (!home || !moved) return undefined;
    const way = nearestWay(rects, moved);
    return way === undefined ? home : along(home, rects[way] ?? home, moved);
  });
  const end = $derived(choices[over]?.box ?? choices[0]?.box);
</script>

{#each choices as choice, i (choice.label)}
  {@const rect = rects[i]}
  {#if rect}
    <rect
      class="ghost {choice.mark}"
      class:over={over === i}
      x={rect.x}
      y={rect.y}
      width={rect.w}
      height={rect.h}
    />
    {#if home && i > 0}
      <path
        class="rail"
        d="M{home.x + home.w / 2} {home.y + home.h / 2}L{rect.x + rect.w / 2} {rect.y + rect.h / 2}"
      />
    {/if}
  {/if}
{/each}
{#if held}
  <rect class="held" x={held.x} y={held.y} width={held.w} height={held.h} />
{/if}
{#if end}
  {@const y = top + ((mid(end.y[0]) + mid(end.y[1])) / 2) * scale}
  {@const lid = endX + thick * scale}
  {@const to = endX + (thick - mid(end.w[0])) * scale}
  {#if lid - to > 4}<path class="way" d="M{lid + 16} {y}H{to}m7 -6l-7 6l7 6" />{/if}
{/if}

<style>
  .ghost {
    fill: none;
    stroke: var(--c);
    stroke-width: 2;
    stroke-dasharray: 5 4;
    pointer-events: none;
  }
  .ghost.over {
    stroke-width: 4;
    stroke-dasharray: none;
  }
  .rail {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 1 5;
    stroke-width: 2;
    pointer-events: none;
  }
  .held {
    fill: var(--part-comes);
    stroke: var(--accent);
    stroke-width: 3;
    opacity: 0.85;
    pointer-events: none;
  }
  .way {
    fill: none;
    stroke: var(--accent);
    stroke-width: 3;
  }
  .stop {
    --c: var(--stop);
  }
  .mend {
    --c: var(--mend);
  }
  .watch {
    --c: var(--watch);
  }
  .clear {
    --c: var(--clear);
  }
</style>
