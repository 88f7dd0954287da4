<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import { addItems } from '$core/shop/items.ts';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import type { Reading } from '$core/model/types/types.ts';
  import { settledW, type MeterReading } from '$core/watts/meter.ts';
  import { treeOf } from '$core/watts/tree/index.ts';
  import Practise from '$lib/instruments/Practise.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  interface Props {
    view: JobView;
    plan: Plan;
  }
  const { view, plan }: Props = $props();
  let typed = $state('');
  let load = $state<Reading['load']>('full load');
  let when = $state<Reading['when']>('after');
  let fault = $state('');
  let source = $state.raw<EventSource | undefined>();
  let shown = $state<MeterReading | undefined>();
  let series = $state.raw<number[]>([]);
  const settled = $derived(settledW(series));

  function plugIn(): void {
    unplug();
    const tree = treeOf(plan, load === 'idle' ? 'idle' : load === 'real use' ? 'usual' : 'full');
    const about = tree?.wallW ?? tree?.givenW;
    if (!about) return;
    const idle = treeOf(plan, 'idle')?.wallW;
    const ask = new URLSearchParams({
      about: mid(about).toFixed(1),
      seed: String(
        [...(view.job?.id ?? '1')].reduce((sum, c) => sum * 31 + c.charCodeAt(0), 7) | 0,
      ),
      from: load === 'idle' ? '0' : String(Math.round(idle?.lo ?? 0)),
      every: '250',
    });
    series = [];
    source = new EventSource(`/api/v1/watts/meter?${ask}`);
    source.onmessage = (event: MessageEvent<string>) => {
      shown = JSON.parse(event.data) as MeterReading;
      series = [...series, shown.watts].slice(-60);
    };
    source.onerror = () => {
      fault = 'The practice meter is not there.';
      unplug();
    };
  }

  function unplug(): void {
    source?.close();
    source = undefined;
  }
  $effect(() => () => unplug());

  function keep(value: number): void {
    const job = view.job;
    if (!job) return;
    if (!(value > 0 && value < 4000)) {
      fault = 'Watts between 0 and 4000. Kept as typed.';
      return;
    }
    const reading: Reading = {
      kind: 'wallW',
      value: Math.round(value * 10) / 10,
      when,
      load,
      at: new Date().toISOString(),
    };
    void shopStore.edit('reading at the wall', addItems(job.id, 'readings', [reading]));
    toast(`${reading.value} W at the wall, ${load}, kept with the job.`);
    fault = '';
    typed = '';
  }
  const write = () => keep(Number(typed.replace(',', '.')));
</script>

<section>
  <h2>At the wall</h2>
  <p class="row">
    <Select
      label="load"
      options={[
        { value: 'full load', words: 'full load' },
        { value: 'until settled', words: 'until settled' },
        { value: 'real use', words: 'real use' },
        { value: 'idle', words: 'idle' },
      ]}
      bind:value={load}
      onchange={unplug}
    />
    <Select
      label="parts"
      options={[
        { value: 'before', words: 'as found' },
        { value: 'after', words: 'as planned' },
      ]}
      bind:value={when}
    />
    <TextField
      short
      label="watts"
      bind:value={typed}
      inputmode="decimal"
      onkeydown={(event) => event.key === 'Enter' && write()}
    />
    <Button onclick={write}>Keep it</Button>
    {#if source}<Button onclick={unplug}>Unplug the practice meter</Button>
    {:else}<Practise what="with a made-up meter"
        ><Button onclick={plugIn}>Practice meter</Button></Practise
      >{/if}
  </p>
  {#if shown && source}
    <p aria-live="off">
      <span class="figure big">{shown.watts.toFixed(1)} W</span>
      <span class="figure">{shown.volts.toFixed(1)} V, factor {shown.factor.toFixed(2)}</span>
      {#if settled !== undefined}
        <Button next onclick={() => settled !== undefined && keep(settled)}
          >Settled at {settled.toFixed(1)} W: keep it</Button
        >
      {:else}not settled yet{/if}
    </p>
  {/if}
  <Fault text={fault} />
</section>

<style>
  section {
    flex: 1 1 300px;
  }
  .big {
    font-size: 26px;
  }
</style>
