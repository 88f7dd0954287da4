<script lang="ts">
  import Button from '$lib/ui/Button.svelte';

  interface Props {
    seconds: number;
    why: string;
  }
  const { seconds, why }: Props = $props();
  let left = $state<number | undefined>();
  let timer: ReturnType<typeof setInterval> | undefined;

  function start(): void {
    stop();
    const end = Date.now() + seconds * 1000;
    left = seconds;
    timer = setInterval(() => {
      left = Math.max(0, Math.round((end - Date.now()) / 1000));
      if (left === 0) clearInterval(timer);
    }, 500);
  }
  function stop(): void {
    clearInterval(timer);
    left = undefined;
  }
  $effect(() => () => clearInterval(timer));
  const clock = $derived(
    left === undefined ? '' : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`,
  );
</script>

<p class="leave" aria-live="off">
  {#if left === undefined}
    <Button onclick={start}>Power is on: {Math.round(seconds / 6) / 10} min</Button>
    <span class="soft">{why}</span>
  {:else if left > 0}
    <span class="figure big">{clock}</span> Leave it.
    <Button quiet onclick={stop}>Picture is there</Button>
  {:else}
    <b>Waited long enough.</b> No picture: the gate failed, find the fault.
    <Button quiet onclick={stop}>Again</Button>
  {/if}
</p>

<style>
  .leave {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
  }
  .big {
    font-size: 28px;
  }
</style>
