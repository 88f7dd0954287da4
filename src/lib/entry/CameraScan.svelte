<script lang="ts">
  import Dialog from '$lib/ui/Dialog.svelte';
  import { scanWith, whyNot } from './camera.ts';

  interface Props {
    /** A code was read. */
    onscan: (text: string) => void;
    onclose: () => void;
  }
  const { onscan, onclose }: Props = $props();
  let fault = $state('');
  let read = $state<string[]>([]);

  function camera(video: HTMLVideoElement) {
    let stop: (() => void) | undefined;
    let gone = false;
    scanWith(video, (text) => {
      read = [text, ...read].slice(0, 5);
      onscan(text);
    }).then(
      (stopping) => (gone ? stopping() : (stop = stopping)),
      (error: unknown) => (fault = whyNot(error)),
    );
    return () => {
      gone = true;
      stop?.();
    };
  }
</script>

<Dialog title="Scan a label" {onclose}>
  {#if fault}
    <p class="fault" role="alert">{fault}</p>
  {:else}
    <video muted playsinline aria-label="Camera" {@attach camera}></video>
    <p aria-live="polite">
      {#if read.length > 0}<b class="figure">{read[0]}</b>{#if read.length > 1}<span class="soft">
            · {read.slice(1).join(' · ')}</span
          >{/if}{:else}Hold the label flat, a hand's width away.{/if}
    </p>
  {/if}
</Dialog>

<style>
  video {
    display: block;
    width: 100%;
    max-height: calc(60vh / var(--zoom, 1));
    background: #000;
  }
  p {
    margin-top: 10px;
  }
</style>
