<script lang="ts">
  import { isCurrency } from '$core/units/currency.ts';
  import { readMoney } from '$core/units/money.ts';
  import { openShop } from './shops.ts';
  import { uiState } from './uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  const inInches = typeof navigator !== 'undefined' && navigator.language === 'en-US';
  let name = $state('');
  let unit = $state<'mm' | 'in'>(inInches ? 'in' : 'mm');
  let currency = $state(inInches ? 'USD' : 'EUR');
  let hour = $state('');
  let faults = $state<{ currency?: string; hour?: string }>({});

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const code = currency.trim().toUpperCase();
    faults = {};
    if (!isCurrency(code)) faults.currency = 'Three letters: EUR, USD, GBP.';
    const money = hour.trim() === '' ? undefined : readMoney(hour, code);
    if (money && 'fault' in money) faults.hour = money.fault;
    if (faults.currency || faults.hour) return;
    openShop('own', { name: name.trim() || 'My shop', unit, currency: code, hour: hour.trim() });
  }
</script>

<Dialog title="Start my own shop" onclose={() => (uiState.dialog = undefined)}>
  <form onsubmit={submit}>
    <TextField
      wide
      label="Name"
      bind:value={name}
      autofocus
      maxlength={120}
      placeholder="My shop"
    />
    <Select
      label="Lengths"
      options={[
        { value: 'mm', words: 'mm' },
        { value: 'in', words: 'inches' },
      ]}
      bind:value={unit}
    />
    <TextField
      short
      label="Currency"
      fault={faults.currency}
      bind:value={currency}
      maxlength={3}
      autocapitalize="characters"
    />
    <TextField
      short
      label="What an hour is worth"
      fault={faults.hour}
      bind:value={hour}
      inputmode="decimal"
      placeholder="?"
    />
    <p class="soft">
      It begins empty. The shop you are looking at stays as it is: you can go back to it from the
      bench.
    </p>
    <Button next type="submit">Open my shop</Button>
  </form>
</Dialog>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 16px;
    align-items: flex-start;
  }
  p {
    flex-basis: 100%;
  }
  form :global(.wide) {
    flex-basis: 100%;
  }
</style>
