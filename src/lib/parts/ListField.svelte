<script lang="ts">
  import { knownPlugIds, type Property } from '$core/model/properties/index.ts';
  import { listLike, NONE, readList, writeList } from '$core/model/properties/listText.ts';
  import type { Item } from '$core/model/types/shapes.ts';
  import TextField from '$lib/ui/TextField.svelte';
  import PlugSteppers from './PlugSteppers.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  interface Props {
    property: Property;
    /** Undefined: nobody looked; empty: looked at, and there is none. */
    items: readonly Item[] | undefined;
    /** The whole list, on Enter or on leaving; one that cannot be read stays with its fault. Undefined: forgotten. */
    onitems: (items: Item[] | undefined) => void;
  }
  const { property, items, onitems }: Props = $props();
  let typed = $state<string | undefined>(undefined);
  let fault = $state('');
  const plugIds = $derived([...knownPlugIds, ...shopStore.shop.plugs.map((own) => own.id)]);

  function commit(): void {
    if (typed === undefined) return;
    const read = readList(typed, property, plugIds);
    fault = 'fault' in read ? `${read.fault} Kept as typed.` : '';
    if ('fault' in read) return;
    onitems(typed.trim() === '' ? undefined : read.items);
    typed = undefined;
  }
</script>

<TextField
  label={property.label}
  {fault}
  value={typed ?? (items?.length === 0 ? NONE : writeList(property, items ?? []))}
  maxlength={4000}
  placeholder={listLike(property)}
  autocomplete="off"
  oninput={(event) => {
    typed = event.currentTarget.value;
    fault = '';
  }}
  onblur={commit}
  onkeydown={(event) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      commit();
    }
  }}
/>
{#if property.plugs && property.options}
  <PlugSteppers
    options={property.options}
    items={(items ?? []) as readonly string[]}
    onitems={(next) => {
      typed = undefined;
      fault = '';
      onitems(next);
    }}
  />
{/if}
