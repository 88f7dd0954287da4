<script lang="ts">
  import { say } from '$lib/shop/units.svelte.ts';
  import { dateText } from '$lib/ui/dates.ts';
  import { stayAwake } from '$lib/frame/awake.ts';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { tickStep } from '$core/edits/edits.ts';
  import { leaveAlone, settingsFor } from '$core/startup/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import LeaveIt from '$lib/startup/LeaveIt.svelte';
  import Damages from '$lib/startup/Damages.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  const { view, plan }: ViewProps = $props();
  const gates = $derived(view.steps.filter((step) => step.gate));
  const ticks = $derived(new Map((view.job?.ticks ?? []).map((tick) => [tick.stepId, tick])));
  const next = $derived(gates.find((gate) => !ticks.has(gate.id) || ticks.get(gate.id)?.failed));
  const settings = $derived(settingsFor(plan));
  const wait = $derived(leaveAlone(plan));
  let loss = $state('');
  const RISE = 44;

  function stamp(stepId: string, failed: boolean): void {
    if (!view.job) return;
    const note = loss.trim();
    shopStore.edit(
      failed ? 'gate failed' : note ? 'gate passed with a loss' : 'gate passed',
      tickStep(view.job.id, {
        stepId,
        at: new Date().toISOString(),
        ...(failed ? { failed } : {}),
        ...(note ? { note } : {}),
      }),
    );
    loss = '';
    if (failed) void goto(resolve(`/job/${view.job.id}/power-up#fault`));
  }
  $effect(() => stayAwake());
</script>

{#if gates.length === 0}
  <p>No gates yet: they come with the work order.</p>
{/if}
<div class="sides">
  <ol>
    {#each gates as gate, i (gate.id)}
      {@const tick = ticks.get(gate.id)}
      <li
        style:margin-left="{i * RISE}px"
        class:next={next?.id === gate.id}
        class:passed={tick && !tick.failed}
        class:failed={tick?.failed}
        {@attach (node: HTMLElement) => {
          if (next?.id === gate.id) node.scrollIntoView({ block: 'nearest' });
        }}
      >
        <b>{gate.title}</b>
        <p>Go on when: {say(gate.gate ?? '')}.</p>
        {#each gate.cautions as caution (caution)}<p class="caution">{caution}</p>{/each}
        {#if next?.id === gate.id && wait && gate.id !== 'gate-stress'}
          <LeaveIt seconds={wait.seconds} why={wait.why} />
        {/if}
        {#if tick?.note}<p>Lost on the way: {tick.note}</p>{/if}
        <p class="row mid apart">
          {#if tick}<span class="figure"
              >{tick.failed ? 'failed' : 'passed'}
              {dateText(tick.at, 'dayTime')}</span
            >{/if}
          <Button next={next?.id === gate.id} onclick={() => stamp(gate.id, false)}>Passed</Button>
          <Button onclick={() => stamp(gate.id, true)}>Failed</Button>
          {#if next?.id === gate.id}
            <TextField
              unseen
              label="Lost on the way"
              bind:value={loss}
              maxlength={200}
              placeholder="with a loss: module B2 out"
            />
          {/if}
        </p>
      </li>
    {/each}
  </ol>
  {#if settings.length > 0}
    <section class="settings">
      <h2>In the firmware first</h2>
      <ul>
        {#each settings as each (each.setting)}
          <li>
            <b>{each.setting}</b><br />{each.why}{#if each.loses}<br /><span class="loses"
                >Lost: {each.loses}.</span
              >{/if}
          </li>
        {/each}
      </ul>
    </section>
  {/if}
</div>
{#if view.job}<Damages job={view.job} {plan} />{/if}

<style>
  ol {
    display: flex;
    flex-direction: column-reverse;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  /* The stair climbs to the right; what is left of the floor is free for the settings. */
  .sides {
    display: grid;
  }
  .sides > * {
    grid-area: 1 / 1;
  }
  .settings {
    align-self: end;
    justify-self: end;
    width: 270px;
  }
  .settings ul {
    margin: 0;
    padding: 0;
    list-style: none;
    font-size: 15px;
  }
  .settings li {
    max-width: none;
    border: 0;
    padding: 4px 0 6px;
  }
  .settings b {
    font-size: 16px;
  }
  .loses {
    color: var(--mend);
  }
  li {
    max-width: 410px;
    padding: 8px 12px 10px;
    border-left: 6px solid var(--line);
    border-bottom: 4px solid var(--ink);
  }
  .next {
    border-left-color: var(--accent);
    background: var(--tape-lit);
  }
  .passed {
    border-left-color: var(--clear);
  }
  .failed {
    border-left-color: var(--stop);
  }
  b {
    font: 600 18px var(--face-head);
  }
  p {
    font-size: 15px;
  }
  .caution {
    padding-left: 10px;
    border-left: 4px solid var(--mend);
  }
  @media (max-width: 77.5em) {
    .sides {
      display: block;
    }
    .settings {
      width: auto;
    }
  }
  @media (max-width: 62.5em) {
    li {
      margin-left: 0 !important;
    }
  }
</style>
