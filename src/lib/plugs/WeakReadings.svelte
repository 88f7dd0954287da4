<script lang="ts">
  import type { Reading } from '$core/plugs/identify/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    ways: number;
    /** The pin under the probe. */
    pin: number;
    onread: (reading: Reading) => void;
    /** The practice meter's two probes on these pins, unplugged. */
    onprobe: (other: number) => void;
    /** The practice meter on ohms, from the pin to return. */
    onohms: () => void;
  }
  const { ways, pin, onread, onprobe, onohms }: Props = $props();
  let other = $state<number | undefined>();
  let ohms = $state('');

  function typed(): void {
    const text = ohms.trim().toLowerCase().replace(',', '.');
    const times = text.endsWith('k') ? 1e3 : text.endsWith('m') ? 1e6 : 1;
    const value = text === 'ol' ? 1e7 : Number(text.replace(/[km]$/, '')) * times;
    if (text === '') return;
    onread({ kind: 'ohms', pin, ohms: value });
    ohms = '';
  }
  const between = (beeps: boolean) =>
    other !== undefined && onread({ kind: 'common', pin, with: other, beeps });
</script>

<details>
  <summary>More about pin {pin}: gauge, cavity, ohms, another pin</summary>
  <p class="row apart">
    <Button onclick={() => onread({ kind: 'gauge', pin, awg: 18 })}>Thick wire</Button>
    <Button onclick={() => onread({ kind: 'gauge', pin, awg: 24 })}>Thin wire</Button>
    <Button onclick={() => onread({ kind: 'empty', pin })}>No contact in it</Button>
  </p>
  <p class="row apart">
    <TextField
      label="unplugged, to ground, ohms"
      bind:value={ohms}
      placeholder="120, 4.7k, OL"
      onkeydown={(event) => event.key === 'Enter' && typed()}
    />
    <Button onclick={typed}>Write it down</Button>
    {#if shopStore.practice}<Button onclick={onohms}>Practice ohms</Button>{/if}
  </p>
  <p class="row apart">
    <TextField short label="with pin" type="number" min="1" max={ways} bind:value={other} />
    <Button disabled={other === undefined} onclick={() => between(true)}>Beeps with it</Button>
    <Button disabled={other === undefined} onclick={() => between(false)}>Silent to it</Button>
    {#if shopStore.practice}
      <Button disabled={other === undefined} onclick={() => other !== undefined && onprobe(other)}
        >Practice probes</Button
      >
    {/if}
  </p>
</details>

<style>
  summary {
    min-height: var(--target);
    padding-top: 10px;
    cursor: pointer;
    color: var(--ink-soft);
  }
</style>
