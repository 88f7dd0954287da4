<script lang="ts">
  import { formatLength } from '$core/units/length.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { applyRemedy } from '$core/edits/edits.ts';
  import { area as areaShape, type Area } from '$core/model/types/shapes.ts';
  import { sameContent } from '$core/shop/items.ts';
  import { recordItems } from '$lib/shop/recordFact.ts';
  import { nextPort, shifted, standardOpening } from '$core/fit/pickPort.ts';
  import { readArea, rearPorts } from '$core/fit/rear.ts';
  import { portViews } from '$core/model/lookup/portViews.ts';
  import { portKinds } from '$core/standards/ports.ts';
  import { listAt, partOfKind, type Placed, type Plan } from '$core/model/lookup/plan.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { saveFile } from '$lib/files/save.ts';
  import Button from '$lib/ui/Button.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    plan: Plan;
    view: JobView;
    onclose: () => void;
  }
  const { plan, view, onclose }: Props = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  const length = (mm: number) => formatLength(mm, lengths);
  const board = $derived(partOfKind(plan, 'board'));
  const shell = $derived(partOfKind(plan, 'case'));
  const ports = $derived((board && listAt(plan, board, 'ports')?.items) ?? []);
  const openings = $derived((shell && listAt(plan, shell, 'openings')?.items) ?? []);
  const views = $derived(portViews(ports, openings));
  const finding = $derived(rearPorts(plan)[0]);
  const reach = $derived(Math.max(170, ...[...ports, ...openings].map((each) => each.x1)) + 6);
  const awaited = standardOpening();
  const SCALE = 3.6;
  const HEIGHT = 52;
  let typed = $state({ ports: '', openings: '' });
  let fault = $state({ ports: '', openings: '' });

  function add(key: 'ports' | 'openings', placed: Placed | undefined): void {
    if (!placed || typed[key].trim() === '') return;
    try {
      const added = readArea(typed[key]);
      void recordItems(placed.part, key, (items) => [...items, added]);
      typed[key] = '';
      fault[key] = '';
    } catch (error) {
      fault[key] = `${(error as Error).message}. Kept as typed.`;
    }
  }

  /** A picked one is added as it stands; the figures are moved afterwards. */
  const picked = (
    key: 'ports' | 'openings',
    placed: Placed | undefined,
    make: (have: readonly Area[]) => Area,
  ) =>
    placed &&
    void recordItems(placed.part, key, (items: readonly Area[]) => [...items, make(items)]);

  /** One area along the rear by so many mm. */
  const move = (key: 'ports' | 'openings', placed: Placed | undefined, area: Area, byMm: number) =>
    placed &&
    void recordItems(placed.part, key, (items: readonly Area[]) =>
      items.map((each) => (sameContent(each, area) ? shifted(each, byMm) : each)),
    );

  const cuts = $derived(views.flatMap((each) => each.cut ?? []));
  const cutLines = $derived(
    cuts.map(
      (cut) =>
        `${cut.name}: from ${length(cut.x0)} to ${length(cut.x1)} across, ${length(cut.y0)} to ${length(cut.y1)} up`,
    ),
  );
</script>

<div class="rear">
  <p class="soft">
    The rear wall seen from inside, true to scale. Across from the board's edge at the port end, up
    from the board's surface, in {lengths === 'mm' ? 'mm' : 'inches'}.
  </p>
  <svg
    viewBox="-6 -4 {reach * SCALE + 12} {HEIGHT * SCALE + 26}"
    role="img"
    aria-label="Ports of the board over the cut-outs of the rear wall, to scale"
  >
    <rect class="wall" x="0" y="0" width={reach * SCALE} height={HEIGHT * SCALE} />
    {#each openings as area (areaShape.write(area))}
      <rect
        class="opening"
        x={area.x0 * SCALE}
        y={(HEIGHT - area.y1 - 6) * SCALE}
        width={(area.x1 - area.x0) * SCALE}
        height={(area.y1 - area.y0) * SCALE}
      />
    {/each}
    {#if openings.length === 0 && views.length === 0}
      <!-- What will stand here, until somebody says what does. -->
      <rect
        class="to-come"
        x={awaited.x0 * SCALE}
        y={(HEIGHT - awaited.y1 - 6) * SCALE}
        width={(awaited.x1 - awaited.x0) * SCALE}
        height={(awaited.y1 - awaited.y0) * SCALE}
      />
      <text x={((awaited.x0 + awaited.x1) / 2) * SCALE} y={(HEIGHT / 2) * SCALE}
        >ports and cut-out stand here: tap the first port below, from the port end</text
      >
    {/if}
    <path class="board" d="M0 {(HEIGHT - 6) * SCALE}H{reach * SCALE}" />
    {#each views as { port, blockedMm } (areaShape.write(port))}
      <rect
        class="port"
        class:blocked={blockedMm > 0}
        x={port.x0 * SCALE}
        y={(HEIGHT - port.y1 - 6) * SCALE}
        width={(port.x1 - port.x0) * SCALE}
        height={(port.y1 - port.y0) * SCALE}
      />
      <text x={((port.x0 + port.x1) / 2) * SCALE} y={(HEIGHT - port.y1 - 6) * SCALE - 4}
        >{port.name}</text
      >
      {#if blockedMm > 0}
        <text class="over" x={((port.x0 + port.x1) / 2) * SCALE} y={HEIGHT * SCALE + 16}
          >{blockedMm.toFixed(1)} behind metal</text
        >
      {/if}
    {/each}
  </svg>
  <div class="lists">
    {#each [{ key: 'ports' as const, label: 'Ports of the board', placed: board, have: ports, hint: 'HDMI 20-38 2-12' }, { key: 'openings' as const, label: 'Cut-outs of the case', placed: shell, have: openings, hint: 'window 4-160 0-42' }] as list (list.key)}
      <section>
        <h2>{list.label}</h2>
        <p class="picks" role="group" aria-label="{list.label}: pick one">
          {#if list.key === 'ports'}
            {#each portKinds as kind (kind.name)}
              <button onclick={() => picked('ports', board, (have) => nextPort(have, kind))}
                >{kind.name}</button
              >
            {/each}
          {:else}
            <button onclick={() => picked('openings', shell, standardOpening)}
              >Standard opening</button
            >
          {/if}
        </p>
        <ul>
          {#each list.have as area, i (areaShape.write(area) + i)}
            <li>
              <span class="figure">{areaShape.write(area)}</span>
              <span class="nudge">
                {#each [-5, -1, 1, 5] as by (by)}
                  <button
                    aria-label="{area.name} {length(Math.abs(by))} to the {by < 0
                      ? 'left'
                      : 'right'}"
                    onclick={() => move(list.key, list.placed, area, by)}
                    title={length(Math.abs(by))}
                    >{by < 0 ? '−' : '+'}{lengths === 'mm'
                      ? Math.abs(by)
                      : length(Math.abs(by)).replace(/ ?in$/, '')}</button
                  >
                {/each}
              </span>
              <button
                class="drop"
                aria-label="Drop {area.name}"
                onclick={() =>
                  list.placed &&
                  recordItems(list.placed.part, list.key, (items) => {
                    const at = items.findIndex((each) => sameContent(each, area));
                    return at < 0 ? items : items.toSpliced(at, 1);
                  })}>Drop</button
              >
            </li>
          {/each}
        </ul>
        <form onsubmit={(event) => (event.preventDefault(), add(list.key, list.placed))}>
          <TextField
            unseen
            wide
            label="{list.label}: name, from-to across, from-to up"
            placeholder={list.hint}
            bind:value={typed[list.key]}
            fault={fault[list.key]}
          />
          <Button type="submit">Add</Button>
        </form>
      </section>
    {/each}
    {#if cutLines.length > 0}
      <section>
        <h2>To cut</h2>
        <ol>
          {#each cutLines as line (line)}<li class="figure">{line}</li>{/each}
        </ol>
        <Button onclick={() => saveFile('cut-list.txt', `${cutLines.join('\n')}\n`, 'text/plain')}
          >Cut list</Button
        >
      </section>
    {/if}
  </div>
  {#if finding && finding.mark !== 'clear'}
    <Remedies
      {finding}
      remedies={finding.remedies}
      units={{ unit: lengths }}
      ontake={(remedy) =>
        view.job && shopStore.edit(remedy.title, applyRemedy(view.job.id, remedy))}
    />
  {:else if finding}<p>{spoken(finding.say, shopStore.shop.settings)}</p>{/if}
  <p><Button onclick={onclose}>Back to the case</Button></p>
</div>

<style>
  .to-come {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.5;
    stroke-dasharray: 6 5;
  }
  svg {
    display: block;
    width: 100%;
    max-height: 270px;
    margin: 8px 0;
  }
  .wall {
    fill: var(--part-goes);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .opening {
    fill: var(--tape);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .board {
    stroke: var(--ink);
    stroke-width: 5;
  }
  .port {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
  .port.blocked {
    stroke: var(--stop);
    stroke-width: 3;
  }
  svg text {
    fill: var(--ink);
    font: 600 14px var(--face-head);
    text-anchor: middle;
  }
  svg text.over {
    fill: var(--stop);
  }
  .lists {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 28px;
  }
  section {
    flex: 1 1 350px;
  }
  h2 {
    font: 600 17px var(--face-head);
  }
  ul,
  ol {
    margin: 4px 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    gap: 10px;
    justify-content: space-between;
    align-items: center;
    min-height: 32px;
  }
  .picks {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 4px 0;
  }
  .picks button,
  .nudge button {
    min-width: 40px;
    min-height: 36px;
    padding: 0 8px;
    border: 1px solid var(--line);
    background: none;
    color: var(--ink);
    font: 500 15px var(--face-head);
  }
  .nudge {
    display: flex;
    gap: 2px;
    margin-left: auto;
  }
  .nudge button {
    min-width: 32px;
    min-height: 32px;
    padding: 0 4px;
    font: 13px var(--face-figure);
  }
  li .figure {
    font-size: 15px;
    white-space: nowrap;
  }
  .drop {
    white-space: nowrap;
    border: 0;
    background: none;
    color: var(--ink-soft);
    text-decoration: underline;
  }
  form {
    display: flex;
    gap: 8px;
  }
</style>
