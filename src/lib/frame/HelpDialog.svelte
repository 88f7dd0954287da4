<script lang="ts">
  import type { StationId } from '$core/findings/finding.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { page } from '$app/state';
  import { helpOf, keysEverywhere } from './help.ts';
  import { stationName } from './stations.ts';

  interface Props {
    /** The station on the stage; undefined on the bench. */
    station: StationId | undefined;
  }
  const { station }: Props = $props();
  const placeNamed = (path: string) =>
    path === '/shelf' ? 'shelf' : path === '/week' ? 'week' : 'bench';
  const help = $derived(helpOf[station ?? placeNamed(page.url.pathname)]);
  const keys = $derived([...(help.keys ?? []), ...keysEverywhere]);
  const hasJobs = $derived(shopStore.shop.jobs.length > 0);

  function begin(): void {
    uiState.dialog = undefined;
    uiState.tour = 0;
  }
</script>

<Dialog
  title="Help · {station ? stationName(station) : 'Bench'}"
  wide
  onclose={() => (uiState.dialog = undefined)}
>
  {#each help.says as sentence (sentence)}<p>{sentence}</p>{/each}
  <div class="sides">
    <section>
      <h3>Words</h3>
      <dl>
        {#each help.words as [word, meaning] (word)}
          <div>
            <dt>{word}</dt>
            <dd>{meaning}</dd>
          </div>
        {/each}
      </dl>
    </section>
    <section>
      <h3>Keys</h3>
      <dl>
        {#each keys as [pressed, what] (what)}
          <div>
            <dt class="figure">{pressed}</dt>
            <dd>{what}</dd>
          </div>
        {/each}
      </dl>
      <p class="soft">
        A caliper types its number and Enter, a scanner a tag and Enter: both land in the entry
        line.
      </p>
    </section>
  </div>
  {#if hasJobs}<Button onclick={begin}>A tour in five stops</Button>{/if}
</Dialog>

<style>
  .sides {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
    gap: 8px 32px;
    margin: 14px 0;
  }
  h3 {
    font: 600 18px var(--face-head);
  }
  dl {
    margin: 4px 0 12px;
  }
  dl div {
    display: grid;
    grid-template-columns: 128px 1fr;
    gap: 8px;
    padding: 4px 0;
  }
  dt {
    font-weight: 700;
  }
  dt.figure {
    font-weight: 400;
  }
  dd {
    margin: 0;
  }
</style>
