<script lang="ts">
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { startJob } from './goTo.ts';

  let name = $state('');
  let becomes = $state('');
  let fault = $state('');

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (name.trim() === '') {
      fault = 'A name, so that the tag has something on it.';
      return;
    }
    uiState.dialog = undefined;
    void startJob(name.trim(), becomes.trim());
  }
</script>

<Dialog title="New job" onclose={() => (uiState.dialog = undefined)}>
  <form onsubmit={submit}>
    <TextField
      wide
      label="What is it?"
      {fault}
      bind:value={name}
      autofocus
      maxlength={120}
      placeholder="Slim desk unit"
    />
    <TextField
      wide
      label="What should it become?"
      bind:value={becomes}
      maxlength={200}
      placeholder="map desk, four screens"
    />
    <p class="soft">Screens, drives and GB named here are counted against the plan.</p>
    <Button next type="submit">Create job</Button>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 12px;
  }
</style>
