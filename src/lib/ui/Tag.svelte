<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    becomes: string;
    href?: string | undefined;
    /** Something to do stands on it now. */
    next?: boolean;
    children?: Snippet;
  }
  const { title, becomes, href, next = false, children }: Props = $props();
</script>

{#snippet inner()}
  <span class="hole" aria-hidden="true"></span>
  <b>{title}</b>
  <span class="becomes">{becomes}</span>
  {@render children?.()}
{/snippet}

{#if href}
  <!-- eslint-disable-next-line svelte/no-navigation-without-resolve (resolved by the caller) -->
  <a class="tag" class:next {href}>{@render inner()}</a>
{:else}
  <div class="tag" class:next>{@render inner()}</div>
{/if}

<style>
  .tag {
    position: relative;
    display: flex;
    flex-direction: column;
    gap: 2px;
    padding: 16px 12px 10px;
    background: var(--kraft);
    color: var(--kraft-ink);
    text-decoration: none;
    clip-path: polygon(16px 0, calc(100% - 16px) 0, 100% 16px, 100% 100%, 0 100%, 0 16px);
    border-bottom: 5px solid transparent;
  }
  .next {
    border-bottom-color: var(--accent);
  }
  a.tag:hover b {
    text-decoration: underline;
  }
  a.tag:focus-visible {
    outline: none;
    box-shadow: inset 0 0 0 4px var(--accent-ink);
  }
  .hole {
    position: absolute;
    top: 6px;
    left: 50%;
    width: 10px;
    height: 10px;
    margin-left: -5px;
    border-radius: 50%;
    background: var(--kraft-hole);
  }
  b {
    font: 600 18px/1.15 var(--face-head);
  }
  .becomes {
    font-size: 14.5px;
    line-height: 1.25;
  }
</style>
