<script lang="ts">
  import type { Make } from '$core/model/types/makeTypes.ts';
  import { formatLength } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  /** A bracket seen from the side once it is bent, its outside sizes at its legs. */
  const { make }: { make: Extract<Make, { do: 'L bracket' | 'Z bracket' }> } = $props();
  const sized = (mm: number) => formatLength(mm, shopStore.shop.settings.unit);
  const half = $derived(make.thick / 2);
  /** Corners of the middle of the sheet, mm, y up: outside sizes less half the sheet. */
  const corners = $derived(
    make.do === 'L bracket'
      ? [
          { x: make.legA, y: half },
          { x: half, y: half },
          { x: half, y: make.legB },
        ]
      : [
          { x: 0, y: half },
          { x: make.legA - half, y: half },
          { x: make.legA - half, y: make.web - half },
          { x: make.legA - make.thick + make.legB, y: make.web - half },
        ],
  );
  const wide = $derived(Math.max(...corners.map(({ x }) => x)) + half);
  const high = $derived(Math.max(...corners.map(({ y }) => y)) + half);
  const SIDE = 190;
  const AIR = 34;
  const scale = $derived(Math.min(SIDE / wide, SIDE / high, 6));
  const px = (mm: number) => mm * scale + AIR;
  const py = (mm: number) => (high - mm) * scale + AIR;
  /** Rounded at each bend by the radius of its middle. */
  const path = $derived.by(() => {
    const r = make.radius + half;
    return corners
      .map((at, i) => {
        const [before, after] = [corners[i - 1], corners[i + 1]];
        if (!before || !after) return `${i === 0 ? 'M' : 'L'}${px(at.x)} ${py(at.y)}`;
        const toward = (to: { x: number; y: number }) => {
          const far = Math.hypot(to.x - at.x, to.y - at.y);
          const share = Math.min(1, r / far);
          return `${px(at.x + (to.x - at.x) * share)} ${py(at.y + (to.y - at.y) * share)}`;
        };
        return `L${toward(before)}Q${px(at.x)} ${py(at.y)} ${toward(after)}`;
      })
      .join('');
  });
</script>

<svg
  viewBox="0 0 {wide * scale + 2 * AIR} {high * scale + 2 * AIR}"
  style:width="{wide * scale + 2 * AIR}px"
  role="img"
  aria-label="The {make.do} bent, from the side, to scale"
>
  <path d={path} style:stroke-width="{Math.max(2, make.thick * scale)}px" />
  {#if make.do === 'L bracket'}
    <text x={px(make.legA / 2)} y={py(0) + 22}>A {sized(make.legA)}</text>
    <text transform="translate({px(0) - 10} {py(make.legB / 2)}) rotate(-90)"
      >B {sized(make.legB)}</text
    >
  {:else}
    <text x={px(make.legA / 2)} y={py(0) + 22}>A {sized(make.legA)}</text>
    <text x={px(make.legA - make.thick + make.legB / 2)} y={py(make.web) - 8}
      >B {sized(make.legB)}</text
    >
    <text transform="translate({px(make.legA) + 20} {py(make.web / 2)}) rotate(-90)"
      >{sized(make.web)}</text
    >
  {/if}
</svg>

<style>
  svg {
    max-width: 100%;
    max-height: 260px;
  }
  path {
    fill: none;
    stroke: var(--ink-soft);
    stroke-linecap: butt;
  }
  text {
    fill: var(--ink);
    font: 14px var(--face-figure);
    text-anchor: middle;
  }
</style>
