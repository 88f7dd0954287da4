<script lang="ts">
  import { applyResolution } from '$core/edits/edits.ts';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import { planWithResolution } from '$core/resolve/resolutions.ts';
  import type { Resolution } from '$core/resolve/resolutions.ts';
  import { usualWeights, type Weights } from '$core/resolve/cost.ts';
  import { runChecks } from '$core/plan/run.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { ResolutionSearch } from '$lib/fit/resolving.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  interface Props {
    view: JobView;
    plan: Plan;
  }
  const { view, plan }: Props = $props();
  const search = new ResolutionSearch();
  let hour = $state(usualWeights.hour / 100);
  let looks = $state(true);
  let keepWhole = $state(true);
  const weights = $derived<Weights>({
    ...usualWeights,
    hour: Math.max(0, hour || 0) * 100,
    looks: looks ? usualWeights.looks : 0,
    forGood: keepWhole ? usualWeights.forGood : 0,
  });

  $effect(() => {
    const job = view.job;
    if (job) void search.search(shopStore.shop, job.id, weights);
  });
  $effect(() => () => search.close());

  const answer = $derived(search.answer);
  const asPlanned = $derived(answer?.ways.find((way) => way.gives.length === 0));
  const ways = $derived((answer?.ways ?? []).filter((way) => way.gives.length > 0).slice(0, 6));
  const outcomes = $derived(
    ways.map((way) => {
      const after = planWithResolution(plan, way);
      const found = runChecks(after).filter((each) => each.station === 'fit');
      return { way, cut: caseCut(after), found };
    }),
  );

  function take(way: Resolution): void {
    if (!view.job) return;
    shopStore.edit(
      way.gives.map((each) => each.label).join(', '),
      applyResolution(view.job.id, way),
    );
  }

  const price = (way: Resolution) =>
    [
      way.minor > 0
        ? `${formatMoney({ minor: way.minor, currency: shopStore.shop.settings.currency })} ${currencySign(shopStore.shop.settings.currency)}`
        : '',
      way.unpriced > 0 ? `${way.unpriced} not priced` : '',
    ].filter(Boolean);
  const words = (way: Resolution) =>
    [
      `${way.minutes} min`,
      ...price(way),
      way.undoable ? 'can be undone' : 'for good',
      ...way.givesUp.map((each) => `gives up ${each}`),
      ...way.spoils.map((each) => `shows: ${each}`),
    ].join(' · ');
  const inUnit = (text: string) => spoken(text, shopStore.shop.settings);
  const count = (n: number) => n.toLocaleString('en').replaceAll(',', ' ');
</script>

<section aria-label="Ways to make it fit">
  <header>
    <h2>Ways to make it fit</h2>
    <small aria-live="polite">
      {#if search.busy}
        looking{search.progress ? `, ${count(search.progress.nodes)} branches` : ''} …
        <button class="link" onclick={() => search.cancel()}>Stop looking</button>
      {:else if search.cancelled}
        stopped; what is shown may be out of date
        <button
          class="link"
          onclick={() => view.job && void search.search(shopStore.shop, view.job.id, weights)}
          >Look again</button
        >
      {:else if search.fault}
        the search failed: {search.fault}
      {:else if answer}
        {answer.proven
          ? `cheapest first, proven over ${count(answer.combinations)} combinations of what may give`
          : `not finished: ${count(answer.combinations)} combinations are too many to prove; nothing unseen is cheaper than ${(Math.floor(answer.bound ?? 0) / 100).toFixed(2)} ${currencySign(shopStore.shop.settings.currency)}`}
      {/if}
    </small>
    <span class="weigh">
      <TextField short label="an hour is worth" type="number" min="0" max="500" bind:value={hour} />
      <Tick label="no visible cuts" bind:checked={looks} />
      <Tick label="reversible only" bind:checked={keepWhole} />
    </span>
  </header>
  {#if answer && answer.stays.length > 0}
    <p>
      <Mark mark="stop" size={18} />
      {answer.stays.length === 1 ? 'This Stop stays' : 'These Stops stay'} whatever is chosen here:
    </p>
    <ul class="stuck">
      {#each answer.stays as each (each)}<li>{inUnit(each)}</li>{/each}
    </ul>
  {/if}
  {#if asPlanned && answer}
    <p class="soft">
      {answer.stays.length > 0
        ? asPlanned.sure
          ? 'For the rest nothing has to give.'
          : `For the rest nothing has to give if these measure up: ${asPlanned.measure.join('; ')}.`
        : asPlanned.sure
          ? 'Nothing: everything goes in as planned.'
          : `Nothing, if these measure up: ${asPlanned.measure.join('; ')}.`}
    </p>
  {:else if answer && answer.ways.length === 0}
    <p>
      <Mark mark="stop" size={18} /> Nothing on the shelf and no work on the case makes this fit. These
      cannot all be met:
    </p>
    <ul class="stuck">
      {#each answer.stuck as each (each)}<li>{inUnit(each)}</li>{/each}
    </ul>
  {/if}
  <ul class="ways">
    {#each outcomes as { way, cut, found }, i (way.gives.map((each) => each.label).join())}
      <li>
        <button class:first={i === 0} onclick={() => take(way)}>
          {#if cut}
            <CaseCut
              {cut}
              width={118}
              height={96}
              end={false}
              small
              {found}
              title="The case with this change"
            />
          {/if}
          <span class="text">
            <span class="title">
              <Mark
                mark={way.sure ? (way.givesUp.length > 0 ? 'watch' : 'clear') : 'watch'}
                size={18}
              />
              <span>{inUnit(way.gives.map((each) => each.label).join(' + '))}</span>
            </span>
            <span class="cost">{words(way)}</span>
            {#if way.gives.some((each) => each.because.length > 0)}
              <span class="cost because"
                >because {way.gives
                  .flatMap((each) => each.because.slice(0, 1))
                  .map((each) => each.split(': ')[0])
                  .join(', ')}</span
              >
            {/if}
            {#if way.measure.length > 0}
              <span class="cost measure">may fit: measure {way.measure.join('; ')}</span>
            {/if}
          </span>
        </button>
      </li>
    {/each}
  </ul>
</section>

<style>
  section {
    margin-top: 10px;
    padding-top: 8px;
    border-top: 2px solid var(--ink);
  }
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    align-items: baseline;
  }
  header small {
    font-size: 14.5px;
    color: var(--ink-soft);
  }
  .weigh {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    margin-left: auto;
    font-size: 14px;
    color: var(--ink-soft);
  }
  .link {
    padding: 2px 4px;
    border: 0;
    background: none;
    color: var(--ink);
    text-decoration: underline;
  }
  ul {
    margin: 8px 0 0;
    padding: 0;
    list-style: none;
  }
  .ways {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
    gap: 6px;
  }
  .stuck li {
    padding: 4px 0 4px 26px;
  }
  .ways button {
    display: flex;
    gap: 12px;
    width: 100%;
    height: 100%;
    padding: 8px 10px;
    border: 0;
    border-left: 4px solid transparent;
    background: none;
    text-align: left;
  }
  .ways button:hover,
  .first {
    background: var(--tape-lit);
  }
  .ways .first {
    border-left-color: var(--accent);
  }
  .text {
    display: flex;
    flex-direction: column;
    gap: 4px;
    min-width: 0;
  }
  .title {
    display: flex;
    gap: 8px;
    align-items: flex-start;
    font: 600 16px/1.2 var(--face-head);
  }
  .cost {
    font-size: 14px;
    color: var(--ink-soft);
  }
  .measure {
    color: var(--watch);
  }
</style>
