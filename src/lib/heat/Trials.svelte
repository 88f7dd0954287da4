<script lang="ts">
  import { say } from '$lib/shop/units.svelte.ts';
  import { addItems, dropItem } from '$core/shop/items.ts';
  import { follows, nextTrial } from '$core/heat/index.ts';
  import { partsOfKind, numberAt } from '$core/model/lookup/plan.ts';
  import type { Trial } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { view, plan }: ViewProps = $props();
  let what = $state<'undervolt' | 'base clock'>('undervolt');
  let value = $state('');
  let note = $state('');
  let fault = $state('');
  const trials = $derived(view.job?.trials ?? []);
  const own = $derived(trials.filter((each) => each.what === what));
  const next = $derived(nextTrial(trials, what));
  const unit = $derived(what === 'undervolt' ? 'mV' : '%');
  const module = $derived(partsOfKind(plan, 'memory')[0]);
  const speed = $derived(module && numberAt(plan, module, 'speed'));
  const tied = $derived(
    what === 'base clock' && next.next !== undefined
      ? follows(next.next, { memoryMts: speed?.lo })
      : undefined,
  );
  const most = $derived(
    Math.max(what === 'undervolt' ? 100 : 5, next.next ?? 0, ...own.map((each) => each.value)) *
      1.1,
  );
  const x = (each: number) => 10 + (each / most) * 580;

  function keep(stable: boolean): void {
    const number = Number((value || String(next.next ?? '')).replace(',', '.'));
    if (!(number > 0 && number <= 300)) {
      fault = `How many ${unit}? Kept as typed.`;
      return;
    }
    if (!view.job) return;
    const trial: Trial = {
      at: new Date().toISOString(),
      what,
      value: number,
      stable,
      ...(note.trim() ? { note: note.trim() } : {}),
    };
    shopStore.edit(
      `${what} ${number} ${unit}: ${stable ? 'held' : 'failed'}`,
      addItems(view.job.id, 'trials', [trial]),
    );
    value = note = fault = '';
  }
</script>

<p class="row no-print">
  <Select
    label="What"
    options={[
      { value: 'undervolt', words: 'undervolt, mV below' },
      { value: 'base clock', words: 'base clock, % above' },
    ]}
    bind:value={what}
  />
  <TextField
    short
    label={unit}
    bind:value
    inputmode="decimal"
    placeholder={String(next.next ?? '')}
  />
  <TextField
    wide
    label="note"
    bind:value={note}
    maxlength={200}
    placeholder={say('10 min at full load, 71 °C')}
  />
  <Button next onclick={() => keep(true)}>Held</Button>
  <Button onclick={() => keep(false)}>Failed</Button>
</p>
<Fault text={fault} />
<svg viewBox="0 0 600 74" role="img" aria-label="Steps tried: what held, what failed, what is next">
  <path class="axis" d="M10 40H590" />
  {#each own as trial, i (i)}
    {#if trial.stable}<path class="held" d="M{x(trial.value)} 24v32" />
    {:else}<path class="failed" d="M{x(trial.value) - 7} 33l14 14m0 -14l-14 14" />{/if}
    <text x={x(trial.value)} y="68">{trial.value}</text>
  {/each}
  {#if next.next !== undefined}<path class="next" d="M{x(next.next)} 14v52" /><text
      x={x(next.next)}
      y="11">next {next.next}</text
    >{/if}
  {#if next.keep !== undefined}<path class="keep" d="M10 40H{x(next.keep)}" />{/if}
</svg>
<p class="say">{next.say}</p>
{#if next.contradicts}<p class="fault">{next.contradicts}.</p>{/if}
{#if tied}
  <p>
    At {next.next} %: bus <span class="figure">{tied.busMhz.toFixed(1)} MHz</span>{tied.memoryMts
      ? `, RAM ${tied.memoryMts.toFixed(0)} MT/s`
      : ''}. {tied.say}
  </p>
{/if}
<ul>
  {#each trials as trial, i (i)}
    {#if trial.what === what}
      <li>
        <span class="figure">{trial.value} {unit}</span>
        {trial.stable ? 'held' : 'failed'}{trial.note ? `, ${trial.note}` : ''}
        <button
          class="no-print"
          onclick={() =>
            view.job && shopStore.edit('trial dropped', dropItem(view.job.id, 'trials', trial))}
          >Drop</button
        >
      </li>
    {/if}
  {/each}
</ul>
<p class="soft">
  A step that crashes may cost an unsaved file: work on nothing else meanwhile. Settings that hold
  at full load may still fail at idle: leave it running an evening.
</p>

<style>
  svg {
    width: 100%;
    max-width: 720px;
  }
  .axis {
    stroke: var(--line);
    stroke-width: 2;
  }
  .keep {
    stroke: var(--clear);
    stroke-width: 6;
  }
  .held {
    stroke: var(--clear);
    stroke-width: 4;
  }
  .failed {
    stroke: var(--stop);
    stroke-width: 4;
  }
  .next {
    stroke: var(--accent);
    stroke-width: 3;
    stroke-dasharray: 4 3;
  }
  text {
    font: 12px var(--face-figure);
    fill: var(--ink-soft);
    text-anchor: middle;
  }
  .say {
    font: 600 19px var(--face-head);
  }
  li button {
    border: 0;
    background: none;
    min-height: 28px;
    color: inherit;
    text-decoration: underline;
  }
</style>
