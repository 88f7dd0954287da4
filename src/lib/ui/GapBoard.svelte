<script lang="ts">
  import { degreesIn, spoken, type Spoken } from '$core/units/degrees.ts';
  import type { Finding } from '$core/findings/finding.ts';
  import { isOpen } from '$core/findings/terms.ts';
  import Mark from './Mark.svelte';
  import { gapShape } from './gapShape.ts';
  import { show, showTerm, unitWord } from './figures.ts';

  interface Props {
    findings: readonly Finding[];
    chosen: string | undefined;
    units: Spoken;
    onchoose: (id: string) => void;
  }
  const { findings, chosen, units, onchoose }: Props = $props();
  const WIDTH = 560;
  const H = 40;
</script>

<!-- Every sum as a slot, its blocks and the room between, each to its own scale. -->
<ul>
  {#each findings as finding (finding.id)}
    {@const shape = gapShape(finding)}
    <li class={finding.mark} class:chosen={chosen === finding.id}>
      <button onclick={() => onchoose(finding.id)} aria-pressed={chosen === finding.id}>
        <span class="head"
          ><Mark mark={finding.mark} word /> <b>{finding.title}</b>
          <span class="say">{spoken(finding.say, units)}</span></span
        >
        {#if shape}
          <svg
            viewBox="0 0 {WIDTH + 176} {H + 26}"
            role="img"
            aria-label="{finding.title}: {finding.margin
              ? show(finding.margin, finding.unit, units)
              : ''} {unitWord(finding.unit, units)} {finding.marginLabel}"
          >
            {#each shape.blocks as block, i (i)}
              <rect
                class="block"
                class:open={block.open}
                x={4 + block.x * WIDTH + 1}
                y="4"
                width={Math.max(1.5, block.width * WIDTH - 2)}
                height={H - 8}
              />
              {#if block.width * WIDTH > block.label.length * 6.6 + 10}
                <text class="name" x={10 + block.x * WIDTH} y="18"
                  >{degreesIn(block.label, units.degrees)}</text
                >
                <text class="fig" x={10 + block.x * WIDTH} y="34"
                  >{showTerm(block, finding.unit, units)}</text
                >
              {/if}
            {/each}
            {#if !shape.rest.over && shape.mostX > shape.rest.x}
              <rect
                class="may"
                x={4 + shape.rest.x * WIDTH}
                y="6"
                width={(shape.mostX - shape.rest.x) * WIDTH}
                height={H - 12}
              />
            {/if}
            {#if shape.rest.over}<rect
                class="over"
                x={4 + shape.room * WIDTH}
                y="4"
                width={shape.rest.width * WIDTH}
                height={H - 8}
              />{/if}
            <path class="slot" d="M3 0v{H}h{shape.room * WIDTH + 2}v{-H}" />
            <text
              class="rest"
              x={4 +
                Math.max(shape.room, shape.mostX, shape.rest.x + shape.rest.width) * WIDTH +
                10}
              y="26"
              >{finding.margin ? show(finding.margin, finding.unit, units) : ''}
              {unitWord(finding.unit, units)}</text
            >
            {#each finding.terms.filter((term) => term.sign === 1) as term, i (i)}
              <text class="room" x={4 + i * 190} y={H + 18}
                >{degreesIn(term.label, units.degrees)}
                {typeof term.value === 'string'
                  ? term.value
                  : showTerm(term, finding.unit, units)}{isOpen(term) ? ', not measured' : ''}</text
              >
            {/each}
          </svg>
        {:else}
          <span class="words">
            {#each finding.terms as term, i (i)}
              {#if i > 0}<span class="meets" aria-hidden="true"
                  >{finding.mark === 'clear' ? 'meets' : 'against'}</span
                >{/if}
              <span class="word"
                ><small>{degreesIn(term.label, units.degrees)}</small>{typeof term.value ===
                'string'
                  ? term.value
                  : showTerm(term, finding.unit, units)}</span
              >
            {/each}
            <b>{finding.marginLabel}</b>
          </span>
        {/if}
      </button>
    </li>
  {/each}
</ul>

<style>
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    --c: var(--clear);
    border-left: 5px solid transparent;
    border-bottom: 1px solid var(--line);
  }
  .stop {
    --c: var(--stop);
  }
  .mend {
    --c: var(--mend);
  }
  .watch {
    --c: var(--watch);
  }
  .chosen {
    background: var(--tape-lit);
    border-left-color: var(--accent);
  }
  button {
    display: block;
    width: 100%;
    padding: 8px 10px;
    border: 0;
    background: none;
    text-align: left;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 10px;
  }
  .head b {
    font: 600 17px var(--face-head);
  }
  .say {
    font-size: 14.5px;
    color: var(--ink-soft);
  }
  svg {
    display: block;
    width: 100%;
    max-width: 740px;
    margin-top: 6px;
  }
  .slot {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }
  .block {
    fill: var(--c);
    fill-opacity: 0.26;
    stroke: var(--c);
    stroke-width: 1.5;
  }
  .block.open {
    fill-opacity: 0.1;
    stroke-dasharray: 5 3;
  }
  .may {
    fill: none;
    stroke: var(--c);
    stroke-dasharray: 5 3;
  }
  .over {
    fill: var(--c);
    fill-opacity: 0.5;
    stroke: var(--c);
  }
  text {
    fill: var(--ink);
  }
  .name {
    font: 600 13.5px var(--face-head);
  }
  .fig,
  .room {
    font: 12.5px var(--face-figure);
  }
  .room {
    fill: var(--ink-soft);
  }
  .rest {
    font: 700 16px var(--face-figure);
    fill: var(--c);
  }
  .words {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    margin-top: 6px;
  }
  .word {
    display: inline-block;
    padding: 3px 10px 5px;
    border: 1.5px solid var(--ink);
    background: var(--tape);
    font-size: 15px;
  }
  .word small {
    display: block;
    font-size: 12.5px;
    color: var(--ink-soft);
  }
  .meets {
    color: var(--ink-soft);
    font-size: 14px;
  }
  .words b {
    color: var(--c);
  }
</style>
