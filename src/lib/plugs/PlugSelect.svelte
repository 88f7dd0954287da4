<script lang="ts">
  import { plugs, type Group } from '$core/standards/plugs/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Field from '$lib/ui/Field.svelte';

  interface Props {
    label: string;
    value: string;
    /** Only plugs of these families; all where nothing is said. */
    groups?: readonly Group[];
    onpick: (id: string) => void;
  }
  const { label, value, groups, onpick }: Props = $props();
  const shown = $derived(plugs.filter((each) => !groups || groups.includes(each.group)));
  const families = $derived([...new Set(shown.map((each) => each.group))]);
</script>

<Field {label}
  ><select {value} aria-label={label} onchange={(event) => onpick(event.currentTarget.value)}>
    {#if value === ''}<option value="">choose a plug</option>{/if}
    {#if shopStore.shop.plugs.length > 0}
      <optgroup label="my plugs">
        {#each shopStore.shop.plugs as own (own.id)}<option value={own.id}>{own.name}</option
          >{/each}
      </optgroup>
    {/if}
    {#each families as family (family)}
      <optgroup label={family}>
        {#each shown.filter((each) => each.group === family) as each (each.id)}
          <option value={each.id}>{each.name}</option>
        {/each}
      </optgroup>
    {/each}
  </select></Field
>

<style>
  select {
    max-width: 220px;
  }
</style>
