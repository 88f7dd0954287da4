<script lang="ts">
  import { compareSeats, freeSeat, kindName, seatName } from '$core/model/seats.ts';
  import { kinds, manyKinds, type Kind } from '$core/model/types.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { editMachine, keepSeat, putPart } from '$core/edits/edits.ts';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { look } from '$lib/shop/look.svelte.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import { litres } from '$lib/draw/sizes.ts';
  import Intake from '$lib/intake/Intake.svelte';
  import PartPicker from '$lib/intake/PartPicker.svelte';
  import PartSheet from '$lib/intake/PartSheet.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const { view }: { view: JobView } = $props();
  let taking = $state(false);
  let picking = $state<string | undefined>();
  let showing = $state<string | undefined>();

  const job = $derived(view.job);
  const machine = $derived(view.plan?.machine);
  const found = $derived(machine && foundOf(bench.shop, machine.seats));
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
      const mark = was && shall?.id === was.id ? 'stays' : shall ? 'comes' : 'goes';
      return { seat, was, shall, mark };
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
    look.seat = picking;
  }

  function pick(seat: string): void {
    picking = seat;
    look.seat = seat;
  }

  function put(seat: string, partId: string | null): void {
    if (job)
      bench.edit(
        partId ? `${partId} as ${seatName(seat)}` : `${seatName(seat)} left out`,
        putPart(job.id, seat, partId),
      );
    close();
  }

  /** As found again: a part of the machine stays, one that was to come is dropped. */
  function keep(seat: string): void {
    if (job) bench.edit(`${seatName(seat)} as found`, keepSeat(job.id, seat));
    close();
  }

  function close(): void {
    picking = undefined;
    look.seat = undefined;
  }
</script>

<Stage
  title="Take-in"
  subtitle={machine
    ? 'as found beside as it shall be · everything not mentioned stays'
    : 'nothing taken in yet'}
>
  {#snippet tools()}
    {#if machine}<Button onclick={() => (taking = true)}>Take in more</Button>{/if}
  {/snippet}
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
            onseat={pick}
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
            chosen={look.chosen}
            title="The machine as it shall be, from the side"
            onseat={pick}
          />
        </figure>
      {:else if plan && !planCut}
        <figure class="nocase">
          <figcaption><b>As it shall be</b></figcaption>
          <p>No case in the plan yet.</p>
        </figure>
      {/if}
    </div>

    <ul class="strands" aria-label="Seats">
      {#each rows as row (row.seat)}
        <li>
          <button class={row.mark} onclick={() => pick(row.seat)}>
            <span class="seat">{seatName(row.seat)}</span>
            {#if row.mark === 'stays'}
              <span class="bar both">{row.was?.name}<i>stays</i></span>
            {:else}
              <span class="bar out" class:empty={!row.was}
                >{#if row.was}<s>{row.was.name}</s>{:else}empty{/if}{#if row.was}<i>goes</i
                  >{/if}</span
              >
              <span class="bar into" class:empty={!row.shall}
                >{row.shall?.name ?? 'left empty'}{#if row.shall}<i>comes, {row.shall.id}</i
                  >{/if}</span
              >
            {/if}
          </button>
        </li>
      {/each}
    </ul>
    <p class="add">
      <span>Put in:</span>
      {#each missing as kind (kind)}
        <button onclick={() => addSeat(kind)}>{kindName(kind)}</button>
      {/each}
    </p>
    {#if machine}
      <p class="origin">
        <label>
          Does it start?
          <select
            value={machine.starts === undefined ? '' : machine.starts ? 'yes' : 'no'}
            onchange={(event) => {
              const value = event.currentTarget.value;
              bench.edit(
                'does it start',
                editMachine(machine.id, { starts: value === '' ? undefined : value === 'yes' }),
              );
            }}
          >
            <option value="">not tried</option><option>yes</option><option>no</option>
          </select>
        </label>
        <label class="grow">
          From
          <input
            value={machine.origin ?? ''}
            maxlength="200"
            placeholder="from whom, when"
            oninput={(event) =>
              bench.edit(
                'origin',
                editMachine(machine.id, { origin: event.currentTarget.value || undefined }),
                `origin ${machine.id}`,
              )}
          />
        </label>
        <label class="grow">
          Note
          <input
            value={machine.note ?? ''}
            maxlength="400"
            placeholder="damp smell, broken clip …"
            oninput={(event) =>
              bench.edit(
                'note',
                editMachine(machine.id, { note: event.currentTarget.value || undefined }),
                `note ${machine.id}`,
              )}
          />
        </label>
      </p>
    {/if}
  {/if}
</Stage>

{#if job && taking}<Intake {job} dialog onclose={() => (taking = false)} />{/if}
{#if job && picking}
  <PartPicker
    {job}
    seat={picking}
    onkeep={() => keep(picking as string)}
    onshow={(partId) => (showing = partId)}
    onpick={(partId) => put(picking as string, partId)}
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
  .strands {
    margin: 10px 0 0;
    padding: 0;
    list-style: none;
  }
  .strands button {
    display: grid;
    grid-template-columns: 96px 1fr 1fr;
    gap: 0 8px;
    align-items: center;
    width: 100%;
    min-height: 34px;
    padding: 2px 0;
    border: 0;
    background: none;
    text-align: left;
    font-size: 15px;
  }
  .strands button:hover .seat {
    text-decoration: underline;
  }
  .seat {
    font: 600 16px var(--face-head);
  }
  .bar {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    min-width: 0;
    padding: 3px 10px;
    border: 1.5px solid var(--ink);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .bar i {
    font-style: normal;
    font-size: 13.5px;
  }
  .both {
    grid-column: 2 / 4;
    background: var(--part-stays);
    border-width: 1px;
  }
  .out {
    background: var(--part-goes);
    border-style: dashed;
    border-right-style: none;
    clip-path: polygon(0 0, 100% 0, calc(100% - 9px) 50%, 100% 100%, 0 100%);
  }
  .into {
    background: var(--part-comes);
    border-width: 2px;
    font-weight: 700;
    clip-path: polygon(0 0, 100% 0, 100% 100%, 0 100%, 9px 50%);
    padding-left: 18px;
  }
  .into i {
    font-weight: 400;
  }
  .empty {
    border-color: transparent;
    background: none;
    color: var(--ink-soft);
    font-weight: 400;
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
  .origin label {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  .grow {
    flex: 1;
  }
  input,
  select {
    height: 38px;
    min-width: 80px;
    width: 100%;
    border: 0;
    border-bottom: 1.5px solid var(--ink);
    background: var(--tape);
    padding: 0 6px;
  }
  @media (max-width: 600px) {
    .strands button {
      grid-template-columns: 72px 1fr;
    }
    .both,
    .into {
      grid-column: 2;
    }
  }
</style>
