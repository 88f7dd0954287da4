<script lang="ts">
  import { stayAwake } from '$lib/frame/awake.ts';
  import { batchOf } from '$core/edits/batchEdits.ts';
  import { editSchools } from '$core/edits/edits.ts';
  import { editItem } from '$core/shop/items.ts';
  import type { OwnStep } from '$core/model/types/finishTypes.ts';
  import { ownId, progress } from '$core/order/index.ts';
  import { formatHours } from '$core/units/duration.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Button from '$lib/ui/Button.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import OwnStepForm from './OwnStepForm.svelte';
  import StepRow from './StepRow.svelte';
  import WaitsAndDates from './WaitsAndDates.svelte';
  import { orderViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const job = $derived(view.job);
  const standing = $derived(progress(view.steps, job?.ticks ?? []));
  const photographed = $derived(
    new Set(
      shopStore.shop.photos.flatMap(({ jobId, about }) =>
        jobId === job?.id && about?.of === 'step' ? about.key : [],
      ),
    ),
  );
  const longest = $derived(Math.max(10, ...view.steps.map((step) => step.minutes)));
  const stops = $derived(view.found.filter((finding) => finding.mark === 'stop').length);
  /** Jobs of a batch are ticked together or singly. */
  const others = $derived(job ? batchOf(shopStore.shop, job) : []);

  function school(which: 'start' | 'supply', value: string): void {
    if (job) shopStore.edit('school of work', editSchools(job.id, { [which]: value }));
  }
  $effect(() => stayAwake());

  const shown = new ViewSwitch(orderViews);
  const ownOf = $derived(new Map((job?.own ?? []).map((each) => [ownId(each.id), each])));
  /** A step of one's own is being written, after this one. */
  let adding = $state(false);
  let dragged = $state.raw<OwnStep | undefined>(undefined);

  /** One of our own moves behind another step; undefined: first of all. */
  function place(own: OwnStep, after: string | undefined): void {
    if (!job || after === ownId(own.id) || after === own.after) return;
    void shopStore.edit(`moved: ${own.title}`, editItem(job.id, 'own', own, { after }));
  }
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
    {#if job}
      {#each view.steps as step (step.id)}
        {@const own = ownOf.get(step.id)}
        <StepRow
          {job}
          {step}
          {own}
          {others}
          questions={view.questions}
          next={standing.next?.id === step.id}
          photographed={photographed.has(step.id)}
          {longest}
          onshift={(by) => own && shift(own, by)}
          ondragstart={(event) => startDrag(event, own)}
          ondragend={() => (dragged = undefined)}
          ondragover={(event) => dragged && event.preventDefault()}
          ondrop={() => dragged && place(dragged, step.id)}
        />
      {/each}
    {/if}
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
  .law {
    font-size: 14px;
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
