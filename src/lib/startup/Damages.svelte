<script lang="ts">
  import { noteDamage, settleDamage } from '$core/edits/damageEdits.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import type { Plan } from '$core/model/lookup/plan.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Photos from '$lib/photos/Photos.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    job: Job;
    plan: Plan | undefined;
  }
  const { job, plan }: Props = $props();
  let what = $state('');
  let partId = $state('');
  /** What may have been hurt: what is in the plan, and what went out of it. */
  const pieces = $derived([...(plan?.seats ?? []), ...(plan?.goes ?? [])]);
  const nameOf = (id: string | undefined) => pieces.find(({ part }) => part.id === id)?.part.name;

  function add(): void {
    if (what.trim() === '') return;
    shopStore.edit(
      'something damaged',
      noteDamage(job.id, {
        at: new Date().toISOString(),
        what: what.trim(),
        mended: false,
        retested: false,
        ...(partId !== '' && { partId }),
      }),
    );
    partId = '';
    what = '';
  }
</script>

<section>
  <h2>Damaged on the way</h2>
  <ul>
    {#each job.damages as damage, i (i)}
      <li>
        <span>{damage.what}{nameOf(damage.partId) ? `: ${nameOf(damage.partId)}` : ''}</span>
        {#each ['mended', 'retested'] as const as key (key)}
          <Tick
            label={key}
            checked={damage[key]}
            onchange={(event) =>
              shopStore.edit(
                `${key}: ${damage.what}`,
                settleDamage(job.id, damage.at, { [key]: event.currentTarget.checked }),
              )}
          />
        {/each}
        <Photos
          place={{ jobId: job.id, about: { of: 'damage', key: damage.at } }}
          of={damage.what}
        />
      </li>
    {/each}
  </ul>
  <form
    class="row no-print"
    onsubmit={(event) => {
      event.preventDefault();
      add();
    }}
  >
    <TextField
      unseen
      wide
      label="What was damaged"
      bind:value={what}
      maxlength={200}
      placeholder="lifted leg, bent pins, cracked tab …"
    />
    <Select
      unseen
      wide
      label="What it happened to"
      options={pieces.map(({ seat, part }) => ({
        value: part.id,
        words: `${seatName(seat)}: ${part.name}`,
      }))}
      none="no part, or not in the list"
      bind:value={partId}
    />
    <Button type="submit">Note it</Button>
  </form>
</section>

<style>
  section {
    max-width: 640px;
    margin-top: 14px;
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    gap: 14px;
    align-items: center;
    min-height: var(--target);
  }
</style>
