<script lang="ts">
  import { foundOf } from '$core/plan/planOf.ts';
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import { indexOf, standingOf } from '$core/model/lookup/lookup.ts';
  import { wantedBy } from '$core/model/lookup/wanted.ts';
  import { kindName } from '$core/model/types/seats.ts';
  import type { Part } from '$core/model/types/types.ts';
  import { findParts } from '$core/quick/readings/find.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Front from '$lib/draw/Front.svelte';
  import { outsideOf } from '$lib/draw/sizes.ts';
  import LongList from '$lib/ui/LongList.svelte';
  import PartSheet from '$lib/parts/PartSheet.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Bundle from './Bundle.svelte';
  import PriceLists from './PriceLists.svelte';
  import Strip from './Strip.svelte';

  const { view }: { view: JobView } = $props();
  const SCALE = 0.2;
  let query = $state('');
  let showing = $state<string | undefined>();
  let opened = $state<string | undefined>();

  const donors = $derived(shopStore.shop.machines.filter((machine) => machine.state === 'donor'));
  const wanted = $derived(wantedBy(shopStore.shop));
  const free = $derived(
    shopStore.shop.parts.filter((part) => {
      const home = indexOf(shopStore.shop).homeOf.get(part.id);
      return part.place !== 'gone' && (!home || home.state === 'donor');
    }),
  );
  const list = $derived.by(() => {
    if (query.trim() === '') return free;
    const found = new Set(findParts(shopStore.shop, query));
    return free.filter((part) => found.has(part));
  });

  function place(part: Part): string {
    const home = indexOf(shopStore.shop).homeOf.get(part.id);
    if (home) return `donor ${home.id}`;
    if (part.place === 'buy') return part.where ?? 'to buy';
    return part.where ?? 'shelf';
  }
  /** Who has a say in it without a plan: a loan, a job it is kept for. */
  function bound({ loan, reserved }: Part): string {
    const day = loan?.until ? ` until ${loan.until.slice(0, 10)}` : '';
    if (loan)
      return `${loan.way}${loan.who ? ` ${loan.way === 'lent' ? 'to' : 'from'} ${loan.who}` : ''}${day}`;
    return reserved ? `kept for ${reserved}` : '';
  }
</script>

<ul class="donors">
  {#each donors as donor (donor.id)}
    {@const shell = partOfKind(foundOf(shopStore.shop, donor.seats), 'case')}
    {@const outside = shell && outsideOf(shopStore.shop, shell.part)}
    <li class:opened={opened === donor.id}>
      {#if outside}
        <svg width={outside.w * SCALE + 6} height="92" aria-hidden="true"
          ><Front {outside} x={2} floor={90} scale={SCALE} /></svg
        >
      {/if}
      <div>
        <b>{donor.id} · {donor.name}</b>
        <p>
          {donor.condition ?? 'condition unknown'}, from {donor.origin ?? 'not noted'}{donor.price
            ? `, ${formatMoney(donor.price)} ${currencySign(donor.price.currency)}`
            : ''}
        </p>
        {#if donor.note}<p>{donor.note}</p>{/if}
        <p class="seats">
          {#each donor.seats as seat (seat.seat)}
            {@const part = indexOf(shopStore.shop).parts.get(seat.partId)}
            {#if part}
              <button class:wanted={wanted.has(part.id)} onclick={() => (showing = part.id)}
                >{kindName(part.kind)}</button
              >
            {/if}
          {/each}
          <button
            aria-expanded={opened === donor.id}
            onclick={() => (opened = opened === donor.id ? undefined : donor.id)}
            >{donor.keepWhole ? 'kept whole' : 'dismantle'}</button
          >
        </p>
      </div>
      {#if opened === donor.id}<Strip {donor} onclose={() => (opened = undefined)} />{/if}
    </li>
  {/each}
</ul>

<PriceLists />
<Bundle />
<div class="search">
  <TextField
    unseen
    wide
    label="Search the shelf"
    bind:value={query}
    placeholder="fan 92 · ddr4 8 · a tag"
  />
</div>
<p class="count soft">{list.length} of {free.length} free parts</p>
<LongList items={list} label="Free parts" rowPx={40} heightPx={400}>
  {#snippet row(part, y)}
    {@const jobs = wanted.get(part.id)}
    <button class="row" style:transform="translateY({y}px)" onclick={() => (showing = part.id)}>
      <b class="figure">{part.id}</b>
      <span>{part.name}</span>
      <small>{place(part)}</small>
      <small>{standingOf(shopStore.shop, part).condition}</small>
      <small class="figure right">{part.price ? formatMoney(part.price) : ''}</small>
      <small class:twice={(jobs?.length ?? 0) > 1} class:mine={jobs?.includes(view.job?.id ?? '')}
        >{jobs ? `wanted by ${jobs.join(', ')}` : bound(part)}</small
      >
    </button>
  {/snippet}
</LongList>
{#if showing}<PartSheet partId={showing} onclose={() => (showing = undefined)} />{/if}

<style>
  .search {
    margin: 8px 0;
  }
  .donors {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 26px;
    margin: 0 0 12px;
    padding: 0;
    list-style: none;
  }
  .donors li {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0 12px;
    align-items: end;
    flex: 1 1 330px;
    border-bottom: 6px solid var(--shelf);
    padding-bottom: 4px;
  }
  .donors .opened {
    flex-basis: 100%;
  }
  .donors svg {
    flex: none;
    margin-bottom: -4px;
  }
  .donors b {
    font: 600 17px var(--face-head);
  }
  .donors p {
    font-size: 14.5px;
    color: var(--ink-soft);
  }
  .seats {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin: 4px 0;
  }
  .seats button {
    min-height: 30px;
    padding: 0 7px;
    border: 1px solid var(--line);
    background: var(--part-stays);
    font-size: 14px;
  }
  .seats .wanted {
    border: 2px solid var(--accent-ink);
    font-weight: 700;
  }
  .count {
    font-size: 14px;
    margin: 4px 0;
  }
  .row {
    position: absolute;
    top: 0;
    left: 0;
    display: grid;
    grid-template-columns: 80px minmax(0, 2fr) 90px 80px 64px minmax(0, 1fr);
    gap: 10px;
    align-items: center;
    width: 100%;
    height: 40px;
    padding: 0 8px;
    border: 0;
    border-bottom: 1px solid var(--line);
    background: none;
    text-align: left;
    font-size: 15px;
  }
  .row:hover {
    background: var(--tape-lit);
  }
  .right {
    text-align: right;
  }
  small {
    font-size: 14px;
  }
  .mine {
    font-weight: 700;
    color: var(--accent-ink);
  }
  .twice {
    color: var(--stop);
    font-weight: 700;
  }
  @media (max-width: 37.5em) {
    .row {
      grid-template-columns: 66px 1fr 64px;
    }
    .row small:nth-child(n + 4) {
      display: none;
    }
  }
</style>
