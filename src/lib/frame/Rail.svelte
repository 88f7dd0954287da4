<script lang="ts">
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import type { StationId } from '$core/findings/finding.ts';
  import type { Counts } from '$core/plan/run.ts';
  import Printer from '@lucide/svelte/icons/printer';
  import Redo from '@lucide/svelte/icons/redo-2';
  import CircleHelp from '@lucide/svelte/icons/circle-question-mark';
  import Settings from '@lucide/svelte/icons/settings';
  import Undo from '@lucide/svelte/icons/undo-2';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { undo } from '../entry/lit.ts';
  import Mark from '../ui/Mark.svelte';
  import { stations } from './stations.ts';

  interface Props {
    /** The station on the stage; undefined on the bench. */
    current: StationId | undefined;
    jobId: string | undefined;
    counts: Partial<Record<StationId, Counts>>;
    /** Stations with something to say; the others are folded. */
    live: readonly StationId[];
  }
  const { current, jobId, counts, live }: Props = $props();
  const marks = ['stop', 'mend', 'watch'] as const;
  /** On a phone the stations stand in one row: the current one is rolled into sight. */
  let rail = $state<HTMLElement>();
  /* A text, so that an edit that leaves it as it is does not lay the page out again. */
  const standing = $derived(`${current} ${jobId} ${live.join()}`);
  $effect(() => {
    if (standing === '' || !rail) return;
    const roll = () =>
      rail?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' });
    roll();
    /* Counts and the typeface come later and push the row aside. */
    const watch = new ResizeObserver(roll);
    for (const item of rail.children) watch.observe(item);
    return () => watch.disconnect();
  });
  const isAt = (path: string) => (page.url.pathname === path ? 'page' : undefined);
</script>

<nav class="rail" aria-label="Stations" bind:this={rail}>
  <a class="item" href={resolve('/')} aria-current={isAt(resolve('/'))}>
    <span class="digit">·</span><span class="name">Bench</span>
  </a>
  <a class="item" href={resolve('/shelf')} aria-current={isAt(resolve('/shelf'))}>
    <span class="digit">s</span><span class="name">Shelf</span>
  </a>
  {#if !jobId}
    <a class="item" href={resolve('/week')} aria-current={isAt(resolve('/week'))}>
      <span class="digit">w</span><span class="name">Week</span>
    </a>
    <a class="item folded" href={resolve('/book')} aria-current={isAt(resolve('/book'))}>
      <span class="digit"></span><span class="name">The book</span>
    </a>
    <a class="item folded" href={resolve('/labels')} aria-current={isAt(resolve('/labels'))}>
      <span class="digit"></span><span class="name">Labels</span>
    </a>
  {/if}
  {#each stations as station (station.id)}
    {@const folded = !live.includes(station.id) && current !== station.id}
    {@const here = counts[station.id]}
    {#if jobId}
      <a
        class="item"
        class:folded
        href={resolve('/job/[id]/[station]', { id: jobId, station: station.id })}
        aria-current={current === station.id ? 'page' : undefined}
      >
        <span class="digit">{station.digit}</span>
        <span class="name">{station.name}</span>
        <span class="counts">
          {#each marks as mark (mark)}
            {#if here?.[mark]}
              <span class="count">
                <Mark {mark} size={16} mat={current !== station.id} /><b class="figure"
                  >{here[mark]}</b
                >
              </span>
            {/if}
          {/each}
        </span>
      </a>
    {/if}
  {/each}
  <span class="back">
    <a title="Settings" aria-label="Settings" href={resolve('/settings')}><Settings size={20} /></a>
    <button title="Print (p)" aria-label="Print" onclick={() => (uiState.dialog = 'print')}
      ><Printer size={20} /></button
    >
    <button title="Help (?)" aria-label="Help" onclick={() => (uiState.dialog = 'keys')}
      ><CircleHelp size={20} /></button
    >
    <button title="Undo (u)" aria-label="Undo" onclick={() => void undo()}
      ><Undo size={20} /></button
    >
    <button title="Redo (U)" aria-label="Redo" onclick={() => void shopStore.redo()}
      ><Redo size={20} /></button
    >
  </span>
</nav>

<style>
  .rail {
    display: flex;
    flex-direction: column;
    padding-top: 10px;
    background: var(--mat);
    color: var(--mat-ink);
    overflow: hidden auto;
  }
  .item {
    display: grid;
    /* Names stay whole; many counts go on in the next line. */
    grid-template-columns: 14px max-content minmax(0, 1fr);
    gap: 6px;
    align-items: center;
    min-height: 50px;
    padding: 0 6px 0 10px;
    border-left: 5px solid transparent;
    color: inherit;
    text-decoration: none;
    font: 500 17px/1.1 var(--face-head);
  }
  a.item:hover {
    background: var(--mat-deep);
  }
  .folded {
    min-height: 28px;
    font-size: 15px;
    color: var(--mat-soft);
  }
  .digit {
    font: 13px var(--face-figure);
    color: var(--mat-soft);
  }
  [aria-current] {
    background: var(--paper);
    color: var(--ink);
    border-left-color: var(--accent);
  }
  a.item[aria-current]:hover {
    background: var(--paper);
  }
  [aria-current] .digit {
    color: var(--ink-soft);
  }
  .counts {
    display: flex;
    flex-wrap: wrap;
    gap: 3px;
    justify-content: flex-end;
  }
  .count {
    display: flex;
    align-items: center;
    gap: 1px;
    font-size: 14px;
  }
  .count b {
    font-weight: 500;
  }
  .back {
    display: grid;
    grid-template-columns: repeat(6, 1fr);
    gap: 4px;
    margin-top: auto;
    padding: 8px 10px;
  }
  .back button,
  .back a {
    display: grid;
    grid-column: span 2;
    place-items: center;
    height: 44px;
    border: 1px solid var(--mat-soft);
    background: none;
    color: var(--mat-ink);
  }
  .back > :nth-child(n + 4) {
    grid-column: span 3;
  }
  .back button:hover,
  .back a:hover {
    background: var(--mat-deep);
  }
  @media (max-width: 62.5em) {
    .back {
      display: flex;
      flex-direction: column;
    }
    .back button,
    .back a {
      flex: none;
      min-width: 44px;
    }
    .item {
      grid-template-columns: 14px 1fr;
      padding: 4px 4px 4px 8px;
      font-size: 15px;
    }
    .counts {
      grid-column: 2;
    }
    .counts:empty {
      display: none;
    }
  }
  @media (max-width: 37.5em) {
    .rail {
      flex-direction: row;
      padding: 0;
      overflow: auto hidden;
    }
    .item,
    .folded {
      display: flex;
      min-height: 56px;
      padding: 0 10px;
      border-left: 0;
      border-top: 4px solid transparent;
      white-space: nowrap;
    }
    .back {
      flex-flow: row nowrap;
      margin: 0 0 0 auto;
      padding: 8px 6px;
    }
    [aria-current] {
      border-top-color: var(--accent);
    }
  }
</style>
