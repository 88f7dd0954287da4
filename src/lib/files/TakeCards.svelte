<script lang="ts">
  import type { CardFile } from '$core/model/types/cardFile.ts';
  import { differencesOf, takeCards } from '$core/cards/takeCards.ts';
  import { slotWords, valueWords } from '$core/merge/words.ts';
  import { kindName } from '$core/model/types/seats.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { undoable } from '$lib/shop/undoable.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';

  interface Props {
    /** Name of the file and what was read from it. */
    file: string;
    cards: CardFile;
    onclose: () => void;
  }
  const { file, cards, onclose }: Props = $props();
  const differences = $derived(differencesOf(shopStore.shop, cards));
  const facts = $derived(cards.cards.reduce((n, card) => n + Object.keys(card.facts).length, 0));
  const nothingNew = $derived(takeCards(cards)(shopStore.shop) === shopStore.shop);
  const words = (key: string, fact: unknown) => valueWords(fact, `facts.${key}`);

  function take(): void {
    void shopStore.edit(`cards of ${cards.shop}`, takeCards(cards));
    undoable(`Taken in: ${cards.cards.length} of ${cards.shop}.`);
    onclose();
  }
</script>

<Dialog title="Model cards in {file}" wide {onclose}>
  <p>
    <b>{cards.shop}</b> says {facts}
    {facts === 1 ? 'thing' : 'things'} of {cards.cards.length}
    {cards.cards.length === 1 ? 'model' : 'models'}. It counts as typed by them; what you measured
    stays above it.
  </p>
  <ul>
    {#each cards.cards as card (card.id)}
      <li>
        <b>{card.name}</b>
        {card.kind === 'machine' ? 'machine' : kindName(card.kind)}, {Object.keys(card.facts)
          .length} facts
        {#each card.minutes ?? [] as job, n (n)}
          <small>{job.what}: {job.minutes} min</small>
        {/each}
        {#each card.faults ?? [] as fault, n (n)}
          <small>{fault.symptom}: {fault.cause}</small>
        {/each}
      </li>
    {/each}
  </ul>
  {#if differences.length > 0}
    <h3>Where it differs</h3>
    <table>
      <thead><tr><th>what</th><th>here</th><th>{cards.shop}</th></tr></thead>
      <tbody>
        {#each differences as each (`${each.modelId} ${each.key} ${each.hereFrom ?? ''}`)}
          <tr>
            <td>{slotWords(`facts.${each.key}`)} of {each.name}</td>
            <td class="figure"
              >{words(each.key, each.here)}{each.hereFrom ? `, shop ${each.hereFrom}` : ''}</td
            >
            <td class="figure"
              >{words(each.key, each.said)}{each.said.who ? ` by ${each.said.who}` : ''}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <p>
    {#if nothingNew}All of it is known here.
    {:else}<Button next onclick={take}>Take them in</Button>{/if}
  </p>
</Dialog>

<style>
  ul {
    max-height: calc(30vh / var(--zoom, 1));
    margin: 8px 0;
    padding: 0;
    overflow: auto;
    list-style: none;
  }
  li {
    padding: 2px 0;
  }
  small {
    display: block;
    padding-left: 14px;
    font-size: 14px;
    color: var(--ink-soft);
  }
  table {
    border-collapse: collapse;
    font-size: 15px;
  }
  th,
  td {
    padding: 4px 18px 4px 0;
    border-bottom: 1px solid var(--line);
    text-align: start;
  }
</style>
