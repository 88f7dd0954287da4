<script lang="ts">
  import { asset, resolve } from '$app/paths';
  import { editSettings } from '$core/edits/edits.ts';
  import type { Settings } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveShop } from '$lib/shop/files.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Field from '$lib/ui/Field.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';

  /** The validator is large and seldom wanted: it is loaded with the first file. */
  async function openFile(file: File): Promise<void> {
    const { readFile } = await import('$lib/shop/openFile.ts');
    await readFile(file);
  }

  const set = (label: string, fields: Partial<Settings>) =>
    shopStore.edit(label, editSettings(fields));
</script>

<p class="keep">
  <Button quiet onclick={() => saveShop(shopStore.shop)}>Export the shop</Button>
  <FilePick
    label="Open a shop file"
    accept=".json,application/json"
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
  <Field label="Lengths"
    ><select
      value={shopStore.shop.settings.unit}
      onchange={(event) =>
        set('unit of length', { unit: event.currentTarget.value as Settings['unit'] })}
    >
      <option value="mm">mm</option><option value="in">inches</option>
    </select></Field
  >
  <Field label="Light"
    ><select
      value={shopStore.shop.settings.theme}
      onchange={(event) => set('light', { theme: event.currentTarget.value as Settings['theme'] })}
    >
      <option value="auto">as the machine</option><option value="light">bright bench</option><option
        value="dark">evening</option
      >
    </select></Field
  >
  <Field label="Mains"
    ><select
      value={String(shopStore.shop.settings.mains ?? 230)}
      onchange={(event) =>
        set('mains volts', { mains: event.currentTarget.value === '115' ? 115 : 230 })}
    >
      <option value="230">230 V</option><option value="115">115 V</option>
    </select></Field
  >
  <Field label="Headroom"
    ><select
      value={String(shopStore.shop.settings.headroom)}
      onchange={(event) => set('headroom', { headroom: Number(event.currentTarget.value) })}
    >
      {#each [0, 0.1, 0.2, 0.3, 0.5, 1] as share (share)}<option value={String(share)}
          >{Math.round(share * 100)} %</option
        >{/each}
    </select></Field
  >
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
  select {
    height: 36px;
    border-bottom: 1.5px solid var(--ink);
  }
  .keep a {
    color: inherit;
  }
</style>
