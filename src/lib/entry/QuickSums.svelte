<script lang="ts">
  import { quickSum } from '$core/quick/sums.ts';
  import type { Job, KeptSum } from '$core/model/types/types.ts';
  import { dropItem } from '$core/shop/items.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Mark from '$lib/ui/Mark.svelte';
  import { show, unitWord } from '$lib/ui/figures.ts';
  import { keepSum } from './keepSum.ts';

  interface Props {
    /** The job to keep sums with, if one is open. */
    job: Job | undefined;
  }
  const { job }: Props = $props();
  const kept = $derived(
    (job?.sums ?? []).map((sum) => ({
      kept: sum,
      text: sum.text,
      sum: quickSum(sum.text, sum.unit, shopStore.shop.settings.unit),
    })),
  );
  const jobs = $derived(shopStore.shop.jobs.filter((each) => !each.handedOver));

  function drop(sum: KeptSum): void {
    if (job) void shopStore.edit('kept sum dropped', dropItem(job.id, 'sums', sum));
  }
</script>

{#if uiState.quick.length > 0 || kept.length > 0}
  <ul aria-label="Quick sums">
    {#each uiState.quick as sum (sum)}
      <li>
        <p class="figure line">
          <Mark mark={sum.finding.mark} size={16} />
          {sum.text}{sum.unit === shopStore.shop.settings.unit ? '' : ` (in ${sum.unit})`}
        </p>
        <p class="answer figure">
          = {sum.finding.margin
            ? `${sum.finding.marginLabel} ${show(sum.finding.margin, sum.finding.unit, shopStore.shop.settings).replace('−', '')} ${unitWord(sum.finding.unit, shopStore.shop.settings)}`
            : sum.finding.marginLabel}
        </p>
        {#if job}
          <button onclick={() => keepSum(job.id, sum)}>Keep with {job.id}</button>
        {:else}
          <label>
            <span class="visually-hidden">Keep {sum.text} with a job</span>
            <select onchange={(event) => keepSum(event.currentTarget.value, sum)}>
              <option value="">Keep with …</option>
              {#each jobs as each (each.id)}<option value={each.id}>{each.id} · {each.name}</option
                >{/each}
            </select>
          </label>
        {/if}
      </li>
    {/each}
    {#each kept as one, i (i)}
      <li>
        <p class="figure line">
          {#if one.sum}<Mark mark={one.sum.finding.mark} size={16} />{/if}
          {one.text}{one.kept.unit === shopStore.shop.settings.unit ? '' : ` (in ${one.kept.unit})`}
        </p>
        <p class="answer figure">= {one.sum?.say ?? 'not understood'}</p>
        <button onclick={() => drop(one.kept)} aria-label="Drop {one.text}">Drop</button>
      </li>
    {/each}
  </ul>
{/if}

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 8px;
    padding: 8px 14px 8px 19px;
    border-bottom: 1px dashed var(--line);
    font-size: 15px;
  }
  .line {
    grid-column: 1 / -1;
    display: flex;
    gap: 6px;
    align-items: center;
  }
  .answer {
    font-weight: 700;
  }
  button,
  select {
    border: 0;
    background: none;
    color: var(--ink-soft);
    text-decoration: underline;
    font-size: 14px;
    max-width: 130px;
  }
</style>
