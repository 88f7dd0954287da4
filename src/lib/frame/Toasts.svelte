<script lang="ts">
  import { dismiss, toasts } from '$lib/shop/toasts.svelte.ts';
</script>

<div class="toasts no-print" role="status" aria-live="polite">
  {#each toasts as toast (toast.id)}
    <button class={toast.tone} onclick={() => dismiss(toast.id)} title="Dismiss"
      >{toast.text}</button
    >
  {/each}
</div>

<style>
  .toasts {
    position: fixed;
    z-index: 40;
    left: calc(var(--rail-w) + 24px);
    bottom: 20px;
    display: flex;
    flex-direction: column;
    gap: 6px;
    max-width: min(520px, 80vw);
  }
  button {
    padding: 10px 16px;
    border: 0;
    border-left: 5px solid var(--accent);
    background: var(--mat-deep);
    color: #f2efe6;
    text-align: left;
    box-shadow: 0 4px 14px rgb(0 0 0 / 30%);
  }
  .stop {
    border-left-color: var(--stop-mat);
  }
  @media (max-width: 600px) {
    .toasts {
      left: 12px;
      bottom: 72px;
    }
  }
</style>
