<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Finding, StationId } from '$core/findings/finding.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import ClearChips from '$lib/ui/ClearChips.svelte';
  import GapBoard from '$lib/ui/GapBoard.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import { stationName } from '$lib/frame/stations.ts';
  import { Chosen } from './chosen.svelte.ts';

  interface Props {
    view: JobView;
    station: StationId;
    subtitle: string;
    /** A picture above the sum in hand: the others stand on the tape, and are not listed again. */
    picture?: Snippet;
    /** Sums drawn in a way of their own, and which those are: the others are drawn as slots. */
    drawn?: Snippet<[{ chosen: Chosen; choose: (id: string) => void }]>;
    isDrawn?: (finding: Finding) => boolean;
    /** Beside the heading. */
    tools?: Snippet;
    /** What is said while there is no sum. */
    nothing?: string;
  }
  const {
    view,
    station,
    subtitle,
    picture,
    drawn,
    isDrawn = () => false,
    tools,
    nothing = 'Nothing to say yet. Put a board and a PSU into the plan at Intake.',
  }: Props = $props();
  const chosen = $derived(new Chosen(view, station));
  const choose = (id: string) => (uiState.chosen = id);
  const left = $derived(chosen.here.filter((each) => !isDrawn(each)));
  const listed = $derived(
    left.filter((each) =>
      picture
        ? each === chosen.finding && (each.mark !== 'clear' || each.id === uiState.chosen)
        : each.mark !== 'clear',
    ),
  );
  const clear = $derived(picture ? [] : left.filter((each) => each.mark === 'clear'));
</script>

<Stage title={stationName(station)} {subtitle} {...tools ? { tools } : {}}>
  {@render picture?.()}
  {#if chosen.here.length === 0}
    <p>{nothing}</p>
  {/if}
  {@render drawn?.({ chosen, choose })}
  <GapBoard
    findings={listed}
    chosen={chosen.finding?.id}
    units={shopStore.shop.settings}
    onchoose={choose}
  />
  <ClearChips
    findings={clear}
    chosen={chosen.finding?.id}
    units={shopStore.shop.settings}
    onchoose={choose}
  />
  {#if chosen.finding && chosen.finding.mark !== 'clear'}
    <Remedies
      finding={chosen.finding}
      remedies={chosen.remedies}
      units={shopStore.shop.settings}
      ontake={chosen.take}
    />
  {/if}
</Stage>
