<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Loan } from '$core/model/types/types.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    loan: Loan;
    /** More about it was typed. */
    onset: (fields: Partial<Pick<Loan, 'who' | 'until' | 'as'>>) => void;
    /** It is over: what was found then, in words. */
    onback: (found: string[]) => void;
    /** Between how it went and its return. */
    children?: Snippet;
  }
  const { loan, onset, onback, children }: Props = $props();
  const lent = $derived(loan.way === 'lent');
  let found = $state('');

  function back(): void {
    onback(found.trim() === '' ? [] : [found.trim()]);
    found = '';
  }
</script>

<div class="row apart">
  <TextField
    label={lent ? 'To whom' : 'From whom'}
    value={loan.who ?? ''}
    maxlength={80}
    oninput={(event) => onset({ who: event.currentTarget.value || undefined })}
  />
  <TextField
    label="Owed back by"
    type="date"
    value={loan.until?.slice(0, 10) ?? ''}
    oninput={(event) => onset({ until: event.currentTarget.value || undefined })}
  />
  <TextField
    wide
    label={lent ? 'As it went' : 'As it came'}
    value={loan.as ?? ''}
    maxlength={200}
    placeholder="whole, two scratches"
    oninput={(event) => onset({ as: event.currentTarget.value || undefined })}
  />
</div>
{@render children?.()}
<div class="row apart">
  <TextField
    wide
    label={lent ? 'Found at its return' : 'Found when it is given back'}
    bind:value={found}
    maxlength={200}
    placeholder={lent ? 'as it went' : 'as it came'}
  />
  <Button onclick={back}>{lent ? 'It is back' : 'It is given back'}</Button>
</div>
