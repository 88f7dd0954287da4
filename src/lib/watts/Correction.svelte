<script lang="ts">
  import { keepCorrection } from '$core/edits/wattEdits.ts';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { correctionOf, likeReadings } from '$core/watts/correct.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';

  interface Props {
    plan: Plan;
  }
  const { plan }: Props = $props();
  /** Readings of the machine as planned speak of the plan, those as found of what was found. */
  const correction = $derived(
    correctionOf(plan, 'after') ??
      (plan.machine && plan.job
        ? correctionOf({ ...foundOf(shopStore.shop, plan.machine.seats), job: plan.job }, 'before')
        : undefined),
  );
  const twins = $derived(likeReadings(plan));
  const most = $derived(
    Math.max(1, ...(correction?.parts ?? []).flatMap((each) => [each.was.hi, each.is.hi])),
  );
  const W = 250;
  const x = (watts: number) => (watts / most) * W;
  const percent = (value: number) => `${Math.abs(Math.round(value * 100))} %`;
  const off = $derived.by(() => {
    if (!correction) return '';
    const { lo, hi } = correction.off;
    if (lo <= 0 && hi >= 0) return 'The figures agree with the meter, as far as it can tell.';
    const [least, most] = hi < 0 ? [-hi, -lo] : [lo, hi];
    return `The figures were ${percent(least)} to ${percent(most)} too ${hi < 0 ? 'low' : 'high'}.`;
  });
  const differs = $derived(
    correction?.parts.some(
      (each) =>
        Math.abs(each.is.lo - each.was.lo) > 0.2 || Math.abs(each.is.hi - each.was.hi) > 0.2,
    ) ?? false,
  );

  function keep(): void {
    if (!correction) return;
    shopStore.edit('watts corrected by the meter', keepCorrection(correction, shopStore.now));
    toast('Watts corrected; kept with their models where they have one.');
  }
</script>

{#if correction || twins.length > 0}
  <section>
    <h2>What the meter makes of them</h2>
    {#if correction}
      <p>
        {#each correction.heard as { reading, gave, expected } (reading.load)}
          {reading.load}: <span class="figure">{reading.value.toFixed(1)} W</span> at the wall, so
          <span class="figure">{gave.lo.toFixed(0)} to {gave.hi.toFixed(0)} W</span> given; the
          figures said
          <span class="figure">{expected.lo.toFixed(0)} to {expected.hi.toFixed(0)}</span>.<br />
        {/each}
        <b>{off}</b>
      </p>
      <ul>
        {#each correction.parts as part (part.seat)}
          <li>
            <span>{seatName(part.seat)}</span>
            <svg
              viewBox="0 0 {W} 22"
              role="img"
              aria-label="{part.was.lo.toFixed(1)} to {part.was.hi.toFixed(
                1,
              )} W becomes {part.is.lo.toFixed(1)} to {part.is.hi.toFixed(1)} W"
            >
              <path class="axis" d="M0 11H{W}" />
              <rect
                class="was"
                x={x(part.was.lo)}
                y="2"
                width={Math.max(3, x(part.was.hi) - x(part.was.lo))}
                height="7"
              />
              <rect
                class="is"
                x={x(part.is.lo)}
                y="12"
                width={Math.max(3, x(part.is.hi) - x(part.is.lo))}
                height="8"
              />
            </svg>
            <span class="figure">{part.is.lo.toFixed(0)} to {part.is.hi.toFixed(0)} W</span>
          </li>
        {/each}
      </ul>
      {#if differs}<Button onclick={keep}>Keep these watts</Button>{/if}
      <p class="soft">Above as typed, below as the meter has it.</p>
    {/if}
    {#each twins as { machineId, reading } (machineId + reading.at)}
      <p>
        {machineId}, of the same name, drew <span class="figure">{reading.value} W</span>
        {reading.load}, as found.
      </p>
    {/each}
  </section>
{/if}

<style>
  section {
    flex: 1 1 340px;
  }
  ul {
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 84px 1fr 108px;
    gap: 8px;
    align-items: center;
  }
  .axis {
    stroke: var(--line);
  }
  .was {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 3 2;
  }
  .is {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
</style>
