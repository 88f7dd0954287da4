<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { takeChoice } from '$core/edits/edits.ts';
  import { recordFact } from '$lib/shop/recordFact.ts';
  import { numberAt, type Plan } from '$core/model/lookup/plan.ts';
  import { isNumberKey, property } from '$core/model/properties/index.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { choicesFor, type Choice } from '$core/resolve/choices.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import { gapPlace } from '$lib/draw/gapPlace.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import type { Chosen } from '$lib/frame/chosen.svelte.ts';
  import Mark from '$lib/ui/Mark.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import { dropsInto, type Rect } from './seatMove.ts';
  import SeatMove from './SeatMove.svelte';

  interface Props {
    view: JobView;
    plan: Plan;
    chosen: Chosen;
  }
  const { view, plan, chosen }: Props = $props();
  const cut = $derived(caseCut(plan));
  const gap = $derived(cut && gapPlace(plan, chosen.finding, cut.end.w));
  let width = $state(760);
  /** The part in hand and where it may go; worked out when it is taken hold of, not while it moves. */
  let held = $state.raw<{ seat: string; choices: Choice[]; rects: Rect[] } | undefined>();
  let from = $state.raw<{ x: number; y: number } | undefined>();
  let moved = $state.raw<{ x: number; y: number } | undefined>();
  let over = $state(0);

  /** The figures behind the sum in hand, typed where they act. */
  const inputs = $derived(
    (chosen.finding?.terms ?? []).flatMap((term) => {
      const placed = plan.seats.find((each) => each.seat === term.input?.seat);
      const key = term.input?.key;
      if (!placed || key === undefined || !isNumberKey(key)) return [];
      const asked = property(placed.kind, key);
      return asked ? [{ term, placed, asked, told: numberAt(plan, placed, key) }] : [];
    }),
  );

  /** Pressing a part brings up its sums; pressing again goes on to the next of them. */
  function choose(seat: string): void {
    const own = chosen.here.filter((finding) => finding.seats.includes(seat));
    const at = own.findIndex((finding) => finding.id === chosen.finding?.id);
    const next = own[(at + 1) % Math.max(1, own.length)];
    if (next) uiState.chosen = next.id;
  }

  function hold(seat: string): void {
    if (!view.job) return;
    const choices = choicesFor(shopStore.shop, view.job, seat);
    held = { seat, choices, rects: choices.map(rectOf) };
  }

  const rectOf = ({ box }: Choice): Rect => ({
    x: mid(box.x[0]),
    y: mid(box.y[0]),
    w: mid(box.x[1]) - mid(box.x[0]),
    h: mid(box.y[1]) - mid(box.y[0]),
  });

  function grab(seat: string, event: PointerEvent): void {
    choose(seat);
    hold(seat);
    from = { x: event.clientX, y: event.clientY };
    moved = undefined;
    over = 0;
  }

  function move(event: PointerEvent): void {
    if (!from || !held || held.choices.length < 2) return;
    moved = { x: event.clientX - from.x, y: event.clientY - from.y };
    const toMm = 1 / shownScale;
    over = dropsInto(held.rects, { x: moved.x * toMm, y: moved.y * toMm });
  }
  let shownScale = 1;
  const keep = (scale: number) => ((shownScale = scale), '');

  function drop(): void {
    if (held && over > 0) put(held.choices[over]);
    from = undefined;
    moved = undefined;
    over = 0;
  }

  function put(choice: Choice | undefined): void {
    if (!choice || !view.job || !held) return;
    shopStore.edit(`${seatName(held.seat)}: ${choice.label}`, takeChoice(view.job.id, choice));
    hold(held.seat);
  }

  const places = $derived(
    held && plan.seats.some((placed) => placed.seat === held?.seat) ? held : undefined,
  );
</script>

<svelte:window onpointermove={move} onpointerup={drop} />

{#if cut}
  <div class="picture">
    <div class="sections" bind:clientWidth={width}>
      <CaseCut
        {cut}
        width={Math.max(280, width)}
        height={400}
        found={view.found}
        chosen={chosen.finding?.id}
        {gap}
        title="The case cut open with the parts as planned, to scale"
        ongrab={grab}
      >
        {#snippet overlay({ scale, endX, top, left })}
          {keep(scale)}
          {#if places && (places.choices.length > 1 || moved)}
            <SeatMove
              choices={places.choices}
              {scale}
              {left}
              {top}
              {endX}
              thick={cut.end.w}
              {moved}
              {over}
            />
          {/if}
        {/snippet}
      </CaseCut>
    </div>
    {#if chosen.finding}
      <div class="inputs">
        <h2>{chosen.finding.title}</h2>
        <p>{spoken(chosen.finding.say, shopStore.shop.settings)}</p>
        {#each inputs as { term, placed, asked, told } (`${term.input?.partId} ${term.input?.key}`)}
          <MeasureField
            label="{term.label}, {placed.part.name}"
            unit={asked.measure}
            lengths={shopStore.shop.settings.unit}
            value={told}
            open={told?.how === 'class'}
            most={asked.most}
            onmeasure={(value) => recordFact(placed.part, asked.key, { lo: value, hi: value })}
          />
        {/each}
      </div>
    {/if}
  </div>
  <div class="seats" role="group" aria-label="Parts of the picture">
    {#each plan.seats.filter( (placed) => cut.side.boxes.some((box) => box.seat === placed.seat) ) as placed (placed.seat)}
      <button
        aria-pressed={held?.seat === placed.seat}
        onclick={() => (choose(placed.seat), hold(placed.seat))}>{seatName(placed.seat)}</button
      >
    {/each}
    {#if places && places.choices.length > 1}
      <span class="places">
        {seatName(places.seat)} may go:
        {#each places.choices.slice(1) as choice (choice.label)}
          <button class="place" onclick={() => put(choice)}
            ><Mark mark={choice.mark} size={16} /> {choice.label}</button
          >
        {/each}
      </span>
    {/if}
  </div>
{:else}
  <p>Put a case into the plan at Intake, and its parts are drawn here to scale.</p>
{/if}

<style>
  .picture {
    display: flex;
    gap: 20px;
  }
  .sections {
    flex: 1;
    min-width: 0;
  }
  .inputs {
    display: flex;
    flex-direction: column;
    gap: 8px;
    flex: 0 0 190px;
    max-height: 400px;
    overflow-y: auto;
  }
  .inputs p {
    font-size: 15px;
  }
  .seats {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 6px;
    align-items: center;
    margin-top: 2px;
  }
  .seats button {
    min-height: 30px;
    padding: 2px 8px;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: var(--ink-soft);
    font-size: 14.5px;
  }
  .seats button:hover,
  .seats button[aria-pressed='true'] {
    border-bottom-color: var(--accent);
    color: var(--ink);
  }
  .places {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 8px;
    align-items: center;
    font-size: 14.5px;
    font-weight: 600;
  }
  .seats button.place {
    display: flex;
    gap: 6px;
    align-items: center;
    border: 1.5px solid var(--ink);
    border-radius: 3px;
    color: var(--ink);
  }
  @media (max-width: 43.75em) {
    .picture {
      flex-direction: column;
    }
    .inputs {
      flex: none;
    }
    .seats button {
      min-height: 44px;
    }
  }
</style>
