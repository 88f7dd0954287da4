<script lang="ts">
  import { hasOwn, openShop, type Which } from '$lib/shop/shops.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';

  const isDemo = $derived(shopStore.shop.settings.demo === true);
  let own = $state(false);
  $effect(() => {
    void hasOwn().then((has) => (own = has));
  });

  function open(which: Which): void {
    try {
      openShop(which);
    } catch {
      toast(
        'This browser keeps one shop only: it does not let the page remember a choice.',
        'stop',
      );
    }
  }
  function toOwn(): void {
    if (shopStore.which === 'demo') open('first');
    else if (own) open('own');
    else uiState.dialog = 'new shop';
  }
  function toDemo(): void {
    open(shopStore.which === 'own' ? 'first' : 'demo');
  }
</script>

<p class="which" class:demo={isDemo}>
  {#if isDemo}
    <span
      ><b>Will these parts go together in this case?</b> Millimetres, watts, plugs, money. You are in
      the demo, a mountain-rescue post's workshop; your own shop is kept apart.</span
    >
    <Button onclick={toOwn}
      >{own || shopStore.which === 'demo' ? 'Back to my shop' : 'Start my own shop'}</Button
    >
  {:else}
    <span
      >Rather look first? The demo is a mountain-rescue post's workshop. Your own shop stays as it
      is.</span
    >
    <Button onclick={toDemo}>Open the demo</Button>
  {/if}
</p>

<style>
  .which {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 6px 16px;
    margin: 0 0 12px;
    padding: 8px 0;
    border-top: 1px dashed var(--line);
    border-bottom: 1px dashed var(--line);
    font-size: 15px;
  }
  .which span {
    flex: 1 1 320px;
  }
  .demo {
    padding: 6px 10px;
    border: 0;
    background: var(--tape-lit);
  }
</style>
