<script lang="ts">
  import { drawingOf } from '$core/make/drawing.ts';
  import type { Piece } from '$core/make/piece.ts';
  import { sheetOf } from '$core/make/sums.ts';
  import { papers, tilesOf, type PaperName } from '$core/make/tiles.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { addWants } from '$core/shop/items.ts';
  import { saveBytes, saveFile } from '$lib/files/save.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Select from '$lib/ui/Select.svelte';

  /** A piece on paper at true size, or as a file for a cutter. */
  const { piece, job }: { piece: Piece; job: Job } = $props();
  let paper = $state<PaperName>('A4');
  let outside = $state(false);
  const drawing = $derived(drawingOf(piece, outside));
  const sheets = $derived(tilesOf(drawing.bounds, paper).tiles.length);
  const name = $derived(`job-${job.id}-${piece.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`);

  /** What has to be bought where it is not cut into a wall. */
  const sheet = $derived(piece.outline && sheetOf(piece.of));
  const listed = $derived(job.wants.some(({ what }) => what === sheet));
  function toBuy(): void {
    if (!sheet) return;
    void shopStore.edit(`to buy: ${sheet}`, addWants(job.id, [{ what: sheet, count: 1 }]));
    toast(`On the shopping list: ${sheet}.`);
  }

  async function print(): Promise<void> {
    const { templatePdf } = await import('$lib/print/template.ts');
    saveBytes(
      `${name}.pdf`,
      await templatePdf(drawing, paper, shopStore.shop.settings.unit),
      'application/pdf',
    );
    toast(
      `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}: print at 100 %, then hold a ruler to the rule.`,
    );
  }
  async function dxf(): Promise<void> {
    const { dxfOf } = await import('$core/export/dxf.ts');
    saveFile(`${name}.dxf`, dxfOf(drawing), 'image/vnd.dxf');
  }
  async function svg(): Promise<void> {
    const { svgOf } = await import('$core/export/drawingSvg.ts');
    saveFile(`${name}.svg`, svgOf(drawing), 'image/svg+xml');
  }
</script>

<div class="out">
  <Select
    label="Paper"
    options={Object.keys(papers) as PaperName[]}
    bind:value={() => paper, (to) => (paper = to || 'A4')}
  />
  <Tick label="Laid on from outside" bind:checked={outside} />
  <span class="buttons">
    <Button next onclick={print}
      >Print at true size, {sheets} {sheets === 1 ? 'sheet' : 'sheets'}</Button
    >
    {#if sheet && !listed}<Button onclick={toBuy}>Sheet to the list</Button>{/if}
    <Button onclick={dxf}>DXF</Button>
    <Button onclick={svg}>SVG</Button>
  </span>
</div>

<style>
  .out {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 18px;
    align-items: flex-end;
    margin: 8px 0;
  }
  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-left: auto;
  }
</style>
