<script lang="ts">
  import { area, curveMonotoneX } from 'd3';
  import type { Odds } from '$core/startup/index.ts';

  interface Props {
    /** Odds before any test, then after each. */
    course: readonly (readonly Odds[])[];
    /** What each test was, between. */
    tried: readonly { words: string; yes: boolean }[];
    /** One cause was found: the fan is down to it. */
    found: string | undefined;
  }
  const { course, tried, found }: Props = $props();
  let width = $state(700);
  const H = 250;
  const LABELS = 250;
  const right = $derived(Math.max(140, width - LABELS));
  const now = $derived(course.at(-1) ?? []);
  /** Ribbons in the order of now, likeliest in the middle, so that the fan closes on it. */
  const order = $derived.by(() => {
    const ids = now.map((each) => each.cause.id);
    const rest = (course[0] ?? []).map((each) => each.cause.id).filter((id) => !ids.includes(id));
    const all = [...ids, ...rest];
    const [up, down]: [string[], string[]] = [[], []];
    all.forEach((id, i) => (i % 2 === 0 ? down.push(id) : up.push(id)));
    return [...up.reverse(), ...down];
  });
  const steps = $derived(Math.max(1, course.length - 1));
  const x = (i: number) => (course.length < 2 ? (i === 0 ? 0 : right) : (i / steps) * right);
  const columns = $derived(course.length < 2 ? [course[0] ?? [], course[0] ?? []] : course);
  const ribbons = $derived.by(() => {
    const tops = columns.map(() => 0);
    return order.map((id) => {
      const points = columns.map((odds, i) => {
        const share = odds.find((each) => each.cause.id === id)?.share ?? 0;
        const y0 = tops[i] ?? 0;
        tops[i] = y0 + share;
        return { x: x(i), y0: y0 * H, y1: (y0 + share) * H };
      });
      const last = points.at(-1) ?? { y0: 0, y1: 0, x: 0 };
      const path =
        area<(typeof points)[number]>()
          .x((each) => each.x)
          .y0((each) => each.y0)
          .y1((each) => each.y1)
          .curve(curveMonotoneX)(points) ?? '';
      const own = now.find((each) => each.cause.id === id);
      return {
        id,
        path,
        share: own?.share ?? 0,
        name: own?.cause.name ?? '',
        y: (last.y0 + last.y1) / 2,
      };
    });
  });
  /** Labels of the likelier ones, kept apart. */
  const labels = $derived.by(() => {
    const shown = ribbons.filter((each) => each.share >= 0.03).sort((a, b) => a.y - b.y);
    let floor = 8;
    const placed = shown.map((each) => {
      const y = Math.max(each.y, floor);
      floor = y + 17;
      return { ...each, at: y };
    });
    let roof = H - 6;
    for (const each of placed.reverse()) {
      each.at = Math.min(each.at, roof);
      roof = each.at - 17;
    }
    return placed.reverse();
  });
  const lead = $derived(now[0]?.cause.id);
  /** As much of a test's words as its column holds, its answer last. */
  const fitted = ({ words, yes }: { words: string; yes: boolean }) => {
    const letters = Math.max(4, Math.floor(right / steps / 6.8) - 3);
    return `${words.length > letters ? `${words.slice(0, letters - 1).trim()}…` : words} ${yes ? '✓' : '–'}`;
  };
</script>

<div class="fan" bind:clientWidth={width}>
  <svg
    {width}
    height={H + 22}
    role="img"
    aria-label="Causes, each as wide as it is likely: {labels
      .slice()
      .sort((a, b) => b.share - a.share)
      .map((each) => `${each.name} ${Math.round(each.share * 100)} %`)
      .join(', ')}"
  >
    {#each ribbons as ribbon, i (ribbon.id)}
      <path
        class="ribbon"
        class:odd={i % 2 === 1}
        class:lead={ribbon.id === (found ?? lead)}
        d={ribbon.path}
      />
    {/each}
    {#each tried as each, i (i)}
      <path class="rule" d="M{x(i + 1)} 0V{H}" />
      <text class="test" x={Math.max(40, x(i + 1) - 3)} y={H + 15}>{fitted(each)}</text>
    {/each}
    {#each labels as label (label.id)}
      <path class="tick" d="M{right} {label.y}L{right + 10} {label.at}" />
      <text class="name" class:lead={label.id === (found ?? lead)} x={right + 14} y={label.at + 4}
        >{label.name.length > 31 ? `${label.name.slice(0, 30)}…` : label.name}
        {Math.round(label.share * 100)} %</text
      >
    {/each}
  </svg>
</div>

<style>
  .fan {
    overflow: hidden;
  }
  svg {
    display: block;
  }
  .ribbon {
    fill: var(--part-comes);
    stroke: var(--paper);
    stroke-width: 1;
  }
  .ribbon.odd {
    fill: var(--part-stays);
  }
  .ribbon.lead {
    fill: var(--accent);
    fill-opacity: 0.75;
  }
  .rule {
    stroke: var(--ink);
    stroke-dasharray: 2 4;
  }
  .tick {
    stroke: var(--ink-soft);
    fill: none;
  }
  .name {
    font: 14px var(--face-head);
    fill: var(--ink);
  }
  .name.lead {
    font-weight: 700;
  }
  .test {
    font: 11px var(--face-figure);
    fill: var(--ink-soft);
    text-anchor: end;
  }
</style>
