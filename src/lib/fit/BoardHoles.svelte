<script lang="ts">
  import { tick } from 'svelte';
  import { recordFact, recordItems } from '$lib/shop/recordFact.ts';
  import {
    HolesError,
    trayMatch,
    identifyBoard,
    type Candidate,
    type RegisterInput,
    type BoardIdentity,
  } from '$core/fit/holes/index.ts';
  import type { Mark as MarkName } from '$core/findings/finding.ts';
  import { listAt, numberAt, partOfKind, type Plan } from '$core/model/lookup/plan.ts';
  import { formatLength, lengthWithUnit } from '$core/units/length.ts';
  import { range } from '$core/units/range.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveBytes } from '$lib/files/save.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import EdgeDistances from './EdgeDistances.svelte';
  import HoleMatch from './HoleMatch.svelte';
  import type { Place } from '$core/model/types/shapes.ts';
  import { measuredPlaces, withPlace } from './places.ts';
  import Select from '$lib/ui/Select.svelte';

  interface Props {
    plan: Plan;
    onclose: () => void;
  }
  const { plan, onclose }: Props = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  const board = $derived(partOfKind(plan, 'board'));
  const shell = $derived(partOfKind(plan, 'case'));
  const kept = $derived((board && listAt(plan, board, 'holePlaces')?.items) ?? []);
  /** Always one empty row to measure into. */
  const rows = $derived<Place[]>([...kept, {}].slice(0, 24));
  const measured = $derived(measuredPlaces(kept));
  const standoffs = $derived((shell && listAt(plan, shell, 'standoffs')?.items) ?? []);
  let accuracyMm = $state(0.3);
  let all = $state<'' | 'yes' | 'no'>('');
  let picked = $state(0);
  let list = $state<HTMLElement>();

  const outline = $derived.by(() => {
    const width = board && numberAt(plan, board, 'width');
    const depth = board && numberAt(plan, board, 'depth');
    const known = width && depth && width.how === 'measured' && depth.how === 'measured';
    return known ? { widthMm: width.lo, depthMm: depth.lo } : undefined;
  });
  const input = $derived<RegisterInput>({
    points: measured.points,
    accuracyMm,
    all: all === '' ? undefined : all === 'yes',
    outline,
  });
  const answer = $derived.by((): { identity?: BoardIdentity; fault?: string } => {
    if (measured.points.length === 0) return {};
    try {
      return { identity: identifyBoard(input) };
    } catch (error) {
      if (error instanceof HolesError) return { fault: error.message };
      throw error;
    }
  });
  const candidate = $derived<Candidate | undefined>(
    answer.identity?.candidates[Math.min(picked, (answer.identity?.candidates.length ?? 1) - 1)],
  );
  const tray = $derived(
    candidate && standoffs.length > 0
      ? trayMatch(
          candidate,
          measured.points,
          standoffs,
          outline ?? {
            widthMm: candidate.pattern.widthMm ?? 400,
            depthMm: candidate.pattern.depthMm ?? 400,
          },
        )
      : undefined,
  );
  const marks: Record<BoardIdentity['verdict'], MarkName> = {
    is: 'clear',
    nearly: 'mend',
    'cannot tell': 'watch',
    none: 'stop',
  };

  function set(i: number, axis: 'x' | 'y', value: number): void {
    if (!board) return;
    store((places) => withPlace(places, i, axis, value));
  }

  function store(change: (places: readonly Place[]) => readonly Place[]): void {
    if (!board) return;
    void recordItems(board.part, 'holePlaces', change);
  }

  /** Caliper entry: x, Enter, y, Enter, the next hole. */
  async function next(i: number, axis: 'x' | 'y'): Promise<void> {
    await tick();
    const fields = list?.querySelectorAll<HTMLInputElement>('input.figure');
    fields?.[i * 2 + (axis === 'x' ? 1 : 2)]?.focus();
  }

  function writeDown(chosen: Candidate): void {
    if (!board) return;
    const names = chosen.pairs.map((pair) => pair.hole);
    void recordFact(board.part, 'holes', { items: names.sort() }, { how: 'measured' });
    if (answer.identity?.verdict === 'is')
      void recordFact(board.part, 'format', { text: chosen.pattern.name }, { how: 'measured' });
  }

  async function print(): Promise<void> {
    const { patternsPdf } = await import('$lib/print/patterns.ts');
    saveBytes('board-patterns-true-size.pdf', await patternsPdf(lengths), 'application/pdf');
  }
  const exact = (value: number | undefined) => (value === undefined ? undefined : range(value));
</script>

<div class="identity">
  <div class="picture">
    {#if answer.identity}
      <p class="verdict" aria-live="polite">
        <Mark mark={marks[answer.identity.verdict]} word size={22} />
        {answer.identity.say}
      </p>
    {:else if answer.fault}
      <p class="verdict" role="alert"><Mark mark="watch" word size={22} /> {answer.fault}</p>
    {:else}
      <p class="verdict">
        Measure the hole centres from any corner, either side up, in any order. Four say more than
        three.
      </p>
    {/if}
    {#if candidate}
      <HoleMatch
        {candidate}
        points={measured.points}
        numbers={measured.numbers}
        {standoffs}
        {lengths}
        width={470}
        height={430}
      />
      {#if (answer.identity?.candidates.length ?? 0) > 1}
        <p class="row apart">
          {#each answer.identity?.candidates ?? [] as each, i (each.pattern.name)}
            <button class="pick" aria-pressed={picked === i} onclick={() => (picked = i)}
              >{each.pattern.name}</button
            >
          {/each}
        </p>
      {/if}
    {/if}
  </div>

  <div class="side" bind:this={list}>
    {#each answer.identity?.ask ?? [] as ask (ask.kind)}<p class="ask">{ask.question}</p>{/each}
    <p class="row apart">
      <Select
        label="All holes?"
        options={[
          { value: 'yes', words: 'yes, all' },
          { value: 'no', words: 'no, more' },
        ]}
        none="not said"
        bind:value={all}
      />
      <Select
        label="Caliper good to"
        options={[0.1, 0.3, 0.5, 1].map((mm) => ({
          value: mm,
          words: `${lengthWithUnit(mm, lengths)}${{ 0.5: ', ruler', 1: ', tape' }[mm] ?? ''}`,
        }))}
        bind:value={accuracyMm}
      />
    </p>
    <ol>
      {#each rows as row, i (i)}
        <li>
          <span class="figure">{i + 1}</span>
          <MeasureField
            compact
            label="hole {i + 1}, across"
            unit="mm"
            {lengths}
            value={exact(row.x)}
            open={row.x === undefined}
            most={1000}
            zero
            onmeasure={(value) => set(i, 'x', value)}
            onnext={() => void next(i, 'x')}
          />
          <MeasureField
            compact
            label="hole {i + 1}, down"
            unit="mm"
            {lengths}
            value={exact(row.y)}
            open={row.y === undefined}
            most={1000}
            zero
            onmeasure={(value) => set(i, 'y', value)}
            onnext={() => void next(i, 'y')}
          />
          {#if i < kept.length}<button
              class="drop"
              onclick={() => store((places) => places.filter((_, at) => at !== i))}
              aria-label="Drop hole {i + 1}">Drop</button
            >{/if}
        </li>
      {/each}
    </ol>
    {#if tray}
      <p class="tray">
        <b>Over this tray.</b> Serve: {tray.used.join(', ') || 'none'}.
        {#if tray.touching.length > 0}<br /><Mark
            mark={all === 'yes' ? 'stop' : 'watch'}
            size={16}
          />
          {tray.touching.join(', ')}
          {all === 'yes'
            ? "would touch the board's back: take them out."
            : 'would touch the back unless the board has a hole there: look.'}{/if}
        {#if tray.unsupported.length > 0}<br />Drill, to {lengthWithUnit(
            tray.toleranceMm,
            lengths,
          )}, from port end and rear edge: {tray.unsupported
            .map(
              (hole) =>
                `${hole.name} at ${formatLength(hole.x, lengths)}, ${formatLength(hole.y, lengths)}`,
            )
            .join('; ')}.{/if}
        <br />Free corners: {tray.corners
          .filter((corner) => corner.freeMm > 40)
          .map(
            (corner) =>
              `${corner.corner} ${Number.isFinite(corner.freeMm) ? lengthWithUnit(Math.round(corner.freeMm), lengths) : 'wholly'}`,
          )
          .join('; ') || `none beyond ${lengthWithUnit(40, lengths)}`}.
      </p>
    {/if}
    <EdgeDistances onplaces={(places) => store(() => places)} />
    <p class="row apart">
      {#if candidate}<Button next onclick={() => writeDown(candidate)}>Write it on the board</Button
        >{/if}
      <Button onclick={() => void print()}>Patterns at true size</Button>
      <Button onclick={onclose}>Back to the case</Button>
    </p>
  </div>
</div>

<style>
  .identity {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 22px;
  }
  .picture {
    flex: 1 1 470px;
    min-width: 0;
  }
  .side {
    flex: 1 1 250px;
  }
  .verdict {
    display: flex;
    gap: 8px;
    align-items: baseline;
    margin-bottom: 6px;
    font-size: 17px;
  }
  .ask {
    padding: 6px 10px;
    margin-bottom: 6px;
    border-left: 4px solid var(--watch);
    background: var(--tape-lit);
    font-size: 15px;
  }
  ol {
    margin: 6px 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
  }
  li .figure {
    width: 20px;
    text-align: right;
    color: var(--ink-soft);
  }
  .drop {
    min-height: 36px;
    border: 0;
    background: none;
    color: var(--ink-soft);
    text-decoration: underline;
  }
  .pick {
    min-height: 38px;
    padding: 0 12px;
    border: 1.5px solid var(--ink);
    background: none;
    color: var(--ink);
    font: 600 15px var(--face-head);
  }
  .pick[aria-pressed='true'] {
    background: var(--part-comes);
  }
  .tray {
    font-size: 15px;
  }
</style>
