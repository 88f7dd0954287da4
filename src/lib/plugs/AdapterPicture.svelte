<script lang="ts">
  import { tiePath, wirePath } from '$core/export/wirePath.ts';
  import {
    endName,
    giveView,
    layOut,
    plugLetter,
    takeView,
    type Recipe,
  } from '$core/plugs/adapter/index.ts';
  import { senseNames } from '$core/standards/plugs/index.ts';
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
        x={x + w / 2 - w / 10}
        y={side === 'give' ? y + h - 1 : y}
        width={w / 5}
        height="1"
      />
      <text class="title" x={x + w / 2} y={side === 'give' ? y - 4.6 : y + h + 3.6}
        >{plugLetter(side, plug)} · {own.name}</text
      >
      <text class="view" x={x + w / 2} y={side === 'give' ? y - 1.6 : y + h + 6.8}
        >{side === 'give' ? `${giveView}, latch down` : `${takeView}, latch up`}</text
      >
    {/if}
  {/each}
  {#each laid.converters as { x, y, w, h }, i (i)}
    <rect class="board" {x} {y} width={w} height={h} rx="1" />
    <text class="boardname" x={x + w / 2 + 1} y={y + h / 2 - 1.4}>X{i + 1}</text>
    {#each [['in', 0.2], ['0', 0.5], ['out', 0.8]] as [pad, at] (pad)}
      <text class="pad" x={x + 0.6} y={y + h * Number(at) + 0.5}>{pad}</text>
    {/each}
    <text class="number" x={x + w / 2 + 1} y={y + h / 2 + 1.2}
      >{recipe.converters[i]?.from} to {recipe.converters[i]?.to}</text
    >
    <text class="number" x={x + w / 2 + 1} y={y + h / 2 + 3.6}
      >{recipe.converters[i]?.outA.toFixed(1)} A</text
    >
  {/each}
  {#each laid.sense as { plug, pin, x, y } (pin + plug)}
    <rect class="pin" x={x - 0.6} y={y - 0.6} width="1.2" height="1.2" rx="0.2" fill="var(--paper)"
      ><title>{plugLetter('sense', plug)}{pin} {senseNames[pin]}</title></rect
    >
    <text class="pad" {x} y={y + 2.1} text-anchor="middle">{pin}</text>
  {/each}
  {#each recipe.ties as tie (endName(tie.end))}
    {#if tie.at}
      <path class="tie" d={tiePath(laid.at(tie.end), laid.at(tie.at))}
        ><title>{endName(tie.end)} {tie.signal} tied to {tie.to}</title></path
      >
    {/if}
  {/each}
  {#each recipe.wires as wire (wire.n)}
    {@const path = wirePath(laid.at(wire.from), laid.at(wire.to))}
    <path
      class="edge"
      class:lit={wire.n === lit}
      d={path}
      stroke-width={(wire.awg <= 18 ? 0.95 : 0.6) + (wire.n === lit ? 0.9 : 0.24)}
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
  {#each laid.plugs as { side, plug } (side + plug)}
    {@const own = (side === 'give' ? recipe.gives : recipe.takes)[plug]}
    {#if own}
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
        {#if own.pitchMm > 2}
          <text
            class="pinname"
            class:light={isDark(signal)}
            font-size={own.pitchMm * (shortName(signal).length > 3 ? 0.22 : 0.32)}
            x={at.x}
            y={at.y + own.pitchMm * 0.02}>{shortName(signal)}</text
          >
          <text
            class="pinname"
            class:light={isDark(signal)}
            font-size={own.pitchMm * 0.25}
            x={at.x}
            y={at.y + own.pitchMm * 0.31}>{i + 1}</text
          >
        {/if}
      {/each}
    {/if}
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
    font: 600 3px var(--face-head);
  }
  .view {
    font: 2.1px var(--face-text);
    fill: var(--ink-soft);
  }
  .boardname {
    font: 600 3px var(--face-head);
  }
  .pinname {
    font-weight: 600;
    fill: #1f1f1f;
  }
  .number {
    font-size: 1.6px;
  }
  .pad {
    font-size: 1.4px;
    text-anchor: start;
  }
  text.light.light.light {
    fill: #fff;
  }
  .edge {
    fill: none;
    stroke: var(--ink-soft);
    pointer-events: none;
  }
  .edge.lit {
    stroke: var(--accent);
  }
  .wire {
    fill: none;
    stroke-linecap: round;
  }
  .tie {
    fill: none;
    stroke: var(--accent);
    stroke-width: 0.7;
    stroke-dasharray: 1.4 0.8;
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
