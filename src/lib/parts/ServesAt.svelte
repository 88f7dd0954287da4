<script lang="ts">
  import { putPart } from '$core/edits/edits.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import type { Part } from '$core/model/types/types.ts';
  import type { Service } from '$core/resolve/candidatesFor.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { Judge } from './judge.svelte.ts';
  import Services from './Services.svelte';

  const { part }: { part: Part } = $props();
  const judge = new Judge();
  let asked = $state(false);
  $effect(() => () => judge.close());

  function ask(): void {
    asked = true;
    void judge.askPart(shopStore.shop, part);
  }
  function put({ jobId, seat }: Service): void {
    shopStore.edit(
      `${part.id} as ${seatName(seat)} of job ${jobId}`,
      putPart(jobId, seat, part.id),
    );
    toast(`${part.id} is planned as ${seatName(seat)} of job ${jobId}.`);
    ask();
  }
</script>

<p><Button onclick={ask}>Where could it serve?</Button></p>
{#if asked}<Services {judge} onput={put} />{/if}
