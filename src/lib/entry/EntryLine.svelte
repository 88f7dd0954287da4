<script lang="ts">
  import { tick } from 'svelte';
  import { understand } from '$core/quick/understand.ts';
  import { lengthsIn } from '$core/units/length.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { standingOf } from '$core/model/lookup/lookup.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Gap from '$lib/ui/Gap.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { act, litQuestion, seatFor } from './act.ts';
  import { listenForScans } from './scanner.ts';

  interface Props {
    view: JobView | undefined;
  }
  const { view }: Props = $props();
  let text = $state('');
  let input = $state<HTMLInputElement>();
  const lit = $derived(litQuestion(view));
  const understood = $derived(understand(shopStore.shop, text, lit));
  const say = $derived.by(() => {
    if (understood.kind === 'nothing') return understood.say;
    if (understood.kind === 'sum') return `${understood.say} · Enter keeps it`;
    if (understood.kind === 'part') {
      if (uiState.laying !== undefined)
        return `${understood.say} · Enter lays it in ${uiState.laying}`;
      const seat = seatFor(understood.partId, view);
      return seat ? `${understood.say} · Enter puts it in as ${seatName(seat)}` : understood.say;
    }
    if (understood.kind === 'find') return understood.say;
    return `${understood.say} · Enter`;
  });
  const hint = $derived(
    uiState.laying !== undefined
      ? `scan parts into ${uiState.laying} · done`
      : lit
        ? lengthsIn(lit.ask, shopStore.shop.settings.unit)
        : view?.job
          ? '267 in 247 · scan a tag · done'
          : '267 in 247 · 12 V 20 A · fan 92 · job Name becomes goal',
  );

  export function focus(): void {
    void tick().then(() => {
      input?.focus();
      input?.select();
    });
  }

  /** A scan does at once what it means; what it does not is shown here to be mended. */
  function scanned(scan: string): void {
    const meant = understand(shopStore.shop, scan, lit);
    if (meant.kind !== 'nothing' && meant.kind !== 'find') {
      act(meant, view);
      return;
    }
    if (document.querySelector('dialog[open]')) toast(`${scan}: ${meant.say}`);
    text = scan;
    focus();
  }
  function into(typed: string): void {
    text = typed;
    void tick().then(() => {
      input?.focus();
      input?.setSelectionRange(typed.length, typed.length);
    });
  }
  const codes: readonly string[] = ['word', 'part', 'move', 'place'];
  $effect(() =>
    listenForScans({
      onscan: scanned,
      onloose: into,
      isCode: (scan) => codes.includes(understand(shopStore.shop, scan).kind),
    }),
  );

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (act(understood, view) && understood.kind !== 'find') text = '';
  }
</script>

<form class="entry" onsubmit={submit} role="search">
  <kbd aria-hidden="true">/</kbd>
  <input
    bind:this={input}
    bind:value={text}
    data-entry
    type="text"
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
    maxlength="200"
    placeholder={hint}
    aria-label="Entry line: a sum, a tag, a search"
    aria-describedby="entry-say"
    onkeydown={(event) => {
      if (event.key === 'Escape') {
        text = '';
        input?.blur();
      }
    }}
  />
  <output id="entry-say" class="say" aria-live="polite">{say}</output>
  {#if understood.kind === 'sum' && understood.finding.margin}
    <div class="drop sum">
      <Mark mark={understood.finding.mark} word />
      <Gap finding={understood.finding} width={260} height={22} />
      <b class="figure">{understood.say}</b>
      <span>{lengthsIn(understood.finding.say, shopStore.shop.settings.unit)}</span>
    </div>
  {:else if understood.kind === 'sum'}
    <div class="drop sum">
      <Mark mark={understood.finding.mark} word />
      <b class="figure">{understood.say}</b>
      <span
        >{lengthsIn(
          `${understood.finding.marginLabel}. ${understood.finding.say}`,
          shopStore.shop.settings.unit,
        )}</span
      >
    </div>
  {:else if understood.kind === 'find' && understood.parts.length > 0}
    <ul class="drop" aria-label="Found on the shelf">
      {#each understood.parts.slice(0, 8) as part (part.id)}
        <li>
          <button type="button" onclick={() => (text = part.id)}>
            <b class="figure">{part.id}</b>
            <span>{part.name}</span>
            <small
              >{part.where ? `shelf ${part.where}` : part.place}, {standingOf(shopStore.shop, part)
                .condition}</small
            >
          </button>
        </li>
      {/each}
    </ul>
  {/if}
</form>

<svelte:window
  onkeydown={(event) => {
    const target = event.target as HTMLElement;
    if (
      event.key !== '/' ||
      event.ctrlKey ||
      event.metaKey ||
      target.matches('input, textarea, select')
    )
      return;
    event.preventDefault();
    focus();
  }}
/>

<style>
  .entry {
    position: relative;
    display: flex;
    align-items: center;
    gap: 10px;
    flex: 1;
    min-width: 0;
    height: 46px;
    padding: 0 12px;
    background: var(--mat-deep);
    border: 1px solid var(--mat-soft);
    border-radius: 3px;
    color: var(--mat-ink);
  }
  .entry:focus-within {
    border-color: var(--accent);
    outline: 2px solid var(--accent);
  }
  kbd {
    border: 1px solid var(--mat-soft);
    border-radius: 3px;
    padding: 0 6px;
    font: 15px var(--face-figure);
  }
  input {
    flex: 1;
    min-width: 60px;
    height: 100%;
    padding: 0;
    border: 0;
    background: none;
    outline: none;
    font: 18px var(--face-figure);
  }
  input::placeholder {
    color: var(--mat-soft);
    opacity: 1;
    font-size: 15px;
  }
  .say {
    max-width: 60%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font-size: 15px;
    color: var(--mat-ink);
  }
  .drop {
    position: absolute;
    z-index: 30;
    top: 100%;
    left: 0;
    right: 0;
    margin: 4px 0 0;
    padding: 10px 14px;
    background: var(--tape);
    color: var(--ink);
    border: 1px solid var(--line);
    box-shadow: 0 6px 18px rgb(0 0 0 / 25%);
  }
  .sum {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 14px;
  }
  .sum b {
    font-size: 20px;
  }
  .sum span {
    flex-basis: 100%;
  }
  ul.drop {
    list-style: none;
    padding: 4px;
  }
  li button {
    display: grid;
    grid-template-columns: 64px 1fr auto;
    gap: 10px;
    align-items: baseline;
    width: 100%;
    min-height: 40px;
    padding: 4px 10px;
    border: 0;
    background: none;
    text-align: left;
  }
  li button:hover,
  li button:focus-visible {
    background: var(--tape-lit);
  }
  @media (max-width: 600px) {
    .say {
      display: none;
    }
  }
</style>
