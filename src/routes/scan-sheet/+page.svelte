<script lang="ts">
  import { resolve } from '$app/paths';
  import { scanWords } from '$core/quick/line/understood.ts';
  import { codeImage } from '$lib/print/code.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Tape from '$lib/frame/Tape.svelte';
</script>

<svelte:head><title>Scan sheet · Nutshell Swap</title></svelte:head>

<Stage
  title="Scan sheet"
  subtitle="hang it over the bench: a scanner types these into the entry line"
>
  {#snippet tools()}<Button next onclick={() => window.print()}>Print</Button>{/snippet}
  <ul class="cut-up">
    {#each scanWords as word (word)}
      <li>
        {#await codeImage(word) then src}<img {src} alt="code for {word}" />{:catch}<p>
            The code for {word} could not be drawn.
          </p>{/await}
        <b>{word}</b>
      </li>
    {/each}
  </ul>
  <p class="no-print"><a href={resolve('/')}>Back to the bench</a></p>
</Stage>
<Tape title="Scan sheet">
  <p class="hint">
    Yes and no answer the lit question, next and not measured move on, done ticks the next step,
    undo takes the last change back.
  </p>
</Tape>

<style>
  ul {
    display: grid;
    grid-template-columns: repeat(2, 1fr);
    gap: 28px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    justify-items: center;
    gap: 4px;
    padding: 10px;
    background: #fff;
    color: #000;
    border: 1px solid var(--line);
    break-inside: avoid;
  }
  img {
    height: 84px;
    max-width: 100%;
  }
  b {
    font: 600 22px var(--face-head);
  }
  .hint {
    padding: 12px 19px;
    font-size: 15px;
  }
</style>
