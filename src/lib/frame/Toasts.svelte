<script lang="ts">
  import { dismiss, toasts } from '$lib/shop/toasts.svelte.ts';
</script>

<div class="toasts no-print" role="status" aria-live="polite">
  {#each toasts as toast (toast.id)}
    <p class={toast.tone}>
      <button class="text" onclick={() => dismiss(toast.id)} title="Dismiss">{toast.text}</button>
      {#if toast.undo}
        <button
          class="undo"
          onclick={() => {
            toast.undo?.();
            dismiss(toast.id);
          }}>Undo</button
        >
      {/if}
    </p>
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
  p {
    display: flex;
    margin: 0;
    border-left: 5px solid var(--accent);
    background: var(--mat-deep);
    color: var(--mat-ink);
    box-shadow: 0 4px 14px rgb(0 0 0 / 30%);
  }
  .stop {
    border-left-color: var(--stop-mat);
  }
  button {
    min-height: var(--target);
    border: 0;
    background: none;
    color: inherit;
    text-align: left;
  }
  .text {
    flex: 1;
    padding: 10px 16px;
  }
  .undo {
    padding: 0 16px;
    border-left: 1px solid var(--mat-soft);
    font-weight: 700;
    text-decoration: underline;
  }
  @media (max-width: 37.5em) {
    .toasts {
      left: 12px;
      bottom: 72px;
    }
  }
</style>
