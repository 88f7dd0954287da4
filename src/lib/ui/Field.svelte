<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** What is asked for. */
    label: string;
    /** What is wrong with what stands in it; empty: nothing. */
    fault?: string | undefined;
    /** A box to tick: it stands before its label. */
    check?: boolean;
    /** Takes what is left of its row. */
    wide?: boolean;
    /** Holds a short figure. */
    short?: boolean;
    /** Its label is read aloud, not seen: the place says what it is. */
    unseen?: boolean;
    /** Not on paper. */
    screenOnly?: boolean;
    /** The control itself: an input, a select, a textarea. */
    children: Snippet;
  }
  const {
    label,
    fault = '',
    check = false,
    wide = false,
    short = false,
    unseen = false,
    screenOnly = false,
    children,
  }: Props = $props();
</script>

{#snippet words()}
  {#if unseen}<span class="visually-hidden">{label}</span>{:else}{label}{/if}
{/snippet}

<span class="field" class:check class:wide class:short class:no-print={screenOnly}>
  <label>
    {#if check}{@render children()}{@render words()}{:else}{@render words()}{@render children()}{/if}
  </label>
  {#if fault}<span class="fault" role="alert">{fault}</span>{/if}
</span>

<style>
  .field {
    display: inline-grid;
    align-content: start;
    min-width: 0;
  }
  .wide {
    display: grid;
    flex: 1 1 250px;
  }
  label {
    display: grid;
    font-size: 14px;
    color: var(--ink-soft);
  }
  .check label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: var(--target);
    font-size: 16px;
    color: var(--ink);
  }
  .fault {
    max-width: 260px;
    font-size: 13.5px;
  }
  label > :global(*) {
    min-width: 0;
    font-size: 16px;
    color: var(--ink);
  }
  .short label > :global(input) {
    width: 88px;
    font-family: var(--face-figure);
  }
  label > :global(:is(input, select, textarea)[aria-invalid='true']) {
    border-color: var(--stop);
  }
</style>
