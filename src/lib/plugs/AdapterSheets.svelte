<script lang="ts">
  import { continuity, endName, live, shopping, type Recipe } from '$core/plugs/adapter/index.ts';
  import { formatLength, lengthWithUnit } from '$core/units/length.ts';
  import { inks } from '$lib/draw/inks.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  interface Props {
    recipe: Recipe;
    lit: number | undefined;
    onwire: (n: number | undefined) => void;
  }
  const { recipe, lit, onwire }: Props = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  const rows = $derived(continuity(recipe));
  const steps = $derived(live(recipe));
  const volts = (value: number) => value.toFixed(2);
</script>

<section>
  <h2>Wires</h2>
  <table>
    <thead
      ><tr
        ><th class="n">wire</th><th>from</th><th>to</th><th>signal</th><th>colour</th><th class="n"
          >AWG</th
        ><th class="n">{lengths}</th><th class="n">most A</th><th>splice</th></tr
      ></thead
    >
    <tbody>
      {#each recipe.wires as wire (wire.n)}
        <tr
          class:lit={wire.n === lit}
          onpointerenter={() => onwire(wire.n)}
          onpointerleave={() => onwire(undefined)}
        >
          <td class="n figure">{wire.n}</td>
          <td class="figure">{endName(wire.from)}</td>
          <td class="figure">{endName(wire.to)}</td>
          <td>{wire.signal}</td>
          <td
            ><svg width="26" height="8" aria-hidden="true"
              ><rect
                width="26"
                height="8"
                fill={inks[wire.colour] ?? 'none'}
                stroke="var(--ink)"
              /></svg
            >
            {wire.colour}</td
          >
          <td class="n figure">{wire.awg}</td>
          <td class="n figure">{formatLength(wire.lengthMm, lengths)}</td>
          <td class="n figure">{wire.mostA?.toFixed(1) ?? ''}</td>
          <td class="figure"
            >{[wire.spliceFrom ? endName(wire.from) : '', wire.spliceTo ? endName(wire.to) : '']
              .filter(Boolean)
              .join(' ')}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  {#each recipe.ties as tie, i (i)}
    <p>
      <b class="figure">{endName(tie.end)}</b>
      {tie.signal} tied to {tie.to}{tie.through ? ` by ${tie.through}` : ''}: {tie.say}{tie.givesUp
        ? `; gives up: ${tie.givesUp}`
        : ''}.
    </p>
  {/each}
  {#each recipe.notes as note (note)}<p>{note}</p>{/each}
  {#if recipe.open.length > 0}
    <p class="soft">
      Left open: {recipe.open.map((open) => `${endName(open.end)} (${open.say})`).join(', ')}.
    </p>
  {/if}
</section>

<div class="sheets">
  <section>
    <h2>Continuity, nothing plugged in</h2>
    <p class="soft">
      Meter on ohms or beeper, its own leads taken off. Every pair below must beep, none of the
      second list may.
    </p>
    <table>
      <tbody>
        {#each rows.filter((row) => row.connect) as row, i (i)}
          <tr>
            <td class="figure">{endName(row.a)} – {endName(row.b)}</td>
            <td>{row.say}</td>
            <td class="figure"
              >{row.ohm && row.ohm.hi > 1 ? `${row.ohm.lo} to ${row.ohm.hi} Ω` : 'below 0.5 Ω'}</td
            >
            <td class="box" aria-label="tick"></td>
          </tr>
        {/each}
      </tbody>
    </table>
    <h3>Must not beep</h3>
    <p class="figure">
      {rows
        .filter((row) => !row.connect)
        .map((row) => `${endName(row.a)}–${endName(row.b)}`)
        .join('  ')}
    </p>
  </section>
  <section>
    <h2>Live, then the board</h2>
    {#if steps.length === 0}
      <p>Not before everything above is possible.</p>
    {:else}
      <ol>
        {#each steps as step, i (i)}
          <li>
            {#if step.do}<b>{step.do}</b>{/if}
            {#if step.plus && step.minus && step.volts}
              <span class="figure"
                >{endName(step.plus)} to {endName(step.minus)}: {volts(step.volts.lo)} to {volts(
                  step.volts.hi,
                )} V</span
              >
            {/if}
            {step.say}
          </li>
        {/each}
      </ol>
    {/if}
    <h2>To have at hand</h2>
    <ul>
      {#each shopping(recipe) as line (line.what)}<li>
          <span class="figure">{line.unit ? lengthWithUnit(line.count, lengths) : line.count}</span>
          {line.what}
        </li>{/each}
    </ul>
  </section>
</div>
<p class="soft">
  A home-made lead is nobody's tested product: it stays off mains parts, its first power goes
  through a limit, and it is felt for warmth under load before the lid closes.
</p>

<style>
  section {
    display: flex;
    flex-direction: column;
    gap: 6px;
    flex: 1 1 340px;
    min-width: 0;
  }
  .sheets {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 34px;
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    padding: 3px 10px 3px 0;
    border-bottom: 1px solid var(--line);
    text-align: left;
    font-weight: 400;
    font-size: 15px;
  }
  th {
    color: var(--ink-soft);
    font-size: 14px;
  }
  .n {
    text-align: right;
  }
  tr.lit td {
    background: var(--tape-lit);
  }
  .box {
    width: 18px;
    border: 1.5px solid var(--ink);
  }
  ol,
  ul {
    margin: 0;
    padding-left: 22px;
  }
  ul {
    padding-left: 0;
    list-style: none;
  }
  li {
    margin-bottom: 4px;
  }
  h3 {
    font: 600 17px var(--face-head);
  }
  /* Wires with both faces on the first page, each test on one of its own: each goes to the bench by itself. */
  @media print {
    .sheets > section {
      break-before: page;
    }
  }
</style>
