<script lang="ts">
  import { editJob } from '$core/edits/edits.ts';
  import { wordsOf } from '$core/schedule/words.ts';
  import { addItems, dropItem } from '$core/shop/items.ts';
  import { whenOf, withHour } from '$core/units/when.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { weekState } from '$lib/shop/weekState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { clockOf, dateText } from '$lib/ui/dates.ts';
  import TextField from '$lib/ui/TextField.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Select from '$lib/ui/Select.svelte';

  interface Props {
    job: Job;
  }
  const { job }: Props = $props();
  let why = $state('');
  let until = $state('');
  let by = $state<string | undefined>(undefined);
  let fault = $state('');
  let byFault = $state('');
  const BEGINS = 8 * 60;
  const ENDS = 18 * 60;

  const now = $derived(shopStore.now);
  const open = $derived(job.waits.filter((wait) => wait.until === undefined || wait.until > now));
  $effect(() => {
    if (job.deadline !== undefined) weekState.follow(shopStore.shop, now);
  });
  const standing = $derived(
    job.deadline === undefined || !weekState.plan ? undefined : wordsOf(weekState.plan, job.id),
  );

  function add(event: SubmitEvent): void {
    event.preventDefault();
    const when = until.trim() === '' ? undefined : whenOf(until, clockOf(now));
    const time = when && withHour(when, BEGINS);
    fault =
      until.trim() !== '' && !time
        ? '24 h, fri 10:00, tomorrow, 3 dec. Kept as typed.'
        : time && time <= now
          ? 'That has passed already. Kept as typed.'
          : '';
    if (fault) return;
    const wait = { why: why.trim() || 'drying', ...(time && { until: time }) };
    void shopStore.edit(`wait: ${wait.why}`, addItems(job.id, 'waits', [wait]));
    why = until = '';
  }
  function setDeadline(): void {
    if (by === undefined) return;
    const when = by.trim() === '' ? undefined : whenOf(by, clockOf(now));
    const deadline = when && withHour(when, ENDS);
    byFault =
      by.trim() !== '' && !deadline
        ? 'sat, 3 dec 17:00, 5 days. Kept as typed.'
        : deadline && deadline <= now
          ? 'That has passed already. Kept as typed.'
          : '';
    if (byFault) return;
    void shopStore.edit('the deadline', editJob(job.id, { deadline }));
    by = undefined;
  }
</script>

<section class="no-print" aria-label="Waits and dates">
  {#each open as wait, i (i)}
    <p class="wait">
      Waits: {wait.why}{wait.until
        ? `, until ${dateText(wait.until, 'dayTime')}`
        : ', nobody knows how long'}
      <Button
        quiet
        aria-label="Over: {wait.why}"
        onclick={() => void shopStore.edit(`over: ${wait.why}`, dropItem(job.id, 'waits', wait))}
        >It is over</Button
      >
    </p>
  {/each}
  {#if standing}
    <p class="wait"><Mark mark={standing.mark} size={18} word /> {standing.say}</p>
  {/if}
  <form onsubmit={add}>
    <TextField label="Waits for" bind:value={why} maxlength={120} placeholder="paint" />
    <TextField
      label="How long, or until"
      {fault}
      bind:value={until}
      maxlength={40}
      placeholder="24 h, fri 10:00"
    />
    <Button type="submit">Note the wait</Button>
    <TextField
      label="Promised for"
      fault={byFault}
      value={by ?? (job.deadline ? dateText(job.deadline, 'dayTime') : '')}
      maxlength={40}
      placeholder="sat"
      oninput={(event) => (by = event.currentTarget.value)}
      onblur={setDeadline}
      onkeydown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        setDeadline();
      }}
    />
    {#if job.deadline !== undefined}
      <Select
        label="Being late weighs"
        options={[
          { value: '0.3', words: 'less than others' },
          { value: '1', words: 'as others' },
          { value: '3', words: 'more than others' },
        ]}
        value={String(job.weight ?? 1)}
        onpick={(value) =>
          void shopStore.edit(
            'how much being late weighs',
            editJob(job.id, { weight: Number(value) }),
          )}
      />
    {/if}
  </form>
</section>

<style>
  section {
    margin: 6px 0 10px;
  }
  .wait {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 12px;
    margin: 0;
  }
  form {
    margin-top: 8px;
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 8px 14px;
  }
</style>
