<script lang="ts">
  import { scaleLinear } from 'd3';
  import { format } from 'date-fns';
  import { addItems, dropItem } from '$core/shop/items.ts';
  import type { Reading, ReadingKind } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { view }: { view: JobView } = $props();
  const kindWords: Record<ReadingKind, { label: string; unit: string; most: number }> = {
    temperatureC: { label: 'processor', unit: '°C', most: 110 },
    wallW: { label: 'at the wall', unit: 'W', most: 400 },
    clockMhz: { label: 'clock', unit: 'MHz', most: 6000 },
  };
  let kind = $state<ReadingKind>('temperatureC');
  let when = $state<'before' | 'after'>('before');
  let load = $state<Reading['load']>('full load');
  let value = $state('');
  let fault = $state('');
  const readings = $derived(view.job?.readings ?? []);

  const rows = $derived(
    (Object.keys(kindWords) as ReadingKind[]).flatMap((each) => {
      const of = (at: 'before' | 'after') =>
        readings.filter((one) => one.kind === each && one.when === at).at(-1);
      const [before, after] = [of('before'), of('after')];
      if (!before && !after) return [];
      const most = Math.max(kindWords[each].most, before?.value ?? 0, after?.value ?? 0);
      return [
        {
          kind: each,
          before,
          after,
          x: scaleLinear([0, most], [0, 520]),
          same: before && after && before.load === after.load,
        },
      ];
    }),
  );

  function add(): void {
    const number = Number(value.replace(',', '.'));
    const { most, unit } = kindWords[kind];
    if (value.trim() === '' || !Number.isFinite(number) || number < -40)
      fault = 'A number, please.';
    else if (number > most * 2) fault = `${value} ${unit} cannot be meant.`;
    else {
      fault = '';
      if (view.job) {
        const reading: Reading = { kind, when, load, value: number, at: new Date().toISOString() };
        void shopStore.edit('a reading', addItems(view.job.id, 'readings', [reading]));
      }
      value = '';
    }
  }
</script>

<h2>Single readings</h2>

{#each rows as row (row.kind)}
  {@const words = kindWords[row.kind]}
  <section>
    <h2>{words.label}</h2>
    <svg
      viewBox="0 0 660 66"
      role="img"
      aria-label="{words.label}: before {row.before?.value ?? 'not read'}, after {row.after
        ?.value ?? 'not read'} {words.unit}"
    >
      {#if row.before}<rect
          class="before"
          x="2"
          y="4"
          width={row.x(row.before.value)}
          height="22"
        /><text x={row.x(row.before.value) + 10} y="21"
          >{row.before.value} {words.unit} before, {row.before.load}</text
        >{/if}
      {#if row.after}<rect
          class="after"
          x="2"
          y="34"
          width={row.x(row.after.value)}
          height="22"
        /><text x={row.x(row.after.value) + 10} y="51"
          >{row.after.value} {words.unit} after, {row.after.load}</text
        >{/if}
      {#if row.before && row.after}
        <rect
          class="gap"
          x={2 + row.x(Math.min(row.before.value, row.after.value))}
          y="30"
          width={Math.abs(row.x(row.before.value) - row.x(row.after.value))}
          height="4"
        />
      {/if}
      <path class="slot" d="M1 0v62" />
    </svg>
    {#if row.before && row.after}
      <p>
        {row.same
          ? `${Math.abs(row.before.value - row.after.value)} ${row.kind === 'temperatureC' ? 'K' : words.unit} ${row.after.value < row.before.value ? 'less' : 'more'}, at the same load.`
          : `Before was ${row.before.load}, after ${row.after.load}: not the same load, so the difference proves nothing.`}
        {#if row.same && (view.job?.changes.length ?? 0) > 1}Several things were changed between the
          two: the difference belongs to none of them alone.{/if}
      </p>
    {:else}
      <p class="soft">
        {row.before
          ? 'The after reading comes when the lid is on.'
          : 'No before reading: there is nothing to compare with.'}
      </p>
    {/if}
  </section>
{:else}
  <p class="soft">
    No single readings. Before the first screw: temperature, speed, watts at the wall.
  </p>
{/each}
<form
  class="no-print"
  onsubmit={(event) => {
    event.preventDefault();
    add();
  }}
>
  <Field label="What"
    ><select bind:value={kind}
      ><option value="temperatureC">CPU, °C</option><option value="wallW">at the wall, W</option
      ><option value="clockMhz">clock, MHz</option></select
    ></Field
  >
  <Field label="When"
    ><select bind:value={when}><option>before</option><option>after</option></select></Field
  >
  <Field label="Load"
    ><select bind:value={load}
      ><option>full load</option><option>until settled</option><option>real use</option><option
        >idle</option
      ></select
    ></Field
  >
  <Field label="Figure"><input bind:value inputmode="decimal" aria-invalid={fault !== ''} /></Field>
  <Button type="submit">Keep it</Button>
  <Fault text={fault} />
</form>
{#if readings.length > 0}
  <ul class="soft">
    {#each readings as reading, i (i)}
      <li>
        <span class="figure">{format(new Date(reading.at), 'd MMM HH:mm')}</span>
        {kindWords[reading.kind].label}
        {reading.value}
        {kindWords[reading.kind].unit}, {reading.when}, {reading.load}
        <button
          onclick={() =>
            view.job &&
            shopStore.edit('reading dropped', dropItem(view.job.id, 'readings', reading))}
          >Drop</button
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  section {
    margin-bottom: 14px;
  }
  svg {
    width: 100%;
    max-width: 720px;
    margin-top: 4px;
  }
  .before {
    fill: var(--part-goes);
    stroke: var(--ink);
    stroke-dasharray: 4 3;
  }
  .after {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
  .gap {
    fill: var(--accent);
  }
  .slot {
    stroke: var(--ink);
    stroke-width: 3;
  }
  text {
    font: 14px var(--face-figure);
    fill: var(--ink);
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: flex-end;
    margin: 14px 0;
  }
  input {
    width: 110px;
    font: 18px var(--face-figure);
    text-align: right;
  }
  ul {
    padding: 0;
    list-style: none;
    font-size: 15px;
  }
  li button {
    min-height: 30px;
    border: 0;
    background: none;
    text-decoration: underline;
    color: inherit;
  }
</style>
