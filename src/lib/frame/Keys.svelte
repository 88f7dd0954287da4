<script lang="ts">
  import { onMount } from 'svelte';
  import { tinykeys, type KeyBindingMap } from 'tinykeys';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import type { StationId } from '$core/findings/finding.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { stations } from '$lib/frame/stations.ts';
  import { nextQuestion, undo } from '../entry/lit.ts';

  interface Props {
    view: JobView;
    station: StationId | undefined;
  }
  const { view, station }: Props = $props();

  const typing = (event: KeyboardEvent) =>
    (event.target as HTMLElement).matches('input, textarea, select, [contenteditable]') ||
    document.querySelector('dialog[open]') !== null;

  /** A shortcut that keeps still while somebody types. */
  const key = (run: () => void) => (event: KeyboardEvent) => {
    if (typing(event)) return;
    event.preventDefault();
    run();
  };

  function go(id: StationId): void {
    const jobId = view.job?.id ?? uiState.lastJob;
    if (jobId) void goto(resolve('/job/[id]/[station]', { id: jobId, station: id }));
  }

  function move(by: number): void {
    const open = view.found.filter(
      (finding) =>
        finding.mark !== 'clear' &&
        (!station || finding.station === station || station === 'take-in'),
    );
    const at = open.findIndex((finding) => finding.id === uiState.chosen);
    const next = open[(at + by + open.length) % open.length] ?? open[0];
    uiState.chosen = next?.id;
  }

  onMount(() => {
    const bindings: KeyBindingMap = {
      'g b': key(() => void goto(resolve('/'))),
      'g w': key(() => void goto(resolve('/week'))),
      'g s': key(() => void goto(resolve('/shelf'))),
      '[': key(() => move(-1)),
      ']': key(() => move(1)),
      m: key(() => {
        nextQuestion(view);
        if (uiState.measuring) document.querySelector<HTMLInputElement>('.entry input')?.focus();
      }),
      t: key(() => (uiState.tapeOpen = !uiState.tapeOpen)),
      n: key(() => (uiState.dialog = 'new job')),
      u: key(() => void undo()),
      'Shift+U': key(() => void shopStore.redo()),
      p: key(() => (uiState.dialog = 'print')),
      '?': key(() => (uiState.dialog = 'keys')),
      'Shift+?': key(() => (uiState.dialog = 'keys')),
    };
    for (const each of stations) bindings[`g ${each.digit}`] = key(() => go(each.id));
    return tinykeys(window, bindings);
  });
</script>

{#if uiState.dialog === 'keys'}
  {#await import('./HelpDialog.svelte') then { default: HelpDialog }}
    <HelpDialog {station} />
  {/await}
{/if}
{#if uiState.tour !== undefined}
  {#await import('./Tour.svelte') then { default: Tour }}<Tour />{/await}
{/if}
