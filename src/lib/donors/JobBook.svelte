<script lang="ts">
  import { resolve } from '$app/paths';
  import { dropEntry } from '$core/edits/ledgerEdits.ts';
  import { sayOf } from '$core/donors/index.ts';
  import { stageName } from '$core/model/types/stages.ts';
  import { donorAccount, jobAccount } from '$core/donors/index.ts';
  import { stageCosts } from '$core/plan/stageMoney.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import AccountGap from './AccountGap.svelte';
  import BookLine from './BookLine.svelte';

  const { view }: { view: JobView } = $props();
  const account = $derived(
    view.job && view.plan && jobAccount(shopStore.shop, view.job, view.plan),
  );
  const stages = $derived(view.job ? stageCosts(shopStore.shop, view.job) : []);
  const currency = $derived(shopStore.shop.settings.currency);
  const f = (minor: number) => `${formatMoney({ minor, currency })} ${currencySign(currency)}`;
  const donors = $derived(
    shopStore.shop.machines
      .filter((machine) => machine.state === 'donor')
      .map((machine) => ({ machine, account: donorAccount(shopStore.shop, machine) })),
  );
  const words = { cost: 'paid', sale: 'sold', gift: 'gift', hours: 'hours' } as const;
</script>

{#if account && view.job}
  <BookLine jobId={view.job.id} />
  <AccountGap {account} />
  <p class="say">{sayOf(account)}</p>
  <table>
    <tbody>
      {#each account.lines as line, i (line.entryId ?? `${line.what} ${i}`)}
        <tr>
          <td>{line.at?.slice(0, 10) ?? ''}</td>
          <td>{words[line.kind]}</td>
          <td
            >{line.what}{line.partId && !line.what.includes(line.partId)
              ? ` (${line.partId})`
              : ''}</td
          >
          <td class="figure"
            >{line.kind === 'hours'
              ? `${Math.floor((line.minutes ?? 0) / 60)}:${String(Math.round((line.minutes ?? 0) % 60)).padStart(2, '0')} h`
              : line.money
                ? `${formatMoney(line.money)} ${currencySign(line.money.currency)}`
                : '?'}</td
          >
          <td
            >{#if line.entryId}<button
                onclick={() => shopStore.edit('line deleted', dropEntry(line.entryId ?? ''))}
                aria-label="Delete {line.what}">delete</button
              >{:else}<small>noted at the part</small>{/if}</td
          >
        </tr>
      {/each}
      {#if account.minutes > 0}
        <tr class="sum"
          ><td></td><td></td><td>hours in all</td><td class="figure"
            >{(account.minutes / 60).toFixed(1)} h{account.labour === undefined
              ? ''
              : `, ${f(account.labour)}`}</td
          ><td></td></tr
        >
      {/if}
    </tbody>
  </table>
  {#if account.leftovers.length > 0}
    <h2>Left over</h2>
    <p>
      {#each account.leftovers as left, i (left.partId)}{i ? ', ' : ''}{left.name}
        <span class="figure">({left.worth ? `${formatMoney(left.worth)}` : '?'})</span>{/each}
    </p>
  {/if}
  {#if stages.length > 1}
    <h2>Stage by stage</h2>
    <p>
      {#each stages as stage (stage.stage)}
        <span class="stage"
          >{stageName(stage.stage)} <b class="figure">{f(stage.minor)}</b>{stage.unpriced.length > 0
            ? ` and ${stage.unpriced.join(', ')} without a price`
            : ''}</span
        >
      {/each}
    </p>
  {/if}
{/if}
{#if donors.length > 0}
  <h2>Donors</h2>
  {#each donors as { machine, account: own } (machine.id)}
    <p class="donor"><b>{machine.id} · {machine.name}</b> {sayOf(own)}</p>
    <AccountGap account={own} small />
  {/each}
{/if}
<p class="no-print"><a href={resolve('/book')}>The whole book</a></p>

<style>
  .say {
    font: 600 18px var(--face-head);
    margin: 4px 0 8px;
  }
  table {
    width: 100%;
    max-width: 800px;
    border-collapse: collapse;
    font-size: 15px;
  }
  td {
    padding: 3px 8px;
    border-bottom: 1px dashed var(--line);
  }
  td.figure {
    text-align: right;
    white-space: nowrap;
  }
  .sum td {
    font-weight: 700;
  }
  button {
    min-height: 30px;
    border: 0;
    background: none;
    color: var(--ink);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  h2 {
    margin: 12px 0 2px;
  }
  .stage {
    margin-right: 22px;
  }
  .donor {
    margin-top: 8px;
  }
</style>
