<script lang="ts">
  import { idIn, nameOfId } from '$core/links/ids.ts';
  import { names } from './names.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  let text = $state('');
  let kind = $state<'pci' | 'usb'>('pci');
  const id = $derived(idIn(text.trim()));
  $effect(() => {
    if (id) names.load(kind);
  });
  const index = $derived(names[kind]);
  const say = $derived(
    text.trim() === ''
      ? ''
      : !id
        ? 'Two numbers of four figures, as 8086:1502.'
        : index
          ? nameOfId(index, id).say
          : (names.fault ?? 'looking it up'),
  );
</script>

<p class="row apart">
  <TextField
    label="what is this number?"
    bind:value={text}
    placeholder="8086:1502"
    maxlength={40}
    autocapitalize="off"
    spellcheck="false"
  />
  <Select
    label="of"
    options={[
      { value: 'pci', words: 'PCI' },
      { value: 'usb', words: 'USB' },
    ]}
    bind:value={kind}
  />
  <output>{say}</output>
</p>

<style>
  output {
    min-height: var(--target);
    display: flex;
    align-items: center;
    font-weight: 600;
  }
</style>
