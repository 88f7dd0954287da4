<script lang="ts">
  import type { Chain } from '$core/links/index.ts';
  import { laneGBs } from '$core/standards/links.ts';

  interface Props {
    chain: Chain;
    /** Gigabytes a second of the widest pipe drawn: all to one scale. */
    most: number;
    chosen: boolean;
    onchoose: () => void;
  }
  const { chain, most, chosen, onchoose }: Props = $props();
  const [W, H, STEP] = [720, 110, 168];
  const rate = (lanes: number, generation: number) =>
    lanes * laneGBs(Math.min(5, Math.max(1, Math.round(generation))));
  const tall = (gbs: number) => Math.max(2, Math.sqrt(gbs / most) * 62);
  const middle = 44;
  const pieces = $derived(
    chain.elements.map((each, i) => ({
      each,
      x: 4 + i * STEP,
      least: tall(rate(each.lanes.lo, each.generation.lo)),
      most: tall(rate(each.lanes.hi, each.generation.hi)),
    })),
  );
  /** What comes through: the narrowest so far. */
  const flow = $derived.by(() => {
    let [lanes, generation] = [Infinity, Infinity];
    return chain.elements.map((each) => {
      lanes = Math.min(lanes, each.lanes.hi);
      generation = Math.min(generation, each.generation.hi);
      return tall(rate(lanes, generation));
    });
  });
  const f = ({ lo, hi }: { lo: number; hi: number }) => (lo === hi ? String(hi) : `${lo}–${hi}`);
</script>

<button class="pipe" class:chosen onclick={onchoose}>
  <svg
    viewBox="0 0 {W} {H}"
    role="img"
    aria-label="The way to {chain.name}: {chain.elements
      .map((each) => `${each.name} x${f(each.lanes)} generation ${f(each.generation)}`)
      .join(', ')}"
  >
    {#each pieces as piece, i (i)}
      {@const weak = piece.each === chain.weakest && chain.gives.hi < chain.wants.hi - 1e-9}
      <rect
        class="open"
        x={piece.x}
        y={middle - piece.most / 2}
        width={STEP - 26}
        height={piece.most}
      />
      <rect
        class="sure"
        class:weak
        x={piece.x}
        y={middle - piece.least / 2}
        width={STEP - 26}
        height={piece.least}
      />
      <path
        class="flow"
        d="M{piece.x} {middle}h{STEP - 26 + (i < pieces.length - 1 ? 26 : 0)}"
        stroke-width={Math.max(2, (flow[i] ?? 2) * 0.5)}
      />
      <text class="name" x={piece.x} y={H - 20}
        >{piece.each.name.length > 22 ? `${piece.each.name.slice(0, 21)}…` : piece.each.name}</text
      >
      <text x={piece.x} y={H - 5}>x{f(piece.each.lanes)}, gen {f(piece.each.generation)}</text>
    {/each}
    <text class="end" x={W - 2} y={middle + 5}
      >{chain.gives.lo === chain.gives.hi
        ? chain.gives.hi.toFixed(1)
        : `${chain.gives.lo.toFixed(1)}–${chain.gives.hi.toFixed(1)}`} GB/s</text
    >
  </svg>
</button>

<style>
  .pipe {
    display: block;
    width: 100%;
    max-width: 780px;
    padding: 4px 6px;
    border: 0;
    border-left: 6px solid transparent;
    background: none;
    text-align: left;
  }
  .chosen {
    border-color: var(--accent);
    background: var(--tape-lit);
  }
  svg {
    display: block;
    width: 100%;
  }
  .open {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }
  .sure {
    fill: var(--part-stays);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .sure.weak {
    stroke: var(--stop);
    stroke-width: 3;
  }
  .flow {
    stroke: var(--watch);
    opacity: 0.7;
  }
  text {
    font: 12px var(--face-figure);
    fill: var(--ink-soft);
  }
  .name {
    font: 600 14px var(--face-head);
    fill: var(--ink);
  }
  .end {
    text-anchor: end;
    font: 700 16px var(--face-head);
    fill: var(--ink);
  }
</style>
