<script lang="ts">
  import { dateText } from '$lib/ui/dates.ts';
  import { stayAwake } from '$lib/frame/awake.ts';
  import Check from '@lucide/svelte/icons/check';
  import { batchOf, tickTogether } from '$core/edits/batchEdits.ts';
  import { editSchools, tickStep, untickStep } from '$core/edits/edits.ts';
  import { lastChance } from '$core/plan/lastChance.ts';
  import { progress, type Step } from '$core/order/index.ts';
  import { formatHours } from '$core/units/duration.ts';
  import { lengthsIn } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import Field from '$lib/ui/Field.svelte';
  import WaitsAndDates from './WaitsAndDates.svelte';
  import Photos from '$lib/photos/Photos.svelte';

  const { view }: { view: JobView } = $props();
  const job = $derived(view.job);
  const standing = $derived(progress(view.steps, job?.ticks ?? []));
  const inUnit = (text: string) => lengthsIn(text, shopStore.shop.settings.unit);
  const ticks = $derived(new Map((job?.ticks ?? []).map((tick) => [tick.stepId, tick])));
  const photographed = $derived(
    new Set(
      shopStore.shop.photos.flatMap(({ jobId, about }) =>
        jobId === job?.id && about?.of === 'step' ? about.key : [],
      ),
    ),
  );
  const longest = $derived(Math.max(10, ...view.steps.map((step) => step.minutes)));
  const stops = $derived(view.found.filter((finding) => finding.mark === 'stop').length);

  function tick(step: Step): void {
    if (!job) return;
    if (ticks.has(step.id)) {
      shopStore.edit(`not done: ${step.title}`, untickStep(job.id, step.id));
      return;
    }
    const wait = step.leaveMinutes
      ? {
          why: step.title.toLowerCase(),
          until: new Date(Date.parse(shopStore.now) + step.leaveMinutes * 60_000).toISOString(),
        }
      : undefined;
    shopStore.edit(
      `done: ${step.title}`,
      tickStep(job.id, { stepId: step.id, at: new Date().toISOString() }, wait),
    );
  }

  /** Jobs of a batch are ticked together or singly. */
  const others = $derived(job ? batchOf(shopStore.shop, job) : []);
  const notTicked = (stepId: string) =>
    others.filter(({ ticks }) => !ticks.some((each) => each.stepId === stepId)).map(({ id }) => id);
  function tickAll(step: Step): void {
    const ids = notTicked(step.id);
    void shopStore.edit(
      `done on ${ids.length + 1}: ${step.title}`,
      tickTogether(ids, step.id, new Date().toISOString()),
    );
  }

  function note(step: Step, text: string): void {
    const before = ticks.get(step.id);
    if (job && before)
      shopStore.edit(
        'note on a step',
        tickStep(job.id, { ...before, note: text || undefined }),
        `note ${job.id} ${step.id}`,
      );
  }

  function school(which: 'start' | 'supply', value: string): void {
    if (job) shopStore.edit('school of work', editSchools(job.id, { [which]: value }));
  }
  $effect(() => stayAwake());
</script>

<Stage
  title="Work order"
  subtitle="{view.steps.length} steps · {formatHours(standing.minutesLeft)} h of hands left"
>
  {#snippet tools()}
    {#if job}
      <Field label="Start"
        ><select
          value={job.schools.start}
          onchange={(event) => school('start', event.currentTarget.value)}
        >
          <option value="bench">on the bench first</option><option value="straight"
            >straight in</option
          >
        </select></Field
      >
      <Field label="PSU"
        ><select
          value={job.schools.supply}
          onchange={(event) => school('supply', event.currentTarget.value)}
        >
          <option value="last">last, for room</option><option value="first"
            >first, to hide leads</option
          >
        </select></Field
      >
    {/if}
  {/snippet}
  {#if job}
    <p class="why">
      {job.schools.start === 'bench'
        ? 'Bench first: a fault found outside costs minutes, inside the case an hour.'
        : 'Straight in: saves one set-up; a fault then means taking it out again.'}
      {job.schools.supply === 'last'
        ? 'PSU last leaves room for hands at the board.'
        : 'PSU first lets its leads lie behind the board.'}
    </p>
  {/if}
  {#if view.steps.length === 0}
    <p>Nothing changes yet, so there is nothing to do. Say at Intake what goes in.</p>
  {:else if stops > 0}
    <p class="stops">
      {stops}
      {stops === 1 ? 'sum says' : 'sums say'} Stop. Settle {stops === 1 ? 'it' : 'them'} before the first
      screw.
    </p>
  {/if}
  {#if job}
    <WaitsAndDates
      {job}
      minutesLeft={standing.minutesLeft}
      due={(view.plan?.seats ?? []).flatMap(({ state, part }) =>
        state === 'comes' && part.place === 'buy' ? [part.due] : [],
      )}
    />
  {/if}
  <ol>
    {#each view.steps as step (step.id)}
      {@const done = ticks.get(step.id)}
      {@const chance = lastChance(step, view.questions)}
      <li class:done class:next={standing.next?.id === step.id} class:gate={step.gate}>
        <button
          class="tick"
          aria-pressed={done !== undefined}
          aria-label="{done ? 'Done' : 'Tick'}: {step.title}"
          onclick={() => tick(step)}
        >
          {#if done}<Check size={22} />{/if}
        </button>
        <div class="what">
          <b>{inUnit(step.title)}</b>
          {#if step.gate}<p class="see">Go on when: {step.gate}.</p>{/if}
          {#if step.why}<p class="soft">{step.why}</p>{/if}
          {#if !step.undoable}<p class="no-way-back">
              Cannot be undone.{chance.length > 0
                ? ` Last chance to measure: ${chance.map((question) => `${question.property.label} of ${question.part.name}`).join('; ')}.`
                : ''}
            </p>{/if}
          {#each step.cautions as caution (caution)}<p class="caution">{caution}</p>{/each}
          {#if step.tools.length > 0 || step.fasteners}<p class="soft">
              {inUnit([...step.tools, step.fasteners].filter(Boolean).join(' · '))}
            </p>{/if}
          {#if job && (done || step.photo || photographed.has(step.id))}
            <Photos
              place={{ jobId: job.id, about: { of: 'step', key: step.id } }}
              of="step: {step.title}"
              label={step.photo ? `${step.photo}: add a photo` : 'Add a photo'}
            />
          {/if}
          {#if done && others.length > 0 && notTicked(step.id).length > 0}
            <button class="batch no-print" onclick={() => tickAll(step)}
              >done on {notTicked(step.id).length === 1
                ? `job ${notTicked(step.id)[0]}`
                : `all ${notTicked(step.id).length + 1} alike`} too</button
            >
          {/if}
          {#if done}
            <p class="stamp">
              <span class="figure">{dateText(done.at, 'dayTime')}</span>
              <input
                value={done.note ?? ''}
                maxlength="300"
                placeholder="note"
                aria-label="Note on {step.title}"
                oninput={(event) => note(step, event.currentTarget.value)}
              />
            </p>
          {/if}
        </div>
        <span class="minutes" title="minutes of hands">
          <svg width="84" height="14" aria-hidden="true">
            <rect x="0" y="2" width={(step.minutes / longest) * 82} height="10" />
          </svg>
          <span class="figure">{step.minutes}</span>
          {#if step.leaveMinutes}<small>+{step.leaveMinutes} alone</small>{/if}
        </span>
      </li>
    {/each}
  </ol>
  <div class="room" aria-hidden="true">
    Notes{#each { length: 4 } as _, i (i)}<i></i>{/each}
  </div>
  <p class="law soft">
    Cautions are the usual ones. Local codes come first; work inside mains PSUs belongs to licensed
    people.
  </p>
</Stage>

<style>
  select {
    height: 38px;
  }
  .why {
    font-size: 14.5px;
    color: var(--ink-soft);
    margin-bottom: 6px;
  }
  .stops {
    padding: 8px 12px;
    background: var(--stop-wash);
    border-left: 5px solid var(--stop);
  }
  ol {
    list-style: none;
    margin: 8px 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: 46px minmax(0, 1fr) 118px;
    gap: 10px;
    padding: 6px 0;
    border-bottom: 1px solid var(--line);
    border-left: 5px solid transparent;
    padding-left: 8px;
    break-inside: avoid;
  }
  .gate {
    border-bottom: 3px double var(--ink);
  }
  .next {
    border-left-color: var(--accent);
    background: var(--tape-lit);
  }
  .batch {
    min-height: 36px;
    padding: 0 10px;
    border: 1px solid var(--line);
    background: none;
    color: inherit;
    font-size: 14px;
  }
  .tick {
    display: grid;
    place-items: center;
    width: var(--target);
    height: var(--target);
    border: 2px solid var(--ink);
    background: var(--tape);
  }
  .what b {
    font: 600 17px/1.25 var(--face-head);
  }
  .done .what b {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
  .what p {
    font-size: 14.5px;
    line-height: 1.3;
  }
  .see {
    font-weight: 700;
  }
  .caution,
  .no-way-back {
    padding-left: 10px;
    border-left: 4px solid var(--mend);
  }
  .no-way-back {
    border-color: var(--stop);
  }
  .stamp {
    display: flex;
    gap: 10px;
    align-items: baseline;
  }
  .stamp input {
    flex: 1;
    height: 32px;
    border: 0;
    border-bottom: 1px dotted var(--ink);
    background: none;
  }
  .minutes {
    display: grid;
    grid-template-columns: 84px auto;
    gap: 4px;
    align-content: start;
    padding-top: 12px;
    font-size: 14px;
  }
  .minutes rect {
    fill: var(--ink-soft);
    opacity: 0.55;
  }
  .minutes small {
    grid-column: 1 / -1;
    font-size: 13px;
    color: var(--ink-soft);
  }
  .law {
    font-size: 14px;
  }
  @media (max-width: 37.5em) {
    li {
      grid-template-columns: 46px minmax(0, 1fr) 44px;
    }
    .minutes {
      grid-template-columns: auto;
    }
    .minutes svg {
      display: none;
    }
  }
  .room {
    display: none;
  }
  @media print {
    .why {
      display: none;
    }
    ol {
      columns: 2;
      column-gap: 8mm;
    }
    li {
      grid-template-columns: 7mm minmax(0, 1fr) 9mm;
      gap: 2mm;
      padding: 1.2mm 0;
      border-left: 0;
    }
    .tick {
      width: 5mm;
      height: 5mm;
      min-height: 0;
      border-width: 1pt;
    }
    .what b {
      font-size: 9.5pt;
    }
    .what p {
      font-size: 8pt;
      line-height: 1.2;
    }
    .minutes {
      display: block;
      padding: 0;
      font-size: 8.5pt;
      text-align: right;
    }
    .minutes svg {
      display: none;
    }
    .room {
      display: block;
      margin-top: 4mm;
      break-inside: avoid;
    }
    .room i {
      display: block;
      height: 8mm;
      border-bottom: 0.5pt solid #999;
    }
  }
</style>
