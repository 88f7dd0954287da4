<script lang="ts">
  import { resolve } from '$app/paths';
  import { editSettings } from '$core/edits/edits.ts';
  import { labelsFor, type Label } from '$core/export/labels.ts';
  import { labelStocks, onSheets, pageOf, stockOf } from '$core/export/labelStock.ts';
  import { codeImage } from '$lib/print/code.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** A label asked for by its tag comes first. */
  const part = uiState.labelsOf.length > 0 ? uiState.labelsOf.join(',') : uiState.labelOf;
  const named = part && uiState.labelsOf.length > 3 ? `${uiState.labelsOf.length} chosen` : part;
  uiState.labelOf = undefined;
  uiState.labelsOf = [];
  let which = $state(part ? `part:${part}` : 'shelf');
  const labels = $derived(labelsFor(shopStore.shop, which));
  const stock = $derived(stockOf(shopStore.shop.settings.labelStock));
  /** The first label of a sheet that is still free. */
  let start = $state('1');
  const most = $derived(stock.sheet ? stock.sheet.across * stock.sheet.down : 1);
  const first = $derived(/^\d{1,3}$/.test(start.trim()) ? Number(start) : undefined);
  const startFault = $derived(
    stock.sheet && (first === undefined || first < 1 || first > most) ? `1 to ${most}.` : '',
  );
  const sheets = $derived(onSheets(stock, labels, startFault ? 1 : (first ?? 1)));

  /* The printer's page is the stock's: a rule of its own, as long as this page is open. */
  $effect(() => {
    const page = pageOf(stock);
    if (!page) return;
    const rules = new CSSStyleSheet();
    rules.replaceSync(`@page labels { size: ${page.width}mm ${page.height}mm; margin: 0; }`);
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, rules];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((each) => each !== rules);
    };
  });
</script>

<svelte:head><title>Labels · Nutshell Swap</title></svelte:head>

<Stage title="Labels" subtitle="a scan finds the part">
  {#snippet tools()}
    <Select
      label="Labels of"
      options={[
        ...(part ? [{ value: `part:${part}`, words: named ?? part }] : []),
        { value: 'shelf', words: 'the shelf' },
        { value: 'places', words: 'places on the shelf' },
        { value: 'donors', words: 'the donors' },
        ...shopStore.shop.jobs.map((job) => ({
          value: `job:${job.id}`,
          words: `${job.id}, ${job.name}`,
        })),
      ]}
      bind:value={which}
    />
    <Select
      label="Printed on"
      options={Object.entries(labelStocks).map(([id, each]) => ({ value: id, words: each.name }))}
      value={shopStore.shop.settings.labelStock ?? 'cut'}
      onchange={(event) =>
        void shopStore.edit(
          'labels',
          editSettings({ labelStock: event.currentTarget.value }),
          'label stock',
        )}
    />
    {#if stock.sheet}
      <TextField
        short
        label="first free label"
        fault={startFault}
        bind:value={start}
        inputmode="numeric"
        maxlength={3}
      />
    {/if}
    <Button next onclick={() => window.print()}>Print {labels.length}</Button>
  {/snippet}
  {#if stock.on !== 'cut' && labels.length > 0}
    <p class="scale no-print">
      <svg width="50mm" height="4mm" viewBox="0 0 50 4" aria-hidden="true"
        ><path d="M.2 0v4M.2 2H49.8M49.8 0v4" /></svg
      >
      50 mm. One label is {stock.width} x {stock.height} mm; print at 100 %, without margins.
    </p>
  {/if}
  {#if stock.on === 'sheet'}
    {#each sheets as sheet, n (n)}
      <ul
        class="sheet cut-up"
        style:width="{stock.sheet?.width}mm"
        style:height="{stock.sheet?.height}mm"
        aria-label="Sheet {n + 1} of {sheets.length}"
      >
        {#each sheet as { item, x, y } (item.tag)}
          <li
            class="small"
            style:--w="{stock.width}mm"
            style:--h="{stock.height}mm"
            style:left="{x}mm"
            style:top="{y}mm"
          >
            {@render face(item)}
          </li>
        {/each}
      </ul>
    {:else}<p>Nothing to label here.</p>{/each}
  {:else if stock.on === 'roll'}
    <ul class="roll cut-up" class:along={stock.along}>
      {#each labels as label (label.tag)}
        <li class="small" style:--w="{stock.width}mm" style:--h="{stock.height}mm">
          <div class="face">{@render face(label)}</div>
        </li>
      {:else}<li>Nothing to label here.</li>{/each}
    </ul>
  {:else}
    <ul class="cut cut-up">
      {#each labels as label (label.tag)}
        <li>{@render face(label)}</li>
      {:else}<li>Nothing to label here.</li>{/each}
    </ul>
  {/if}
  <p class="no-print"><a href={resolve('/')}>Back to the bench</a></p>
</Stage>

{#snippet face(label: Label)}
  {#await codeImage(label.tag) then src}<img {src} alt="code for {label.tag}" />{:catch}<p>
      The code for {label.tag} could not be drawn.
    </p>{/await}
  <b>{label.tag}</b>
  <span>{label.name}</span>
  <small>{label.note}</small>
{/snippet}
<Tape title="Labels">
  <p class="hint">
    Scanned into the entry line, a tag finds its part, opens its job, or puts the part into the lit
    seat. One label on the part, one on what it came out of. A part, then its place: it lies there
    from now on; a place first, and every part after it goes there until you scan “done”.
  </p>
</Tape>

<style>
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  .cut {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 8px;
  }
  .cut li {
    min-height: 34mm;
    padding: 3mm;
    border: 1px dashed #888;
  }
  li,
  .face {
    display: grid;
    justify-items: center;
    align-content: start;
    overflow: hidden;
    background: #fff;
    color: #000;
    break-inside: avoid;
    text-align: center;
  }
  .roll {
    display: flex;
    flex-wrap: wrap;
    gap: 6mm;
  }
  .small,
  .face {
    width: var(--w);
    height: var(--h);
    align-content: center;
  }
  .roll li {
    outline: 1px solid #888;
  }
  .sheet {
    position: relative;
    margin-bottom: 8mm;
    overflow: hidden;
    background: #fff;
    outline: 1px solid #888;
  }
  .sheet li {
    position: absolute;
    outline: 1px dotted #bbb;
  }
  .sheet li,
  .face {
    box-sizing: border-box;
    padding: 1.5mm 2mm;
  }
  img {
    height: 84px;
    max-width: 100%;
  }
  .small img {
    height: calc(var(--h) * 0.4);
  }
  b {
    font: 600 18px var(--face-figure);
  }
  span {
    font: 600 15px var(--face-head);
  }
  small {
    font-size: 12px;
    color: inherit;
  }
  .small b {
    font-size: calc(var(--h) * 0.16);
    line-height: 1;
  }
  .small span,
  .small small {
    max-width: 100%;
    overflow: hidden;
    font-size: calc(var(--h) * 0.12);
    line-height: 1.15;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .small small {
    font-size: calc(var(--h) * 0.1);
  }
  .scale {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 10px;
    font-size: 14.5px;
  }
  .scale path {
    fill: none;
    stroke: currentcolor;
    stroke-width: 0.4;
  }
  .hint {
    padding: 12px 19px;
    font-size: 15px;
  }
  @media print {
    .roll {
      display: block;
    }
    .roll li,
    .sheet,
    .sheet li {
      outline: none;
    }
    .roll li,
    .sheet {
      margin: 0;
      break-after: page;
    }
    .roll li:last-child,
    .sheet:last-of-type {
      break-after: auto;
    }
    /* The tape runs the other way: the label lies turned on its page. */
    .along li {
      position: relative;
      width: var(--h);
      height: var(--w);
    }
    .along .face {
      position: absolute;
      top: 0;
      left: 0;
      transform-origin: 0 0;
      transform: translateX(var(--h)) rotate(90deg);
    }
  }
</style>
