<script lang="ts">
  import { makerMains, plug } from '$core/standards/plugs/index.ts';

  interface Props {
    id: string;
    /** Whose plug: supply, board. */
    whose: string;
    /** Pixels per millimetre. */
    scale?: number;
  }
  const { id, whose, scale = 6 }: Props = $props();
  const known = $derived(plug(id));
  const maker = $derived(makerMains.find((each) => each.id === id));
  const ways = $derived(known?.ways ?? maker?.ways ?? 0);
  const rows = $derived(known?.rows ?? 2);
  const columns = $derived(Math.ceil(ways / rows));
  const pitch = $derived((known?.pitchMm ?? 4.2) * scale);
  const square = $derived(pitch * 0.8);
  const colour: Record<string, string> = {
    '+3.3V': '#e08a2b',
    '+5V': '#c0392b',
    '+12V': '#e2c22f',
    COM: '#2b2b2b',
    '+5VSB': '#7d4fa3',
    '+12VSB': '#7d4fa3',
    'PS_ON#': '#2f8f4e',
    PWR_OK: '#8d9499',
    '-12V': '#2f62b5',
    '-5V': '#f2f2ee',
  };
  const short: Record<string, string> = {
    '+3.3V': '3.3',
    '+5V': '5',
    '+12V': '12',
    COM: '0',
    '+5VSB': 'sb',
    '+12VSB': 'sb',
    'PS_ON#': 'on',
    PWR_OK: 'ok',
    '-12V': '-12',
    '-5V': '-5',
  };
  const dark = new Set(['COM', '+5V', '+5VSB', '+12VSB', 'PS_ON#', '-12V']);
</script>

<figure>
  <figcaption><b>{whose}</b> {known?.name ?? maker?.name ?? 'not known'}</figcaption>
  {#if ways > 0}
    <svg
      width={columns * pitch + 20}
      height={rows * pitch + 34}
      role="img"
      aria-label="{known?.name ?? maker?.name}, header face, latch side down"
    >
      <rect
        class="housing"
        x="2"
        y="2"
        width={columns * pitch + 12}
        height={rows * pitch + 12}
        rx="3"
      />
      <rect
        class="latch"
        x={(columns * pitch) / 2 - 12}
        y={rows * pitch + 14}
        width="40"
        height="8"
      />
      {#each Array.from({ length: ways }, (_, i) => i) as i (i)}
        {@const signal = known?.pins[i] === '?' ? undefined : known?.pins[i]}
        {@const x = 8 + (i % columns) * pitch + (pitch - square) / 2}
        {@const y = 8 + Math.floor(i / columns) * pitch + (pitch - square) / 2}
        <rect
          class="pin"
          class:unknown={!signal}
          {x}
          {y}
          width={square}
          height={square}
          fill={signal ? (colour[signal] ?? 'none') : 'none'}
        />
        <text
          class:light={signal !== undefined && dark.has(signal)}
          x={x + square / 2}
          y={y + square / 2 + 4}>{signal ? (short[signal] ?? '') : '?'}</text
        >
      {/each}
      <text class="one" x="0" y={rows * pitch + 30}>1 top left</text>
    </svg>
    <p>
      header face, latch side down{known && !known.pins.includes('?')
        ? '; colours are a hint, never proof'
        : '; order not proven'}
    </p>
  {/if}
</figure>

<style>
  figure {
    margin: 0;
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
  text {
    font: 600 11px var(--face-figure);
    text-anchor: middle;
    fill: #1f1f1f;
  }
  .unknown + text {
    fill: var(--ink);
  }
  .light {
    fill: #fff;
  }
  .one {
    text-anchor: start;
    fill: var(--ink-soft);
    font-weight: 400;
  }
  p {
    font-size: 13.5px;
    color: var(--ink-soft);
  }
</style>
