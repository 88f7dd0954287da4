<script lang="ts" generics="Value extends string">
  import Field from './Field.svelte';

  interface Props {
    /** What is asked for. */
    label: string;
    /** What can be picked, each with its words where they differ from it. */
    options: readonly (Value | { value: Value; words: string })[];
    /** What stands picked; empty: nothing yet. */
    value: Value | '';
    /** What stands there while nothing is picked; left out: one is always picked. */
    none?: string;
    /** After another was picked. */
    onpick?: (value: Value | '') => void;
  }
  let { label, options, value = $bindable(), none, onpick }: Props = $props();
  const list = $derived(
    options.map((each) => (typeof each === 'string' ? { value: each, words: each } : each)),
  );
</script>

<Field {label}>
  <select bind:value onchange={() => onpick?.(value)}>
    {#if none !== undefined}<option value="">{none}</option>{/if}
    {#each list as each (each.value)}<option value={each.value}>{each.words}</option>{/each}
  </select>
</Field>
