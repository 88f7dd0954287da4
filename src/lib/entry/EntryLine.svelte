<script lang="ts">
  import { clockOf, dateText } from '$lib/ui/dates.ts';
  import { tick } from 'svelte';
  import ScanBarcode from '@lucide/svelte/icons/scan-barcode';
  import type { Understood } from '$core/quick/line/understood.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { litQuestion, seatFor } from './lit.ts';
  import { hasCamera } from './hasCamera.ts';
  import { listenForScans } from './scanner.ts';

  interface Props {
    view: JobView | undefined;
  }
  const { view }: Props = $props();
  let text = $state('');
  let input = $state<HTMLInputElement>();
  const lit = $derived(litQuestion(view));
  const place = $derived({
    property: lit?.property,
    plan: view?.plan,
    clock: clockOf(shopStore.now),
  });
  type Reader = typeof import('$core/quick/understand.ts') & typeof import('./act.ts');
  let understand = $state.raw<Reader['understand']>();
  let reader: Promise<Reader> | undefined;
  /** What reads a line and does it comes once the page stands and has nothing else to do, or as soon as somebody types. */
  const loaded = (): Promise<Reader> =>
    (reader ??= Promise.all([import('$core/quick/understand.ts'), import('./act.ts')]).then(
      ([reads, acts]) => {
        understand = reads.understand;
        return { ...reads, ...acts };
      },
    ));
  $effect(() => {
    if (!shopStore.ready) return;
    const soon = window.requestIdleCallback ?? ((work: () => void) => window.setTimeout(work, 200));
    soon(() => void loaded());
  });
  const understood = $derived<Understood>(
    understand?.(shopStore.shop, text, place) ?? { kind: 'nothing', text, say: '' },
  );
  const say = $derived.by(() => {
    if (understood.kind === 'nothing') return understood.say;
    if (understood.kind === 'checked') return understood.say;
    if (understood.kind === 'told') return `${understood.say} · Enter opens it`;
    if (understood.kind === 'plugs') return `${understood.say} · Enter opens Plugs`;
    if (understood.kind === 'sum') return `${understood.say} · Enter keeps it`;
    if (understood.kind === 'part') {
      if (uiState.laying !== undefined)
        return `${understood.say} · Enter lays it in ${uiState.laying}`;
      const seat = seatFor(understood.partId, view);
      return seat ? `${understood.say} · Enter puts it in as ${seatName(seat)}` : understood.say;
    }
    if (understood.kind === 'find')
      return understood.parts.length === 1 ? `${understood.say} · Enter opens it` : understood.say;
    const when =
      understood.kind === 'wait'
        ? `, until ${dateText(understood.until, 'dayTime')}`
        : understood.kind === 'due'
          ? ` ${dateText(understood.due, 'day')}`
          : understood.kind === 'deadline' && understood.deadline
            ? `, ${dateText(understood.deadline, 'dayTime')}`
            : '';
    return `${understood.say}${when} · Enter`;
  });
  const hint = $derived(
    uiState.laying !== undefined
      ? `scan parts into ${uiState.laying} · done`
      : lit
        ? spoken(lit.ask, shopStore.shop.settings)
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

  const codes: readonly string[] = ['word', 'part', 'move', 'place'];
  const atOnce: readonly string[] = [...codes, 'answer', 'job'];

  /** A scan does at once what it means; what it does not is shown here to be mended. */
  async function scanned(scan: string): Promise<void> {
    const { understand: read, act } = await loaded();
    const meant = read(shopStore.shop, scan, place);
    if (atOnce.includes(meant.kind)) {
      act(meant, view);
      return;
    }
    if (document.querySelector('dialog[open]')) toast(`${scan}: ${meant.say}`);
    text = scan;
    focus();
  }
  /** What the camera reads is done as a scanner's; what means nothing here closes it, so that it can be mended. */
  function byCamera(code: string): void {
    const kind = understand?.(shopStore.shop, code, place).kind;
    if (!atOnce.includes(kind ?? '')) uiState.scanning = false;
    void scanned(code);
  }
  function into(typed: string): void {
    text = typed;
    void tick().then(() => {
      input?.focus();
      input?.setSelectionRange(typed.length, typed.length);
    });
  }
  $effect(() =>
    listenForScans({
      onscan: (scan) => void scanned(scan),
      onloose: into,
      isCode: (scan) => {
        const among = (read: Reader['understand']) =>
          codes.includes(read(shopStore.shop, scan).kind);
        return understand ? among(understand) : loaded().then((reads) => among(reads.understand));
      },
    }),
  );

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { act } = await loaded();
    if (act(understood, view)) text = '';
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
    maxlength={200}
    placeholder={hint}
    aria-label="Entry line: a sum, a tag, a search"
    aria-describedby="entry-say"
    onfocus={() => void loaded()}
    onkeydown={(event) => {
      if (event.key === 'Escape') {
        text = '';
        input?.blur();
      }
    }}
  />
  {#if hasCamera()}
    <button
      type="button"
      class="scan"
      title="Scan a label with the camera"
      aria-label="Scan a label with the camera"
      onclick={() => (uiState.scanning = true)}><ScanBarcode size={22} /></button
    >
  {/if}
  <output id="entry-say" class="say" aria-live="polite">{say}</output>
  {#if text.trim() !== ''}
    {#await import('./Answer.svelte') then { default: Answer }}
      <Answer {understood} {view} ontry={(line) => into(line)} ondone={() => (text = '')} />
    {/await}
  {/if}
</form>

{#if uiState.scanning}
  {#await import('./CameraScan.svelte') then { default: CameraScan }}
    <CameraScan onscan={byCamera} onclose={() => (uiState.scanning = false)} />
  {/await}
{/if}

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
  .scan {
    display: none;
    flex: none;
    place-items: center;
    width: var(--target);
    height: var(--target);
    border: 0;
    background: none;
    color: var(--mat-ink);
  }
  /* Where fingers are the pointer a camera is at hand. */
  @media (pointer: coarse), (max-width: 37.5em) {
    .scan {
      display: grid;
    }
  }
  .say {
    max-width: 60%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font-size: 15px;
    color: var(--mat-ink);
  }
  @media (max-width: 37.5em) {
    .entry {
      flex: 1 0 100%;
    }
    .say {
      display: none;
    }
    kbd {
      display: none;
    }
  }
</style>
