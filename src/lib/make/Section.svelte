<script lang="ts">
  import type { Solid } from '$core/print/solid.ts';
  import { formatLength } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  /** A solid cut half way deep, seen from the front, its sizes beside it. */
  const { solid, name }: { solid: Solid; name: string } = $props();
  const sized = (mm: number) =>
    formatLength(Math.round(mm * 10) / 10, shopStore.shop.settings.unit);
  const [wide, deep, high] = $derived(
    [0, 1, 2].map((i) => (solid.high[i] ?? 0) - (solid.low[i] ?? 0)) as [number, number, number],
  );
  const AIR = 40;
  const scale = $derived(Math.min(260 / wide, 220 / high, 6));
  const path = $derived(
    solid.section
      .map(
        (ring) =>
          `M${ring
            .map(
              ([x, y]) =>
                `${(x - solid.low[0]) * scale + AIR} ${(solid.high[2] - y) * scale + AIR / 2}`,
            )
            .join('L')}Z`,
      )
      .join(''),
  );
</script>

<svg
  viewBox="0 0 {wide * scale + 2 * AIR} {high * scale + AIR + 30}"
  style:width="{wide * scale + 2 * AIR}px"
  role="img"
  aria-label="{name} cut through its middle, to scale: {sized(wide)} wide, {sized(
    high,
  )} high, {sized(deep)} deep"
>
  <path d={path} />
  <text x={AIR + (wide * scale) / 2} y={high * scale + AIR / 2 + 22}
    >{sized(wide)} × {sized(deep)} deep</text
  >
  <text transform="translate({AIR - 12} {AIR / 2 + (high * scale) / 2}) rotate(-90)"
    >{sized(high)}</text
  >
</svg>

<style>
  svg {
    max-width: 100%;
    max-height: 300px;
  }
  path {
    fill: var(--part-comes);
    fill-rule: evenodd;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  text {
    fill: var(--ink);
    font: 14px var(--face-figure);
    text-anchor: middle;
  }
</style>
