<script lang="ts">
  import { isPriced } from '$core/donors/index.ts';
  import type { Listed } from '$core/resolve/candidatesFor.ts';
  import { indexOf, standingOf } from '$core/model/lookup/lookup.ts';
  import { kindName, kindOfSeat, seatName } from '$core/model/types/seats.ts';
  import { inStages, MOST_STAGES, stageName, stageOf } from '$core/model/types/stages.ts';
  import type { Job, Part } from '$core/model/types/types.ts';
  import { planOf } from '$core/plan/planOf.ts';
  import { formatMoney } from '$core/units/money.ts';
  import { Judge } from '$lib/parts/judge.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Gap from '$lib/ui/Gap.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { show, unitWord } from '$lib/ui/figures.ts';
  import PartForm from './PartForm.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    job: Job;
    seat: string;
    /** The part for the seat, from that stage of the plan on. */
    onpick: (partId: string | null, stage: number) => void;
    /** A change of the seat is made at another stage. */
    onstage: (from: number, to: number) => void;
    /** As found again. */
    onkeep: () => void;
    /** Opens the sheet of a part. */
    onshow: (partId: string) => void;
    onclose: () => void;
  }
  const { job, seat, onpick, onstage, onkeep, onshow, onclose }: Props = $props();
  const kind = $derived(kindOfSeat(seat) ?? 'small');
  const now = $derived(
    planOf(shopStore.shop, job).seats.find((placed) => placed.seat === seat)?.part,
  );
  const changed = $derived(job.changes.some((change) => change.seat === seat));
  const planned = $derived(inStages(job.changes.filter((change) => change.seat === seat)));
  const stages = Array.from({ length: MOST_STAGES }, (_, i) => i + 1);
  const last = $derived(Math.max(1, ...planned.map(stageOf)));
  let stage = $derived(last);
  let query = $state('');
  let typing = $state(false);

  /** More are found by typing: nobody reads past them. */
  const MOST_SHOWN = 60;
  const judge = new Judge();
  $effect(() => {
    void judge.askSeat(shopStore.shop, job, seat, stage);
  });
  $effect(() => () => judge.close());
  const list = $derived(
    (judge.candidates ?? []).flatMap((each) => {
      const part = indexOf(shopStore.shop).parts.get(each.partId);
      const found = `${each.partId} ${part?.name}`.toLowerCase().includes(query.toLowerCase());
      return part && found ? [{ ...each, part }] : [];
    }),
  );

  /** What is still to be spent for it; what was paid stands apart. */
  function priceOf({ part, pays }: Listed & { part: Part }): string {
    const { currency } = shopStore.shop.settings;
    if (!isPriced(pays)) return `, ${pays}`;
    const whole = indexOf(shopStore.shop).homeOf.get(part.id)?.state === 'offered';
    const lo = formatMoney({ minor: pays.lo, currency });
    const range = pays.hi > pays.lo ? `${lo} to ${formatMoney({ minor: pays.hi, currency })}` : lo;
    if (whole) return `, ${range} for all of it`;
    if (part.place === 'buy') return `, ${range}`;
    return part.price ? `, paid ${formatMoney(part.price)}` : '';
  }
  function where(part: Part): string {
    const home = indexOf(shopStore.shop).homeOf.get(part.id);
    /* Out of a donor; out of a machine somebody uses, or one whose own job lets it go. */
    const out = {
      donor: 'donor',
      'in use': 'in use in',
      here: 'leaves',
      offered: 'offered',
      gone: '',
    };
    if (home) return `${out[home.state]} ${home.id}, ${home.name}`;
    if (part.place === 'buy' && part.where) return `to buy, ${part.where}`;
    return part.place === 'buy' ? 'to buy' : `shelf ${part.where ?? ''}`.trim();
  }
</script>

<Dialog title="{seatName(seat)}: what goes in?" wide {onclose}>
  {#if now}
    <p class="in">
      In the plan: <button onclick={() => onshow(now.id)}>{now.name} ({now.id})</button>
    </p>
  {/if}
  {#if planned.length > 0}
    <ul class="planned">
      {#each planned as change (stageOf(change))}
        <li>
          <Select
            label={change.partId ?? 'left empty'}
            options={stages.map((each) => ({ value: each, words: stageName(each) }))}
            value={stageOf(change)}
            onchange={(event) => onstage(stageOf(change), Number(event.currentTarget.value))}
          />
        </li>
      {/each}
    </ul>
  {/if}
  {#if typing}
    <PartForm
      {job}
      {seat}
      {stage}
      onmade={(partId) => onpick(partId, stage)}
      onback={() => (typing = false)}
    />
  {:else}
    <p class="row apart">
      <TextField unseen label="Search the shelf" bind:value={query} placeholder="tag or name" />
      <Select
        label="from"
        options={stages.map((each) => ({ value: each, words: stageName(each) }))}
        bind:value={stage}
      />
      <Button onclick={() => (typing = true)}>Type one in</Button>
      {#if now}<Button onclick={() => onpick(null, stage)}>Leave it empty</Button>{/if}
      {#if changed}<Button onclick={onkeep}>As found</Button>{/if}
    </p>
    <ul>
      {#each list.slice(0, MOST_SHOWN) as each (each.partId)}
        {@const { part, tight, against } = each}
        {@const standing = standingOf(shopStore.shop, part)}
        <li>
          <button onclick={() => onpick(part.id, stage)}>
            <b class="figure">{part.id}</b>
            <span class="name"
              >{part.name}<small>{where(part)}, {standing.condition}{priceOf(each)}</small></span
            >
            <span class="gap">
              {#if tight}
                <Mark mark={tight.mark} size={16} />
                {#if tight.margin}
                  <Gap finding={tight} width={110} />
                  <span class="figure"
                    >{show(tight.margin, tight.unit, shopStore.shop.settings)}
                    {unitWord(tight.unit, shopStore.shop.settings)}</span
                  >
                {/if}
                <small>{against ? `against it: ${against}` : tight.title}</small>
              {:else}<small>no sums</small>{/if}
            </span>
          </button>
        </li>
      {:else}
        <li class="none" aria-live="polite">
          {judge.fault ??
            (judge.candidates === undefined
              ? `judged ${judge.done} of ${judge.of}`
              : `No ${kindName(kind)} on the shelf, on a list or in a donor. Type one in.`)}
        </li>
      {/each}
    </ul>
    {#if list.length > MOST_SHOWN}<p>
        And {list.length - MOST_SHOWN} more that fit less well: type a tag or a name.
      </p>{/if}
  {/if}
</Dialog>

<style>
  .planned {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 16px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  .in button {
    min-height: 32px;
    border: 0;
    background: none;
    text-decoration: underline;
    text-underline-offset: 3px;
    font-weight: 700;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    max-height: calc(58vh / var(--zoom, 1));
    overflow-y: auto;
  }
  li button {
    display: grid;
    grid-template-columns: 76px minmax(0, 1fr) 330px;
    gap: 10px;
    align-items: center;
    width: 100%;
    min-height: 50px;
    padding: 4px 8px;
    border: 0;
    border-bottom: 1px solid var(--line);
    background: none;
    text-align: left;
  }
  li button:hover,
  li button:focus-visible {
    background: var(--tape-lit);
  }
  .name small {
    display: block;
  }
  small {
    font-size: 13.5px;
  }
  .gap {
    display: flex;
    align-items: center;
    gap: 8px;
    font-size: 14px;
    min-width: 0;
    white-space: nowrap;
    overflow: hidden;
  }
  .none {
    padding: 20px 8px;
  }
  @media (max-width: 43.75em) {
    li button {
      grid-template-columns: 60px 1fr;
    }
    .gap {
      grid-column: 1 / -1;
    }
  }
</style>
