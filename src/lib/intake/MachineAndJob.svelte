<script lang="ts">
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { batchOf, sameAgain } from '$core/edits/batchEdits.ts';
  import {
    editMachineLoan,
    endMachineLoan,
    lendMachine,
    loanDifferences,
  } from '$core/edits/loanEdits.ts';
  import {
    deleteJob,
    deleteMachine,
    whyJobKept,
    whyMachineKept,
    type Leaving,
  } from '$core/edits/shelfEdits.ts';
  import type { Job, Loan, Machine } from '$core/model/types/types.ts';
  import LeavingDialog from '$lib/shelf/LeavingDialog.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Photos from '$lib/photos/Photos.svelte';
  import Button from '$lib/ui/Button.svelte';
  import { dateText } from '$lib/ui/dates.ts';
  import Dialog from '$lib/ui/Dialog.svelte';
  import LoanOpen from '$lib/parts/LoanOpen.svelte';
  import LoansPast from '$lib/parts/LoansPast.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    job: Job;
    machine: Machine | undefined;
  }
  /** What happens to a machine or a job as a whole. */
  const { job, machine }: Props = $props();
  let leaving = $state<Leaving | undefined>(undefined);
  let again = $state(false);
  let count = $state('12');
  let fault = $state('');
  const batch = $derived(batchOf(shopStore.shop, job));
  const differences = $derived(machine ? loanDifferences(shopStore.shop, machine) : []);
  const now = () => new Date().toISOString();
  const undo = () => void shopStore.undo();
  const MOST = 60;

  function copy(event: SubmitEvent): void {
    event.preventDefault();
    const pieces = Number(count);
    fault =
      Number.isInteger(pieces) && pieces >= 1 && pieces <= MOST
        ? ''
        : `How many more: 1 to ${MOST}. Kept as typed.`;
    if (fault) return;
    void shopStore.edit(`${pieces} the same`, sameAgain(job.id, pieces));
    toast(`${pieces} more like job ${job.id} on the bench.`, 'plain', undo);
    again = false;
  }
  function lend(way: Loan['way']): void {
    if (!machine) return;
    void shopStore.edit(`${machine.id} ${way}`, lendMachine(machine.id, { way }, now()));
    toast(`${machine.id} ${way}, with its list of parts as it stands.`, 'plain', undo);
  }
  function end(words: string[]): void {
    if (!machine) return;
    void shopStore.edit(`${machine.id} is back`, endMachineLoan(machine.id, now(), words));
    const found = differences.length + words.length;
    toast(
      found > 0 ? `${machine.id} is back: ${found} noted.` : `${machine.id} is back as it went.`,
      'plain',
      undo,
    );
  }
  async function removeJob(): Promise<void> {
    const why = whyJobKept(shopStore.shop, job.id);
    if (why) {
      toast(why, 'stop');
      return;
    }
    void shopStore.edit(`job ${job.id} deleted`, deleteJob(job.id));
    toast(`Job ${job.id} deleted; its machine and parts stay.`, 'plain', undo);
    await goto(resolve('/'));
  }
  function removeMachine(): void {
    if (!machine) return;
    const why = whyMachineKept(shopStore.shop, machine.id);
    if (why) toast(why, 'stop');
    else {
      void shopStore.edit(`${machine.id} deleted`, deleteMachine(machine.id));
      toast(`${machine.id} and what sat in it deleted.`, 'plain', undo);
    }
  }
</script>

<details class="no-print">
  <summary
    >This machine and this job as a whole{batch.length > 0
      ? ` · one of ${batch.length + 1} alike`
      : ''}</summary
  >
  {#if machine?.loan}
    {@const loan = machine.loan}
    <section>
      <h3>
        {loan.way === 'lent' ? 'Lent' : 'Borrowed'}{loan.since
          ? ` since ${dateText(loan.since, 'day')}`
          : ''}
      </h3>
      <LoanOpen
        {loan}
        onset={(fields) =>
          void shopStore.edit('loan', editMachineLoan(machine.id, fields), `loan ${machine.id}`)}
        onback={end}
      >
        <Photos
          place={{ machineId: machine.id, about: { of: 'loan', key: loan.since ?? 'loan' } }}
          of="{machine.name} as it went"
        />
        <p>
          Against its list of {loan.held?.length ?? 0} parts:
          {differences.length > 0 ? differences.join('; ') : 'as it went'}.
        </p>
      </LoanOpen>
    </section>
  {/if}
  <LoansPast loans={machine?.pastLoans} />
  <p class="row apart">
    <Button onclick={() => (again = true)}>Same again</Button>
    {#if machine && !machine.loan}
      <Button onclick={() => lend('lent')}>Lend it</Button>
      <Button onclick={() => lend('borrowed')}>It is borrowed</Button>
    {/if}
    {#if machine}
      <Button onclick={() => (leaving = 'sold')}>Sell</Button>
      <Button onclick={() => (leaving = 'given away')}>Give away</Button>
      <Button onclick={() => (leaving = 'scrapped')}>Scrap</Button>
      <Button onclick={removeMachine}>Delete the machine</Button>
    {/if}
    <Button onclick={() => void removeJob()}>Delete the job</Button>
  </p>
</details>

{#if leaving && machine}
  <LeavingDialog machine={machine.id} how={leaving} onclose={() => (leaving = undefined)} />
{/if}
{#if again}
  <Dialog title="Same again" onclose={() => (again = false)}>
    <form onsubmit={copy}>
      <p>
        More machines like this one, each with a job and the same plan. What was measured counts for
        all; serial numbers, readings and ticks are each one's own. Parts the plan brings from the
        shelf stand as still to be found.
      </p>
      <TextField short label="How many more" {fault} bind:value={count} inputmode="numeric" />
      <p class="row apart"><Button type="submit" next>Add them</Button></p>
    </form>
  </Dialog>
{/if}

<style>
  details {
    margin-top: 12px;
    border-top: 1px dashed var(--line);
  }
  summary {
    display: flex;
    align-items: center;
    min-height: var(--target);
    font: 600 16px var(--face-head);
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
  form {
    display: grid;
    gap: 10px;
  }
</style>
