<script lang="ts">
  import { writeEntry } from '$core/edits/ledgerEdits.ts';
  import { understand } from '$core/quick/understand.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    /** The job a line without a tag belongs to; undefined for the shop's own. */
    jobId?: string | undefined;
  }
  const { jobId }: Props = $props();
  let text = $state('');
  let day = $state('');
  const understood = $derived(understand(shopStore.shop, text));
  const entry = $derived(understood.kind === 'entry' ? understood.entry : undefined);

  function write(event: SubmitEvent): void {
    event.preventDefault();
    if (!entry) return;
    const loose = entry.partId === undefined && entry.machineId === undefined;
    shopStore.edit(
      `book: ${entry.what}`,
      writeEntry({ at: day || shopStore.now, ...entry, jobId: loose ? jobId : undefined }),
    );
    text = '';
  }
</script>

<form onsubmit={write}>
  <TextField
    wide
    label="a line for the book"
    bind:value={text}
    maxlength={200}
    placeholder="paid 12.50 paint · sold A07 25 · gift 20 cooler · worked 90 min sanding"
  />
  <TextField label="on" type="date" bind:value={day} />
  <Button next type="submit" disabled={!entry}>Write it</Button>
  <output
    >{text.trim() === ''
      ? ''
      : entry
        ? understood.say
        : 'Not a line yet: paid, sold, gift or worked, an amount, and what.'}</output
  >
</form>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: end;
    margin-bottom: 10px;
  }
  output {
    flex-basis: 100%;
    min-height: 20px;
    font-size: 15px;
  }
</style>
