<script lang="ts">
  import type { Photo } from '$core/model/types/types.ts';
  import { addressOf } from './pictures.ts';

  interface Props {
    photo: Photo;
    /** What it shows, for those who do not see it. */
    label: string;
    small?: boolean;
  }
  const { photo, label, small = false }: Props = $props();
  const src = $derived(addressOf(photo.hash, small ? 'small' : 'blob'));
  /** Marks are drawn in shares of the picture, 1000 to its width. */
  const W = 1000;
  const h = $derived((W * photo.height) / photo.width);
</script>

<span class="picture">
  {#await src then address}
    {#if address}
      <img src={address} alt={label} width={photo.width} height={photo.height} loading="lazy" />
    {:else}
      <span class="missing">The picture is not in this browser: {label}</span>
    {/if}
  {/await}
  {#if photo.marks.length > 0}
    <svg viewBox="0 0 {W} {h}" aria-hidden="true">
      {#each photo.marks as mark, n (n)}
        {@const [x, y] = [mark.x * W, mark.y * h]}
        {@const [toX, toY] = [(mark.toX ?? mark.x) * W, (mark.toY ?? mark.y) * h]}
        {#if mark.sort === 'ring'}
          <circle cx={x} cy={y} r={Math.max(12, Math.hypot(toX - x, toY - y))} />
        {:else if mark.sort === 'arrow'}
          {@const at = Math.atan2(toY - y, toX - x)}
          <path
            d="M{toX} {toY}L{x} {y}M{x + 44 * Math.cos(at + 0.45)} {y +
              44 * Math.sin(at + 0.45)}L{x} {y}L{x + 44 * Math.cos(at - 0.45)} {y +
              44 * Math.sin(at - 0.45)}"
          />
        {/if}
        {#if mark.text}<text x={mark.sort === 'arrow' ? toX : x} y={mark.sort === 'arrow' ? toY : y}
            >{mark.text}</text
          >{/if}
      {/each}
    </svg>
  {/if}
</span>

<style>
  .picture {
    position: relative;
    display: block;
    width: 100%;
  }
  img {
    display: block;
    width: 100%;
    height: auto;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    overflow: visible;
    pointer-events: none;
  }
  circle,
  path {
    fill: none;
    stroke: var(--accent);
    stroke-width: 9;
    stroke-linecap: round;
    paint-order: stroke;
    filter: drop-shadow(0 0 3px #fff);
  }
  text {
    fill: #1f1206;
    stroke: #fff;
    stroke-width: 10;
    paint-order: stroke;
    font: 600 40px var(--face-head);
  }
  .missing {
    display: block;
    padding: 8px;
    border: 1px dashed var(--line);
    font-size: 13px;
    color: var(--ink-soft);
  }
</style>
