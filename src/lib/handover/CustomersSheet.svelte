<script lang="ts">
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Field from '$lib/ui/Field.svelte';
  import { paperOf, photosOn } from './paper.ts';
  import PaperSheet from './PaperSheet.svelte';

  const { view }: ViewProps = $props();
  const job = $derived(view.job);
  const photos = $derived(job ? photosOn(shopStore.shop, job) : []);
  let withPhotos = $state(true);
</script>

{#if job}
  {#if photos.length > 0}
    <Field label="Photos on it" check screenOnly
      ><input type="checkbox" bind:checked={withPhotos} /></Field
    >
  {/if}
  <PaperSheet
    paper={paperOf('customer', shopStore.shop, job, shopStore.now)}
    photos={withPhotos ? photos : []}
  />
{/if}
