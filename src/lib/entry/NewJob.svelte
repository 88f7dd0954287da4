<script lang="ts">
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { startJob } from './act.ts';

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
    <label>
      <span>What is it?</span>
      <!-- svelte-ignore a11y_autofocus (the dialog's only purpose is this field) -->
      <input
        bind:value={name}
        autofocus
        maxlength={120}
        placeholder="Slim desk unit"
        aria-describedby="new-job-fault"
      />
    </label>
    {#if fault}<p id="new-job-fault" class="fault" role="alert">{fault}</p>{/if}
    <label>
      <span>What should it become?</span>
      <input bind:value={becomes} maxlength={200} placeholder="map desk, four screens" />
    </label>
    <p class="soft">Screens, drives and GB named here are counted against the plan.</p>
    <Button next type="submit">Create job</Button>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 12px;
  }
  label span {
    display: block;
    font-size: 14px;
    color: var(--ink-soft);
  }
  input {
    width: 100%;
    padding: 0 10px;
    font-size: 18px;
  }
</style>
