<script lang="ts">
  import { wordsOf } from '$core/schedule/words.ts';
  import { weekState } from '$lib/shop/weekState.svelte.ts';
  import Mark from '$lib/ui/Mark.svelte';
  import { dateText, weekdayText } from '$lib/ui/dates.ts';
  import { buyLine } from '$core/edits/tripEdits.ts';
  import type { Standing } from '$core/shop/standing.ts';
  import { loansOf } from '$core/shop/loans.ts';
  import { tripList } from '$core/shop/shopping.ts';
  import { formatHours } from '$core/units/duration.ts';
  import { currencySign, formatMoney, parseMoney, sumMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Sum from '$lib/ui/Sum.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  interface Props {
    /** Jobs that are not handed over. */
    open: readonly Standing[];
  }
  const { open }: Props = $props();
  const today = $derived(open.filter((each) => each.hands.when === 'now' && each.progress.next));
  const minutes = $derived(today.reduce((sum, each) => sum + each.progress.minutesLeft, 0));
  const owed = $derived(loansOf(shopStore.shop, shopStore.now));
  const trip = $derived(tripList(shopStore.shop));
  const tripSum = $derived(
    sumMoney(trip, shopStore.shop.settings.currency, shopStore.shop.settings.rates),
  );
  /** The line ticked off in the shop, until its price is said. */
  let buying = $state<{ label: string; price: string } | undefined>();
  let fault = $state('');

  function buy(): void {
    if (!buying) return;
    const { currency } = shopStore.shop.settings;
    const apiece = buying.price.trim() === '' ? undefined : parseMoney(buying.price, currency);
    if (buying.price.trim() !== '' && !apiece) {
      fault = 'No amount: 12 or 12.50. Kept as typed.';
      return;
    }
    shopStore.edit(`bought: ${buying.label}`, buyLine(buying.label, apiece, shopStore.now));
    buying = undefined;
    fault = '';
  }
  /** Jobs with a deadline, the next one first; how they stand to it says the plan of the week. */
  const dated = $derived(
    open
      .filter(({ job }) => job.deadline !== undefined)
      .sort((a, b) => ((a.job.deadline ?? '') < (b.job.deadline ?? '') ? -1 : 1)),
  );
  /** The bench stands first; its deadlines are looked at once it does. */
  const SOON_MS = 800;
  $effect(() => {
    if (dated.length === 0) return;
    const { shop, now } = shopStore;
    const timer = setTimeout(() => weekState.follow(shop, now), SOON_MS);
    return () => clearTimeout(timer);
  });
  const promised = $derived(
    dated.map(({ job }) => ({ job, words: weekState.plan && wordsOf(weekState.plan, job.id) })),
  );
  /** Parts wanted twice, each once. */
  const conflicts = $derived([
    ...new Map(
      open
        .flatMap((each) => each.found)
        .filter((finding) => finding.station === 'donors' && finding.mark === 'stop')
        .map((finding) => [finding.title, finding]),
    ).values(),
  ]);
</script>

<Tape title="Today" aside={weekdayText(shopStore.now)}>
  {#if uiState.quick.length > 0}
    {#await import('$lib/entry/QuickSums.svelte') then { default: QuickSums }}
      <QuickSums job={undefined} />
    {/await}
  {/if}
  <section>
    <h3>Next steps</h3>
    <dl>
      {#each today as each (each.job.id)}
        <div>
          <dt class="job" title={each.progress.next?.title}>
            <b class="figure">{each.job.id}</b>
            {each.progress.next?.title}
          </dt>
          <dd class="figure">{formatHours(each.progress.minutesLeft)}</dd>
        </div>
      {:else}
        <div>
          <dt>none asked for</dt>
          <dd class="figure">0:00</dd>
        </div>
      {/each}
      <div class="sum">
        <dt>today</dt>
        <dd class="figure">{formatHours(minutes)} h</dd>
      </div>
    </dl>
  </section>
  {#if promised.length > 0}
    <section>
      <h3>Promised</h3>
      {#each promised as { job, words } (job.id)}
        <p class="promised">
          {#if words}<Mark mark={words.mark} size={16} />{/if}
          <b class="figure">{job.id}</b>
          {dateText(job.deadline ?? '', 'dayTime')}{words ? `: ${words.say}` : ''}
        </p>
      {/each}
    </section>
  {/if}
  <section>
    <h3>Shopping list</h3>
    <div class="trip">
      {#each trip as line (line.label)}
        <div class="line">
          <label>
            <input
              type="checkbox"
              checked={buying?.label === line.label}
              aria-label="bought: {line.label}"
              onchange={() =>
                (buying =
                  buying?.label === line.label ? undefined : { label: line.label, price: '' })}
            />
            <span
              >{line.count > 1 ? `${line.count} × ` : ''}{line.label}
              <small
                >· {line.jobIds.join(', ')}{line.unblocks.length > 0
                  ? `, frees ${line.unblocks.join(', ')}`
                  : ''}{line.onShelf
                  ? `, ${line.onShelf.partId} on the shelf${line.onShelf.count === undefined ? '' : `: ${line.onShelf.count}`}`
                  : ''}</small
              ></span
            >
          </label>
          <span class="figure">{line.price ? formatMoney(line.price) : '?'}</span>
        </div>
        {#if buying?.label === line.label}
          <form
            onsubmit={(event) => {
              event.preventDefault();
              buy();
            }}
          >
            <input
              bind:value={buying.price}
              inputmode="decimal"
              placeholder="price apiece"
              aria-label="price apiece"
              {@attach (node: HTMLInputElement) => node.focus()}
            />
            <Button type="submit">Bought</Button>
            <Button quiet onclick={() => (buying = undefined)}>No</Button>
            <Fault text={fault} />
          </form>
        {/if}
      {:else}
        <div>
          <span>nothing to buy</span>
          <span></span>
        </div>
      {/each}
      {#if trip.length > 0}
        <div class="sum">
          <span>
            {tripSum.unpriced.length > 0
              ? `and ${tripSum.unpriced.length} without a price`
              : 'in all'}{tripSum.foreign.length > 0
              ? `, ${tripSum.foreign.length} without a rate`
              : ''}
          </span>
          <span class="figure">
            {formatMoney(tripSum.total)}
            {currencySign(tripSum.total.currency)}
          </span>
        </div>
      {/if}
    </div>
  </section>
  {#if owed.length > 0}
    <section>
      <h3>Lent and borrowed</h3>
      {#each owed as each (each.part.id)}
        <p class:late={(each.days ?? 0) < 0}>
          <b>{each.part.id}</b>
          {each.part.name}<small>, {each.say}</small>
        </p>
      {/each}
    </section>
  {/if}
  <ul class="sums">
    {#each conflicts as finding (finding.title)}
      <Sum
        {finding}
        chosen={uiState.chosen === finding.id}
        onchoose={() => (uiState.chosen = finding.id)}
      />
    {/each}
  </ul>
</Tape>

<style>
  .promised {
    margin: 2px 0;
    font-size: 15px;
  }
  .late {
    color: var(--stop);
    font-weight: 700;
  }
  section {
    padding: 10px 14px 12px 19px;
    border-bottom: 1px dashed var(--line);
  }
  dl {
    margin: 4px 0 0;
  }
  .trip {
    margin: 4px 0 0;
  }
  .trip > div,
  dl div {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    font-size: 15px;
  }
  .line {
    align-items: center;
  }
  .line label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 34px;
  }
  .line input[type='checkbox'] {
    flex: none;
    width: 22px;
    height: 22px;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    padding: 4px 0 8px;
  }
  form input {
    width: 108px;
    height: var(--target);
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--paper);
    color: var(--ink);
    padding: 0 8px;
  }
  .job {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  dd {
    margin: 0;
    white-space: nowrap;
  }
  .sum {
    border-top: 1.5px solid var(--ink);
    font-weight: 700;
  }
  .sums {
    margin: 0;
    padding: 0;
  }
</style>
