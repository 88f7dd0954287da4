<script lang="ts">
  import { idIn, nameOfId } from '$core/links/ids.ts';
  import { names } from './names.svelte.ts';
  import Field from '$lib/ui/Field.svelte';

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

<p class="row">
  <Field label="what is this number?"
    ><input
      bind:value={text}
      placeholder="8086:1502"
      maxlength="40"
      autocapitalize="off"
      spellcheck="false"
    /></Field
  >
  <Field label="of"
    ><select bind:value={kind}
      ><option value="pci">PCI</option><option value="usb">USB</option></select
    ></Field
  >
  <output>{say}</output>
</p>

<style>
  .row {
    gap: 6px 12px;
    margin: 12px 0;
  }
  input,
  select {
    font: 16px var(--face-figure);
  }
  output {
    min-height: var(--target);
    display: flex;
    align-items: center;
    font-weight: 600;
  }
</style>
