<script lang="ts">
  import { formatMoney, readMoney, type Money } from '$core/units/money.ts';

  interface Props {
    label: string;
    value: Money | undefined;
    /** Of amounts typed bare. */
    currency: string;
    /** A whole amount, on Enter or on leaving; undefined where the field was emptied. */
    onmoney: (money: Money | undefined) => void;
  }
  const { label, value, currency, onmoney }: Props = $props();
  let typed = $state<string | undefined>(undefined);
  let fault = $state('');
  const id = $props.id();
  const shown = $derived(
    typed ??
      (value
        ? `${formatMoney(value)}${value.currency === currency ? '' : ` ${value.currency}`}`
        : ''),
  );

  /** A form it stands in is not sent with an amount that cannot be read. */
  function commit(input: HTMLInputElement): void {
    if (typed === undefined) return;
    const read = typed.trim() === '' ? { money: undefined } : readMoney(typed, currency);
    fault = 'fault' in read ? read.fault : '';
    input.setCustomValidity(fault);
    if ('fault' in read) return;
    typed = undefined;
    onmoney(read.money);
  }
</script>

<label for={id}
  >{label}
  <input
    {id}
    inputmode="decimal"
    autocomplete="off"
    value={shown}
    placeholder="?"
    aria-invalid={fault !== ''}
    aria-describedby={fault ? `${id}-fault` : undefined}
    oninput={(event) => {
      typed = event.currentTarget.value;
      fault = '';
      event.currentTarget.setCustomValidity('');
    }}
    onblur={(event) => commit(event.currentTarget)}
    onkeydown={(event) => {
      if (event.key === 'Enter') {
        event.preventDefault();
        commit(event.currentTarget);
        event.currentTarget.form?.requestSubmit();
      } else if (event.key === 'Escape') {
        typed = undefined;
        fault = '';
        event.currentTarget.setCustomValidity('');
      }
    }}
  />
  {#if fault}<span class="fault" id="{id}-fault" role="alert">{fault}</span>{/if}
</label>

<style>
  label {
    display: grid;
    font-size: 14px;
    color: var(--ink-soft);
  }
  input {
    height: var(--target);
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    padding: 0 8px;
    color: var(--ink);
    min-width: 0;
  }
  .fault {
    color: var(--stop);
    font-size: 13.5px;
  }
</style>
