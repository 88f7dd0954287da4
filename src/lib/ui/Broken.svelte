<script lang="ts">
  import { untrack } from 'svelte';
  import type { Snippet } from 'svelte';
  import Button from './Button.svelte';

  interface Props {
    /** What cannot be shown. */
    what: string;
    /** What stopped it, in the words of the fault. */
    why: string;
    /** Shows it again, once what stopped it may be gone. */
    reset?: () => void;
    /** Another value of this shows it again by itself. */
    resetOn?: string;
    /** More that can be done about it. */
    children?: Snippet;
  }
  const { what, why, reset, resetOn, children }: Props = $props();
  /* What it was when it broke. */
  const broke = untrack(() => resetOn);
  $effect(() => {
    if (resetOn !== broke) reset?.();
  });
</script>

<div class="broken" role="alert">
  <p><b>{what}</b> cannot be worked out: {why.slice(0, 200)}</p>
  <p class="row">
    {#if reset}<Button onclick={reset}>Try again</Button>{/if}
    {@render children?.()}
  </p>
</div>

<style>
  .broken {
    margin: 10px 0;
    padding: 8px 14px;
    border-left: 6px solid var(--stop);
    background: var(--tape);
    color: var(--ink);
    overflow-wrap: anywhere;
  }
  p {
    margin: 2px 0;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
