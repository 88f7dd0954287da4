<script lang="ts">
  import RotateCw from '@lucide/svelte/icons/rotate-cw';
  import type { At } from '$core/photo/plane.ts';
  import type { Measured, MeasuredEdge } from '$core/photo/measured.ts';
  import { turnedBy } from '$core/photo/use.ts';
  import { formatLength } from '$core/units/length.ts';
  import Button from '$lib/ui/Button.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { within, type PhotoTable } from './photoTable.svelte.ts';

  /** The picture laid flat under what was measured in it; a tap, or Enter at the cross, measures there. */
  const { table }: { table: PhotoTable } = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  const laid = $derived(table.laid);
  const box = $derived(laid?.box ?? { x0: 0, y0: 0, x1: 1, y1: 1 });
  const [long, tall] = $derived([box.x1 - box.x0, box.y1 - box.y0]);
  const upright = $derived(table.turn % 2 === 0);
  /** As it is looked at, turned. */
  const [wide, high] = $derived(upright ? [long, tall] : [tall, long]);
  let canvas = $state<HTMLCanvasElement>();
  let near = $state(1);
  let room = $state(700);
  /** px a unit of the picture as it is shown. */
  const scale = $derived(Math.min(room / wide, 520 / high) * near);
  /** The cross keys move, in units of the picture from its upper left as it is turned. */
  let cross = $state<{ x: number; y: number } | undefined>(undefined);

  $effect(() => {
    if (!laid || !canvas) return;
    const { bitmap } = laid;
    canvas.width = upright ? bitmap.width : bitmap.height;
    canvas.height = upright ? bitmap.height : bitmap.width;
    const context = canvas.getContext('2d');
    context?.translate(canvas.width / 2, canvas.height / 2);
    context?.rotate((table.turn * Math.PI) / 2);
    context?.drawImage(bitmap, -bitmap.width / 2, -bitmap.height / 2);
  });

  /** A place of the picture by where it is seen; of a picture as taken: its pixels. */
  function placeOf(seen: At): At {
    const about = turnedBy({ x: seen.x - wide / 2, y: seen.y - high / 2 }, 4 - table.turn);
    return { x: about.x + (box.x0 + box.x1) / 2, y: about.y + (box.y0 + box.y1) / 2 };
  }
  function seenAt(event: PointerEvent | MouseEvent, target: Element): At {
    const frame = target.getBoundingClientRect();
    return {
      x: ((event.clientX - frame.left) / frame.width) * wide,
      y: ((event.clientY - frame.top) / frame.height) * high,
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
    const at = cross ?? { x: wide / 2, y: high / 2 };
    if (move) {
      const by = (event.shiftKey ? 10 : 1) * (laid?.plain ? 5 : 1);
      cross = {
        x: Math.max(0, Math.min(wide, at.x + move[0] * by)),
        y: Math.max(0, Math.min(high, at.y + move[1] * by)),
      };
    } else if (event.key === 'Enter' || event.key === ' ') void table.tap(placeOf(at));
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
  const along = ({ x, y, dx, dy }: MeasuredEdge, by: number): At => ({
    x: x + dx * by,
    y: y + dy * by,
  });
  const letter = (i: number) => String.fromCharCode(65 + (i % 26));
  const sized = (mm: number) => formatLength(Math.round(mm * 100) / 100, lengths);
  const words = (each: Measured) =>
    each.is === 'rectangle'
      ? `${sized(each.width)} × ${sized(each.height)} ${within(each.within, lengths)}`
      : '';
  /** Where a place of the picture is seen, px. */
  function px(at: At): At {
    const about = turnedBy(
      { x: at.x - (box.x0 + box.x1) / 2, y: at.y - (box.y0 + box.y1) / 2 },
      table.turn,
    );
    return { x: (about.x + wide / 2) * scale, y: (about.y + high / 2) * scale };
  }
  const point = (at: At) => `${px(at).x} ${px(at).y}`;
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
        void table.tap(placeOf(seenAt(event, event.currentTarget)));
      }}
    >
      <canvas bind:this={canvas}></canvas>
      <svg width={wide * scale} height={high * scale} aria-hidden="true">
        {#if !laid?.plain}
          {#each table.list as each, i (i)}
            {#if each.is === 'hole'}
              {@const { x, y } = px(each)}
              <circle cx={x} cy={y} r={(each.mm / 2) * scale} />
              <path d="M{x - 7} {y}h14M{x} {y - 7}v14" class="fine" />
              <text x={x + (each.mm / 2) * scale + 6} y={y - 6}>{letter(i)} {words(each)}</text>
            {:else if each.is === 'edge'}
              <path d="M{point(along(each, -each.back))}L{point(along(each, each.on))}" />
              <text x={px(each).x + 8} y={px(each).y - 8}>{letter(i)}</text>
            {:else}
              {@const seen = each.corners.map(px)}
              <path d="M{each.corners.map(point).join('L')}Z" />
              <text
                x={Math.min(...seen.map(({ x }) => x))}
                y={Math.max(...seen.map(({ y }) => y)) + 18}>{letter(i)} {words(each)}</text
              >
            {/if}
          {/each}
        {/if}
        {#each table.taps ?? [] as tap, i (i)}
          {@const { x, y } = px({ x: tap.u, y: tap.v })}
          <circle cx={x} cy={y} r="6" />
        {/each}
        {#if cross}
          <path
            class="cross"
            d="M{cross.x * scale - 14} {cross.y * scale}h28M{cross.x * scale} {cross.y * scale -
              14}v28"
          />
        {/if}
      </svg>
    </button>
  </div>
  <div class="row mid">
    <Tabs
      label="Closer"
      options={[1, 2, 4].map((times) => ({ value: times, words: `${times}×` }))}
      value={near}
      onpick={(times) => (near = times)}
    />
    <Button
      quiet
      aria-label="Turn the picture a quarter"
      onclick={() => {
        cross = undefined;
        table.turnOn();
      }}><RotateCw size={20} aria-hidden="true" /> Turn</Button
    >
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
</style>
