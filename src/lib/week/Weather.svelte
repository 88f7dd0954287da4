<script lang="ts">
  import { editWorkshop } from '$core/edits/weekEdits.ts';
  import { badWeather } from '$core/finish/climate.ts';
  import type { Workshop } from '$core/model/types/types.ts';
  import { celsius, degreesField, say, sign } from '$lib/shop/units.svelte.ts';
  import { dateText } from '$lib/ui/dates.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';

  const { workshop }: { workshop: Workshop } = $props();
  /** The coming days, each with what somebody said of it. */
  const coming = $derived(
    Array.from({ length: 6 }, (_, i) => {
      const at = new Date(Date.parse(shopStore.now) + i * 86_400_000).toISOString();
      const day = dateText(at, 'day');
      return {
        at,
        day,
        name: i === 0 ? 'today' : dateText(at, 'dayShort'),
        said: workshop.weather?.find((each) => dateText(each.day, 'day') === day),
      };
    }),
  );
  let weather = $state<Record<string, string | undefined>>({});
  const range = { roomC: [-20, 50], humidity: [1, 100] } as const;
  /** °C or percent of what is typed. */
  function figureOf(which: 'roomC' | 'humidity', text: string): number {
    const value = Number(text.replace('−', '-').replace(',', '.'));
    return which === 'roomC' ? celsius(value) : value;
  }
  function faultAt(which: 'roomC' | 'humidity', text: string | undefined): string {
    if (text === undefined || text.trim() === '') return '';
    const value = figureOf(which, text);
    const [lo, hi] = range[which];
    if (value >= lo && value <= hi) return '';
    return which === 'roomC' ? say(`${lo} to ${hi} °C`) : `${lo} to ${hi} %`;
  }
  function takeWeather(each: (typeof coming)[number], which: 'roomC' | 'humidity'): void {
    const text = weather[each.day + which];
    if (text === undefined || faultAt(which, text) !== '') return;
    weather[each.day + which] = undefined;
    const value = text.trim() === '' ? undefined : figureOf(which, text);
    const said = { ...each.said, day: each.said?.day ?? each.at, [which]: value };
    const others = (workshop.weather ?? []).filter((other) => other !== each.said);
    const past = new Date(Date.parse(shopStore.now) - 86_400_000).toISOString();
    const next = [
      ...others.filter((other) => other.day > past),
      ...(said.roomC === undefined && said.humidity === undefined ? [] : [said]),
    ];
    void shopStore.edit(
      'the coming days',
      editWorkshop(workshop, { weather: next }),
      'workshop weather',
    );
  }
</script>

<table>
  <caption>Where you spray, the coming days</caption>
  <thead>
    <tr
      ><td></td>
      {#each coming as { day, name } (day)}<th scope="col">{name}</th>{/each}</tr
    >
  </thead>
  <tbody>
    {#each ['roomC', 'humidity'] as const as which (which)}
      <tr>
        <th scope="row">{which === 'roomC' ? sign() : '% humidity'}</th>
        {#each coming as each (each.day)}
          {@const key = each.day + which}
          <td
            ><input
              value={weather[key] ??
                (which === 'roomC' ? degreesField(each.said?.roomC) : (each.said?.humidity ?? ''))}
              aria-label="{which === 'roomC' ? sign() : '% humidity'}, {each.name}"
              aria-invalid={faultAt(which, weather[key]) !== ''}
              title={faultAt(which, weather[key])}
              inputmode="decimal"
              maxlength={5}
              oninput={(event) => (weather[key] = event.currentTarget.value)}
              onchange={() => takeWeather(each, which)}
            /></td
          >
        {/each}
      </tr>
    {/each}
    <tr class="verdict"
      ><td></td>
      {#each coming as each (each.day)}<td
          >{each.said && badWeather(each.said) ? 'no paint' : ''}</td
        >{/each}</tr
    >
  </tbody>
</table>

<style>
  table input {
    width: 56px;
    min-height: var(--target);
    text-align: right;
  }
  table input[aria-invalid='true'] {
    outline: 2px solid var(--stop);
  }
  caption,
  th {
    text-align: left;
    font-weight: 600;
  }
  .verdict {
    color: var(--stop);
  }
</style>
