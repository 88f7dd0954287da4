<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLButtonAttributes } from 'svelte/elements';

  interface Props extends HTMLButtonAttributes {
    /** The next thing to do: one on a screen. */
    next?: boolean;
    /** Without a border, for lines of text. */
    quiet?: boolean;
    children: Snippet;
  }
  const { next = false, quiet = false, children, ...rest }: Props = $props();
</script>

<button type="button" class:next class:quiet {...rest}>{@render children()}</button>

<style>
  button {
    display: inline-flex;
    align-items: center;
    gap: 8px;
    min-height: var(--target);
    padding: 0 14px;
    border: 1.5px solid var(--ink);
    border-radius: 3px;
    background: transparent;
    color: var(--ink);
    font: 600 16px/1.1 var(--face-head);
  }
  button:hover:not(:disabled) {
    background: var(--paper-deep);
  }
  button[aria-pressed='true'],
  button[aria-pressed='true']:hover:not(:disabled) {
    background: var(--ink);
    color: var(--paper);
  }
  .next {
    background: var(--accent);
    border-color: var(--accent);
    color: var(--accent-on);
  }
  .next:hover:not(:disabled) {
    background: var(--accent);
    filter: brightness(1.06);
  }
  .quiet {
    border-color: transparent;
    text-decoration: underline;
    text-underline-offset: 3px;
    padding: 0 6px;
  }
  button:disabled {
    opacity: 0.5;
    cursor: default;
  }
</style>
