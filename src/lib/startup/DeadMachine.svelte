<script lang="ts">
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { beginDead } from '$core/edits/beginEdits.ts';
  import { byHand, feedsSeen, type FeedSeen } from '$core/intake/byHand.ts';
  import { kindName } from '$core/model/types/seats.ts';
  import type { Kind } from '$core/model/types/types.ts';
  import { symptoms, type Symptom } from '$core/startup/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Front from '$lib/draw/Front.svelte';
  import { usualOutside } from '$lib/draw/sizes.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  const shells = ['tower', 'mini tower', 'slim', 'micro', 'custom case'] as const;
  /** What a machine does that will not start; what it does later is asked at Power-up. */
  const seen: readonly Symptom[] = ['nothing', 'picture', 'loops', 'beeps', 'seconds'];
  const SCALE = 0.2;
  const FLOOR = 92;

  let shell = $state<string>();
  let feed = $state<FeedSeen>();
  let symptom = $state<Symptom>();
  let inside = $state<Record<string, boolean>>({
    processor: true,
    memory: true,
    drive: true,
    card: false,
  });
  const kinds = $derived((Object.keys(inside) as Kind[]).filter((kind) => inside[kind]));
  const left = $derived(
    [shell ? '' : 'what it is', symptom ? '' : 'what it does'].filter((each) => each !== ''),
  );

  async function begin(): Promise<void> {
    if (!shell || !symptom) return;
    const inventory = byHand({
      name: `Dead ${shell}`,
      shell,
      feed,
      inside: kinds.includes('processor') ? [...kinds, 'cooler'] : kinds,
    });
    const made = beginDead(inventory, symptom, new Date().toISOString());
    await shopStore.edit(`new job: ${inventory.name ?? ''}`, made.edit);
    uiState.dialog = undefined;
    await goto(resolve('/job/[id]/[station]', { id: made.tag(), station: 'power-up' }));
  }
</script>

<Dialog title="A machine that is dead" wide onclose={() => (uiState.dialog = undefined)}>
  <fieldset>
    <legend>What is it?</legend>
    <div class="row">
      {#each shells as each (each)}
        {@const outside = usualOutside(each)}
        <button aria-pressed={shell === each} onclick={() => (shell = each)}>
          <svg width={outside.w * SCALE + 8} height={FLOOR + 4} aria-hidden="true"
            ><Front {outside} x={4} floor={FLOOR} scale={SCALE} /></svg
          >
          <span>{each}</span>
        </button>
      {/each}
    </div>
  </fieldset>
  <fieldset>
    <legend>What feeds it?</legend>
    <div class="row">
      {#each feedsSeen as each (each)}
        <button
          aria-pressed={feed === each}
          onclick={() => (feed = feed === each ? undefined : each)}>{each}</button
        >
      {/each}
      <button aria-pressed={feed === undefined} onclick={() => (feed = undefined)}
        >not seen yet</button
      >
    </div>
  </fieldset>
  <fieldset>
    <legend>In it</legend>
    <div class="row">
      {#each Object.keys(inside) as Kind[] as kind (kind)}
        <Tick
          label={kindName(kind)}
          checked={inside[kind] ?? false}
          onchange={(event) => (inside[kind] = event.currentTarget.checked)}
        />
      {/each}
    </div>
  </fieldset>
  <fieldset>
    <legend>What does it do when it is switched on?</legend>
    <div class="row">
      {#each seen as each (each)}
        <button aria-pressed={symptom === each} onclick={() => (symptom = each)}
          >{symptoms[each]}</button
        >
      {/each}
    </div>
  </fieldset>
  <p class="end">
    <Button next disabled={left.length > 0} onclick={() => void begin()}>Find the fault</Button>
    <span class="soft"
      >{left.length > 0
        ? `Say ${left.join(' and ')}.`
        : 'The rest is typical until you measure it.'}</span
    >
  </p>
</Dialog>

<style>
  fieldset {
    margin: 0 0 14px;
    padding: 0;
    border: 0;
  }
  legend {
    margin-bottom: 6px;
    font: 600 17px var(--face-head);
  }
  button {
    display: grid;
    align-content: end;
    justify-items: center;
    gap: 4px;
    min-height: var(--target);
    padding: 6px 12px;
    border: 1.5px solid var(--ink);
    background: none;
    color: var(--ink);
  }
  button[aria-pressed='true'] {
    background: var(--tape-lit);
    box-shadow: inset 0 -4px 0 var(--accent);
  }
  .end {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
  }
</style>
