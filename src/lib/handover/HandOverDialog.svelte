<script lang="ts">
  import { handOver } from '$core/edits/handOverEdits.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    job: Job;
    /** What is open, a line each; none: nothing is asked. */
    open: readonly string[];
    onclose: () => void;
  }
  const { job, open, onclose }: Props = $props();
  let follows = $state('');
  let who = $state('');
  let by = $state('');
  let fault = $state('');

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (open.length > 0 && follows.trim() === '') {
      fault = 'Say what follows: it goes on the sheet.';
      return;
    }
    const incomplete =
      open.length === 0
        ? undefined
        : {
            open: [...open],
            follows: follows.trim(),
            ...(who.trim() ? { who: who.trim() } : {}),
            ...(by ? { by } : {}),
          };
    void shopStore.edit('handed over', handOver(job.id, new Date().toISOString(), incomplete));
    onclose();
  }
</script>

<Dialog title={open.length > 0 ? 'Hand over incomplete?' : 'Hand over?'} wide {onclose}>
  <form onsubmit={submit}>
    {#if open.length > 0}
      <p>Still open; it stays on the sheet:</p>
      <ul>
        {#each open as line, i (i)}<li>{line}</li>{/each}
      </ul>
      <TextField
        label="What follows?"
        bind:value={follows}
        maxlength={200}
        aria-describedby="follows-fault"
      />
      {#if fault}<p class="fault" id="follows-fault" role="alert">{fault}</p>{/if}
      <p class="row">
        <TextField label="Who does it?" bind:value={who} maxlength={80} />
        <TextField label="By when?" type="date" bind:value={by} min="2000-01-01" max="2199-12-31" />
      </p>
    {:else}
      <p>Nothing is open.</p>
    {/if}
    <p class="soft">
      The sheet is kept as it stands now and does not change again; the machine becomes what was
      planned, and what came out of it goes to the shelf.
    </p>
    <p class="row">
      <Button type="submit" next>{open.length > 0 ? 'Hand over incomplete' : 'Hand over'}</Button>
      <Button onclick={onclose}>Not yet</Button>
    </p>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 10px;
  }
  ul {
    margin: 0;
    padding-left: 20px;
  }
  li {
    margin: 2px 0;
    overflow-wrap: anywhere;
  }
</style>
