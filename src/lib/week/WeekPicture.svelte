<script lang="ts">
  import { partOfKind } from '$core/model/lookup/plan.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { indexOf } from '$core/model/lookup/lookup.ts';
  import { dampDays } from '$core/schedule/tasks.ts';
  import { hours, outlookWords } from '$core/schedule/words.ts';
  import type { WeekPlan } from '$core/schedule/plan.ts';
  import type { Task } from '$core/schedule/model.ts';
  import Front from '$lib/draw/Front.svelte';
  import { outsideOf } from '$lib/draw/sizes.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import { clockOf, minuteText } from '$lib/ui/dates.ts';
  import { axisOf, closedSpans, minuteAt, xOf } from './axis.ts';
  import { weekState } from '$lib/shop/weekState.svelte.ts';

  const { plan }: { plan: WeekPlan } = $props();

  const DAYS = 6;
  const ROW = 112;
  const TOP = 38;
  const LINE = 30;
  /** Pixels per millimetre of the machines. */
  const SCALE = 0.14;
  const STEP_MIN = 30;

  let width = $state(0);
  let dragged = $state<{ task: Task; from: number; dx: number } | undefined>();
  const ahead = $derived(clockOf(shopStore.now).ahead);
  const axis = $derived(axisOf(plan.week.now, ahead, Math.max(width, 300), DAYS));
  const x = $derived((minute: number) => xOf(axis, minute));
  const end = $derived(axis.from + DAYS * 1440);
  const tasks = $derived(plan.week.problem.tasks);
  const starts = $derived(plan.found?.starts ?? []);
  const cleaned = $derived(plan.found?.cleaned ?? []);
  const rows = $derived(
    plan.jobs
      .map((outlook) => {
        const own = tasks.flatMap((task, i) =>
          task.jobId === outlook.jobId ? [{ task, start: starts[i] ?? 0, i }] : [],
        );
        own.sort((a, b) => a.start - b.start);
        return { outlook, own, first: own[0]?.start ?? 0, job: jobOf(outlook.jobId) };
      })
      .filter(({ first }) => first < end)
      .sort((a, b) => a.first - b.first),
  );
  const places = $derived([...new Set(tasks.flatMap(({ place }) => place?.name ?? []))].sort());
  const height = $derived(TOP + rows.length * ROW + places.length * LINE + 12);
  const night = $derived(closedSpans(axis, plan.week.problem.open, plan.week.now));
  const dayNames = $derived(
    Array.from({ length: DAYS }, (_, i) => minuteText(axis.from + i * 1440 + 720, 'dayShort')),
  );

  /** Days that bear no spraying, with why. */
  const noPaint = $derived(
    dampDays(plan.week.workshop, ahead)
      .filter(({ from }) => from >= axis.from && from < end)
      .map(({ from, why }) => ({ at: from, why: say(why.replace(/:.*/, '')) })),
  );
  /** When a place is taken; two at once lie side by side. */
  function takenOf(name: string) {
    const free: number[] = [];
    const spans = tasks
      .flatMap((task, i) => {
        const from = starts[i] ?? 0;
        return task.place?.name === name && x(from) < width
          ? [{ task, from, to: from + task.hands + task.place.holds }]
          : [];
      })
      .sort((a, b) => a.from - b.from)
      .map((span) => {
        let lane = free.findIndex((until) => until <= span.from);
        if (lane < 0) lane = free.length;
        free[lane] = span.to;
        return { ...span, lane };
      });
    return spans.map((span) => ({ ...span, lanes: Math.max(1, free.length) }));
  }

  /** So much of a title as stands beside its machine, cut between words. */
  const shortened = (title: string): string =>
    title.length <= 34 ? title : `${title.slice(0, 34).replace(/[ ,:(][^ ]*$/, '')} …`;
  const jobOf = (id: string) => indexOf(shopStore.shop).jobs.get(id);
  function shellOf(jobId: string) {
    const machine = indexOf(shopStore.shop).machines.get(jobOf(jobId)?.machineId ?? '');
    const shell = machine && partOfKind(foundOf(shopStore.shop, machine.seats), 'case')?.part;
    const planned = jobOf(jobId)?.changes.find(
      ({ seat, partId }) => seat === 'case' && partId !== null,
    );
    const part = shell ?? indexOf(shopStore.shop).parts.get(planned?.partId ?? '');
    return part && outsideOf(shopStore.shop, part);
  }
  const spanWords = (task: Task, start: number): string =>
    `${task.title}, ${minuteText(start, 'weekTime')}, hands ${hours(task.hands)}${task.leave > 0 ? `, then left alone ${hours(task.leave)}` : ''}`;

  function later(task: Task, start: number): void {
    if (start <= task.release) weekState.notBefore.delete(task.id);
    else weekState.notBefore.set(task.id, start);
  }
  function onkey(event: KeyboardEvent, task: Task, start: number): void {
    const by = event.key === 'ArrowRight' ? STEP_MIN : event.key === 'ArrowLeft' ? -STEP_MIN : 0;
    if (by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    later(task, start + by);
  }
  function grab(event: PointerEvent, task: Task, start: number): void {
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    dragged = { task, from: start, dx: -event.clientX };
  }
  function drop(event: PointerEvent): void {
    if (!dragged) return;
    const { task, from, dx } = dragged;
    const moved = event.clientX + dx;
    dragged = undefined;
    if (Math.abs(moved) > 3) later(task, minuteAt(axis, x(from) + moved));
  }
  let pulled = $state(0);
</script>

<div class="picture" bind:clientWidth={width}>
  {#if width > 0}
    <svg
      {width}
      {height}
      viewBox="0 0 {width} {height}"
      role="group"
      aria-label="The week, one shelf a machine"
    >
      <defs>
        <pattern
          id="alone"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path class="hatch" d="M0 0v6" />
        </pattern>
      </defs>
      {#each night as { from, to } (from)}
        <rect
          class="night"
          x={x(from)}
          y={TOP - 8}
          width={Math.max(0, x(Math.min(to, end)) - x(from))}
          height={height - TOP}
        />
      {/each}
      {#each dayNames as name, i (i)}
        <text class="day" x={i * axis.perDay + 4} y="16">{name}</text>
      {/each}
      {#each rows as { outlook, own, job }, r (outlook.jobId)}
        {@const floor = TOP + (r + 1) * ROW - 26}
        {@const shell = shellOf(outlook.jobId)}
        {@const stands = Math.min(
          x(own[0]?.start ?? 0),
          width - (shell ? shell.w * SCALE : 0) - 90,
        )}
        {@const words = outlookWords(outlook, plan.week.now)}
        {#if shell}
          <Front outside={shell} x={stands} floor={floor - 19} scale={SCALE} />
        {/if}
        <text
          class="next"
          x={stands + (shell ? shell.w * SCALE : 0) + 6}
          y={floor - 22 - Math.min(62, shell ? shell.h * SCALE : 16) + 12}
          >{shortened(own[0]?.task.title ?? '')}</text
        >
        {#each own as { task, start, i } (task.id)}
          {@const from = x(start)}
          {#if from < width}
            {#if task.leave > 0}
              <rect
                class="alone"
                x={x(start + task.hands)}
                y={floor - 9}
                width={Math.max(
                  0,
                  Math.min(width, x(start + task.hands + task.leave)) - x(start + task.hands),
                )}
                height="8"
              />
            {/if}
            {#if (cleaned[i] ?? 0) > 0}
              <rect
                class="clean"
                x={x(start - (cleaned[i] ?? 0))}
                y={floor - 19}
                width={Math.max(3, from - x(start - (cleaned[i] ?? 0)))}
                height="18"
                ><title>Clean the paint place for another colour, {cleaned[i]} min</title></rect
              >
            {/if}
            <g
              class="hands"
              class:pinned={weekState.notBefore.has(task.id)}
              role="button"
              tabindex="0"
              aria-label="{outlook.jobId}: {spanWords(task, start)}. Arrow keys move it."
              transform={dragged?.task.id === task.id ? `translate(${pulled} 0)` : undefined}
              onkeydown={(event) => onkey(event, task, start)}
              onpointerdown={(event) => {
                pulled = 0;
                grab(event, task, start);
              }}
              onpointermove={(event) => {
                if (dragged) pulled = event.clientX + dragged.dx;
              }}
              onpointerup={drop}
            >
              <title>{say(spanWords(task, start))}</title>
              <rect
                x={from - 3}
                y={floor - 26}
                width={Math.max(10, x(start + task.hands) - from + 6)}
                height="28"
                class="grip"
              />
              <rect
                x={from}
                y={floor - 19}
                width={Math.max(2.5, x(start + task.hands) - from)}
                height="18"
              />
            </g>
          {/if}
        {/each}
        {#if outlook.due !== undefined && words}
          {@const at = Math.min(width - 2, x(outlook.due))}
          <path class="due {words.mark}" d="M{at} {floor - 34}V{floor}" />
          {#if outlook.spare !== undefined && outlook.spare > 0 && x(outlook.end) < width}
            <path class="spare" d="M{x(outlook.end)} {floor - 5}H{at}" />
          {/if}
          <text
            class="figure {words.mark}"
            text-anchor={at > width - 220 ? 'end' : 'start'}
            x={at > width - 220 ? at - 6 : at + 6}
            y={floor - 26}>{words.say}</text
          >
        {/if}
        <rect class="shelf" x="0" y={floor} {width} height="6" />
        <text class="name" x="0" y={floor + 20}>{outlook.jobId} · {job?.name ?? ''}</text>
      {/each}
      {#each places as name, p (name)}
        {@const y = TOP + rows.length * ROW + p * LINE + 10}
        <text class="place" x="0" y={y - 4}>{name}</text>
        <path class="rail" d="M0 {y}H{width}" />
        {#if name === 'paint place'}
          {#each noPaint as { at, why } (at)}
            <rect class="alone" x={x(at)} y={y - 4} width={axis.perDay} height="8"
              ><title>no paint: {why}</title></rect
            >
            <text class="why" x={x(at) + 4} y={y - 7}>{why}</text>
          {/each}
        {/if}
        {#each takenOf(name) as { task, from, to, lane, lanes } (task.id)}
          <rect
            class="taken"
            x={x(from)}
            y={y - 4 + (8 / lanes) * lane}
            width={Math.max(3, Math.min(width, x(to)) - x(from))}
            height={8 / lanes}><title>{task.jobId}: {task.title}</title></rect
          >
        {/each}
      {/each}
      <path class="now" d="M{x(plan.week.now)} 20V{height}" />
      <text class="now-text figure" x={x(plan.week.now) + 4} y="32"
        >{minuteText(plan.week.now, 'time')} now</text
      >
    </svg>
  {/if}
</div>

<style>
  .picture {
    overflow: hidden;
  }
  svg {
    display: block;
    touch-action: pan-y;
  }
  text {
    fill: var(--ink);
    font-size: 13px;
  }
  .night {
    fill: var(--paper-deep);
  }
  .day,
  .name {
    font: 600 15px var(--face-head);
  }
  .next {
    font: 600 14px var(--face-head);
  }
  .shelf {
    fill: var(--shelf);
  }
  .hands rect {
    fill: var(--part-comes);
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .hands .grip {
    fill: transparent;
    stroke: none;
  }
  .hands {
    cursor: grab;
  }
  .hands:focus-visible .grip {
    stroke: var(--accent);
    stroke-width: 2.5;
  }
  .pinned rect:last-child {
    fill: var(--accent);
  }
  .alone {
    fill: url(#alone);
    stroke: var(--ink-soft);
    stroke-width: 0.8;
  }
  .hatch {
    stroke: var(--ink-soft);
    stroke-width: 2;
  }
  .due {
    stroke-width: 4;
    stroke: var(--ink);
  }
  .due.stop {
    stroke: var(--stop);
  }
  text.stop {
    fill: var(--stop);
    font-weight: 700;
  }
  text.watch {
    fill: var(--watch);
  }
  text.clear {
    fill: var(--clear);
  }
  .spare {
    stroke: var(--clear);
    stroke-width: 4;
    stroke-dasharray: 2 4;
  }
  .clean {
    fill: var(--paper);
    stroke: var(--ink-soft);
    stroke-width: 1;
    stroke-dasharray: 2 2;
  }
  .why {
    font-size: 12px;
    fill: var(--stop);
  }
  .rail {
    stroke: var(--line);
  }
  .taken {
    fill: var(--shelf);
  }
  .now {
    stroke: var(--accent);
    stroke-width: 2;
  }
  .now-text {
    fill: var(--accent-ink);
  }
  @media print {
    svg {
      width: 100%;
      height: auto;
      max-height: 118mm;
    }
  }
  @media screen and (max-width: 37.5em) {
    .picture {
      display: none;
    }
  }
</style>
