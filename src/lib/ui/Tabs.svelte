<script lang="ts" generics="Value extends string | number">
  interface Props {
    /** What is chosen with them. */
    label: string;
    options: readonly { value: Value; words: string }[];
    /** The one that stands. */
    value: Value | undefined;
    onpick: (value: Value) => void;
  }
  /** One of a few, all in sight. */
  const { label, options, value, onpick }: Props = $props();
</script>

<div class="row" role="group" aria-label={label}>
  {#each options as each (each.value)}
    <button aria-pressed={each.value === value} onclick={() => onpick(each.value)}
      >{each.words}</button
    >
  {/each}
</div>

<style>
  button {
    max-width: 220px;
    min-height: var(--target);
    padding: 0 12px;
    overflow: hidden;
    border: 0;
    border-bottom: 3px solid transparent;
    background: none;
    color: var(--ink-soft);
    font: 600 16px var(--face-head);
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  button[aria-pressed='true'] {
    border-bottom-color: var(--accent);
    color: var(--ink);
  }
</style>
