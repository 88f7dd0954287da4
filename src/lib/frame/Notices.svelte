<script lang="ts">
  import { updated } from '$app/state';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { exportShop } from '$lib/files/save.ts';
  import { daysUnkept, REMIND_DAYS } from '$core/shop/copies.ts';
  import { dateText } from '$lib/ui/dates.ts';

  import { keptState, watchEdits } from '$lib/files/kept.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Notice from '$lib/ui/Notice.svelte';

  /** What the whole page must know: practice, edits not stored, a newer version. */
  const CHECK_MS = 300_000;
  let answering = $state(false);
  const unkept = $derived(daysUnkept(keptState.value, shopStore.now));

  /** The newest copy, where the store was found empty though copies of it are kept. */
  let rescue = $state<string | undefined>(undefined);
  $effect(() => {
    if (!shopStore.ready || !shopStore.began) return;
    void import('$lib/files/copies.ts')
      .then(({ keptCopies }) => keptCopies())
      .then(([newest]) => (rescue = newest?.at));
  });
  async function openCopy(at: string): Promise<void> {
    const { copyOf } = await import('$lib/files/copies.ts');
    const file = await copyOf(at);
    const { shopOf } = await import('$lib/files/open.ts');
    const shop = file && (await shopOf(file));
    if (!shop) return;
    await shopStore.open(`the copy of ${dateText(at, 'full')}`, shop);
    rescue = undefined;
  }

  watchEdits();
  /* Copies are looked after once the page has settled. */
  $effect(() => {
    let over: (() => void) | undefined;
    const soon = setTimeout(() => {
      void import('$lib/files/copies.ts').then(({ keepCopies }) => (over = keepCopies()));
    }, 5000);
    return () => {
      clearTimeout(soon);
      over?.();
    };
  });

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

{#if shopStore.practice}
  <p class="practice" role="status">
    <b>Practice</b>
    <span>on a copy of the shop: simulated instruments, nothing is kept</span>
    <Button onclick={() => void shopStore.endPractice()}>End practice</Button>
  </p>
{/if}
{#if shopStore.trouble}
  {@const waiting = shopStore.waiting}
  <div class="no-print">
    <Notice tone="stop">
      <b
        >{shopStore.trouble.kind === 'not saved yet' || shopStore.waiting > 0
          ? `Not saved yet: ${waiting} ${waiting === 1 ? 'change' : 'changes'}.`
          : shopStore.trouble.kind === 'no store'
            ? 'Nothing is saved here.'
            : 'Not open.'}</b
      >
      {shopStore.trouble.say}
      {#snippet actions()}
        {#if shopStore.trouble?.kind === 'newer'}
          <Button next onclick={() => location.reload()}>Reload</Button>
        {:else if shopStore.trouble?.kind === 'not saved yet'}
          <Button next onclick={() => void shopStore.tryAgain()}>Try again</Button>
        {/if}
        {#if shopStore.ready}<Button onclick={() => void exportShop(false)}>Export shop</Button
          >{/if}
      {/snippet}
    </Notice>
  </div>
{:else if rescue}
  {@const at = rescue}
  <div class="no-print">
    <Notice tone="stop">
      <b>The browser has lost this shop.</b> It was emptied or damaged; the copy of
      {dateText(at, 'full')} is still there.
      {#snippet actions()}
        <Button next onclick={() => void openCopy(at)}>Open the copy</Button>
        <Button onclick={() => (rescue = undefined)}>Leave it</Button>
      {/snippet}
    </Notice>
  </div>
{:else if shopStore.questions.length > 0}
  {@const count = shopStore.questions.length}
  <div class="no-print">
    <Notice>
      Merging left {count}
      {count === 1 ? 'question' : 'questions'}.
      {#snippet actions()}<Button next onclick={() => (answering = true)}>Answer</Button>{/snippet}
    </Notice>
  </div>
{:else if unkept !== undefined && unkept >= REMIND_DAYS && !shopStore.shop.settings.demo}
  <div class="no-print">
    <Notice>
      {unkept} days of work are in this browser alone. Export the shop and keep the file elsewhere.
      {#snippet actions()}<Button next onclick={() => void exportShop()}>Export the shop</Button
        >{/snippet}
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

{#if answering}
  {#await import('$lib/merge/MergeQuestions.svelte') then { default: MergeQuestions }}
    <MergeQuestions onclose={() => (answering = false)} />
  {/await}
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
