<script lang="ts">
  import { idIn, nameOfId } from '$core/links/ids.ts';
  import { names } from './names.svelte.ts';

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
  <label
    >what is this number?<input
      bind:value={text}
      placeholder="8086:1502"
      maxlength="40"
      autocapitalize="off"
      spellcheck="false"
    /></label
  >
  <label
    >of<select bind:value={kind}
      ><option value="pci">PCI</option><option value="usb">USB</option></select
    ></label
  >
  <output>{say}</output>
</p>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: end;
    margin: 12px 0;
  }
  label {
    display: grid;
    font-size: 14px;
    color: var(--ink-soft);
  }
  input,
  select {
    height: var(--target);
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    color: var(--ink);
    font: 16px var(--face-figure);
    padding: 0 8px;
  }
  output {
    min-height: var(--target);
    display: flex;
    align-items: center;
    font-weight: 600;
  }
</style>
