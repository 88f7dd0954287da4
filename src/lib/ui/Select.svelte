<script lang="ts" generics="Value extends string | number">
  import type { HTMLSelectAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  interface Props extends Omit<HTMLSelectAttributes, 'value'> {
    /** What is asked for. */
    label: string;
    /** What can be picked, each with its words where they differ from it; `off`: seen, not to be picked now. */
    options: readonly (Value | { value: Value; words: string; off?: boolean })[];
    /** What stands picked; empty: nothing yet. */
    value?: Value | '' | undefined;
    /** What stands there while nothing is picked; left out: one is always picked. */
    none?: string;
    /** What is wrong with what is picked; empty: nothing. */
    fault?: string | undefined;
    /** Takes what is left of its row. */
    wide?: boolean;
    /** Its label is read aloud, not seen: the place says what it is. */
    unseen?: boolean;
    /** Not on paper. */
    screenOnly?: boolean;
    /** After another was picked. */
    onpick?: (value: Value | '') => void;
  }
  /** One of a list, with its label; all else as the element has it. */
  let {
    label,
    options,
    value = $bindable(),
    none,
    fault = '',
    wide = false,
    unseen = false,
    screenOnly = false,
    onpick,
    ...rest
  }: Props = $props();
  const list = $derived(
    options.map((each) =>
      typeof each === 'object' ? each : { value: each, words: String(each), off: false },
    ),
  );
</script>

<Field {label} {fault} {wide} {unseen} {screenOnly}>
  <select
    bind:value={
      () => value,
      (to) => {
        value = to;
        onpick?.(to ?? '');
      }
    }
    {...rest}
  >
    {#if none !== undefined}<option value="">{none}</option>{/if}
    {#each list as each, i (i)}<option value={each.value} disabled={each.off}>{each.words}</option
      >{/each}
  </select>
</Field>
