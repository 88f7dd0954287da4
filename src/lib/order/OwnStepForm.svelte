<script lang="ts">
  import { addItems } from '$core/shop/items.ts';
  import { resources, type OwnStep, type Resource } from '$core/model/types/finishTypes.ts';
  import { nextOwnId, type Step } from '$core/order/index.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { minutesIn } from '$core/units/span.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  interface Props {
    job: Job;
    steps: readonly Step[];
    /** The step it comes after unless another is picked. */
    after: string | undefined;
    onclose: () => void;
  }
  const { job, steps, after, onclose }: Props = $props();
  let title = $state('');
  let minutes = $state('');
  let leave = $state('');
  let tool = $state('');
  let caution = $state('');
  let who = $state('');
  let uses = $state<Resource | ''>('');
  /* Where it begins; picked by hand from then on. */
  let behind = $derived(after ?? '');
  let sent = $state(false);

  const titleFault = $derived(sent && title.trim() === '' ? 'what is done' : '');
  const minutesFault = $derived(
    minutes.trim() !== '' && minutesIn(minutes) === undefined ? '20, 1:30, 2 h' : '',
  );
  const leaveFault = $derived(
    leave.trim() !== '' && minutesIn(leave) === undefined ? '30, 2 h, 1 day' : '',
  );

  function add(event: SubmitEvent): void {
    event.preventDefault();
    sent = true;
    if (title.trim() === '' || minutesFault || leaveFault) return;
    const alone = leave.trim() === '' ? undefined : minutesIn(leave);
    const own: OwnStep = {
      id: nextOwnId(job),
      title: title.trim(),
      minutes: minutes.trim() === '' ? 10 : (minutesIn(minutes) ?? 10),
      ...(alone !== undefined && { leaveMinutes: alone }),
      ...(behind !== '' && { after: behind }),
      ...(tool.trim() && { tool: tool.trim() }),
      ...(caution.trim() && { caution: caution.trim() }),
      ...(who.trim() && { who: who.trim() }),
      ...(uses && { uses }),
    };
    void shopStore.edit(`step of our own: ${own.title}`, addItems(job.id, 'own', [own]));
    onclose();
  }
</script>

<form class="no-print" onsubmit={add} aria-label="A step of your own">
  <TextField label="What is done" wide fault={titleFault} bind:value={title} maxlength={120} />
  <TextField
    label="Hands"
    short
    fault={minutesFault}
    bind:value={minutes}
    maxlength={12}
    placeholder="10 min"
  />
  <TextField
    label="Then leave alone"
    short
    fault={leaveFault}
    bind:value={leave}
    maxlength={12}
    placeholder="2 h"
  />
  <Select
    label="After"
    options={steps.map(({ id, title: words }) => ({ value: id, words }))}
    bind:value={behind}
    none="first of all"
  />
  <TextField label="Tool" bind:value={tool} maxlength={80} />
  <TextField label="Caution" bind:value={caution} maxlength={200} />
  <TextField label="Who" bind:value={who} maxlength={60} />
  <Select label="Takes the" options={[...resources]} bind:value={uses} none="bench" />
  <Button type="submit" next>Add the step</Button>
  <Button quiet onclick={onclose}>Leave it</Button>
</form>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 8px 14px;
    padding: 8px 12px 12px;
    background: var(--tape);
    border: 1px dashed var(--line);
  }
  form :global(select) {
    max-width: 320px;
  }
</style>
