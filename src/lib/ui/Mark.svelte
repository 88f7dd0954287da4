<script lang="ts">
  import type { Mark } from '$core/findings/finding.ts';

  interface Props {
    mark: Mark;
    /** Side of the drawing in px. */
    size?: number;
    /** Show the word beside the shape; else the word is for screen readers only. */
    word?: boolean;
    /** On the mat, in the brighter colours. */
    mat?: boolean;
  }
  const { mark, size = 18, word = false, mat = false }: Props = $props();
  const words: Record<Mark, string> = {
    stop: 'Stop',
    mend: 'Mend',
    watch: 'Watch',
    clear: 'Clear',
  };
</script>

<span class="mark {mark}" class:mat>
  <svg width={size} height={size} viewBox="0 0 16 16" aria-hidden="true">
    {#if mark === 'stop'}
      <path class="slot" d="M3.5 6v8h9V6" />
      <rect class="block" x="0.5" y="3" width="15" height="6" />
    {:else if mark === 'mend'}
      <path class="slot" d="M2 3v11h8" />
      <rect class="block light" x="4.5" y="6" width="5" height="5.5" />
      <rect class="block" x="12" y="2" width="3" height="12" />
    {:else if mark === 'watch'}
      <path class="slot" d="M1.5 3v11h13V3" />
      <rect class="dashed" x="2.5" y="5" width="11" height="7.5" />
    {:else}
      <path class="slot" d="M1.5 3v11h13V3" />
      <rect class="block" x="5" y="5" width="6" height="6" />
    {/if}
  </svg>
  <span class:visually-hidden={!word}>{words[mark]}</span>
</span>

<style>
  .mark {
    flex: none;
    white-space: nowrap;
    position: relative;
    display: inline-flex;
    align-items: center;
    gap: 6px;
    font: 600 15px/1 var(--face-head);
    text-transform: uppercase;
    letter-spacing: 0.02em;
    --c: var(--clear);
    color: var(--c);
  }
  .stop {
    --c: var(--stop);
  }
  .mend {
    --c: var(--mend);
  }
  .watch {
    --c: var(--watch);
  }
  .mat.stop {
    --c: var(--stop-mat);
  }
  .mat.mend {
    --c: var(--mend-mat);
  }
  .mat.watch {
    --c: var(--watch-mat);
  }
  .mat.clear {
    --c: var(--clear-mat);
  }
  svg {
    flex: none;
  }
  .slot {
    fill: none;
    stroke: var(--c);
    stroke-width: 1.8;
  }
  .block {
    fill: var(--c);
  }
  .light {
    opacity: 0.55;
  }
  .dashed {
    fill: none;
    stroke: var(--c);
    stroke-width: 1.8;
    stroke-dasharray: 2.4 1.6;
  }
</style>
