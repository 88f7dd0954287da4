<script lang="ts">
  import { recordFact } from '$lib/shop/recordFact.ts';
  import { pressureSays } from '$core/heat/index.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { airOf, placedFans } from '$core/plan/heatSums.ts';
  import type { Range } from '$core/units/range.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import { M3H_PER_CFM } from '$core/standards/air.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { Chosen } from '$lib/frame/chosen.svelte.ts';
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import { walls, type Wall } from '$core/model/types/shapes.ts';
  import { outsideOf, usualOutside } from '$lib/draw/sizes.ts';
  import GapBoard from '$lib/ui/GapBoard.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Select from '$lib/ui/Select.svelte';

  const { view, plan }: ViewProps = $props();
  const air = $derived(airOf(plan));
  const chosen = $derived(new Chosen(view, 'heat'));
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
  function hang(seat: string, wall: string): void {
    const part = plan.seats.find((placed) => placed.seat === seat)?.part;
    if (!part) return;
    void recordFact(part, 'wall', wall === '' ? undefined : { text: wall }, {
      how: 'measured',
      onlyThis: true,
      label: `${seatName(seat)} hangs ${wall === '' ? 'somewhere' : `at the ${wall}`}`,
    });
  }

  const [W, H] = [760, 330];
  /** Seen from the side: as deep and as high as the case is. */
  const box = $derived.by(() => {
    const shell = partOfKind(plan, 'case');
    const { d, h } = shell ? outsideOf(shopStore.shop, shell.part) : usualOutside('mini tower');
    const scale = Math.min(300 / d, 200 / h);
    const [w, high] = [d * scale, h * scale];
    return { x: (W - 130 - w) / 2, y: 62 + (200 - high) / 2, w, h: high };
  });
  /** Air in the unit of the shop: cubic metres an hour, or cubic feet a minute where lengths are in inches. */
  const flow = (cfm: Range) =>
    shopStore.shop.settings.unit === 'in'
      ? `${f(cfm)} cfm`
      : `${f({ lo: cfm.lo * M3H_PER_CFM, hi: cfm.hi * M3H_PER_CFM })} m³/h`;
  /** Pixels a cfm: arrows of true width. */
  const wide = (cfm: number) => Math.max(1.5, cfm * 0.9);
  /** Each fan at its wall, several of one wall spread along it; one nobody placed waits beside the case. */
  const drawn = $derived.by(() => {
    const flows = new Map(air?.fans.map((fan) => [fan.name, fan]));
    return fans.flatMap((fan) => {
      const own = flows.get(fan.name);
      if (!own) return [];
      const alike = fans.filter((each) => each.wall === fan.wall);
      const share = (alike.indexOf(fan) + 1) / (alike.length + 1);
      return { ...own, wall: fan.wall, ...spot(fan.wall, share) };
    });
  });
  /** Where a fan of a wall is drawn, and which way out of the case is there. */
  function spot(wall: string, share: number): { x: number; y: number; out: [number, number] } {
    const { x, y, w, h } = box;
    switch (wall) {
      case 'front':
        return { x: x + w, y: y + h * share, out: [1, 0] };
      case 'rear':
        return { x, y: y + h * share, out: [-1, 0] };
      case 'top':
        return { x: x + w * share, y, out: [0, -1] };
      case 'floor':
        return { x: x + w * share, y: y + h, out: [0, 1] };
      case 'side':
      case 'lid':
        return { x: x + w * (0.25 + share / 2), y: y + h * 0.78, out: [0, 0] };
      default:
        return { x: W - 62, y: 40 + 250 * share, out: [0, 0] };
    }
  }

  /** The fan in the hand, and where the hand is. */
  let held = $state<{ name: string; x: number; y: number }>();
  let picture = $state<SVGSVGElement>();
  function at(event: PointerEvent): { x: number; y: number } {
    const matrix = picture?.getScreenCTM()?.inverse();
    const point = new DOMPoint(event.clientX, event.clientY);
    const { x, y } = matrix ? point.matrixTransform(matrix) : point;
    return { x, y };
  }
  function grab(name: string, event: PointerEvent): void {
    picture?.setPointerCapture(event.pointerId);
    held = { name, ...at(event) };
  }
  function drop(): void {
    if (!held) return;
    const { name, x, y } = held;
    held = undefined;
    const { w, h } = box;
    /* How near each wall is, in px; let go far from all of them it hangs where it did. */
    const near: [Wall, number][] = [
      ['rear', Math.abs(x - box.x)],
      ['front', Math.abs(x - box.x - w)],
      ['top', Math.abs(y - box.y)],
      ['floor', Math.abs(y - box.y - h)],
    ];
    const outside = x < box.x - 60 || x > box.x + w + 60 || y < box.y - 60 || y > box.y + h + 60;
    const [wall] = near.sort((a, b) => a[1] - b[1])[0] ?? [];
    if (wall && !outside) hang(name, wall);
  }
  const f = ({ lo, hi }: { lo: number; hi: number }) =>
    hi - lo < 0.5 ? hi.toFixed(0) : `${lo.toFixed(0)} to ${hi.toFixed(0)}`;
</script>

{#if air}
  {#if fans.length > 0}
    <p class="row no-print">
      {#each fans as fan (fan.name)}
        <span class="fan">
          <Select
            label={`${seatName(fan.name)} hangs`}
            options={walls}
            none="somewhere"
            value={fan.wall === 'somewhere' ? '' : fan.wall}
            onchange={(event) => hang(fan.name, event.currentTarget.value)}
          />
          <Select
            label="blows"
            options={[
              { value: 'in', words: 'in' },
              { value: 'out', words: 'out' },
            ]}
            none="in or out"
            aria-label="{seatName(fan.name)} blows"
            value={fan.blows === 'either' ? '' : fan.blows}
            onchange={(event) => turn(fan.name, event.currentTarget.value)}
          />
        </span>
      {/each}
    </p>
  {/if}
  <svg
    bind:this={picture}
    viewBox="0 0 {W} {H}"
    role="img"
    onpointermove={(event) => held && (held = { ...held, ...at(event) })}
    onpointerup={drop}
    aria-label="Air through the case: {flow(air.throughCfm)}, {f(
      air.warmerK,
    )} kelvin warmer than the room"
  >
    <rect class="case" x={box.x} y={box.y} width={box.w} height={box.h} />
    <text x={box.x + 6} y={box.y + box.h - 8}>rear</text>
    <text class="end" x={box.x + box.w - 6} y={box.y + box.h - 8}>front</text>
    {#if drawn.some(({ wall }) => wall === 'somewhere')}
      <rect class="tray" x={W - 122} y="4" width="120" height={H - 8} />
      <text class="mid" x={W - 62} y="22">not placed:</text>
      <text class="mid" x={W - 62} y="38">drag it to its wall</text>
    {/if}
    {#each drawn as fan (fan.name)}
      {@const most = wide(fan.cfm.hi)}
      {@const least = wide(fan.cfm.lo)}
      {@const [ox, oy] = fan.out}
      {@const moved = held?.name === fan.name ? held : fan}
      {@const side = fan.blows === 'in' ? -1 : 1}
      <!-- svelte-ignore a11y_no_static_element_interactions (each fan has its fields above the picture, too) -->
      <g
        class="grab"
        transform="translate({moved.x} {moved.y})"
        onpointerdown={(event) => grab(fan.name, event)}
      >
        {#if ox === 0 && oy === 0}
          <rect class="loose" x="-20" y="-20" width="40" height="40" rx="4" />
          <circle class="hub" r="13" />
          <text class="mid" y="34">{seatName(fan.name)}</text>
        {:else if fan.blows === 'either'}
          <path class="most" d="M{-44 * ox} {-44 * oy}L{44 * ox} {44 * oy}" stroke-width={most} />
          <text class="mid" x={62 * ox} y={ox === 0 ? oy * 52 + 4 : -most / 2 - 6}
            >{seatName(fan.name)}: in or out</text
          >
        {:else}
          <g transform="rotate({(Math.atan2(oy * side, ox * side) * 180) / Math.PI})">
            <path class="most" d="M-44 0H40" stroke-width={most} />
            <path class="least" d="M-44 0H40" stroke-width={least} />
            <path class="head" d="M40 {-most / 2 - 6}l16 {most / 2 + 6}l-16 {most / 2 + 6}z" />
          </g>
          <text
            class={ox === 0 ? 'mid' : ox > 0 ? '' : 'end'}
            x={ox * 14}
            y={ox === 0 ? oy * 66 + 4 : -most / 2 - 8}>{seatName(fan.name)} {flow(fan.cfm)}</text
          >
        {/if}
      </g>
    {/each}
    <text class="mid big" x={box.x + box.w / 2} y={box.y + box.h / 2 - 6}
      >{say(`${f(air.warmerK)} K`)} warmer</text
    >
    <text class="mid" x={box.x + box.w / 2} y={box.y + box.h / 2 + 16}
      >{flow(air.throughCfm)} through</text
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
  findings={chosen.finding ? [chosen.finding] : []}
  chosen={chosen.finding?.id}
  units={shopStore.shop.settings}
  onchoose={(id) => (uiState.chosen = id)}
/>
{#if chosen.finding && chosen.finding.mark !== 'clear'}
  <Remedies
    finding={chosen.finding}
    remedies={chosen.remedies}
    units={shopStore.shop.settings}
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
  .end {
    text-anchor: end;
  }
  .fan {
    display: flex;
    gap: 4px;
    align-items: end;
  }
  .tray {
    fill: none;
    stroke: var(--line);
    stroke-dasharray: 4 4;
  }
  .grab {
    cursor: grab;
    touch-action: none;
  }
  .loose {
    fill: var(--part-comes);
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 4 3;
  }
  .hub {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .big {
    font: 700 22px var(--face-head);
  }
</style>
