<script lang="ts">
  import type { Snippet } from 'svelte';
  import X from '@lucide/svelte/icons/x';

  interface Props {
    title: string;
    onclose: () => void;
    /** Wide enough for two columns. */
    wide?: boolean;
    children: Snippet;
  }
  const { title, onclose, wide = false, children }: Props = $props();

  /** Opens as a modal and keeps focus inside; Escape closes. */
  function modal(element: HTMLDialogElement) {
    element.showModal();
    return () => element.close();
  }
</script>

<dialog class:wide aria-label={title} {onclose} {@attach modal}>
  <header>
    <h2>{title}</h2>
    <button type="button" onclick={onclose} aria-label="Close"><X size={20} /></button>
  </header>
  <div class="body">{@render children()}</div>
</dialog>

<style>
  dialog {
    width: min(560px, 94vw);
    max-height: calc(92vh / var(--zoom, 1));
    padding: 0;
    border: 2px solid var(--ink);
    background: var(--paper);
    color: var(--ink);
    box-shadow: 0 12px 40px rgb(0 0 0 / 40%);
  }
  .wide {
    width: min(860px, 94vw);
  }
  dialog::backdrop {
    background: rgb(20 30 34 / 55%);
  }
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    padding: 8px 8px 8px 20px;
    border-bottom: 1px solid var(--line);
  }
  header button {
    display: grid;
    place-items: center;
    width: var(--target);
    height: var(--target);
    border: 0;
    background: none;
  }
  .body {
    padding: 16px 20px 20px;
  }
</style>
