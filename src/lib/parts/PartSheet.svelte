<script lang="ts">
  import { untrack } from 'svelte';
  import { editPart } from '$core/edits/edits.ts';
  import { recordFact } from '$lib/shop/recordFact.ts';
  import { lend, reserve, type LoanFields } from '$core/edits/ledgerEdits.ts';
  import { factOf, indexOf, numberOf, standingOf } from '$core/model/lookup/lookup.ts';
  import { isNumberKey, properties, type Property } from '$core/model/properties/index.ts';
  import { firstFigures } from '$core/plan/deciding.ts';
  import { kindName } from '$core/model/types/seats.ts';
  import {
    conditions,
    countOf,
    type Condition,
    type Loan,
    type Part,
  } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Dialog from '$lib/ui/Dialog.svelte';
  import MoneyField from '$lib/ui/MoneyField.svelte';
  import Button from '$lib/ui/Button.svelte';
  import { exportCards } from '$lib/files/exports.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { undoable } from '$lib/shop/undoable.ts';
  import { disputesOf } from '$core/cards/takeCards.ts';
  import { slotWords, valueWords } from '$core/merge/words.ts';
  import { endPartLoan } from '$core/edits/loanEdits.ts';
  import FactField from './FactField.svelte';
  import ServesAt from '$lib/parts/ServesAt.svelte';
  import LoanOpen from '$lib/parts/LoanOpen.svelte';
  import LoansPast from '$lib/parts/LoansPast.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import ServiceRecord from './ServiceRecord.svelte';
  import Photos from '$lib/photos/Photos.svelte';

  interface Props {
    partId: string;
    onclose: () => void;
  }
  const { partId, onclose }: Props = $props();
  const part = $derived(shopStore.shop.parts.find((each) => each.id === partId));
  const standing = $derived(part && standingOf(shopStore.shop, part));
  const model = $derived(
    part?.modelId ? indexOf(shopStore.shop).models.get(part.modelId) : undefined,
  );
  const twins = $derived(
    model ? shopStore.shop.parts.filter((each) => each.modelId === model.id).length : 0,
  );
  let onlyThis = $state(false);
  const currency = $derived(shopStore.shop.settings.currency);

  function source(key: string): string {
    const found = part && factOf(shopStore.shop, part, key);
    if (!found) return '';
    const { how, source: from } = found.fact;
    return [how, from, found.level === 'model' ? `model ${model?.name}` : '']
      .filter(Boolean)
      .join(', ');
  }

  /** What was known when the sheet was opened, and what is said first of its kind; the rest lies under More: a field that is emptied stays where it is. */
  const firstShown = untrack(
    () =>
      new Set<string>(
        part && [
          ...firstFigures[part.kind],
          ...properties[part.kind].flatMap(({ key }) =>
            factOf(shopStore.shop, part, key) ? key : [],
          ),
        ],
      ),
  );
  const shownOf = ({ kind }: Part) => properties[kind].filter(({ key }) => firstShown.has(key));
  const moreOf = ({ kind }: Part) => properties[kind].filter(({ key }) => !firstShown.has(key));

  /** What was lent is here again, what was borrowed is gone from here; the loan stays on record. */
  function isBack(words: string[]): void {
    void shopStore.edit('loan over', endPartLoan(partId, new Date().toISOString(), words));
    undoable(`${partId}: the loan is over.`);
  }

  /** Another way of loan, or none, or something more about it. */
  function setLoan(fields: LoanFields): void {
    void shopStore.edit('loan', lend(partId, fields), `loan ${partId}`);
  }
</script>

{#snippet fact(part: Part, property: Property)}
  {@const known = factOf(shopStore.shop, part, property.key)}
  <div>
    <FactField
      {property}
      fact={known?.fact}
      usual={isNumberKey(property.key) ? numberOf(shopStore.shop, part, property.key) : undefined}
      lengths={shopStore.shop.settings.unit}
      onfact={(value) => recordFact(part, property.key, value, { onlyThis })}
    />
    <small>{source(property.key)}</small>
  </div>
{/snippet}

{#if part && standing}
  <Dialog title="{part.id} · {part.name}" wide {onclose}>
    <p class="soft">
      {kindName(part.kind)}{standing.inheritedFrom
        ? `; condition and origin from ${standing.inheritedFrom.name} until it leaves it`
        : ''}
      {#if model}; one of {twins} of {model.name}, measured once{/if}
    </p>
    <div class="fields">
      <TextField
        label="Name"
        value={part.name}
        maxlength={120}
        oninput={(event) =>
          event.currentTarget.value.trim() &&
          shopStore.edit(
            'name',
            editPart(partId, { name: event.currentTarget.value }),
            `name ${partId}`,
          )}
      />
      <Select
        label="Condition"
        options={conditions}
        value={standing.condition}
        onchange={(event) =>
          shopStore.edit(
            'condition',
            editPart(partId, { condition: event.currentTarget.value as Condition }),
          )}
      />
      {#if part.kind === 'small'}
        <TextField
          short
          label="How many"
          value={String(countOf(part))}
          inputmode="numeric"
          maxlength={4}
          onchange={(event) => {
            const count = Number(event.currentTarget.value);
            if (Number.isInteger(count) && count >= 1)
              void shopStore.edit('how many', editPart(partId, { count }));
            else {
              toast(`${event.currentTarget.value} is no count: 1 to 9999.`, 'stop');
              event.currentTarget.value = String(countOf(part));
            }
          }}
        />
      {/if}
      <MoneyField
        label="Price"
        value={part.price}
        {currency}
        onmoney={(price) =>
          void shopStore.edit('price', editPart(partId, { price, priceTo: undefined }))}
      />
      {#if part.place === 'buy' && part.price}
        <MoneyField
          label="Or up to"
          value={part.priceTo === undefined
            ? undefined
            : { minor: part.priceTo, currency: part.price.currency }}
          currency={part.price.currency}
          onmoney={(most) =>
            void shopStore.edit('price up to', editPart(partId, { priceTo: most?.minor }))}
        />
      {/if}
      <MoneyField
        label="Value"
        value={part.worth}
        {currency}
        onmoney={(worth) => void shopStore.edit('value', editPart(partId, { worth }))}
      />
      <Select
        label="Kept for"
        options={shopStore.shop.jobs
          .filter((job) => !job.handedOver)
          .map((job) => ({ value: job.id, words: `${job.id} · ${job.name}` }))}
        none="nobody"
        value={part.reserved ?? ''}
        onchange={(event) =>
          shopStore.edit('kept for', reserve(partId, event.currentTarget.value || undefined))}
      />
      <Select
        label="Lent or borrowed"
        options={[
          { value: 'lent', words: 'lent' },
          { value: 'borrowed', words: 'borrowed' },
        ]}
        none="no"
        value={part.loan?.way ?? ''}
        onchange={(event) =>
          setLoan({ way: (event.currentTarget.value || undefined) as Loan['way'] | undefined })}
      />
      {#if part.loan}
        <div class="whole"><LoanOpen loan={part.loan} onset={setLoan} onback={isBack} /></div>
      {/if}
      {#each shownOf(part) as property (property.key)}{@render fact(part, property)}{/each}
    </div>
    <LoansPast loans={part.pastLoans} />
    <details>
      <summary>More, {moreOf(part).length}</summary>
      <div class="fields">
        {#each moreOf(part) as property (property.key)}{@render fact(part, property)}{/each}
      </div>
    </details>
    {#if model}
      <Tick label="What I measure now differs on this piece only" bind:checked={onlyThis} />
    {/if}
    {#if model}
      <p class="cards">
        <Photos place={{ modelId: model.id }} of={model.name} label="Photo for all of its kind" />
        <Button quiet onclick={() => void exportCards([model.id])}>Card of this model</Button>
        {#each model.cards ?? [] as card (card.from)}
          <span>
            shop {card.from}: {Object.keys(card.facts).length} facts{(card.minutes ?? [])
              .map(({ what, minutes }) => `; ${what} took ${minutes} min`)
              .join('')}{(card.faults ?? [])
              .map(({ symptom, cause }) => `; ${symptom}: ${cause}`)
              .join('')}
          </span>
        {/each}
      </p>
      {#each disputesOf(model) as each (each.key + each.from)}
        <p class="past">
          {slotWords(`facts.${each.key}`)}: shop {each.from} says
          {valueWords(each.said, `facts.${each.key}`)}; what is known here stands.
        </p>
      {/each}
    {/if}
    <Photos place={{ partId }} of={part.name} />
    <ServiceRecord {part} />
    <ServesAt {part} />
    <TextField
      wide
      label="Note"
      value={part.note ?? ''}
      maxlength={400}
      placeholder="lifted leg, cracked tab, how it was mended"
      oninput={(event) =>
        shopStore.edit(
          'note',
          editPart(partId, { note: event.currentTarget.value || undefined }),
          `note ${partId}`,
        )}
    />
  </Dialog>
{/if}

<style>
  .whole {
    grid-column: 1 / -1;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
    gap: 10px 18px;
    margin: 10px 0;
    align-items: start;
  }
  summary {
    display: flex;
    align-items: center;
    min-height: var(--target);
    font: 600 16px var(--face-head);
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
  .past,
  .cards {
    font-size: 15px;
  }
  .cards {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 16px;
    margin: 4px 0;
  }
  small {
    display: block;
    font-size: 13px;
  }
</style>
