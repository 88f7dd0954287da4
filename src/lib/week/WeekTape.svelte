<script lang="ts">
  import { hours, outlookWords } from '$core/schedule/words.ts';
  import { formatHours } from '$core/units/duration.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { minuteText } from '$lib/ui/dates.ts';
  import { weekState } from '$lib/shop/weekState.svelte.ts';

  import type { WeekAhead } from '../../workers/week.worker.ts';

  const { plan }: { plan: WeekAhead | undefined } = $props();
  const now = $derived(plan?.week.now ?? 0);
  const dated = $derived(
    (plan?.jobs ?? [])
      .filter(({ due }) => due !== undefined)
      .sort((a, b) => (a.due ?? 0) - (b.due ?? 0)),
  );
  const tasksOf = (jobId: string) =>
    (plan?.week.problem.tasks ?? []).filter((task) => task.jobId === jobId);
  const sum = (jobId: string, of: 'hands' | 'leave') =>
    tasksOf(jobId).reduce((total, task) => total + task[of], 0);
  /** What starts within the next two hours, in its order. */
  const soon = $derived(
    (plan?.week.problem.tasks ?? [])
      .map((task, i) => ({ task, start: plan?.found?.starts[i] ?? 0 }))
      .filter(({ start }) => start < now + 120)
      .sort((a, b) => a.start - b.start),
  );
  const tools = $derived([
    ...new Set(
      (plan?.week.problem.tasks ?? []).flatMap((task, i) =>
        (plan?.found?.starts[i] ?? Infinity) < now + 720 ? task.tools : [],
      ),
    ),
  ]);
  const moved = $derived(
    (plan?.jobs ?? []).flatMap((each) => each.moved.map((one) => ({ ...one, jobId: each.jobId }))),
  );
  const steps = $derived(
    (plan?.week.problem.tasks ?? []).reduce((count, task) => count + task.steps.length, 0),
  );
</script>

<Tape title="Week">
  {#each dated as outlook (outlook.jobId)}
    {@const words = outlookWords(outlook, now)}
    <section>
      <h3 class:stop={words?.mark === 'stop'}>
        <Mark mark={words?.mark ?? 'clear'} size={18} word />
        {outlook.jobId} by {minuteText(outlook.due ?? 0, 'weekTime')}
      </h3>
      <dl>
        <div>
          <dt>hands</dt>
          <dd class="figure">{formatHours(sum(outlook.jobId, 'hands'))}</dd>
        </div>
        <div>
          <dt>leave alone</dt>
          <dd class="figure">{formatHours(sum(outlook.jobId, 'leave'))}</dd>
        </div>
        <div>
          <dt>done</dt>
          <dd class="figure">{minuteText(outlook.end, 'weekTime')}</dd>
        </div>
        <div class="sum">
          <dt>{(outlook.spare ?? 0) < 0 ? 'short' : 'to spare'}</dt>
          <dd class="figure">{hours(Math.abs(outlook.spare ?? 0))}</dd>
        </div>
      </dl>
      {#if outlook.startBy !== undefined}
        <p class="soft">Must be begun by {minuteText(outlook.startBy, 'weekTime')}.</p>
      {/if}
      {#each weekState.ways.get(outlook.jobId) ?? [] as way (way.says.join())}
        <p class="way">
          <span>{way.says.join(', and ')}</span>
          <span class="figure">{way.onTime ? 'holds' : `−${hours(way.gains)}`}</span>
          {#if way.others > 0}<small>others {hours(way.others)} later</small>{/if}
        </p>
      {:else}
        {#if words?.mark === 'stop' && weekState.ways.has(outlook.jobId)}
          <p class="soft">Nothing we know of would make it. Move the day.</p>
        {/if}
      {/each}
    </section>
  {/each}
  {#if soon.length > 0}
    <section>
      <h3>Now</h3>
      {#each soon as { task, start } (task.id)}
        <p class="line">
          <span class="figure">{minuteText(start, 'time')}</span>
          <span><b class="figure">{task.jobId}</b> {say(task.title)}</span>
          <span class="figure">{formatHours(task.hands)}</span>
        </p>
      {/each}
    </section>
  {/if}
  {#if plan?.gap}
    {@const { gap } = plan}
    <section>
      <h3>{gap.until - now} min until {gap.jobId} may be touched</h3>
      <p class="soft">{say(gap.title)}</p>
      {#each gap.fills as fill (fill.jobId + fill.title)}
        <p class="line">
          <span
            ><b class="figure">{fill.jobId}</b>
            {say(fill.title)}{fill.steps > 1 ? `, ${fill.steps} steps` : ''}
            {#if fill.inHand.length > 0}<small>{fill.inHand.join(', ')} in hand</small>{/if}</span
          >
          <span class="figure">{formatHours(fill.minutes)}</span>
        </p>
      {:else}
        <p class="soft">Nothing else is short enough.</p>
      {/each}
    </section>
  {/if}
  {#if tools.length > 0}
    <section>
      <h3>Lay out before the first screw</h3>
      <p>{tools.join(' · ')}</p>
    </section>
  {/if}
  {#if plan?.trip}
    <section>
      <h3>
        One trip{plan.trip.before === undefined
          ? ''
          : ` before ${minuteText(plan.trip.before, 'weekTime')}`}
      </h3>
      {#each plan.trip.lines as line, i (i)}
        <p class="line">
          <span
            ><b class="figure">{line.jobId}</b>
            {line.count > 1 ? `${line.count} × ` : ''}{line.label}</span
          >
          <span class="figure"
            >{line.needed === undefined ? '' : minuteText(line.needed, 'weekTime')}</span
          >
        </p>
      {/each}
    </section>
  {/if}
  {#if moved.length > 0}
    <section>
      <h3>Moved against the kept plan</h3>
      {#each moved as each (each.jobId + each.title)}
        <p class="line">
          <span><b class="figure">{each.jobId}</b> {say(each.title)}</span>
          <span class="figure">{minuteText(each.to, 'weekTime')}</span>
        </p>
      {/each}
    </section>
  {/if}
  {#if plan && plan.week.unplanned.length > 0}
    <section>
      <h3>In no week yet</h3>
      {#each plan.week.unplanned as { jobId, why } (jobId)}
        <p><b class="figure">{jobId}</b> {why}</p>
      {/each}
    </section>
  {/if}
  <section class="soft">
    {#if weekState.share !== undefined}
      <p>
        Looking for something better, {Math.round(weekState.share * 100)} %
        <Button quiet onclick={() => weekState.cancel()}>Enough</Button>
      </p>
    {:else if weekState.busy}
      <p>Working it out …</p>
    {:else if plan?.found}
      <p>
        {#if plan.found.proven}
          {plan.found.cost.late > 0
            ? `Proven for ${steps} steps: nothing can be less late.`
            : `${steps} steps, everything in time.`}
        {:else}
          {steps} steps, the best of {plan.found.tried} orders: {hours(plan.found.cost.late)} late in
          all, at least {hours(plan.found.bound)} cannot be helped.
        {/if}
        {plan.found.cost.colours > 0
          ? ` The paint place is cleaned for another colour ${plan.found.cost.colours} times.`
          : ''}
      </p>
    {/if}
  </section>
</Tape>

<style>
  section {
    padding: 10px 14px;
    border-bottom: 1px dashed var(--line);
  }
  h3 {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 8px;
    margin: 0 0 4px;
  }
  dl {
    margin: 0;
  }
  dl div,
  .line,
  .way {
    display: flex;
    justify-content: space-between;
    gap: 4px 10px;
    margin: 0;
  }
  dd {
    margin: 0;
  }
  .sum {
    border-top: 1px solid var(--ink);
    font-weight: 700;
  }
  .line span:nth-last-child(2) {
    flex: 1;
  }
  .way {
    flex-wrap: wrap;
    font-style: italic;
    color: var(--accent-ink);
    border-bottom: 2px dotted var(--accent-ink);
  }
  p {
    overflow-wrap: anywhere;
  }
</style>
