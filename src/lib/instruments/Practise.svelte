<script lang="ts">
  import type { Snippet } from 'svelte';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import Button from '$lib/ui/Button.svelte';

  interface Props {
    /** What can be practised here, in a few words. */
    what: string;
    /** The simulated instrument's own buttons, while practising. */
    children: Snippet;
  }
  const { what, children }: Props = $props();
</script>

{#if bench.practice}
  {@render children()}
{:else}
  <Button
    quiet
    onclick={() => bench.startPractice()}
    title="On a copy of the shop: nothing of it is kept">Practise {what}</Button
  >
{/if}
