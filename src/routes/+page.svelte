<script lang="ts">
  import { resolve } from '$app/paths';
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { standing, type Standing } from '$core/shop/standing.ts';
  import { MM_PER_INCH } from '$core/units/length.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import BenchStart from '$lib/frame/BenchStart.svelte';
  import BenchTape from '$lib/frame/BenchTape.svelte';
  import Front from '$lib/draw/Front.svelte';
  import { outsideOf } from '$lib/draw/sizes.ts';
  import { nextWords, placeOf } from '$lib/draw/shelf.ts';
  import Broken from '$lib/ui/Broken.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Gap from '$lib/ui/Gap.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Tag from '$lib/ui/Tag.svelte';
  import { show, unitWord } from '$lib/ui/figures.ts';

  /** Pixels per millimetre of every machine on the shelves. */
  const SCALE = 0.28;
  const HEIGHT = 132;

  /** Jobs looked at before the bench is shown; on a very full bench the others follow bit by bit. */
  const FIRST = 8;
  const STEP = 4;
  let looked = $state(FIRST);
  const openFirst = $derived([
    ...shopStore.shop.jobs.filter((job) => !job.handedOver),
    ...shopStore.shop.jobs.filter((job) => job.handedOver),
  ]);
  const waiting = $derived(Math.max(0, openFirst.length - looked));
  $effect(() => {
    if (waiting === 0) return;
    const timer = setTimeout(() => (looked += STEP), 30);
    return () => clearTimeout(timer);
  });
  /** A job that cannot be worked out spoils its own tag and no other. */
  const tried = $derived(
    openFirst.slice(0, looked).map((job) => {
      try {
        return { standing: standing(shopStore.shop, job, shopStore.now) };
      } catch (error) {
        return { broken: { job, why: (error as Error).message } };
      }
    }),
  );
  const standings = $derived(tried.flatMap((each) => each.standing ?? []));
  const broken = $derived(tried.flatMap((each) => each.broken ?? []));
  const open = $derived(
    standings
      .filter((each) => each.hands.when !== 'done')
      .map((each) => ({ ...each, place: placeOf(each, shopStore.now) }))
      .sort((a, b) => (a.place.order < b.place.order ? -1 : a.place.order > b.place.order ? 1 : 0)),
  );
  const done = $derived(standings.filter((each) => each.hands.when === 'done'));

  function shells(each: Standing) {
    const found =
      each.plan.machine &&
      partOfKind(foundOf(shopStore.shop, each.plan.machine.seats), 'case')?.part;
    const planned = partOfKind(each.plan, 'case');
    return {
      now: found && outsideOf(shopStore.shop, found),
      later: planned?.state === 'comes' ? outsideOf(shopStore.shop, planned.part) : undefined,
    };
  }

  /** A length to hold the row against. */
  const rule = $derived(
    shopStore.shop.settings.unit === 'mm'
      ? { mm: 100, text: '100 mm' }
      : { mm: 4 * MM_PER_INCH, text: '4 in' },
  );

  const money = (each: Standing) =>
    `${formatMoney(each.spent.total).replace('.00', '')}${each.job.budget ? ` / ${formatMoney(each.job.budget).replace('.00', '')}` : ''} ${currencySign(each.spent.total.currency)}`;
</script>

{#snippet which()}
  {#await import('$lib/frame/WhichShop.svelte') then { default: WhichShop }}<WhichShop />{/await}
{/snippet}

<Stage
  title="Bench"
  subtitle={waiting > 0
    ? `${waiting} more jobs are being looked at`
    : 'where hands are next needed'}
>
  {#snippet tools()}
    <svg class="rule" width={rule.mm * SCALE + 60} height="14" aria-hidden="true">
      <path d="M1 3v8M1 7h{rule.mm * SCALE}v-4v8" />
      <text x={rule.mm * SCALE + 8} y="12">{rule.text}</text>
    </svg>
    {#if open.length > 0}<BenchStart />{/if}
    <Button next={open.length > 0} onclick={() => (uiState.dialog = 'new job')}>New job</Button>
  {/snippet}

  {#if shopStore.shop.settings.demo}{@render which()}{/if}
  {#if open.length === 0}
    {#await import('$lib/frame/BenchBegin.svelte') then { default: BenchBegin }}<BenchBegin
      />{/await}
  {/if}

  <ol class="shelves">
    {#each open as each (each.job.id)}
      {@const shell = shells(each)}
      {@const span =
        ((shell.now?.w ?? 0) + (shell.later?.w ?? 0)) * SCALE + (shell.later && shell.now ? 40 : 0)}
      <li class:wide={shell.now && shell.later}>
        <svg
          class="machine"
          height={HEIGHT}
          viewBox="0 0 {Math.max(span, 120)} {HEIGHT}"
          aria-hidden="true"
        >
          {#if shell.now}<Front outside={shell.now} x={2} floor={HEIGHT - 1} scale={SCALE} />{/if}
          {#if shell.later}
            <Front
              outside={shell.later}
              x={shell.now ? shell.now.w * SCALE + 38 : 2}
              floor={HEIGHT - 1}
              scale={SCALE}
              planned
            />
          {/if}
          {#if !shell.now && !shell.later}<path class="nothing" d="M10 {HEIGHT - 20}h60" />{/if}
        </svg>
        <p class="when" class:due={each.place.due}>{each.place.label}</p>
        <Tag
          title="{each.job.id} · {each.job.name}"
          becomes={each.job.becomes ? `becomes ${each.job.becomes}` : 'what it becomes is open'}
          href={resolve('/job/[id]/[station]', { id: each.job.id, station: 'take-in' })}
          next={each.place.due}
        >
          <span class="next-words">{nextWords(each)}</span>
          <span class="foot">
            {#if each.tightest}
              {#if each.tightest.margin}
                <Gap finding={each.tightest} width={54} />
                <span class="figure {each.tightest.mark}"
                  >{show(each.tightest.margin, each.tightest.unit, shopStore.shop.settings)}
                  {unitWord(each.tightest.unit, shopStore.shop.settings)}</span
                >
              {:else}
                <Mark mark={each.tightest.mark} size={16} /><span class={each.tightest.mark}
                  >{each.tightest.title}</span
                >
              {/if}
            {/if}
            <span class="figure money">{money(each)}</span>
          </span>
        </Tag>
      </li>
    {/each}
  </ol>

  {#each broken as { job, why } (job.id)}
    <Broken what="Job {job.id} · {job.name}" {why}>
      <Button
        onclick={async () => (await import('$lib/files/exports.ts')).saveJob(shopStore.shop, job)}
        >Export it as it is</Button
      >
    </Broken>
  {/each}

  {#if done.length > 0}
    <p class="done">
      Handed over:
      {#each done as each, i (each.job.id)}
        {i > 0 ? ' · ' : ''}<a
          href={resolve('/job/[id]/[station]', { id: each.job.id, station: 'hand-over' })}
          >{each.job.id} · {each.job.name}</a
        >
      {/each}
    </p>
  {/if}

  {#if !shopStore.shop.settings.demo}{@render which()}{/if}
  {#await import('$lib/frame/BenchFoot.svelte') then { default: BenchFoot }}<BenchFoot />{/await}
</Stage>

<svelte:boundary>
  <BenchTape {open} />
  {#snippet failed(error, reset)}
    <Broken what="The bench's tape" why={(error as Error).message} {reset} />
  {/snippet}
</svelte:boundary>

<style>
  .shelves {
    display: flex;
    flex-wrap: wrap;
    gap: 18px 0;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    flex: 1 1 218px;
    max-width: 330px;
    min-width: 0;
    display: flex;
    flex-direction: column;
  }
  .wide {
    flex-basis: 250px;
  }
  .machine {
    display: block;
    align-self: flex-start;
    margin-left: 22px;
  }
  .when {
    margin: 0;
    padding: 2px 0 10px 14px;
    border-top: 7px solid var(--shelf);
    font: 500 16px/1.2 var(--face-head);
    color: var(--ink-soft);
    position: relative;
  }
  .when::before {
    content: '';
    position: absolute;
    left: 6px;
    top: 0;
    height: 12px;
    border-left: 2px solid var(--shelf);
  }
  .due {
    color: var(--accent-ink);
    font-weight: 600;
  }
  li :global(.tag) {
    margin-right: 14px;
    flex: 1;
  }
  .next-words {
    font-weight: 700;
    font-size: 14.5px;
    line-height: 1.25;
  }
  .foot {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 7px;
    margin-top: auto;
    padding-top: 6px;
    font-size: 14px;
    min-width: 0;
  }
  .foot .money {
    margin-left: auto;
    white-space: nowrap;
  }
  .foot .figure:first-of-type {
    font-weight: 600;
    white-space: nowrap;
  }
  .rule {
    align-self: center;
  }
  .rule path {
    fill: none;
    stroke: var(--ink-soft);
  }
  .rule text {
    font: 13px var(--face-figure);
    fill: var(--ink-soft);
  }
  .nothing {
    stroke: var(--line);
    stroke-width: 2;
    stroke-dasharray: 4 4;
  }
  .done {
    margin-top: 16px;
    font-size: 15px;
    color: var(--ink-soft);
  }
  .done a {
    color: inherit;
  }
</style>
