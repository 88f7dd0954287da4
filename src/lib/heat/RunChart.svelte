<script lang="ts">
  import { line, scaleLinear } from 'd3';
  import { say, shownDegrees } from '$lib/shop/units.svelte.ts';
  import { courseAt, courseOf, type RunFit } from '$core/heat/index.ts';

  interface Props {
    said: readonly RunFit[];
    /** The two whose difference is drawn, first to second. */
    pair: readonly [string, string] | undefined;
  }
  const { said, pair }: Props = $props();
  let width = $state(740);
  const H = 300;
  const [LEFT, RIGHT, TOP, BOTTOM] = [44, 150, 8, 26];
  const length = $derived(
    Math.max(60, ...said.map((each) => each.settling.spanS + Math.min(each.settling.moreS, 1800))),
  );
  const temps = $derived(
    said.flatMap((each) => [
      each.settling.end,
      Math.min(130, each.settling.hi),
      ...(courseOf(each.run, 'temperature')?.v ?? []),
    ]),
  );
  const x = $derived(scaleLinear([0, length / 60], [LEFT, Math.max(LEFT + 200, width - RIGHT)]));
  const scale = $derived(
    scaleLinear(
      [shownDegrees(Math.min(...temps) - 3), shownDegrees(Math.max(...temps) + 3)],
      [H - BOTTOM, TOP],
    ).nice(),
  );
  const y = $derived((celsius: number) => scale(shownDegrees(celsius)));
  const inks = [
    'var(--ink)',
    'var(--accent)',
    'var(--watch)',
    'var(--clear)',
    'var(--mend)',
    'var(--stop)',
  ];
  const measured = ({ run }: RunFit) => {
    const course = courseOf(run, 'temperature');
    return (
      line<number>()
        .x((i) => x((course?.s[i] ?? 0) / 60))
        .y((i) => y(course?.v[i] ?? 0))((course?.v ?? []).map((_, i) => i)) ?? ''
    );
  };
  /** What the fit foretells after the last reading. */
  const foretold = ({ settling }: RunFit) => {
    const { spanS } = settling;
    const until = Math.max(spanS, length);
    const times = Array.from({ length: 40 }, (_, i) => spanS + ((until - spanS) * i) / 39);
    return (
      line<number>()
        .x((s) => x(s / 60))
        .y((s) => y(courseAt(settling, s)))(times) ?? ''
    );
  };
  const [from, to] = $derived(
    pair ? pair.map((id) => said.find((each) => each.run.id === id)) : [undefined, undefined],
  );
  const right = $derived(x.range()[1] ?? 0);
  /** Names beside their settled values, kept apart. */
  const names = $derived.by(() => {
    const list = said
      .map((each, i) => ({ each, i, at: y(each.settling.end) }))
      .sort((a, b) => a.at - b.at);
    let floor = 14;
    for (const one of list) {
      one.at = Math.max(one.at, floor);
      floor = one.at + 32;
    }
    return list;
  });
</script>

<div bind:clientWidth={width}>
  <svg {width} height={H} role="img" aria-label="Runs over each other, with where each settles">
    {#each scale.ticks(6) as tick (tick)}
      <path class="grid" d="M{LEFT} {scale(tick)}H{right}" />
      <text class="end" x={LEFT - 6} y={scale(tick) + 4}>{tick}</text>
    {/each}
    {#each x.ticks(6) as tick (tick)}
      <text class="mid" x={x(tick)} y={H - 8}>{tick} min</text>
    {/each}
    {#each said as each, i (each.run.id)}
      <rect
        class="band"
        style:fill={inks[i % inks.length]}
        x={LEFT}
        width={right - LEFT}
        y={y(Math.min(each.settling.hi, each.settling.end + 40))}
        height={Math.max(
          2,
          y(Math.max(each.settling.lo, each.settling.end - 40)) -
            y(Math.min(each.settling.hi, each.settling.end + 40)),
        )}
      />
      <path class="run" style:stroke={inks[i % inks.length]} d={measured(each)} />
      <path class="run foretold" style:stroke={inks[i % inks.length]} d={foretold(each)} />
    {/each}
    {#if from && to}
      {@const [a, b] = [y(from.settling.end), y(to.settling.end)]}
      <path
        class="gap"
        d="M{right - 14} {a}H{right - 2}M{right - 14} {b}H{right - 2}M{right - 8} {a}V{b}"
      />
    {/if}
    {#each names as { each, i, at } (each.run.id)}
      <text class="name" style:fill={inks[i % inks.length]} x={right + 8} y={at}
        >{each.run.name.slice(0, 22)}</text
      >
      <text x={right + 8} y={at + 14}
        >{say(`${each.settling.end.toFixed(1)} °C`)}{each.settling.settled
          ? ''
          : ', foretold'}</text
      >
    {/each}
  </svg>
</div>

<style>
  svg {
    display: block;
  }
  .grid {
    stroke: var(--line);
  }
  .band {
    opacity: 0.18;
  }
  .run {
    fill: none;
    stroke-width: 2;
  }
  .foretold {
    stroke-dasharray: 6 5;
  }
  .gap {
    stroke: var(--ink);
    stroke-width: 3;
    fill: none;
  }
  text {
    font: 12px var(--face-figure);
    fill: var(--ink-soft);
  }
  .name {
    font: 700 14px var(--face-head);
  }
  .end {
    text-anchor: end;
  }
  .mid {
    text-anchor: middle;
  }
</style>
