<script lang="ts">
  import { say } from '$lib/shop/units.svelte.ts';
  import { freshFinish } from '$core/finish/fresh.ts';
  import { addItems } from '$core/shop/items.ts';
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import type { Finish } from '$core/model/types/finishTypes.ts';
  import Button from '$lib/ui/Button.svelte';
  import { outsideOf } from '$lib/draw/sizes.ts';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import FinishWork from './FinishWork.svelte';

  const { plan, view }: ViewProps = $props();
  const job = $derived(view.job);
  const sorts: readonly [Finish['do'], string][] = [
    ['paint', 'Paint'],
    ['bath', 'Against yellowing'],
    ['wash', 'Wash'],
    ['glue', 'Glue'],
    ['filler', 'Fill'],
    ['metal', 'File, drill, cut'],
    ['print', 'Printed part'],
    ['old shell', 'Old shell'],
  ];
  const box = $derived.by(() => {
    const shell = partOfKind(plan, 'case');
    if (!shell) return undefined;
    const { w, h, d } = outsideOf(shopStore.shop, shell.part);
    return { width: w, height: h, depth: d };
  });

  /** The first number that is free. */
  function freeId(): string {
    const taken = new Set(job?.finishes.map(({ id }) => id));
    for (let i = 1; ; i += 1) if (!taken.has(`f${i}`)) return `f${i}`;
  }
  function add(sort: Finish['do'], label: string): void {
    if (!job) return;
    void shopStore.edit(
      `planned: ${label.toLowerCase()}`,
      addItems(job.id, 'finishes', [freshFinish(sort, freeId())]),
    );
  }
</script>

{#if job}
  <p class="soft">
    Each becomes steps of the work order with the hours they must be left alone. Times are those of
    data sheets at {say('20 °C')} and 50 %; say the room’s and they follow. Cans’ own labels come first.
  </p>
  <div class="add" role="group" aria-label="Add work on a surface">
    {#each sorts as [sort, label] (sort)}
      <Button onclick={() => add(sort, label)}>{label}</Button>
    {/each}
  </div>
  {#each job.finishes as work (work.id)}
    <FinishWork
      {job}
      {work}
      {box}
      against={view.found.filter(
        ({ station, id }) => station === 'order' && id.endsWith(`:${work.id}`),
      )}
    />
  {:else}
    <p>Nothing is painted, washed, glued or printed in this job.</p>
  {/each}
{/if}

<style>
  .add {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 6px 0 10px;
  }
</style>
