<script lang="ts">
  import type { BuzzedWire } from '$core/model/types/shapes.ts';
  import { recordFact, recordItems } from '$lib/shop/recordFact.ts';
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { partsOfKind, listAt, partOfKind, textAt, type Placed } from '$core/model/lookup/plan.ts';
  import { BuzzError, buzzed, modularLeads, orderFromLead, wiresOf } from '$core/plugs/leads.ts';
  import { seen, type Plug } from '$core/standards/plugs/index.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import PlugSelect from './PlugSelect.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { plan, onclose }: ViewProps = $props();
  const supply = $derived(partOfKind(plan, 'supply'));
  const leads = $derived(
    partsOfKind(plan, 'small').filter((each) => textAt(plan, each, 'belongsTo') !== undefined),
  );
  let at = $state(0);
  const lead = $derived(leads[at]);
  const finding = $derived(
    lead &&
      modularLeads(plan).find(({ about }) => about?.of === 'lead' && about.lead === lead.seat),
  );
  const load = $derived(lead && plugIn(shopStore.shop, textAt(plan, lead, 'plug')?.text ?? ''));
  const own = $derived(
    lead &&
      supply &&
      [supply.part.id, supply.part.modelId].includes(textAt(plan, lead, 'belongsTo')?.text),
  );
  const kept = $derived.by((): { wires: readonly BuzzedWire[]; fault?: string } => {
    try {
      return { wires: lead ? wiresOf(listAt(plan, lead, 'buzzed')?.items ?? []) : [] };
    } catch (error) {
      if (!(error instanceof BuzzError)) throw error;
      return { wires: [], fault: error.message };
    }
  });
  const order = $derived((supply && listAt(plan, supply, 'socketOrder')?.items) ?? []);
  /** Pins at the supply end: as many as the socket was counted to have, else as the load has. */
  let typed = $state<number>();
  /** What stands on its bag: a guess to begin with, put right beside the pins. */
  const onBag = $derived.by(() => {
    const said = Number(/(\d{1,2})[- ]?pin/i.exec(lead?.part.name ?? '')?.[1]);
    return said >= 2 && said <= 28 ? said : undefined;
  });
  const ways = $derived(
    typed ??
      Math.max(
        order.length,
        ...kept.wires.map(({ from }) => from),
        order.length > 0 ? 0 : (onBag ?? load?.ways ?? 0),
      ),
  );
  /** Sockets of PSUs stand in two rows but where they have an odd number of pins (common practice, no source). */
  const rows = $derived(ways % 2 === 0 && ways > 3 ? 2 : 1);
  /** Where a pin stands on the header's face, for a grid that counts from 1. */
  const placed = (plug: Pick<Plug, 'rows' | 'ways' | 'numbering'>, pin: number) => {
    const { col, row } = seen(plug, pin, 'header face');
    return `grid-area: ${row + 1} / ${col + 1}`;
  };
  /** The pin at the supply end under the probe. */
  let probe = $state(1);
  const done = $derived(new Set(kept.wires.map((wire) => wire.from)));
  /** The next pin not done, round about. */
  function next(): void {
    const order = Array.from({ length: ways }, (_, i) => ((probe + i) % ways) + 1);
    probe = order.find((pin) => !done.has(pin)) ?? (probe % ways) + 1;
  }
  const wire = $derived(kept.wires.find((each) => each.from === probe));
  let fault = $state('');

  function write(to: number[]): void {
    if (!lead) return;
    const heard = { from: probe, to };
    try {
      wiresOf(buzzed(kept.wires, heard));
    } catch (error) {
      if (!(error instanceof BuzzError)) throw error;
      fault = error.message;
      return;
    }
    fault = '';
    void recordItems(lead.part, 'buzzed', (items) => buzzed(items, heard), {
      onlyThis: true,
      label: `pin ${probe} of ${lead.part.name}`,
    });
  }

  /** A tap adds the pin to what beeps with the probe, or takes it off. */
  function tap(pin: number): void {
    const to = wire?.to ?? [];
    write(
      to.includes(pin) ? to.filter((each) => each !== pin) : [...to, pin].sort((a, b) => a - b),
    );
  }

  function carryOver(): void {
    if (!supply || !load) return;
    const order = orderFromLead(kept.wires, load, ways);
    void recordFact(supply.part, 'socketOrder', { items: order }, { how: 'measured' });
  }

  const name = (each: Placed) => each.part.name;
</script>

<div class="buzz">
  {#if !supply || leads.length === 0}
    <h2>No modular lead in the plan</h2>
    <p>
      Put a lead in as a small part at Intake and say which PSU it belongs to. A lead belongs to one
      PSU; on another it stays off until every wire has been buzzed out.
    </p>
  {:else if lead}
    <div class="row">
      {#each leads as each, i (each.seat)}
        <Button onclick={() => ((at = i), (probe = 1))} aria-pressed={i === at}>{name(each)}</Button
        >
      {/each}
    </div>
    {#if finding}
      <p class="verdict" aria-live="polite">
        <Mark mark={finding.mark} word size={24} />
        {finding.marginLabel}. {finding.say}
      </p>
    {/if}
    {#if kept.fault}<p role="alert">{kept.fault}</p>{/if}
    {#if load}
      <h2>Probe on pin {probe} at the PSU end. Which pins at the other end beep?</h2>
      <p class="soft">
        The lead unplugged at both ends. Pins are counted on the header's face: look into the PSU's
        socket, latch down, pin 1 top left.
      </p>
      <div class="ends">
        <div>
          <b>PSU end</b>
          <div class="pins">
            {#each Array.from({ length: ways }, (_, i) => i + 1) as pin (pin)}
              <button
                style={placed({ rows, ways, numbering: rows === 1 ? 'line' : 'rows' }, pin)}
                class:done={done.has(pin)}
                aria-pressed={pin === probe}
                aria-label="PSU end pin {pin}{order[pin - 1] && order[pin - 1] !== '?'
                  ? `, socket carries ${order[pin - 1]}`
                  : ''}"
                onclick={() => (probe = pin)}
                ><b>{pin}</b><small
                  >{kept.wires.find((each) => each.from === pin)?.to.join(' ') ?? ''}</small
                ><small>{order[pin - 1] ?? ''}</small></button
              >
            {/each}
          </div>
        </div>
        <div>
          <b>{load.name} end</b>
          <div class="pins">
            {#each load.pins as signal, i (i)}
              <button
                style={placed(load, i + 1)}
                class:on={wire?.to.includes(i + 1)}
                aria-pressed={wire?.to.includes(i + 1) ?? false}
                aria-label="other end pin {i + 1}, {signal}"
                onclick={() => tap(i + 1)}><b>{i + 1}</b><small>{signal}</small></button
              >
            {/each}
          </div>
        </div>
        <PlugFace plug={load} whose="Other end" />
      </div>
      <Fault text={fault} />
      <p class="row">
        <Button onclick={() => write([])}>None beeps</Button>
        <Button next onclick={next}>Next pin</Button>
        <TextField
          short
          label="pins at the PSU end"
          type="number"
          min="2"
          max="28"
          value={ways}
          onchange={(event) => {
            const said = event.currentTarget.valueAsNumber;
            if (said >= 2 && said <= 28) typed = Math.round(said);
          }}
        />
        {#if own}
          <Button onclick={carryOver}>This lead is its own: the socket carries what it wants</Button
          >
        {/if}
        <Button onclick={onclose}>Back to the sums</Button>
      </p>
    {:else}
      <div class="row">
        <PlugSelect
          label="which plug does it end in?"
          value=""
          groups={['main', 'processor', 'card', 'drive']}
          onpick={(id) => lead && recordFact(lead.part, 'plug', { text: id }, { onlyThis: true })}
        />
        <Button onclick={onclose}>Back to the sums</Button>
      </div>
    {/if}
  {/if}
  {#if leads.length === 0}<p><Button onclick={onclose}>Back to the sums</Button></p>{/if}
</div>

<style>
  .buzz {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .row,
  .ends {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: end;
  }
  .ends {
    gap: 12px 34px;
    align-items: flex-start;
  }
  .ends > div {
    min-width: 0;
    max-width: 100%;
  }
  .verdict {
    font-size: 18px;
  }
  /* The plug itself, in its own rows. */
  .pins {
    display: grid;
    grid-auto-columns: minmax(38px, 62px);
    justify-content: start;
    gap: 4px;
    width: fit-content;
    max-width: 100%;
    padding: 6px;
    overflow-x: auto;
    border: 2px solid var(--ink);
    background: var(--paper-deep);
  }
  .pins button {
    display: grid;
    min-width: 0;
    min-height: 58px;
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
  .pins button.on,
  .pins button[aria-pressed='true'] {
    border: 3px solid var(--accent);
  }
  .pins b {
    font: 600 16px var(--face-figure);
  }
  small {
    font-size: 12px;
  }
</style>
