<script lang="ts">
  import { isList, isNumber, isText, type Fact } from '$core/model/types/fact.ts';
  import { knownPlugIds, type Property } from '$core/model/properties/index.ts';
  import type { Range } from '$core/units/range.ts';
  import { wordIn } from '$core/model/lookup/ownPlugs.ts';
  import type { FactValue } from '$lib/shop/recordFact.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
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
  /** Plugs of one's own stand among the known ones, and what a file said stands though it is none of them. */
  const offered = $derived(
    property.plugs
      ? [...(property.options ?? knownPlugIds), ...shopStore.shop.plugs.map((own) => own.id)]
      : property.options,
  );
  const said = $derived(isText(fact) ? fact.text : '');
  const options = $derived(
    offered && said !== '' && !offered.includes(said) ? [...offered, said] : offered,
  );
</script>

{#if property.measure === 'text'}
  {#if options}
    <Select
      label={property.label}
      options={options.map((option) => ({
        value: option,
        words: wordIn(shopStore.shop, property, option),
      }))}
      none="not known"
      value={said}
      onpick={(option) => onfact(option === '' ? undefined : { text: option })}
    />
  {:else}
    <TextField
      label={property.label}
      value={said}
      maxlength={200}
      oninput={(event) =>
        onfact(event.currentTarget.value ? { text: event.currentTarget.value } : undefined)}
    />
  {/if}
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
