<script lang="ts">
  import { untrack } from 'svelte';
  import Papa from 'papaparse';
  import { addAdapter } from '$core/edits/plugEdits.ts';
  import { addWants } from '$core/shop/items.ts';
  import { adapterJson, adapterSvg, wiringTable } from '$core/export/adapter.ts';
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { listAt, partOfKind, textAt } from '$core/model/lookup/plan.ts';
  import {
    alarms as alarmWords,
    endName,
    needOf,
    railsWanted,
    shopping,
  } from '$core/plugs/adapter/index.ts';
  import { needsOf } from '$core/plugs/needs.ts';
  import type { Plug } from '$core/standards/plugs/index.ts';
  import { lengthWithUnit } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveFile } from '$lib/files/save.ts';
  import { AdapterSearch } from '$lib/plugs/adapterSearch.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import AdapterPicture from './AdapterPicture.svelte';
  import AdapterSheets from './AdapterSheets.svelte';
  import PlugSelect from './PlugSelect.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { plan, view, onclose }: ViewProps = $props();

  /** To begin with: the supply's main plug, and what of the board it does not reach as it is. */
  function begin(): { gives: string[]; takes: string[] } {
    const [supply, board] = [partOfKind(plan, 'supply'), partOfKind(plan, 'board')];
    const give = supply && textAt(plan, supply, 'mainPlug')?.text;
    const take = board && textAt(plan, board, 'mainPlug')?.text;
    const processor = board && textAt(plan, board, 'processorPlug')?.text;
    const brings = (supply && listAt(plan, supply, 'plugs')?.items) ?? [];
    const extra = processor && processor !== 'none' && !brings.includes(processor);
    return {
      gives: give ? [give] : [],
      takes: [...(take ? [take] : []), ...(extra ? [processor] : [])],
    };
  }
  const first = begin();
  let gives = $state(first.gives);
  let takes = $state(first.takes);
  let needs = $state<Record<string, number>[]>([]);
  let fill = $state<'all' | 'enough'>('all');
  let alarms = $state<'satisfy' | 'silence'>('satisfy');
  let lengthMm = $state(150);
  let lit = $state<number | undefined>();
  const joining = new AdapterSearch();
  const plugsOf = (ids: string[]): Plug[] => ids.flatMap((id) => plugIn(shopStore.shop, id) ?? []);
  const spec = $derived({
    gives: plugsOf(gives),
    takes: plugsOf(takes),
    needs: needsOf(plan, plugsOf(takes)).map((known, k) => ({
      ...known,
      ...$state.snapshot(needs[k]),
    })),
    fill,
    alarms,
    lengthMm,
  });
  $effect(() => {
    const asked = spec;
    if (asked.gives.length > 0 && asked.takes.length > 0) untrack(() => void joining.ask(asked));
  });
  $effect(() => () => joining.close());
  const recipe = $derived(
    spec.gives.length > 0 && spec.takes.length > 0 ? joining.recipe : undefined,
  );
  /** Only a board that watches for something asks how to answer it. */
  const watched = $derived(spec.takes.some((plug) => plug.pins.some((pin) => pin in alarmWords)));
  const possible = $derived(recipe !== undefined && recipe.impossible.length === 0);

  function set(list: 'gives' | 'takes', at: number, id: string | undefined): void {
    const next = [...(list === 'gives' ? gives : takes)];
    if (id === undefined) next.splice(at, 1);
    else next[at] = id;
    if (list === 'gives') gives = next;
    else takes = next;
  }

  function need(k: number, rail: string, value: number | null): void {
    const own = { ...needs[k] };
    if (value === null || Number.isNaN(value)) delete own[rail];
    else own[rail] = value;
    needs[k] = own;
  }

  function finish(): void {
    if (!recipe || !view.job) return;
    shopStore.edit('adapter onto the shelf', addAdapter(recipe, view.job.id, shopStore.now));
    toast(
      'The adapter is a part now, not proved yet. Take its continuity sheet, then its live sheet.',
    );
  }

  function list(): void {
    const job = view.job;
    if (!recipe || !job) return;
    const lengths = shopStore.shop.settings.unit;
    const lines = shopping(recipe).map(({ what, count, unit }) =>
      unit ? { what: `${what}, ${lengthWithUnit(count, lengths)}`, count: 1 } : { what, count },
    );
    const fresh = lines.filter((line) => !job.wants.some((want) => want.what === line.what));
    void shopStore.edit('adapter parts onto the list', addWants(job.id, lines));
    toast(`${fresh.length} lines onto the shopping list.`);
  }

  const csv = () =>
    recipe &&
    saveFile('adapter.csv', Papa.unparse(wiringTable(recipe), { newline: '\r\n' }), 'text/csv');
  const save = () => recipe && saveFile('adapter.json', adapterJson(recipe), 'application/json');
  const svg = () => recipe && saveFile('adapter.svg', adapterSvg(recipe), 'image/svg+xml');
  const proven = $derived(recipe && recipe.cost - recipe.bound < 0.01);
</script>

{#snippet plugRow(side: 'gives' | 'takes', ids: string[], label: string)}
  <div class="row">
    {#each ids as id, i (i)}
      <span class="pick">
        <PlugSelect
          label={i === 0 ? label : 'and'}
          value={id}
          onpick={(next) => set(side, i, next)}
        />
        {#if ids.length > 1}<Button quiet onclick={() => set(side, i, undefined)}>out</Button>{/if}
      </span>
    {/each}
    {#if ids.length < 4}
      <Button quiet onclick={() => set(side, ids.length, side === 'gives' ? 'drive4' : 'cpu4')}
        >{ids.length === 0 ? label : 'one more'}</Button
      >
    {/if}
  </div>
{/snippet}

<div class="adapter">
  <div class="no-print choose">
    <div class="row sides">
      {@render plugRow('gives', gives, 'from the PSU')}
      {@render plugRow('takes', takes, 'to feed')}
    </div>
    <div class="row">
      {#each spec.takes as plug, k (k)}
        {#each railsWanted( { ...spec, takes: [plug] } ).filter((each) => each !== '-12V') as rail (rail)}
          <TextField
            short
            label={`${rail}${spec.takes.length > 1 ? ` ${'PQRS'[k]}` : ''}, A`}
            inputmode="decimal"
            value={needs[k]?.[rail] ?? ''}
            placeholder={String(needOf(spec, k, rail))}
            onchange={(event) =>
              need(
                k,
                rail,
                event.currentTarget.value.trim() === ''
                  ? null
                  : Number(event.currentTarget.value.replace(',', '.')),
              )}
          />
        {/each}
      {/each}
      <MeasureField
        label="wire length"
        unit="mm"
        lengths={shopStore.shop.settings.unit}
        value={{ lo: lengthMm, hi: lengthMm }}
        most={3000}
        onmeasure={(value) => (lengthMm = value)}
      />
      <Select
        label="contacts"
        options={[
          { value: 'all', words: 'fill every one' },
          { value: 'enough', words: 'as few as carry it' },
        ]}
        bind:value={fill}
      />
      {#if watched}
        <Select
          label="alarms"
          options={[
            { value: 'satisfy', words: 'satisfy: tie the pin' },
            { value: 'silence', words: 'silence in the firmware' },
          ]}
          bind:value={alarms}
        />
      {/if}
    </div>
  </div>
  <Fault text={joining.fault} />
  {#if recipe}
    {#each recipe.impossible as each, i (i)}
      <p role="alert">
        <Mark mark="stop" word size={20} />
        {each.end ? `${endName(each.end)}: ` : ''}{each.say}
      </p>
    {/each}
    {#if recipe.wires.length > 0}
      <AdapterPicture {recipe} {lit} onwire={(n) => (lit = n)} />
      <p aria-live="polite">
        {recipe.wires.length} wires, {recipe.splices} splices{recipe.converters.length > 0
          ? `, ${recipe.converters.length} converters`
          : ''}: about {Math.round(recipe.cost)} min.
        {proven
          ? 'No wiring costs less.'
          : `Nothing below ${Math.round(recipe.bound)} min is possible.`}
        {recipe.bundle.loaded} loaded wires in the bundle: each carries {Math.round(
          recipe.bundle.share * 100,
        )} % of its amps.{recipe.rounds > 0 ? ' Wired again because contacts share unevenly.' : ''}
      </p>
      {#if possible}
        <p class="row no-print">
          <Button next onclick={finish}>Onto the shelf</Button>
          <Button onclick={list}>Parts onto the list</Button>
          <Button onclick={csv}>CSV</Button>
          <Button onclick={save}>JSON</Button>
          <Button onclick={svg}>SVG</Button>
          <Button onclick={() => window.print()}>Print</Button>
          <Button onclick={onclose}>Back to the sums</Button>
        </p>
      {/if}
      <AdapterSheets {recipe} {lit} onwire={(n) => (lit = n)} />
    {/if}
  {:else if !joining.fault}
    <h2>Which plug gives, which takes?</h2>
  {/if}
  {#if !possible}<p class="no-print"><Button onclick={onclose}>Back to the sums</Button></p>{/if}
</div>

<style>
  .adapter {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  .choose {
    display: flex;
    flex-direction: column;
    gap: 6px;
  }
  .sides {
    gap: 6px 40px;
  }
  .pick {
    display: flex;
    align-items: end;
  }
</style>
