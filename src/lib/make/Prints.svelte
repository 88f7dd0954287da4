<script lang="ts">
  import { dropPrint, nextMakeId, setPrint } from '$core/edits/makeEdits.ts';
  import { editJob, newPart } from '$core/edits/edits.ts';
  import type { Printed } from '$core/model/types/printTypes.ts';
  import { estimate } from '$core/print/estimate.ts';
  import { printFields } from '$core/print/fields.ts';
  import { freshPrint } from '$core/print/fresh.ts';
  import { shapeFault } from '$core/print/limits.ts';
  import type { Solid } from '$core/print/solid.ts';
  import { lying } from '$core/print/lying.ts';
  import { piecesOn } from '$core/print/sums.ts';
  import { addWants } from '$core/shop/items.ts';
  import { saveBytes } from '$lib/files/save.ts';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { Background } from '$lib/shop/background.svelte.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import type { PrintWorker } from '../../workers/print.worker.ts';
  import Section from './Section.svelte';
  import Things from './Things.svelte';
  import Turning from './Turning.svelte';

  const { view }: ViewProps = $props();
  const sorts: readonly [Printed['do'], string][] = [
    ['card support', 'Card support'],
    ['riser stand', 'Riser stand'],
    ['drive bracket', 'Drive bracket'],
    ['fan bracket', 'Fan bracket'],
    ['printed PSU plate', 'PSU plate'],
    ['foot', 'Foot'],
    ['standoff tower', 'Standoff tower'],
    ['port frame', 'Port frame'],
    ['cable comb', 'Cable comb'],
    ['lid vent', 'Lid vent'],
    ['saddle', 'Saddle'],
  ];
  const job = $derived(view.job);
  const list = $derived(job?.printed ?? []);
  const offered = $derived(view.found.flatMap(({ remedies }) => remedies));
  let picked = $state<string>();
  const spoken = $derived(uiState.chosen?.split(':')[1]);
  const print = $derived(
    list.find(({ id }) => id === picked) ?? list.find(({ id }) => id === spoken) ?? list[0],
  );
  const fault = $derived(print && shapeFault(print));
  const pieces = $derived(print ? piecesOn(print) : 1);
  const worker = new Background<PrintWorker>(
    () => new Worker(new URL('../../workers/print.worker.ts', import.meta.url), { type: 'module' }),
  );
  let solids = $state.raw<{ of: string; list: Solid[] } | undefined>(undefined);
  /* As text: an edit elsewhere in the shop asks for no new solid. */
  const wanted = $derived(print && fault === undefined ? JSON.stringify(print) : '');
  $effect(() => {
    if (wanted === '') return;
    const own = JSON.parse(wanted) as Printed;
    const count = piecesOn(own);
    void worker
      .ask((api) => api.solids(own, count))
      .then((made) => {
        if (made) solids = { of: own.id, list: made };
      });
  });
  const shown = $derived(
    solids?.of === print?.id && fault === undefined ? solids?.list : undefined,
  );
  const takes = $derived(
    print && shown
      ? estimate(print, {
          volume: shown.reduce((sum, each) => sum + each.volume, 0),
          surface: shown.reduce((sum, each) => sum + each.surface, 0),
        })
      : undefined,
  );
  const name = $derived(print ? `job-${job?.id ?? ''}-${print.do.replace(/ /g, '-')}` : '');
  const spanned = (lo: number, hi: number) =>
    `${lo.toFixed(hi < 3 ? 1 : 0)} to ${hi.toFixed(hi < 3 ? 1 : 0)}`;

  function add(sort: Printed['do'], label: string): void {
    if (!job) return;
    const id = nextMakeId(list, 'p');
    picked = id;
    void shopStore.edit(
      `to print: ${label.toLowerCase()}`,
      setPrint(job.id, freshPrint(sort, id), offered),
    );
  }
  function set(field: string, label: string, value: unknown): void {
    if (!job || !print || value === undefined) return;
    void shopStore.edit(
      `${print.do}: ${label.toLowerCase()}`,
      setPrint(job.id, { ...print, [field]: value } as Printed, offered),
      `print ${job.id} ${print.id} ${field}`,
    );
  }
  function drop(): void {
    if (!job || !print) return;
    const { id, do: sort } = print;
    picked = undefined;
    void shopStore.edit(`not printed: ${sort}`, dropPrint(job.id, id));
  }

  async function stl(): Promise<void> {
    if (!print) return;
    const own = $state.snapshot(print);
    const files = (await worker.ask((api) => api.stl(print.do, own, pieces))) ?? [];
    files.forEach((bytes, i) =>
      saveBytes(`${name}${pieces > 1 ? `-${i + 1}-of-${pieces}` : ''}.stl`, bytes, 'model/stl'),
    );
  }
  async function threeMf(): Promise<void> {
    if (!print) return;
    const own = $state.snapshot(print);
    const bytes = await worker.ask((api) => api.threeMf(print.do, own, pieces));
    if (bytes) saveBytes(`${name}.3mf`, bytes, 'model/3mf');
  }

  /** Its hours on the printer go into the work order, and so into the week. */
  const inWeek = $derived(job?.finishes.some(({ id }) => id === `print${print?.id}`) ?? false);
  function toWeek(): void {
    if (!job || !print || !takes) return;
    const finish = {
      do: 'print',
      id: `print${print.id}`,
      piece: 'bracket',
      material: print.material,
      hours: Math.max(0.1, Math.round(takes.hours.hi * 10) / 10),
      unattended: false,
    } as const;
    void shopStore.edit(
      `into the week: ${print.do}`,
      editJob(job.id, { finishes: [...job.finishes.filter(({ id }) => id !== finish.id), finish] }),
    );
    toast(`Into the work order: ${finish.hours} h on the printer.`);
  }
  function toList(): void {
    if (!job || !print || !takes) return;
    const what = `${print.material} filament, ${Math.ceil(takes.grams.hi)} g`;
    void shopStore.edit(`to buy: ${what}`, addWants(job.id, [{ what, count: 1 }]));
    toast(`On the shopping list: ${what}.`);
  }
  /** Printed, it is a part like any other: its material and what it stands beside go with it. */
  async function made(): Promise<void> {
    if (!print) return;
    const at = shopStore.now;
    const word = (text: string) => ({ text, how: 'said' as const, at });
    const part = newPart({
      kind: 'small',
      name: `${print.material} ${print.do}`,
      place: 'shelf',
      facts: {
        sort: word('printed part'),
        material: word(print.material),
        beside: word(print.beside),
      },
    });
    await shopStore.edit(`printed: ${print.do}`, part.edit);
    toast(`On the shelf as ${part.tag()}: seat it at Intake, and Heat looks at it.`);
  }
</script>

{#if list.length === 0}
  <p>Nothing is printed for this job yet: pick what, and give it its measures.</p>
{/if}
<Things
  verb="Print"
  undone="Not printed after all"
  {list}
  open={print}
  {sorts}
  fields={printFields}
  onpick={(id) => (picked = id)}
  onadd={add}
  onset={set}
  ondrop={drop}
>
  {#snippet children(print)}
    <Fault text={fault ?? worker.fault} />
    {#if shown?.[0]}
      <div class="pictures">
        <Turning solids={shown} name="The {print.do}" />
        <Section solid={shown[0]} name="The {print.do}" />
      </div>
      {#if takes}
        <p>
          {spanned(takes.grams.lo, takes.grams.hi)} g of {print.material}, {spanned(
            takes.hours.lo,
            takes.hours.hi,
          )} h on the printer{pieces > 1 ? `, in ${pieces} pieces` : ''}.
          <span class="soft">{say(lying(print))}.</span>
        </p>
      {/if}
      <div class="row mid apart">
        <Button next onclick={stl}>STL</Button>
        <Button onclick={threeMf}>3MF</Button>
        <Button onclick={toWeek} disabled={inWeek}
          >{inWeek ? 'In the week' : 'Into the week'}</Button
        >
        <Button onclick={toList}>Filament to the list</Button>
        <Button onclick={made}>It is printed: a part</Button>
      </div>
    {/if}
  {/snippet}
</Things>

<style>
  .pictures {
    display: flex;
    flex-wrap: wrap;
    gap: 20px;
    align-items: center;
  }
</style>
