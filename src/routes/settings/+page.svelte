<script lang="ts">
  import { resolve } from '$app/paths';
  import { editSettings, renameShop } from '$core/edits/edits.ts';
  import { setHour } from '$core/edits/ledgerEdits.ts';
  import type { Settings } from '$core/model/types/types.ts';
  import { isCurrency } from '$core/units/currency.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import WhichShop from '$lib/frame/WhichShop.svelte';
  import Copies from '$lib/files/Copies.svelte';
  import Field from '$lib/ui/Field.svelte';
  import MoneyField from '$lib/ui/MoneyField.svelte';

  const settings = $derived(shopStore.shop.settings);
  const set = (label: string, fields: Partial<Settings>, key?: string) =>
    void shopStore.edit(label, editSettings(fields), key);
  let currency = $state<string>();
  let fault = $state('');

  function setCurrency(): void {
    if (currency === undefined) return;
    const code = currency.trim().toUpperCase();
    fault = isCurrency(code) ? '' : 'Three letters: EUR, USD, GBP. Kept as typed.';
    if (fault) return;
    set('currency', { currency: code });
    currency = undefined;
  }
  const shares = [0, 0.1, 0.2, 0.3, 0.5, 1];
  const sizes = [100, 115, 130, 150] as const;
</script>

<svelte:head><title>Settings · Nutshell Swap</title></svelte:head>

<Stage title="Settings" subtitle="of this shop, in this browser and in its file">
  <section>
    <h2>Shop</h2>
    <Field wide label="Name"
      ><input
        value={shopStore.shop.name}
        maxlength="200"
        oninput={(event) =>
          void shopStore.edit(
            'name of the shop',
            renameShop(event.currentTarget.value),
            'shop name',
          )}
      /></Field
    >
    <Field wide label="Contact, as it stands on prints"
      ><input
        value={settings.contact ?? ''}
        maxlength="200"
        placeholder="street, phone, mail"
        oninput={(event) =>
          set('contact', { contact: event.currentTarget.value || undefined }, 'shop contact')}
      /></Field
    >
  </section>
  <section>
    <h2>Units and money</h2>
    <Field label="Lengths"
      ><select
        value={settings.unit}
        onchange={(event) =>
          set('unit of length', { unit: event.currentTarget.value as Settings['unit'] })}
        ><option value="mm">mm</option><option value="in">inches</option></select
      ></Field
    >
    <Field label="Temperatures"
      ><select
        value={settings.degrees ?? 'C'}
        onchange={(event) =>
          set('unit of temperature', { degrees: event.currentTarget.value as 'C' | 'F' })}
        ><option value="C">°C</option><option value="F">°F</option></select
      ></Field
    >
    <Field short label="Currency" {fault}
      ><input
        value={currency ?? settings.currency}
        maxlength="3"
        oninput={(event) => (currency = event.currentTarget.value)}
        onblur={setCurrency}
        onkeydown={(event) => event.key === 'Enter' && setCurrency()}
      /></Field
    >
    <MoneyField
      label="What an hour is worth"
      value={settings.anHour}
      currency={settings.currency}
      onmoney={(money) => void shopStore.edit('what an hour is worth', setHour(money))}
    />
    <Field label="Mains"
      ><select
        value={String(settings.mains ?? 230)}
        onchange={(event) =>
          set('mains volts', { mains: event.currentTarget.value === '115' ? 115 : 230 })}
        ><option value="230">230 V</option><option value="115">115 V</option></select
      ></Field
    >
    <Field label="Headroom kept on a PSU"
      ><select
        value={String(settings.headroom)}
        onchange={(event) => set('headroom', { headroom: Number(event.currentTarget.value) })}
        >{#each shares as share (share)}<option value={String(share)}
            >{Math.round(share * 100)} %</option
          >{/each}</select
      ></Field
    >
  </section>
  <section>
    <h2>Screen</h2>
    <Field label="Light"
      ><select
        value={settings.theme}
        onchange={(event) =>
          set('light', { theme: event.currentTarget.value as Settings['theme'] })}
        ><option value="auto">as the machine</option><option value="light">bright bench</option
        ><option value="dark">evening</option></select
      ></Field
    >
    <Field label="Size of everything"
      ><select
        value={String(settings.textSize ?? 100)}
        onchange={(event) =>
          set('size', { textSize: Number(event.currentTarget.value) as Settings['textSize'] })}
        >{#each sizes as size (size)}<option value={String(size)}>{size} %</option>{/each}</select
      ></Field
    >
  </section>
  <Copies />
  <WhichShop />
  <p><a href={resolve('/')}>Back to the bench</a></p>
</Stage>
<Tape title="Settings">
  <p class="hint">
    Every change is kept at once and can be undone. Amounts keep the currency they were typed in;
    rates of others are set in the book. The headroom is what you keep free of a PSU's label at full
    load: it decides between Clear and Watch in Watts.
  </p>
</Tape>

<style>
  section {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 20px;
    align-items: flex-start;
    max-width: 760px;
    padding: 12px 0 16px;
    border-bottom: 1px dashed var(--line);
  }
  h2 {
    flex-basis: 100%;
    font: 600 20px var(--face-head);
  }
  .hint {
    padding: 12px 14px 12px 19px;
    font-size: 15px;
  }
</style>
