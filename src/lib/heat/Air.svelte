<script lang="ts">
  import { recordFact } from '$lib/shop/recordFact.ts';
  import { pressureSays } from '$core/heat/index.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { airOf, placedFans } from '$core/plan/heatSums.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { Chosen } from '$lib/frame/chosen.svelte.ts';
  import GapBoard from '$lib/ui/GapBoard.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Field from '$lib/ui/Field.svelte';

  const { view, plan }: ViewProps = $props();
  const air = $derived(airOf(plan));
  // svelte-ignore state_referenced_locally (a station's view stays with its station)
  const chosen = new Chosen(view, 'heat');
  const fans = $derived(placedFans(plan));
  /** Which way a fan blows, seen at the bench. */
  function turn(seat: string, way: string): void {
    const part = plan.seats.find((placed) => placed.seat === seat)?.part;
    if (!part) return;
    void recordFact(part, 'blows', way === '' ? undefined : { text: way }, {
      how: 'measured',
      onlyThis: true,
      label: `${seatName(seat)} blows ${way || 'either way'}`,
    });
  }
  const [W, H] = [640, 262];
  const box = { x: 170, y: 52, w: 300, h: 170 };
  /** Pixels a cfm: arrows of true width. */
  const wide = (cfm: number) => Math.max(1.5, cfm * 0.9);
  const sides = $derived.by(() => {
    if (!air) return [];
    const own = air.fans.map((fan, i) => ({ ...fan, i }));
    const front = own.filter((fan) => fan.blows === 'in');
    const rear = own.filter((fan) => fan.blows === 'out');
    const top = own.filter((fan) => fan.blows === 'either');
    const place = (list: typeof own, x: number) =>
      list.map((fan, k) => ({ fan, x, y: box.y + ((k + 1) * box.h) / (list.length + 1) }));
    return [
      ...place(front, box.x + box.w),
      ...place(rear, box.x),
      ...top.map((fan, k) => ({ fan, x: box.x + ((k + 1) * box.w) / (top.length + 1), y: box.y })),
    ];
  });
  const f = ({ lo, hi }: { lo: number; hi: number }) =>
    hi - lo < 0.5 ? hi.toFixed(0) : `${lo.toFixed(0)} to ${hi.toFixed(0)}`;
</script>

{#if air}
  {#if fans.length > 0}
    <p class="row no-print">
      {#each fans as fan (fan.name)}
        <Field label={`${seatName(fan.name)}${fan.wall === 'somewhere' ? '' : `, ${fan.wall}`}`}
          ><select
            value={fan.blows === 'either' ? '' : fan.blows}
            onchange={(event) => turn(fan.name, event.currentTarget.value)}
          >
            <option value="">in or out</option><option>in</option><option>out</option>
          </select></Field
        >
      {/each}
    </p>
  {/if}
  <svg
    viewBox="0 0 {W} {H}"
    role="img"
    aria-label="Air through the case: {f(air.throughCfm)} cubic feet a minute, {f(
      air.warmerK,
    )} kelvin warmer than the room"
  >
    <rect class="case" x={box.x} y={box.y} width={box.w} height={box.h} />
    <text class="mid" x={box.x + box.w / 2} y={box.y + box.h + 20}>rear · · · front</text>
    {#each sides as { fan, x, y } (fan.name)}
      {@const most = wide(fan.cfm.hi)}
      {@const least = wide(fan.cfm.lo)}
      {#if fan.blows === 'either'}
        <path class="most" d="M{x} {y - 26}v52" stroke-width={most} />
        <text class="mid" {x} y={y - 32}>{fan.name}</text>
      {:else}
        <path class="most" d="M{x + 50} {y}H{x - 50}" stroke-width={most} />
        <path class="least" d="M{x + 50} {y}H{x - 50}" stroke-width={least} />
        <path class="head" d="M{x - 50} {y - most / 2 - 6}l-16 {most / 2 + 6}l16 {most / 2 + 6}z" />
        <text x={fan.blows === 'in' ? x + 56 : x - 164} y={y + 4}>{fan.name} {f(fan.cfm)} cfm</text>
      {/if}
    {/each}
    <text class="mid big" x={box.x + box.w / 2} y={box.y + box.h / 2 - 6}
      >{f(air.warmerK)} K warmer</text
    >
    <text class="mid" x={box.x + box.w / 2} y={box.y + box.h / 2 + 16}
      >{f(air.throughCfm)} cfm through</text
    >
  </svg>
  <p>
    {air.fans.some((fan) => fan.blows === 'either')
      ? 'Where some fans sit has not been said: they may blow in or out. '
      : ''}{pressureSays[air.pressure]}
  </p>
  <p class="soft">
    Radiators blowing in cool better, blowing out keep the case cleaner of warm air; passive is for
    cases under 15 litres with holes above. {fans.length === 0 ? 'No fans in the plan.' : ''} Flows are
    common practice, no source.
  </p>
{:else}
  <p>Put a case, a board and a PSU into the plan: then the air can be reckoned.</p>
{/if}
<GapBoard
  findings={chosen.here}
  chosen={chosen.finding?.id}
  lengths={shopStore.shop.settings.unit}
  onchoose={(id) => (uiState.chosen = id)}
/>
{#if chosen.finding && chosen.finding.mark !== 'clear'}
  <Remedies
    finding={chosen.finding}
    remedies={chosen.remedies}
    lengths={shopStore.shop.settings.unit}
    ontake={chosen.take}
  />
{/if}

<style>
  svg {
    width: 100%;
    max-width: 760px;
  }
  .case {
    fill: var(--shell);
    stroke: var(--ink);
    stroke-width: 3;
  }
  .most {
    stroke: var(--part-comes);
    fill: none;
  }
  .least {
    stroke: var(--watch);
    fill: none;
    opacity: 0.6;
  }
  .head {
    fill: var(--watch);
  }
  text {
    font: 12px var(--face-figure);
    fill: var(--ink);
  }
  .mid {
    text-anchor: middle;
  }
  .big {
    font: 700 22px var(--face-head);
  }
</style>
