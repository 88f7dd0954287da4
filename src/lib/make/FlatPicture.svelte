<script lang="ts">
  import type { Measured } from '$core/photo/survey.ts';
  import { formatLength } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { within, type PhotoTable } from './photoTable.svelte.ts';

  /** The picture laid flat under what was measured in it; a tap, or Enter at the cross, measures there. */
  const { table }: { table: PhotoTable } = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  const laid = $derived(table.laid);
  const box = $derived(laid?.box ?? { x0: 0, y0: 0, x1: 1, y1: 1 });
  const [wide, high] = $derived([box.x1 - box.x0, box.y1 - box.y0]);
  let canvas = $state<HTMLCanvasElement>();
  let near = $state(1);
  let room = $state(700);
  /** px a unit of the picture as it is shown. */
  const scale = $derived(Math.min(room / wide, 520 / high) * near);
  /** The cross keys move, in units of the picture. */
  let cross = $state<{ x: number; y: number } | undefined>(undefined);

  $effect(() => {
    if (!laid || !canvas) return;
    canvas.width = laid.bitmap.width;
    canvas.height = laid.bitmap.height;
    canvas.getContext('2d')?.drawImage(laid.bitmap, 0, 0);
  });

  /** Units of the picture of a place on the screen; of a picture as taken: its pixels. */
  function place(event: PointerEvent | MouseEvent, target: Element) {
    const frame = target.getBoundingClientRect();
    return {
      x: box.x0 + ((event.clientX - frame.left) / frame.width) * wide,
      y: box.y0 + ((event.clientY - frame.top) / frame.height) * high,
    };
  }
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };
  function key(event: KeyboardEvent): void {
    const move = moves[event.key];
    const at = cross ?? { x: (box.x0 + box.x1) / 2, y: (box.y0 + box.y1) / 2 };
    if (move) {
      const by = (event.shiftKey ? 10 : 1) * (laid?.plain ? 5 : 1);
      cross = {
        x: Math.max(box.x0, Math.min(box.x1, at.x + move[0] * by)),
        y: Math.max(box.y0, Math.min(box.y1, at.y + move[1] * by)),
      };
    } else if (event.key === 'Enter' || event.key === ' ') void table.tap(at);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
  const letter = (i: number) => String.fromCharCode(65 + (i % 26));
  const sized = (mm: number) => formatLength(Math.round(mm * 100) / 100, lengths);
  const words = (each: Measured) =>
    each.is === 'rectangle'
      ? `${sized(each.width)} × ${sized(each.height)} ${within(each.within, lengths)}`
      : '';
  const px = (x: number) => (x - box.x0) * scale;
  const py = (y: number) => (y - box.y0) * scale;
</script>

<div class="around" bind:clientWidth={room}>
  <div class="scroll">
    <button
      type="button"
      class="picture"
      style:width="{wide * scale}px"
      style:height="{high * scale}px"
      aria-label="The picture{laid?.plain
        ? ' as taken'
        : ' laid flat'}: tap what is to be measured, or move the cross with the arrow keys and press Enter"
      onkeydown={key}
      onclick={(event) => {
        cross = undefined;
        void table.tap(place(event, event.currentTarget));
      }}
    >
      <canvas bind:this={canvas}></canvas>
      <svg width={wide * scale} height={high * scale} aria-hidden="true">
        {#if !laid?.plain}
          {#each table.list as each, i (i)}
            {#if each.is === 'hole'}
              <circle cx={px(each.x)} cy={py(each.y)} r={(each.mm / 2) * scale} />
              <path
                d="M{px(each.x) - 7} {py(each.y)}h14M{px(each.x)} {py(each.y) - 7}v14"
                class="fine"
              />
              <text x={px(each.x) + (each.mm / 2) * scale + 6} y={py(each.y) - 6}
                >{letter(i)} {words(each)}</text
              >
            {:else if each.is === 'edge'}
              <path
                d="M{px(each.x - each.dx * each.back)} {py(each.y - each.dy * each.back)}L{px(
                  each.x + each.dx * each.on,
                )} {py(each.y + each.dy * each.on)}"
              />
              <text x={px(each.x) + 8} y={py(each.y) - 8}>{letter(i)}</text>
            {:else}
              <path d="M{each.corners.map((at) => `${px(at.x)} ${py(at.y)}`).join('L')}Z" />
              <text x={px(each.corners[3]?.x ?? 0)} y={py(each.corners[3]?.y ?? 0) + 18}
                >{letter(i)} {words(each)}</text
              >
            {/if}
          {/each}
        {/if}
        {#each table.taps ?? [] as tap, i (i)}
          <circle cx={px(tap.u)} cy={py(tap.v)} r="6" />
        {/each}
        {#if cross}
          <path
            class="cross"
            d="M{px(cross.x) - 14} {py(cross.y)}h28M{px(cross.x)} {py(cross.y) - 14}v28"
          />
        {/if}
      </svg>
    </button>
  </div>
  <div class="near" role="group" aria-label="Closer">
    {#each [1, 2, 4] as times (times)}
      <button aria-pressed={near === times} onclick={() => (near = times)}>{times}×</button>
    {/each}
  </div>
</div>

<style>
  .around {
    min-width: 0;
  }
  .scroll {
    max-width: 100%;
    max-height: 560px;
    overflow: auto;
  }
  .picture {
    position: relative;
    display: block;
    padding: 0;
    border: 0;
    cursor: crosshair;
    background: var(--line);
  }
  canvas,
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  svg {
    pointer-events: none;
  }
  circle,
  path {
    fill: none;
    stroke: var(--accent);
    stroke-width: 2.5;
  }
  .fine {
    stroke-width: 1;
  }
  .cross {
    stroke: var(--ink);
  }
  text {
    fill: var(--ink);
    font: 600 14px var(--face-figure);
    stroke: var(--paper);
    stroke-width: 4px;
    paint-order: stroke;
  }
  .near {
    display: flex;
    gap: 4px;
    margin-top: 4px;
  }
  .near button {
    min-width: var(--target);
    min-height: var(--target);
    border: 1px solid var(--line);
    background: none;
    color: var(--ink-soft);
    font: 600 15px var(--face-head);
  }
  .near button[aria-pressed='true'] {
    border-color: var(--accent);
    color: var(--ink);
  }
</style>
