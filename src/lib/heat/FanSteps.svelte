<script lang="ts">
  import { mid } from '$core/units/range.ts';
  import Papa from 'papaparse';
  import { FanError, fanPlan, runFit, SettleError, type FanPlan } from '$core/heat/index.ts';
  import { partsOfKind, numberAt, partOfKind } from '$core/model/lookup/plan.ts';
  import { fanOf } from '$core/standards/air.ts';
  import { treeOf } from '$core/watts/tree/index.ts';
  import { saveFile } from '$lib/files/save.ts';
  import Button from '$lib/ui/Button.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { celsius, labelled, say, shownDegrees } from '$lib/shop/units.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';

  const { view, plan }: ViewProps = $props();
  /** The last settled run under load of the machine: its own curve. */
  const fitted = $derived.by(() => {
    for (const run of [...(view.job?.runs ?? [])].reverse()) {
      if (run.load === 'idle') continue;
      try {
        const said = runFit(run);
        if (said.riseK !== undefined && !said.pinned) return said;
      } catch (error) {
        if (!(error instanceof SettleError)) throw error;
      }
    }
    return undefined;
  });
  const processor = $derived(partOfKind(plan, 'processor'));
  const watts = $derived(processor && numberAt(plan, processor, 'watts'));
  let board = $state<'three' | 'continuous'>('three');
  let speeds = $state('40 70 100');
  let aim = $state(85);
  const list = $derived(
    board === 'three'
      ? speeds.split(/[\s,;]+/).flatMap((each) => (each ? [Number(each) / 100] : []))
      : Array.from({ length: 7 }, (_, i) => 0.4 + i * 0.1),
  );
  const full = $derived(fitted?.watts ?? (watts ? mid(watts) : 65));
  const result = $derived.by((): { plan?: FanPlan; fault?: string } => {
    const tree = treeOf(plan, 'usual');
    const share = tree ? 0.55 : 0.5;
    try {
      return {
        plan: fanPlan(
          {
            tauS: fitted?.settling.tauS ?? 120,
            kwFull: fitted?.riseK !== undefined ? fitted.riseK / full : 0.35,
            watts: { idle: full * 0.15, usual: full * share, full },
            roomC: { lo: 18, hi: 28 },
            noiseK: Math.min(3, fitted?.settling.scatter ?? 0.7),
          },
          list,
          aim,
          partsOfKind(plan, 'fan').map((placed) => {
            const size = numberAt(plan, placed, 'size');
            const { level } = fanOf(size?.lo ?? 120);
            return mid(level);
          }),
        ),
      };
    } catch (error) {
      if (!(error instanceof FanError || error instanceof RangeError)) throw error;
      return { fault: error.message };
    }
  });
  const [W, H] = [620, 220];
  const x = (c: number) => 40 + ((c - 20) / 80) * (W - 84);
  const y = (speed: number) => H - 30 - speed * (H - 50);
  const stair = $derived.by(() => {
    const steps = result.plan?.steps ?? [];
    const up = steps
      .map((step, i) => {
        const next = steps[i + 1]?.upC ?? 100;
        return `${i === 0 ? `M${x(20)} ${y(step.speed)}` : `V${y(step.speed)}`}H${x(next)}`;
      })
      .join('');
    const down = steps
      .slice(1)
      .map((step, i) => {
        const below = steps[i]?.speed ?? 0;
        return `M${x(step.downC ?? 20)} ${y(step.speed)}V${y(below)}M${x(step.downC ?? 20)} ${y(step.speed)}H${x(step.upC ?? 20)}`;
      })
      .join('');
    return { up, down };
  });
  const save = () =>
    result.plan &&
    saveFile(
      'fan-steps.csv',
      Papa.unparse(
        [
          ['speed %', 'on from C', 'back at C', 'at full load settles at C', 'level dB'],
          ...result.plan.steps.map((step) => [
            String(Math.round(step.speed * 100)),
            String(step.upC ?? ''),
            String(step.downC ?? ''),
            step.fullC.toFixed(0),
            step.level.toFixed(0),
          ]),
        ],
        { newline: '\r\n' },
      ),
      'text/csv',
    );
</script>

<p class="row no-print">
  <Select
    label="The board has"
    options={[
      { value: 'three', words: 'only some speeds' },
      { value: 'continuous', words: 'any speed' },
    ]}
    bind:value={board}
  />
  {#if board === 'three'}
    <TextField label="speeds, %" bind:value={speeds} inputmode="numeric" />
  {/if}
  <TextField
    short
    label={labelled('stay under, °C')}
    type="number"
    min={Math.round(shownDegrees(45))}
    max={Math.round(shownDegrees(100))}
    bind:value={() => Math.round(shownDegrees(aim)), (shown) => (aim = celsius(shown))}
  />
  {#if result.plan}<Button onclick={save}>Table as CSV</Button>{/if}
</p>
<p class="soft">
  {#if fitted}
    By “{fitted.run.name}”: {fitted.settling.tauS.toFixed(0)} s time constant, {say(
      `${((fitted.riseK ?? 0) / full).toFixed(2)} K`,
    )} a watt at {full.toFixed(0)} W.
  {:else}No settled run with its room yet: a usual machine stands in. Hang a run on the job and this
    is its own.{/if}
</p>
<Fault text={result.fault} />
{#if result.plan}
  <svg
    viewBox="0 0 {W} {H}"
    role="img"
    aria-label="Fan speed against temperature, a stair with gaps"
  >
    {#each [20, 40, 60, 80, 100] as tick (tick)}
      <path class="grid" d="M{x(tick)} 20V{H - 30}" />
      <text class="mid" x={x(tick)} y={H - 12}>{say(`${tick} °C`)}</text>
    {/each}
    {#each result.plan.steps as step (step.speed)}
      {#if board === 'three'}<text class="end" x="36" y={y(step.speed) + 4}
          >{Math.round(step.speed * 100)} %</text
        >{/if}
      <circle class="full" cx={x(Math.min(100, step.fullC))} cy={y(step.speed)} r="5" />
      <circle class="usual" cx={x(Math.min(100, step.usualC))} cy={y(step.speed)} r="5" />
    {/each}
    <path class="down" d={stair.down} />
    <path class="up" d={stair.up} />
    <path class="aim" d="M{x(aim)} 20V{H - 30}" />
  </svg>
  <p class="soft">
    Solid up, dashed down. Rings where usual work settles at that speed, dots at full load, warmest
    room.
  </p>
  <table>
    <thead>
      <tr><th>speed</th><th>on from</th><th>back at</th><th>full load</th><th>level</th></tr>
    </thead>
    <tbody>
      {#each result.plan.steps as step (step.speed)}
        <tr>
          <td>{Math.round(step.speed * 100)} %</td>
          <td>{step.upC === undefined ? 'always' : say(`${step.upC} °C`)}</td>
          <td>{step.downC === undefined ? '' : say(`${step.downC} °C`)}</td>
          <td>{say(`${step.fullC.toFixed(0)} °C`)}</td>
          <td>{step.level > 0 ? `${step.level.toFixed(0)} dB` : '?'}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p>
    In a simulated hour of usual work the speed changes
    <span class="figure">{result.plan.changesAnHour}</span> times; without the gap
    <span class="figure">{result.plan.changesWithoutGap}</span>. {say(result.plan.say)}
  </p>
{/if}

<style>
  svg {
    width: 100%;
    max-width: 720px;
  }
  .grid {
    stroke: var(--line);
  }
  .up {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }
  .down {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
  .aim {
    stroke: var(--stop);
    stroke-width: 2;
  }
  .full {
    fill: var(--ink);
  }
  .usual {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 2;
  }
  text {
    font: 12px var(--face-figure);
    fill: var(--ink-soft);
  }
  .mid {
    text-anchor: middle;
  }
  .end {
    text-anchor: end;
  }
  table {
    border-collapse: collapse;
    font: 16px var(--face-figure);
  }
  th,
  td {
    padding: 4px 16px 4px 0;
    text-align: left;
    border-bottom: 1px solid var(--line);
  }
  th {
    font: 600 15px var(--face-head);
  }
</style>
