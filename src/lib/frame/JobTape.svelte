<script lang="ts">
  import { spoken } from '$core/units/degrees.ts';
  import { remedyId, titleOf } from '$core/remedies/index.ts';
  import type { Finding, Remedy, StationId } from '$core/findings/finding.ts';
  import { applyRemedy, dropRemedy } from '$core/edits/edits.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Mark from '$lib/ui/Mark.svelte';
  import Sum from '$lib/ui/Sum.svelte';
  import { stationName } from '$lib/frame/stations.ts';
  import Tape from '$lib/frame/Tape.svelte';
  import MeasureList from '../entry/MeasureList.svelte';

  interface Props {
    view: JobView;
    station: StationId;
    /** Show the sums of every station, as where the plan is made. */
    everything?: boolean;
  }
  const { view, station, everything = false }: Props = $props();
  const here = $derived(view.found.filter((finding) => everything || finding.station === station));
  const open = $derived(here.filter((finding) => finding.mark !== 'clear'));
  const clear = $derived(here.filter((finding) => finding.mark === 'clear'));
  /** What is chosen or has just turned stands open among what is; the rest of what is clear is a number. */
  const shown = $derived(
    clear.filter(({ id }) => uiState.chosen === id || view.flips.get(id) !== undefined),
  );
  const folded = $derived(clear.filter((finding) => !shown.includes(finding)));
  const elsewhere = $derived(
    view.found.filter((finding) => finding.mark !== 'clear').length - open.length,
  );
  const gone = $derived(
    [...view.flips.values()].filter((flip) => flip.to === undefined && flip.before),
  );
  const ids = $derived(new Set(here.map((finding) => finding.id)));

  function choose(finding: Finding): void {
    uiState.chosen = uiState.chosen === finding.id ? undefined : finding.id;
  }

  function take(finding: Finding, remedy: Remedy): void {
    if (!view.job) return;
    shopStore.edit(`${remedy.title}`, applyRemedy(view.job.id, remedy));
  }
</script>

{#snippet line(finding: Finding)}
  <Sum
    {finding}
    units={shopStore.shop.settings}
    folded={uiState.chosen !== finding.id}
    chosen={uiState.chosen === finding.id}
    flip={view.flips.get(finding.id)}
    onchoose={() => choose(finding)}
  />
{/snippet}

<Tape title={stationName(station)} aside={elsewhere > 0 ? `${elsewhere} elsewhere` : ''}>
  {#if uiState.quick.length > 0 || (view.job?.sums.length ?? 0) > 0}
    {#await import('$lib/entry/QuickSums.svelte') then { default: QuickSums }}
      <QuickSums job={view.job} />
    {/await}
  {/if}
  {#if view.flips.size > 0}
    <p class="flips" aria-live="polite">
      The last change turned {view.flips.size}
      {view.flips.size === 1 ? 'sum' : 'sums'}.
    </p>
  {/if}
  <ul>
    {#each gone as flip (flip.id)}
      <li class="gone figure"><s>{flip.before?.title}, {flip.before?.marginLabel}</s></li>
    {/each}
    {#each open as finding (finding.id)}
      <Sum
        {finding}
        units={shopStore.shop.settings}
        folded={finding.mark === 'watch' && uiState.chosen !== finding.id}
        chosen={uiState.chosen === finding.id}
        flip={view.flips.get(finding.id)}
        onchoose={() => choose(finding)}
        ontake={(remedy) => take(finding, remedy)}
      />
    {/each}
    {#each shown as finding (finding.id)}{@render line(finding)}{/each}
  </ul>
  {#if folded.length > 0}
    <details class="clear">
      <summary><Mark mark="clear" size={16} /> {folded.length} clear</summary>
      <ul>
        {#each folded as finding (finding.id)}{@render line(finding)}{/each}
      </ul>
    </details>
  {/if}
  <MeasureList {view} only={everything ? undefined : ids} />
  {#if view.job && view.job.applied.length > 0}
    <section class="ink" aria-label="Remedies taken">
      {#each view.job.applied as value (remedyId(value))}
        <p>
          <span>{view.plan && spoken(titleOf(value, view.plan), shopStore.shop.settings)}</span>
          <button
            onclick={() =>
              view.job && shopStore.edit('remedy given back', dropRemedy(view.job.id, value))}
            >Give back</button
          >
        </p>
      {/each}
    </section>
  {/if}
  {#if here.length === 0}
    <p class="none">No sums here yet: they come with the parts.</p>
  {/if}
</Tape>

<style>
  ul {
    margin: 0;
    padding: 0;
  }
  .clear summary {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
    padding: 0 14px 0 19px;
    color: var(--ink-soft);
    font-size: 15px;
    cursor: pointer;
  }
  .flips {
    padding: 6px 14px 6px 19px;
    font-size: 14px;
    color: var(--accent-ink);
  }
  .gone {
    list-style: none;
    padding: 4px 14px 4px 19px;
    font-size: 13px;
    color: var(--ink-soft);
  }
  .ink p {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding: 8px 14px 8px 19px;
    border-bottom: 1px dashed var(--line);
    font-size: 15px;
  }
  .ink button {
    border: 0;
    background: none;
    text-decoration: underline;
    font-size: 14px;
    color: var(--ink-soft);
    white-space: nowrap;
  }
  .none {
    padding: 14px 19px;
    font-size: 15px;
    color: var(--ink-soft);
  }
</style>
