<script lang="ts">
  import { dateText } from '$lib/ui/dates.ts';
  import { page } from '$app/state';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { table } from '$core/units/table.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';

  const { view }: { view: JobView } = $props();
  /** Labels and the scan sheet are cut up: they bear nothing but their codes. */
  const bare = $derived(/^\/(?:labels|scan-sheet)$/.test(page.url.pathname));
  const places = table<string>({ '/week': 'Week', '/book': 'The book', '/shelf': 'Shelf' });
  const place = $derived(places[page.url.pathname] ?? 'Bench');
  const machine = $derived(view.plan?.machine);
</script>

<!-- What every paper bears: whose machine it is, from which shop, and of which day. -->
{#if !bare}
  <header class="print-head">
    <span
      >{#if view.job}<b>{view.job.id} · {view.job.name}</b>{#if machine}, {machine.id}
          {machine.name}{/if}{:else}<b>{place}</b>{/if}</span
    >
    <span
      >{shopStore.shop.name}{shopStore.shop.settings.contact
        ? ` · ${shopStore.shop.settings.contact}`
        : ''} · {dateText(shopStore.now, 'day')}</span
    >
  </header>
{/if}

<style>
  .print-head {
    display: none;
  }
  @media print {
    .print-head {
      display: flex;
      justify-content: space-between;
      gap: 12pt;
      margin-bottom: 6pt;
      padding-bottom: 3pt;
      border-bottom: 1pt solid #000;
      font-size: 9.5pt;
    }
  }
</style>
