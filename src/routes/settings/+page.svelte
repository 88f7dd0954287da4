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
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
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
    <TextField
      wide
      label="Name"
      value={shopStore.shop.name}
      maxlength={200}
      oninput={(event) =>
        void shopStore.edit('name of the shop', renameShop(event.currentTarget.value), 'shop name')}
    />
    <TextField
      wide
      label="Contact, as it stands on prints"
      value={settings.contact ?? ''}
      maxlength={200}
      placeholder="street, phone, mail"
      oninput={(event) =>
        set('contact', { contact: event.currentTarget.value || undefined }, 'shop contact')}
    />
  </section>
  <section>
    <h2>Units and money</h2>
    <Select
      label="Lengths"
      options={[
        { value: 'mm', words: 'mm' },
        { value: 'in', words: 'inches' },
      ]}
      value={settings.unit}
      onchange={(event) =>
        set('unit of length', { unit: event.currentTarget.value as Settings['unit'] })}
    />
    <Select
      label="Temperatures"
      options={[
        { value: 'C', words: '°C' },
        { value: 'F', words: '°F' },
      ]}
      value={settings.degrees ?? 'C'}
      onchange={(event) =>
        set('unit of temperature', { degrees: event.currentTarget.value as 'C' | 'F' })}
    />
    <TextField
      short
      label="Currency"
      {fault}
      value={currency ?? settings.currency}
      maxlength={3}
      oninput={(event) => (currency = event.currentTarget.value)}
      onblur={setCurrency}
      onkeydown={(event) => event.key === 'Enter' && setCurrency()}
    />
    <MoneyField
      label="What an hour is worth"
      value={settings.anHour}
      currency={settings.currency}
      onmoney={(money) => void shopStore.edit('what an hour is worth', setHour(money))}
    />
    <Select
      label="Mains"
      options={[
        { value: '230', words: '230 V' },
        { value: '115', words: '115 V' },
      ]}
      value={String(settings.mains ?? 230)}
      onchange={(event) =>
        set('mains volts', { mains: event.currentTarget.value === '115' ? 115 : 230 })}
    />
    <Select
      label="Headroom kept on a PSU"
      options={shares.map((share) => ({
        value: String(share),
        words: `${Math.round(share * 100)} %`,
      }))}
      value={String(settings.headroom)}
      onchange={(event) => set('headroom', { headroom: Number(event.currentTarget.value) })}
    />
  </section>
  <section>
    <h2>Screen</h2>
    <Select
      label="Light"
      options={[
        { value: 'auto', words: 'as the machine' },
        { value: 'light', words: 'bright bench' },
        { value: 'dark', words: 'evening' },
      ]}
      value={settings.theme}
      onchange={(event) => set('light', { theme: event.currentTarget.value as Settings['theme'] })}
    />
    <Select
      label="Size of everything"
      options={sizes.map((size) => ({ value: String(size), words: `${size} %` }))}
      value={String(settings.textSize ?? 100)}
      onchange={(event) =>
        set('size', { textSize: Number(event.currentTarget.value) as Settings['textSize'] })}
    />
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
