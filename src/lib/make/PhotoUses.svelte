<script lang="ts">
  import { properties, type FactKey } from '$core/model/properties/index.ts';
  import { listAt, partAt, partOfKind, type Plan } from '$core/model/lookup/plan.ts';
  import { between, type Measured } from '$core/photo/measured.ts';
  import { likePattern, openingsOf, pitchOf, placesOf, standoffsOf } from '$core/photo/use.ts';
  import { area as areaShape } from '$core/model/types/shapes.ts';
  import { formatLength, lengthWithUnit } from '$core/units/length.ts';
  import { recordFact } from '$lib/shop/recordFact.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { within, type PhotoTable } from './photoTable.svelte.ts';

  /** What was measured, from one to the next, and where it goes: holes, rear wall, a measure of a part. */
  const { table, plan }: { table: PhotoTable; plan: Plan } = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  const sized = (mm: number) => formatLength(Math.round(mm * 100) / 100, lengths);
  const letter = (i: number) => String.fromCharCode(65 + (i % 26));
  const holes = $derived(table.list.filter((each) => each.is === 'hole'));
  const rectangles = $derived(table.list.filter((each) => each.is === 'rectangle'));
  const board = $derived(partOfKind(plan, 'board'));
  const shell = $derived(partOfKind(plan, 'case'));
  const like = $derived(likePattern(holes));

  const said = (each: Measured): string =>
    each.is === 'hole'
      ? `hole ⌀${sized(each.mm)} ${within(each.mmWithin, lengths)}`
      : each.is === 'rectangle'
        ? `opening ${sized(each.width)} × ${sized(each.height)} ${within(each.within, lengths)}`
        : 'edge';

  const upright = $derived(table.turn % 2 === 0);
  /** Figures that can be a measure of a part: from one to the next, sides, diameters. */
  const figures = $derived(
    table.list.flatMap((each, i): { id: string; words: string; mm: number; within: number }[] => {
      const name = letter(i);
      const next = table.list[i + 1];
      const apart = next && between(each, next);
      return [
        ...(each.is === 'rectangle'
          ? [
              {
                id: `${i} w`,
                words: `${name} ${upright ? 'across' : 'up'}`,
                mm: each.width,
                within: each.within,
              },
              {
                id: `${i} h`,
                words: `${name} ${upright ? 'up' : 'across'}`,
                mm: each.height,
                within: each.within,
              },
            ]
          : []),
        ...(each.is === 'hole'
          ? [{ id: `${i} d`, words: `${name} ⌀`, mm: each.mm, within: each.mmWithin }]
          : []),
        ...(apart ? [{ id: `${i} n`, words: `${name} to ${letter(i + 1)}`, ...apart }] : []),
      ];
    }),
  );
  let picked = $state('');
  const figure = $derived(figures.find(({ id }) => id === picked) ?? figures.at(-1));

  /** Lengths of the plan's parts a picture can tell. */
  const measures = $derived(
    plan.seats.flatMap(({ seat, kind, part }) =>
      properties[kind].flatMap(({ key, label, measure }) =>
        measure === 'mm' ? [{ value: `${seat} ${key}`, words: `${part.name}: ${label}` }] : [],
      ),
    ),
  );
  let goal = $state('');
  async function use(): Promise<void> {
    const [seat = '', key = ''] = goal.split(' ');
    const part = partAt(plan, seat)?.part;
    if (!part || !figure) return;
    const round = (mm: number) => Math.round(mm * 10) / 10;
    const value = {
      lo: Math.max(0, round(figure.mm - figure.within)),
      hi: round(figure.mm + figure.within),
    };
    await recordFact(part, key as FactKey, value, { how: 'measured' });
    toast(
      `${part.name}: ${lengthWithUnit(round(figure.mm), lengths)} ${within(figure.within, lengths)}, measured.`,
    );
  }

  async function toBoard(): Promise<void> {
    if (!board) return;
    await recordFact(board.part, 'holePlaces', { items: placesOf(holes) }, { how: 'measured' });
    toast(
      `${holes.length} holes are with ${board.part.name}: whose board is it stands at Fit, Holes.`,
    );
  }

  let lacks = $state('');
  async function toTray(): Promise<void> {
    const found = standoffsOf(holes);
    lacks = 'lacks' in found ? found.lacks : '';
    if ('lacks' in found || !shell) return;
    await recordFact(shell.part, 'standoffs', { items: found.letters }, { how: 'measured' });
    toast(
      `${shell.part.name}: standoffs ${found.letters.join(', ')}${
        found.elsewhere > 0 ? `; ${found.elsewhere} at no standard place` : ''
      }.`,
    );
  }

  let outside = $state(true);
  const known = $derived((shell && listAt(plan, shell, 'openings')?.items) ?? []);
  async function toRear(): Promise<void> {
    const found = openingsOf(rectangles, outside, table.turn, known);
    lacks = 'lacks' in found ? found.lacks : '';
    if ('lacks' in found || !shell) return;
    if (!found.openings.every((each) => areaShape.holds(each))) {
      lacks =
        'An opening lies further from the port opening than any rear wall goes: which of them is it?';
      return;
    }
    await recordFact(shell.part, 'openings', { items: found.openings }, { how: 'measured' });
    toast(
      `${found.openings.length} openings are with ${shell.part.name}: they stand at Fit, Rear.`,
    );
  }

  let contacts = $state('');
  const pitch = $derived.by(() => {
    const count = Number(contacts);
    if (!figure || contacts.trim() === '') return undefined;
    try {
      return pitchOf(figure.mm, figure.within, count);
    } catch (error) {
      return { fault: (error as Error).message };
    }
  });
</script>

{#if table.list.length > 0}
  <ul aria-label="Measured in the picture">
    {#each table.list as each, i (i)}
      {@const next = table.list[i + 1]}
      {@const apart = next && between(each, next)}
      <li>
        <b>{letter(i)}</b>
        <span>
          <span class="figure">{said(each)}</span>
          {#if each.is === 'hole' || apart}
            <small class="soft">
              {each.is === 'hole'
                ? `middle ${within(each.within, lengths)}${each.shots > 1 ? ` in ${each.shots} pictures` : ''}`
                : ''}
              {#if apart}
                <span class="figure"
                  >to {letter(i + 1)}: {sized(apart.mm)} {within(apart.within, lengths)}</span
                >
              {/if}
            </small>
          {/if}
        </span>
        <Button quiet onclick={() => table.forget(i)} aria-label="Take {letter(i)} away"
          >Away</Button
        >
      </li>
    {/each}
  </ul>
  {#if like}
    <p>
      The four holes are a <b>{like.name}</b>, off by {lengthWithUnit(
        Math.max(0.1, Math.round(like.offMm * 10) / 10),
        lengths,
      )} at the most.
    </p>
  {/if}
  <div class="uses">
    {#if board && holes.length >= 3}
      <Button next={rectangles.length === 0} onclick={toBoard}
        >{holes.length} holes to the board</Button
      >
    {/if}
    {#if shell && holes.length >= 3}
      <Button onclick={toTray}>They are the tray’s standoffs</Button>
    {/if}
    {#if shell && rectangles.length > 0}
      <span class="row">
        <Button next onclick={toRear}
          >{rectangles.length}
          {rectangles.length === 1 ? 'opening' : 'openings'} to the rear wall</Button
        >
        <Tick label="Seen from outside" bind:checked={outside} />
      </span>
    {/if}
    {#if lacks}<Fault text={lacks} />{/if}
    {#if figure}
      <span class="row">
        <Select
          label="Figure"
          options={figures.map(({ id, words, mm }) => ({
            value: id,
            words: `${words}, ${sized(mm)}`,
          }))}
          bind:value={() => figure?.id ?? '', (to) => (picked = to)}
        />
        <Select label="is" options={measures} none="which measure?" bind:value={goal} />
        <Button onclick={use} disabled={goal === ''}>Write it down</Button>
      </span>
      <span class="row">
        <TextField
          label="or a row of contacts: how many"
          short
          inputmode="numeric"
          bind:value={contacts}
          maxlength={3}
        />
        {#if pitch && 'fault' in pitch}<Fault text={pitch.fault} />
        {:else if pitch}
          <span
            ><span class="figure">{sized(pitch.mm)}</span> from contact to contact:
            {pitch.like.length === 0
              ? 'no family of this list'
              : pitch.like.map((each) => `${sized(each.mm)}, ${each.of}`).join('; ')}</span
          >
        {/if}
      </span>
    {/if}
  </div>
{/if}

<style>
  ul {
    margin: 8px 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 20px minmax(0, 1fr) auto;
    gap: 0 8px;
    align-items: center;
    border-bottom: 1px dashed var(--line);
  }
  small {
    display: block;
    font-size: 14px;
  }
  .uses {
    display: grid;
    gap: 10px;
    justify-items: start;
  }
  .figure {
    font-family: var(--face-figure);
  }
</style>
