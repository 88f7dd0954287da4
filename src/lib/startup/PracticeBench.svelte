<script lang="ts">
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Practice from './Practice.svelte';

  const { plan: _ }: ViewProps = $props();
  const what = [
    [
      'A fault is hidden',
      'in a made-up machine: a dead module, a plug not pushed home, a bad lead …',
    ],
    ['You test', 'the causes narrow as a fan, and each test costs its minutes'],
    ['Then it is shown', 'which cause it was, and which test would have told more'],
  ] as const;
</script>

{#if shopStore.practice}
  <Practice />
{:else}
  <h2>Find a fault that is not yours</h2>
  <ol>
    {#each what as [title, says] (title)}
      <li><b>{title}</b><br />{says}</li>
    {/each}
  </ol>
  <p class="end">
    <Button next onclick={() => shopStore.startPractice()}>Practise</Button>
    <span class="soft">On a copy of the shop: nothing of it is kept.</span>
  </p>
{/if}

<style>
  h2 {
    margin-bottom: 10px;
  }
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
    gap: 12px 24px;
    max-width: 760px;
    margin: 0 0 16px;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 12px 14px 16px;
    border: 1.5px dashed var(--ink);
    border-left: 6px solid var(--accent);
  }
  .end {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
  }
</style>
