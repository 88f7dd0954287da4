<script lang="ts">
  import { resolve } from '$app/paths';
  import { keepPlan } from '$core/edits/weekEdits.ts';
  import { writeCalendar } from '$core/export/ics.ts';
  import { usualWorkshop } from '$core/schedule/calendar.ts';
  import { plannedOf } from '$core/schedule/tasks.ts';
  import { formatHours } from '$core/units/duration.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import { saveFile } from '$lib/files/save.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { minuteText } from '$lib/ui/dates.ts';
  import WeekPicture from '$lib/week/WeekPicture.svelte';
  import WeekTape from '$lib/week/WeekTape.svelte';
  import Workshop from '$lib/week/Workshop.svelte';
  import { weekState } from '$lib/shop/weekState.svelte.ts';

  $effect(() => weekState.follow(shopStore.shop, shopStore.now, true));
  const plan = $derived(weekState.plan);
  const workshop = $derived(shopStore.shop.settings.workshop ?? usualWorkshop);
  const days = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
  const clock = (minutes: number) => formatHours(minutes).replace(/:00$/, '');
  const subtitle = $derived(
    `${workshop.people.length} ${workshop.people.length === 1 ? 'person' : 'people'} · ${clock(workshop.opens)} to ${clock(workshop.closes)}${workshop.off.length > 0 ? ` · ${workshop.off.map((day) => days[day]).join(', ')} off` : ''} · solid: hands, hatched: leave alone`,
  );
  let setting = $state(false);
  /** Everything with its time, day by day. */
  const list = $derived.by(() => {
    const all = (plan?.week.problem.tasks ?? [])
      .map((task, i) => ({
        task,
        start: plan?.found?.starts[i] ?? 0,
        who: (plan?.found?.who[i] ?? []).map((at) => workshop.people[at] ?? ''),
      }))
      .sort((a, b) => a.start - b.start);
    const by = new Map<string, typeof all>();
    for (const each of all) {
      const day = minuteText(each.start, 'dayLong');
      by.set(day, [...(by.get(day) ?? []), each]);
    }
    return [...by];
  });

  function keep(): void {
    if (!plan?.found) return;
    void shopStore.edit('the plan of the week', keepPlan(plannedOf(plan.week, plan.found.starts)));
    toast('Kept. Later plans change as little of it as they can, and say what moved.');
  }
  function calendar(): void {
    if (!plan?.found) return;
    const { starts } = plan.found;
    const events = plan.week.problem.tasks.map((task, i) => ({
      uid: `${task.id.replaceAll(' ', '-')}@nutshell-swap`,
      title: `${task.jobId} · ${task.title}`,
      note:
        task.leave > 0
          ? `Then leave alone until ${minuteText((starts[i] ?? 0) + task.hands + task.leave, 'dayTime')}`
          : undefined,
      from: starts[i] ?? 0,
      to: (starts[i] ?? 0) + task.hands,
    }));
    saveFile('week.ics', writeCalendar(events, shopStore.now), 'text/calendar');
  }
</script>

<Stage title="Week" {subtitle}>
  {#snippet tools()}
    {#if weekState.notBefore.size > 0}
      <Button onclick={() => weekState.notBefore.clear()}>Put back what was moved</Button>
    {/if}
    {#if shopStore.shop.jobs.some(({ planned }) => planned.length > 0)}
      <Button onclick={() => void shopStore.edit('the kept plan, forgotten', keepPlan(new Map()))}
        >Plan anew</Button
      >
      <Button aria-pressed={weekState.frozen} onclick={() => (weekState.frozen = !weekState.frozen)}
        >Today stays</Button
      >
    {/if}
    <Button aria-pressed={setting} onclick={() => (setting = !setting)}>Hours and hands</Button>
    <Button disabled={!plan?.found} onclick={calendar}>Calendar file</Button>
    <Button next disabled={!plan?.found} onclick={keep}>Keep this plan</Button>
  {/snippet}
  {#if setting}<Workshop {workshop} />{/if}
  {#if weekState.fault}
    <p class="fault" role="alert">{weekState.fault}</p>
  {:else if !plan}
    <p>Working it out …</p>
  {:else if !plan.found}
    <p>
      {plan.week.problem.tasks.length > 0
        ? 'These steps fit into no day of the next two months: look at hours, people, places and weather.'
        : 'No job has a step to do. Plan one at its Intake, and it stands here.'}
    </p>
  {:else}
    <WeekPicture {plan} />
    <section class="list" aria-label="Day by day">
      {#each list as [day, tasks] (day)}
        <h2>{day}</h2>
        <ol>
          {#each tasks as { task, start, who } (task.id)}
            <li>
              <span class="figure"
                >{minuteText(start, 'time')}<small>
                  to {minuteText(start + task.hands, 'time')}</small
                ></span
              >
              <a href={resolve('/job/[id]/[station]', { id: task.jobId, station: 'order' })}
                ><b class="figure">{task.jobId}</b>
                {say(task.title)}{task.steps.length > 1
                  ? ` and ${task.steps.length - 1} more`
                  : ''}</a
              >
              <span class="soft">{who.join(' and ')}</span>
              {#if task.leave > 0}
                <span class="soft alone"
                  >then leave alone until {minuteText(
                    start + task.hands + task.leave,
                    'weekTime',
                  )}</span
                >
              {/if}
            </li>
          {/each}
        </ol>
      {/each}
    </section>
  {/if}
</Stage>
<WeekTape {plan} />

<style>
  .fault {
    color: var(--stop);
  }
  h2 {
    margin: 14px 0 4px;
    font-size: 18px;
  }
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 116px minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding: 6px 0;
    border-bottom: 1px solid var(--line);
    break-inside: avoid;
  }
  li a {
    color: inherit;
  }
  @media (max-width: 37.5em) {
    li {
      grid-template-columns: 58px minmax(0, 1fr) auto;
    }
    small {
      display: block;
    }
  }
  .alone {
    grid-column: 2 / -1;
    font-size: 14px;
  }
  @media print {
    li a {
      text-decoration: none;
    }
    .list {
      columns: 4;
      column-gap: 5mm;
      font-size: 7.5pt;
      line-height: 1.15;
    }
    h2 {
      margin: 1.5mm 0 0.5mm;
      font-size: 10pt;
      break-after: avoid;
    }
    .soft {
      font-size: 7pt;
    }
    li {
      display: block;
      padding: 0.6mm 0;
    }
  }
</style>
