<script lang="ts">
  import Photos from '$lib/photos/Photos.svelte';
  import { dateText } from '$lib/ui/dates.ts';
  import { scaleLinear } from 'd3';
  import { addItems, dropItem } from '$core/shop/items.ts';
  import {
    namedKinds,
    readingKinds,
    type Reading,
    type ReadingKind,
  } from '$core/model/types/readings.ts';
  import { trim } from '$core/units/length.ts';
  import { comparedReadings, readingFault } from '$core/heat/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { fromUnitOf, labelled, say } from '$lib/shop/units.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { view }: { view: JobView } = $props();
  const kindNames = Object.keys(readingKinds) as ReadingKind[];
  let kind = $state<ReadingKind>('temperatureC');
  let when = $state<'before' | 'after'>('before');
  let load = $state<Reading['load']>('full load');
  let value = $state('');
  let name = $state('');
  let fault = $state('');
  const readings = $derived(view.job?.readings ?? []);

  const rows = $derived(
    comparedReadings(readings, view.job?.changes.length ?? 0).map((row) => {
      const figures = [row.before?.value ?? 0, row.after?.value ?? 0];
      const most = Math.max(readingKinds[row.kind].most, ...figures);
      return { ...row, x: scaleLinear([0, most], [0, 440]) };
    }),
  );

  const figure = ({ kind: of, value: read }: Reading) =>
    say(`${trim(read, 2)} ${readingKinds[of].unit}`.trim());

  function add(): void {
    const number =
      value.trim() === ''
        ? NaN
        : fromUnitOf(readingKinds[kind].unit, Number(value.replace(',', '.')));
    const wrong = readingFault(kind, number, name);
    fault = say(wrong ?? '');
    if (wrong !== undefined || !view.job) return;
    const reading: Reading = {
      kind,
      when,
      load,
      value: number,
      at: new Date().toISOString(),
      ...(namedKinds.includes(kind) && { name: name.trim() }),
    };
    void shopStore.edit('a reading', addItems(view.job.id, 'readings', [reading]));
    value = '';
  }
</script>

<h2>Single readings</h2>

{#each rows as row (row.kind + (row.name ?? ''))}
  {@const words = readingKinds[row.kind]}
  <section>
    <h2>{words.label}{row.name ? `: ${row.name}` : ''}</h2>
    <svg
      viewBox="0 0 660 66"
      role="img"
      aria-label="{words.label}: before {row.before
        ? figure(row.before)
        : 'not read'}, after {row.after ? figure(row.after) : 'not read'}"
    >
      {#if row.before}<rect
          class="before"
          x="2"
          y="4"
          width={row.x(row.before.value)}
          height="22"
        /><text x={row.x(row.before.value) + 10} y="21"
          >{figure(row.before)} before, {row.before.load}</text
        >{/if}
      {#if row.after}<rect
          class="after"
          x="2"
          y="34"
          width={row.x(row.after.value)}
          height="22"
        /><text x={row.x(row.after.value) + 10} y="51"
          >{figure(row.after)} after, {row.after.load}</text
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
    <p class:soft={!row.before || !row.after}>{say(row.say)}</p>
    {#if row.aim}<p class:over={row.aim.over}>{say(row.aim.say)}</p>{/if}
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
  <Select
    label="What"
    options={kindNames.map((each) => ({
      value: each,
      words: `${readingKinds[each].label}${
        readingKinds[each].unit ? labelled(`, ${readingKinds[each].unit}`) : ''
      }`,
    }))}
    bind:value={kind}
  />
  {#if namedKinds.includes(kind)}
    <TextField label="Of what, how set" bind:value={name} maxlength={200} />
  {/if}
  <Select
    label="When"
    options={[
      { value: 'before', words: 'before' },
      { value: 'after', words: 'after' },
    ]}
    bind:value={when}
  />
  <Select
    label="Load"
    options={[
      { value: 'full load', words: 'full load' },
      { value: 'until settled', words: 'until settled' },
      { value: 'real use', words: 'real use' },
      { value: 'idle', words: 'idle' },
    ]}
    bind:value={load}
  />
  <TextField label="Figure" bind:value inputmode="decimal" aria-invalid={fault !== ''} />
  <Button type="submit">Keep it</Button>
  <Fault text={fault} />
</form>
{#if readings.length > 0}
  <ul class="soft">
    {#each readings as reading, i (i)}
      <li>
        <span class="figure">{dateText(reading.at, 'dayTime')}</span>
        {readingKinds[reading.kind].label}
        {[reading.name, figure(reading)].filter(Boolean).join(', ')}, {reading.when}, {reading.load}
        <button
          onclick={() =>
            view.job &&
            shopStore.edit('reading dropped', dropItem(view.job.id, 'readings', reading))}
          >Drop</button
        >
        <Photos
          place={{ jobId: view.job?.id, about: { of: 'reading', key: reading.at } }}
          of="the reading of {reading.kind}, {reading.when}"
          label="Photo"
        />
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
  .over {
    color: var(--mend);
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
