<script lang="ts">
  import type { InputRef } from '$core/findings/finding.ts';
  import type { Part } from '$core/model/types.ts';
  import { limits } from '$core/fit/limits.ts';
  import { setFact } from '$core/edits/edits.ts';
  import { numberAt, one } from '$core/model/plan.ts';
  import { property } from '$core/model/properties.ts';
  import { bench } from '$lib/shop/bench.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { caseCut } from '$lib/draw/caseCut.ts';
  import CaseCut from '$lib/draw/CaseCut.svelte';
  import { litres } from '$lib/draw/sizes.ts';
  import BoardHoles from '$lib/fit/BoardHoles.svelte';
  import { saveBytes } from '$lib/shop/files.ts';
  import Button from '$lib/ui/Button.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import { Chosen } from './chosen.svelte.ts';

  const { view }: { view: JobView } = $props();
  // svelte-ignore state_referenced_locally (the view is the frame's, one for all pages)
  const chosen = new Chosen(view, 'fit');
  const cut = $derived(view.plan && caseCut(view.plan));
  const shell = $derived(view.plan && one(view.plan, 'case'));
  let width = $state(760);
  let asking = $state(false);
  const strip = $derived(view.plan ? limits(view.plan) : []);

  /** The figures behind the sum in hand, typed where they act. */
  const inputs = $derived(
    (chosen.finding?.terms ?? []).flatMap((term) => {
      const placed = view.plan?.seats.find((each) => each.seat === term.input?.seat);
      const asked = placed && term.input && property(placed.kind, term.input.key);
      if (
        !view.plan ||
        !placed ||
        !asked ||
        !term.input ||
        asked.measure === 'text' ||
        asked.measure === 'list'
      )
        return [];
      return [{ term, placed, asked, told: numberAt(view.plan, placed, term.input.key) }];
    }),
  );

  async function printStrip(): Promise<void> {
    const { limitStripPdf } = await import('$lib/print/limitStrip.ts');
    const name = shell?.part.name ?? 'case';
    saveBytes('limit-strip.pdf', await limitStripPdf(name, strip), 'application/pdf');
  }

  function measure(input: InputRef | undefined, label: string, part: Part, value: number): void {
    if (!input) return;
    const fact = { lo: value, hi: value, how: 'measured' as const, at: bench.now };
    bench.edit(
      `${label} of ${part.name}`,
      setFact(input.partId, input.key, fact, part.modelId !== undefined),
      `${input.partId} ${input.key}`,
    );
  }
</script>

<Stage
  title="Fit"
  subtitle={cut
    ? `${shell?.part.name}, lid off, ${cut.flat ? 'seen from above' : 'seen from the left'} · ${litres(cut.outside).toFixed(1)} l${cut.outside.known ? '' : ', outside not measured'}`
    : 'no case in the plan'}
>
  {#snippet tools()}
    {#if view.plan && one(view.plan, 'board')}
      <Button onclick={() => (asking = !asking)} aria-expanded={asking}>Whose board is it?</Button>
    {/if}
    {#if strip.length > 0 && shell}
      <Button onclick={() => void printStrip()}>Limit strip</Button>
    {/if}
  {/snippet}
  {#if asking && view.plan}
    <BoardHoles plan={view.plan} onclose={() => (asking = false)} />
  {:else if cut}
    <div class="picture">
      <div class="sections" bind:clientWidth={width}>
        <CaseCut
          {cut}
          width={Math.max(280, width)}
          height={470}
          found={view.found}
          chosen={chosen.finding?.id}
          title="The case cut open with the parts as planned, to scale"
        />
      </div>
      {#if chosen.finding}
        <div class="inputs">
          <h2>{chosen.finding.title}</h2>
          <p>{chosen.finding.say}</p>
          {#each inputs as { term, placed, asked, told } (term.label)}
            <MeasureField
              label="{term.label}, {placed.part.name}"
              unit={asked.measure === 'count' ? '' : asked.measure}
              lengths={bench.shop.settings.unit}
              value={told}
              open={told?.how === 'class'}
              most={asked.most}
              onmeasure={(value) => measure(term.input, asked.label, placed.part, value)}
            />
          {/each}
        </div>
      {/if}
    </div>
  {:else}
    <p>Put a case into the plan at Take-in, and its parts are drawn here to scale.</p>
  {/if}
  {#if chosen.finding && !asking}
    <Remedies
      finding={chosen.finding}
      remedies={chosen.remedies}
      lengths={bench.shop.settings.unit}
      ontake={chosen.take}
    />
  {/if}
</Stage>

<style>
  .picture {
    display: flex;
    gap: 20px;
  }
  .sections {
    flex: 1;
    min-width: 0;
  }
  .inputs {
    display: flex;
    flex-direction: column;
    gap: 10px;
    flex: 0 0 184px;
  }
  .inputs p {
    font-size: 15px;
  }
  @media (max-width: 700px) {
    .picture {
      flex-direction: column;
    }
    .inputs {
      flex: none;
    }
  }
</style>
