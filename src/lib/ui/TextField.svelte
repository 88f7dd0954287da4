<script lang="ts" generics="Value extends string | number | null | undefined">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  interface Props extends Omit<HTMLInputAttributes, 'value'> {
    /** What is asked for. */
    label: string;
    /** What stands in it, as it is typed; of a field of numbers or dates that. */
    value?: Value;
    /** What is wrong with what stands in it; empty: nothing. */
    fault?: string | undefined;
    /** Takes what is left of its row. */
    wide?: boolean;
    /** Holds a short figure. */
    short?: boolean;
    /** Its label is read aloud, not seen: the place says what it is. */
    unseen?: boolean;
    /** Not on paper. */
    screenOnly?: boolean;
  }
  /** A line to type in, with its label and what is wrong with it; all else as the element has it. */
  let {
    label,
    value = $bindable(),
    fault = '',
    wide = false,
    short = false,
    unseen = false,
    screenOnly = false,
    ...rest
  }: Props = $props();
</script>

<Field {label} {fault} {wide} {short} {unseen} {screenOnly}>
  <input bind:value aria-invalid={fault === '' ? undefined : true} {...rest} />
</Field>
