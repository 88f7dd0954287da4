<script lang="ts">
  import { addTwins } from '$core/edits/partEdits.ts';
  import type { Facts } from '$core/model/types/fact.ts';
  import { properties, type FactKey } from '$core/model/properties/index.ts';
  import { kindName } from '$core/model/types/seats.ts';
  import { kinds, type Kind } from '$core/model/types/types.ts';
  import { firstFigures } from '$core/plan/deciding.ts';
  import { parseMoney } from '$core/units/money.ts';
  import FactField from '$lib/parts/FactField.svelte';
  import { factFrom } from '$lib/shop/recordFact.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    onclose: () => void;
    /** The tag of the first one added. */
    onadded: (id: string) => void;
  }
  const { onclose, onadded }: Props = $props();
  let kind = $state<Kind>('card');
  let name = $state('');
  let where = $state('');
  let price = $state('');
  let count = $state('1');
  let facts = $state.raw<Facts>({});
  let fault = $state('');
  /* A dialog of its own for every part: nothing typed for one kind is kept for another. */
  const asked = $derived(
    firstFigures[kind].flatMap((key) => properties[kind].find((each) => each.key === key) ?? []),
  );
  const { currency, unit } = $derived(shopStore.shop.settings);
  const MOST = 200;

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const money = price.trim() === '' ? undefined : parseMoney(price, currency);
    const pieces = Number(count);
    if (price.trim() !== '' && !money)
      fault = 'The price is no amount: 12 or 12.50. Kept as typed.';
    else if (!Number.isInteger(pieces) || pieces < 1 || pieces > MOST)
      fault = `How many: 1 to ${MOST}. Kept as typed.`;
    else fault = '';
    if (fault) return;
    /* Small parts lie in a drawer under one tag. */
    const together = kind === 'small' && pieces > 1;
    const made = addTwins(
      {
        ...(together && { count: pieces }),
        kind,
        name: name.trim() || kindName(kind),
        facts,
        place: 'shelf',
        ...(where.trim() && { where: where.trim() }),
        ...(money && { price: money }),
      },
      together ? 1 : pieces,
    );
    await shopStore.edit(`${name || kindName(kind)} added`, made.edit);
    onadded(made.tag());
  }
  function setKey(key: FactKey, value: Parameters<typeof factFrom>[2] | undefined): void {
    const next = { ...facts };
    if (value) next[key] = factFrom(kind, key, value);
    else delete next[key];
    facts = next;
  }
</script>

<Dialog title="Add to the shelf" wide {onclose}>
  <form onsubmit={add}>
    <div class="row">
      <Select
        label="Kind"
        options={kinds.map((each) => ({ value: each, words: kindName(each) }))}
        value={kind}
        onchange={(event) => {
          kind = event.currentTarget.value as Kind;
          facts = {};
        }}
      />
      <TextField wide label="Name" bind:value={name} maxlength={120} />
      <TextField short label="How many" bind:value={count} inputmode="numeric" />
      <TextField label="Where it lies" bind:value={where} maxlength={60} />
      <TextField short label="Price each" bind:value={price} inputmode="decimal" />
    </div>
    <div class="row">
      {#key kind}
        {#each asked as property (property.key)}
          <FactField
            {property}
            fact={facts[property.key]}
            lengths={unit}
            onfact={(value) => setKey(property.key, value)}
          />
        {/each}
      {/key}
    </div>
    <Fault text={fault} />
    <p class="row"><Button type="submit" next>Add</Button></p>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 12px;
  }
</style>
