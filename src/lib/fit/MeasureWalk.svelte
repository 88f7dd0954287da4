<script lang="ts">
  import { lengthWithUnit } from '$core/units/length.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { tick } from 'svelte';
  import { recordFact, type FactValue } from '$lib/shop/recordFact.ts';
  import { walk } from '$core/plan/walk.ts';
  import { factOf } from '$core/model/lookup/lookup.ts';
  import { partOfKind, type Plan } from '$core/model/lookup/plan.ts';
  import { property } from '$core/model/properties/index.ts';
  import { answerThen, answerYesNo, measureInto } from '$lib/entry/answers.ts';
  import { questionKey } from '$lib/entry/lit.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import { dimensionOf } from '$lib/draw/dimension.ts';
  import FactField from '$lib/parts/FactField.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import MountList from './MountList.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import Select from '$lib/ui/Select.svelte';

  interface Props {
    plan: Plan;
    view: JobView;
    onclose: () => void;
  }
  const { plan, view, onclose }: Props = $props();
  const lengths = $derived(shopStore.shop.settings.unit);
  /** What a length is taken with, and how well. */
  const tools = [
    { mm: 0.1, name: 'caliper' },
    { mm: 0.5, name: 'ruler' },
    { mm: 1, name: 'tape' },
    { mm: 3, name: 'by eye' },
  ];
  const all = $derived(walk(shopStore.shop, view.found, 'fit'));
  let accuracyMm = $state(0.1);
  /** Put aside for now: not measured, asked again next time. */
  let aside = $state.raw<ReadonlySet<string>>(new Set());
  const list = $derived(all.filter((question) => !aside.has(questionKey(question))));
  const next = $derived(
    list.find((question) => questionKey(question) === uiState.measuring) ?? list[0],
  );
  /* A caliper, a scan or the entry line answers what is asked here, in this order. */
  $effect(() => {
    uiState.order = list.map(questionKey);
    uiState.measuring = next && questionKey(next);
  });
  $effect(() => {
    uiState.accuracyMm = accuracyMm;
  });
  $effect(() => () => {
    uiState.order = uiState.accuracyMm = uiState.measuring = undefined;
  });
  const asked = $derived(next && property(next.part.kind, next.input.key));
  const cut = $derived(caseCut(plan));
  const shell = $derived(partOfKind(plan, 'case'));
  const line = $derived(
    next &&
      cut &&
      dimensionOf(plan, cut, { seat: next.input.seat, kind: next.part.kind, key: next.input.key }),
  );
  const decides = $derived(
    (next?.decides ?? []).flatMap(
      (id) => view.found.find((finding) => finding.id === id)?.title ?? [],
    ),
  );
  let width = $state(560);
  const seconds = $derived(list.reduce((sum, question) => sum + question.seconds, 0));

  function keep(value: number): void {
    if (next) answerThen(next, view, () => measureInto(next, { lo: value, hi: value }));
  }
  function say(value: FactValue | undefined): void {
    if (next && value) void recordFact(next.part, next.input.key, value);
  }
  /** The next question comes to the field the hands are in. */
  let ask = $state<HTMLElement>();
  async function comeTo(): Promise<void> {
    await tick();
    ask?.querySelector<HTMLElement>('input, select')?.focus();
  }
  const later = () => next && (aside = new Set([...aside, questionKey(next)]));
</script>

<div class="walk">
  <div class="drawing" bind:clientWidth={width}>
    {#if cut}
      <CaseCut
        {cut}
        width={Math.max(280, width)}
        height={440}
        found={view.found}
        chosen={next?.decides[0]}
        title="Where the next measure is taken"
      >
        {#snippet overlay({ scale, endX, top, left })}
          {#if line}
            {@const dx = line.section === 'end' ? endX : left}
            {@const [x0, y0] = [dx + line.x0 * scale, top + line.y0 * scale]}
            {@const [x1, y1] = [dx + line.x1 * scale, top + line.y1 * scale]}
            <path class="line" d="M{x0} {y0}L{x1} {y1}" />
            <circle class="datum" cx={x0} cy={y0} r="7" />
            <circle class="to" cx={x1} cy={y1} r="4" />
          {/if}
        {/snippet}
      </CaseCut>
    {/if}
  </div>
  <div class="ask" aria-live="polite" bind:this={ask}>
    {#if next && asked}
      <p class="count">
        {list.length === 1 ? 'the last one' : `${list.length} left`}, {seconds < 90
          ? `${seconds} s`
          : `${Math.round(seconds / 60)} min`}
      </p>
      <h2>{asked.ask}</h2>
      {#if line}<p><span class="dot"></span> from {line.datum}</p>{/if}
      {#if asked.measure === 'text' || asked.measure === 'list'}
        <FactField
          property={asked}
          fact={factOf(shopStore.shop, next.part, next.input.key)?.fact}
          {lengths}
          onfact={say}
        />
      {:else}
        <MeasureField
          label={asked.label}
          unit={asked.measure}
          {lengths}
          value={next.known}
          open
          most={asked.most}
          onmeasure={keep}
          onnext={() => void comeTo()}
        />
      {/if}
      {#if next.yesNo}
        <p class="row mid">
          <span>{spoken(next.ask, shopStore.shop.settings)}</span>
          <Button onclick={() => next && answerThen(next, view, () => answerYesNo(next, true))}
            >Yes</Button
          >
          <Button onclick={() => next && answerThen(next, view, () => answerYesNo(next, false))}
            >No</Button
          >
        </p>
      {/if}
      <p class="soft">
        decides: {decides.join('; ')}{next.savesMinutes >= 1
          ? ` · ${next.seconds} s may save ${Math.round(next.savesMinutes)} min`
          : ''}
      </p>
      <p class="row mid">
        <Select
          label="good to"
          options={tools.map(({ mm, name }) => ({
            value: mm,
            words: `${lengthWithUnit(mm, lengths)}, ${name}`,
          }))}
          bind:value={accuracyMm}
        />
        <Button onclick={later}>Not measured</Button>
      </p>
      {#if list.length > 1}
        <p class="soft">
          then: {list
            .slice(1, 4)
            .map((each) => each.property.label)
            .join(', ')}
        </p>
      {/if}
    {:else}
      <h2>Enough is known</h2>
      <p>
        {aside.size > 0
          ? `${aside.size} put aside; their sums stay on Watch.`
          : 'No measure left would change a verdict.'}
      </p>
      {#if aside.size > 0}<Button onclick={() => (aside = new Set())}>Ask them again</Button>{/if}
    {/if}
    <p class="row mid"><Button onclick={onclose}>Back to the case</Button></p>
  </div>
  {#if shell}<div class="mounts"><MountList {plan} {shell} /></div>{/if}
</div>

<style>
  .walk {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 22px;
  }
  .drawing {
    flex: 1 1 430px;
    min-width: 0;
  }
  .ask {
    display: flex;
    flex-direction: column;
    gap: 10px;
    flex: 0 1 260px;
  }
  .mounts {
    flex: 1 1 100%;
  }
  .count {
    color: var(--ink-soft);
    font-size: 14.5px;
  }
  .dot {
    display: inline-block;
    width: 13px;
    height: 13px;
    border-radius: 50%;
    background: var(--accent);
  }
  .line {
    fill: none;
    stroke: var(--accent);
    stroke-width: 4;
  }
  .datum,
  .to {
    fill: var(--accent);
  }
</style>
