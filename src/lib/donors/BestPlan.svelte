<script lang="ts">
  import { ArrowUp } from '@lucide/svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import { openJobs, seedOf } from '$core/allocate/jobs.ts';
  import { ordered, type Goal } from '$core/allocate/wishes.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import type { Money } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import MoneyField from '$lib/ui/MoneyField.svelte';
  import Notice from '$lib/ui/Notice.svelte';
  import Select from '$lib/ui/Select.svelte';
  import PlanCompared from './PlanCompared.svelte';
  import PlanStrands from './PlanStrands.svelte';
  import { PlanState } from './planState.svelte.ts';
  import type { PlanRow } from './planPicture.ts';
  import {
    amount,
    capital,
    costSay,
    gainSay,
    goalWords,
    progressSay,
    saved,
    upToSay,
  } from './planWords.ts';

  const { view }: { view: JobView } = $props();
  const plans = new PlanState();
  $effect(() => () => plans.close());

  const shop = $derived(shopStore.shop);
  const currency = $derived(shop.settings.currency);
  const open = $derived(openJobs(shop));
  const without = new SvelteSet<string>();
  const jobIds = $derived(open.filter((id) => !without.has(id)));
  let shown = $state(0);
  let chosen = $state.raw<PlanRow | undefined>(undefined);
  let options = $state.raw<readonly { id: string; name: string }[]>([]);
  let most = $state.raw<Money | undefined>(undefined);
  const order = $derived(ordered(plans.wishes.order));
  const plan = $derived(plans.answer?.plans[shown]);
  const why = $derived(
    shown === 0 && chosen
      ? plans.answer?.whys.find(
          ({ jobId, seat, stage }) =>
            jobId === chosen?.jobId && seat === chosen.strand.seat && stage === chosen.strand.stage,
        )
      : undefined,
  );
  const elsewhere = $derived(plans.kept.filter((each) => each.why === 'planned elsewhere'));
  const toAsk = $derived(plans.kept.filter((each) => each.why !== 'planned elsewhere'));
  const nameOf = (id: string) => indexOf(shop).parts.get(id)?.name ?? id;

  function sooner(goal: Goal): void {
    const at = order.indexOf(goal);
    const next = order.filter((each) => each !== goal);
    next.splice(Math.max(0, at - 1), 0, goal);
    plans.wishes = { ...plans.wishes, order: next };
  }
  function toggleLeave(id: string): void {
    const leave = plans.wishes.leave.includes(id)
      ? plans.wishes.leave.filter((each) => each !== id)
      : [...plans.wishes.leave, id];
    plans.wishes = { ...plans.wishes, leave };
    void work();
  }
  function work(): Promise<void> {
    shown = 0;
    chosen = undefined;
    return plans.work(jobIds);
  }
  async function choose(row: PlanRow): Promise<void> {
    plans.moved = undefined;
    chosen = chosen?.key === row.key ? undefined : row;
    options = chosen
      ? await plans.options({ jobId: row.jobId, seat: row.strand.seat, stage: row.strand.stage })
      : [];
  }
  function take(): void {
    if (!plan) return;
    plans.take(plan, `a plan for ${plan.jobs.length} jobs taken`);
    toast(
      `The plan stands: ${plan.summary.runs} of ${plan.jobs.length} jobs run. One undo takes it back.`,
    );
  }
  function takeMoved(): void {
    if (!plans.moved) return;
    plans.take(plans.moved.proposal, 'a strand moved');
    plans.moved = undefined;
    chosen = undefined;
  }
</script>

<section class="asked" aria-label="What is planned">
  <fieldset>
    <legend>Jobs</legend>
    <div class="chips">
      {#each open as id (id)}
        <button
          class="chip"
          aria-pressed={!without.has(id)}
          onclick={() => (without.has(id) ? without.delete(id) : without.add(id))}
          >{id}{id === view.job?.id ? ', this one' : ''}</button
        >
      {/each}
    </div>
  </fieldset>
  <details>
    <summary>What counts: {goalWords[order[0] ?? 'run']} first</summary>
    <ol>
      {#each order as goal, i (goal)}
        <li>
          {goalWords[goal]}
          {#if i > 0}<button
              class="up"
              aria-label="{goalWords[goal]} counts more"
              onclick={() => sooner(goal)}><ArrowUp size={18} /></button
            >{/if}
        </li>
      {/each}
    </ol>
    <Select
      label="Prices that are ranges"
      options={[
        { value: 'sure', words: 'cheapest for sure' },
        { value: 'middle', words: 'cheapest in the middle' },
      ]}
      value={plans.wishes.prices}
      onpick={(prices) => {
        if (prices) plans.wishes = { ...plans.wishes, prices };
      }}
    />
  </details>
  <p class="tools">
    {#if plans.busy && !plans.reasoning}
      <Button onclick={plans.finish}>Enough: show the best so far</Button>
      <span role="status">
        {#if plans.told}{capital(progressSay(plans.told, currency))}. {plans.told.judged} plans checked.{:else}Reading
          the shelf…{/if}
      </span>
    {:else}
      <Button next={!plans.answer} disabled={jobIds.length === 0} onclick={work}
        >{plans.answer ? 'Work it out anew' : 'Work out the best plan'}</Button
      >
      {#if jobIds.length === 0}<span class="soft">Choose a job.</span>{/if}
    {/if}
  </p>
  <Fault text={plans.fault} />
</section>

{#if plans.answer && plan}
  {#if plans.stale}
    <Notice>The shop was changed since. Work it out anew before you take anything.</Notice>
  {/if}
  <PlanCompared
    today={plans.answer.today}
    plans={plans.answer.plans}
    {shown}
    onshow={(i) => {
      shown = i;
      chosen = undefined;
    }}
  />
  <p class="proof">
    {#if plans.answer.proven}<b>Proven:</b> no plan is better in what counts.{:else}<b
        >Not proven:</b
      >
      a better plan may exist{#if plans.answer.gap}, from {progressSay(
          {
            dim: plans.answer.gap.dim,
            best: plans.answer.gap.has,
            bound: plans.answer.gap.bound,
          },
          currency,
        )} on{/if}.{/if}
    {plans.answer.judged} plans went through all checks.
    {#if plans.reasoning}<span role="status">Looking for reasons…</span>{/if}
  </p>
  <PlanStrands {shop} proposal={plan} chosen={chosen?.key} onchoose={choose} />
  {#if chosen}
    <div class="hand" aria-live="polite">
      <p>
        <b>{seatName(chosen.strand.seat)} of job {chosen.jobId}</b>:
        {chosen.part ? `${chosen.part.id} ${chosen.part.name}` : 'nothing new'}.
        {#if why}
          {capital(saved(why.costs, currency))}, against {why.insteadId
            ? `${why.insteadId} ${nameOf(why.insteadId)} there`
            : 'nothing there'}. {capital(upToSay(why, currency))}
        {/if}
      </p>
      <Select
        label="Put there instead"
        none="…"
        value=""
        options={options
          .filter(({ id }) => id !== chosen?.strand.partId)
          .map(({ id, name }) => ({ value: id, words: `${id} ${name}` }))}
        onpick={(partId) => {
          if (partId && chosen)
            void plans.move({
              jobId: chosen.jobId,
              seat: chosen.strand.seat,
              stage: chosen.strand.stage,
              partId,
            });
        }}
      />
      {#if plans.moved}
        <p>
          {costSay(plans.moved.costs, currency)}{plans.moved.proven
            ? ''
            : ', as far as was looked'}.
          <Button disabled={plans.stale} onclick={takeMoved}>Put it there</Button>
        </p>
      {/if}
    </div>
  {/if}
  {#each plan.jobs.filter(({ takes, misses }) => takes.length + misses.length > 0) as job (job.jobId)}
    <p class="with">
      <b>Job {job.jobId}</b>
      {job.takes.map(({ title }) => title).join('; ')}
      {#if job.misses.length > 0}<span class="soft">Not met: {job.misses.join(' ')}</span>{/if}
    </p>
  {/each}
  {#if plan.leave.length > 0}<p>
      With leave for {plan.leave.join(', ')}: ask before you take it.
    </p>{/if}
  <p class="tools">
    <Button next disabled={plans.stale} onclick={take}>Take this plan</Button>
    <span class="soft">Nothing is done until you do.</span>
  </p>

  {#each plans.answer.stuck as stuck (stuck.jobId)}
    <Notice tone="stop">
      <b>Job {stuck.jobId} {stuck.instead ? 'does not run in the best plan' : 'cannot run'}.</b>
      {stuck.reasons.map(capital).join(' ')}
    </Notice>
  {/each}
  {#if plans.answer.gains.length > 0}
    <h3>What would better it</h3>
    <ul>
      {#each plans.answer.gains as gain, i (i)}<li>{gainSay(gain, nameOf, currency)}</li>{/each}
    </ul>
  {/if}
  {#if elsewhere.length > 0}
    <p class="soft">
      {elsewhere.length === 1 ? 'One part is' : `${elsewhere.length} parts are`} planned in jobs that
      are not chosen here and {elsewhere.length === 1 ? 'stays' : 'stay'} there.
    </p>
  {/if}
  {#if toAsk.length > 0}
    <details>
      <summary>Left alone: {toAsk.length}</summary>
      <div class="chips">
        {#each toAsk as { id, name, why: because } (id)}
          <button
            class="chip"
            aria-pressed={plans.wishes.leave.includes(id)}
            onclick={() => toggleLeave(id)}>{id} {name}, {because}</button
          >
        {/each}
      </div>
      <p class="soft">Tick what there is leave to use; it is worked out anew.</p>
    </details>
  {/if}
  {#each plans.answer.notes as note (note)}<p class="soft">{note}</p>{/each}

  <h3>What the rest makes</h3>
  <div class="rest">
    <MoneyField label="Add at most" value={most} {currency} onmoney={(money) => (most = money)} />
    <Button
      disabled={plans.busy}
      onclick={() => plan && void plans.buildFurther(plan, most?.minor ?? 0)}
      >Build from what is left</Button
    >
  </div>
  {#if plans.further}
    {@const built = plans.further.proposal.jobs.filter(({ runs }) => runs)}
    <p>
      {built.length === 0
        ? 'Nothing more that runs.'
        : `${built.length} more ${built.length === 1 ? 'machine' : 'machines'}, ${amount(plans.further.proposal.summary.bill.sum.hi, currency)} added${plans.further.proven ? '' : ', not proven'}:`}
    </p>
    <ul>
      {#each built as job (job.jobId)}
        <li>
          <b>{seedOf(job.jobId)}</b>:
          {job.strands.every(({ partId }) => partId === undefined)
            ? 'runs as it is'
            : job.strands
                .flatMap(({ seat, partId }) =>
                  partId === undefined ? [] : [`${seatName(seat)} ${partId}`],
                )
                .join(', ')}{job.takes.length > 0
            ? `; ${job.takes.map(({ title }) => title).join('; ')}`
            : ''}
        </li>
      {/each}
    </ul>
  {/if}
{/if}

<style>
  .asked {
    margin-bottom: 12px;
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0 0 8px;
  }
  legend {
    font-weight: 700;
    padding: 0;
  }
  .chips,
  .tools,
  .rest {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
  }
  .rest {
    align-items: end;
  }
  .chip {
    min-height: 36px;
    padding: 0 12px;
    border: 1.5px solid var(--line);
    border-radius: 3px;
    background: none;
    color: var(--ink);
    font: inherit;
  }
  .chip[aria-pressed='true'] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--paper);
  }
  .up {
    min-width: 36px;
    min-height: 32px;
    border: 0;
    background: none;
    color: var(--ink);
    vertical-align: middle;
  }
  details {
    margin: 6px 0;
  }
  summary {
    min-height: 32px;
    cursor: pointer;
  }
  ol {
    margin: 4px 0;
  }
  .proof {
    margin: 8px 0;
  }
  .hand {
    position: sticky;
    bottom: -20px;
    margin: 8px -20px;
    padding: 8px 20px 12px;
    background: var(--paper-deep);
    border-top: 2px solid var(--ink);
  }
  @media (max-width: 37.5em) {
    .hand {
      margin-inline: 0;
    }
  }
  .with {
    margin: 4px 0;
  }
  h3 {
    margin: 18px 0 6px;
  }
</style>
