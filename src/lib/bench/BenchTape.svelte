<script lang="ts">
  import { format } from 'date-fns';
  import type { Standing } from '$core/plan/bench.ts';
  import { tripList } from '$core/plan/trip.ts';
  import { formatHours } from '$core/units/duration.ts';
  import { currencySign, formatMoney, sumMoney } from '$core/units/money.ts';
  import QuickSums from '$lib/entry/QuickSums.svelte';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import { look } from '$lib/shop/look.svelte.ts';
  import Sum from '$lib/ui/Sum.svelte';
  import Tape from '$lib/ui/Tape.svelte';

  interface Props {
    /** Jobs that are not handed over. */
    open: readonly Standing[];
  }
  const { open }: Props = $props();
  const today = $derived(open.filter((each) => each.hands.when === 'now' && each.progress.next));
  const minutes = $derived(today.reduce((sum, each) => sum + each.progress.minutesLeft, 0));
  const trip = $derived(tripList(bench.shop));
  const tripSum = $derived(sumMoney(trip, bench.shop.settings.currency));
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

<Tape title="Today" aside={format(new Date(bench.now), 'EEE d')}>
  <QuickSums job={undefined} />
  <section>
    <h3>Hands</h3>
    <dl>
      {#each today as each (each.job.id)}
        <div>
          <dt>{each.progress.next?.title}, {each.job.id}</dt>
          <dd class="figure">{formatHours(each.progress.next?.minutes ?? 0)}</dd>
        </div>
        {#if each.progress.minutesLeft > (each.progress.next?.minutes ?? 0)}
          <div>
            <dt>and the steps after it</dt>
            <dd class="figure">
              {formatHours(each.progress.minutesLeft - (each.progress.next?.minutes ?? 0))}
            </dd>
          </div>
        {/if}
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
  <section>
    <h3>One trip</h3>
    <dl>
      {#each trip as line (line.label)}
        <div>
          <dt>
            {line.count > 1 ? `${line.count} × ` : ''}{line.label}
            <small>· {line.jobIds.join(', ')}</small>
          </dt>
          <dd class="figure">{line.price ? formatMoney(line.price) : '?'}</dd>
        </div>
      {:else}
        <div>
          <dt>nothing to buy</dt>
          <dd></dd>
        </div>
      {/each}
      {#if trip.length > 0}
        <div class="sum">
          <dt>
            {tripSum.unpriced.length > 0
              ? `and ${tripSum.unpriced.length} without a price`
              : 'in all'}
          </dt>
          <dd class="figure">
            {formatMoney(tripSum.total)}
            {currencySign(tripSum.total.currency)}
          </dd>
        </div>
      {/if}
    </dl>
  </section>
  <ul class="sums">
    {#each conflicts as finding (finding.id)}
      <Sum
        {finding}
        chosen={look.chosen === finding.id}
        onchoose={() => (look.chosen = finding.id)}
      />
    {/each}
  </ul>
</Tape>

<style>
  section {
    padding: 10px 14px 12px 19px;
    border-bottom: 1px dashed var(--line);
  }
  dl {
    margin: 4px 0 0;
  }
  dl div {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    font-size: 15px;
  }
  dt small {
    color: var(--ink-soft);
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
