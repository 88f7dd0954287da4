<script lang="ts">
  import Papa from 'papaparse';
  import { addList, dropList } from '$core/edits/listEdits.ts';
  import { readPriceList, type ListFault } from '$core/intake/priceList.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import FilePick from '$lib/ui/FilePick.svelte';

  const MOST_BYTES = 5_000_000;
  let faults = $state.raw<ListFault[]>([]);
  /** Price lists laid in, by the name of their file, with how many parts. */
  const lists = $derived(
    shopStore.shop.parts.reduce((found, part) => {
      if (part.place === 'buy' && part.where)
        found.set(part.where, (found.get(part.where) ?? 0) + 1);
      return found;
    }, new Map<string, number>()),
  );

  async function open(file: File): Promise<void> {
    if (file.size > MOST_BYTES) {
      faults = [{ line: 0, say: 'The list is larger than 5 MB. Nothing was changed.' }];
      return;
    }
    const { data } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), {
      skipEmptyLines: 'greedy',
    });
    const source = file.name.replace(/\.[^.]*$/, '').slice(0, 60) || 'list';
    const { currency } = shopStore.shop.settings;
    const read = readPriceList(data, { source, currency, at: shopStore.now });
    faults = read.faults;
    if (read.parts.length === 0) return;
    shopStore.edit(`price list ${source}`, addList(source, read.parts));
    toast(`${read.parts.length} parts of “${source}” stand to be bought.`);
  }
</script>

<div class="lists">
  <FilePick
    label="Import price list (CSV)"
    accept=".csv,.tsv,.txt,text/csv"
    onfiles={([file]) => file && void open(file)}
  />
  {#each lists as [name, count] (name)}
    <span
      >{name}, {count}
      <button
        onclick={() => shopStore.edit(`price list ${name} out`, dropList(name))}
        aria-label="Take the list {name} out">out</button
      ></span
    >
  {/each}
</div>
{#if faults.length > 0}
  <div class="faults" role="alert">
    <p>{faults.length} {faults.length === 1 ? 'line was' : 'lines were'} left out or cut short:</p>
    <ul>
      {#each faults.slice(0, 6) as fault (`${fault.line} ${fault.say}`)}
        <li>{fault.line > 0 ? `line ${fault.line}: ` : ''}{fault.say}</li>
      {/each}
      {#if faults.length > 6}<li>and {faults.length - 6} more</li>{/if}
    </ul>
    <button onclick={() => (faults = [])}>Seen</button>
  </div>
{/if}

<style>
  .lists {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    align-items: center;
    font-size: 14px;
    color: var(--ink-soft);
  }
  button {
    min-height: 30px;
    border: 0;
    background: none;
    color: var(--ink);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .faults {
    padding: 6px 12px;
    border-left: 6px solid var(--stop);
    background: var(--stop-wash);
    font-size: 15px;
  }
  .faults ul {
    margin: 2px 0;
  }
</style>
