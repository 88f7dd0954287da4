<script lang="ts">
  import { addItems } from '$core/shop/items.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** What is put right after the record was frozen: dated, never an edit of it. */
  const { job }: { job: Job } = $props();
  let text = $state('');
  let fault = $state('');

  function add(event: SubmitEvent): void {
    event.preventDefault();
    fault = text.trim() === '' ? 'Say what is to be added.' : '';
    if (fault) return;
    void shopStore.edit(
      'added to the record',
      addItems(job.id, 'additions', [
        {
          at: new Date().toISOString(),
          text: text.trim(),
          ...(uiState.who.trim() && { who: uiState.who.trim() }),
        },
      ]),
    );
    text = '';
  }
</script>

<form class="row apart no-print" onsubmit={add}>
  <TextField
    wide
    label="Add to the record"
    {fault}
    bind:value={text}
    maxlength={1500}
    placeholder="what came out later: it is added with its day"
  />
  <TextField label="By" bind:value={uiState.who} maxlength={60} />
  <Button type="submit">Add</Button>
</form>
