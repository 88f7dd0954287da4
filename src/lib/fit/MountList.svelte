<script lang="ts">
  import type { ItemOf } from '$core/model/properties/index.ts';
  import { listAt, type Placed, type Plan } from '$core/model/lookup/plan.ts';
  import { drivePlaces, walls } from '$core/model/types/shapes.ts';
  import { sameContent } from '$core/shop/items.ts';
  import { recordItems } from '$lib/shop/recordFact.ts';

  interface Props {
    plan: Plan;
    /** The case. */
    shell: Placed;
  }
  const { plan, shell }: Props = $props();

  /** One list of mounts: each place with its sizes, how many stand there, and one more or less of them. */
  function listed<K extends 'mounts' | 'fanMounts', P extends string, S extends string | number>(
    key: K,
    label: string,
    places: readonly P[],
    sizes: readonly S[],
    mount: (at: P, size: S) => ItemOf<K>,
  ) {
    const items: readonly ItemOf<K>[] | undefined = listAt(plan, shell, key)?.items;
    return {
      label,
      count: items?.length,
      places: places.map((place) => ({
        place,
        sizes: sizes.map((size) => {
          const item = mount(place, size);
          /* How deep it is there is no other place. */
          const same = (each: ItemOf<K>) =>
            sameContent(
              { ...(each as object), deep: undefined },
              { ...(item as object), deep: undefined },
            );
          return {
            size: String(size),
            n: items?.filter(same).length ?? 0,
            more: () => recordItems(shell.part, key, (now) => [...now, item]),
            less: () =>
              recordItems(shell.part, key, (now) => {
                const at = now.findLastIndex(same);
                return at < 0 ? now : now.toSpliced(at, 1);
              }),
          };
        }),
      })),
    };
  }

  const lists = $derived([
    listed('mounts', 'Drive mounts', drivePlaces, ['3.5', '2.5'], (at, form) => ({ at, form })),
    listed('fanMounts', 'Fan mounts', walls, [80, 92, 120, 140], (at, mm) => ({ at, mm })),
  ]);
</script>

{#each lists as list (list.label)}
  <section aria-label={list.label}>
    <h2>
      {list.label}
      <small
        >{list.count === undefined ? 'not listed' : `${list.count} listed`} · tap each place once for
        every mount there</small
      >
    </h2>
    <div class="grid">
      {#each list.places as { place, sizes } (place)}
        <span class="place">
          <b>{place}</b>
          {#each sizes as { size, n, more, less } (size)}
            <span class="size">
              <button
                class:some={n > 0}
                aria-label="{size}{n > 0 ? ` × ${n}` : ''}, {place}: one more"
                onclick={more}>{size}{n > 0 ? ` × ${n}` : ''}</button
              >
              {#if n > 0}<button
                  class="less"
                  aria-label="−, {place} {size}: one less"
                  onclick={less}>−</button
                >{/if}
            </span>
          {/each}
        </span>
      {/each}
    </div>
  </section>
{/each}

<style>
  section {
    margin-top: 8px;
  }
  h2 {
    font: 600 17px var(--face-head);
  }
  small {
    font: 14px var(--face-text);
  }
  .grid {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
  }
  .place {
    display: flex;
    gap: 4px;
    align-items: center;
  }
  b {
    min-width: 44px;
    font: 600 15px var(--face-head);
  }
  .size {
    display: flex;
  }
  button {
    min-width: 44px;
    min-height: 36px;
    padding: 0 8px;
    border: 1.5px solid var(--line, var(--ink-soft));
    border-radius: 3px;
    background: none;
    color: var(--ink-soft);
    font: 15px var(--face-figure);
  }
  button.some {
    border-color: var(--ink);
    background: var(--part-comes);
    color: var(--ink);
  }
  .less {
    min-width: 32px;
    margin-left: -1px;
  }
</style>
