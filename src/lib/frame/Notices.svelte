<script lang="ts">
  import { updated } from '$app/state';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { daysUnkept, REMIND_DAYS } from '$core/shop/copies.ts';

  import { keptState, watchEdits } from '$lib/files/kept.svelte.ts';
  import Button from '$lib/ui/Button.svelte';

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
  /** Said at the top of every page; what says it is loaded when there is something to say. */
  const unsaid = $derived(
    unkept !== undefined && unkept >= REMIND_DAYS && !shopStore.shop.settings.demo
      ? unkept
      : undefined,
  );
  const said = $derived(
    shopStore.trouble !== undefined ||
      rescue !== undefined ||
      shopStore.questions.length > 0 ||
      unsaid !== undefined ||
      updated.current,
  );

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
{#if said}
  {#await import('./NoticeBar.svelte') then { default: NoticeBar }}
    <NoticeBar
      {rescue}
      unkept={unsaid}
      onsettled={() => (rescue = undefined)}
      onanswer={() => (answering = true)}
    />
  {/await}
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
