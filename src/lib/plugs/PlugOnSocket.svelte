<script lang="ts">
  import { dropPlug, keepPlugs, plugInUse } from '$core/edits/plugEdits.ts';
  import { PlugFileError, readPlugs, writePlugs } from '$core/export/ownPlugs.ts';
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { partOfKind, textAt } from '$core/model/lookup/plan.ts';
  import { matings, type Effect, type Verdict } from '$core/plugs/mate/index.ts';
  import { views, type View } from '$core/standards/plugs/index.ts';
  import type { Mark as MarkName } from '$core/findings/finding.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveFile } from '$lib/files/save.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import PlugSelect from './PlugSelect.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Tick from '$lib/ui/Tick.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';

  const { plan, onclose }: ViewProps = $props();
  const supply = $derived(partOfKind(plan, 'supply'));
  const usual = $derived((supply && textAt(plan, supply, 'mainPlug')?.text) ?? 'card6');
  let plugId = $derived(usual);
  let socketId = $state('cpu8');
  let snapped = $state(false);
  let chosen = $state(0);
  let face = $state<View>('header face');
  const plug = $derived(plugIn(shopStore.shop, plugId));
  const socket = $derived(plugIn(shopStore.shop, socketId));
  const all = $derived(plug && socket ? matings(plug, socket, { snapped }) : []);
  const shown = $derived(all[Math.min(chosen, all.length - 1)]);
  const marks: Record<Verdict, MarkName> = {
    right: 'clear',
    partly: 'watch',
    unknown: 'watch',
    'does not fit': 'mend',
    wrong: 'stop',
    burns: 'stop',
  };
  const words: Record<Verdict, string> = {
    right: 'fits and is right',
    partly: 'fits in part',
    unknown: 'order not known',
    'does not fit': 'does not fit',
    wrong: 'fits and is wrong',
    burns: 'fits and burns',
  };
  const effects = (pin: 'plugPin' | 'socketPin') =>
    new Map<number, Effect>(shown?.contacts.map((each) => [each[pin], each.effect]));
  const allViews = Object.keys(views) as View[];

  async function open(file: File): Promise<void> {
    try {
      const plugs = readPlugs(await file.text());
      shopStore.edit(`plugs of ${file.name}`, keepPlugs(plugs));
      toast(`${plugs.length} plugs taken in.`);
    } catch (error) {
      if (!(error instanceof PlugFileError)) throw error;
      toast(`${file.name} was not taken in: ${error.message} Nothing was changed.`, 'stop');
    }
  }
</script>

<div class="pair">
  <div class="row">
    <PlugSelect label="plug" value={plugId} onpick={(id) => ((plugId = id), (chosen = 0))} />
    <PlugSelect label="socket" value={socketId} onpick={(id) => ((socketId = id), (chosen = 0))} />
    <Tick label="the plug's key has snapped off" bind:checked={snapped} />
    <Button
      onclick={() => (face = allViews[(allViews.indexOf(face) + 1) % allViews.length] ?? face)}
      >Turn it: {face}</Button
    >
  </div>
  {#if plug && socket}
    {#if all.length === 0}
      <p class="verdict">
        <Mark mark="mend" word size={24} /> does not fit: an adapter joins them.
      </p>
    {:else if shown}
      <div class="row" role="group" aria-label="How it sits">
        {#each all as each, i (each.placement?.how)}
          <Button onclick={() => (chosen = i)} aria-pressed={each === shown}>
            <Mark mark={marks[each.verdict]} size={18} />
            {each.placement?.how}{each.placement?.free ? '' : ', by force'}
          </Button>
        {/each}
      </div>
      <p class="verdict" aria-live="polite">
        <Mark mark={marks[shown.verdict]} word size={24} />
        {words[shown.verdict]}{shown.says.length > 0
          ? `: ${shown.says.slice(0, 4).join(', ')}`
          : ''}.
      </p>
    {/if}
    <div class="faces">
      <PlugFace {plug} whose="Plug" view={face} effects={effects('plugPin')} />
      <PlugFace plug={socket} whose="Socket" view={face} effects={effects('socketPin')} />
    </div>
  {/if}
  <h2>My plugs</h2>
  {#if shopStore.shop.plugs.length === 0}
    <p class="soft">None yet: what is found out at “What is this plug?” is kept here.</p>
  {:else}
    <ul>
      {#each shopStore.shop.plugs as own (own.id)}
        <li>
          <b>{own.name}</b>
          {own.rows}x{own.ways / own.rows}, {own.pins.filter((pin) => pin !== '?').length} of {own.ways}
          pins known
          <Button quiet onclick={() => ((plugId = own.id), (chosen = 0))}>Show</Button>
          {#if !plugInUse(shopStore.shop, own.id)}
            <Button quiet onclick={() => shopStore.edit(`${own.name} dropped`, dropPlug(own.id))}
              >Drop</Button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
  <p class="row">
    <Button
      disabled={shopStore.shop.plugs.length === 0}
      onclick={() =>
        saveFile('plugs.nutshell.json', writePlugs(shopStore.shop.plugs), 'application/json')}
      >Save my plugs</Button
    >
    <FilePick
      label="Take in plugs"
      accept=".json,application/json"
      onfiles={([file]) => file && void open(file)}
    />
    <Button onclick={onclose}>Back to the sums</Button>
  </p>
</div>

<style>
  .pair {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .row,
  .faces {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: end;
  }
  .faces {
    gap: 12px 40px;
    align-items: flex-start;
  }
  .verdict {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    font-size: 18px;
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
</style>
