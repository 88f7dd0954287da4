<script lang="ts">
  import { keepLinks } from '$core/edits/linkEdits.ts';
  import {
    DumpError,
    idIn,
    nameOfId,
    trainedLinks,
    triesFor,
    type Trained,
  } from '$core/links/index.ts';
  import { names } from './names.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';

  interface Props {
    view: JobView;
  }
  const { view }: Props = $props();
  let text = $state('');
  let underLoad = $state(false);
  let when = $state<'before' | 'after'>('after');
  const read = $derived.by((): { links?: Trained[]; fault?: string } => {
    if (text.trim() === '') return {};
    try {
      return { links: trainedLinks(text) };
    } catch (error) {
      if (!(error instanceof DumpError)) throw error;
      return { fault: error.message };
    }
  });
  const kept = $derived(view.job?.links ?? []);
  const speed = (gts: number, lanes: number) => `${gts} GT/s x${lanes}`;

  /** A dump of numbers only is given names, once the list is there. */
  const numbers = /^[0-9a-f]{4}:[0-9a-f]{4}\b/i;
  $effect(() => {
    if (read.links?.some((link) => numbers.test(link.name))) names.load('pci');
  });
  function nameOf(name: string): string {
    const id = numbers.test(name) ? idIn(name) : undefined;
    return (id && names.pci && nameOfId(names.pci, id).name) ?? name;
  }

  function keep(): void {
    if (!view.job || !read.links) return;
    shopStore.edit(
      'trained links',
      keepLinks(view.job.id, read.links, { at: new Date().toISOString(), when, underLoad }),
    );
    text = '';
  }
</script>

<section>
  <h2>What was trained</h2>
  <TextArea
    screenOnly
    wide
    label="Paste lspci -vv, or drop it here"
    bind:value={text}
    rows={3}
    spellcheck="false"
    ondragover={(event) => event.preventDefault()}
    ondrop={(event) => {
      event.preventDefault();
      void event.dataTransfer?.files[0]?.text().then((dropped) => (text = dropped));
    }}
  />
  <Fault text={read.fault} />
  {#if read.links}
    <ul>
      {#each read.links as link (link.slot)}
        <li>
          <Mark mark={link.below.length > 0 ? 'watch' : 'clear'} size={16} />
          <b>{nameOf(link.name)}</b>
          <span class="figure">{speed(link.runs.gts, link.runs.lanes)}</span>
          {#if link.by}at {nameOf(link.by.name)} before it,{/if}
          {#if link.below.length > 0}
            of {speed(
              Math.min(link.can.gts, link.port?.gts ?? Infinity),
              Math.min(link.can.lanes, link.port?.lanes ?? Infinity),
            )} both ends can: {link.below.join(' and ')}, {link.gbs.toFixed(1)} of {link.couldGbs.toFixed(
              1,
            )} GB/s. Try: {triesFor(link, underLoad).join('; ')}.
          {:else}all both ends can.{/if}
        </li>
      {:else}<li>No device with a link in it.</li>{/each}
    </ul>
    <p class="row mid no-print">
      <Tick label="read under load" bind:checked={underLoad} />
      <Select
        label="parts"
        options={[
          { value: 'before', words: 'as found' },
          { value: 'after', words: 'as planned' },
        ]}
        bind:value={when}
      />
      <Button next onclick={keep}>Keep with the job</Button>
    </p>
  {/if}
  {#each kept as each (each.when + each.slot)}
    <p>
      {each.when === 'before' ? 'As found' : 'As planned'}{each.underLoad ? ', under load' : ''}: {each.name}
      <span class="figure">{speed(each.gts, each.lanes)}</span> of {speed(
        each.couldGts,
        each.couldLanes,
      )}
    </p>
  {/each}
  <p class="soft">A link slows down at idle: one that looks slow is read again under load.</p>
</section>

<style>
  ul {
    margin: 6px 0;
    padding: 0;
    list-style: none;
  }
  li {
    margin: 4px 0;
  }
</style>
