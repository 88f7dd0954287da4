<script lang="ts">
  import { updated } from '$app/state';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import { saveShop } from '$lib/shop/files.ts';
  import Button from '$lib/ui/Button.svelte';
  import Notice from '$lib/ui/Notice.svelte';

  /** What the whole page must know: practice, edits not stored, a newer version. */
  const CHECK_MS = 300_000;

  $effect(() => {
    const check = () => {
      if (document.visibilityState === 'visible') void updated.check().catch(() => undefined);
    };
    const timer = setInterval(check, CHECK_MS);
    document.addEventListener('visibilitychange', check);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', check);
    };
  });
</script>

{#if bench.practice}
  <p class="practice" role="status">
    <b>Practice</b>
    <span>on a copy of the shop: simulated instruments, nothing is kept</span>
    <Button onclick={() => void bench.endPractice()}>End practice</Button>
  </p>
{/if}
{#if bench.trouble}
  {@const waiting = bench.waiting}
  <div class="no-print">
    <Notice tone="stop">
      <b
        >{bench.trouble.kind === 'not saved yet' || bench.waiting > 0
          ? `Not saved yet: ${waiting} ${waiting === 1 ? 'change' : 'changes'}.`
          : bench.trouble.kind === 'no store'
            ? 'Nothing is saved here.'
            : 'Not open.'}</b
      >
      {bench.trouble.say}
      {#snippet actions()}
        {#if bench.trouble?.kind === 'newer'}
          <Button next onclick={() => location.reload()}>Reload</Button>
        {:else if bench.trouble?.kind === 'not saved yet'}
          <Button next onclick={() => void bench.tryAgain()}>Try again</Button>
        {/if}
        {#if bench.ready}<Button onclick={() => saveShop(bench.shop)}>Export shop</Button>{/if}
      {/snippet}
    </Notice>
  </div>
{:else if updated.current}
  <div class="no-print">
    <Notice>
      A new version of Nutshell Swap is ready.
      {#snippet actions()}<Button next onclick={() => location.reload()}>Reload</Button>{/snippet}
    </Notice>
  </div>
{/if}

<style>
  .practice {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
    margin: 0;
    padding: 4px 14px;
    color: var(--ink);
    background: repeating-linear-gradient(-45deg, var(--tape) 0 14px, var(--kraft) 14px 20px);
    border-bottom: 2px solid var(--ink);
    font-size: 15px;
  }
  .practice b {
    font: 600 19px var(--face-head);
    text-transform: uppercase;
  }
  .practice b,
  .practice span {
    background: var(--tape);
    padding: 2px 8px;
  }
  @media print {
    .practice {
      background: none;
      border: 2px dashed #000;
    }
    .practice :global(button) {
      display: none;
    }
  }
</style>
