<script lang="ts">
  import { appliedOf } from '$core/model/lookup/plan.ts';
  import Papa from 'papaparse';
  import { dropRemedy, hangPart } from '$core/edits/edits.ts';
  import { budgetTable, spiceDeck } from '$core/export/watts.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { stageName, stagesOf } from '$core/model/types/stages.ts';
  import { planOf } from '$core/plan/planOf.ts';
  import { schoolsOf } from '$core/watts/schools.ts';
  import { states, isFan, treeOf, type Rail, type State } from '$core/watts/tree/index.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { saveFile } from '$lib/files/save.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { openLead } from '$core/watts/openLead.ts';
  import Correction from '$lib/watts/Correction.svelte';
  import ElectronicLoad from '$lib/watts/ElectronicLoad.svelte';
  import OpenLead from '$lib/watts/OpenLead.svelte';
  import Efficiency from '$lib/watts/Efficiency.svelte';
  import Energy from '$lib/watts/Energy.svelte';
  import TreePicture from '$lib/watts/TreePicture.svelte';
  import WallMeter from '$lib/watts/WallMeter.svelte';
  import SumStage from '../frame/SumStage.svelte';

  const { view }: { view: JobView } = $props();
  const stages = $derived(view.job ? stagesOf(view.job) : [1]);
  /** The stage looked at; the last one unless chosen. */
  let stage = $state<number | undefined>();
  const shown = $derived(stage !== undefined && stages.includes(stage) ? stage : stages.at(-1));
  const plan = $derived(
    view.job && view.plan && shown !== stages.at(-1)
      ? planOf(shopStore.shop, view.job, shown)
      : view.plan,
  );
  let mode = $state<State>('full');
  const tree = $derived(plan && treeOf(plan, mode));
  /** The part in hand, to be hung on another lead. */
  let held = $state<string | undefined>();
  let opened = $state<string | undefined>();
  const words: Record<State, string> = {
    idle: 'idle',
    usual: 'usual',
    full: 'full load',
    start: 'starting',
    spike: 'spike',
  };

  const watts = $derived(view.found.filter((each) => each.station === 'watts'));
  const stageSum = $derived(watts.find((each) => each.id === 'stage-watts'));
  const sums = $derived(
    new Map(
      watts.flatMap((found) =>
        found.about?.of === 'branch' ? [[found.about.branch, found] as const] : [],
      ),
    ),
  );
  /** The branch chosen, if it is a lead, down to its contacts. */
  const laidOpen = $derived.by(() => {
    const chosen = tree?.branches.find((each) => each.id === opened);
    const lead = tree?.leads.find((each) => chosen?.id === `${chosen?.parent} ${each.id}`);
    return tree && lead ? openLead(tree, lead, chosen?.parent as Rail) : undefined;
  });
  /** The same tree before the last edit: its outline shows what grew. */
  const before = $derived.by(() => {
    const was = shopStore.before?.jobs.find((each) => each.id === view.job?.id);
    return was && shopStore.before ? treeOf(planOf(shopStore.before, was, shown), mode) : undefined;
  });
  const branch = $derived(tree?.branches.find((each) => each.id === opened));
  const others = $derived(
    tree && held
      ? tree.leads.filter((lead) =>
          tree.draws.some(
            (draw) =>
              draw.seat === held &&
              lead.feeds[draw.rail] !== undefined &&
              (lead.over === 'drive' || lead.id === 'main'),
          ),
        )
      : [],
  );

  function choose(id: string): void {
    opened = opened === id ? undefined : id;
    const found = sums.get(id);
    if (found) uiState.chosen = found.id;
    const own = tree?.branches.find((each) => each.id === id);
    const movable = tree?.draws.some(
      (draw) => draw.seat === own?.seat && (draw.over === 'drive' || isFan(draw)),
    );
    held = own?.kind === 'load' && movable ? own.seat : undefined;
  }

  function hang(seat: string, lead: string | undefined): void {
    if (!view.job) return;
    const name = tree?.leads.find((each) => each.id === lead)?.label ?? 'as before';
    shopStore.edit(`${seatName(seat)} onto ${name}`, hangPart(view.job.id, seat, lead));
  }

  function hangOnBranch(seat: string, id: string): void {
    const lead = tree?.leads.find((each) => id.endsWith(` ${each.id}`));
    if (lead) hang(seat, lead.id);
  }

  const limits = $derived(plan ? appliedOf(plan, 'limitWatts') : []);
  const schools = $derived(plan ? schoolsOf(plan) : []);
  const f = (range: { lo: number; hi: number }, digits = 0) =>
    range.hi - range.lo < 0.5 * 10 ** -digits
      ? range.hi.toFixed(digits)
      : `${range.lo.toFixed(digits)} to ${range.hi.toFixed(digits)}`;
  const csv = () =>
    tree && saveFile('watts.csv', Papa.unparse(budgetTable(tree), { newline: '\r\n' }), 'text/csv');
  const deck = () =>
    tree &&
    saveFile(
      'watts.cir',
      tree.nets.map(({ name, net }) => spiceDeck(net, `${name}, ${words[mode]}`)).join('\n'),
      'text/plain',
    );
</script>

<SumStage {view} station="watts" subtitle="">
  {#snippet tools()}
    {#if tree}
      {#each states as each (each)}
        <Button onclick={() => (mode = each)} aria-pressed={mode === each}>{words[each]}</Button>
      {/each}
      {#if stages.length > 1}
        <span class="stages" role="group" aria-label="Stage of the plan">
          {#each stages as each (each)}
            <Button onclick={() => (stage = each)} aria-pressed={shown === each}
              >{stageName(each)}</Button
            >
          {/each}
        </span>
      {/if}
    {/if}
  {/snippet}
  {#snippet picture()}
    {#if tree && plan}
      {#if !tree.ok}
        <p role="alert">
          <Mark mark="stop" word size={20} /> The line cannot carry this: at most {Math.floor(
            tree.carries * 100,
          )} % of the loads at worst.
        </p>
      {/if}
      {#if stageSum}
        <p>
          <Mark mark={stageSum.mark} word size={18} />
          {stageSum.say}
        </p>
      {/if}
      {#each tree.unfed as draw (draw.id)}
        <p>
          <Mark mark="mend" word size={18} />
          {draw.label} ({seatName(draw.seat)}) has no feed for {draw.rail}.
        </p>
      {/each}
      <TreePicture
        {tree}
        {before}
        {sums}
        flips={view.flips}
        chosen={opened}
        {held}
        onbranch={choose}
        onhang={hangOnBranch}
      />
      {#if branch}
        <p class="open" aria-live="polite">
          <b>{branch.label}</b>
          {f(branch.watts, 1)} W in, {f(branch.lossW, 1)} W lost as heat{branch.amps
            ? `, ${f(branch.amps, 1)} A`
            : ''}{branch.volts ? `, ${f(branch.volts, 2)} V at its end` : ''}.
        </p>
      {/if}
      {#if laidOpen && branch}<OpenLead open={laidOpen} name={branch.label} />{/if}
      {#if mode === 'spike'}
        <p class="soft">
          The card's load spike of a millisecond, as if it lasted: what capacitors of PSU and board
          do not take off it. Against what the PSU tolerates: the sum on the tape.
        </p>
      {/if}
      {#if held && others.length > 0}
        <p class="row mid apart">
          Hang {seatName(held)} on
          {#each others as lead (lead.id)}
            <Button onclick={() => held && hang(held, lead.id)}>{lead.label}</Button>
          {/each}
          <Button quiet onclick={() => held && hang(held, undefined)}>as before</Button>
        </p>
      {/if}
      {#each limits as limit (limit.seat)}
        <p class="row mid apart">
          {seatName(limit.seat)} held to {limit.watts} W
          <Button
            quiet
            onclick={() =>
              view.job && shopStore.edit('limit given back', dropRemedy(view.job.id, limit))}
            >Give back</Button
          >
        </p>
      {/each}
      <div class="below">
        <section>
          <h2>How large a PSU?</h2>
          <ul>
            {#each schools as school (school.name)}
              <li class:governs={school.governs}>
                <b>{school.name}</b> <span class="figure">{f(school.asks)} W</span>
                {school.governs ? ' · governs here' : ''}<br /><small>{school.weakness}</small>
              </li>
            {/each}
          </ul>
          <p class="soft">
            Headroom {Math.round(shopStore.shop.settings.headroom * 100)} %: PSUs run quiet and cool near
            half load, and nobody counts every watt.
          </p>
        </section>
        <Efficiency {plan} />
        <Energy {plan} />
        <WallMeter {view} {plan} />
        <Correction {plan} />
        <ElectronicLoad {plan} />
      </div>
      <p class="row mid apart no-print">
        <Button onclick={csv}>Budget as CSV</Button>
        <Button onclick={deck}>SPICE netlist</Button>
      </p>
      <p class="soft">
        Never open a PSU. Outputs of two PSUs never side by side; mains work is for who is licensed
        to do it.
      </p>
    {/if}
  {/snippet}
</SumStage>

<style>
  .stages {
    display: inline-flex;
    gap: 4px;
    padding-left: 10px;
    border-left: 2px solid var(--line);
  }
  .below {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 34px;
    margin: 12px 0;
  }
  section {
    flex: 1 1 300px;
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 4px 0 4px 10px;
    border-left: 4px solid var(--line);
    margin-bottom: 6px;
  }
  li.governs {
    border-color: var(--accent);
  }
  .open {
    margin-top: 6px;
  }
</style>
