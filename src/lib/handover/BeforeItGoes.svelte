<script lang="ts">
  import { editJob, editMachine } from '$core/edits/edits.ts';
  import { addItems, dropItem, setClearing } from '$core/shop/items.ts';
  import { sheetOf } from '$core/record/sheet.ts';
  import { isText } from '$core/model/types/fact.ts';
  import type { Customer } from '$core/model/types/recordTypes.ts';
  import { clearingWays } from '$core/model/types/readings.ts';
  import type { Clearing, Job, Machine } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Photos from '$lib/photos/Photos.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';

  interface Props {
    job: Job;
    machine: Machine | undefined;
  }
  /** What the sheets say and nobody has typed yet: all of it may stay empty. */
  const { job, machine }: Props = $props();
  const sheet = $derived(sheetOf(shopStore.shop, job));
  let what = $state('');
  let why = $state('');
  let fault = $state('');

  const set = (label: string, fields: Partial<Job>) =>
    void shopStore.edit(label, editJob(job.id, fields), `${label} ${job.id}`);
  function setCustomer(fields: Customer): void {
    const customer = { ...job.customer, ...fields };
    set('customer', { customer: customer.name || customer.contact ? customer : undefined });
  }
  const clear = (clearing: Clearing) =>
    void shopStore.edit(
      'data cleared',
      setClearing(job.id, clearing),
      `clearing ${clearing.partId}`,
    );
  function give(event: SubmitEvent): void {
    event.preventDefault();
    if (what.trim() === '' || why.trim() === '') {
      fault = 'Say what was tried, and why it was given up.';
      return;
    }
    fault = '';
    void shopStore.edit(
      'given up',
      addItems(job.id, 'dropped', [
        { at: new Date().toISOString(), what: what.trim(), why: why.trim() },
      ]),
    );
    [what, why] = ['', ''];
  }
  /** What the sheets would say and nobody has said; none of it has to be. */
  const wanted = $derived(
    [
      !job.customer && 'for whom',
      !job.system && 'system',
      !job.warranty && 'warranty',
      sheet.uncleared.length > 0 &&
        `data of ${sheet.uncleared.length} ${sheet.uncleared.length === 1 ? 'drive' : 'drives'}`,
      !job.watch && 'what to watch',
    ].filter((each) => each !== false),
  );
  const serial = $derived(machine?.facts['serial']);
</script>

<details class="no-print">
  <summary>{wanted.length > 0 ? `To fill in: ${wanted.join(', ')}` : 'Filled in'}</summary>
  <div class="row apart">
    <TextField
      label="For whom"
      value={job.customer?.name ?? ''}
      maxlength={120}
      oninput={(event) => setCustomer({ name: event.currentTarget.value || undefined })}
    />
    <TextField
      label="Their contact"
      value={job.customer?.contact ?? ''}
      maxlength={200}
      oninput={(event) => setCustomer({ contact: event.currentTarget.value || undefined })}
    />
    <TextField
      label="System installed"
      value={job.system ?? ''}
      maxlength={200}
      oninput={(event) => set('system', { system: event.currentTarget.value || undefined })}
    />
    <TextField
      label="Warranty"
      value={job.warranty ?? ''}
      maxlength={200}
      placeholder="90 days, bring it in"
      oninput={(event) => set('warranty', { warranty: event.currentTarget.value || undefined })}
    />
    {#if machine}
      <TextField
        label="Serial number"
        value={serial && isText(serial) ? serial.text : ''}
        maxlength={120}
        oninput={(event) => {
          const { serial: _, ...others } = machine.facts;
          const text = event.currentTarget.value;
          void shopStore.edit(
            'serial number',
            editMachine(machine.id, {
              facts: text ? { ...others, serial: { text, how: 'said' } } : others,
            }),
            `serial ${machine.id}`,
          );
        }}
      />
    {/if}
    <TextField
      wide
      label="What they should watch"
      value={job.watch ?? ''}
      maxlength={400}
      placeholder="clean the front mesh twice a year"
      oninput={(event) => set('what to watch', { watch: event.currentTarget.value || undefined })}
    />
  </div>
  {#each [...sheet.clearings, ...sheet.uncleared.map( ({ id, name }) => ({ partId: id, name }) )] as drive (drive.partId)}
    {@const known =
      'how' in drive ? job.clearings.find((each) => each.partId === drive.partId) : undefined}
    <div class="row apart drive">
      <Select
        label="Data on {drive.name} ({drive.partId})"
        aria-label="How was {drive.name} cleared?"
        options={clearingWays}
        value={known?.how ?? ''}
        {...known ? {} : { none: 'say how' }}
        onpick={(how) => {
          if (how === '') return;
          clear(
            known ? { ...known, how } : { partId: drive.partId, how, at: new Date().toISOString() },
          );
        }}
      />
      {#if known}
        {#each [['tool', 'with'], ['who', 'by whom'], ['serial', 'its serial number']] as const as [key, label] (key)}
          <TextField
            {label}
            value={known[key] ?? ''}
            maxlength={120}
            oninput={(event) => clear({ ...known, [key]: event.currentTarget.value || undefined })}
          />
        {/each}
      {/if}
    </div>
  {/each}
  <form class="row apart" onsubmit={give}>
    <TextField
      label="Tried and given up"
      bind:value={what}
      maxlength={160}
      placeholder="the tower cooler"
    />
    <TextField
      label="Why"
      {fault}
      bind:value={why}
      maxlength={160}
      placeholder="too tall under the lid"
    />
    <Button type="submit">Note it</Button>
  </form>
  {#each job.dropped as dropped (dropped.at + dropped.what)}
    <p class="line">
      {dropped.what}: {dropped.why}
      <Button
        quiet
        onclick={() => void shopStore.edit('struck', dropItem(job.id, 'dropped', dropped))}
        >Strike</Button
      >
    </p>
  {/each}
  <TextArea
    wide
    label="Note, for the shop"
    rows={2}
    maxlength={1500}
    value={job.note ?? ''}
    oninput={(event) => set('note', { note: event.currentTarget.value || undefined })}
  />
  <Photos
    place={{ jobId: job.id }}
    of="the machine as it goes out"
    when="after"
    label="Photo as it goes out"
  />
</details>

<style>
  summary {
    display: flex;
    align-items: center;
    min-height: var(--target);
    font: 600 16px var(--face-head);
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
  details {
    margin-bottom: 12px;
    padding-bottom: 10px;
    border-bottom: 1px dashed var(--line);
  }
  .line {
    font-size: 15px;
  }
</style>
