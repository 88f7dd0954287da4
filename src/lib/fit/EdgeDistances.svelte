<script lang="ts">
  import { fromDistances, HolesError, type EdgePair } from '$core/fit/holes/index.ts';
  import { range } from '$core/units/range.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import type { Place } from '$core/model/types/shapes.ts';
  import Select from '$lib/ui/Select.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  interface Props {
    /** The holes worked out from the distances: hole 1 at nought, hole 2 on the x axis. */
    onplaces: (places: Place[]) => void;
  }
  const { onplaces }: Props = $props();
  let open = $state(false);
  let count = $state(4);
  let inside = $state<Record<string, number>>({});
  let outside = $state<Record<string, number>>({});
  let fault = $state('');

  /** To 1 and 2 from every hole, to 3 from every further one: enough to lay them all out. */
  const pairs = $derived.by(() => {
    const list: [number, number][] = [[1, 2]];
    for (let hole = 3; hole <= count; hole += 1) {
      list.push([1, hole], [2, hole]);
      if (hole > 3) list.push([3, hole]);
    }
    return list;
  });
  const key = ([a, b]: [number, number]) => `${a}-${b}`;
  const known = (value: number | undefined) => (value === undefined ? undefined : range(value));

  function work(): void {
    const measured: EdgePair[] = pairs
      .filter((pair) => inside[key(pair)] !== undefined || outside[key(pair)] !== undefined)
      .map((pair) => ({
        a: pair[0],
        b: pair[1],
        insideMm: inside[key(pair)],
        outsideMm: outside[key(pair)],
      }));
    try {
      const points = fromDistances(count, measured);
      fault = '';
      onplaces(points.map(({ x, y }) => ({ x: round(x), y: round(y) })));
    } catch (error) {
      if (!(error instanceof HolesError)) throw error;
      fault = error.message;
    }
  }
  const round = (value: number) => Math.round(value * 100) / 100;
</script>

<details bind:open>
  <summary>Or from edge to edge, as the caliper gives it</summary>
  <p class="soft">
    Inside and outside of two holes: their mean is the distance of the centres. One of the two will
    do for standard holes.
  </p>
  <Select label="holes" options={[3, 4, 5, 6, 7, 8, 9]} bind:value={count} />
  <ol>
    {#each pairs as pair (key(pair))}
      <li>
        <span class="figure">{pair[0]}–{pair[1]}</span>
        <MeasureField
          compact
          label="inside, {pair[0]} to {pair[1]}"
          unit="mm"
          lengths={shopStore.shop.settings.unit}
          value={known(inside[key(pair)])}
          open={inside[key(pair)] === undefined}
          most={1000}
          onmeasure={(value) => (inside[key(pair)] = value)}
        />
        <MeasureField
          compact
          label="outside, {pair[0]} to {pair[1]}"
          unit="mm"
          lengths={shopStore.shop.settings.unit}
          value={known(outside[key(pair)])}
          open={outside[key(pair)] === undefined}
          most={1000}
          onmeasure={(value) => (outside[key(pair)] = value)}
        />
      </li>
    {/each}
  </ol>
  <Fault text={fault} />
  <Button onclick={work}>Lay the holes out</Button>
</details>

<style>
  summary {
    min-height: 40px;
    cursor: pointer;
    font: 600 16px/1.3 var(--face-head);
  }
  ol {
    margin: 6px 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
  }
  li .figure {
    flex: 0 0 36px;
  }
</style>
