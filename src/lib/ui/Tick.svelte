<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  interface Props extends Omit<HTMLInputAttributes, 'checked' | 'type'> {
    /** What is so when it is ticked. */
    label: string;
    checked?: boolean;
    /** Its label is read aloud, not seen: the place says what it is. */
    unseen?: boolean;
    /** Not on paper. */
    screenOnly?: boolean;
  }
  /** A box to tick before its label; all else as the element has it. */
  let {
    label,
    checked = $bindable(),
    unseen = false,
    screenOnly = false,
    ...rest
  }: Props = $props();
</script>

<Field {label} check {unseen} {screenOnly}>
  <input type="checkbox" bind:checked {...rest} />
</Field>
