<script lang="ts">
  import { addWants } from '$core/shop/items.ts';
  import { fastenersFor, missingFasteners, screwLength, whichThread } from '$core/fit/fasteners.ts';
  import { formatLength } from '$core/units/length.ts';
  import { spoken } from '$core/units/degrees.ts';
  import { range } from '$core/units/range.ts';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';

  interface Props {
    plan: Plan;
    view: JobView;
    onclose: () => void;
  }
  const { plan, view, onclose }: Props = $props();
  let diameter = $state<number | undefined>();
  let pitch = $state<number | undefined>();
  let plate = $state(1.2);
  let depth = $state(3.8);
  const lengths = $derived(shopStore.shop.settings.unit);
  const thread = $derived(attempt(() => (diameter ? whichThread(diameter, pitch).say : '')));
  const screw = $derived.by(() => {
    try {
      return screwLength(plate, depth, 3.5);
    } catch {
      return undefined;
    }
  });
  const lines = $derived(fastenersFor(plan));
  const missing = $derived(missingFasteners(plan));
  const listed = $derived(
    missing.every((each) => view.job?.wants.some((want) => want.what === each.what)),
  );
  const exact = (value: number | undefined) => (value === undefined ? undefined : range(value));
  const drawn = (mm: number) => formatLength(mm, lengths);
  const PX = 16;

  function attempt(work: () => string): string {
    try {
      return work();
    } catch (error) {
      return (error as Error).message;
    }
  }

  function list(): void {
    const job = view.job;
    if (!job) return;
    void shopStore.edit('screws onto the list', addWants(job.id, missing));
  }
</script>

<div class="screws">
  <section>
    <h2>Which thread?</h2>
    <div class="row">
      <MeasureField
        label="diameter over the crests"
        unit="mm"
        {lengths}
        value={exact(diameter)}
        open={diameter === undefined}
        most={20}
        onmeasure={(value) => (diameter = value)}
      />
      <MeasureField
        label="pitch, or ten turns by ten"
        unit="mm"
        {lengths}
        value={exact(pitch)}
        open={pitch === undefined}
        most={3}
        onmeasure={(value) => (pitch = value)}
      />
    </div>
    <p aria-live="polite">{thread || 'Two figures tell 6-32 from M3.'}</p>
    <h2>How long?</h2>
    <div class="row">
      <MeasureField
        label="plate and bracket"
        unit="mm"
        {lengths}
        value={range(plate)}
        most={50}
        zero
        onmeasure={(value) => (plate = value)}
      />
      <MeasureField
        label="depth before it meets something"
        unit="mm"
        {lengths}
        value={range(depth)}
        most={60}
        onmeasure={(value) => (depth = value)}
      />
    </div>
    {#if screw}
      {@const length =
        screw.fits.length > 0
          ? Math.max(...screw.fits)
          : (screw.washers?.lengthMm ?? screw.mayMm.hi)}
      {@const lift = screw.fits.length > 0 ? 0 : (screw.washers?.count ?? 0) * 0.8}
      <svg
        viewBox="0 -14 260 {(plate + depth) * PX + 46}"
        role="img"
        aria-label="The screw in its plate and hole, to scale"
      >
        <rect class="plate" x="10" y={20} width="240" height={plate * PX} />
        <path
          class="hole"
          d="M96 {20 + plate * PX}V{20 + (plate + depth) * PX}H164V{20 + plate * PX}"
        />
        <rect class="screw" x="100" y={20 - lift * PX} width="60" height={length * PX} />
        <rect class="screw" x="78" y={20 - (lift + 1.2) * PX} width="104" height={1.2 * PX} />
        {#if lift > 0}<rect
            class="washer"
            x="70"
            y={20 - lift * PX}
            width="120"
            height={lift * PX}
          />{/if}
        <text x="176" y={20 + (plate + depth) * PX}>{drawn(depth)} deep</text>
        <text x="192" y="12">plate {drawn(plate)}</text>
      </svg>
      <p aria-live="polite">{spoken(screw.say, shopStore.shop.settings)}</p>
    {/if}
  </section>
  <section>
    <h2>This plan needs</h2>
    {#if lines.length === 0}<p>No screws: nothing comes in.</p>{/if}
    <table>
      <thead
        ><tr><th>what</th><th>for</th><th class="n">need</th><th class="n">on the shelf</th></tr
        ></thead
      >
      <tbody>
        {#each lines as line, i (i)}
          <tr>
            <td>{line.what}</td><td>{spoken(line.why, shopStore.shop.settings)}</td><td
              class="n figure">{line.need}</td
            >
            <td class="n figure">{line.have ?? 'none'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if missing.length > 0}
      <p>
        Missing: {missing.map((each) => `${each.count} ${each.what}`).join(', ')}.
        {#if listed}On the list.{/if}
      </p>
      {#if !listed}<Button next onclick={list}>Onto the list</Button>{/if}
    {:else if lines.length > 0}<p>All of it is on the shelf.</p>{/if}
    <p class="soft">Finger-tight all of them, then tighten: M3 0.5 Nm, 6-32 0.7 Nm.</p>
    <p><Button onclick={onclose}>Back to the case</Button></p>
  </section>
</div>

<style>
  .screws {
    display: flex;
    flex-wrap: wrap;
    gap: 14px 34px;
  }
  section {
    display: flex;
    flex-direction: column;
    gap: 8px;
    flex: 1 1 320px;
  }
  svg {
    width: 100%;
    max-width: 330px;
    max-height: 230px;
  }
  .plate {
    fill: var(--part-goes);
    stroke: var(--ink);
  }
  .hole {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .screw {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
  .washer {
    fill: var(--kraft, var(--part-stays));
    stroke: var(--ink);
  }
  text {
    fill: var(--ink);
    font: 14px var(--face-figure);
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    padding: 5px 10px 5px 0;
    border-bottom: 1px solid var(--line, var(--ink-soft));
    text-align: left;
    font-weight: 400;
  }
  th {
    font-size: 14px;
    color: var(--ink-soft);
  }
  .n {
    text-align: right;
  }
  td:first-child {
    white-space: nowrap;
  }
  section > :global(button) {
    align-self: flex-start;
  }
</style>
