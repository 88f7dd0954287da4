<script lang="ts">
  import type { Leaving } from '$core/edits/shelfEdits.ts';
  import {
    filterShelf,
    kindsThere,
    shelfRows,
    sortShelf,
    type ShelfFilter,
    type ShelfRow,
    type ShelfSort,
  } from '$core/quick/shelf.ts';
  import { conditions, type Condition, type Kind } from '$core/model/types/types.ts';
  import { parseMoney } from '$core/units/money.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import LongList from '$lib/ui/LongList.svelte';
  import ChosenParts from './ChosenParts.svelte';
  import AddPart from './AddPart.svelte';
  import Leftovers from './Leftovers.svelte';
  import LeavingDialog from './LeavingDialog.svelte';
  import ShelfLine from './ShelfLine.svelte';

  const shop = $derived(shopStore.shop);
  const { currency } = $derived(shopStore.shop.settings);
  let text = $state('');
  let kind = $state<Kind | ''>('');
  let condition = $state<Condition | ''>('');
  let where = $state<ShelfFilter['where']>('free');
  let most = $state('');
  let unwanted = $state(false);
  let by = $state<ShelfSort>('tag');
  let down = $state(false);
  let chosen = $state.raw<ReadonlySet<string>>(new Set());
  let lastChosen = $state<string | undefined>(undefined);
  let editing = $state<string | undefined>(undefined);
  let adding = $state(false);
  let becoming = $state(false);
  let leaving = $state<Leaving | undefined>(undefined);

  /* What each part is found by is put together before the first key, not on it. */
  $effect(() => {
    const parts = shopStore.shop;
    const warm = setTimeout(() => void filterShelf(parts, [], { text: '-', where: 'all' }), 300);
    return () => clearTimeout(warm);
  });
  const rows = $derived(shelfRows(shop));
  const mostMinor = $derived(most.trim() === '' ? undefined : parseMoney(most, currency)?.minor);
  const sorted = $derived(sortShelf(rows, by, down));
  const list = $derived(
    filterShelf(shop, sorted, {
      text,
      where,
      kind: kind || undefined,
      condition: condition || undefined,
      most: mostMinor,
      unwanted,
    }),
  );
  const kindList = $derived(kindsThere(rows));
  /** What is chosen and still there. */
  const picked = $derived([...chosen].filter((id) => rows.some(({ part }) => part.id === id)));
  const photoOf = $derived(
    new Map(shop.photos.flatMap((photo) => (photo.partId ? [[photo.partId, photo]] : []))),
  );

  function sortBy(next: ShelfSort): void {
    if (by === next) down = !down;
    else [by, down] = [next, false];
  }
  const sortWord = (which: ShelfSort) =>
    by === which ? (down ? 'descending' : 'ascending') : 'none';

  function choose(row: ShelfRow, event: MouseEvent & { currentTarget: HTMLInputElement }): void {
    const on = event.currentTarget.checked;
    const next = new Set(chosen);
    const from = list.findIndex(({ part }) => part.id === lastChosen);
    const to = list.indexOf(row);
    const range =
      event.shiftKey && from >= 0 ? list.slice(Math.min(from, to), Math.max(from, to) + 1) : [row];
    for (const { part } of range) {
      if (on) next.add(part.id);
      else next.delete(part.id);
    }
    chosen = next;
    lastChosen = row.part.id;
  }
  const allChosen = $derived(list.length > 0 && list.every(({ part }) => chosen.has(part.id)));
  function chooseAll(): void {
    chosen = allChosen ? new Set() : new Set(list.map(({ part }) => part.id));
  }

  const headers = [
    ['tag', 'Tag'],
    ['name', 'What'],
    ['place', 'Where'],
    ['condition', 'Condition'],
    ['price', 'Price'],
    ['age', 'Since'],
  ] as const;
</script>

<Stage title="Shelf" subtitle="{list.length} of {rows.length} parts">
  {#snippet tools()}
    <Button onclick={() => (becoming = true)}>What could it become?</Button>
    <Button next onclick={() => (adding = true)}>Add a part</Button>
    <Button onclick={() => window.print()}>Print</Button>
  {/snippet}
  <div class="filters no-print">
    <TextField
      wide
      label="Search"
      bind:value={text}
      placeholder="fan 92 · ddr4 8 · a tag"
      maxlength={120}
    />
    <Select
      label="Where"
      options={[
        { value: 'free', words: 'free' },
        { value: 'shelf', words: 'on the shelf' },
        { value: 'donor', words: 'in donors' },
        { value: 'machine', words: 'in machines' },
        { value: 'buy', words: 'to buy' },
        { value: 'gone', words: 'gone' },
        { value: 'all', words: 'everywhere' },
      ]}
      bind:value={where}
    />
    <Select
      label="Kind"
      options={kindList.map((each) => ({ value: each.kind, words: `${each.name}, ${each.count}` }))}
      none="all"
      bind:value={kind}
    />
    <Select label="Condition" options={conditions} none="any" bind:value={condition} />
    <TextField
      short
      label="At most"
      fault={most.trim() !== '' && mostMinor === undefined ? '12.50' : ''}
      bind:value={most}
      inputmode="decimal"
      maxlength={12}
    />
    <Tick label="promised to nobody" bind:checked={unwanted} />
  </div>
  {#if picked.length > 0}
    <ChosenParts {picked} onleave={(how) => (leaving = how)} onnone={() => (chosen = new Set())} />
  {/if}
  <div class="table" role="table" aria-label="Parts" aria-rowcount={list.length}>
    <div class="head" role="row">
      <span role="columnheader"
        ><input
          type="checkbox"
          aria-label="Choose all {list.length}"
          checked={allChosen}
          onchange={chooseAll}
        /></span
      >
      {#each headers as [id, name] (id)}
        <span role="columnheader" aria-sort={sortWord(id)} class={id}>
          <button onclick={() => sortBy(id)}>{name}{by === id ? (down ? ' ↓' : ' ↑') : ''}</button>
        </span>
      {/each}
      <span role="columnheader" class="bound">Promised</span>
      <span role="columnheader"><span class="visually-hidden">Edit</span></span>
    </div>
    <LongList items={list} label="Parts" role="rowgroup" rowPx={48} heightPx={480}>
      {#snippet row(each, y)}
        <ShelfLine
          row={each}
          {y}
          photo={photoOf.get(each.part.id)}
          chosen={chosen.has(each.part.id)}
          editing={editing === each.part.id}
          onchoose={(event) => choose(each, event)}
          onedit={() => (editing = editing === each.part.id ? undefined : each.part.id)}
        />
      {/snippet}
    </LongList>
  </div>
  {#if list.length === 0}
    <p>
      Nothing here{text ? ` is called ${text}` : ''}. {rows.length > 0
        ? 'Look everywhere, or add it.'
        : 'Add a part, or paste an inventory on the bench.'}
    </p>
  {/if}
</Stage>
<Tape title="Shelf">
  <dl class="sum">
    {#each kindList as each (each.kind)}
      <div>
        <dt>{each.name}</dt>
        <dd class="figure">{each.count}</dd>
      </div>
    {/each}
  </dl>
  <p class="hint">
    Choose several with their boxes, a whole stretch with Shift. What is in a machine is moved by
    its job. Everything done here can be undone.
  </p>
</Tape>

{#if adding}
  <AddPart
    onclose={() => (adding = false)}
    onadded={(id) => {
      adding = false;
      text = id;
      where = 'all';
    }}
  />
{/if}
{#if becoming}<Leftovers onclose={() => (becoming = false)} />{/if}
{#if leaving}
  <LeavingDialog
    parts={picked}
    how={leaving}
    onclose={() => (leaving = undefined)}
    ondone={() => (chosen = new Set())}
  />
{/if}

<style>
  .filters {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 8px 14px;
    margin-bottom: 10px;
  }
  .table {
    --columns: 30px 78px minmax(0, 2fr) minmax(70px, 1fr) 104px 76px 96px minmax(0, 1fr) 46px;
  }
  .head {
    display: grid;
    grid-template-columns: var(--columns);
    gap: 8px;
    align-items: center;
    height: 40px;
    padding: 0 6px;
    border-bottom: 2px solid var(--ink);
    font: 600 15px var(--face-head);
  }
  .head span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .head button {
    min-height: 38px;
    padding: 0;
    border: 0;
    background: none;
    font: inherit;
    color: inherit;
  }
  .price {
    padding-right: 8px;
    text-align: right;
  }
  input[type='checkbox'] {
    width: 24px;
    height: 24px;
  }
  .sum {
    margin: 10px 19px;
    font-size: 15px;
  }
  .sum div {
    display: flex;
    justify-content: space-between;
  }
  .sum dd {
    margin: 0;
  }
  .hint {
    padding: 12px 19px;
    font-size: 15px;
  }
  @media (max-width: 62.5em) {
    .table {
      --columns: 30px 66px minmax(0, 2fr) minmax(0, 1fr) 70px 46px;
    }
    .age,
    .bound,
    .condition {
      display: none;
    }
  }
  @media (max-width: 37.5em) {
    .table {
      --columns: 30px 60px minmax(0, 1fr) 62px 44px;
    }
    .place {
      display: none;
    }
  }
</style>
