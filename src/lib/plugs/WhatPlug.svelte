<script lang="ts">
  import Photos from '$lib/photos/Photos.svelte';
  import { recordItems } from '$lib/shop/recordFact.ts';
  import { keepPlugOf } from '$core/edits/plugEdits.ts';
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { listAt, partOfKind, textAt, type Placed } from '$core/model/lookup/plan.ts';
  import {
    handMeter,
    identify,
    noted,
    ownPlugOf,
    plugTag,
    ReadingError,
    keptNotes,
    notesOf,
    type PlugNotes,
    type Reading,
    type ReadingKind,
  } from '$core/plugs/identify/index.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { views, type View } from '$core/standards/plugs/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Practise from '$lib/instruments/Practise.svelte';
  import { simulatedBench } from '$lib/instruments/practice.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import PinGrid from './PinGrid.svelte';

  import WeakReadings from './WeakReadings.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { plan, onclose }: ViewProps = $props();
  const supply = $derived(partOfKind(plan, 'supply') as Placed);
  const notes = $derived(notesOf((supply && listAt(plan, supply, 'pinReadings')?.items) ?? []));
  /* The housing last said of this supply, to begin with: said anew, these follow. */
  const usual = $derived(supply && plugIn(plan.shop, textAt(plan, supply, 'mainPlug')?.text ?? ''));
  const usualRows = $derived(usual?.rows ?? 2);
  const usualColumns = $derived(usual ? usual.ways / usual.rows : 5);
  let rows = $derived(usualRows);
  let columns = $derived(usualColumns);
  let view = $state<View>('plug wire side');
  let loadSet = $state(false);
  let chosen = $state<number | undefined>();
  let typed = $state('');
  const usualName = $derived(supply ? `main of ${supply.part.name}` : '');
  let name = $derived(usualName);
  let fault = $state('');
  const meter = $derived(simulatedBench(supply?.part.id ?? '', notes.grid?.ways ?? 10));
  const inHand = $derived({ ...handMeter, beepsTo: uiState.beepsTo ?? handMeter.beepsTo });
  const answer = $derived(
    notes.grid && identify(notes.grid, notes.readings, { loadSet, meter: inHand }),
  );
  const asked = $derived(answer?.next);
  const lit = $derived(chosen ?? asked?.pin ?? 1);
  const kind = $derived<ReadingKind>(
    chosen === undefined ? (asked?.kind ?? 'chassis') : (kindFor(chosen) ?? 'chassis'),
  );
  const colours = $derived(
    new Map(
      notes.readings.flatMap((each) =>
        each.kind === 'colour' ? [[each.pin, each.colour] as const] : [],
      ),
    ),
  );
  const gauges = $derived(
    new Map(
      notes.readings.flatMap((each) =>
        each.kind === 'gauge' ? [[each.pin, each.awg] as const] : [],
      ),
    ),
  );
  const palette = [
    'black',
    'red',
    'yellow',
    'orange',
    'purple',
    'green',
    'grey',
    'blue',
    'white',
    'brown',
  ];
  const all = Object.keys(views) as View[];
  const questions: Partial<Record<ReadingKind, string>> = {
    chassis: 'Unplugged, discharged: is there continuity to ground, the chassis?',
    ohms: 'Unplugged, discharged: how many ohms to the chassis?',
    standby: 'Plugged in, off: how many volts to ground?',
    running: 'Running with its load: how many volts to ground?',
    gauge: 'How thick is its wire?',
  };
  const again = $derived(chosen === undefined && asked?.again === true);
  /** The far pin of a beep that is asked for. */
  const far = $derived(chosen === undefined && kind === 'common' ? asked?.with : undefined);
  const question = $derived(
    far !== undefined
      ? `Unplugged, discharged: does it beep with pin ${far}?`
      : `${questions[kind] ?? ''}${again ? ' Once more, at another point of the contact: two readings cannot both be right.' : ''}`,
  );
  const gaugeWords = [
    { awg: 18, words: 'Thick, 18 or thicker' },
    { awg: 20, words: '20' },
    { awg: 22, words: 'Thin, 22 or thinner' },
  ];

  /** The kind not yet read on a pin one chose oneself. */
  function kindFor(pin: number): ReadingKind | undefined {
    const done = new Set(
      notes.readings.filter((each) => each.pin === pin).map((each) => each.kind),
    );
    return (
      ['chassis', 'standby', ...(answer?.mayRun ? (['running'] as const) : [])] as const
    ).find((each) => !done.has(each));
  }

  function store(change: (notes: PlugNotes) => PlugNotes, label: string): void {
    void recordItems(supply.part, 'pinReadings', (items) => keptNotes(change(notesOf(items))), {
      label,
    });
  }

  function add(reading: Reading): void {
    try {
      if (notes.grid) identify(notes.grid, [reading], {});
      store((now) => noted(now, reading), `${reading.kind} of pin ${reading.pin}`);
      typed = '';
      fault = '';
      chosen = undefined;
    } catch (error) {
      if (!(error instanceof ReadingError)) throw error;
      fault = `${error.message} Kept as typed.`;
    }
  }

  function begin(): void {
    try {
      const grid = { rows, ways: rows * columns };
      identify(grid, []);
      store(() => ({ grid, readings: [] }), 'housing of the plug');
      fault = '';
    } catch (error) {
      fault = `${(error as Error).message}.`;
    }
  }

  function figure(): void {
    const value = Number(typed.replace(',', '.').replace('−', '-'));
    if (typed.trim() === '' || !Number.isFinite(value)) {
      fault = `A figure in ${kind === 'ohms' ? 'ohms' : 'volts'}. Kept as typed.`;
      return;
    }
    if (kind === 'standby' || kind === 'running') add({ kind, pin: lit, volts: value });
    else if (kind === 'ohms') add({ kind, pin: lit, ohms: value });
  }

  /** Colours are tapped in along the row: the light moves to the next pin without one. */
  function tap(colour: string): void {
    const ways = notes.grid?.ways ?? 0;
    const pin =
      Array.from({ length: ways }, (_, i) => i + 1).find((each) => !colours.has(each)) ?? lit;
    store((now) => noted(now, { kind: 'colour', pin, colour }), `colour of pin ${pin}`);
  }

  function practise(): void {
    practised(far === undefined ? meter.read(lit, kind) : meter.common(lit, far));
  }

  function practised(reading: Reading | 'fuse blown'): void {
    if (reading === 'fuse blown') fault = 'The fuse of the meter has blown.';
    else add(reading);
  }

  /** The practice plug's wires, all at once. */
  function look(): void {
    const seen: Reading[] = [];
    for (let pin = 1; pin <= (notes.grid?.ways ?? 0); pin += 1) {
      const reading = meter.read(pin, 'colour');
      if (reading !== 'fuse blown') seen.push(reading);
    }
    store((now) => seen.reduce(noted, now), 'colours of the practice plug');
  }

  /** What is sure, kept as a plug of one's own, and said of this supply and its kind. */
  function keep(): void {
    if (!answer || name.trim() === '') return;
    const own = ownPlugOf(notes, answer, name.trim(), plugTag(name), shopStore.now);
    shopStore.edit(`plug ${own.name}`, keepPlugOf(own, supply.part, 'mainPlug', shopStore.now));
    toast(`${own.name} is known now${supply.part.modelId ? ', for every PSU of its model' : ''}.`);
  }

  const turn = () => (view = all[(all.indexOf(view) + 1) % all.length] ?? 'header face');
  const sure = $derived(answer?.pins.filter((pin) => pin.word === 'sure').length ?? 0);
  const open = $derived(
    answer?.pins.filter((pin) => pin.word === 'open').map((pin) => pin.pin) ?? [],
  );
  const wrong = $derived(answer?.pins.find((pin) => pin.contradiction));
  const percent = (chance: number) => `${(chance * 100).toFixed(chance > 0.99 ? 1 : 0)} %`;
</script>

<svelte:window
  onkeydown={(event) => {
    if (event.key === 'v' && !(event.target instanceof HTMLInputElement)) turn();
  }}
/>

<div class="what">
  {#if !supply}
    <h2>No PSU in the plan</h2>
    <p>Put one in at Intake: its main plug is found out here.</p>
    <p><Button onclick={onclose}>Back to the sums</Button></p>
  {:else}
    {#if notes.grid && answer}
      <Photos
        place={{ partId: supply.part.id, about: { of: 'plug', key: 'mainPlug' } }}
        of="the plug of {supply.part.name}"
        label="Photo of the plug"
      />
      <p class="view"><b>{view}</b> <Button onclick={turn}>Turn it (v)</Button></p>
      <PinGrid
        grid={notes.grid}
        {answer}
        {colours}
        {gauges}
        {view}
        {lit}
        onpin={(pin) => (chosen = pin)}
      />
      <p class="palette" role="group" aria-label="Colours along the row">
        {#each palette as colour (colour)}<button onclick={() => tap(colour)}>{colour}</button
          >{/each}
        <Practise what="with a made-up plug"
          ><Button onclick={look}>Practice wires</Button></Practise
        >
      </p>
      <div class="ask" aria-live="polite">
        {#if wrong}
          <p><Mark mark="stop" word size={20} /> Pin {wrong.pin}: {wrong.contradiction}</p>
        {/if}
        {#if asked || chosen !== undefined}
          <h2>Pin {lit}: {question}</h2>
          <p class="row mid">
            {#if kind === 'chassis'}
              <Button next onclick={() => add({ kind: 'chassis', pin: lit, beeps: true })}
                >Beeps</Button
              >
              <Button onclick={() => add({ kind: 'chassis', pin: lit, beeps: false })}
                >Silent</Button
              >
            {:else if far !== undefined}
              <Button next onclick={() => add({ kind: 'common', pin: lit, with: far, beeps: true })}
                >Beeps</Button
              >
              <Button onclick={() => add({ kind: 'common', pin: lit, with: far, beeps: false })}
                >Silent</Button
              >
            {:else if kind === 'gauge'}
              {#each gaugeWords as { awg, words } (awg)}
                <Button next={awg === 18} onclick={() => add({ kind: 'gauge', pin: lit, awg })}
                  >{words}</Button
                >
              {/each}
            {:else}
              <TextField
                short
                label={kind === 'ohms' ? 'ohms' : 'volts'}
                bind:value={typed}
                inputmode="decimal"
                onkeydown={(event) => event.key === 'Enter' && figure()}
              />
              <Button next onclick={figure}>Write it down</Button>
            {/if}
            {#if shopStore.practice}<Button onclick={practise}>Practice meter</Button>{/if}
          </p>
        {:else}
          <h2>{answer.stopped ?? 'Nothing more to read'}</h2>
        {/if}
        <Fault text={fault} />
        <p>
          {sure} of {notes.grid.ways} pins sure{open.length > 0
            ? `; open: ${open.join(', ')}`
            : ''}. Roles of the whole plug {percent(answer.rolesJoint)}, every pin by name {percent(
            answer.joint,
          )}.
        </p>
        <p class="soft">
          {answer.ideas
            .slice(0, 3)
            .map((idea) => `${idea.name} ${percent(idea.chance)}`)
            .join(' · ')}
        </p>
        <p class="row mid">
          <Tick label="a load is set, first power through a current limit" bind:checked={loadSet} />
          <Mark mark={answer.mayRun ? 'clear' : 'stop'} size={18} />
          {answer.mayRun ? 'Running volts may be taken.' : 'Do not switch it on yet.'}
        </p>
        {#if asked}
          <p class="row mid">
            <Select
              label="My meter beeps up to"
              options={[10, 30, 50, 100, 200].map((ohm) => ({
                value: String(ohm),
                words: `${ohm} Ω`,
              }))}
              none="not known"
              value={String(uiState.beepsTo ?? '')}
              onchange={(event) => {
                const ohm = event.currentTarget.value;
                uiState.beepsTo = ohm === '' ? undefined : Number(ohm);
              }}
            />
            <span class="soft">Its booklet says; the higher, the more rails beep like ground.</span>
          </p>
        {/if}
        <p class="soft">
          Never open the PSU. Meter lead out of the amps socket before volts. Probe one pin at a
          time, one hand away from bare metal.
        </p>
      </div>
      <WeakReadings
        ways={notes.grid.ways}
        pin={lit}
        onread={add}
        onohms={() => practised(meter.read(lit, 'ohms'))}
        onprobe={(other) => practised(meter.common(lit, other))}
      />
      <p class="row mid">
        <TextField wide label="name" bind:value={name} maxlength={60} />
        <Button next={answer.next === undefined} onclick={keep}>Keep this plug</Button>
        <Button
          onclick={() => store(() => ({ grid: undefined, readings: [] }), 'plug readings dropped')}
          >Another housing</Button
        >
        <Button onclick={onclose}>Back to the sums</Button>
      </p>
    {:else}
      <h2>How many ways has it?</h2>
      <p class="row mid">
        <TextField short label="rows" type="number" min="1" max="2" bind:value={rows} />
        <TextField short label="across" type="number" min="1" max="24" bind:value={columns} />
        <Button next onclick={begin}>Begin</Button>
        <Button onclick={onclose}>Back to the sums</Button>
      </p>
      <Fault text={fault} />
      <p class="soft">
        Count on the header's face with the latch down: pin 1 is top left, the second row starts
        beneath it. The wire side of a plug shows the same picture; its mating face is the mirror.
      </p>
    {/if}
  {/if}
</div>

<style>
  .what {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  .view {
    display: flex;
    gap: 16px;
    align-items: center;
  }
  .view b {
    font: 600 26px var(--face-head);
    text-transform: uppercase;
  }
  .palette {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: center;
  }
  .palette button {
    min-height: 40px;
    padding: 0 10px;
    border: 1.5px solid var(--ink);
    border-radius: 3px;
    background: var(--tape);
    color: var(--ink);
  }
  .ask {
    display: flex;
    flex-direction: column;
    gap: 6px;
  }
</style>
