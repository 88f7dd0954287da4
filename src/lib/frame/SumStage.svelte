<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { StationId } from '$core/findings/finding.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import GapBoard from '$lib/ui/GapBoard.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import { stationName } from '$lib/frame/stations.ts';
  import { Chosen } from './chosen.svelte.ts';

  interface Props {
    view: JobView;
    station: StationId;
    subtitle: string;
    /** A picture above the sums. */
    picture?: Snippet;
    /** Beside the heading. */
    tools?: Snippet;
  }
  const { view, station, subtitle, picture, tools }: Props = $props();
  // svelte-ignore state_referenced_locally (a station's stage never changes its station)
  const chosen = new Chosen(view, station);
</script>

<Stage title={stationName(station)} {subtitle} {...tools ? { tools } : {}}>
  {@render picture?.()}
  {#if chosen.here.length === 0}
    <p>Nothing to say yet. Put a board and a PSU into the plan at Intake.</p>
  {/if}
  <GapBoard
    findings={chosen.here}
    chosen={chosen.finding?.id}
    lengths={shopStore.shop.settings.unit}
    onchoose={(id) => (uiState.chosen = id)}
  />
  {#if chosen.finding && chosen.finding.mark !== 'clear'}
    <Remedies
      finding={chosen.finding}
      remedies={chosen.remedies}
      lengths={shopStore.shop.settings.unit}
      ontake={chosen.take}
    />
  {/if}
</Stage>
