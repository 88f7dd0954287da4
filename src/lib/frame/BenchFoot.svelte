<script lang="ts">
  import { asset, resolve } from '$app/paths';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { exportShop, saveShop } from '$lib/files/save.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';

  /** The validator is large and seldom wanted: it is loaded with the first file. */
  async function openFile(file: File): Promise<void> {
    const { readFile } = await import('$lib/files/open.ts');
    await readFile(file);
  }
</script>

<p class="keep">
  <Button quiet onclick={() => void exportShop(shopStore.shop)}
    >Export the shop{shopStore.shop.photos.length > 0 ? ' with photos' : ''}</Button
  >
  {#if shopStore.shop.photos.length > 0}
    <Button quiet onclick={() => saveShop(shopStore.shop)}>without them</Button>
  {/if}
  <FilePick
    label="Open a shop file"
    accept=".json,.zip,application/json,application/zip"
    onfiles={([file]) => file && void openFile(file)}
  />
  <a href={resolve('/scan-sheet')}>Scan sheet</a>
  <a href={resolve('/labels')}>Labels</a>
  <a href={resolve('/book')}>The book</a>
  <a href={asset('/licences.txt')} target="_blank" rel="noopener">Licences</a>
  <Button quiet onclick={() => (uiState.dialog = 'keys')}>Keys</Button>
  {#if !shopStore.practice}
    <Button
      quiet
      title="On a copy of the shop: nothing of it is kept"
      onclick={() => shopStore.startPractice()}>Practise</Button
    >
  {/if}
  <a href={resolve('/settings')}>Settings</a>
</p>

<style>
  .keep {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    margin-top: 14px;
    padding-top: 8px;
    border-top: 1px solid var(--line);
    font-size: 15px;
  }
  .keep a {
    color: inherit;
  }
</style>
