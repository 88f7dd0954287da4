<script lang="ts">
  import { untrack } from 'svelte';
  import { addAdapter, keepPlugOf } from '$core/edits/plugEdits.ts';
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { partsOfKind, listAt, numberAt, partOfKind, textAt } from '$core/model/lookup/plan.ts';
  import { fanLayout } from '$core/plugs/fanLayout.ts';
  import { blockPins, fanRoles, frontRoles, suited, tappedTwice } from '$core/plugs/front.ts';
  import { plugTag } from '$core/plugs/identify/index.ts';
  import { alarms as alarmWords, endName } from '$core/plugs/adapter/index.ts';
  import { commonPractice } from '$core/standards/source.ts';
  import { plug as shelf, type Plug } from '$core/standards/plugs/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { AdapterSearch } from '$lib/plugs/adapterSearch.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import AdapterPicture from './AdapterPicture.svelte';
  import AdapterSheets from './AdapterSheets.svelte';
  import PlugSelect from './PlugSelect.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Select from '$lib/ui/Select.svelte';

  const { plan, view, onclose }: ViewProps = $props();
  const leads = $derived(partOfKind(plan, 'leads'));
  const board = $derived(partOfKind(plan, 'board'));
  const said = $derived((leads && textAt(plan, leads, 'frontPlug')?.text) ?? 'front10');
  const wanted = $derived((board && textAt(plan, board, 'frontHeader')?.text) ?? 'front10');
  let subject = $state<'front' | 'fan'>('front');
  let blockId = $derived(said);
  let headerId = $derived(wanted);
  let alarms = $state<'satisfy' | 'silence'>('satisfy');
  /** Pins found, by the name of what they do. */
  let found = $state<Record<string, number[]>>({});
  let role = $state(0);
  let lit = $state<number | undefined>();
  const joining = new AdapterSearch();
  $effect(() => () => joining.close());

  const roles = $derived(
    subject === 'front'
      ? frontRoles
      : fanRoles.map((each) => ({ name: each.name, signals: [each.signal], find: each.find })),
  );
  const base = $derived(plugIn(shopStore.shop, blockId));
  const open = $derived(base?.pins.includes('?') ?? false);
  const block = $derived.by((): Plug | undefined => {
    if (!base || !open) return base;
    const list = roles.flatMap((each) =>
      found[each.name] ? [{ signals: each.signals, pins: found[each.name] ?? [] }] : [],
    );
    return {
      ...base,
      id: `${base.id}-found`,
      source: commonPractice,
      pins: blockPins(base.ways, list, list.length > 0),
    };
  });
  const twice = $derived(
    tappedTwice(roles.map((each) => ({ ...each, pins: found[each.name] ?? [] }))),
  );
  const header = $derived(plugIn(shopStore.shop, headerId));
  const fit = $derived(block && header ? suited(block, header) : undefined);
  const ready = $derived(
    twice === undefined &&
      fit !== undefined &&
      header !== undefined &&
      fit.plug.pins.some((pin) => pin !== '?' && pin !== 'open'),
  );
  $effect(() => {
    if (!ready || !fit || !header) return;
    const spec = { gives: [fit.plug], takes: [header], alarms, awgs: [22, 24], lengthMm: 120 };
    untrack(() => void joining.ask(spec));
  });
  const recipe = $derived(ready ? joining.recipe : undefined);
  const current = $derived(roles[Math.min(role, roles.length - 1)]);
  const silenced = $derived(
    (header?.pins ?? []).flatMap((pin) => (alarmWords[pin] ? [alarmWords[pin].silenced] : [])),
  );

  function begin(next: 'front' | 'fan'): void {
    subject = next;
    found = {};
    role = 0;
    blockId = next === 'front' ? said : 'fan5';
    headerId = next === 'front' ? wanted : 'fan4';
  }

  function tap(pin: number): void {
    if (!current) return;
    const now = found[current.name] ?? [];
    const next = now.includes(pin)
      ? now.filter((each) => each !== pin)
      : [...now, pin].slice(-current.signals.length);
    found = { ...found, [current.name]: next };
    if (next.length === current.signals.length && role < roles.length - 1) role += 1;
  }

  function keep(): void {
    if (!block || !leads) return;
    const name = `front block of ${leads.part.name}`;
    const { rows, ways, pitchMm, pins } = block;
    const own = {
      id: plugTag(name),
      name,
      rows,
      ways,
      pitchMm,
      pins: [...pins],
      at: shopStore.now,
    };
    shopStore.edit(name, keepPlugOf(own, leads.part, 'frontPlug', shopStore.now));
    toast(`${name} is known now.`);
  }

  function finish(): void {
    if (!recipe || !view.job) return;
    const shown = {
      ...recipe,
      gives: base ? [base] : recipe.gives,
    };
    shopStore.edit('front adapter onto the shelf', addAdapter(shown, view.job.id, shopStore.now));
    toast('The adapter is a part now, not proved yet. Buzz it out before it goes on.');
  }

  const fans = $derived(
    partsOfKind(plan, 'fan').map((each) => ({
      name: `${each.part.name} (${each.part.id})`,
      amps: numberAt(plan, each, 'amps') ?? { lo: 0.1, hi: 0.3 },
    })),
  );
  const headers = $derived((board && listAt(plan, board, 'fanHeaders')?.items.length) ?? 2);
  const uses = $derived(fanLayout(headers, fans));
  const role_of = (pin: number) =>
    roles.find((each) => found[each.name]?.includes(pin))?.name ?? '';
</script>

<div class="front">
  <div class="row">
    <Button onclick={() => begin('front')} aria-pressed={subject === 'front'}>Front block</Button>
    <Button onclick={() => begin('fan')} aria-pressed={subject === 'fan'}>Fan</Button>
    <PlugSelect
      label={subject === 'front' ? "the case's block" : "the fan's plug"}
      value={blockId}
      groups={[subject === 'front' ? 'front' : 'fan']}
      onpick={(id) => ((blockId = id), (found = {}))}
    />
    <PlugSelect
      label="onto the board's header"
      value={headerId}
      groups={[subject === 'front' ? 'front' : 'fan']}
      onpick={(id) => (headerId = id)}
    />
    <Select
      label="alarms"
      options={[
        { value: 'satisfy', words: 'satisfy: tie the pin' },
        { value: 'silence', words: 'silence in the firmware' },
      ]}
      bind:value={alarms}
    />
  </div>
  {#if alarms === 'silence'}
    <p>
      <Mark mark="watch" word size={20} /> Silencing gives up what the board watches for{silenced.length >
      0
        ? `: ${silenced.join('; ')}`
        : ''}.
    </p>
  {/if}
  {#if open && base && current}
    <h2>{current.name}: {current.find}</h2>
    <p class="row" role="group" aria-label="What is looked for">
      {#each roles as each, i (each.name)}
        <Button onclick={() => (role = i)} aria-pressed={i === role}
          >{each.name}{found[each.name]?.length ? ` ${found[each.name]?.join('–')}` : ''}</Button
        >
      {/each}
    </p>
    <div
      class="pins rows-{base.rows}"
      role="group"
      aria-label="Pins of the {base.name}, header face"
    >
      {#each Array.from({ length: base.ways }, (_, i) => i + 1) as pin (pin)}
        <button
          class:on={found[current.name]?.includes(pin)}
          class:done={role_of(pin) !== ''}
          aria-label="pin {pin} {role_of(pin)}"
          onclick={() => tap(pin)}><b>{pin}</b><small>{role_of(pin)}</small></button
        >
      {/each}
    </div>
    {#if twice}<p role="alert"><Mark mark="stop" word size={20} /> {twice}</p>{/if}
    <p class="soft">
      Tap the pins in the order {current.signals.join(', ')}. What the block lacks is passed over.
    </p>
    {#if subject === 'front' && leads && ready}
      <p><Button onclick={keep}>Keep this block</Button></p>
    {/if}
  {/if}
  {#if joining.fault}<p role="alert">{joining.fault}</p>{/if}
  {#if recipe && fit}
    {#each fit.notes as note (note)}<p>
        <Mark mark="watch" word size={20} />
        {note}
      </p>{/each}
    {#each recipe.impossible as each, i (i)}
      <p role="alert">
        <Mark mark="stop" word size={20} />
        {each.end ? `${endName(each.end)}: ` : ''}{each.say}
      </p>
    {/each}
    {#if recipe.wires.length > 0}
      <AdapterPicture {recipe} {lit} onwire={(n) => (lit = n)} />
      <p class="row no-print">
        <Button next onclick={finish}>Onto the shelf</Button>
        <Button onclick={() => window.print()}>Print</Button>
        <Button onclick={onclose}>Back to the sums</Button>
      </p>
      <AdapterSheets {recipe} {lit} onwire={(n) => (lit = n)} />
    {/if}
  {/if}
  {#if subject === 'fan'}
    <h2>Fans of this plan on {headers} headers</h2>
    {#if uses.length === 0}<p>No fans in the plan.</p>{/if}
    <ul>
      {#each uses as use (use.header)}
        <li>
          <b>header {use.header}</b>
          {use.fans.join(', ')}, {use.by}: <span class="figure">{use.amps.hi.toFixed(2)} A</span>
          of {shelf('fan4')?.contactA ?? 1} A. {use.say}
        </li>
      {/each}
    </ul>
    <p class="soft">
      A fan the board does not expect raises an alert: a lower limit in the firmware silences it and
      gives up the warning when the fan stands still.
    </p>
  {/if}
  {#if !recipe}<p><Button onclick={onclose}>Back to the sums</Button></p>{/if}
</div>

<style>
  .front {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .pins {
    display: grid;
    grid-auto-flow: column;
    grid-template-rows: repeat(2, auto);
    gap: 4px;
    justify-content: start;
  }
  .pins.rows-1 {
    grid-template-rows: auto;
  }
  .pins button {
    display: grid;
    width: 76px;
    min-height: 54px;
    padding: 2px;
    border: 1.5px dashed var(--ink);
    border-radius: 3px;
    background: var(--tape);
    color: var(--ink);
  }
  .pins button.done {
    border-style: solid;
    background: var(--part-stays);
  }
  .pins button.on {
    border: 3px solid var(--accent);
  }
  .pins b {
    font: 600 16px var(--face-figure);
  }
  small {
    font-size: 11.5px;
    line-height: 1.05;
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
</style>
