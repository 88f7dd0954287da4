<script lang="ts">
  import { dateText } from '$lib/ui/dates.ts';
  import { lengthsIn } from '$core/units/length.ts';
  import { editJob } from '$core/edits/edits.ts';
  import { setClearing } from '$core/shop/items.ts';
  import { openPoints, sheetOf } from '$core/record/sheet.ts';
  import type { Clearing } from '$core/model/types/types.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveJob, saveParts } from '$lib/shop/files.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import { readingKinds } from '$core/model/types/readings.ts';
  import { show, unitWord } from '$lib/ui/figures.ts';
  import HandOverDialog from './HandOverDialog.svelte';
  import Field from '$lib/ui/Field.svelte';

  const { view }: { view: JobView } = $props();
  const job = $derived(view.job);
  const lengths = $derived(shopStore.shop.settings.unit);
  const sheet = $derived(job && sheetOf(shopStore.shop, job));
  const record = $derived(job?.record);
  const open = $derived(sheet ? openPoints(sheet) : []);
  let handing = $state(false);
  /** What was noted after the sheet was frozen stands beside it, never in it. */
  const later = $derived(record && job?.note !== record.sheet.note ? job?.note : undefined);
  const stamp = (time: string) => dateText(time, 'full');

  function clear(partId: string, how: string): void {
    if (!job || how === '') return;
    const clearing: Clearing = {
      partId,
      how: how as Clearing['how'],
      at: new Date().toISOString(),
    };
    shopStore.edit('data cleared', setClearing(job.id, clearing));
  }
</script>

{#if job && sheet}
  <Stage title="Hand-over" subtitle="the swap sheet that goes out with the machine">
    {#snippet tools()}
      <Button onclick={() => saveJob(shopStore.shop, job)}>Job as JSON</Button>
      <Button onclick={() => saveParts(shopStore.shop, job)}>Parts as CSV</Button>
      <Button onclick={() => window.print()}>Print</Button>
      {#if !job.handedOver}
        <Button next={sheet.left.length === 0} onclick={() => (handing = true)}>Hand over</Button>
      {/if}
    {/snippet}
    <article>
      <header>
        <h2>{sheet.title}</h2>
        <p>
          {sheet.becomes ? `became ${sheet.becomes}` : ''}{sheet.machine
            ? ` · from ${sheet.machine}`
            : ''}{sheet.origin ? `, ${sheet.origin}` : ''}
        </p>
        <p class="figure small">
          {record?.shop ?? shopStore.shop.name} · {stamp(
            job.handedOver ?? shopStore.now,
          )}{job.handedOver
            ? ` · handed over${record?.incomplete ? ' incomplete' : ''}`
            : ' · not handed over yet'}
        </p>
        {#if record?.incomplete}
          {@const { follows, who, by } = record.incomplete}
          <p class="incomplete">
            <b>Handed over incomplete:</b>
            {follows}{who ? `, ${who}` : ''}{by ? `, by ${dateText(by, 'day')}` : ''}.
          </p>
        {:else if job.handedOver && !record}
          <p class="small">
            Handed over before the product kept records: what follows is worked out from the machine
            as it stands now.
          </p>
        {/if}
      </header>
      <div class="columns">
        <section>
          <h3>As found</h3>
          <table>
            <tbody>
              {#each sheet.found as line (line.tag)}
                <tr
                  ><th scope="row">{line.seat}</th><td>{line.name}</td><td class="small"
                    >{line.mark}</td
                  ></tr
                >
              {:else}<tr><td colspan="3">no machine: built from parts</td></tr>{/each}
            </tbody>
          </table>
        </section>
        <section>
          <h3>As built</h3>
          <table>
            <tbody>
              {#each sheet.built as line (line.tag)}
                <tr
                  ><th scope="row">{line.seat}</th><td>{line.name}</td><td class="small"
                    >{line.mark === 'comes' ? `${line.tag}, ${line.condition}` : 'original'}</td
                  ></tr
                >
              {/each}
            </tbody>
          </table>
        </section>
        <section>
          <h3>Open</h3>
          {#each sheet.open as finding (finding.id)}
            <p class="line">
              <Mark mark={finding.mark} word size={14} />
              <span
                >{finding.title}{finding.margin
                  ? `, ${`${show(finding.margin, finding.unit, lengths)} ${unitWord(finding.unit, lengths)}`.trim()}`
                  : ''}: {lengthsIn(finding.say, lengths)}</span
              >
            </p>
          {:else}<p>nothing</p>{/each}
          {#if sheet.left.length > 0}<p class="small">
              Steps not done: {sheet.left.join('; ')}.
            </p>{/if}
        </section>
        <section>
          <h3>Measured</h3>
          {#each sheet.readings as reading, i (i)}
            <p>
              {reading.when}: {readingKinds[reading.kind].label}{reading.name
                ? `, ${reading.name}`
                : ''}
              <span class="figure">{reading.value} {readingKinds[reading.kind].unit}</span>, {reading.load},
              {stamp(reading.at)}
            </p>
          {:else}<p>no readings</p>{/each}
          {#each sheet.heat as line (line)}<p>{line}</p>{/each}
          {#if sheet.diagnoses.length + sheet.damages.length > 0}<h3>Faults and damage</h3>{/if}
          {#each [...sheet.diagnoses, ...sheet.damages] as line (line)}<p>{line}</p>{/each}
          {#if sheet.loans.length > 0}<h3>Lent and borrowed</h3>{/if}
          {#each sheet.loans as line (line)}<p>{line}</p>{/each}
          <h3>Data</h3>
          {#each sheet.clearings as clearing (clearing.partId)}
            <p>{clearing.name} ({clearing.partId}): {clearing.how}, {stamp(clearing.at)}</p>
          {/each}
          {#each sheet.uncleared as drive (drive.id)}
            <p>
              {drive.name} ({drive.id}): <b>not recorded</b>
              {#if !job.handedOver}<select
                  class="no-print"
                  aria-label="How was {drive.name} cleared?"
                  onchange={(event) => clear(drive.id, event.currentTarget.value)}
                >
                  <option value="">say how</option><option>clear</option><option>purge</option
                  ><option>destroy</option><option>none found</option>
                </select>{/if}
            </p>
          {/each}
          {#if sheet.clearings.length + sheet.uncleared.length === 0}<p>
              no drives came with it
            </p>{/if}
          <p class="small">Clear, purge, destroy as in NIST SP 800-88.</p>
        </section>
        <section>
          <h3>Cost</h3>
          <table>
            <tbody>
              {#each sheet.costs.lines as line, i (i)}
                <tr
                  ><td>{line.label}</td><td class="figure right"
                    >{line.minor === undefined
                      ? '?'
                      : formatMoney({
                          minor: line.minor,
                          currency: sheet.costs.currency,
                        })}</td
                  ></tr
                >
              {/each}
              <tr class="total"
                ><th scope="row"
                  >{sheet.costs.unpriced.length > 0
                    ? `without ${sheet.costs.unpriced.join(', ')}`
                    : 'in all'}</th
                ><td class="figure right"
                  >{formatMoney({ minor: sheet.costs.total, currency: sheet.costs.currency })}
                  {currencySign(sheet.costs.currency)}</td
                ></tr
              >
            </tbody>
          </table>
        </section>
        <section>
          <h3>Done</h3>
          {#each sheet.done as step, i (i)}
            <p class="small">
              <span class="figure">{dateText(step.at, 'dayTime')}</span>
              {step.title}{step.failed ? ', failed' : ''}{step.note ? `: ${step.note}` : ''}
            </p>
          {:else}<p>nothing ticked</p>{/each}
        </section>
      </div>
      <Field
        wide
        screenOnly
        label={record ? 'Added afterwards' : 'What to watch, what was tried and dropped'}
        ><textarea
          rows="2"
          maxlength="1500"
          value={(record ? later : job.note) ?? ''}
          oninput={(event) =>
            shopStore.edit(
              'note',
              editJob(job.id, { note: event.currentTarget.value || undefined }),
              `job note ${job.id}`,
            )}></textarea></Field
      >
      {#if sheet.note}<p class:print-only={!record}>{sheet.note}</p>{/if}
      {#if later}<p class="print-only">Added afterwards: {later}</p>{/if}
    </article>
  </Stage>
  {#if handing}<HandOverDialog {job} {open} onclose={() => (handing = false)} />{/if}
{/if}

<style>
  article {
    padding: 14px 18px;
    background: var(--tape);
    border: 1px solid var(--line);
  }
  article header {
    border-bottom: 2px solid var(--ink);
    margin-bottom: 8px;
    padding-bottom: 6px;
  }
  .columns {
    columns: 2;
    column-gap: 28px;
  }
  section {
    break-inside: avoid;
    margin-bottom: 10px;
  }
  h3 {
    border-bottom: 1px solid var(--line);
    margin: 4px 0;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 14px;
  }
  th {
    text-align: left;
    font-weight: 400;
    color: var(--ink-soft);
    padding-right: 8px;
    white-space: nowrap;
  }
  td,
  th {
    vertical-align: top;
    padding: 1px 0;
  }
  .right {
    text-align: right;
    white-space: nowrap;
    padding-left: 10px;
  }
  .total td,
  .total th {
    border-top: 1.5px solid var(--ink);
    font-weight: 700;
    color: var(--ink);
    white-space: normal;
  }
  p {
    font-size: 14px;
    line-height: 1.35;
  }
  .line {
    margin-bottom: 3px;
  }
  .small {
    font-size: 13px;
    color: var(--ink-soft);
  }
  select {
    height: 32px;
  }
  textarea {
    border: 1px solid var(--line);
    background: var(--paper);
    padding: 6px;
    color: var(--ink);
  }
  .incomplete {
    margin: 4px 0;
    padding: 4px 8px;
    border: 2px solid var(--ink);
    font-size: 15px;
  }
  .print-only {
    display: none;
  }
  @media (max-width: 43.75em) {
    .columns {
      columns: 1;
    }
  }
  @media print {
    .columns {
      column-gap: 20px;
    }
    p,
    table,
    .small {
      font-size: 9.5pt;
      line-height: 1.25;
    }
    article {
      border: 0;
      padding: 0;
    }
    .print-only {
      display: block;
    }
  }
</style>
