<script lang="ts">
  import { linkHorizontal } from 'd3';
  import type { Finding } from '$core/findings/finding.ts';
  import type { Flip } from '$core/findings/flips.ts';
  import type { Tree } from '$core/watts/tree/index.ts';
  import { layTree, type LaidBranch } from './layTree.ts';

  interface Props {
    tree: Tree;
    /** The tree before the last edit, outlined where it differs. */
    before?: Tree | undefined;
    /** Verdicts the last edit turned, by the id of their sum. */
    flips?: ReadonlyMap<string, Flip>;
    /** Sums with a place in the tree, by branch id. */
    sums: ReadonlyMap<string, Finding>;
    chosen: string | undefined;
    /** The part in hand, to be hung on another lead. */
    held: string | undefined;
    onbranch: (id: string) => void;
    /** A load was let go over a lead. */
    onhang: (seat: string, branchId: string) => void;
  }
  const { tree, before, flips, sums, chosen, held, onbranch, onhang }: Props = $props();
  let width = $state(740);
  const laid = $derived(layTree(tree.branches, Math.max(640, width - 4)));
  const link = linkHorizontal<unknown, [number, number]>();
  const ribbon = (each: LaidBranch) =>
    each.from
      ? (link({
          source: [each.from.x, each.from.y],
          target: [each.x, each.y + each.h / 2],
        } as never) ?? '')
      : '';
  /** Several of a kind are told apart by the number of their seat. */
  const nameOf = ({ label, seat }: LaidBranch['branch']) =>
    label === 'fan' || label === 'drive' ? `${label} ${seat?.replace(/\D/g, '') ?? ''}` : label;
  /** As much of a name as its slot holds. */
  const fitted = (name: string) => {
    const letters = Math.floor(laid.boxW / 6.4);
    return name.length > letters ? `${name.slice(0, letters - 1).trim()}…` : name;
  };
  const watts = (range: { lo: number; hi: number }) => {
    const f = (value: number) => (value < 10 ? value.toFixed(1) : String(Math.round(value)));
    return range.hi - range.lo < 0.5 ? f(range.hi) : `${f(range.lo)}–${f(range.hi)}`;
  };
  const was = $derived(new Map(before?.branches.map((each) => [each.id, each.watts.hi])));
  /** Height of a slot before the last edit, where it differed by a fiftieth or more. */
  function ghost({ branch }: LaidBranch): number | undefined {
    if (!before) return undefined;
    const watts = was.get(branch.id) ?? 0;
    const differs = Math.abs(watts - branch.watts.hi) > 0.02 * Math.max(watts, branch.watts.hi);
    return differs ? laid.thick(watts) : undefined;
  }
  /** A slot this high has a line for its amps; in a lower one they stand beside the watts, for leads only. */
  const TALL = 44;
  const ampsOf = ({ branch, h }: LaidBranch): string =>
    branch.amps && branch.kind !== 'load' && (h >= TALL || branch.kind === 'lead')
      ? `${branch.amps.hi.toFixed(1)} A`
      : '';
  /** What fills of the slot: need over room, at worst. */
  function filled(finding: Finding | undefined): number | undefined {
    if (!finding?.margin) return undefined;
    const room = finding.terms.reduce(
      (sum, term) =>
        typeof term.value !== 'string' && term.sign === 1 ? sum + term.value.lo : sum,
      0,
    );
    return room > 0 ? Math.max(0, 1 - finding.margin.lo / room) : undefined;
  }
  const heat = $derived(Math.max(1, ...tree.branches.map((branch) => branch.lossW.hi)));
  let dragged = $state<{ seat: string; x: number; y: number } | undefined>();
  let over = $state<string | undefined>();
  let svg = $state<SVGSVGElement | undefined>();

  function point(event: PointerEvent): { x: number; y: number } {
    const box = svg?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0) - 2, y: event.clientY - (box?.top ?? 0) - 14 };
  }
  function grab(each: LaidBranch, event: PointerEvent): void {
    if (each.branch.kind !== 'load' || !each.branch.seat) return;
    dragged = { seat: each.branch.seat, ...point(event) };
  }
  function move(event: PointerEvent): void {
    if (!dragged) return;
    const at = point(event);
    dragged = { ...dragged, ...at };
    over = laid.branches.find(
      (each) =>
        each.branch.kind === 'lead' &&
        at.x >= each.x &&
        at.x <= each.x + laid.boxW &&
        at.y >= each.y &&
        at.y <= each.y + each.h,
    )?.branch.id;
  }
  function drop(): void {
    if (dragged && over !== undefined) onhang(dragged.seat, over);
    dragged = undefined;
    over = undefined;
  }
</script>

<svelte:window onpointermove={move} onpointerup={drop} />

<div class="tree" bind:clientWidth={width}>
  <svg
    bind:this={svg}
    width={laid.width + 4}
    height={laid.height + 24}
    role="group"
    aria-label="From the wall to the parts, width by watts"
  >
    <g transform="translate(2 14)">
      {#each laid.branches as each (each.branch.id)}
        {#if each.from}
          <path
            class="ribbon"
            class:lit={each.branch.id === chosen}
            d={ribbon(each)}
            stroke-width={each.from.h}
          />
          {#if each.branch.lossW.hi > heat * 0.02}
            <path
              class="heat"
              d={ribbon(each)}
              stroke-width={Math.max(
                1.5,
                each.from.h *
                  Math.min(1, each.branch.lossW.hi / Math.max(1e-6, each.branch.watts.hi)),
              )}
            />
          {/if}
        {/if}
      {/each}
      {#each laid.branches as each (each.branch.id)}
        {@const sum = sums.get(each.branch.id)}
        {@const fill = filled(sum)}
        {@const shade = ghost(each)}
        {@const turned = sum && flips?.get(sum.id)}
        <g
          class="branch {each.branch.kind} {sum?.mark ?? ''}"
          class:lit={each.branch.id === chosen}
          class:over={each.branch.id === over}
          class:held={each.branch.seat !== undefined &&
            each.branch.seat === (dragged?.seat ?? held)}
          role="button"
          tabindex="0"
          aria-label="{nameOf(each.branch)} {watts(each.branch.watts)} W{ampsOf(each)
            ? ` ${ampsOf(each)}`
            : ''}{sum ? `, ${sum.mark}` : ''}"
          onclick={() => onbranch(each.branch.id)}
          onkeydown={(event) =>
            (event.key === 'Enter' || event.key === ' ') &&
            (event.preventDefault(), onbranch(each.branch.id))}
          onpointerdown={(event) => grab(each, event)}
        >
          <rect class="slot" x={each.x} y={each.y} width={laid.boxW} height={each.h} rx="2" />
          {#if fill !== undefined}
            <rect
              class="fill"
              x={each.x}
              y={each.y + each.h - 5}
              width={laid.boxW * Math.min(1, fill)}
              height="5"
            />
            <path class="edge" d="M{each.x + laid.boxW} {each.y + each.h - 8}v8" />
          {/if}
          {#if shade !== undefined}
            <path
              class="ghost"
              d="M{each.x - 2} {each.y + each.h / 2 - shade / 2}h-5v{Math.max(2, shade)}h5"
            />
          {/if}
          {#if turned?.from && turned.to && turned.from !== turned.to}
            <text class="turned" x={each.x} y={each.y - 3}>{`was ${turned.from} `}</text>
          {/if}
          <!-- The space keeps name, watts and amps apart where they are read out. -->
          <text class="label" x={each.x + 5} y={each.y + 12}
            >{`${fitted(nameOf(each.branch))} `}</text
          >
          <text class="figure" x={each.x + 5} y={each.y + 24}
            >{`${watts(each.branch.watts)} W `}</text
          >
          {#if ampsOf(each)}
            <text
              class="figure"
              class:right={each.h < TALL}
              x={each.h < TALL ? each.x + laid.boxW - 4 : each.x + 5}
              y={each.y + (each.h < TALL ? 24 : 36)}>{ampsOf(each)}</text
            >
          {/if}
        </g>
      {/each}
      {#if dragged}
        <circle class="hand" cx={dragged.x} cy={dragged.y} r="9" />
      {/if}
    </g>
  </svg>
</div>

<style>
  .tree {
    overflow-x: auto;
  }
  svg {
    display: block;
  }
  .load {
    touch-action: none;
  }
  .ribbon,
  .heat {
    fill: none;
  }
  .ribbon {
    stroke: var(--part-comes);
  }
  .ribbon.lit {
    stroke: var(--accent);
    opacity: 0.6;
  }
  .heat {
    stroke: var(--stop);
    opacity: 0.4;
  }
  .branch {
    cursor: pointer;
    outline: none;
  }
  .load {
    cursor: grab;
  }
  .slot {
    fill: var(--tape);
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .fill {
    fill: var(--clear);
  }
  .watch .fill {
    fill: var(--watch);
  }
  .mend .fill {
    fill: var(--mend);
  }
  .stop .fill {
    fill: var(--stop);
  }
  .stop .slot {
    stroke: var(--stop);
    stroke-width: 2.5;
  }
  .edge {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .ghost {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    pointer-events: none;
  }
  .turned {
    font: 600 11.5px var(--face-head);
    fill: var(--stop);
  }
  .lit .slot,
  .branch:focus-visible .slot,
  .over .slot,
  .held .slot {
    stroke: var(--accent);
    stroke-width: 3;
  }
  text {
    fill: var(--ink);
    pointer-events: none;
  }
  .label {
    font: 600 12.5px var(--face-head);
  }
  .figure {
    font: 11px var(--face-figure);
    fill: var(--ink-soft);
  }
  .right {
    text-anchor: end;
  }
  .hand {
    fill: var(--accent);
    pointer-events: none;
  }
</style>
