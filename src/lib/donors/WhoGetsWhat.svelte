<script lang="ts">
  import { linkHorizontal } from 'd3';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { dropChange, putPart } from '$core/edits/edits.ts';
  import { indexOf } from '$core/model/lookup.ts';
  import type { Finding } from '$core/findings/finding.ts';
  import { one } from '$core/model/plan.ts';
  import { kindName, seatName } from '$core/model/seats.ts';
  import { stageName } from '$core/model/stages.ts';
  import type { Part } from '$core/model/types.ts';
  import type { Service } from '$core/plan/candidatesFor.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { BUY, movedBetween, SHELF, strandsOf, type Strand } from '$core/plan/strands.ts';
  import { wantedBy } from '$core/plan/wanted.ts';
  import Front from '$lib/draw/Front.svelte';
  import { outsideOf } from '$lib/draw/sizes.ts';
  import PartSheet from '$lib/intake/PartSheet.svelte';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Gap from '$lib/ui/Gap.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { show } from '$lib/ui/figures.ts';
  import { Judge } from './judge.svelte.ts';
  import Services from './Services.svelte';
  import { strandsPicture, type Ribbon } from './strandsPicture.ts';

  const { view }: { view: JobView } = $props();
  /* Columns in px: sources, the air the strands cross, jobs. */
  const [W, LEFT, RIGHT] = [784, 244, 490];
  const SCALE = 0.085;
  const crossing = $derived(strandsOf(bench.shop, view.job?.id));
  const picture = $derived(
    strandsPicture(crossing, view.job?.id, (id) => {
      const machine = sources.get(id)?.machine;
      return machine?.state === 'donor' ? spare(machine.seats).length : 0;
    }),
  );
  const goals = $derived(new Map(crossing.goals.map((goal) => [goal.job.id, goal])));
  const sources = $derived(new Map(crossing.sources.map((source) => [source.id, source])));
  const moved = $derived(
    bench.before
      ? new Map(movedBetween(bench.before, bench.shop).map((each) => [each.jobId, each]))
      : new Map<string, never>(),
  );
  const link = linkHorizontal<unknown, [number, number]>();
  let chosen = $state.raw<Strand | undefined>();
  let held = $state.raw<Part | undefined>();
  let showing = $state<string | undefined>();
  const judge = new Judge();
  $effect(() => () => judge.close());

  const still = $derived(
    chosen &&
      bench.shop.jobs.some(
        (job) =>
          job.id === chosen?.to && job.changes.some((change) => change.partId === chosen?.part.id),
      )
      ? chosen
      : undefined,
  );
  /** Parts of a donor nobody has planned. */
  function spare(seats: readonly { seat: string; partId: string }[]) {
    return seats.flatMap(({ seat, partId }) => {
      const part = indexOf(bench.shop).parts.get(partId);
      return part && !wantedBy(bench.shop).has(partId) ? [{ seat, part }] : [];
    });
  }
  const nameOf = (id: string) =>
    sources.get(id)?.machine?.name ?? (id === SHELF ? 'the shelf' : id === BUY ? 'to buy' : id);

  function choose(strand: Strand): void {
    held = undefined;
    chosen = still?.part.id === strand.part.id && still.to === strand.to ? undefined : strand;
  }

  function hold(part: Part): void {
    chosen = undefined;
    held = held?.id === part.id ? undefined : part;
    if (held) void judge.askPart(bench.shop, held);
  }

  function takeOff(strand: Strand): void {
    bench.edit(
      `${strand.part.id} off job ${strand.to}`,
      dropChange(strand.to, strand.seat, strand.part.id, strand.stage),
    );
  }

  function putOn({ jobId, seat, part }: Service): void {
    bench.edit(`${part.id} as ${seatName(seat)} of job ${jobId}`, putPart(jobId, seat, part.id));
    held = undefined;
  }

  function label(ribbon: Ribbon): string {
    const [strand] = ribbon.strands;
    if (ribbon.single && strand) return `${strand.part.id} ${seatName(strand.seat)}`;
    return ribbon.strands.map((each) => seatName(each.seat)).join(', ');
  }
  /** What is left at worst, to whole units. */
  const least = ({ rest, unit }: Finding) =>
    rest
      ? show({ lo: Math.round(rest.lo), hi: Math.round(rest.lo) }, unit, bench.shop.settings.unit)
      : '';
  const clip = (text: string, most: number) =>
    text.length > most ? `${text.slice(0, most - 1)}…` : text;
</script>

<div class="picture">
  <svg viewBox="0 0 {W} {picture.height}" role="group" aria-label="Strands from donors to jobs">
    {#each picture.ribbons as ribbon (ribbon.key)}
      {@const [first] = ribbon.strands}
      {@const mine = first?.to === view.job?.id}
      {@const trouble = ribbon.strands.find((each) => each.trouble)?.trouble}
      <!-- svelte-ignore a11y_click_events_have_key_events (each strand is reached by its row, too) -->
      <!-- svelte-ignore a11y_no_static_element_interactions -->
      <path
        class="strand {trouble?.mark ?? ''}"
        class:mine
        class:chosen={still !== undefined && ribbon.strands.includes(still)}
        d={link({
          source: [LEFT, ribbon.y0],
          target: [RIGHT, ribbon.y1],
        }) ?? ''}
        stroke-width={ribbon.width}
        onclick={() =>
          first &&
          (ribbon.single
            ? choose(first)
            : void goto(resolve('/job/[id]/[station]', { id: first.to, station: 'donors' })))}
      />
    {/each}
    {#each picture.sources as box (box.id)}
      {@const machine = sources.get(box.id)?.machine}
      {@const shell = machine && one(foundOf(bench.shop, machine.seats), 'case')}
      {@const outside = shell && outsideOf(bench.shop, shell.part)}
      <g>
        <path class="side" d="M{LEFT} {box.y}V{box.y + box.height}" />
        {#if outside}
          <Front {outside} x={2} floor={box.y + 70} scale={SCALE} />
        {/if}
        <text class="head" x="0" y={box.y + 17}
          >{machine ? `${machine.id} · ` : ''}{clip(nameOf(box.id), 26)}</text
        >
      </g>
    {/each}
    {#each picture.goals as box (box.id)}
      <path class="side" d="M{RIGHT} {box.y}V{box.y + box.height}" />
    {/each}
  </svg>

  {#each picture.sources as box (box.id)}
    {@const machine = sources.get(box.id)?.machine}
    {#each box.ribbons as ribbon (ribbon.key)}
      {@const [first] = ribbon.strands}
      {#if first}
        {#if ribbon.single}
          <button
            class="row left"
            style:top="{ribbon.y0 - 11}px"
            aria-pressed={still !== undefined && ribbon.strands.includes(still)}
            onclick={() => choose(first)}
            title={first.part.name}
            >{#if first.trouble}<Mark mark={first.trouble.mark} size={14} />{/if}<b class="figure"
              >{first.part.id}</b
            >
            {clip(first.part.name, 22)}</button
          >
        {:else}
          <span class="row left soft" style:top="{ribbon.y0 - 11}px"
            >{ribbon.strands.length} for {first.to}</span
          >
        {/if}
      {/if}
    {/each}
    {#if machine?.state === 'donor'}
      <span class="spare" style:top="{box.y + 24}px">
        {#each spare(machine.seats) as each (each.seat)}
          <button
            aria-pressed={held?.id === each.part.id}
            title="{each.part.id} {each.part.name}"
            aria-label="{kindName(each.part.kind)}: {each.part.id} {each.part
              .name}, where could it serve?"
            onclick={() => hold(each.part)}>{kindName(each.part.kind)}</button
          >
        {/each}
      </span>
    {/if}
  {/each}

  {#each picture.goals as box (box.id)}
    {@const goal = goals.get(box.id)}
    {#if goal}
      <a
        class="goal"
        class:here={box.id === view.job?.id}
        style:top="{box.y}px"
        href={resolve('/job/[id]/[station]', { id: box.id, station: 'donors' })}
      >
        <Mark mark={goal.mark} size={16} />
        <b>{box.id} · {clip(goal.job.name, 17)}</b>
        {#if goal.tightest?.rest}
          <Gap finding={goal.tightest} width={54} height={12} />
          <span class="figure">{least(goal.tightest)}</span>
        {/if}
        {#if moved.has(box.id)}<em>{moved.get(box.id)?.from} → {moved.get(box.id)?.to}</em>{/if}
      </a>
      {#each box.inHead ? [] : box.ribbons as ribbon (ribbon.key)}
        <span class="row right" class:soft={!ribbon.single} style:top="{ribbon.y1 - 11}px"
          >{clip(label(ribbon), 40)}</span
        >
      {/each}
    {/if}
  {/each}
</div>

<div class="hand" aria-live="polite">
  {#if still}
    {@const others = (wantedBy(bench.shop).get(still.part.id) ?? []).filter(
      (id) => id !== still?.to,
    )}
    <p>
      <b>{still.part.id}</b>
      {still.part.name}: {seatName(still.seat)} of job {still.to}{still.stage > 1
        ? `, ${stageName(still.stage)}`
        : ''}, from {nameOf(still.from)}.
      {#if still.trouble}<Mark mark={still.trouble.mark} word /> {still.trouble.say}{/if}
    </p>
    <p class="tools">
      <Button next onclick={() => still && takeOff(still)}>Take it off job {still.to}</Button>
      {#each others as id (id)}
        {@const other = goals.get(id)?.strands.find((strand) => strand.part.id === still?.part.id)}
        {#if other}<Button onclick={() => takeOff(other)}>Take it off job {id}</Button>{/if}
      {/each}
      <Button onclick={() => still && hold(still.part)}>Where else could it serve?</Button>
      <Button quiet onclick={() => (showing = still?.part.id)}>What is known of it</Button>
    </p>
  {:else if held}
    <p><b>{held.id}</b> {held.name} could serve:</p>
    <Services {judge} onput={putOn} />
    <Button quiet onclick={() => (held = undefined)}>Put it back</Button>
  {:else}
    <p class="soft">
      {crossing.crossings === 0 ? 'No strands cross.' : `${crossing.crossings} strands cross.`}
      Choose a strand to take it off, or a part of a donor to see where it could serve.
    </p>
  {/if}
</div>
{#if showing}<PartSheet partId={showing} onclose={() => (showing = undefined)} />{/if}

<style>
  .picture {
    position: relative;
    width: 784px;
  }
  .picture svg {
    display: block;
    width: 784px;
  }
  .strand {
    fill: none;
    stroke: var(--ink-soft);
    opacity: 0.4;
    cursor: pointer;
  }
  .strand.mine {
    stroke: var(--ink);
    opacity: 0.85;
  }
  .strand.stop {
    stroke: var(--stop);
    stroke-dasharray: 9 4;
    opacity: 1;
  }
  .strand.mend {
    stroke: var(--mend);
    stroke-dasharray: 9 4;
    opacity: 1;
  }
  .strand.watch {
    stroke: var(--watch);
    opacity: 1;
  }
  .strand:hover,
  .strand.chosen {
    opacity: 1;
    stroke: var(--accent);
  }
  .side {
    stroke: var(--ink);
    stroke-width: 3;
  }
  .head {
    font: 600 16px var(--face-head);
    fill: var(--ink);
  }
  .row {
    position: absolute;
    height: 22px;
    padding: 0 4px;
    border: 0;
    background: none;
    color: var(--ink);
    font-size: 14px;
    line-height: 22px;
    white-space: nowrap;
    overflow: hidden;
  }
  .row.left {
    left: 0;
    width: 240px;
    text-align: right;
    pointer-events: none;
  }
  .row.right {
    left: 496px;
    width: 288px;
  }
  .soft {
    color: var(--ink-soft);
  }
  button.row.left {
    pointer-events: auto;
  }
  button.row:hover,
  button.row[aria-pressed='true'] {
    background: var(--tape-lit);
  }
  .goal {
    position: absolute;
    left: 496px;
    width: 288px;
    height: 26px;
    display: flex;
    gap: 6px;
    align-items: center;
    color: var(--ink);
    text-decoration: none;
    font-size: 14px;
    white-space: nowrap;
  }
  .goal b {
    font: 600 16px var(--face-head);
  }
  .goal.here b {
    border-bottom: 3px solid var(--accent);
  }
  .goal:hover b {
    text-decoration: underline;
  }
  .goal em {
    font-style: normal;
    font-weight: 700;
    font-size: 13px;
  }
  .spare {
    position: absolute;
    left: 40px;
    width: 150px;
    display: flex;
    flex-wrap: wrap;
    gap: 2px;
  }
  .spare button {
    min-height: 24px;
    padding: 0 3px;
    border: 1px solid var(--line);
    background: var(--part-stays);
    color: var(--ink);
    font-size: 12px;
  }
  .spare button[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .hand {
    position: sticky;
    bottom: -20px;
    margin: 8px -20px -20px;
    padding: 8px 20px 12px;
    background: var(--paper-deep);
    border-top: 2px solid var(--ink);
    font-size: 15px;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 6px;
  }
</style>
