<script lang="ts">
  import {
    checklist,
    faultyMachine,
    afterwards,
    nextTests,
    oddsOf,
    simulatedSpares,
    symptomIds,
    symptoms,
    testOf,
    type FaultyMachine,
    type DiagnosisState,
    type Symptom,
  } from '$core/startup/index.ts';
  import Button from '$lib/ui/Button.svelte';
  import FaultFan from './FaultFan.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  let seed = $state(1);
  let sign = $state<Symptom>('picture');
  let machine = $state.raw<FaultyMachine | undefined>();
  let tried = $state.raw<DiagnosisState['tried']>([]);
  let minutes = $state(0);
  let guess = $state<string | undefined>();
  let hint = $state<string | undefined>();
  let last = $state('');
  const known = $derived<DiagnosisState>({
    symptom: sign,
    after: [],
    maker: false,
    spares: simulatedSpares,
    tried,
  });
  const course = $derived(
    Array.from(
      { length: tried.length + 1 },
      (_, i) => oddsOf({ ...known, tried: tried.slice(0, i) }).odds,
    ),
  );
  const tests = $derived(nextTests(known));
  /** In the order of the checklist: which to take is the practice. */
  const offered = $derived(
    checklist.flatMap((id) => tests.find((each) => each.test.id === id) ?? []),
  );
  const better = $derived(guess === undefined ? [] : afterwards(known));

  function begin(): void {
    machine = faultyMachine(sign, seed * 7919);
    tried = [];
    minutes = 0;
    guess = undefined;
    last = '';
  }
  function make(id: string): void {
    const test = tests.find((each) => each.test.id === id)?.test;
    if (!machine || !test) return;
    const answer = machine.answer(test);
    tried = [...tried, { test: test.id, yes: answer.yes }];
    minutes += answer.minutes;
    last = `${test.ask}: ${answer.yes ? test.yes : test.no}, ${answer.minutes} min.`;
    hint = undefined;
  }
</script>

<section>
  <p class="row mid apart">
    <Select
      label="A machine that"
      options={symptomIds.map((id) => ({ value: id, words: symptoms[id] }))}
      bind:value={sign}
    />
    <TextField short label="number" type="number" min="1" max="9999" bind:value={seed} />
    <Button next={!machine} onclick={begin}>On the bench</Button>
  </p>
  {#if machine}
    <FaultFan
      {course}
      tried={tried.map((each) => ({
        words: testOf(each.test, known.after)?.ask.split(/[:,]/)[0] ?? each.test,
        yes: each.yes,
      }))}
      found={guess === undefined ? undefined : machine.cause.id}
    />
    <p aria-live="polite">
      <span class="figure">{minutes} min</span> so far. {last}
    </p>
    {#if guess === undefined}
      <p class="row mid apart">
        {#each offered as each (each.test.id)}
          <Button onclick={() => make(each.test.id)} next={each.test.id === hint}
            >{each.test.ask.split(':')[0]}, {Math.round(each.minutes)} min</Button
          >
        {/each}
      </p>
      <p class="row mid apart">
        <Button quiet onclick={() => (hint = tests[0]?.test.id)}>Which would tell most?</Button>
      </p>
      <Select
        label="It is"
        aria-label="It is"
        options={(course[0] ?? []).map(({ cause }) => ({ value: cause.id, words: cause.name }))}
        none="name the cause"
        value=""
        onpick={(id) => {
          if (id !== '') guess = id;
        }}
      />
    {:else}
      <p class="named" class:wrong={guess !== machine.cause.id}>
        {guess === machine.cause.id ? 'Right' : 'No'}: it was <b>{machine.cause.name}</b>. {machine
          .cause.mend}.
      </p>
      {#each better as each (each.step)}
        <p>
          Step {each.step}: “{each.better.split(':')[0]}” would have told {each.by.toFixed(1)} times as
          much for its minutes as “{each.did.split(':')[0]}”.
        </p>
      {:else}<p>No other test would have told much more at any step.</p>{/each}
    {/if}
  {/if}
</section>

<style>
  .named {
    padding: 10px 14px;
    border-left: 6px solid var(--clear);
    font-size: 18px;
  }
  .wrong {
    border-color: var(--stop);
  }
</style>
