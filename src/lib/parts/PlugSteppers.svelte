<script lang="ts">
  import Minus from '@lucide/svelte/icons/minus';
  import Plus from '@lucide/svelte/icons/plus';
  import { plug } from '$core/standards/plugs/index.ts';

  interface Props {
    /** Plugs that may be counted. */
    options: readonly string[];
    items: readonly string[];
    onitems: (items: string[]) => void;
  }
  const { options, items, onitems }: Props = $props();
  const countOf = (id: string) => items.filter((each) => each === id).length;

  function fewer(id: string): void {
    const at = items.lastIndexOf(id);
    onitems(items.filter((_, i) => i !== at));
  }
</script>

<ul>
  {#each options as id (id)}
    {@const count = countOf(id)}
    {@const name = plug(id)?.name ?? id}
    <li class:some={count > 0}>
      <button
        type="button"
        aria-label="One {name} less"
        disabled={count === 0}
        onclick={() => fewer(id)}><Minus size={16} /></button
      >
      <span><b class="figure">{count}</b> {name}</span>
      <button type="button" aria-label="One {name} more" onclick={() => onitems([...items, id])}
        ><Plus size={16} /></button
      >
    </li>
  {/each}
</ul>

<style>
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: inline-flex;
    align-items: center;
    border: 1px solid var(--line);
    border-radius: 3px;
    color: var(--ink-soft);
    font-size: 14px;
  }
  .some {
    border-color: var(--ink);
    color: var(--ink);
  }
  button {
    display: grid;
    place-items: center;
    width: 40px;
    height: 40px;
    border: 0;
    background: none;
    color: inherit;
  }
  button:disabled {
    opacity: 0.35;
  }
</style>
