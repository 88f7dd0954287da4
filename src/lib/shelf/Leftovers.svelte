<script lang="ts">
  import { onDestroy } from 'svelte';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { newJob, putPart } from '$core/edits/edits.ts';
  import { kindName, seatName } from '$core/model/types/seats.ts';
  import { lackWords, type Leftover } from '$core/resolve/leftovers.ts';
  import { Background } from '$lib/shop/background.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import MarkChip from '$lib/ui/Mark.svelte';
  import type { DonorsWorker } from '../../workers/donors.worker.ts';

  const { onclose }: { onclose: () => void } = $props();
  const worker = new Background<DonorsWorker>(
    () =>
      new Worker(new URL('../../workers/donors.worker.ts', import.meta.url), { type: 'module' }),
  );
  onDestroy(() => worker.close());
  const found = worker.ask((api) => api.leftovers(shopStore.shop));

  async function begin({ board, parts }: Leftover): Promise<void> {
    const { edit, tag } = newJob(board.name, 'from the shelf');
    await shopStore.edit('job from the shelf', (shop) =>
      parts.reduce((now, { seat, part }) => putPart(tag(), seat, part.id)(now), edit(shop)),
    );
    onclose();
    await goto(resolve('/job/[id]/[station]', { id: tag(), station: 'fit' }));
  }
</script>

<Dialog title="What the rest could become" wide {onclose}>
  <p class="soft">
    Around every free board, from what is on the shelf and in donors and in nobody's plan. Each by
    itself: two of them may want the same part.
  </p>
  {#await found}
    <p>Going through the shelf …</p>
  {:then list}
    {#if worker.fault}<p role="alert">{worker.fault}</p>{/if}
    <ul>
      {#each list ?? [] as each (each.board.id)}
        <li>
          <p class="head">
            <b>{each.board.name}</b>
            <MarkChip mark={each.mark} />
            <span>{lackWords(each)}</span>
            <Button onclick={() => void begin(each)}>Begin a job</Button>
          </p>
          <p class="parts">
            {#each each.parts as { seat, part }, n (seat)}{n > 0 ? ' · ' : ''}{seatName(seat)}
              <span class="figure">{part.id}</span>
              {part.name === kindName(part.kind) ? '' : part.name}{/each}
          </p>
        </li>
      {:else}
        <li>There is no free board: every one is planned, lent, promised or dead.</li>
      {/each}
    </ul>
  {/await}
</Dialog>

<style>
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 6px 0 10px;
    border-bottom: 1px dashed var(--line);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
    margin: 0;
  }
  .head span {
    flex: 1;
  }
  .parts {
    margin: 2px 0 0;
    font-size: 15px;
  }
</style>
