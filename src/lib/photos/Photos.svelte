<script lang="ts">
  import { photosAt, type PhotoPlace } from '$core/shop/photos.ts';
  import type { Photo } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { dateText } from '$lib/ui/dates.ts';
  import FilePick from '$lib/ui/FilePick.svelte';
  import { addFiles, picturesIn } from './photoWork.ts';
  import Picture from './Picture.svelte';

  interface Props {
    place: PhotoPlace;
    /** What is photographed: "the machine", "step: lid off". */
    of: string;
    when?: Photo['when'];
    /** Say at a step what the picture is wanted for. */
    label?: string;
  }
  const { place, of, when, label = 'Add a photo' }: Props = $props();
  const photos = $derived(
    photosAt(shopStore.shop, place).filter((photo) => when === undefined || photo.when === when),
  );
  /** Hundreds at once would hold the page still: they are hung up a few at a time. */
  const AT_ONCE = 24;
  let hung = $state(AT_ONCE);
  $effect(() => {
    if (hung >= photos.length) return;
    const next = setTimeout(() => (hung += AT_ONCE), 30);
    return () => clearTimeout(next);
  });
  let busy = $state(false);
  let over = $state(false);

  async function add(files: readonly File[]): Promise<void> {
    if (files.length === 0) return;
    busy = true;
    try {
      await addFiles(files, place, when);
    } finally {
      busy = false;
    }
  }
  function dropped(event: DragEvent): void {
    over = false;
    const files = picturesIn(event.dataTransfer);
    if (files.length === 0) return;
    event.preventDefault();
    void add(files);
  }
  let own = $state<HTMLElement>();
  /** A picture pasted while nothing that takes text has the focus goes to the first place of the page. */
  function pasted(event: ClipboardEvent): void {
    const at = event.target instanceof Element ? event.target : document.body;
    const meant = at.closest('.photos') ?? document.querySelector('.photos');
    if (meant !== own || (!own?.contains(at) && at.matches('input, textarea, select'))) return;
    void add(picturesIn(event.clipboardData));
  }
  const titleOf = (photo: Photo) =>
    `${photo.note || `photo of ${of}`}, ${dateText(photo.at, 'dayTime')}`;
</script>

<svelte:window onpaste={pasted} />
<div
  bind:this={own}
  class="photos"
  class:over
  role="group"
  aria-label="Photos of {of}"
  ondragover={(event) => {
    if (![...(event.dataTransfer?.items ?? [])].some(({ kind }) => kind === 'file')) return;
    event.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={dropped}
>
  {#each photos.slice(0, hung) as photo (photo.id)}
    <button onclick={() => (uiState.photo = photo.id)} aria-label={titleOf(photo)}>
      <Picture {photo} label={titleOf(photo)} small />
      {#if photo.when && when === undefined}<small>{photo.when}</small>{/if}
    </button>
  {/each}
  <span class="add no-print">
    <FilePick
      label={busy ? 'Making it ready …' : label}
      accept="image/*"
      multiple
      onfiles={(files) => void add(files)}
    />
  </span>
</div>

<style>
  .photos {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 10px;
    margin: 4px 0;
  }
  .over {
    outline: 3px dashed var(--accent);
    outline-offset: 2px;
  }
  button {
    position: relative;
    width: 96px;
    max-height: 96px;
    padding: 0;
    overflow: hidden;
    border: 1px solid var(--line);
    background: var(--tape);
  }
  small {
    position: absolute;
    left: 0;
    bottom: 0;
    padding: 0 5px;
    background: var(--paper);
    font-size: 12.5px;
  }
</style>
