<script lang="ts">
  import { dateText } from '$lib/ui/dates.ts';
  import { stayAwake } from '$lib/frame/awake.ts';
  import Check from '@lucide/svelte/icons/check';
  import { batchOf, tickTogether } from '$core/edits/batchEdits.ts';
  import { editSchools, tickStep, timeStep, untickStep } from '$core/edits/edits.ts';
  import { dropItem, editItem } from '$core/shop/items.ts';
  import type { OwnStep } from '$core/model/types/finishTypes.ts';
  import { lastChance } from '$core/plan/lastChance.ts';
  import { ownId, progress, windowOf, type Step } from '$core/order/index.ts';
  import { formatHours } from '$core/units/duration.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Button from '$lib/ui/Button.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import OwnStepForm from './OwnStepForm.svelte';
  import WaitsAndDates from './WaitsAndDates.svelte';
  import { orderViews } from './views.ts';
  import Photos from '$lib/photos/Photos.svelte';

  const { view }: { view: JobView } = $props();
  const job = $derived(view.job);
  const standing = $derived(progress(view.steps, job?.ticks ?? []));
  const inUnit = (text: string) => spoken(text, shopStore.shop.settings);
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

  const shown = new ViewSwitch(orderViews);
  const started = $derived(new Map((job?.started ?? []).map((each) => [each.stepId, each.at])));
  const ownOf = $derived(new Map((job?.own ?? []).map((each) => [ownId(each.id), each])));
  /** A step of one's own is being written, after this one. */
  let adding = $state(false);
  let dragged = $state.raw<OwnStep | undefined>(undefined);

  function time(step: Step): void {
    if (!job) return;
    const running = started.has(step.id);
    void shopStore.edit(
      running ? `timer off: ${step.title}` : `started: ${step.title}`,
      timeStep(job.id, step.id, running ? undefined : new Date().toISOString()),
    );
  }
  /** What is left of a running step: "started 14:05, 0:35 left". */
  function timerWords(step: Step, at: string): string {
    const left = step.minutes - (Date.parse(shopStore.now) - Date.parse(at)) / 60_000;
    const from = `started ${dateText(at, 'time')}`;
    return left >= 0
      ? `${from}, ${formatHours(Math.ceil(left))} left`
      : `${from}, ${formatHours(Math.floor(-left))} over`;
  }
  /** One of our own moves behind another step; undefined: first of all. */
  function place(own: OwnStep, after: string | undefined): void {
    if (!job || after === ownId(own.id) || after === own.after) return;
    void shopStore.edit(`moved: ${own.title}`, editItem(job.id, 'own', own, { after }));
  }
  const aloneWords = (minutes: number): string =>
    minutes < 120
      ? `${minutes} min`
      : minutes < 2880
        ? `${Math.round(minutes / 60)} h`
        : `${Math.round(minutes / 1440)} days`;
  function startDrag(event: DragEvent, own: OwnStep | undefined): void {
    if (!own) return;
    dragged = own;
    event.dataTransfer?.setData('text/plain', own.title);
  }
  function shift(own: OwnStep, by: 1 | -1): void {
    const others = view.steps.filter(({ id }) => id !== ownId(own.id));
    const at = view.steps.findIndex(({ id }) => id === ownId(own.id)) + by;
    if (at < 0 || at > others.length) return;
    place(own, others[at - 1]?.id);
  }
</script>

<Stage
  title="Work order"
  subtitle="{view.steps.length} steps · {formatHours(standing.minutesLeft)} h of hands left"
>
  {#snippet tools()}
    <ViewButtons views={orderViews} {shown} />
    {#if job && !shown.open}
      <Select
        label="Start"
        options={[
          { value: 'bench', words: 'on the bench first' },
          { value: 'straight', words: 'straight in' },
        ]}
        value={job.schools.start}
        onchange={(event) => school('start', event.currentTarget.value)}
      />
      <Select
        label="PSU"
        options={[
          { value: 'last', words: 'last, for room' },
          { value: 'first', words: 'first, to hide leads' },
        ]}
        value={job.schools.supply}
        onchange={(event) => school('supply', event.currentTarget.value)}
      />
    {/if}
  {/snippet}
  {#if shown.open}
    {#if shown.Shown && view.plan}<shown.Shown plan={view.plan} {view} onclose={shown.close} />{/if}
  {:else}
    {@render order()}
  {/if}
</Stage>

{#snippet order()}
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
    <WaitsAndDates {job} />
  {/if}
  {#if job}
    {#if adding}
      <OwnStepForm
        {job}
        steps={view.steps}
        after={standing.done.at(-1)?.id}
        onclose={() => (adding = false)}
      />
    {:else}
      <p class="no-print">
        <Button onclick={() => (adding = true)}>Add a step of your own</Button>
      </p>
    {/if}
  {/if}
  <ol>
    {#each view.steps as step (step.id)}
      {@const done = ticks.get(step.id)}
      {@const chance = lastChance(step, view.questions)}
      {@const own = ownOf.get(step.id)}
      {@const begun = started.get(step.id)}
      {@const coat = job && windowOf(step, job.ticks, shopStore.now)}
      <li
        class:done
        class:next={standing.next?.id === step.id}
        class:gate={step.gate}
        draggable={own !== undefined}
        ondragstart={(event) => startDrag(event, own)}
        ondragend={() => (dragged = undefined)}
        ondragover={(event) => dragged && event.preventDefault()}
        ondrop={() => dragged && place(dragged, step.id)}
      >
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
          {#if step.gate}<p class="see">Go on when: {inUnit(step.gate)}.</p>{/if}
          {#if step.why}<p class="soft">{inUnit(step.why)}</p>{/if}
          {#if step.who}<p class="soft">{step.who}</p>{/if}
          {#if coat?.past}
            <p class="no-way-back">Too late since {dateText(coat.until, 'time')}: {coat.past}.</p>
          {:else if coat}
            <p class="caution">Until {dateText(coat.until, 'dayTime')}, or it is sanded again.</p>
          {/if}
          {#if !step.undoable}<p class="no-way-back">
              Cannot be undone.{chance.length > 0
                ? ` Last chance to measure: ${chance.map((question) => `${question.property.label} of ${question.part.name}`).join('; ')}.`
                : ''}
            </p>{/if}
          {#each step.cautions as caution (caution)}<p class="caution">{inUnit(caution)}</p>{/each}
          {#if step.tools.length > 0 || step.fasteners}<p class="soft">
              {inUnit([...step.tools, step.fasteners].filter(Boolean).join(' · '))}
            </p>{/if}
          {#if begun !== undefined && !done}
            <p class="timer figure" role="timer">{timerWords(step, begun)}</p>
          {/if}
          {#if !done && (begun !== undefined || standing.next?.id === step.id)}
            <button class="batch no-print" onclick={() => time(step)}
              >{begun === undefined ? 'Start the timer' : 'Timer off'}</button
            >
          {/if}
          {#if own && job}
            <span class="no-print">
              <button class="batch" aria-label="Earlier: {own.title}" onclick={() => shift(own, -1)}
                >earlier</button
              >
              <button class="batch" aria-label="Later: {own.title}" onclick={() => shift(own, 1)}
                >later</button
              >
              <button
                class="batch"
                aria-label="Take out: {own.title}"
                onclick={() =>
                  void shopStore.edit(`out: ${own.title}`, dropItem(job.id, 'own', own))}
                >take out</button
              >
            </span>
          {/if}
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
                maxlength={300}
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
          {#if step.leaveMinutes}<small>+{aloneWords(step.leaveMinutes)} alone</small>{/if}
          {#if step.timed}<small>our own, {step.timed} times</small>{/if}
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
{/snippet}

<style>
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
  .timer {
    color: var(--accent-ink);
    font-weight: 700;
  }
  li[draggable='true'] {
    cursor: grab;
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
