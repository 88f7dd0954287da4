<script lang="ts">
  import { tick } from 'svelte';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  let withTape = $state(false);

  /** What is on the stage goes on paper; the tape only if it is wished for. */
  async function print(): Promise<void> {
    uiState.dialog = undefined;
    uiState.printTape = withTape;
    await tick();
    window.print();
  }
</script>

<Dialog title="Print" onclose={() => (uiState.dialog = undefined)}>
  <p>What is on the stage, with job, machine, shop and day, each page numbered.</p>
  <p><Tick label="the tape too" bind:checked={withTape} /></p>
  <Button next onclick={() => void print()}>Print</Button>
</Dialog>

<style>
  p {
    margin-bottom: 12px;
  }
</style>
