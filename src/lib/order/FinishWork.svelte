<script lang="ts">
  import type { Finding } from '$core/findings/finding.ts';
  import { boxAreaCm2 } from '$core/finish/paint.ts';
  import { finishFields, type FinishField } from '$core/finish/fields.ts';
  import { finishName } from '$core/finish/index.ts';
  import { outcomeOf } from '$core/finish/outcome.ts';
  import { addWants, dropItem, editItem } from '$core/shop/items.ts';
  import type { Finish } from '$core/model/types/finishTypes.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import ToldFields from '$lib/parts/ToldFields.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';

  interface Props {
    job: Job;
    work: Finish;
    /** Outside of the case, mm; undefined where there is no case. */
    /** What stands against it as it is planned. */
    against: readonly Finding[];
    box: { width: number; height: number; depth: number } | undefined;
  }
  const { job, work, box, against }: Props = $props();

  const told = $derived(work as unknown as Readonly<Record<string, unknown>>);
  const fields = $derived(
    finishFields[work.do].filter(
      ({ name }) =>
        (name !== 'bakeC' || told['bake'] === true) &&
        (told['school'] !== 'cream' ||
          !['wantedPercent', 'vesselMl', 'displacedMl'].includes(name)),
    ),
  );
  const outcome = $derived(outcomeOf(work, box && boxAreaCm2(box, work.piece)));
  const missing = $derived(
    outcome.get.filter(({ what }) => !job.wants.some((want) => want.what === what)),
  );

  function set(field: FinishField, value: unknown): void {
    void shopStore.edit(
      `${finishName(work)}: ${field.label.toLowerCase()}`,
      editItem(job.id, 'finishes', work, { [field.name]: value } as Partial<Finish>),
      `finish ${job.id} ${work.id} ${field.name}`,
    );
  }
</script>

<section aria-label={finishName(work)}>
  <header>
    <h2>{finishName(work)}</h2>
    <Button
      quiet
      aria-label="Take out: {finishName(work)}"
      onclick={() =>
        void shopStore.edit(`no more: ${finishName(work)}`, dropItem(job.id, 'finishes', work))}
      >Take out</Button
    >
  </header>
  {#each against as finding (finding.id)}
    <p class="against" role="alert">
      <Mark mark={finding.mark} size={18} word />
      {say(finding.say)}
    </p>
  {/each}
  <div class="two">
    <ToldFields {fields} {told} onset={set} />
    <div class="comes">
      <dl>
        {#each outcome.lines as line (line.label)}
          <div>
            <dt>{line.label}</dt>
            <dd class="figure">{line.figure}</dd>
          </div>
        {/each}
      </dl>
      {#if missing.length > 0}
        <Button
          onclick={() => {
            void shopStore.edit(
              `to buy for: ${finishName(work)}`,
              addWants(
                job.id,
                missing.map((want) => ({ ...want, finish: work.id })),
              ),
            );
            toast(`On the shopping list: ${missing.map(({ what }) => what).join(', ')}.`);
          }}>Put it on the shopping list</Button
        >
      {/if}
    </div>
  </div>
</section>

<style>
  section {
    padding: 10px 0 14px;
    border-bottom: 1px dashed var(--line);
  }
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
  }
  h2 {
    font-size: 18px;
    margin: 0;
  }
  h2::first-letter {
    text-transform: uppercase;
  }
  .against {
    margin: 2px 0 8px;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(220px, 300px);
    gap: 12px 24px;
  }
  dl {
    margin: 0 0 8px;
  }
  dl div {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    border-bottom: 1px dotted var(--line);
    padding: 2px 0;
  }
  dt {
    overflow-wrap: normal;
  }
  dd {
    margin: 0;
    text-align: right;
  }
  @media (max-width: 56em) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
