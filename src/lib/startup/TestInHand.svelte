<script lang="ts">
  import type { NextTest } from '$core/startup/index.ts';
  import Button from '$lib/ui/Button.svelte';

  interface Props {
    test: NextTest;
    /** No other tells more for its minutes. */
    best: boolean;
    onanswer: (yes: boolean) => void;
    onskip?: () => void;
  }
  const { test, best, onanswer, onskip }: Props = $props();
</script>

<!-- The one thing to do next, large enough to read across the bench. -->
<div class="hand">
  <p class="ask">
    {test.test.ask}{#if test.with}<span class="with"> with {test.with.name}</span>{/if}
  </p>
  <p class="soft">
    {best ? 'The most useful next test for its minutes: ' : ''}<span class="figure"
      >{Math.round(test.minutes)} min</span
    >, yes in <span class="figure">{Math.round(test.chance * 100)}</span> of 100.{test.test.caution
      ? ` ${test.test.caution}`
      : ''}
  </p>
  <p class="row apart no-print">
    <Button next onclick={() => onanswer(true)}>Yes: {test.test.yes}</Button>
    <Button onclick={() => onanswer(false)}>No: {test.test.no}</Button>
    {#if onskip}<Button quiet onclick={onskip}>Not now</Button>{/if}
  </p>
</div>

<style>
  .hand {
    padding: 10px 14px 12px;
    border: 2px solid var(--ink);
    border-left: 8px solid var(--accent);
    background: var(--tape);
    max-width: 760px;
  }
  .ask {
    margin: 0;
    font: 600 24px/1.2 var(--face-head);
  }
  .with {
    color: var(--accent-ink);
  }
</style>
