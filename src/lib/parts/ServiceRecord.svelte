<script lang="ts">
  import { addService, dropService } from '$core/edits/serviceEdits.ts';
  import { serviceLine } from '$core/record/record.ts';
  import { serviceSorts, type Part, type Service } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  /** What was done to a part, oldest first. */
  const { part }: { part: Part } = $props();
  let what = $state<Service['what']>('cleaned');
  let note = $state('');
  let forGood = $state(false);
  const names: Record<Service['what'], string> = {
    paste: 'fresh paste',
    pads: 'new pads',
    cleaned: 'cleaned',
    checked: 'checked',
    mended: 'mended',
    soldered: 'soldered',
    cut: 'cut, drilled, filed',
    other: 'something else',
  };

  function add(event: SubmitEvent): void {
    event.preventDefault();
    const hours = part.facts['hours'];
    void shopStore.edit(
      `${part.id}: ${names[what]}`,
      addService(part.id, {
        at: new Date().toISOString(),
        what,
        ...(note.trim() && { note: note.trim() }),
        ...(hours && 'hi' in hours && { hours: Math.round(hours.hi) }),
        ...(forGood && { forGood }),
        ...(uiState.who.trim() && { who: uiState.who.trim() }),
      }),
    );
    note = '';
    forGood = false;
  }
</script>

<section>
  <h3>Service record</h3>
  <ul>
    {#each part.service ?? [] as line (line.at + line.what + (line.note ?? ''))}
      <li>
        {serviceLine(line)}
        <Button quiet onclick={() => void shopStore.edit('struck', dropService(part.id, line))}
          >Strike</Button
        >
      </li>
    {:else}<li class="soft">nothing noted</li>{/each}
  </ul>
  <form onsubmit={add}>
    <Select
      label="Done"
      options={serviceSorts.map((sort) => ({ value: sort, words: names[sort] }))}
      bind:value={what}
    />
    <TextField
      wide
      label="With what, where"
      bind:value={note}
      maxlength={200}
      placeholder={what === 'pads' ? '1.5 mm on the chokes' : what === 'paste' ? 'kind' : ''}
    />
    <Tick label="cannot be undone" bind:checked={forGood} />
    <Button type="submit">Note it</Button>
  </form>
</section>

<style>
  section {
    margin: 8px 0;
  }
  ul {
    margin: 4px 0;
    padding: 0;
    list-style: none;
    font-size: 15px;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 8px 14px;
  }
</style>
