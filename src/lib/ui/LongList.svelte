<script lang="ts" generics="T">
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { untrack, type Snippet } from 'svelte';

  interface Props {
    items: readonly T[];
    /** What the list holds, for those who hear the page. */
    label: string;
    /** Px of one row and of the list. */
    rowPx: number;
    heightPx: number;
    /** A row, `rowPx` high, moved down by `y` px. */
    row: Snippet<[item: T, y: number]>;
    /** Inside a table its rows are a group. */
    role?: 'region' | 'rowgroup';
  }
  const { items, label, rowPx, heightPx, row, role = 'region' }: Props = $props();
  let scroller = $state<HTMLDivElement>();

  const rows = createVirtualizer<HTMLDivElement, HTMLDivElement>({
    count: 0,
    getScrollElement: () => scroller ?? null,
    estimateSize: () => rowPx,
    overscan: 8,
  });
  $effect(() => {
    const options = { count: items.length, getScrollElement: () => scroller ?? null };
    untrack(() => $rows.setOptions(options));
  });
</script>

<!-- Only the rows in sight are drawn: a shelf may hold ten thousand. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex (a scrolling region must be reachable by keyboard) -->
<div
  class="list"
  style:height="{heightPx}px"
  bind:this={scroller}
  tabindex="0"
  {role}
  aria-label={label}
>
  <svg class="spacer" width="1" height={$rows.getTotalSize()} aria-hidden="true"></svg>
  {#each $rows.getVirtualItems() as item (item.index)}
    {@const held = items[item.index]}
    {#if held !== undefined}{@render row(held, item.start)}{/if}
  {/each}
</div>

<style>
  .list {
    position: relative;
    overflow-y: auto;
    border-top: 1px solid var(--line);
    border-bottom: 1px solid var(--line);
  }
  .spacer {
    display: block;
  }
</style>
