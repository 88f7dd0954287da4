<script lang="ts">
  import type { Snippet } from 'svelte';
  import { uiState } from '$lib/shop/uiState.svelte.ts';

  interface Props {
    title: string;
    /** Right of the title: the date, or how many sums stand elsewhere. */
    aside?: string;
    children: Snippet;
  }
  const { title, aside = '', children }: Props = $props();
</script>

<aside class="tape" class:open={uiState.tapeOpen} aria-label="Tape">
  <header>
    <h2>Tape · {title}</h2>
    <span class="figure">{aside}</span>
    <button class="close" onclick={() => (uiState.tapeOpen = false)}>Close the tape</button>
  </header>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (a scrolling region must be reachable by keyboard) -->
  <div class="roll" tabindex="0" role="region" aria-label="Sums">
    {@render children()}
  </div>
</aside>

<style>
  .tape {
    display: flex;
    flex-direction: column;
    min-height: 0;
    background: var(--tape);
    box-shadow: -2px 0 0 rgb(0 0 0 / 12%);
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 8px;
    margin: 0 14px;
    padding: 16px 0 8px;
    border-bottom: 2px solid var(--ink);
  }
  header span {
    font-size: 14px;
    color: var(--ink-soft);
  }
  h2 {
    font-size: 18px;
  }
  .roll {
    overflow-y: auto;
    flex: 1;
    min-height: 0;
  }
  .close {
    display: none;
  }
  @media (max-width: 62.5em) {
    .tape {
      position: fixed;
      z-index: 20;
      top: 0;
      right: 0;
      bottom: 0;
      width: min(320px, 88vw);
      display: none;
    }
    .tape.open {
      display: flex;
    }
    .close {
      display: block;
      min-height: var(--target);
      border: 1px solid var(--line);
      background: none;
    }
  }
  @media print {
    .tape {
      display: none;
    }
    :global(.with-tape) .tape {
      position: static;
      display: block;
      width: auto;
      break-before: page;
      box-shadow: none;
    }
    .roll {
      overflow: visible;
    }
    /* Remedies are read on paper, not pressed. */
    .roll :global(button) {
      border: 0;
      background: none;
      text-decoration: none;
    }
  }
</style>
