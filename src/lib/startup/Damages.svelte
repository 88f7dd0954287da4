<script lang="ts">
  import { addItems, editItem } from '$core/shop/items.ts';
  import type { Job } from '$core/model/types/types.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Field from '$lib/ui/Field.svelte';

  interface Props {
    job: Job;
  }
  const { job }: Props = $props();
  let what = $state('');

  function add(): void {
    if (what.trim() === '') return;
    shopStore.edit(
      'something damaged',
      addItems(job.id, 'damages', [
        { at: new Date().toISOString(), what: what.trim(), mended: false, retested: false },
      ]),
    );
    what = '';
  }
</script>

<section>
  <h2>Damaged on the way</h2>
  <ul>
    {#each job.damages as damage, i (i)}
      <li>
        {damage.what}
        {#each ['mended', 'retested'] as const as key (key)}
          <Field label={key} check
            ><input
              type="checkbox"
              checked={damage[key]}
              onchange={(event) =>
                shopStore.edit(
                  `${key}: ${damage.what}`,
                  editItem(job.id, 'damages', damage, { [key]: event.currentTarget.checked }),
                )}
            /></Field
          >
        {/each}
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
    <input
      bind:value={what}
      maxlength="200"
      placeholder="lifted leg, bent pins, cracked tab …"
      aria-label="What was damaged"
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
  .row {
    gap: 8px;
  }
  .row input {
    flex: 1;
    height: var(--target);
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    color: var(--ink);
    padding: 0 8px;
  }
  input[type='checkbox'] {
    width: 22px;
    height: 22px;
    vertical-align: middle;
  }
</style>
