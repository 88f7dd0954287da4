<script lang="ts">
  import type { Inventory } from '$core/intake/inventory.ts';
  import { byHand } from '$core/intake/byHand.ts';
  import { cimCommand } from '$core/intake/cim.ts';
  import { byMachine } from '$core/intake/merge.ts';
  import { caseClasses } from '$core/model/properties/index.ts';
  import { boardFormats } from '$core/standards/boards.ts';
  import { takeInAll } from '$core/edits/intakeEdits.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import { countOf, piecesOf, readPieces, sayRead, type Piece } from './takingIn.ts';

  interface Props {
    job: Job;
    dialog?: boolean;
    onclose?: () => void;
  }
  const { job, dialog = false, onclose }: Props = $props();

  let text = $state('');
  let faults = $state<string[]>([]);
  let over = $state(false);
  let name = $state('');
  let shell = $state('');
  let format = $state('');
  const machineId = $derived(
    job.machineId ??
      (indexOf(shopStore.shop).machines.has(`M${job.id}`) ? `M${job.id}x` : `M${job.id}`),
  );

  const commands = [
    ['dmidecode', 'sudo dmidecode'],
    ['lshw', 'sudo lshw -json'],
    ['lscpu', 'lscpu -J'],
    ['lsblk', 'lsblk -J -o NAME,SIZE,TYPE,MODEL,TRAN,RM'],
    ['smartctl, each drive', 'sudo smartctl -a -j /dev/sda'],
    ['the common desktop system', cimCommand],
  ] as const;

  function read(pieces: readonly Piece[]): void {
    const { inventories, faults: unread } = readPieces(pieces);
    faults = unread;
    if (inventories.length > 0) store(inventories);
  }

  /** All of it, machine by machine: what differs from what is known waits for a word. */
  function store(inventories: readonly Inventory[]): void {
    const at = new Date().toISOString();
    const machines = byMachine(inventories);
    const tools = inventories.map(({ tool }) => tool).join(', ');
    void shopStore.edit(`taken in from ${tools}`, takeInAll(machineId, machines, at, job.id));
    sayRead(inventories, machines, job.id);
    const waits = indexOf(shopStore.shop)
      .machines.get(machineId)
      ?.unsettled?.some((each) => each.at === at);
    toast(
      [
        waits
          ? `${tools} differs from what is known of ${machineId}: choose at Intake.`
          : `${countOf(machines[0]?.parts ?? [])} taken in from ${tools}.`,
        machines.length > 1 ? `${machines.length} machines in it: each has a tag of its own.` : '',
      ]
        .filter(Boolean)
        .join(' '),
    );
    if (faults.length === 0) {
      text = '';
      onclose?.();
    }
  }

  async function files(list: readonly File[]): Promise<void> {
    const pieces = await piecesOf(list);
    if (pieces.length > 0) read(pieces);
  }

  function hand(): void {
    if (!shell) {
      faults = ['Say at least what sort of case it is.'];
      return;
    }
    faults = [];
    store([byHand({ name: name.trim() || job.name, shell, boardFormat: format || undefined })]);
  }

  async function copy(command: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(command);
      toast('Copied.');
    } catch {
      toast('The browser did not let it be copied: select the line and copy it by hand.', 'stop');
    }
  }
</script>

{#snippet body()}
  <div
    class="drop"
    class:over
    role="group"
    aria-label="Inventory"
    ondragover={(event) => {
      event.preventDefault();
      over = true;
    }}
    ondragleave={() => (over = false)}
    ondrop={(event) => {
      event.preventDefault();
      over = false;
      void files([...(event.dataTransfer?.files ?? [])]);
    }}
  >
    <h2>It still starts</h2>
    <p>
      Run one or more of these on it. Drop the files here, several at once, or paste what they
      print.
    </p>
    <ul>
      {#each commands as [label, command] (label)}
        <li>
          <span>{label}</span><code title={command}>{command}</code>
          <button onclick={() => copy(command)}>Copy</button>
        </li>
      {/each}
    </ul>
    <TextArea
      unseen
      wide
      label="Paste the inventory here"
      bind:value={text}
      rows={4}
      spellcheck="false"
      placeholder="paste here"
      onpaste={(event) => {
        const pasted = event.clipboardData?.getData('text') ?? '';
        if (text === '' && pasted.length > 40) {
          event.preventDefault();
          text = pasted.slice(0, 20_000);
          read([{ from: 'paste', text: pasted }]);
        }
      }}
    />
    <p class="row apart">
      <Button next onclick={() => read([{ from: 'paste', text }])} disabled={text.trim() === ''}
        >Read it</Button
      >
      <FilePick label="Pick files" multiple onfiles={(picked) => void files(picked)} />
    </p>
    {#each faults as fault (fault)}<p class="fault" role="alert">
        {fault} What was taken in before is kept.
      </p>{/each}
  </div>
  <div class="hand">
    <h2>It does not start</h2>
    <p>Say what you see; the rest is what its class usually measures, until you measure it.</p>
    <p class="row apart">
      <TextField label="What was it?" bind:value={name} maxlength={120} placeholder={job.name} />
      <Select label="Case" options={caseClasses} none="choose" bind:value={shell} />
      <Select
        label="Board"
        options={[
          ...boardFormats.map((each) => ({ value: each.name, words: each.name })),
          { value: "maker's own", words: "maker's own" },
        ]}
        none="not known"
        bind:value={format}
      />
      <Button onclick={hand}>Take it in by hand</Button>
    </p>
  </div>
{/snippet}

{#if dialog}
  <Dialog title="Take in more" wide onclose={() => onclose?.()}>{@render body()}</Dialog>
{:else}
  {@render body()}
{/if}

<style>
  .drop {
    padding: 14px 18px;
    border: 3px dashed var(--line);
  }
  .over {
    border-color: var(--accent);
    background: var(--tape-lit);
  }
  ul {
    list-style: none;
    margin: 8px 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: 104px 1fr auto;
    gap: 10px;
    align-items: center;
    font-size: 14.5px;
  }
  code {
    overflow: hidden;
    text-overflow: ellipsis;
    padding: 8px;
    background: var(--paper-deep);
    white-space: nowrap;
  }
  li button {
    min-height: 36px;
    border: 1px solid var(--line);
    background: none;
    font: 500 15px var(--face-head);
  }
  .hand {
    margin-top: 16px;
  }
  .fault {
    margin-top: 8px;
  }
</style>
