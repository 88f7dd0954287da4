<script lang="ts">
  import { editWorkshop } from '$core/edits/weekEdits.ts';
  import { resources, type Resource } from '$core/model/types/finishTypes.ts';
  import type { Workshop } from '$core/model/types/types.ts';
  import { formatHours } from '$core/units/duration.ts';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Weather from './Weather.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  const { workshop }: { workshop: Workshop } = $props();
  const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
  const numberOf = (i: number) => (i + 1) % 7;
  let typed = $state<Partial<Record<'people' | 'opens' | 'closes' | 'rack', string | undefined>>>(
    {},
  );

  const set = (what: string, fields: Partial<Workshop>) =>
    void shopStore.edit(`the shop’s ${what}`, editWorkshop(workshop, fields), `workshop ${what}`);

  /** Minutes after midnight of `9`, `9:30`, `18.00`; undefined where it is no time. */
  function clockIn(text: string): number | undefined {
    const [, h = '', m = '0'] = /^(\d{1,2})(?:[:.](\d\d))?$/.exec(text.trim()) ?? [];
    const minutes = h === '' ? NaN : Number(h) * 60 + Number(m);
    return minutes <= 1440 && Number(m) < 60 ? minutes : undefined;
  }
  function faultOf(which: 'opens' | 'closes'): string {
    const text = typed[which];
    if (text === undefined) return '';
    const minutes = clockIn(text);
    if (minutes === undefined) return '9, 9:30';
    const opens = which === 'opens' ? minutes : workshop.opens;
    const closes = which === 'closes' ? minutes : workshop.closes;
    return closes > opens ? '' : 'closes before it opens';
  }
  function takeClock(which: 'opens' | 'closes', text: string): void {
    typed[which] = text;
    const minutes = clockIn(text);
    if (minutes !== undefined && faultOf(which) === '') set('hours', { [which]: minutes });
  }
  function takePeople(text: string): void {
    typed.people = text;
    const people = text
      .split(',')
      .map((name) => name.trim())
      .filter(Boolean);
    if (people.length > 0) set('people', { people: [...new Set(people)].slice(0, 40) });
  }
  function toggleDay(day: number, on: boolean): void {
    const off = on ? workshop.off.filter((each) => each !== day) : [...workshop.off, day];
    if (off.length < 7) set('days', { off });
  }
  const countOf = (place: Resource) => workshop.places.filter((each) => each === place).length;
  const MOST = 4;
  const setCount = (place: Resource, count: number) =>
    set('places', {
      places: [
        ...workshop.places.filter((each) => each !== place),
        ...new Array<Resource>(count).fill(place),
      ],
    });
  const rackFault = $derived(
    typed.rack !== undefined && typed.rack !== '' && !/^\d{1,3}$/.test(typed.rack)
      ? 'a count, or empty'
      : '',
  );
  function takeRack(): void {
    if (typed.rack === undefined || rackFault) return;
    set('rack', { rack: typed.rack === '' ? undefined : Number(typed.rack) });
    typed.rack = undefined;
  }
</script>

<section class="no-print" aria-label="Hours and hands of the shop">
  <TextField
    label="Who works here"
    wide
    fault={typed.people?.trim() === '' ? 'somebody must' : ''}
    value={typed.people ?? workshop.people.join(', ')}
    maxlength={400}
    oninput={(event) => takePeople(event.currentTarget.value)}
    onblur={() => typed.people?.trim() && (typed.people = undefined)}
  />
  {#each ['opens', 'closes'] as const as which (which)}
    <TextField
      label={which === 'opens' ? 'Opens' : 'Closes'}
      short
      fault={faultOf(which)}
      value={typed[which] ?? formatHours(workshop[which])}
      maxlength={5}
      oninput={(event) => takeClock(which, event.currentTarget.value)}
      onblur={() => faultOf(which) === '' && (typed[which] = undefined)}
    />
  {/each}
  <fieldset>
    <legend>Works on</legend>
    {#each days as name, i (name)}
      <Tick
        label={name}
        checked={!workshop.off.includes(numberOf(i))}
        onchange={(event) => toggleDay(numberOf(i), event.currentTarget.checked)}
      />
    {/each}
  </fieldset>
  <fieldset>
    <legend>Has</legend>
    {#each resources as place (place)}
      <label
        ><select
          value={countOf(place)}
          onchange={(event) => setCount(place, Number(event.currentTarget.value))}
          >{#each Array.from({ length: MOST + 1 }, (_, i) => i) as count (count)}
            <option value={count}>{count === 0 ? 'no' : count}</option>
          {/each}</select
        >{place}</label
      >
    {/each}
    <Tick
      label="oven and printer may run alone"
      checked={workshop.overnight}
      onchange={(event) => set('nights', { overnight: event.currentTarget.checked })}
    />
  </fieldset>
  <TextField
    label="Drying rack holds"
    short
    fault={rackFault}
    value={typed.rack ?? workshop.rack ?? ''}
    inputmode="numeric"
    maxlength={3}
    placeholder="any"
    oninput={(event) => (typed.rack = event.currentTarget.value.trim())}
    onchange={takeRack}
  />
  {#if workshop.places.includes('paint place')}<Weather {workshop} />{/if}
</section>

<style>
  section {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-start;
    gap: 8px 16px;
    padding: 8px 12px 12px;
    margin-bottom: 10px;
    background: var(--tape);
    border: 1px dashed var(--line);
  }
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    border: 0;
    padding: 0;
    margin: 0;
  }
  label {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: var(--target);
  }
</style>
