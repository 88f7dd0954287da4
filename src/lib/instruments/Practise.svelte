<script lang="ts">
  import type { Snippet } from 'svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';

  interface Props {
    /** What can be practised here, in a few words. */
    what: string;
    /** The simulated instrument's own buttons, while practising. */
    children: Snippet;
  }
  const { what, children }: Props = $props();
</script>

{#if shopStore.practice}
  {@render children()}
{:else}
  <Button
    quiet
    onclick={() => shopStore.startPractice()}
    title="On a copy of the shop: nothing of it is kept">Practise {what}</Button
  >
{/if}
