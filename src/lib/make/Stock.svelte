<script lang="ts">
  import { nest } from '$core/make/nest.ts';
  import type { Piece } from '$core/make/piece.ts';
  import { formatLength, parseLength } from '$core/units/length.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import TextField from '$lib/ui/TextField.svelte';

  /** Pieces of one sheet laid on stock of a given size: how many sheets to buy. */
  const { pieces }: { pieces: readonly Piece[] } = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  let typed = $state({ width: '', height: '' });
  const read = (text: string, usual: number) => {
    if (text.trim() === '') return usual;
    const told = parseLength(text, lengths)?.mm;
    return told !== undefined && told >= 10 && told <= 3000 ? told : undefined;
  };
  const width = $derived(read(typed.width, 500));
  const height = $derived(read(typed.height, 250));
  const blanks = $derived(
    pieces.flatMap(({ name, outline }) =>
      outline ? [{ name, width: outline.x1 - outline.x0, height: outline.y1 - outline.y0 }] : [],
    ),
  );
  const found = $derived(
    width !== undefined && height !== undefined ? nest(blanks, width, height) : undefined,
  );
  const SCALE = $derived(Math.min(360 / (width ?? 500), 200 / (height ?? 250)));
  const first = $derived(pieces[0]);
</script>

<section aria-label="Sheet to cut them from">
  <h2>
    From {first?.thick} mm sheet, {first?.material}
    <small>{blanks.length} pieces</small>
  </h2>
  <div class="fields">
    <TextField
      label="Sheet, width"
      short
      fault={width === undefined ? say('10 to 3000 mm') : ''}
      bind:value={typed.width}
      inputmode="decimal"
      placeholder={formatLength(500, lengths)}
    />
    <TextField
      label="Sheet, height"
      short
      fault={height === undefined ? say('10 to 3000 mm') : ''}
      bind:value={typed.height}
      inputmode="decimal"
      placeholder={formatLength(250, lengths)}
    />
  </div>
  {#if found}
    <p>
      <b class="figure">{found.sheets}</b>
      {found.sheets === 1 ? 'sheet' : 'sheets'}{found.sheets === found.least
        ? ', and no fewer can do.'
        : `; by area alone ${found.least} might do.`}
      {#if found.tooLarge.length > 0}
        <span class="over">Larger than the sheet: {found.tooLarge.join(', ')}.</span>
      {/if}
    </p>
    <div class="sheets">
      {#each Array.from({ length: found.sheets }, (_, i) => i) as sheet (sheet)}
        <svg
          width={(width ?? 0) * SCALE + 2}
          height={(height ?? 0) * SCALE + 2}
          role="img"
          aria-label="Sheet {sheet + 1}, to scale"
        >
          <rect
            class="stock"
            x="1"
            y="1"
            width={(width ?? 0) * SCALE}
            height={(height ?? 0) * SCALE}
          />
          {#each found.laid.filter((each) => each.sheet === sheet) as each, i (i)}
            {@const [w, h] = each.turned ? [each.height, each.width] : [each.width, each.height]}
            <rect
              class="laid"
              x={each.x * SCALE + 1}
              y={each.y * SCALE + 1}
              width={w * SCALE}
              height={h * SCALE}
            />
            {#if w * SCALE > 60}
              <text x={(each.x + w / 2) * SCALE} y={(each.y + h / 2) * SCALE + 5}>{each.name}</text>
            {/if}
          {/each}
        </svg>
      {/each}
    </div>
  {/if}
</section>

<style>
  section {
    margin-top: 14px;
    padding-top: 10px;
    border-top: 1px dashed var(--line);
  }
  h2 {
    margin: 0 0 6px;
    font: 600 18px var(--face-head);
  }
  small {
    font: 15px var(--face-text);
  }
  .fields,
  .sheets {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
  }
  .over {
    color: var(--stop);
  }
  .stock {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 5 4;
  }
  .laid {
    fill: var(--part-stays);
    stroke: var(--ink);
  }
  text {
    fill: var(--ink);
    font: 13px var(--face-text);
    text-anchor: middle;
  }
</style>
