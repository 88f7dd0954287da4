<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** `stop`: something may be lost; `plain`: something to know. */
    tone?: 'stop' | 'plain';
    /** What to do about it. */
    actions?: Snippet;
    children: Snippet;
  }
  const { tone = 'plain', actions, children }: Props = $props();
</script>

<div class="notice {tone}" role={tone === 'stop' ? 'alert' : 'status'}>
  <span>{@render children()}</span>
  {#if actions}<span class="actions">{@render actions()}</span>{/if}
</div>

<style>
  .notice {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 14px;
    padding: 6px 14px;
    background: var(--tape);
    border-bottom: 1px solid var(--line);
    color: var(--ink);
    font-size: 15px;
  }
  .stop {
    border-left: 8px solid var(--stop);
  }
  .plain {
    border-left: 8px solid var(--accent);
  }
  .notice > span:first-child {
    flex: 1 1 300px;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .actions {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
