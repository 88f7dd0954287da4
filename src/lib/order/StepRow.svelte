<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import type { HTMLLiAttributes } from 'svelte/elements';
  import { tickTogether } from '$core/edits/batchEdits.ts';
  import { tickStep, timeStep, untickStep } from '$core/edits/edits.ts';
  import type { Question } from '$core/plan/questions.ts';
  import type { OwnStep } from '$core/model/types/finishTypes.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { windowOf, type Step } from '$core/order/index.ts';
  import { lastChance } from '$core/plan/lastChance.ts';
  import { dropItem } from '$core/shop/items.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { formatHours } from '$core/units/duration.ts';
  import Photos from '$lib/photos/Photos.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { dateText } from '$lib/ui/dates.ts';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props extends HTMLLiAttributes {
    job: Job;
    step: Step;
    /** One of our own: it can be moved and taken out. */
    own: OwnStep | undefined;
    /** Other jobs of its batch. */
    others: readonly Job[];
    /** What is asked of the plan: what cannot be measured after this step is told. */
    questions: readonly Question[];
    /** The first that is not done. */
    next: boolean;
    photographed: boolean;
    /** The longest step, min: bars are drawn to it. */
    longest: number;
    /** Moved earlier or later by one. */
    onshift: (by: 1 | -1) => void;
  }
  /** A step of the work order: tick, what to do, its time. */
  const {
    job,
    step,
    own,
    others,
    questions,
    next,
    photographed,
    longest,
    onshift,
    ...rest
  }: Props = $props();

  const inUnit = (text: string) => spoken(text, shopStore.shop.settings);
  const done = $derived(job.ticks.find(({ stepId }) => stepId === step.id));
  const begun = $derived(job.started.find(({ stepId }) => stepId === step.id)?.at);
  const chance = $derived(lastChance(step, questions));
  const coat = $derived(windowOf(step, job.ticks, shopStore.now));
  const notTicked = $derived(
    others
      .filter(({ ticks }) => !ticks.some(({ stepId }) => stepId === step.id))
      .map(({ id }) => id),
  );

  function tick(): void {
    if (done) {
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
  function tickAll(): void {
    void shopStore.edit(
      `done on ${notTicked.length + 1}: ${step.title}`,
      tickTogether(notTicked, step.id, new Date().toISOString()),
    );
  }
  function note(text: string): void {
    if (done)
      shopStore.edit(
        'note on a step',
        tickStep(job.id, { ...done, note: text || undefined }),
        `note ${job.id} ${step.id}`,
      );
  }
  function time(): void {
    const running = begun !== undefined;
    void shopStore.edit(
      running ? `timer off: ${step.title}` : `started: ${step.title}`,
      timeStep(job.id, step.id, running ? undefined : new Date().toISOString()),
    );
  }
  /** What is left of a running step: "started 14:05, 0:35 left". */
  function timerWords(at: string): string {
    const left = step.minutes - (Date.parse(shopStore.now) - Date.parse(at)) / 60_000;
    const from = `started ${dateText(at, 'time')}`;
    return left >= 0
      ? `${from}, ${formatHours(Math.ceil(left))} left`
      : `${from}, ${formatHours(Math.floor(-left))} over`;
  }
  const aloneWords = (minutes: number): string =>
    minutes < 120
      ? `${minutes} min`
      : minutes < 2880
        ? `${Math.round(minutes / 60)} h`
        : `${Math.round(minutes / 1440)} days`;
</script>

<li class:done class:next class:gate={step.gate} draggable={own !== undefined} {...rest}>
  <button
    class="tick"
    aria-pressed={done !== undefined}
    aria-label="{done ? 'Done' : 'Tick'}: {step.title}"
    onclick={tick}
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
      <p class="timer figure" role="timer">{timerWords(begun)}</p>
    {/if}
    {#if !done && (begun !== undefined || next)}
      <button class="small no-print" onclick={time}
        >{begun === undefined ? 'Start the timer' : 'Timer off'}</button
      >
    {/if}
    {#if own}
      <span class="no-print">
        <button class="small" aria-label="Earlier: {own.title}" onclick={() => onshift(-1)}
          >earlier</button
        >
        <button class="small" aria-label="Later: {own.title}" onclick={() => onshift(1)}
          >later</button
        >
        <button
          class="small"
          aria-label="Take out: {own.title}"
          onclick={() => void shopStore.edit(`out: ${own.title}`, dropItem(job.id, 'own', own))}
          >take out</button
        >
      </span>
    {/if}
    {#if done || step.photo || photographed}
      <Photos
        place={{ jobId: job.id, about: { of: 'step', key: step.id } }}
        of="step: {step.title}"
        label={step.photo ? `${step.photo}: add a photo` : 'Add a photo'}
      />
    {/if}
    {#if done && notTicked.length > 0}
      <button class="small no-print" onclick={tickAll}
        >done on {notTicked.length === 1
          ? `job ${notTicked[0]}`
          : `all ${notTicked.length + 1} alike`} too</button
      >
    {/if}
    {#if done}
      <p class="stamp">
        <span class="figure">{dateText(done.at, 'dayTime')}</span>
        <TextField
          label="Note on {step.title}"
          unseen
          wide
          value={done.note ?? ''}
          maxlength={300}
          placeholder="note"
          oninput={(event) => note(event.currentTarget.value)}
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

<style>
  li {
    display: grid;
    grid-template-columns: 46px minmax(0, 1fr) 118px;
    gap: 10px;
    padding: 6px 0 6px 8px;
    border-bottom: 1px solid var(--line);
    border-left: 5px solid transparent;
    break-inside: avoid;
  }
  li[draggable='true'] {
    cursor: grab;
  }
  .gate {
    border-bottom: 3px double var(--ink);
  }
  .next {
    border-left-color: var(--accent);
    background: var(--tape-lit);
  }
  .small {
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
  @media print {
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
  }
</style>
