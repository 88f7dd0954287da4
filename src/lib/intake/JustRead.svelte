<script lang="ts">
  import Button from '$lib/ui/Button.svelte';
  import { uiState } from '$lib/shop/uiState.svelte.ts';

  const { jobId }: { jobId: string } = $props();
  const list = $derived(uiState.justRead.filter((each) => each.jobId === jobId));
  /** What the last paste or files gave: tool by tool what was read, what was not believed, what was no inventory. */
</script>

{#if list.length > 0}
  <section aria-label="What was read">
    <h3>Read just now</h3>
    <ul>
      {#each list as { tool, what, ignored, where }, i (i)}
        <li>
          <b>{tool}</b>{where ? `, ${where}` : ''}: {what || 'nothing of a machine'}
          {#each ignored as note (note)}<span class="not">not believed: {note}</span>{/each}
        </li>
      {/each}
    </ul>
    <Button quiet onclick={() => (uiState.justRead = [])}>Close</Button>
  </section>
{/if}

<style>
  section {
    margin: 0 0 14px;
    padding: 8px 14px;
    border-left: 6px solid var(--line);
    background: var(--tape);
  }
  h3 {
    margin: 0;
  }
  ul {
    margin: 4px 0;
    padding-left: 18px;
    font-size: 14.5px;
  }
  .not {
    display: block;
    color: var(--ink-soft);
    overflow-wrap: anywhere;
  }
</style>
