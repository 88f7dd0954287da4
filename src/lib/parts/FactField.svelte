<script lang="ts">
  import { isList, isNumber, isText, type Fact } from '$core/model/types/fact.ts';
  import type { Property } from '$core/model/properties/index.ts';
  import type { Range } from '$core/units/range.ts';
  import { plugNameIn } from '$core/model/lookup/ownPlugs.ts';
  import type { FactValue } from '$lib/shop/recordFact.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import ListField from './ListField.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';

  interface Props {
    property: Property;
    fact: Fact | undefined;
    /** What its class usually is, shown pencilled. */
    usual?: Range | undefined;
    lengths: 'mm' | 'in';
    /** What was typed or picked; undefined: not known any more. */
    onfact: (value: FactValue | undefined) => void;
  }
  const { property, fact, usual, lengths, onfact }: Props = $props();
  const id = $props.id();
  const isPlug = $derived(/plug/i.test(property.key));
  const name = (option: string) => (isPlug ? plugNameIn(shopStore.shop, option) : option);
  /** Plugs of one's own stand among the known ones. */
  const options = $derived(
    property.options && isPlug
      ? [...property.options, ...shopStore.shop.plugs.map((own) => own.id)]
      : property.options,
  );
</script>

{#if property.measure === 'text'}
  <label for={id}>
    {property.label}
    {#if options}
      <select
        {id}
        value={isText(fact) ? fact.text : ''}
        onchange={(event) =>
          onfact(event.currentTarget.value ? { text: event.currentTarget.value } : undefined)}
      >
        <option value="">not known</option>
        {#each options as option (option)}<option value={option}>{name(option)}</option>{/each}
      </select>
    {:else}
      <input
        {id}
        value={isText(fact) ? fact.text : ''}
        maxlength={200}
        oninput={(event) =>
          onfact(event.currentTarget.value ? { text: event.currentTarget.value } : undefined)}
      />
    {/if}
  </label>
{:else if property.measure === 'list'}
  <ListField
    {property}
    items={isList(fact) ? fact.items : undefined}
    onitems={(items) => onfact(items && { items })}
  />
{:else}
  <MeasureField
    label={property.label}
    unit={property.measure}
    {lengths}
    value={isNumber(fact) ? fact : usual}
    open={!isNumber(fact)}
    most={property.most}
    onmeasure={(value) => onfact({ lo: value, hi: value })}
  />
{/if}

<style>
  label {
    display: grid;
    font-size: 14px;
    color: var(--ink-soft);
  }
  input,
  select {
    min-width: 0;
  }
</style>
