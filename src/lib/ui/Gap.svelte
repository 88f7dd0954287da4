<script lang="ts">
  import type { Finding } from '$core/findings/finding.ts';
  import { gapShape } from './gapShape.ts';

  interface Props {
    finding: Pick<Finding, 'terms' | 'margin' | 'mark'>;
    /** Size of the drawing in px. */
    width?: number;
    height?: number;
  }
  const { finding, width = 60, height = 14 }: Props = $props();
  const shape = $derived(gapShape(finding));
  const inner = $derived(width - 4);
</script>

{#if shape}
  <svg class="gap {finding.mark}" {width} {height} aria-hidden="true">
    {#each shape.blocks as block, i (i)}
      <rect
        class="block"
        class:open={block.open}
        x={2 + block.x * inner + (i ? 0.5 : 0)}
        y="1"
        width={Math.max(0.5, block.width * inner - 1)}
        height={height - 4}
      />
    {/each}
    {#if shape.rest.over}
      <rect
        class="over"
        x={2 + shape.room * inner}
        y="1"
        width={shape.rest.width * inner}
        height={height - 4}
      />
    {:else if shape.mostX > shape.rest.x}
      <rect
        class="may"
        x={2 + shape.rest.x * inner}
        y="2"
        width={(shape.mostX - shape.rest.x) * inner}
        height={height - 6}
      />
    {/if}
    <path class="slot" d="M1 0v{height - 1}h{shape.room * inner + 2}v{-(height - 1)}" />
  </svg>
{/if}

<style>
  .gap {
    display: block;
    flex: none;
    overflow: visible;
    --c: var(--clear);
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
  .slot {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .block {
    fill: var(--c);
    opacity: 0.72;
  }
  .block.open {
    opacity: 0.4;
  }
  .over {
    fill: var(--c);
  }
  .may {
    fill: none;
    stroke: var(--c);
    stroke-dasharray: 3 2;
  }
</style>
