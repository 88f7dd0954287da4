<script lang="ts">
  import { inkOf } from '$lib/draw/inks.ts';
  import type { OpenedLead } from '$core/watts/openLead.ts';

  interface Props {
    open: OpenedLead;
    name: string;
  }
  const { open, name }: Props = $props();
  const W = 620;
  const ROW = 20;
  const [LEFT, RIGHT] = [70, 400];
  const most = $derived(Math.max(0.1, ...open.wires.map((each) => each.amps)));
  const hottest = $derived(Math.max(1e-6, ...open.wires.map((each) => each.contactW)));
  const mW = (watts: number) =>
    watts < 1 ? `${Math.round(watts * 1000)} mW` : `${watts.toFixed(1)} W`;
</script>

<!-- Each wire as thick as its amps, its contact a slot that fills; heat where it is lost. -->
<figure>
  <figcaption>
    {name} laid open: <span class="figure">{open.amps.toFixed(1)} A</span> there,
    <span class="figure">{open.backAmps.toFixed(1)} A</span> back,
    <span class="figure">{mW(open.lossW)}</span> lost in it. One contact as new, the others aged.
  </figcaption>
  <svg
    viewBox="0 0 {W} {open.wires.length * ROW + 4}"
    role="img"
    aria-label="Wires and contacts of {name}"
  >
    {#each open.wires as wire, i (`${wire.back} ${wire.pin}`)}
      {@const y = i * ROW + ROW / 2 + 2}
      <g class:over={wire.amps > wire.bears}>
        <text x={LEFT - 8} y={y + 4} class="end">pin {wire.pin}</text>
        <path
          class="wire"
          d="M{LEFT} {y}H{RIGHT}"
          stroke={inkOf(wire.signal)}
          stroke-width={Math.max(1, (wire.amps / most) * 11)}
        />
        <circle
          class="heat"
          cx={RIGHT + 10}
          cy={y}
          r={2 + 7 * Math.sqrt(wire.contactW / hottest)}
        />
        <rect class="slot" x={RIGHT + 24} y={y - 6} width="60" height="12" />
        <rect
          class="fill"
          x={RIGHT + 24}
          y={y - 6}
          width={60 * Math.min(1, wire.amps / wire.bears)}
          height="12"
        />
        <text x={RIGHT + 92} y={y + 4}>{wire.amps.toFixed(1)} of {wire.bears.toFixed(1)} A</text>
      </g>
    {/each}
  </svg>
  <figcaption class="soft">
    Hottest contact {mW(hottest)}. Returns carry every rail of the lead.
  </figcaption>
</figure>

<style>
  figure {
    max-width: 640px;
    margin: 6px 0 10px;
  }
  figcaption {
    font-size: 15px;
  }
  svg {
    display: block;
    width: 100%;
  }
  .wire {
    fill: none;
    stroke-linecap: butt;
  }
  .heat {
    fill: var(--stop);
    opacity: 0.55;
  }
  .slot {
    fill: var(--tape);
    stroke: var(--ink);
  }
  .fill {
    fill: var(--clear);
  }
  .over .fill {
    fill: var(--stop);
  }
  text {
    fill: var(--ink);
    font: 12px var(--face-figure);
  }
  .end {
    text-anchor: end;
  }
</style>
