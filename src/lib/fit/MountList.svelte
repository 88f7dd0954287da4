<script lang="ts">
  import type { ListKey } from '$core/model/properties/index.ts';
  import { changeItems } from '$core/shop/items.ts';
  import { listAt, type Placed, type Plan } from '$core/model/lookup/plan.ts';
  import { drivePlaces } from '$core/model/properties/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  interface Props {
    plan: Plan;
    shell: Placed;
  }
  const { plan, shell }: Props = $props();
  const lists = [
    { key: 'mounts', label: 'Drive mounts', places: drivePlaces, sizes: ['3.5', '2.5'] },
    {
      key: 'fanMounts',
      label: 'Fan mounts',
      places: ['rear', 'front', 'top', 'floor'],
      sizes: ['80', '92', '120', '140'],
    },
  ] as const;
  const items = (key: ListKey) => [...(listAt(plan, shell, key)?.items ?? [])];
  const count = (key: ListKey, item: string) => items(key).filter((each) => each === item).length;

  function set(
    key: ListKey,
    label: string,
    change: (items: readonly string[]) => readonly string[],
  ): void {
    void shopStore.edit(
      `${label.toLowerCase()} of ${shell.part.name}`,
      changeItems(
        shell.part.id,
        key,
        change,
        { how: 'measured', at: shopStore.now },
        shell.part.modelId !== undefined,
      ),
    );
  }

  const less = (key: ListKey, label: string, item: string) =>
    set(key, label, (now) => {
      const at = now.lastIndexOf(item);
      return at < 0 ? now : now.toSpliced(at, 1);
    });
</script>

{#each lists as list (list.key)}
  <section aria-label={list.label}>
    <h2>
      {list.label}
      <small
        >{listAt(plan, shell, list.key) ? `${items(list.key).length} listed` : 'not listed'} · tap each
        place once for every mount there</small
      >
    </h2>
    <div class="grid">
      {#each list.places as place (place)}
        <span class="place">
          <b>{place}</b>
          {#each list.sizes as size (size)}
            {@const item = `${place} ${size}`}
            {@const n = count(list.key, item)}
            <span class="size">
              <button
                class:some={n > 0}
                aria-label="{size}{n > 0 ? ` × ${n}` : ''}, {place}: one more"
                onclick={() => set(list.key, list.label, (now) => [...now, item])}
                >{size}{n > 0 ? ` × ${n}` : ''}</button
              >
              {#if n > 0}<button
                  class="less"
                  aria-label="−, {place} {size}: one less"
                  onclick={() => less(list.key, list.label, item)}>−</button
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
    color: var(--ink-soft);
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
