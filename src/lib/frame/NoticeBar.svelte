<script lang="ts">
  import { updated } from '$app/state';
  import { exportShop } from '$lib/files/save.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { dateText } from '$lib/ui/dates.ts';
  import Notice from '$lib/ui/Notice.svelte';

  interface Props {
    /** When the newest copy was made, where the store was found empty though copies of it are kept. */
    rescue: string | undefined;
    /** The copy was opened, or is left. */
    onsettled: () => void;
    /** Days of work that are in this browser alone, where that is worth saying. */
    unkept: number | undefined;
    /** What merging left open is to be answered. */
    onanswer: () => void;
  }
  const { rescue, onsettled, unkept, onanswer }: Props = $props();

  async function openCopy(at: string): Promise<void> {
    const { copyOf } = await import('$lib/files/copies.ts');
    const file = await copyOf(at);
    const { shopOf } = await import('$lib/files/open.ts');
    const shop = file && (await shopOf(file));
    if (!shop) return;
    await shopStore.open(`the copy of ${dateText(at, 'full')}`, shop);
    onsettled();
  }
</script>

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
        <Button onclick={() => onsettled()}>Leave it</Button>
      {/snippet}
    </Notice>
  </div>
{:else if shopStore.questions.length > 0}
  {@const count = shopStore.questions.length}
  <div class="no-print">
    <Notice>
      Merging left {count}
      {count === 1 ? 'question' : 'questions'}.
      {#snippet actions()}<Button next onclick={() => onanswer()}>Answer</Button>{/snippet}
    </Notice>
  </div>
{:else if unkept !== undefined}
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
