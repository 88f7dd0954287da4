<script lang="ts">
  import { addShop } from '$core/merge/addShop.ts';
  import type { Shop } from '$core/model/types/types.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { shopStore } from '../shop/shopStore.svelte.ts';
  import { sameContent } from '$core/shop/items.ts';
  import { exportShop } from '../files/save.ts';
  import { uiState } from '../shop/uiState.svelte.ts';
  import { toast } from '../shop/toasts.svelte.ts';
  import { undoable } from '../shop/undoable.ts';

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
    photos: ['photo', 'photos'],
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

  /** A copy of this very shop, edited at another bench: what merging would make of both. */
  const merging = (async () => {
    const { shop: own, versions } = await shopStore.copy();
    if (!versions || shop.versions?.line !== versions.line) return undefined;
    const { mergeCopies } = await import('$core/merge/merge.ts');
    const { questionsOf } = await import('$core/merge/questions.ts');
    const copy = mergeCopies({ shop: own, versions }, { shop, versions: shop.versions });
    const changed = Object.fromEntries(
      Object.keys(nouns).map((name) => {
        const list = name as keyof typeof nouns;
        const known = new Map(own[list].map((each) => [each.id, each]));
        const fresh = (copy.shop[list] as { id: string }[]).filter(
          (each) => !sameContent(known.get(each.id), each),
        );
        return [list, fresh];
      }),
    ) as unknown as Lists;
    const tags = Object.entries(copy.versions.records).flatMap(([key, { tag }]) => {
      const [list = '', id = ''] = key.split('/', 2);
      const known = own[list as 'parts']?.some((each) => each.id === id);
      return tag === undefined || known ? [] : [{ from: tag, to: id, list }];
    });
    const gone = Object.keys(nouns).reduce((sum, name) => {
      const list = name as keyof typeof nouns;
      const here = new Set((copy.shop[list] as { id: string }[]).map(({ id }) => id));
      return sum + own[list].filter(({ id }) => !here.has(id)).length;
    }, 0);
    return {
      what: counted(changed),
      gone,
      tags,
      asks: questionsOf(copy).length,
      head: !sameContent([own.name, own.settings], [copy.shop.name, copy.shop.settings]),
    };
  })().catch(() => undefined);

  async function merge(tags: readonly { to: string; list: string }[]): Promise<void> {
    try {
      await shopStore.merge(`merged ${file}`, shop);
    } catch (error) {
      toast((error as Error).message, 'stop');
      return;
    }
    undoable(`Merged with ${file}.`);
    if (tags.length > 0) {
      uiState.labelsOf = tags.flatMap(({ to, list }) => (list === 'parts' ? [to] : []));
    }
    onclose();
  }
  async function add(): Promise<void> {
    await shopStore.edit(`added ${file}`, (now) => addShop(now, shop).shop);
    toast(`Added: ${comes}. Undo takes it out again.`);
    onclose();
  }
  async function replace(): Promise<void> {
    await shopStore.open(`opened ${file}`, shop);
    toast(`Opened ${file}. Undo brings the shop before back.`);
    onclose();
  }
</script>

<Dialog title="Open {file}" wide {onclose}>
  {#await merging then merged}
    {#if merged}
      {@const { what, gone, tags, asks, head } = merged}
      <section>
        <h3>Merge with this shop</h3>
        <p>
          It is a copy of this shop that was worked on elsewhere. Different things both stay; of one
          thing written twice both values are kept until you choose.
        </p>
        {#if what || gone > 0 || head || asks > 0}
          <p>
            {what ? `New or changed here: ${what}. ` : ''}{gone > 0
              ? `Deleted there: ${gone}. `
              : ''}{head ? 'Name or settings change. ' : ''}{asks > 0
              ? `${asks} ${asks === 1 ? 'question' : 'questions'} to answer afterwards.`
              : 'Nothing to choose.'}
          </p>
        {:else}
          <p>Everything in it is known here already.</p>
        {/if}
        {#if tags.length > 0}
          <p>Given twice, so these get a letter; print new labels, the old ones still find them:</p>
          <ul class="renamed">
            {#each tags as each (each.list + each.to)}
              <li><span class="figure">{each.from} → {each.to}</span></li>
            {/each}
          </ul>
        {/if}
        <Button next onclick={() => void merge(tags)}>Merge</Button>
      </section>
    {:else}
      {@render adding()}
    {/if}
  {/await}
  <section>
    <h3>Replace the shop</h3>
    <p>{goes ? `What goes: ${goes}. ` : ''}What comes: {counted(shop) || 'nothing'}.</p>
    <p class="row">
      <Button onclick={() => void replace()}>Replace</Button>
      {#if goes}<Button quiet onclick={() => void exportShop(false)}>Export this shop first</Button
        >{/if}
    </p>
  </section>
</Dialog>

{#snippet adding()}
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
{/snippet}

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
</style>
