<script lang="ts">
  import type { Effect } from '$core/plugs/mate/index.ts';
  import { seen, views, type Plug, type View } from '$core/standards/plugs/index.ts';
  import { inkOf, isDark, shortName } from './inks.ts';

  interface Props {
    plug: Plug | undefined;
    /** Whose plug: supply, board. */
    whose: string;
    view?: View;
    /** Pixels per millimetre. */
    scale?: number;
    /** What comes of each pin where it meets another plug. */
    effects?: ReadonlyMap<number, Effect>;
    /** The name of another thing in its place, e.g. a supply without a plug said. */
    name?: string;
    /** Without the line of how it is held: said once for several. */
    brief?: boolean;
  }
  const {
    plug,
    whose,
    view = 'header face',
    scale = 6,
    effects,
    name = 'not known',
    brief = false,
  }: Props = $props();
  const columns = $derived(plug ? Math.ceil(plug.ways / plug.rows) : 0);
  /* Small pitches are drawn larger so that a pin can be read; the scale is written beside. */
  const drawn = $derived(plug ? Math.max(scale, Math.min(20 / plug.pitchMm, 12)) : scale);
  const pitch = $derived((plug?.pitchMm ?? 4.2) * drawn);
  const cell = $derived(pitch * 0.8);
  const unknown = $derived(plug?.pins.includes('?') ?? true);
  const where = $derived(
    `${view}, latch side down${views[view].mirrored ? ': 1 top right' : ': 1 top left'}`,
  );
</script>

<figure>
  <figcaption><b>{whose}</b> {plug?.name ?? name}</figcaption>
  {#if plug}
    <svg
      width={columns * pitch + 20}
      height={plug.rows * pitch + 30}
      role="img"
      aria-label="{plug.name}, {where}"
    >
      <rect
        class="housing"
        x="2"
        y="2"
        width={columns * pitch + 12}
        height={plug.rows * pitch + 12}
        rx="3"
      />
      <rect
        class="latch"
        x={(columns * pitch) / 2 - 12}
        y={plug.rows * pitch + 14}
        width="40"
        height="8"
      />
      {#each plug.pins as signal, i (i)}
        {@const place = seen(plug, i + 1, view)}
        {@const x = 8 + place.col * pitch + (pitch - cell) / 2}
        {@const y = 8 + place.row * pitch + (pitch - cell) / 2}
        {@const square = plug.squares?.includes(i + 1)}
        {@const effect = effects?.get(i + 1)}
        <rect
          class="pin {effect ?? ''}"
          class:unknown={signal === '?'}
          {x}
          {y}
          width={cell}
          height={cell}
          rx={square === false || !plug.squares ? cell * 0.24 : 1}
          fill={inkOf(signal) ?? 'var(--paper)'}><title>{i + 1}: {signal}</title></rect
        >
        {#if cell > 13}
          <text
            class:light={isDark(signal)}
            x={x + cell / 2}
            y={y + cell / 2 + 4}
            font-size={Math.min(11.5, (cell * 1.5) / Math.max(2, shortName(signal).length))}
            >{shortName(signal)}</text
          >
        {/if}
      {/each}
    </svg>
    {#if !brief}<p>
        {where}{unknown ? '; order not proven' : '; colours are a hint, never proof'}{drawn > scale
          ? `; drawn ${(drawn / scale).toFixed(1)} times larger`
          : ''}
      </p>{/if}
  {/if}
</figure>

<style>
  figure {
    margin: 0;
    max-width: 100%;
  }
  svg {
    max-width: 100%;
  }
  figcaption {
    font-size: 15px;
  }
  figcaption b {
    font: 600 17px var(--face-head);
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
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .unknown {
    stroke-dasharray: 3 2;
  }
  .burns {
    stroke: var(--stop);
    stroke-width: 4;
  }
  .wrong {
    stroke: var(--mend);
    stroke-width: 3.5;
    stroke-dasharray: 5 2;
  }
  text {
    font-family: var(--face-figure);
    font-weight: 600;
    text-anchor: middle;
    fill: var(--ink);
    pointer-events: none;
  }
  .pin:not([fill^='var']) + text {
    fill: #1f1f1f;
  }
  .pin + text.light {
    fill: #fff;
  }
  p {
    max-width: 330px;
    font-size: 13.5px;
    color: var(--ink-soft);
  }
</style>
