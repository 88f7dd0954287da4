<script lang="ts">
  import { addShop } from '$core/merge/addShop.ts';
  import type { Shop } from '$core/model/types/types.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { shopStore } from '../shop/shopStore.svelte.ts';
  import { saveShop } from '../files/save.ts';
  import { toast } from '../shop/toasts.svelte.ts';

  interface Props {
    /** Name of the file and what was read from it. */
    file: string;
    shop: Shop;
    onclose: () => void;
  }
  const { file, shop, onclose }: Props = $props();
  const joined = $derived(addShop(shopStore.shop, shop));
  const nouns = {
    jobs: ['job', 'jobs'],
    machines: ['machine', 'machines'],
    parts: ['part', 'parts'],
    models: ['model', 'models'],
    plugs: ['plug of your own', 'plugs of your own'],
    ledger: ['line of the book', 'lines of the book'],
  } as const;
  type Lists = Record<keyof typeof nouns, readonly unknown[]>;
  const counted = (lists: Lists) =>
    (Object.keys(nouns) as (keyof typeof nouns)[])
      .filter((name) => lists[name].length > 0)
      .map((name) => `${lists[name].length} ${nouns[name][lists[name].length === 1 ? 0 : 1]}`)
      .join(', ');
  const order = Object.keys(nouns);
  const renamed = $derived(
    [...joined.renamed].sort((a, b) => order.indexOf(a.list) - order.indexOf(b.list)),
  );
  const comes = $derived(counted(joined.came));
  const goes = $derived(counted(shopStore.shop));
  const asked = $derived(
    joined.came.jobs.length > 0 ? joined.came.jobs.map((job) => job.name).join(', ') : shop.name,
  );

  async function add(): Promise<void> {
    await shopStore.edit(`added ${file}`, (now) => addShop(now, shop).shop);
    toast(`Added: ${comes}. Undo takes it out again.`);
    onclose();
  }
  async function replace(): Promise<void> {
    await shopStore.edit(`opened ${file}`, () => shop);
    toast(`Opened ${file}. Undo brings the shop before back.`);
    onclose();
  }
</script>

<Dialog title="Open {file}" wide {onclose}>
  <section>
    <h3>Add to {shopStore.shop.name}</h3>
    {#if comes}
      <p><b>{asked}</b>. What comes: {comes}.</p>
    {:else}
      <p>Everything in the file is here already.</p>
    {/if}
    {#if joined.same > 0}<p class="soft">
        {joined.same} already here, equal in everything: kept once.
      </p>{/if}
    {#if joined.renamed.length > 0}
      <p>These tags are taken here; what comes gets a new one, and its old label still finds it:</p>
      <ul class="renamed">
        {#each renamed as each (each.list + each.from)}
          <li><span class="figure">{each.from} → {each.to}</span> {each.name}</li>
        {/each}
      </ul>
    {/if}
    <Button next disabled={!comes} onclick={() => void add()}>Add</Button>
  </section>
  <section>
    <h3>Replace the shop</h3>
    <p>{goes ? `What goes: ${goes}. ` : ''}What comes: {counted(shop) || 'nothing'}.</p>
    <p class="row">
      <Button onclick={() => void replace()}>Replace</Button>
      {#if goes}<Button quiet onclick={() => saveShop(shopStore.shop)}
          >Export this shop first</Button
        >{/if}
    </p>
  </section>
</Dialog>

<style>
  section {
    padding: 8px 0 14px;
    border-bottom: 1px dashed var(--line);
  }
  h3 {
    margin: 0 0 4px;
  }
  p {
    margin: 4px 0 8px;
    overflow-wrap: anywhere;
  }
  .renamed {
    columns: 2;
    max-height: calc(24vh / var(--zoom, 1));
    overflow: auto;
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
    font-size: 14px;
  }
  .row {
    gap: 12px;
  }
</style>
