<script lang="ts">
  import { browserFont } from '$lib/ui/browserFont.ts';
  import '@fontsource/barlow-semi-condensed/latin-500.css';
  import '@fontsource/barlow-semi-condensed/latin-600.css';
  import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
  import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
  import '$lib/ui/tokens.css';
  import type { Snippet } from 'svelte';
  import { page } from '$app/state';
  import { resolve } from '$app/paths';
  import type { StationId } from '$core/findings/finding.ts';
  import EntryLine from '$lib/entry/EntryLine.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { JobView } from '$lib/shop/jobView.svelte.ts';
  import { setView } from '$lib/shop/context.ts';
  import { exportShop } from '$lib/files/save.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Broken from '$lib/ui/Broken.svelte';
  import Button from '$lib/ui/Button.svelte';
  import HeadTag from '$lib/frame/HeadTag.svelte';
  import Keys from '$lib/frame/Keys.svelte';
  import Notices from '$lib/frame/Notices.svelte';
  import PrintHead from '$lib/frame/PrintHead.svelte';
  import Rail from '$lib/frame/Rail.svelte';
  import { isStation, stations } from '$lib/frame/stations.ts';
  import Toasts from '$lib/frame/Toasts.svelte';

  const { children }: { children: Snippet } = $props();
  const view = new JobView(() => page.params['id']);
  setView(view);

  const station = $derived(
    isStation(page.params['station'] ?? '') ? (page.params['station'] as StationId) : undefined,
  );
  const railJob = $derived(view.job?.id ?? uiState.lastJob);
  const live = $derived(liveStations());

  function liveStations(): StationId[] {
    if (!view.job) return [];
    const spoken = Object.keys(view.counts) as StationId[];
    return stations
      .map((each) => each.id)
      .filter((id) => {
        if (id === 'take-in' || id === 'donors') return true;
        if (id === 'order') return view.steps.length > 0;
        if (id === 'power-up') return view.steps.some((step) => step.gate);
        if (id === 'heat') return (view.job?.readings.length ?? 0) > 0;
        if (id === 'hand-over') return (view.job?.ticks.length ?? 0) > 0;
        return spoken.includes(id);
      });
  }

  void shopStore.start();
  $effect(() => {
    if (view.job) uiState.lastJob = view.job.id;
  });
  $effect(() => {
    const theme = shopStore.shop.settings.theme;
    const dark =
      theme === 'dark' || (theme === 'auto' && matchMedia('(prefers-color-scheme: dark)').matches);
    document.documentElement.dataset['theme'] = dark ? 'dark' : 'light';
  });
  $effect(() => {
    const size = Math.round((shopStore.shop.settings.textSize ?? 100) * browserFont());
    const { style } = document.documentElement;
    style.setProperty('zoom', size === 100 ? '' : `${size}%`);
    /* Shares of the screen's height are enlarged with the rest: what is as high as the screen takes that back. */
    style.setProperty('--zoom', String(size / 100));
  });
</script>

<svelte:head
  ><title>{view.job ? `${view.job.id} · ${view.job.name}` : 'Bench'} · Nutshell Swap</title
  ></svelte:head
>

<a class="skip" href="#stage">Skip to the stage</a>
<div class="frame" class:with-tape={uiState.printTape}>
  <header class="head no-print">
    <span class="brand">Nutshell<br />Swap</span>
    <svelte:boundary>
      <HeadTag {view} />
      {#snippet failed()}<span class="brand">job {page.params['id'] ?? ''}</span>{/snippet}
    </svelte:boundary>
    <EntryLine {view} />
  </header>
  <PrintHead {view} />
  <div class="notices"><Notices /></div>
  <div class="rail no-print">
    <svelte:boundary>
      <Rail current={station} jobId={railJob} counts={view.counts} {live} />
      {#snippet failed()}
        <Rail
          current={station}
          jobId={railJob}
          counts={{}}
          live={stations.map((each) => each.id)}
        />
      {/snippet}
    </svelte:boundary>
  </div>
  {#if shopStore.ready}
    <svelte:boundary>
      {@render children()}
      {#snippet failed(error, reset)}
        <main class="opening" id="stage">
          <h1>This view cannot be shown</h1>
          <Broken
            what="Something in its data: it"
            why={(error as Error).message}
            {reset}
            resetOn={`${page.url.pathname} ${shopStore.shop.jobs.length} ${shopStore.waiting}`}
          >
            <Button onclick={() => void exportShop(false)}>Export the shop as it is</Button>
            <Button onclick={() => void shopStore.undo()}>Undo the last change</Button>
          </Broken>
          <p>
            Every other view works: choose one on the left, or <a href={resolve('/')}>the bench</a>.
          </p>
        </main>
      {/snippet}
    </svelte:boundary>
  {:else}
    <main class="opening" id="stage">
      {#if !shopStore.trouble}<p>Opening the shop…</p>{/if}
    </main>
  {/if}
</div>
{#if uiState.sheet}
  {@const partId = uiState.sheet}
  {#await import('$lib/parts/PartSheet.svelte') then { default: PartSheet }}
    <PartSheet {partId} onclose={() => (uiState.sheet = undefined)} />
  {/await}
{/if}
{#if uiState.photo}
  {@const photoId = uiState.photo}
  {#await import('$lib/photos/PhotoView.svelte') then { default: PhotoView }}
    <PhotoView {photoId} onclose={() => (uiState.photo = undefined)} />
  {/await}
{/if}
<Toasts />
<Keys {view} {station} />
{#if uiState.dialog === 'new job'}
  {#await import('$lib/entry/NewJob.svelte') then { default: NewJob }}<NewJob />{/await}
{/if}
{#if uiState.dialog === 'paste'}
  {#await import('$lib/intake/BeginPaste.svelte') then { default: BeginPaste }}<BeginPaste
    />{/await}
{:else if uiState.dialog === 'dead'}
  {#await import('$lib/startup/DeadMachine.svelte') then { default: DeadMachine }}
    <DeadMachine />
  {/await}
{:else if uiState.dialog === 'print'}
  {#await import('$lib/frame/PrintDialog.svelte') then { default: PrintDialog }}
    <PrintDialog />
  {/await}
{:else if uiState.dialog === 'new shop'}
  {#await import('$lib/shop/NewShop.svelte') then { default: NewShop }}<NewShop />{/await}
{/if}
{#if uiState.cards}
  {@const { file, cards } = uiState.cards}
  {#await import('$lib/files/TakeCards.svelte') then { default: TakeCards }}
    <TakeCards {file} {cards} onclose={() => (uiState.cards = undefined)} />
  {/await}
{/if}
{#if uiState.opening}
  {@const { file, shop } = uiState.opening}
  {#await import('$lib/frame/OpenFile.svelte') then { default: OpenFile }}
    <OpenFile {file} {shop} onclose={() => (uiState.opening = undefined)} />
  {/await}
{/if}

<style>
  .frame {
    display: grid;
    grid-template: var(--head-h) auto minmax(0, 1fr) / var(--rail-w) minmax(0, 1fr) var(--tape-w);
    height: calc(100vh / var(--zoom, 1));
    height: calc(100dvh / var(--zoom, 1));
  }
  .notices {
    grid-column: 1 / -1;
    min-width: 0;
  }
  .head {
    grid-column: 1 / -1;
    display: flex;
    align-items: center;
    gap: 18px;
    padding: 0 14px;
    background: var(--mat);
    color: var(--mat-ink);
    border-bottom: 1px solid var(--mat-deep);
  }
  .brand {
    width: calc(var(--rail-w) - 28px);
    flex: none;
    font: 600 19px/1.05 var(--face-head);
  }
  .rail {
    display: grid;
    min-height: 0;
  }
  .opening {
    grid-column: 2 / -1;
    padding: 24px;
    background: var(--paper);
  }
  .skip {
    position: absolute;
    z-index: 50;
    left: -999px;
    background: var(--accent);
    color: var(--accent-on);
    padding: 10px;
  }
  .skip:focus {
    left: 8px;
    top: 8px;
  }
  @media (max-width: 62.5em) {
    .frame {
      grid-template-columns: 104px minmax(0, 1fr);
    }
    .brand {
      width: auto;
    }
  }
  @media (max-width: 37.5em) {
    .frame {
      grid-template: auto auto minmax(0, 1fr) 60px / minmax(0, 1fr);
    }
    .head {
      flex-wrap: wrap;
      gap: 6px 10px;
      padding: 8px;
    }
    .brand {
      display: none;
    }
    .rail {
      grid-row: 4;
    }
  }
  @media print {
    .frame {
      display: block;
      height: auto;
    }
  }
</style>
