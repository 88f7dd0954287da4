<script lang="ts">
  import { fieldFault, saysOf, type FinishField } from '$core/finish/fields.ts';
  import { parseNumber } from '$core/units/length.ts';
  import { fromUnitOf, inUnitOf, labelled, say } from '$lib/shop/units.svelte.ts';
  import Tick from '$lib/ui/Tick.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Select from '$lib/ui/Select.svelte';

  interface Props {
    /** What is asked, in this order. */
    fields: readonly FinishField[];
    /** What was told, by the names of the fields. */
    told: Readonly<Record<string, unknown>>;
    /** A value that can stand in its field; undefined takes it away. */
    onset: (field: FinishField, value: unknown) => void;
  }
  const { fields, told, onset: set }: Props = $props();
  /** What is typed and cannot stand yet, by field. */
  let typed = $state<Record<string, string>>({});

  function faultOf(field: FinishField): string {
    const text = typed[field.name];
    if (text === undefined) return '';
    return say(fieldFault(field, valueOf(field, text)) ?? '');
  }
  function valueOf(field: FinishField, text: string): unknown {
    if (text.trim() === '') return undefined;
    return field.holds === 'figure'
      ? fromUnitOf(field.unit, parseSigned(text) ?? NaN)
      : text.trim();
  }
  function take(field: FinishField, text: string): void {
    typed[field.name] = text;
    const value = valueOf(field, text);
    if (fieldFault(field, value) === undefined) set(field, value);
  }
  function left(field: FinishField): void {
    if (faultOf(field) === '') delete typed[field.name];
  }
  /** A figure that may be below nothing: a cold attic. */
  function parseSigned(text: string): number | undefined {
    const [, minus = '', figure = ''] = /^([-−]?)(.*)$/.exec(text.trim()) ?? [];
    const value = parseNumber(figure);
    return value === undefined ? undefined : minus === '' ? value : -value;
  }
  function shown(field: FinishField): string {
    const value = told[field.name];
    return (
      typed[field.name] ??
      (field.holds === 'figure' && typeof value === 'number'
        ? inUnitOf(field.unit, value)
        : String(value ?? ''))
    );
  }
</script>

<div class="fields">
  {#each fields as field (field.name)}
    {#if field.holds === 'choice'}
      <Select
        label={field.label}
        options={field.of.map((value) => ({ value, words: saysOf(field, value) }))}
        value={String(told[field.name] ?? '')}
        {...field.aside && { none: 'not said' }}
        onpick={(value) => set(field, value === '' ? undefined : value)}
      />
    {:else if field.holds === 'yes'}
      <Tick
        label={field.label}
        checked={told[field.name] === true}
        onchange={(event) => set(field, event.currentTarget.checked)}
      />
    {:else}
      <TextField
        label={field.holds === 'figure' && field.unit
          ? labelled(`${field.label}, ${field.unit}`)
          : field.label}
        short={field.holds === 'figure'}
        fault={faultOf(field)}
        value={shown(field)}
        inputmode={field.holds === 'figure' ? 'decimal' : undefined}
        maxlength={60}
        placeholder={field.aside ? (field.holds === 'figure' ? '?' : 'not said') : ''}
        oninput={(event) => take(field, event.currentTarget.value)}
        onblur={() => left(field)}
      />
    {/if}
  {/each}
</div>

<style>
  .fields {
    display: flex;
    flex-wrap: wrap;
    align-content: flex-start;
    align-items: flex-end;
    gap: 10px 14px;
  }
</style>
