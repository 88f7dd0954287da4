<script lang="ts">
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { beginFrom } from '$core/edits/beginEdits.ts';
  import { byMachine } from '$core/intake/merge.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { undoable } from '$lib/shop/undoable.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import { countOf, piecesOf, readPieces, sayRead, type Piece } from './takingIn.ts';

  let text = $state('');
  let faults = $state<string[]>([]);
  /** What is too short to be an inventory is being typed, not pasted. */
  const LEAST = 40;

  /** A job of its own for what was read, and straight to it. */
  async function begin(pieces: readonly Piece[]): Promise<void> {
    const { inventories, faults: unread } = readPieces(pieces);
    faults = unread;
    if (inventories.length === 0) return;
    const machines = byMachine(inventories);
    const made = beginFrom(machines, new Date().toISOString());
    await shopStore.edit(`new job from ${inventories[0]?.tool ?? 'an inventory'}`, made.edit);
    const id = made.tag();
    sayRead(inventories, machines, id);
    undoable(`Job ${id}: ${countOf(machines[0]?.parts ?? [])} taken in.`);
    uiState.dialog = undefined;
    await goto(resolve('/job/[id]/[station]', { id, station: 'take-in' }));
  }

  async function files(list: readonly File[]): Promise<void> {
    const pieces = await piecesOf(list);
    if (pieces.length > 0) await begin(pieces);
  }
</script>

<Dialog title="A machine that starts" wide onclose={() => (uiState.dialog = undefined)}>
  <div
    role="group"
    aria-label="Inventory"
    ondragover={(event) => event.preventDefault()}
    ondrop={(event) => {
      event.preventDefault();
      void files([...(event.dataTransfer?.files ?? [])]);
    }}
  >
    <p>
      Run <code>sudo dmidecode</code>, <code>lshw -json</code> or <code>lspci -vv</code> on it and paste
      what it prints, or drop the files here. A job is made of it at once.
    </p>
    <TextArea
      unseen
      wide
      label="Paste the inventory here"
      bind:value={text}
      rows={9}
      spellcheck="false"
      autofocus
      placeholder="paste here"
      onpaste={(event) => {
        const pasted = event.clipboardData?.getData('text') ?? '';
        if (text !== '' || pasted.length < LEAST) return;
        event.preventDefault();
        text = pasted.slice(0, 20_000);
        void begin([{ from: 'paste', text: pasted }]);
      }}
    />
    <p class="row mid apart">
      <Button
        next
        disabled={text.trim() === ''}
        onclick={() => void begin([{ from: 'paste', text }])}>Read it</Button
      >
      <FilePick label="Pick files" multiple onfiles={(picked) => void files(picked)} />
    </p>
    {#each faults as fault (fault)}<p class="fault" role="alert">
        {fault} Nothing was changed.
      </p>{/each}
  </div>
</Dialog>

<style>
  code {
    font-family: var(--face-figure);
  }
</style>
