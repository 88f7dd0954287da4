<script lang="ts">
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { dateText } from '$lib/ui/dates.ts';
  import { copyOf, keptCopies, takeCopy } from './copies.ts';

  let copies = $state.raw(keptCopies());

  async function open(at: string): Promise<void> {
    const file = await copyOf(at);
    if (!file) {
      toast('This copy is not in the browser any more.', 'stop');
      return;
    }
    const { readFile } = await import('./open.ts');
    await readFile(file);
  }
  async function take(): Promise<void> {
    const taken = await takeCopy();
    toast(
      taken ? 'Copy taken.' : 'This browser keeps no files for this page: export the shop.',
      taken ? 'plain' : 'stop',
    );
    copies = keptCopies();
  }
</script>

<section>
  <h2>Copies in this browser</h2>
  <p class="soft">
    Taken by themselves every hour you work; kept are one a day for a week, one a week for a month,
    one a month for a quarter. Without photos. They go with the browser's data: what must last is
    exported.
  </p>
  {#await copies then list}
    {#if list.length === 0}<p>None yet.</p>{/if}
    <ul>
      {#each list as copy (copy.at)}
        <li>
          <span>{dateText(copy.at, 'full')}</span>
          <span class="figure">{Math.max(1, Math.round(copy.bytes / 1000))} kB</span>
          <Button
            quiet
            aria-label="Open the copy of {dateText(copy.at, 'full')}"
            onclick={() => void open(copy.at)}>Open</Button
          >
        </li>
      {/each}
    </ul>
  {/await}
  <Button onclick={() => void take()}>Take one now</Button>
</section>

<style>
  section {
    max-width: 760px;
    padding: 12px 0 16px;
    border-bottom: 1px dashed var(--line);
  }
  h2 {
    font: 600 20px var(--face-head);
  }
  ul {
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 18px;
  }
</style>
