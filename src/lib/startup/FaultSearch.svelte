<script lang="ts">
  import { addDiagnosis, addTried, closeDiagnosis, dropTried } from '$core/edits/diagnosisEdits.ts';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { diagnosisVerdicts } from '$core/model/types/types.ts';
  import { diagnosisOf } from '$core/plan/startupOf.ts';
  import { nextTests, oddsOf, symptomIds, symptoms, standOf, testOf } from '$core/startup/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import FaultFan from './FaultFan.svelte';
  import TestInHand from './TestInHand.svelte';

  interface Props {
    view: JobView;
    plan: Plan;
  }
  const { view, plan }: Props = $props();
  const hunts = $derived(view.job?.diagnoses ?? []);
  let openId = $state<string | undefined>();
  const hunt = $derived(
    hunts.find((each) => each.id === openId) ?? hunts.find((each) => !each.verdict) ?? hunts.at(-1),
  );
  const known = $derived(hunt && diagnosisOf(plan, hunt));
  const stand = $derived(known && standOf(known));
  const tests = $derived(known ? nextTests(known) : []);
  let skipped = $state<string[]>([]);
  let chosen = $state<string | undefined>();
  const offered = $derived([
    ...tests.filter((each) => !skipped.includes(each.test.id)),
    ...tests.filter((each) => skipped.includes(each.test.id)),
  ]);
  const inHand = $derived(offered.find((each) => each.test.id === chosen) ?? offered[0]);
  /** Odds before any test, then after each. */
  const course = $derived(
    known
      ? Array.from(
          { length: known.tried.length + 1 },
          (_, i) => oddsOf({ ...known, tried: known.tried.slice(0, i) }).odds,
        )
      : [],
  );
  const changed = $derived(
    plan.seats.filter((placed) => placed.state === 'comes').map((placed) => placed.seat),
  );
  /** Stands for a moment only: what was picked begins a search. */
  let symptom = $state('');
  let note = $state('');
  let started = $state(Date.now());

  function begin(sign: string): void {
    if (!view.job) return;
    const added = addDiagnosis(view.job.id, {
      symptom: sign,
      at: new Date().toISOString(),
      after: changed.slice(0, 20),
      tried: [],
    });
    void shopStore
      .edit(`it does not start: ${sign}`, added.edit)
      .then(() => (openId = added.tag()));
    openId = added.tag();
    skipped = [];
    started = Date.now();
  }

  function answer(yes: boolean): void {
    if (!view.job || !hunt || !inHand) return;
    /* Minutes by the clock where they can be meant, else the usual ones. */
    const clock = (Date.now() - started) / 60_000;
    const minutes = clock > 0.5 && clock < 90 ? Math.round(clock) : Math.round(inHand.minutes);
    shopStore.edit(
      `tried: ${inHand.test.id}`,
      addTried(view.job.id, hunt.id, {
        testId: inHand.test.id,
        result: yes ? 'yes' : 'no',
        minutes: Math.max(1, minutes),
        at: new Date().toISOString(),
        ...(inHand.with ? { with: inHand.with.name } : {}),
        ...(uiState.who.trim() ? { who: uiState.who.trim() } : {}),
      }),
    );
    chosen = undefined;
    started = Date.now();
  }

  function close(verdict: (typeof diagnosisVerdicts)[number]): void {
    if (!view.job || !hunt) return;
    const causeId =
      verdict === 'found' ? (stand?.named ?? course.at(-1)?.[0])?.cause.id : undefined;
    shopStore.edit(
      `search closed: ${verdict}`,
      closeDiagnosis(view.job.id, hunt.id, {
        verdict,
        causeId,
        ...(note.trim() ? { note: note.trim() } : {}),
      }),
    );
    note = '';
  }
  const likeliest = $derived(stand?.named ?? course.at(-1)?.[0]);
</script>

<section>
  <p class="row mid apart no-print">
    <Select
      label="It does not start"
      options={symptomIds.map((id) => ({ value: id, words: symptoms[id] }))}
      none="what does it do?"
      bind:value={symptom}
      onpick={(id) => {
        if (id !== '') begin(id);
        symptom = '';
      }}
    />
    {#each hunts as each (each.id)}
      <Button onclick={() => (openId = each.id)} aria-pressed={each.id === hunt?.id}
        >{symptoms[each.symptom as keyof typeof symptoms] ?? each.symptom}{each.verdict
          ? `: ${each.verdict}`
          : ''}</Button
      >
    {/each}
  </p>
  {#if hunt && known}
    {#if hunt.after.length > 0}
      <p class="soft">Changed last: {hunt.after.map(seatName).join(', ')}.</p>
    {/if}
    <FaultFan
      {course}
      tried={known.tried.map((each) => ({
        words: testOf(each.test, known.after)?.ask.split(/[:,]/)[0] ?? each.test,
        yes: each.yes,
      }))}
      found={hunt.causeId}
    />
    {#if stand?.contradicts && !hunt.verdict}<p class="fault" role="alert">
        {stand.contradicts}
      </p>{/if}
    {#if hunt.verdict}
      <p>
        <b>{hunt.verdict}</b>{hunt.causeId
          ? `: ${course.at(-1)?.find((each) => each.cause.id === hunt.causeId)?.cause.name ?? hunt.causeId}`
          : ''}{hunt.note ? `. ${hunt.note}` : ''}
      </p>
    {:else}
      {#if stand?.named}
        <p class="named">
          <b>{stand.named.cause.name}</b>, {Math.round(stand.named.share * 100)} %: {stand.named
            .cause.mend}.
        </p>
      {:else if inHand}
        <TestInHand
          best={inHand.test.id === tests[0]?.test.id}
          test={inHand}
          onanswer={answer}
          onskip={() => (skipped = [...skipped, inHand.test.id])}
        />
      {:else}
        <p>
          Nothing is left to try with what is on the shelf. Likeliest: <b>{likeliest?.cause.name}</b
          >.
        </p>
      {/if}
      {#if !stand?.named && offered.length > 1}
        <p class="row mid apart others no-print">
          Or:
          {#each offered
            .filter((each) => each.test.id !== inHand?.test.id)
            .filter((each, i) => i < 3 || each.test.id === 'undo') as each (each.test.id)}
            <Button quiet onclick={() => (chosen = each.test.id)}
              >{each.test.ask.split(':')[0]}, {Math.round(each.minutes)} min</Button
            >
          {/each}
        </p>
      {/if}
      <p class="row mid apart no-print">
        <TextField
          unseen
          short
          label="who"
          bind:value={uiState.who}
          maxlength={40}
          placeholder="who"
        />
        <TextField unseen label="note" bind:value={note} maxlength={400} placeholder="a note" />
        <Button next={stand?.named !== undefined} onclick={() => close('found')}
          >Found{likeliest ? `: ${likeliest.cause.name}` : ''}</Button
        >
        <Button onclick={() => close('works, cause never found')}>Works, cause never found</Button>
        <Button onclick={() => close('given up')}>Given up</Button>
      </p>
    {/if}
    {#if hunt.tried.length > 0}
      <ol class="tried">
        {#each hunt.tried as each (each.testId)}
          {@const test = testOf(each.testId, known.after)}
          <li>
            {test?.ask ?? each.testId}: <b>{each.result === 'yes' ? test?.yes : test?.no}</b>
            <span class="figure">{each.minutes} min</span>{each.with ? `, with ${each.with}` : ''}
            {#if !hunt.verdict}<button
                onclick={() =>
                  view.job &&
                  shopStore.edit('test taken back', dropTried(view.job.id, hunt.id, each.testId))}
                >Take back</button
              >{/if}
          </li>
        {/each}
      </ol>
    {/if}
    <p class="soft">
      Odds and minutes are common practice, no source; what this shop finds corrects them, of the
      same model most.
    </p>
  {/if}
</section>

<style>
  .named {
    padding: 10px 14px;
    border-left: 6px solid var(--clear);
    font-size: 18px;
  }
  .tried {
    margin: 6px 0;
    padding-left: 22px;
    font-size: 15px;
  }
  .tried button {
    border: 0;
    background: none;
    min-height: 28px;
    color: inherit;
    text-decoration: underline;
  }
</style>
