<script lang="ts">
  import { editPart, setFact } from '$core/edits/edits.ts';
  import { factOf, indexOf, numberOf, standingOf } from '$core/model/lookup.ts';
  import { properties } from '$core/model/properties.ts';
  import { kindName } from '$core/model/seats.ts';
  import { conditions, type Condition } from '$core/model/types.ts';
  import { formatMoney, parseMoney } from '$core/units/money.ts';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import Dialog from '$lib/ui/Dialog.svelte';
  import FactField from './FactField.svelte';

  interface Props {
    partId: string;
    onclose: () => void;
  }
  const { partId, onclose }: Props = $props();
  const part = $derived(bench.shop.parts.find((each) => each.id === partId));
  const standing = $derived(part && standingOf(bench.shop, part));
  const model = $derived(part?.modelId ? indexOf(bench.shop).models.get(part.modelId) : undefined);
  const twins = $derived(
    model ? bench.shop.parts.filter((each) => each.modelId === model.id).length : 0,
  );
  let onlyThis = $state(false);
  let priceFault = $state('');

  function source(key: string): string {
    const found = part && factOf(bench.shop, part, key);
    if (!found) return '';
    const { how, source: from } = found.fact;
    return [how, from, found.level === 'model' ? `model ${model?.name}` : '']
      .filter(Boolean)
      .join(', ');
  }

  function setPrice(text: string): void {
    const money = text.trim() === '' ? undefined : parseMoney(text, bench.shop.settings.currency);
    priceFault = text.trim() !== '' && !money ? 'No amount: 12 or 12.50.' : '';
    if (!priceFault) bench.edit('price', editPart(partId, { price: money }), `price ${partId}`);
  }
</script>

{#if part && standing}
  <Dialog title="{part.id} · {part.name}" wide {onclose}>
    <p class="soft">
      {kindName(part.kind)}{standing.inheritedFrom
        ? `; condition and origin from ${standing.inheritedFrom.name} until it leaves it`
        : ''}
      {#if model}; one of {twins} of {model.name}, measured once{/if}
    </p>
    <div class="fields">
      <label
        >Name<input
          value={part.name}
          maxlength="120"
          oninput={(event) =>
            event.currentTarget.value.trim() &&
            bench.edit(
              'name',
              editPart(partId, { name: event.currentTarget.value }),
              `name ${partId}`,
            )}
        /></label
      >
      <label>
        Condition
        <select
          value={standing.condition}
          onchange={(event) =>
            bench.edit(
              'condition',
              editPart(partId, { condition: event.currentTarget.value as Condition }),
            )}
        >
          {#each conditions as condition (condition)}<option>{condition}</option>{/each}
        </select>
      </label>
      <label>
        Price
        <input
          inputmode="decimal"
          value={part.price ? formatMoney(part.price) : ''}
          placeholder="?"
          aria-invalid={priceFault !== ''}
          oninput={(event) => setPrice(event.currentTarget.value)}
        />
        {#if priceFault}<span class="fault" role="alert">{priceFault}</span>{/if}
      </label>
      {#each properties[part.kind] as property (property.key)}
        {@const known = factOf(bench.shop, part, property.key)}
        <div>
          <FactField
            {property}
            fact={known?.fact}
            usual={numberOf(bench.shop, part, property.key)}
            lengths={bench.shop.settings.unit}
            onfact={(fact) =>
              bench.edit(
                property.label,
                setFact(
                  partId,
                  property.key,
                  fact && { ...fact, at: bench.now },
                  model !== undefined && !onlyThis,
                ),
                `${partId} ${property.key}`,
              )}
          />
          <small>{source(property.key)}</small>
        </div>
      {/each}
    </div>
    {#if model}
      <label class="only"
        ><input type="checkbox" bind:checked={onlyThis} /> What I measure now differs on this piece only</label
      >
    {/if}
    <label class="note"
      >Note<input
        value={part.note ?? ''}
        maxlength="400"
        placeholder="lifted leg, cracked tab, how it was mended"
        oninput={(event) =>
          bench.edit(
            'note',
            editPart(partId, { note: event.currentTarget.value || undefined }),
            `note ${partId}`,
          )}
      /></label
    >
  </Dialog>
{/if}

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
    gap: 10px 18px;
    margin: 10px 0;
    align-items: start;
  }
  label {
    display: grid;
    font-size: 14px;
    color: var(--ink-soft);
  }
  input:not([type='checkbox']),
  select {
    height: var(--target);
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    padding: 0 8px;
    color: var(--ink);
    min-width: 0;
  }
  .only {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: var(--target);
  }
  .fault {
    color: var(--stop);
  }
  small {
    font-size: 13px;
    color: var(--ink-soft);
  }
</style>
