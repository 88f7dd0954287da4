<script lang="ts">
  import { linkHorizontal } from 'd3';
  import type { Proposal } from '$core/allocate/proposal.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { stageName } from '$core/model/types/stages.ts';
  import type { Shop } from '$core/model/types/types.ts';
  import { BUY, SHELF } from '$core/shop/allocations.ts';
  import { planPicture, ROW_PX, type PlanRow } from './planPicture.ts';

  interface Props {
    shop: Shop;
    proposal: Proposal;
    /** The row in hand, by its key. */
    chosen: string | undefined;
    onchoose: (row: PlanRow) => void;
  }
  const { shop, proposal, chosen, onchoose }: Props = $props();
  /* Columns in px: sources, the air between, the jobs' seats. */
  const [W, LEFT, RIGHT] = [784, 176, 330];
  const picture = $derived(planPicture(shop, proposal));
  const yOf = $derived(new Map(picture.sources.map(({ id, y }) => [id, y])));
  const link = linkHorizontal<unknown, [number, number]>();
  const jobOf = (id: string) => indexOf(shop).jobs.get(id);
  const nameOf = (id: string) => {
    if (id === SHELF) return 'the shelf';
    if (id === BUY) return 'to buy';
    const machine = indexOf(shop).machines.get(id);
    return machine ? `${id} · ${machine.name}` : id;
  };
  const clip = (text: string, most: number) =>
    text.length > most ? `${text.slice(0, most - 1)}…` : text;
  const changed = ({ strand }: PlanRow) => strand.partId !== strand.nowId;
</script>

<div class="wide">
  <div class="picture" style:height="{picture.height}px">
    <svg
      viewBox="0 0 {W} {picture.height}"
      width={W}
      height={picture.height}
      role="img"
      aria-label="Who gets what: today in ink, the proposal in pencil"
    >
      {#each picture.lines as line (line.key)}
        <path
          class={line.is}
          class:chosen={chosen === line.row.key}
          d={link({ source: [LEFT, yOf.get(line.from) ?? 0], target: [RIGHT, line.row.y] }) ?? ''}
        />
      {/each}
      {#each picture.sources as { id, y } (id)}
        <path class="side" d="M{LEFT} {y - 12}v24" />
        <text class="source" x={LEFT - 8} y={y + 5} text-anchor="end">{clip(nameOf(id), 23)}</text>
      {/each}
    </svg>
    {#each picture.heads as { jobId, y, runs } (jobId)}
      <p class="head" style:top="{y - 14}px">
        <b>{jobId} · {clip(jobOf(jobId)?.name ?? '', 28)}</b>
        <span class:stop={!runs}>{runs ? 'runs' : 'does not run'}</span>
      </p>
      {#each picture.rows.filter((row) => row.jobId === jobId) as row (row.key)}
        <button
          class="row"
          class:changed={changed(row)}
          style:top="{row.y - ROW_PX / 2}px"
          style:height="{ROW_PX}px"
          aria-pressed={chosen === row.key}
          onclick={() => onchoose(row)}
        >
          <span class="seat"
            >{seatName(row.strand.seat)}{row.strand.stage > 1
              ? `, ${stageName(row.strand.stage)}`
              : ''}</span
          >
          {#if row.part}<b class="figure">{row.part.id}</b>
            <span>{clip(row.part.name, 24)}</span>{:else}<span>nothing new</span>{/if}
          {#if changed(row) && row.now}<s class="figure">{row.now.id}</s>{/if}
        </button>
      {/each}
    {/each}
  </div>
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  .picture {
    position: relative;
    width: 784px;
  }
  svg {
    display: block;
  }
  path {
    fill: none;
  }
  .kept {
    stroke: var(--ink);
    stroke-width: 2.5;
    opacity: 0.8;
  }
  .today {
    stroke: var(--ink-soft);
    stroke-width: 2;
    opacity: 0.35;
  }
  .proposed {
    stroke: var(--accent-ink);
    stroke-width: 2.5;
    stroke-dasharray: 7 4;
  }
  .chosen {
    stroke: var(--accent);
    stroke-width: 4;
    opacity: 1;
  }
  .side {
    stroke: var(--ink);
    stroke-width: 3;
  }
  .source {
    font: 600 15px var(--face-head);
    fill: var(--ink);
  }
  .head {
    position: absolute;
    left: 336px;
    margin: 0;
    display: flex;
    gap: 10px;
    align-items: baseline;
    line-height: 28px;
  }
  .head b {
    font: 600 16px var(--face-head);
  }
  .head span {
    font-size: 14px;
    color: var(--clear);
  }
  .head .stop {
    color: var(--stop);
    font-weight: 700;
  }
  .row {
    position: absolute;
    left: 332px;
    width: 448px;
    padding: 0 6px;
    display: flex;
    gap: 8px;
    align-items: center;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    font-size: 14px;
    text-align: left;
    white-space: nowrap;
  }
  .row.changed {
    background: var(--tape-lit);
  }
  .row:hover,
  .row[aria-pressed='true'] {
    box-shadow: inset 3px 0 var(--accent);
  }
  .seat {
    width: 88px;
    color: var(--ink-soft);
  }
  s {
    color: var(--ink-soft);
    margin-left: auto;
  }
  @media (max-width: 37.5em) {
    .picture,
    .head,
    .row {
      position: static;
      width: auto;
      height: auto;
    }
    .picture {
      height: auto !important;
    }
    svg {
      display: none;
    }
    .row {
      width: 100%;
      min-height: 44px;
    }
  }
</style>
