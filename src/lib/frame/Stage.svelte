<script lang="ts">
  import type { Snippet } from 'svelte';
  import { uiState } from '$lib/shop/uiState.svelte.ts';

  interface Props {
    title: string;
    /** What the picture shows and from where. */
    subtitle?: string;
    /** Beside the heading. */
    tools?: Snippet;
    children: Snippet;
  }
  const { title, subtitle = '', tools, children }: Props = $props();
</script>

<main class="stage" id="stage" tabindex="-1">
  <header>
    <h1>{title}</h1>
    <p class="soft">{subtitle}</p>
    <span class="tools no-print">{@render tools?.()}</span>
    <button class="tape-button no-print" onclick={() => (uiState.tapeOpen = true)}>Tape</button>
  </header>
  {@render children()}
</main>

<style>
  .stage {
    min-height: 0;
    overflow-y: auto;
    padding: 14px 20px 20px;
    background: var(--paper);
    outline: none;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 12px;
    margin-bottom: 10px;
  }
  p {
    font-size: 15px;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 8px;
    margin-left: auto;
    /* Names of views are whole words. */
    overflow-wrap: normal;
  }
  .tape-button {
    display: none;
  }
  @media (max-width: 62.5em) {
    .tape-button {
      display: block;
      min-height: var(--target);
      padding: 0 14px;
      border: 1.5px solid var(--ink);
      background: var(--tape);
      font: 600 16px var(--face-head);
    }
  }
  @media (max-width: 37.5em) {
    .stage {
      padding: 10px 12px;
    }
    header {
      display: grid;
      grid-template-columns: auto minmax(0, 1fr) auto;
      align-items: center;
    }
    header p {
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .tape-button {
      grid-area: 1 / 3;
    }
    .tools {
      grid-column: 1 / -1;
      flex-wrap: nowrap;
      margin: 0;
      padding-bottom: 4px;
      overflow-x: auto;
      white-space: nowrap;
    }
    .tools > :global(*) {
      flex: none;
    }
  }
  @media print {
    .stage {
      overflow: visible;
      padding: 0;
    }
  }
</style>
