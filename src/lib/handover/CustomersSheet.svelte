<script lang="ts">
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Tick from '$lib/ui/Tick.svelte';
  import { paperOf, photosOn } from './paper.ts';
  import PaperSheet from './PaperSheet.svelte';

  const { view }: ViewProps = $props();
  const job = $derived(view.job);
  const photos = $derived(job ? photosOn(shopStore.shop, job) : []);
  let withPhotos = $state(true);
</script>

{#if job}
  {#if photos.length > 0}
    <Tick label="Photos on it" screenOnly bind:checked={withPhotos} />
  {/if}
  <PaperSheet
    paper={paperOf('customer', shopStore.shop, job, shopStore.now)}
    photos={withPhotos ? photos : []}
  />
{/if}
