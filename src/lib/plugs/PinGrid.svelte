<script lang="ts">
  import type { Grid, Identified } from '$core/plugs/identify/index.ts';
  import { seen, views, type View } from '$core/standards/plugs/index.ts';
  import { inks, shortName } from '$lib/draw/inks.ts';

  interface Props {
    grid: Grid;
    answer: Identified;
    colours: ReadonlyMap<number, string>;
    /** Gauge of the wires where somebody looked. */
    gauges: ReadonlyMap<number, number>;
    view: View;
    /** The pin under the probe. */
    lit: number;
    onpin: (pin: number) => void;
  }
  const { grid, answer, colours, gauges, view, lit, onpin }: Props = $props();
  const columns = $derived(grid.ways / grid.rows);
  const cell = $derived(Math.min(64, 640 / columns));
  const at = (pin: number) => seen({ ...grid, numbering: 'rows' }, pin, view);
</script>

<svg
  width={columns * cell + 24}
  height={grid.rows * (cell + 16) + 44}
  role="group"
  aria-label="{views[view].half}, {view}"
>
  <rect
    class="housing"
    x="4"
    y="4"
    width={columns * cell + 16}
    height={grid.rows * (cell + 16) + 12}
    rx="4"
  />
  <rect
    class="latch"
    x={(columns * cell) / 2 - 18}
    y={grid.rows * (cell + 16) + 16}
    width="60"
    height="12"
  />
  {#each answer.pins as pin (pin.pin)}
    {@const place = at(pin.pin)}
    {@const x = 12 + place.col * cell + 3}
    {@const y = 12 + place.row * (cell + 16)}
    {@const colour = colours.get(pin.pin)}
    {@const awg = gauges.get(pin.pin)}
    <g
      class="pin {pin.word.replaceAll(' ', '-')}"
      class:lit={pin.pin === lit}
      class:wrong={pin.contradiction !== undefined}
      role="button"
      tabindex="0"
      aria-label="pin {pin.pin}: {pin.word === 'open' ? 'open' : pin.best}, {pin.word}, {Math.round(
        pin.chance * 100,
      )} percent"
      aria-pressed={pin.pin === lit}
      onclick={() => onpin(pin.pin)}
      onkeydown={(event) =>
        (event.key === 'Enter' || event.key === ' ') && (event.preventDefault(), onpin(pin.pin))}
    >
      <rect class="cavity" {x} {y} width={cell - 6} height={cell - 6} rx="3" />
      {#if colour}<rect
          x={x + 3}
          y={y + cell - (awg !== undefined && awg >= 22 ? 12 : 15)}
          width={cell - 12}
          height={awg !== undefined && awg >= 22 ? 3 : 6}
          fill={inks[colour] ?? 'none'}
          stroke="var(--ink)"
          stroke-width="0.6"
        />{/if}
      <text class="number" x={x + 5} y={y + 13}>{pin.pin}</text>
      <text class="best" x={x + (cell - 6) / 2} y={y + cell / 2 + 6}
        >{pin.word === 'open' ? '?' : shortName(pin.best)}</text
      >
      <text class="chance" x={x + (cell - 6) / 2} y={y + cell + 6}
        >{Math.round(pin.chance * 100)}</text
      >
    </g>
  {/each}
</svg>

<style>
  svg {
    display: block;
    max-width: 100%;
  }
  .housing {
    fill: var(--paper-deep);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .latch {
    fill: var(--ink);
  }
  .pin {
    cursor: pointer;
    outline: none;
  }
  .cavity {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 4 3;
  }
  .one-more-reading .cavity {
    fill: var(--part-stays);
    stroke-dasharray: none;
  }
  .sure .cavity {
    fill: var(--part-comes);
    stroke-dasharray: none;
    stroke-width: 2.5;
  }
  .wrong .cavity {
    stroke: var(--stop);
    stroke-width: 3;
  }
  .lit .cavity,
  .pin:focus-visible .cavity {
    stroke: var(--accent);
    stroke-width: 4;
    stroke-dasharray: none;
  }
  text {
    fill: var(--ink);
    text-anchor: middle;
    font: 600 16px var(--face-figure);
  }
  text.number {
    text-anchor: start;
    font-size: 11px;
    font-weight: 400;
    fill: var(--ink-soft);
  }
  text.chance {
    font-size: 11px;
    font-weight: 400;
    fill: var(--ink-soft);
  }
</style>
