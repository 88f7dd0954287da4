<script lang="ts">
  import { machineLeaves, partsLeave, type Leaving } from '$core/edits/shelfEdits.ts';
  import type { Money } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { undoable } from '$lib/shop/undoable.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import MoneyField from '$lib/ui/MoneyField.svelte';

  interface Props {
    /** What leaves: parts, or one machine with what sits in it. */
    parts?: readonly string[];
    machine?: string;
    how: Leaving;
    onclose: () => void;
    ondone?: () => void;
  }
  const { parts = [], machine, how, onclose, ondone }: Props = $props();
  let money = $state.raw<Money | undefined>(undefined);
  let who = $state('');
  const what = $derived(machine ?? (parts.length === 1 ? parts[0] : `${parts.length} parts`));
  const doing = { sold: 'Sell', 'given away': 'Give away', scrapped: 'Scrap' } as const;

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const terms = {
      how,
      at: new Date().toISOString(),
      money: how === 'scrapped' ? undefined : money,
      who: who.trim() || undefined,
    };
    void shopStore.edit(
      `${what} ${how}`,
      machine ? machineLeaves(machine, terms) : partsLeave(parts, terms),
    );
    undoable(`${what} ${how}.`);
    ondone?.();
    onclose();
  }
</script>

<Dialog title="{doing[how]} {what}" {onclose}>
  <form onsubmit={submit}>
    {#if how !== 'scrapped'}
      <div class="row">
        <MoneyField
          label={how === 'sold' ? 'Got for it' : 'What it is worth'}
          value={money}
          currency={shopStore.shop.settings.currency}
          onmoney={(value) => (money = value)}
        />
        <TextField label="To whom" bind:value={who} maxlength={80} />
      </div>
      {#if parts.length > 1}<p class="soft">
          Split over the parts by what each is worth, or evenly where that is not known of all.
        </p>{/if}
    {:else}
      <p>
        {machine ? 'It leaves with what sits in it' : 'What sits in a machine comes out of it'}; no
        money moves. Batteries, tubes and mains supplies go where local rules want them.
      </p>
    {/if}
    <p class="row"><Button type="submit" next>{doing[how]}</Button></p>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 10px;
  }
</style>
