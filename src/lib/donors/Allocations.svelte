<script lang="ts">
  import { linkHorizontal } from 'd3';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import type { Finding } from '$core/findings/finding.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import { kindName, seatName } from '$core/model/types/seats.ts';
  import type { Part } from '$core/model/types/types.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { movedBetween, type Crossing, type Allocation } from '$core/shop/allocations.ts';
  import { wantedBy } from '$core/model/lookup/wanted.ts';
  import Front from '$lib/draw/Front.svelte';
  import { outsideOf } from '$lib/draw/sizes.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Gap from '$lib/ui/Gap.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { show } from '$lib/ui/figures.ts';
  import { nameOfSource, allocationsPicture, type Ribbon } from './allocationsPicture.ts';

  interface Props {
    crossing: Crossing;
    /** The job in hand: its strands are drawn one by one. */
    jobId: string | undefined;
    chosen: Allocation | undefined;
    held: Part | undefined;
    onchoose: (strand: Allocation) => void;
    onhold: (part: Part) => void;
  }
  const { crossing, jobId, chosen, held, onchoose, onhold }: Props = $props();
  /* Columns in px: sources, the air the strands cross, jobs. */
  const [W, LEFT, RIGHT] = [784, 244, 490];
  const SCALE = 0.085;
  const goals = $derived(new Map(crossing.goals.map((goal) => [goal.job.id, goal])));
  const sources = $derived(new Map(crossing.sources.map((source) => [source.id, source])));
  const picture = $derived(
    allocationsPicture(crossing, jobId, (id) => {
      const machine = sources.get(id)?.machine;
      return machine?.state === 'donor' ? spare(machine.seats).length : 0;
    }),
  );
  const moved = $derived(
    shopStore.before
      ? new Map(movedBetween(shopStore.before, shopStore.shop).map((each) => [each.jobId, each]))
      : new Map<string, never>(),
  );
  const link = linkHorizontal<unknown, [number, number]>();

  /** Parts of a donor nobody has planned. */
  function spare(seats: readonly { seat: string; partId: string }[]) {
    return seats.flatMap(({ seat, partId }) => {
      const part = indexOf(shopStore.shop).parts.get(partId);
      return part && !wantedBy(shopStore.shop).has(partId) ? [{ seat, part }] : [];
    });
  }
  function label(ribbon: Ribbon): string {
    const [strand] = ribbon.strands;
    if (ribbon.single && strand) return `${strand.part.id} ${seatName(strand.seat)}`;
    return ribbon.strands.map((each) => seatName(each.seat)).join(', ');
  }
  /** What is left at worst, to whole units. */
  const least = ({ margin: rest, unit }: Finding) =>
    rest
      ? show({ lo: Math.round(rest.lo), hi: Math.round(rest.lo) }, unit, shopStore.shop.settings)
      : '';
  const clip = (text: string, most: number) =>
    text.length > most ? `${text.slice(0, most - 1)}…` : text;
</script>

<div class="wide">
  <div class="picture">
    <svg viewBox="0 0 {W} {picture.height}" role="group" aria-label="Strands from donors to jobs">
      {#each picture.ribbons as ribbon (ribbon.key)}
        {@const [first] = ribbon.strands}
        {@const mine = first?.to === jobId}
        {@const trouble = ribbon.strands.find((each) => each.trouble)?.trouble}
        <!-- svelte-ignore a11y_click_events_have_key_events (each strand is reached by its row, too) -->
        <!-- svelte-ignore a11y_no_static_element_interactions -->
        <path
          class="strand {trouble?.mark ?? ''}"
          class:mine
          class:chosen={chosen !== undefined && ribbon.strands.includes(chosen)}
          d={link({
            source: [LEFT, ribbon.y0],
            target: [RIGHT, ribbon.y1],
          }) ?? ''}
          stroke-width={ribbon.width}
          onclick={() =>
            first &&
            (ribbon.single
              ? onchoose(first)
              : void goto(resolve('/job/[id]/[station]', { id: first.to, station: 'donors' })))}
        />
      {/each}
      {#each picture.sources as box (box.id)}
        {@const machine = sources.get(box.id)?.machine}
        {@const shell = machine && partOfKind(foundOf(shopStore.shop, machine.seats), 'case')}
        {@const outside = shell && outsideOf(shopStore.shop, shell.part)}
        <g>
          <path class="side" d="M{LEFT} {box.y}V{box.y + box.height}" />
          {#if outside}
            <Front {outside} x={2} floor={box.spareY + 46} scale={SCALE} />
          {/if}
          <text class="head" x="0" y={box.y + 17}
            >{machine ? `${machine.id} · ` : ''}{clip(nameOfSource(sources.get(box.id)), 26)}</text
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
              aria-pressed={chosen !== undefined && ribbon.strands.includes(chosen)}
              onclick={() => onchoose(first)}
              title={first.part.name}
              >{#if first.trouble}<Mark mark={first.trouble.mark} size={14} />{/if}<b class="figure"
                >{first.part.id}</b
              >
              <span>{clip(first.part.name, 22)}</span></button
            >
          {:else}
            <span class="row left soft" style:top="{ribbon.y0 - 11}px"
              >{ribbon.strands.length} for {first.to}</span
            >
          {/if}
        {/if}
      {/each}
      {#if machine?.state === 'donor'}
        <span class="spare" style:top="{box.spareY}px">
          {#each spare(machine.seats) as each (each.seat)}
            <button
              aria-pressed={held?.id === each.part.id}
              title="{each.part.id} {each.part.name}"
              aria-label="{kindName(each.part.kind)}: {each.part.id} {each.part
                .name}, where could it serve?"
              onclick={() => onhold(each.part)}>{kindName(each.part.kind)}</button
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
          class:here={box.id === jobId}
          style:top="{box.y}px"
          href={resolve('/job/[id]/[station]', { id: box.id, station: 'donors' })}
        >
          <Mark mark={goal.mark} size={16} />
          <b>{box.id} · {clip(goal.job.name, 17)}</b>
          {#if goal.tightest?.margin}
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
</div>

<!-- The same on a phone, with room for a thumb. -->
<div class="narrow">
  {#each crossing.sources as source (source.id)}
    <section>
      <h3>{nameOfSource(source)}</h3>
      {#each source.strands as strand (`${strand.part.id} ${strand.to} ${strand.seat}`)}
        <button
          class="strand-row"
          aria-pressed={chosen === strand}
          onclick={() => onchoose(strand)}
        >
          {#if strand.trouble}<Mark mark={strand.trouble.mark} size={18} />{/if}
          <b class="figure">{strand.part.id}</b>
          <span>{strand.part.name}</span>
          <span class="to">{strand.to} · {seatName(strand.seat)}</span>
        </button>
      {/each}
      {#if source.machine?.state === 'donor'}
        <p>
          {#each spare(source.machine.seats) as each (each.seat)}
            <button
              class="free"
              aria-pressed={held?.id === each.part.id}
              aria-label="{kindName(each.part.kind)}: {each.part.id} {each.part
                .name}, where could it serve?"
              onclick={() => onhold(each.part)}>{kindName(each.part.kind)}</button
            >
          {/each}
        </p>
      {/if}
    </section>
  {/each}
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  .narrow {
    display: none;
  }
  @media (max-width: 37.5em) {
    .wide {
      display: none;
    }
    .narrow {
      display: block;
    }
  }
  .narrow h3 {
    margin: 12px 0 2px;
  }
  .narrow button {
    min-height: 44px;
    font: inherit;
    color: inherit;
    background: none;
    border: 0;
  }
  .narrow [aria-pressed='true'] {
    background: var(--tape-lit);
    box-shadow: inset 4px 0 var(--accent);
  }
  .narrow .strand-row {
    display: flex;
    align-items: center;
    gap: 8px;
    width: 100%;
    padding: 4px 8px;
    text-align: left;
    border-bottom: 1px solid var(--line);
  }
  .strand-row span:nth-of-type(1) {
    flex: 1;
  }
  .to {
    white-space: nowrap;
    color: var(--ink-soft);
  }
  .narrow .free {
    border: 1px dashed var(--line);
    padding: 0 12px;
    margin: 2px 6px 2px 0;
  }
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
    display: flex;
    gap: 6px;
    align-items: center;
    left: 0;
    width: 240px;
    pointer-events: none;
  }
  .row.right {
    left: 496px;
    width: 288px;
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
</style>
