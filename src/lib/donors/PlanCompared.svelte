<script lang="ts">
  import type { Proposal, Summary } from '$core/allocate/proposal.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { amount, billSay, hoursText } from './planWords.ts';

  interface Props {
    today: Summary;
    /** Best first. */
    plans: readonly Proposal[];
    shown: number;
    onshow: (plan: number) => void;
  }
  const { today, plans, shown, onshow }: Props = $props();
  const names = ['best', 'next', 'third', 'fourth'];
  const columns = $derived([
    { name: 'today', sum: today, plan: undefined },
    ...plans.map(({ summary }, i) => ({ name: names[i] ?? '', sum: summary, plan: i })),
  ]);
  const currency = $derived(shopStore.shop.settings.currency);
  interface Line {
    label: string;
    say: (sum: Summary) => string;
    size: (sum: Summary) => number;
  }
  const lines: readonly Line[] = [
    {
      label: 'jobs that run',
      say: ({ runs, jobs }) => `${runs} of ${jobs.length}`,
      size: ({ runs }) => runs,
    },
    {
      label: 'still to be spent',
      say: ({ bill }) => billSay(bill),
      size: ({ bill }) => bill.sum.hi,
    },
    {
      label: 'to be measured',
      say: ({ open }) => (open === 0 ? 'nothing' : open === 1 ? 'one sum' : `${open} sums`),
      size: ({ open }) => open,
    },
    { label: 'hands', say: ({ minutes }) => hoursText(minutes), size: ({ minutes }) => minutes },
    {
      label: 'donors opened',
      say: ({ opened }) => (opened.length > 0 ? opened.join(', ') : 'none'),
      size: ({ opened }) => opened.length,
    },
    {
      label: 'the rest is worth',
      say: ({ rest, unvalued }) =>
        `${amount(rest, currency)}${unvalued > 0 ? `, ${unvalued} not valued` : ''}`,
      size: ({ rest }) => rest,
    },
  ];
  const widest = (line: Line) => Math.max(1, ...columns.map(({ sum }) => line.size(sum)));
  const share = (line: Line, sum: Summary) => (line.size(sum) / widest(line)) * 100;
</script>

<div class="wide">
  <table>
    <thead>
      <tr>
        <th><span class="visually-hidden">what</span></th>
        {#each columns as { name, plan } (name)}
          <th scope="col">
            {#if plan === undefined}{name}{:else}<button
                aria-pressed={shown === plan}
                onclick={() => onshow(plan)}>{name}</button
              >{/if}
          </th>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each lines as line (line.label)}
        <tr>
          <th scope="row">{line.label}</th>
          {#each columns as { name, sum, plan } (name)}
            <td class:shown={plan === shown}>
              <span class="figure">{line.say(sum)}</span>
              <svg viewBox="0 0 100 4" preserveAspectRatio="none" aria-hidden="true">
                <rect class="room" width="100" height="4" />
                <rect class="bar" width={share(line, sum)} height="4" />
              </svg>
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
    width: 100%;
    font-size: 15px;
  }
  th,
  td {
    text-align: left;
    padding: 3px 10px 3px 0;
    vertical-align: top;
  }
  tbody th {
    font-weight: 400;
    color: var(--ink-soft);
    white-space: nowrap;
  }
  td {
    min-width: 120px;
  }
  button {
    min-height: 36px;
    padding: 0 12px;
    border: 1.5px solid var(--ink);
    border-radius: 3px;
    background: none;
    color: var(--ink);
    font: 600 16px var(--face-head);
  }
  button[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  svg {
    display: block;
    width: 100%;
    height: 4px;
  }
  .room {
    fill: var(--paper-deep);
  }
  .bar {
    fill: var(--ink-soft);
  }
  .shown .bar {
    fill: var(--accent);
  }
</style>
