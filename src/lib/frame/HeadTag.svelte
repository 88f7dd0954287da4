<script lang="ts">
  import { editJob } from '$core/edits/edits.ts';
  import { requirementsIn } from '$core/model/types/empty.ts';
  import { costs } from '$core/shop/standing.ts';
  import { currencySign, formatMoney, readMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';

  interface Props {
    view: JobView;
  }
  const { view }: Props = $props();
  const spent = $derived(
    view.job && view.plan ? costs(shopStore.shop, view.job, view.plan) : undefined,
  );
  const over = $derived(view.found.some(({ id, mark }) => id === 'budget' && mark === 'mend'));
  /** The budget while it is typed; emptied it is no budget. */
  let typing = $state<{ jobId: string; text: string } | undefined>(undefined);
  const typed = $derived(typing?.jobId === view.job?.id ? typing?.text : undefined);
  let fault = $state(false);
  function setBudget(id: string): void {
    if (typed === undefined || !spent) return;
    const text = typed.trim();
    const read = text === '' ? { money: undefined } : readMoney(text, spent.total.currency);
    fault = 'fault' in read;
    if ('fault' in read) {
      toast(read.fault, 'stop');
      return;
    }
    typing = undefined;
    shopStore.edit('the budget', editJob(id, { budget: read.money }));
  }
  const donors = $derived(
    shopStore.shop.machines.filter((machine) => machine.state === 'donor').length,
  );
  const open = $derived(shopStore.shop.jobs.filter((job) => !job.handedOver).length);
  const shelf = $derived(shopStore.shop.parts.filter((part) => part.place === 'shelf').length);
</script>

{#if view.job && spent}
  {@const job = view.job}
  <div class="tag">
    <span class="hole" aria-hidden="true"></span>
    <div class="words">
      <b>{job.id} · {job.name}</b>
      <label>
        <span>becomes:</span>
        <input
          value={job.becomes}
          maxlength={120}
          placeholder="what it should become"
          title={job.becomes}
          oninput={(event) => {
            const becomes = event.currentTarget.value;
            shopStore.edit(
              'what it becomes',
              editJob(job.id, { becomes, requirements: requirementsIn(becomes) }),
              `becomes ${job.id}`,
            );
          }}
        />
      </label>
    </div>
    <span
      class="money figure"
      title={spent.unpriced.length ? `No price yet: ${spent.unpriced.join(', ')}` : 'Spent'}
    >
      <b class:over>{formatMoney(spent.total).replace('.00', '')}</b><i>of</i><input
        class="budget"
        aria-label="Budget"
        inputmode="decimal"
        placeholder="?"
        value={typed ?? (job.budget ? formatMoney(job.budget).replace('.00', '') : '')}
        aria-invalid={fault}
        oninput={(event) => {
          typing = { jobId: job.id, text: event.currentTarget.value };
          fault = false;
        }}
        onblur={() => setBudget(job.id)}
        onkeydown={(event) => {
          if (event.key === 'Enter') setBudget(job.id);
          else if (event.key === 'Escape') typing = undefined;
        }}
      />
      <i>{currencySign(spent.total.currency)}{spent.unpriced.length ? ' + ?' : ''}</i>
    </span>
  </div>
{:else}
  <div class="shop">
    <b>{shopStore.shop.name}</b>
    <span>{open} jobs · {donors} donors · {shelf} parts on the shelf</span>
  </div>
{/if}

<style>
  .tag {
    display: flex;
    align-items: center;
    gap: 12px;
    height: 48px;
    /* As wide as what the job becomes, within reason. */
    width: max-content;
    min-width: 260px;
    max-width: min(680px, 52vw);
    padding: 0 14px 0 12px;
    background: var(--kraft);
    color: var(--kraft-ink);
    clip-path: polygon(14px 0, 100% 0, 100% 100%, 14px 100%, 0 calc(100% - 14px), 0 14px);
  }
  .hole {
    flex: none;
    width: 14px;
    height: 14px;
    border-radius: 50%;
    background: var(--mat);
  }
  .words {
    flex: 1;
    min-width: 0;
  }
  .words b {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font: 600 18px/1.2 var(--face-head);
  }
  label {
    display: flex;
    gap: 4px;
    font-size: 14px;
  }
  input {
    flex: 1;
    field-sizing: content;
    min-width: 12ch;
    max-width: 100%;
    height: auto;
    padding: 0;
    border: 0;
    border-bottom: 1px dotted var(--kraft-ink);
    background: none;
    font-size: 14px;
  }
  .money {
    display: flex;
    gap: 6px;
    font-size: 16px;
    white-space: nowrap;
  }
  .budget {
    flex: none;
    width: 4ch;
    field-sizing: content;
    min-width: 2ch;
    max-width: 9ch;
    text-align: right;
    font: inherit;
  }
  .over {
    text-decoration: underline wavy;
  }
  .money i {
    font-style: normal;
  }
  .shop {
    min-width: 0;
    max-width: 34vw;
  }
  .shop b {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font: 600 19px/1.1 var(--face-head);
  }
  .shop span {
    font-size: 14px;
    color: var(--mat-soft);
    white-space: nowrap;
  }
  @media (max-width: 62.5em) {
    .tag {
      width: 240px;
      min-width: 180px;
    }
    .money {
      display: none;
    }
    .shop span {
      display: none;
    }
  }
  @media (max-width: 37.5em) {
    .tag {
      flex: 1 0 100%;
      width: auto;
      max-width: none;
      height: var(--target);
    }
    label > span {
      flex: none;
    }
    .shop {
      display: none;
    }
  }
</style>
