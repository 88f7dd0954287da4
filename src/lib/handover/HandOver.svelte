<script lang="ts">
  import { openPoints, sheetOf } from '$core/record/sheet.ts';
  import Stage from '$lib/frame/Stage.svelte';
  import ViewButtons from '$lib/frame/ViewButtons.svelte';
  import { ViewSwitch } from '$lib/frame/views.svelte.ts';
  import { exportJob, saveParts } from '$lib/files/exports.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Additions from './Additions.svelte';
  import BeforeItGoes from './BeforeItGoes.svelte';
  import HandOverDialog from './HandOverDialog.svelte';
  import { paperOf, photosOn, savePaperHtml, savePaperJson } from './paper.ts';
  import { handoverViews, shopsSheet } from './views.ts';

  const { view }: { view: JobView } = $props();
  const shown = new ViewSwitch(handoverViews, () => shopsSheet);
  const job = $derived(view.job);
  const sheet = $derived(job && sheetOf(shopStore.shop, job));
  const open = $derived(sheet ? openPoints(sheet) : []);
  let handing = $state(false);
  let withCustomer = $state(false);
  const paper = $derived(
    job &&
      paperOf(
        shown.open?.id === 'customer' ? 'customer' : 'shop',
        shopStore.shop,
        job,
        shopStore.now,
      ),
  );
</script>

{#if job && sheet && paper}
  <Stage title="Hand-over" subtitle="the sheets that stay and that go out with the machine">
    {#snippet tools()}
      <ViewButtons views={handoverViews} {shown} />
      <Button onclick={() => window.print()}>Print</Button>
      {#if !job.handedOver}
        <Button next={sheet.left.length === 0} onclick={() => (handing = true)}>Hand over</Button>
      {/if}
    {/snippet}
    {#if job.handedOver}
      <Additions {job} />
      {#if !job.record}
        <p class="soft">
          Handed over before the product kept records: what follows is worked out from the machine
          as it stands now.
        </p>
      {/if}
    {:else}
      <BeforeItGoes {job} machine={view.plan?.machine} />
    {/if}
    {#if shown.Shown && view.plan}
      <shown.Shown {view} plan={view.plan} onclose={shown.close} />
    {/if}
    <p class="keep no-print">
      <Button quiet onclick={() => void savePaperHtml(paper, photosOn(shopStore.shop, job))}
        >Sheet as HTML</Button
      >
      <Button quiet onclick={() => savePaperJson(paper)}>Sheet as JSON</Button>
      <Button quiet onclick={() => saveParts(shopStore.shop, job)}>Parts as CSV</Button>
      <Button quiet onclick={() => void exportJob(shopStore.shop, job, withCustomer)}
        >Job as a file</Button
      >
      {#if job.customer}
        <Tick label="with whose it is" bind:checked={withCustomer} />
      {/if}
    </p>
  </Stage>
  {#if handing}<HandOverDialog {job} {open} onclose={() => (handing = false)} />{/if}
{/if}

<style>
  .keep {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    margin-top: 10px;
  }
</style>
