<script lang="ts">
  import { asset, resolve } from '$app/paths';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { exportShop } from '$lib/files/save.ts';
  import { keptState } from '$lib/files/kept.svelte.ts';
  import { dateText } from '$lib/ui/dates.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';

  let sharedWith = $state<string | undefined>(undefined);
  let sharing = $state(false);
  $effect(() => {
    void import('$lib/files/shared.ts').then(async ({ canShare, sharedName }) => {
      sharing = canShare();
      if (sharing) sharedWith = await sharedName();
    });
  });
  async function shared(): Promise<void> {
    const { chooseShared, mergeShared } = await import('$lib/files/shared.ts');
    sharedWith ??= await chooseShared();
    if (sharedWith !== undefined) await mergeShared();
  }

  /** The validator is large and seldom wanted: it is loaded with the first file. */
  async function openFile(file: File): Promise<void> {
    const { readFile } = await import('$lib/files/open.ts');
    await readFile(file);
  }
</script>

<p class="kept">
  Last copy outside this browser: {keptState.value.exported
    ? dateText(keptState.value.exported, 'dayTime')
    : 'none yet'}
</p>
<p class="keep">
  <Button quiet onclick={() => void exportShop()}
    >Export the shop{shopStore.shop.photos.length > 0 ? ' with photos' : ''}</Button
  >
  {#if shopStore.shop.photos.length > 0}
    <Button quiet onclick={() => void exportShop(false)}>without them</Button>
  {/if}
  <Button quiet onclick={async () => (await import('$lib/files/exports.ts')).exportCards()}
    >Model cards</Button
  >
  <FilePick
    label="Open a file"
    accept=".json,.zip,application/json,application/zip"
    onfiles={([file]) => file && void openFile(file)}
  />
  {#if sharing}
    <Button quiet onclick={() => void shared()}
      >{sharedWith ? `Merge with ${sharedWith}` : 'Share a file with other benches'}</Button
    >
  {/if}
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
  .kept {
    margin: 14px 0 0;
    font-size: 14.5px;
    color: var(--ink-soft);
  }
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
