<script lang="ts">
  import { dropRun } from '$core/edits/diagnosisEdits.ts';
  import {
    attribute,
    dropBetween,
    heatRemedies,
    pairOf,
    panelVerdict,
    runFit,
    SettleError,
    type RunFit,
  } from '$core/heat/index.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import type { HeatRun } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import AddRun from './AddRun.svelte';
  import Readings from './Readings.svelte';
  import { trim } from '$core/units/length.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import RunChart from './RunChart.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Select from '$lib/ui/Select.svelte';

  const { view, plan }: ViewProps = $props();
  const runs = $derived(view.job?.runs ?? []);
  const read = $derived(
    runs.map((run): { run: HeatRun; said?: RunFit; fault?: string } => {
      try {
        return { run, said: runFit(run) };
      } catch (error) {
        if (!(error instanceof SettleError)) throw error;
        return { run, fault: error.message };
      }
    }),
  );
  const said = $derived(read.flatMap((each) => each.said ?? []));
  let first = $state<string | undefined>();
  let second = $state<string | undefined>();
  const pair = $derived.by((): readonly [RunFit, RunFit] | undefined => {
    const usual = pairOf(said);
    const a = said.find((each) => each.run.id === first) ?? usual?.[0];
    const b = said.find((each) => each.run.id === second) ?? usual?.[1];
    return a && b && a !== b ? [a, b] : undefined;
  });
  const drop = $derived(pair && dropBetween(...pair));
  const panel = $derived(
    pair && drop && pair[0].run.panel !== pair[1].run.panel && drop.changes.length === 0
      ? panelVerdict(
          ...((pair[0].run.panel === 'on'
            ? [drop.dropK, drop.lo, drop.hi]
            : [-drop.dropK, -drop.hi, -drop.lo]) as [number, number, number]),
        )
      : undefined,
  );
  const shares = $derived(said.length >= 2 ? attribute(said) : undefined);
  const changes = $derived([
    ...new Set([
      ...plan.seats
        .filter((placed) => placed.state === 'comes')
        .map((placed) => seatName(placed.seat)),
      ...runs.flatMap((run) => run.changed),
    ]),
  ]);
  const more = (each: RunFit) => Math.max(1, Math.ceil(each.settling.moreS / 60));
</script>

{#if said.length > 0}
  <RunChart {said} pair={pair && [pair[0].run.id, pair[1].run.id]} />
{:else}
  <p>
    No run yet. Log the temperature from cold until it no longer rises, before the first screw: a
    file of any sensor logger, or pairs as you read them.
  </p>
{/if}
<ul class="runs">
  {#each read as { run, said: one, fault } (run.id)}
    <li>
      <b>{run.name}</b>
      {run.load}, panel {run.panel}{run.roomC === undefined
        ? ''
        : say(`, room ${trim(run.roomC, 1)} °C`)}{run.changed.length > 0
        ? `, with ${run.changed.join(', ')}`
        : ', as found'}:
      {#if one}
        settles at <span class="figure"
          >{say(
            `${one.settling.end.toFixed(1)} °C (${one.settling.lo.toFixed(1)} to ${Math.min(
              200,
              one.settling.hi,
            ).toFixed(1)} °C)`,
          )}</span
        >{one.riseK === undefined ? '' : say(`, ${one.riseK.toFixed(1)} K above room`)}.
        {#if one.pinned}{say(one.pinned.say)}
        {:else if !one.settling.settled}<b class="watch"
            >Not settled yet: {more(one)} minutes more.</b
          >{/if}
        {#if one.caveat}<b class="watch">{say(one.caveat)}</b>{/if}
        {#if one.driftKh !== undefined && Math.abs(one.driftKh) > 0.3}
          {say(`The room drifted ${one.driftKh.toFixed(1)} K an hour, taken out.`)}{/if}
        {#if one.pinned}
          <span class="figure"
            >{[
              one.clockMhz && `${one.clockMhz.toFixed(0)} MHz`,
              one.fanRpm && `${one.fanRpm.toFixed(0)} turns a minute`,
            ]
              .filter(Boolean)
              .join(', ')}</span
          >{/if}
      {:else}<span class="fault">{fault}</span>{/if}
      <button
        class="no-print"
        onclick={() => view.job && shopStore.edit('run dropped', dropRun(view.job.id, run.id))}
        >Drop</button
      >
    </li>
  {/each}
</ul>
{#if said.length >= 2 && drop && pair}
  <section>
    <p class="row">
      <Select
        label="from"
        options={said.map((each) => ({ value: each.run.id, words: each.run.name }))}
        bind:value={() => pair[0].run.id, (id) => (first = id)}
      />
      <Select
        label="to"
        options={said.map((each) => ({ value: each.run.id, words: each.run.name }))}
        bind:value={() => pair[1].run.id, (id) => (second = id)}
      />
      <span class="say">{say(panel?.text ?? drop.say)}</span>
    </p>
    {#if shares && (shares.effects.length > 0 || shares.tangled.length > 0)}
      <h2>What each change did</h2>
      <ul>
        {#each shares.effects as each (each.change)}
          <li>
            {each.change}:
            <span class="figure"
              >{say(
                `${each.dropK.toFixed(1)} K (${each.lo.toFixed(1)} to ${each.hi.toFixed(1)} K)`,
              )}</span
            >
          </li>
        {/each}
      </ul>
      <p>{shares.say}</p>
      {#if shares.wanted.length > 0}
        <p>
          Runs that would part them:
          {#each shares.wanted as changed, i (i)}
            <b>{changed.length > 0 ? `with ${changed.join(', ')} only` : 'as found'}</b>{i <
            shares.wanted.length - 1
              ? '; '
              : '.'}
          {/each}
        </p>
      {/if}
    {/if}
  </section>
{/if}
{#if panel}
  <section>
    <h2>Ways out, the least effort first</h2>
    <ol>
      {#each heatRemedies as each (each.title)}
        <li>
          <b>{each.title}</b>: {say(`${each.gainsK} K`)},
          <span class="figure">{each.minutes} min</span>,
          {each.money}; looks {each.looks}, dust {each.dust}, noise {each.noise}
        </li>
      {/each}
    </ol>
    <p class="soft">Common practice, no source: measure rather than believe.</p>
  </section>
{/if}
{#if view.job}<AddRun job={view.job} {changes} />{/if}
<Readings {view} />

<style>
  h2 {
    margin-top: 18px;
  }
  ul,
  ol {
    margin: 4px 0;
    padding-left: 20px;
  }
  .runs {
    padding: 0;
    list-style: none;
    font-size: 15px;
  }
  li {
    margin: 3px 0;
  }
  li button {
    border: 0;
    background: none;
    min-height: 28px;
    color: inherit;
    text-decoration: underline;
  }
  .say {
    flex: 1 1 300px;
    font: 600 18px/1.25 var(--face-head);
  }
  .watch {
    color: var(--watch);
  }
</style>
