<script lang="ts">
  import { makeFields } from '$core/make/fields.ts';
  import { freshMake } from '$core/make/fresh.ts';
  import { minutesOf } from '$core/make/minutes.ts';
  import { pieceOf } from '$core/make/pieceOf.ts';
  import { dropMake, nextMakeId, setMake } from '$core/edits/makeEdits.ts';
  import type { Make } from '$core/model/types/makeTypes.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import Stage from '../frame/Stage.svelte';
  import SumStage from '../frame/SumStage.svelte';
  import ViewButtons from '../frame/ViewButtons.svelte';
  import { ViewSwitch } from '../frame/views.svelte.ts';
  import Flat from './Flat.svelte';
  import Folded from './Folded.svelte';
  import Stock from './Stock.svelte';
  import TakeOut from './TakeOut.svelte';
  import Things from './Things.svelte';
  import { makeViews } from './views.ts';

  const { view }: { view: JobView } = $props();
  const sorts: readonly [Make['do'], string][] = [
    ['rear wall', 'Rear wall'],
    ['rear plate', 'Rear plate'],
    ['drill template', 'Holes'],
    ['plate', 'Plate'],
    ['L bracket', 'L bracket'],
    ['Z bracket', 'Z bracket'],
    ['slot bracket', 'Slot bracket'],
    ['card openings', 'Card openings'],
    ['PSU plate', 'PSU plate'],
    ['dust mesh', 'Dust mesh'],
  ];
  const shown = new ViewSwitch(makeViews);
  const job = $derived(view.job);
  const makes = $derived(job?.makes ?? []);
  const offered = $derived(view.found.flatMap(({ remedies }) => remedies));
  let picked = $state<string>();
  /* A sum chosen on the tape brings up what it is about. */
  const spoken = $derived(uiState.chosen?.split(':')[1]);
  const make = $derived(
    makes.find(({ id }) => id === picked) ?? makes.find(({ id }) => id === spoken) ?? makes[0],
  );
  const made = $derived(view.plan && make ? pieceOf(view.plan, make) : undefined);
  const piece = $derived(made && 'piece' in made ? made.piece : undefined);

  /** Pieces with an edge of their own out of the same sheet as the one in hand. */
  const alike = $derived(
    view.plan && piece?.outline
      ? makes.flatMap((each) => {
          if (each.material !== piece.material || each.thick !== piece.thick) return [];
          const one = view.plan && pieceOf(view.plan, each);
          return one && 'piece' in one && one.piece.outline ? [one.piece] : [];
        })
      : [],
  );

  /** Takes one in hand, with what stands against it. */
  function pick(id: string): void {
    picked = id;
    uiState.chosen = view.found.find(
      (each) => each.station === 'make' && each.mark !== 'clear' && each.id.split(':')[1] === id,
    )?.id;
  }

  function add(sort: Make['do'], label: string): void {
    if (!job) return;
    const id = nextMakeId(makes);
    picked = id;
    void shopStore.edit(
      `to make: ${label.toLowerCase()}`,
      setMake(job.id, freshMake(sort, id), offered),
    );
  }
  function set(name: string, label: string, value: unknown): void {
    if (!job || !make || value === undefined) return;
    void shopStore.edit(
      `${make.do}: ${label.toLowerCase()}`,
      setMake(job.id, { ...make, [name]: value } as Make, offered),
      `make ${job.id} ${make.id} ${name}`,
    );
  }
  function drop(): void {
    if (!job || !make) return;
    const { id, do: sort } = make;
    picked = undefined;
    void shopStore.edit(`not made: ${sort}`, dropMake(job.id, id));
  }
</script>

{#if shown.open && view.plan}
  <Stage
    title="Make"
    subtitle={shown.open.id === 'photo'
      ? 'measured in a picture, true to the mat'
      : 'printed, closed and true to size'}
  >
    {#snippet tools()}
      <ViewButtons views={makeViews} {shown} />
    {/snippet}
    {#if shown.Shown}<shown.Shown plan={view.plan} {view} onclose={shown.close} />{/if}
  </Stage>
{:else}
  <SumStage
    {view}
    station="make"
    subtitle="cut, drilled and bent by a template at true size"
    nothing={makes.length === 0
      ? 'Nothing is made for this job yet: pick what, and it is drawn from the plan’s own measures.'
      : ''}
  >
    {#snippet tools()}
      <ViewButtons views={makeViews} {shown} />
    {/snippet}
    {#snippet picture()}
      <Things
        verb="Make"
        undone="Not made after all"
        list={makes}
        open={make}
        {sorts}
        fields={makeFields}
        onpick={pick}
        onadd={add}
        onset={set}
        ondrop={drop}
      >
        {#snippet children(make)}
          {#if piece && job}
            <div class="pictures">
              <Flat {piece} />
              {#if make.do === 'L bracket' || make.do === 'Z bracket'}<Folded {make} />{/if}
            </div>
            <p class="soft">
              {piece.outline ? 'The flat piece' : 'The wall seen from inside, board’s edge left'},
              true to scale. {say(
                `About ${minutesOf(piece)} min of hands; it stands in the work order.`,
              )}
            </p>
            <TakeOut {piece} {job} />
          {:else if made && 'lacks' in made}
            <p class="lacks">{made.lacks}</p>
          {/if}
        {/snippet}
        {#snippet all()}
          {#if alike.length > 1}<Stock pieces={alike} />{/if}
        {/snippet}
      </Things>
    {/snippet}
  </SumStage>
{/if}

<style>
  .pictures {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 24px;
    align-items: center;
  }
  .lacks {
    padding: 24px 0;
    font-size: 18px;
  }
</style>
