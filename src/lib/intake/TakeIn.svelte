<script lang="ts">
  import { compareSeats, freeSeat, kindName, seatName } from '$core/model/types/seats.ts';
  import { inStages, stageName, stageOf } from '$core/model/types/stages.ts';
  import { kinds, manyKinds, type Kind } from '$core/model/types/types.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { editMachine, keepSeat, putPart, stageSeat } from '$core/edits/edits.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import { litres } from '$lib/draw/sizes.ts';
  import Intake from '$lib/intake/Intake.svelte';
  import MachineAndJob from './MachineAndJob.svelte';
  import JustRead from './JustRead.svelte';
  import Unsettled from '$lib/intake/Unsettled.svelte';
  import PartPicker from '$lib/parts/PartPicker.svelte';
  import PartSheet from '$lib/parts/PartSheet.svelte';
  import Strands from './SeatLines.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Photos from '$lib/photos/Photos.svelte';

  const { view }: { view: JobView } = $props();
  let taking = $state(false);
  let picking = $state<string | undefined>();
  let showing = $state<string | undefined>();

  const job = $derived(view.job);
  const machine = $derived(view.plan?.machine);
  const found = $derived(machine && foundOf(shopStore.shop, machine.seats));
  const foundCut = $derived(found && caseCut(found));
  const plan = $derived(view.plan);
  const planCut = $derived(plan && caseCut(plan));
  const changed = $derived((job?.changes.length ?? 0) > 0);
  const rows = $derived.by(() => {
    const seats = new Set([
      ...(found?.seats.map((placed) => placed.seat) ?? []),
      ...(plan?.seats.map((placed) => placed.seat) ?? []),
    ]);
    return [...seats].sort(compareSeats).map((seat) => {
      const was = found?.seats.find((placed) => placed.seat === seat)?.part;
      const shall = plan?.seats.find((placed) => placed.seat === seat)?.part;
      const mark: 'stays' | 'comes' | 'goes' =
        was && shall?.id === was.id ? 'stays' : shall ? 'comes' : 'goes';
      const [first, ...later] = inStages(job?.changes ?? []).filter((each) => each.seat === seat);
      const when =
        later.length > 0
          ? `in ${later.length + 1} stages`
          : first && stageOf(first) > 1
            ? stageName(stageOf(first))
            : '';
      return { seat, was, shall, mark, when };
    });
  });
  const missing = $derived(
    kinds.filter((kind) => manyKinds.includes(kind) || !rows.some((row) => row.seat === kind)),
  );

  function addSeat(kind: Kind): void {
    picking = freeSeat(
      kind,
      rows.map((row) => row.seat),
    );
    uiState.seat = picking;
  }

  function pick(seat: string): void {
    picking = seat;
    uiState.seat = seat;
  }

  function put(seat: string, partId: string | null, stage: number): void {
    if (job)
      shopStore.edit(
        partId ? `${partId} as ${seatName(seat)}` : `${seatName(seat)} left out`,
        putPart(job.id, seat, partId, stage),
      );
    close();
  }

  function move(seat: string, from: number, to: number): void {
    if (job)
      shopStore.edit(`${seatName(seat)}: ${stageName(to)}`, stageSeat(job.id, seat, from, to));
  }

  /** As found again: a part of the machine stays, one that was to come is dropped. */
  function keep(seat: string): void {
    if (job) shopStore.edit(`${seatName(seat)} as found`, keepSeat(job.id, seat));
    close();
  }

  function close(): void {
    picking = undefined;
    uiState.seat = undefined;
  }
</script>

<Stage
  title="Intake"
  subtitle={machine
    ? 'as found beside as it shall be · everything not mentioned is kept'
    : 'nothing taken in yet'}
>
  {#snippet tools()}
    {#if machine}<Button onclick={() => (taking = true)}>Take in more</Button>{/if}
  {/snippet}
  {#if job}<JustRead jobId={job.id} />{/if}
  {#if machine?.unsettled}<Unsettled {machine} />{/if}
  {#if job && !machine}
    <Intake {job} />
  {/if}
  {#if job && (machine || changed)}
    <div class="pair">
      {#if foundCut}
        <figure>
          <figcaption>
            <b>As found</b>
            {litres(foundCut.outside).toFixed(1)} l{foundCut.outside.known ? '' : ', not measured'}
          </figcaption>
          <CaseCut
            cut={foundCut}
            width={370}
            height={250}
            end={false}
            title="The machine as found, from the side"
            ongrab={pick}
          />
        </figure>
      {/if}
      {#if planCut && changed}
        <figure>
          <figcaption>
            <b>As it shall be</b>
            {litres(planCut.outside).toFixed(1)} l{planCut.outside.known ? '' : ', not measured'}
          </figcaption>
          <CaseCut
            cut={planCut}
            width={370}
            height={250}
            end={false}
            found={view.found}
            chosen={uiState.chosen}
            title="The machine as it shall be, from the side"
            ongrab={pick}
          />
        </figure>
      {:else if plan && !planCut}
        <figure class="nocase">
          <figcaption><b>As it shall be</b></figcaption>
          <p>No case in the plan yet.</p>
        </figure>
      {/if}
    </div>

    <Strands {rows} onpick={pick} />
    <p class="add">
      <span>Put in:</span>
      {#each missing as kind (kind)}
        <button onclick={() => addSeat(kind)}>{kindName(kind)}</button>
      {/each}
    </p>
    {#if machine}
      <Photos
        place={{ machineId: machine.id }}
        of={machine.name}
        when="before"
        label="Photo as it came in"
      />
      <p class="origin">
        <Select
          label="Does it start?"
          options={[
            { value: 'yes', words: 'yes' },
            { value: 'no', words: 'no' },
          ]}
          none="not tried"
          value={machine.starts === undefined ? '' : machine.starts ? 'yes' : 'no'}
          onchange={(event) => {
            const value = event.currentTarget.value;
            shopStore.edit(
              'does it start',
              editMachine(machine.id, { starts: value === '' ? undefined : value === 'yes' }),
            );
          }}
        />
        <TextField
          label="From"
          value={machine.origin ?? ''}
          maxlength={200}
          placeholder="from whom, when"
          oninput={(event) =>
            shopStore.edit(
              'origin',
              editMachine(machine.id, { origin: event.currentTarget.value || undefined }),
              `origin ${machine.id}`,
            )}
        />
        <TextField
          wide
          label="Note"
          value={machine.note ?? ''}
          maxlength={400}
          placeholder="damp smell, broken clip …"
          oninput={(event) =>
            shopStore.edit(
              'note',
              editMachine(machine.id, { note: event.currentTarget.value || undefined }),
              `note ${machine.id}`,
            )}
        />
      </p>
    {/if}
  {/if}
  {#if job}<MachineAndJob {job} {machine} />{/if}
</Stage>

{#if job && taking}<Intake {job} dialog onclose={() => (taking = false)} />{/if}
{#if job && picking}
  <PartPicker
    {job}
    seat={picking}
    onkeep={() => keep(picking as string)}
    onshow={(partId) => (showing = partId)}
    onpick={(partId, stage) => put(picking as string, partId, stage)}
    onstage={(from, to) => move(picking as string, from, to)}
    onclose={close}
  />
{/if}
{#if showing}<PartSheet partId={showing} onclose={() => (showing = undefined)} />{/if}

<style>
  .pair {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 30px;
    align-items: flex-end;
  }
  figure {
    margin: 0;
  }
  figcaption {
    margin-bottom: 4px;
    font-size: 15px;
    color: var(--ink-soft);
  }
  figcaption b {
    font: 600 18px var(--face-head);
    color: var(--ink);
    margin-right: 6px;
  }
  .add {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px;
    margin-top: 10px;
    font-size: 15px;
  }
  .add button {
    min-height: 36px;
    padding: 0 10px;
    border: 1px solid var(--line);
    border-radius: 3px;
    background: var(--paper);
    color: var(--ink);
    font: 500 15px var(--face-head);
  }
  .add button:hover {
    background: var(--paper-deep);
  }
  .origin {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    margin-top: 10px;
    font-size: 15px;
  }
</style>
