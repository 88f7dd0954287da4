<script lang="ts">
  import { resolve } from '$app/paths';
  import { account, sayOf } from '$core/donors/index.ts';
  import { dropEntry, setHour, setRate } from '$core/edits/ledgerEdits.ts';
  import type { Entry } from '$core/model/types/types.ts';
  import { currencySign, formatMoney, parseMoney } from '$core/units/money.ts';
  import AccountGap from '$lib/donors/AccountGap.svelte';
  import BookLine from '$lib/donors/BookLine.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveBook, saveJournal } from '$lib/files/exports.ts';
  import Button from '$lib/ui/Button.svelte';
  import LongList from '$lib/ui/LongList.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  let query = $state('');
  let rate = $state({ currency: '', rate: '' });
  let fault = $state('');
  const currency = $derived(shopStore.shop.settings.currency);
  const words = { cost: 'paid', sale: 'sold', gift: 'gift', hours: 'hours' } as const;
  const tagOf = ({ jobId, machineId, partId }: Entry) =>
    [jobId && `job ${jobId}`, machineId, partId].filter(Boolean).join(' ');
  const list = $derived(
    shopStore.shop.ledger
      .filter((entry) =>
        `${entry.what} ${words[entry.kind]} ${tagOf(entry)} ${entry.who ?? ''} ${entry.at.slice(0, 10)}`
          .toLowerCase()
          .includes(query.trim().toLowerCase()),
      )
      .toSorted((a, b) => b.at.localeCompare(a.at) || b.id.localeCompare(a.id)),
  );
  const sums = $derived(
    account(
      list.map(({ id, ...entry }) => ({ ...entry, entryId: id })),
      [],
      shopStore.shop.settings,
    ),
  );

  function keepRate(event: SubmitEvent): void {
    event.preventDefault();
    const code = rate.currency.trim().toUpperCase();
    const figure = rate.rate.trim().replace(',', '.');
    if (!/^[A-Z]{3}$/.test(code) || code === currency) {
      fault = `A currency is three letters, other than ${currency}. Kept as typed.`;
      return;
    }
    if (!/^\d{1,9}(\.\d{1,9})?$/.test(figure) || Number(figure) === 0) {
      fault = `How many ${currency} is one ${code}? 0.92. Kept as typed.`;
      return;
    }
    shopStore.edit(`rate of ${code}`, setRate({ currency: code, rate: figure, at: shopStore.now }));
    rate = { currency: '', rate: '' };
    fault = '';
  }

  function keepHour(text: string): void {
    const money = text.trim() === '' ? undefined : parseMoney(text, currency);
    if (text.trim() !== '' && !money) {
      fault = 'What an hour is worth is no amount: 18 or 18.50. Kept as typed.';
      return;
    }
    fault = '';
    shopStore.edit('what an hour is worth', setHour(money));
  }
</script>

<svelte:head><title>The book · Nutshell Swap</title></svelte:head>

<Stage title="The book" subtitle="what was paid, sold, given and worked, of the whole shop">
  {#snippet tools()}
    <Button onclick={() => saveBook(shopStore.shop)}>Table (CSV)</Button>
    <Button onclick={() => saveJournal(shopStore.shop)}>Journal</Button>
  {/snippet}
  <BookLine />
  <AccountGap account={sums} />
  <div class="search">
    <TextField
      unseen
      wide
      label="Search the book"
      bind:value={query}
      placeholder="job 14 · paint · 2026-11"
    />
  </div>
  <p class="soft">
    {list.length} of {shopStore.shop.ledger.length} lines. Prices noted at parts count in their job's
    own book.
  </p>
  <LongList items={list} label="Lines of the book" rowPx={36} heightPx={340}>
    {#snippet row(entry, y)}
      <p class="row" style:transform="translateY({y}px)">
        <span class="figure">{entry.at.slice(0, 10)}</span>
        <span>{words[entry.kind]}</span>
        <span>{entry.what}</span>
        <small>{tagOf(entry)}</small>
        <b class="figure"
          >{entry.kind === 'hours'
            ? `${((entry.minutes ?? 0) / 60).toFixed(2)} h`
            : entry.money
              ? `${formatMoney(entry.money)} ${currencySign(entry.money.currency)}`
              : '?'}</b
        >
        <button
          aria-label="delete {entry.what}"
          onclick={() => shopStore.edit('line deleted', dropEntry(entry.id))}>delete</button
        >
      </p>
    {/snippet}
  </LongList>
  <p class="no-print"><a href={resolve('/')}>Back to the bench</a></p>
</Stage>
<Tape title="The book">
  <div class="tape">
    <p>{sayOf(sums)}</p>
    <form onsubmit={keepRate}>
      <h3>Rates</h3>
      {#each shopStore.shop.settings.rates as each (each.currency)}
        <p>
          1 {each.currency} = <b class="figure">{each.rate}</b>
          {currency}
          <button
            type="button"
            onclick={() =>
              shopStore.edit(`rate of ${each.currency}`, setRate({ ...each, rate: '' }))}
            >delete</button
          >
        </p>
      {:else}<p class="soft">
          None: what is paid in another currency is named, and not counted.
        </p>{/each}
      <p class="line">
        1
        <TextField
          unseen
          size={4}
          label="currency"
          bind:value={rate.currency}
          maxlength={3}
          placeholder="USD"
        />
        =
        <TextField
          unseen
          size={6}
          label="rate in {currency}"
          bind:value={rate.rate}
          maxlength={14}
          inputmode="decimal"
          placeholder="0.92"
        />
        <Button type="submit">Keep</Button>
      </p>
    </form>
    <TextField
      label="an hour of hands is worth"
      value={shopStore.shop.settings.anHour ? formatMoney(shopStore.shop.settings.anHour) : ''}
      inputmode="decimal"
      placeholder="not counted"
      onchange={(event) => keepHour(event.currentTarget.value)}
    />
    <Fault text={fault} />
    {#if sums.minutes > 0}
      <p>
        {(sums.minutes / 60).toFixed(1)} h of hands{sums.labour === undefined
          ? ''
          : `, ${formatMoney({ minor: sums.labour, currency })} ${currencySign(currency)}`}
      </p>
    {/if}
  </div>
</Tape>

<style>
  .search {
    margin: 8px 0;
  }
  .soft {
    font-size: 14px;
    margin: 4px 0;
  }
  .row {
    position: absolute;
    top: 0;
    left: 0;
    display: grid;
    grid-template-columns: 100px 50px minmax(0, 1fr) 110px 110px 56px;
    gap: 10px;
    align-items: center;
    width: 100%;
    height: 36px;
    padding: 0 8px;
    border-bottom: 1px dashed var(--line);
    font-size: 15px;
  }
  .row b {
    text-align: right;
  }
  .row button,
  .tape button:not([type='submit']) {
    border: 0;
    min-height: 30px;
    background: none;
    color: var(--ink);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .tape {
    display: grid;
    gap: 12px;
    padding: 12px 14px;
    font-size: 15px;
  }
  .line {
    display: flex;
    gap: 6px;
    align-items: center;
  }
</style>
