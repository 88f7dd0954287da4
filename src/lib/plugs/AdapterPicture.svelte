<script lang="ts">
  import { wirePath } from '$core/export/wirePath.ts';
  import {
    endName,
    giveView,
    layOut,
    plugLetter,
    takeView,
    type Recipe,
  } from '$core/plugs/join/index.ts';
  import { inkOf, inks, isDark, shortName } from '$lib/draw/inks.ts';

  interface Props {
    recipe: Recipe;
    /** The wire in hand, by number. */
    lit: number | undefined;
    onwire: (n: number | undefined) => void;
  }
  const { recipe, lit, onwire }: Props = $props();
  const laid = $derived(layOut(recipe.gives, recipe.takes, recipe.converters.length));
  const margin = { x: 4, top: 9, bottom: 9 };
</script>

<svg
  viewBox="{-margin.x} {-margin.top} {laid.width + 2 * margin.x} {laid.height +
    margin.top +
    margin.bottom}"
  role="group"
  aria-label="The adapter laid open, wire sides up, to scale"
>
  {#each laid.plugs as { side, plug, x, y, w, h } (side + plug)}
    {@const own = (side === 'give' ? recipe.gives : recipe.takes)[plug]}
    {#if own}
      <rect class="housing" {x} {y} width={w} height={h} rx="1" />
      <rect
        class="latch"
        x={x + w / 2 - 4}
        y={side === 'give' ? y + h - 1.2 : y}
        width="8"
        height="1.2"
      />
      <text class="title" x={x + w / 2} y={side === 'give' ? y - 5 : y + h + 4}
        >{plugLetter(side, plug)} · {own.name}</text
      >
      <text class="view" x={x + w / 2} y={side === 'give' ? y - 1.6 : y + h + 7.4}
        >{side === 'give' ? `${giveView}, latch down` : `${takeView}, latch up`}</text
      >
      {#each own.pins as signal, i (i)}
        {@const at = laid.at({ side, plug, pin: i + 1 })}
        {@const r = own.pitchMm * 0.4}
        <rect
          class="pin"
          x={at.x - r}
          y={at.y - r}
          width={2 * r}
          height={2 * r}
          rx={r * 0.25}
          fill={inkOf(signal) ?? 'var(--paper)'}
        />
        {#if own.pitchMm > 3}
          <text class="pinname" class:light={isDark(signal)} x={at.x} y={at.y + 0.1}
            >{shortName(signal)}</text
          >
          <text class="number" class:light={isDark(signal)} x={at.x} y={at.y + 1.3}>{i + 1}</text>
        {/if}
      {/each}
    {/if}
  {/each}
  {#each laid.converters as { x, y, w, h }, i (i)}
    <rect class="board" {x} {y} width={w} height={h} rx="1" />
    <text class="boardname" x={x + w / 2} y={y + h / 2 - 0.6}>X{i + 1}</text>
    <text class="number" x={x + w / 2} y={y + h / 2 + 1.8}
      >{recipe.converters[i]?.from} to {recipe.converters[i]?.to}</text
    >
    <text class="number" x={x + w / 2} y={y + h / 2 + 4}
      >{recipe.converters[i]?.outA.toFixed(1)} A</text
    >
  {/each}
  {#each recipe.wires as wire (wire.n)}
    {@const path = wirePath(laid.at(wire.from), laid.at(wire.to))}
    <path
      class="edge"
      class:lit={wire.n === lit}
      d={path}
      stroke-width={wire.awg <= 18 ? 1.5 : 1.1}
    />
    <path
      class="wire"
      class:dim={lit !== undefined && wire.n !== lit}
      d={path}
      stroke={inks[wire.colour] ?? 'var(--ink)'}
      stroke-width={wire.awg <= 18 ? 0.95 : 0.6}
      role="button"
      tabindex="-1"
      aria-label="wire {wire.n}, {endName(wire.from)} to {endName(wire.to)}, {wire.signal}"
      onpointerenter={() => onwire(wire.n)}
      onpointerleave={() => onwire(undefined)}
    />
  {/each}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    max-height: 420px;
  }
  .housing {
    fill: var(--paper-deep);
    stroke: var(--ink);
    stroke-width: 0.4;
  }
  .latch {
    fill: var(--ink);
  }
  .pin {
    stroke: var(--ink);
    stroke-width: 0.25;
  }
  .board {
    fill: var(--part-comes);
    stroke: var(--ink);
    stroke-width: 0.4;
  }
  text {
    fill: var(--ink);
    text-anchor: middle;
    font-family: var(--face-figure);
    pointer-events: none;
  }
  .title {
    font: 600 3.4px var(--face-head);
  }
  .view {
    font: 2.3px var(--face-text);
    fill: var(--ink-soft);
  }
  .boardname {
    font: 600 3px var(--face-head);
  }
  .pinname {
    font-size: 1.35px;
    font-weight: 600;
    fill: #1f1f1f;
  }
  .number {
    font-size: 1.6px;
  }
  .pin + .pinname + .number {
    font-size: 1.05px;
    fill: #1f1f1f;
  }
  text.light.light.light {
    fill: #fff;
  }
  .edge {
    fill: none;
    stroke: var(--paper);
    pointer-events: none;
  }
  .edge.lit {
    stroke: var(--accent);
  }
  .wire {
    fill: none;
    stroke-linecap: round;
  }
  .dim {
    opacity: 0.25;
  }
  @media print {
    .wire {
      stroke: #000;
    }
  }
</style>
