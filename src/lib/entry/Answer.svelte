<script lang="ts">
  import { standingOf } from '$core/model/lookup/lookup.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import type { Part } from '$core/model/types/types.ts';
  import type { Understood } from '$core/quick/line/understood.ts';
  import { plug } from '$core/standards/plugs/index.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import Gap from '$lib/ui/Gap.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { show, unitWord } from '$lib/ui/figures.ts';
  import { act } from './act.ts';
  import { seatFor } from './lit.ts';

  interface Props {
    /** What the entry line makes of what stands in it. */
    understood: Understood;
    view: JobView | undefined;
    /** A guess was tapped: it is to stand in the line. */
    ontry: (line: string) => void;
    /** Something was done: the line is empty again. */
    ondone: () => void;
  }
  const { understood, view, ontry, ondone }: Props = $props();
  const MOST = 8;

  function open(part: Part): void {
    uiState.sheet = part.id;
    ondone();
  }
  function put(part: Part): void {
    act({ kind: 'part', text: part.id, say: '', partId: part.id }, view);
    ondone();
  }
  const lies = (part: Part): string =>
    part.where ? `shelf ${part.where}` : part.place === 'machine' ? 'in a machine' : part.place;
</script>

{#snippet row(part: Part)}
  {@const seat = part.place === 'machine' ? undefined : seatFor(part.id, view)}
  <li>
    <button type="button" class="open" onclick={() => open(part)}>
      <b class="figure">{part.id}</b>
      <span>{part.name}</span>
      <small>{lies(part)}, {standingOf(shopStore.shop, part).condition}</small>
    </button>
    {#if seat && view?.job}
      <button type="button" class="put" onclick={() => put(part)}>Put in as {seatName(seat)}</button
      >
    {/if}
  </li>
{/snippet}

{#if understood.kind === 'sum' || understood.kind === 'checked'}
  {@const { finding } = understood}
  <div class="drop sum">
    <Mark mark={finding.mark} word />
    {#if finding.margin}
      <Gap {finding} width={260} height={22} />
      <b class="figure"
        >{understood.kind === 'sum'
          ? understood.say
          : `${finding.marginLabel} ${show(finding.margin, finding.unit, shopStore.shop.settings)} ${unitWord(finding.unit, shopStore.shop.settings)}`}</b
      >
      <span>{finding.title}. {spoken(finding.say, shopStore.shop.settings)}</span>
    {:else}
      <b class="figure">{understood.kind === 'sum' ? understood.say : finding.marginLabel}</b>
      <span
        >{understood.kind === 'sum' && finding.marginLabel !== understood.say
          ? spoken(`${finding.marginLabel}. `, shopStore.shop.settings)
          : ''}{spoken(finding.say, shopStore.shop.settings)}</span
      >
    {/if}
  </div>
{:else if understood.kind === 'find' && understood.parts.length > 0}
  <ul class="drop" aria-label="Found on the shelf">
    {#each understood.parts.slice(0, MOST) as part (part.id)}{@render row(part)}{/each}
    {#if understood.parts.length > MOST}
      <li class="more">
        and {understood.parts.length - MOST} more: a word or a figure more finds fewer
      </li>
    {/if}
  </ul>
{:else if understood.kind === 'part' || understood.kind === 'told'}
  {@const part = shopStore.shop.parts.find((each) => each.id === understood.partId)}
  {#if part}
    <ul class="drop" aria-label="The part">
      {#if understood.kind === 'told'}<li class="told">{understood.say}</li>{/if}
      {@render row(part)}
    </ul>
  {/if}
{:else if understood.kind === 'plugs'}
  <div class="drop faces">
    {#each understood.plugs.slice(0, 4) as id, i (i)}
      <PlugFace
        plug={plug(id)}
        whose={understood.to ? (i === 0 ? 'from' : 'to') : ''}
        scale={4.5}
      />
    {/each}
  </div>
{:else if understood.kind === 'nothing' && (understood.guesses?.length ?? 0) > 0}
  <p class="drop guesses">
    <span>Did you mean</span>
    {#each understood.guesses ?? [] as guess (guess)}
      <button type="button" class="figure" onclick={() => ontry(guess)}>{guess}</button>
    {/each}
  </p>
{/if}

<style>
  .drop {
    position: absolute;
    z-index: 30;
    top: 100%;
    left: 0;
    right: 0;
    max-height: min(70vh / var(--zoom, 1), 520px);
    margin: 4px 0 0;
    padding: 10px 14px;
    overflow: auto;
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
    padding: 4px;
    list-style: none;
  }
  li {
    display: flex;
    gap: 8px;
  }
  .told {
    padding: 8px 10px;
    font-weight: 700;
  }
  .more {
    padding: 8px 10px;
    color: var(--ink-soft);
    font-size: 14px;
  }
  .open {
    display: grid;
    flex: 1;
    grid-template-columns: 72px 1fr auto;
    gap: 10px;
    align-items: baseline;
    min-width: 0;
    min-height: var(--target);
    padding: 4px 10px;
    border: 0;
    background: none;
    text-align: left;
  }
  .put {
    min-height: var(--target);
    padding: 4px 12px;
    border: 1.5px solid var(--ink);
    background: none;
    white-space: nowrap;
  }
  li button:hover,
  li button:focus-visible,
  .guesses button:hover {
    background: var(--tape-lit);
  }
  .faces {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 24px;
  }
  .guesses {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .guesses button {
    min-height: var(--target);
    padding: 4px 12px;
    border: 1.5px solid var(--ink);
    background: none;
  }
  @media (max-width: 37.5em) {
    /* Above the keyboard of a phone, which takes half of it. */
    .drop {
      left: -4px;
      right: -4px;
      max-height: calc(40vh / var(--zoom, 1));
    }
    li {
      flex-wrap: wrap;
    }
    .put {
      margin: 0 10px 6px;
    }
    .open {
      flex-basis: 100%;
      grid-template-columns: 56px 1fr;
    }
    .open small {
      grid-column: 2;
    }
  }
</style>
