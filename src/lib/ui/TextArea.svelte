<script lang="ts">
  import type { HTMLTextareaAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  interface Props extends Omit<HTMLTextareaAttributes, 'value'> {
    /** What is asked for. */
    label: string;
    /** What stands in it. */
    value?: string;
    /** What is wrong with what stands in it; empty: nothing. */
    fault?: string | undefined;
    /** Takes what is left of its row. */
    wide?: boolean;
    /** Its label is read aloud, not seen: the place says what it is. */
    unseen?: boolean;
    /** Not on paper. */
    screenOnly?: boolean;
  }
  /** Lines to type in or paste, with their label; all else as the element has it. */
  let {
    label,
    value = $bindable(''),
    fault = '',
    wide = false,
    unseen = false,
    screenOnly = false,
    ...rest
  }: Props = $props();
</script>

<Field {label} {fault} {wide} {unseen} {screenOnly}>
  <textarea bind:value aria-invalid={fault === '' ? undefined : true} {...rest}></textarea>
</Field>

<style>
  textarea {
    width: 100%;
    font-family: var(--face-figure);
  }
</style>
