<script lang="ts">
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { paperOf, photosOn } from './paper.ts';
  import PaperSheet from './PaperSheet.svelte';

  const { view }: ViewProps = $props();
  const job = $derived(view.job);
</script>

{#if job}
  <PaperSheet
    paper={paperOf('shop', shopStore.shop, job, shopStore.now)}
    photos={photosOn(shopStore.shop, job)}
  />
{/if}
