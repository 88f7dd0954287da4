<script lang="ts">
  import { spoken } from '$core/units/degrees.ts';
  import { tick } from 'svelte';
  import { wordIn } from '$core/model/lookup/ownPlugs.ts';
  import { property } from '$core/model/properties/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import type { Question } from '$core/plan/questions.ts';
  import { answerThen, answerYesNo, measureInto } from './answers.ts';
  import { questionKey } from './lit.ts';

  interface Props {
    view: JobView;
    /** Only those that decide one of these findings. */
    only?: ReadonlySet<string> | undefined;
  }
  const { view, only }: Props = $props();
  const list = $derived(
    view.questions.filter((question) => !only || question.decides.some((id) => only.has(id))),
  );
  const seconds = $derived(list.reduce((sum, question) => sum + question.seconds, 0));
  const saves = $derived(list.reduce((sum, question) => sum + question.savesMinutes, 0));
  let open = $state(false);
  const showing = $derived(
    open || list.some((question) => questionKey(question) === uiState.measuring),
  );
  const time = (s: number) => (s < 90 ? `${s} s` : `${Math.round(s / 60)} min`);

  /** So many choices are buttons; more are a list. */
  const MOST_BUTTONS = 6;
  let items = $state<HTMLElement>();

  /** Kept; the light and the hands go to the next question. */
  function keep(question: Question, value: number): void {
    answerThen(
      question,
      view,
      () => measureInto(question, { lo: value, hi: value }),
      () => list,
    );
  }
  const yes = (question: Question, is: boolean) =>
    answerThen(
      question,
      view,
      () => answerYesNo(question, is),
      () => list,
    );
  async function comeTo(): Promise<void> {
    await tick();
    items?.querySelector<HTMLElement>('li.lit :is(input, select, .answers button)')?.focus();
  }

  function choose(question: Question, text: string): void {
    if (text !== '')
      answerThen(
        question,
        view,
        () => measureInto(question, { text }),
        () => list,
      );
  }
</script>

{#if list.length > 0}
  <section aria-label="Not measured">
    <button class="fold" aria-expanded={showing} onclick={() => (open = !open)}>
      {list.length} not measured, {time(seconds)} at the bench{saves >= 1
        ? `, may save ${Math.round(saves)} min`
        : ''}
    </button>
    {#if showing}
      <ol bind:this={items}>
        {#each list as question (questionKey(question))}
          {@const listed = property(question.part.kind, question.input.key)}
          <li class:lit={uiState.measuring === questionKey(question)}>
            <p>{spoken(question.ask, shopStore.shop.settings)}</p>
            <small
              >{time(question.seconds)}{question.savesMinutes >= 1
                ? `, may save ${Math.round(question.savesMinutes)} min`
                : ''}</small
            >
            {#if question.yesNo}
              <span class="answers">
                <button onclick={() => yes(question, true)}>Yes</button>
                <button onclick={() => yes(question, false)}>No</button>
                <MeasureField
                  compact
                  open
                  label={question.property.label}
                  unit={question.property.measure}
                  lengths={shopStore.shop.settings.unit}
                  value={question.known}
                  most={question.property.most}
                  onmeasure={(value) => keep(question, value)}
                  onnext={() => void comeTo()}
                />
              </span>
            {:else if listed?.options && listed.measure === 'text' && listed.options.length <= MOST_BUTTONS}
              <span class="answers" role="group" aria-label={question.ask}>
                {#each listed.options as option (option)}
                  <button onclick={() => choose(question, option)}
                    >{wordIn(shopStore.shop, listed, option)}</button
                  >
                {/each}
              </span>
            {:else if listed?.options && listed.measure === 'text'}
              <Select
                unseen
                wide
                label={question.ask}
                options={listed.options.map((option) => ({
                  value: option,
                  words: wordIn(shopStore.shop, listed, option),
                }))}
                none="not known"
                value=""
                onpick={(option) => choose(question, option)}
              />
            {:else if listed && listed.measure !== 'list' && listed.measure !== 'text'}
              <MeasureField
                compact
                open
                label={question.property.label}
                unit={question.property.measure}
                lengths={shopStore.shop.settings.unit}
                value={question.known}
                most={question.property.most}
                onmeasure={(value) => keep(question, value)}
                onnext={() => void comeTo()}
              />
            {/if}
          </li>
        {/each}
      </ol>
    {/if}
  </section>
{/if}

<style>
  .fold {
    width: 100%;
    min-height: var(--target);
    padding: 8px 14px 8px 19px;
    border: 0;
    border-bottom: 1px dashed var(--line);
    background: none;
    text-align: left;
    font-size: 15px;
    color: var(--ink-soft);
    text-decoration: underline dotted;
    text-underline-offset: 4px;
  }
  ol {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    padding: 8px 14px;
    border-left: 5px solid transparent;
    border-bottom: 1px dashed var(--line);
    font-size: 15px;
  }
  .lit {
    background: var(--tape-lit);
    border-left-color: var(--accent);
  }
  .answers {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    align-items: center;
    margin-top: 4px;
  }
  .answers button {
    min-width: 48px;
    min-height: 40px;
    border: 1.5px solid var(--ink);
    background: var(--tape);
    font: 600 15px var(--face-head);
  }
</style>
