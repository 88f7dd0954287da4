<script lang="ts">
  import { resolve } from '$app/paths';
  import { labelsFor } from '$core/export/labels.ts';
  import { codeImage } from '$lib/print/code.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import Field from '$lib/ui/Field.svelte';

  /** A label asked for by its tag comes first. */
  const part = uiState.labelsOf.length > 0 ? uiState.labelsOf.join(',') : uiState.labelOf;
  const named = part && uiState.labelsOf.length > 3 ? `${uiState.labelsOf.length} chosen` : part;
  uiState.labelOf = undefined;
  uiState.labelsOf = [];
  let which = $state(part ? `part:${part}` : 'shelf');
  const labels = $derived(labelsFor(shopStore.shop, which));
</script>

<svelte:head><title>Labels · Nutshell Swap</title></svelte:head>

<Stage title="Labels" subtitle="three across, A4 or Letter: a scan finds the part">
  {#snippet tools()}
    <Field label="of"
      ><select bind:value={which}>
        {#if part}<option value="part:{part}">{named}</option>{/if}
        <option value="shelf">the shelf</option>
        <option value="places">places on the shelf</option>
        <option value="donors">the donors</option>
        {#each shopStore.shop.jobs as job (job.id)}<option value="job:{job.id}"
            >{job.id}, {job.name}</option
          >{/each}
      </select></Field
    >
    <Button next onclick={() => window.print()}>Print {labels.length}</Button>
  {/snippet}
  <ul class="cut-up">
    {#each labels as label (label.tag)}
      <li>
        {#await codeImage(label.tag) then src}<img {src} alt="code for {label.tag}" />{:catch}<p>
            The code for {label.tag} could not be drawn.
          </p>{/await}
        <b>{label.tag}</b>
        <span>{label.name}</span>
        <small>{label.note}</small>
      </li>
    {:else}<li>Nothing to label here.</li>{/each}
  </ul>
  <p class="no-print"><a href={resolve('/')}>Back to the bench</a></p>
</Stage>
<Tape title="Labels">
  <p class="hint">
    Scanned into the entry line, a tag finds its part, opens its job, or puts the part into the lit
    seat. One label on the part, one on what it came out of. A part, then its place: it lies there
    from now on; a place first, and every part after it goes there until you scan “done”.
  </p>
</Tape>

<style>
  ul {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 8px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    justify-items: center;
    align-content: start;
    min-height: 34mm;
    padding: 3mm;
    overflow: hidden;
    background: #fff;
    color: #000;
    border: 1px dashed #888;
    break-inside: avoid;
    text-align: center;
  }
  img {
    height: 84px;
    max-width: 100%;
  }
  b {
    font: 600 18px var(--face-figure);
  }
  span {
    font: 600 15px var(--face-head);
  }
  small {
    font-size: 12px;
    color: inherit;
  }
  .hint {
    padding: 12px 19px;
    font-size: 15px;
  }
</style>
