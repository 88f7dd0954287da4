<script lang="ts">
  import { untrack } from 'svelte';
  import { newPart } from '$core/edits/edits.ts';
  import type { Facts } from '$core/model/types/fact.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { properties, type FactKey } from '$core/model/properties/index.ts';
  import { kindName, kindOfSeat } from '$core/model/types/seats.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { decidingFigures, withDraft } from '$core/plan/deciding.ts';
  import { parseMoney } from '$core/units/money.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import { dimensionOf } from '$lib/draw/dimension.ts';
  import { factFrom, type FactValue } from '$lib/shop/recordFact.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import FactField from './FactField.svelte';

  interface Props {
    job: Job;
    seat: string;
    stage: number;
    /** The part is on the shelf under this tag: it is to go into the seat. */
    onmade: (partId: string) => void;
    onback: () => void;
  }
  const { job, seat, stage, onmade, onback }: Props = $props();
  const kind = $derived(kindOfSeat(seat) ?? 'small');
  const unit = $derived(shopStore.shop.settings.unit);

  let name = $state('');
  let price = $state('');
  let place = $state<'shelf' | 'buy'>('shelf');
  let facts = $state.raw<Facts>({});
  let fault = $state('');
  let twin = $state('');
  let twinFault = $state('');
  /** The figure being typed: shown where it is taken. */
  let typing = $state<FactKey>();

  /* Asked once: what stands there does not move under the hand that types. */
  /* As it opens: a figure that was typed stays where it is. */
  const asked = untrack(() => decidingFigures(shopStore.shop, job, seat, stage));
  const all = $derived(properties[kind]);
  const now = $derived(asked.flatMap((key) => all.find((each) => each.key === key) ?? []));
  const more = $derived(all.filter(({ key }) => !asked.includes(key)));
  const same = $derived(shopStore.shop.parts.filter((part) => part.kind === kind));

  const draft = $derived(withDraft(shopStore.shop, job, seat, facts, stage));
  const cut = $derived(draft && caseCut(draft.plan));
  const line = $derived(
    draft && cut && typing ? dimensionOf(draft.plan, cut, { seat, kind, key: typing }) : undefined,
  );
  const lit = $derived(all.find(({ key }) => key === typing));

  function setKey(key: FactKey, value: FactValue | undefined): void {
    const next = { ...facts };
    if (value) next[key] = factFrom(kind, key, value);
    else delete next[key];
    facts = next;
  }

  /** Everything known of another part, its name too; what was typed before stands. */
  function copy(): void {
    twinFault = '';
    if (twin.trim() === '') return;
    const index = indexOf(shopStore.shop);
    const part = index.parts.get(twin.trim().toUpperCase());
    if (!part || part.kind !== kind) {
      twinFault = `No ${kindName(kind)} is called ${twin.trim()}.`;
      return;
    }
    const model = part.modelId ? index.models.get(part.modelId) : undefined;
    facts = { ...model?.facts, ...part.facts, ...facts };
    if (name.trim() === '') name = part.name;
  }

  async function add(): Promise<void> {
    const money =
      price.trim() === '' ? undefined : parseMoney(price, shopStore.shop.settings.currency);
    if (price.trim() !== '' && !money) {
      fault = 'The price is no amount: 12 or 12.50. Kept as typed.';
      return;
    }
    const made = newPart({
      kind,
      name: name.trim() || kindName(kind),
      facts,
      place,
      ...(money ? { price: money } : {}),
    });
    await shopStore.edit(`${name || kindName(kind)} added`, made.edit);
    onmade(made.tag());
  }
</script>

{#snippet field(property: (typeof all)[number])}
  <div onfocusin={() => (typing = property.key)}>
    <FactField
      {property}
      fact={facts[property.key]}
      lengths={unit}
      onfact={(value) => setKey(property.key, value)}
    />
  </div>
{/snippet}

<form
  onsubmit={(event) => {
    event.preventDefault();
    void add();
  }}
>
  <p class="soft">
    What decides in this job stands first. What is left empty is what its class usually measures.
  </p>
  <div class="sides">
    <div class="fields">
      {#each now as property (property.key)}{@render field(property)}{/each}
      <TextField label="Name" bind:value={name} maxlength={120} placeholder={kindName(kind)} />
      {#if same.length > 0}
        <TextField
          label="Same as"
          fault={twinFault}
          bind:value={twin}
          list="same-as"
          maxlength={20}
          placeholder="tag, as {same[0]?.id}"
          onchange={copy}
        />
        <datalist id="same-as">
          {#each same.slice(0, 200) as part (part.id)}<option value={part.id}>{part.name}</option
            >{/each}
        </datalist>
      {/if}
    </div>
    {#if cut}
      <figure>
        <CaseCut {cut} width={280} height={196} title="Where it is taken">
          {#snippet overlay({ scale, endX, top, left })}
            {#if line}
              {@const dx = line.section === 'end' ? endX : left}
              <path
                class="line"
                d="M{dx + line.x0 * scale} {top + line.y0 * scale}L{dx + line.x1 * scale} {top +
                  line.y1 * scale}"
              />
              <circle class="datum" cx={dx + line.x0 * scale} cy={top + line.y0 * scale} r="6" />
            {/if}
          {/snippet}
        </CaseCut>
        <figcaption aria-live="polite">
          {lit ? lit.ask : 'Each figure says here where it is taken.'}
          {#if line}<b>Measured from {line.datum}.</b>{/if}
        </figcaption>
      </figure>
    {/if}
  </div>
  <details>
    <summary>More, {more.length + 2}</summary>
    <div class="fields wide">
      <TextField
        label="Price"
        bind:value={price}
        inputmode="decimal"
        placeholder="?"
        maxlength={12}
      />
      <Select
        label="Where is it?"
        options={[
          { value: 'shelf', words: 'on the shelf' },
          { value: 'buy', words: 'to buy' },
        ]}
        bind:value={place}
      />
      {#each more as property (property.key)}{@render field(property)}{/each}
    </div>
  </details>
  <Fault text={fault} />
  <p class="end">
    <Button next type="submit">Put it in</Button>
    <Button quiet onclick={onback}>Back to the shelf</Button>
  </p>
</form>

<style>
  .sides {
    display: flex;
    flex-wrap: wrap;
    gap: 14px 24px;
    align-items: flex-start;
    margin-top: 10px;
  }
  .fields {
    display: grid;
    flex: 1 1 380px;
    grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
    gap: 12px 16px;
    align-items: end;
  }
  .wide {
    margin-top: 10px;
  }
  figure {
    flex: 0 1 284px;
    margin: 0;
  }
  figcaption {
    min-height: 3.6em;
    font-size: 15px;
  }
  .line {
    fill: none;
    stroke: var(--accent);
    stroke-width: 4;
  }
  .datum {
    fill: var(--accent);
  }
  details {
    margin-top: 14px;
    border-top: 1px dashed var(--line);
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
  /* In sight however far the rest is rolled. */
  .end {
    position: sticky;
    bottom: -18px;
    display: flex;
    gap: 10px;
    margin-top: 12px;
    padding: 10px 0 18px;
    background: var(--paper);
    border-top: 1px solid var(--line);
  }
</style>
