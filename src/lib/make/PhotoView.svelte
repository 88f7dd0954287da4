<script lang="ts">
  import { asset } from '$app/paths';
  import {
    cards,
    matPapers,
    RULE_MM,
    ruleFault,
    ruleTools,
    type MatPaper,
    type RuleTool,
  } from '$core/photo/mat.ts';
  import { range } from '$core/units/range.ts';
  import { saveBytes } from '$lib/files/save.ts';
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import { picturesIn } from '$lib/photos/photoWork.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { say } from '$lib/shop/units.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import FlatPicture from './FlatPicture.svelte';
  import { photoTable, within, type Tool } from './photoTable.svelte.ts';
  import PhotoUses from './PhotoUses.svelte';

  const { plan, view }: ViewProps = $props();
  /* By shop and job: another shop's job of that number has its own. */
  const table = $derived(
    photoTable(`${shopStore.shop.name} · ${view.job?.id ?? ''} ${view.job?.name ?? ''}`),
  );
  const lengths = $derived(shopStore.shop.settings.unit);
  let paper = $state<MatPaper>('A4');
  let card = $state<keyof typeof cards>('bank card');
  let ruleSaid = $state('');
  const tools: readonly { value: Tool; words: string }[] = [
    { value: 'hole', words: 'Hole' },
    { value: 'edge', words: 'Edge' },
    { value: 'rectangle', words: 'Opening' },
  ];

  async function print(): Promise<void> {
    const { matPdf } = await import('$lib/print/mat.ts');
    saveBytes(`mat-${paper}.pdf`, await matPdf(paper), 'application/pdf');
    toast('Print at 100 %, lay it flat, then hold a caliper or a ruler to both rules.');
  }
  async function sample(): Promise<void> {
    const answer = await fetch(asset('/samples/rear-wall.jpg')).catch(() => undefined);
    if (!answer?.ok) {
      toast('The picture that ships with the app is not at hand without the network.', 'stop');
      return;
    }
    void table.take([
      new File([await answer.blob()], 'rear wall, a sample', { type: 'image/jpeg' }),
    ]);
  }
  function rule(which: 'across' | 'down', mm: number): void {
    ruleSaid = ruleFault(mm, RULE_MM[which]) ?? '';
    if (ruleSaid === '') void table.setRules({ ...table.rules, [which]: mm });
  }
  const single = (mm: number | undefined) => (mm === undefined ? undefined : range(mm));
</script>

<div
  class="photo"
  role="group"
  aria-label="Measured by photograph"
  ondragover={(event) => event.preventDefault()}
  ondrop={(event) => {
    event.preventDefault();
    void table.take(picturesIn(event.dataTransfer));
  }}
>
  <div class="row">
    <Select
      label="Mat"
      options={Object.keys(matPapers) as MatPaper[]}
      bind:value={() => paper, (to) => (paper = to || 'A4')}
    />
    <Button onclick={print}>Print the mat</Button>
    <MeasureField
      label="Mat’s rule across"
      unit="mm"
      {lengths}
      value={single(table.rules.across)}
      open={table.rules.across === undefined}
      onmeasure={(mm) => rule('across', mm)}
    />
    <MeasureField
      label="rule down"
      unit="mm"
      {lengths}
      value={single(table.rules.down)}
      open={table.rules.down === undefined}
      onmeasure={(mm) => rule('down', mm)}
    />
    <Select
      label="read with a"
      options={Object.keys(ruleTools) as RuleTool[]}
      value={table.rules.with ?? 'ruler'}
      onpick={(tool) => void table.setRules({ ...table.rules, with: tool || undefined })}
    />
  </div>
  {#if ruleSaid}<Fault text={say(ruleSaid)} />{/if}
  <div class="row">
    <FilePick
      label={table.busy
        ? 'Measuring …'
        : table.shots.length === 0
          ? 'Take or choose a picture'
          : 'Another picture'}
      accept="image/*"
      multiple
      onfiles={(files) => void table.take(files)}
    />
    <Tabs
      label="Pictures"
      options={table.shots.map(({ id, name }, i) => ({ value: id, words: `${i + 1} ${name}` }))}
      value={table.shown}
      onpick={(id) => void table.show(id)}
    />
    {#if table.shown !== undefined}
      <Button
        quiet
        onclick={() => void table.drop(table.shown ?? 0)}
        aria-label="Take picture {table.shots.findIndex(({ id }) => id === table.shown) + 1} away"
        >Away</Button
      >
    {/if}
    <MeasureField
      label="Lies above the mat"
      unit="mm"
      {lengths}
      zero
      value={single(table.height.mm)}
      onmeasure={(mm) => void table.setHeight({ ...table.height, mm })}
    />
    <MeasureField
      label="give or take"
      unit="mm"
      {lengths}
      zero
      value={single(Math.round(table.height.off * 20) / 10)}
      onmeasure={(mm) => void table.setHeight({ ...table.height, off: mm / 2 })}
    />
  </div>
  {#if table.shots.length === 0}
    <Button quiet onclick={sample}
      >Or try it on a picture of a rear wall that ships with the app</Button
    >
    <p class="soft">
      Print the mat once. Lay the board, the bracket or the rear wall on it so that its codes show
      all round, hold the camera straight above, and tap what you want to know: holes, edges,
      openings come out in mm, each with its accuracy. Measure rims, they are the truth: a hole’s
      wall is seen beside it from aside.
    </p>
  {/if}
  {#if table.shot?.fault}
    <Fault text={table.shot.fault} />
    <div class="row">
      <Select
        label="Or a card of known size in it"
        options={Object.keys(cards) as (keyof typeof cards)[]}
        bind:value={() => card, (to) => (card = to || 'bank card')}
      />
      {#if table.taps === undefined}
        <Button onclick={() => (table.taps = [])}>Tap its four corners</Button>
      {:else if table.taps.length < 4}
        <span>corner {table.taps.length + 1} of 4, one after the other round it</span>
        <Button quiet onclick={() => (table.taps = undefined)}>Leave it</Button>
      {:else}
        <Button next onclick={() => void table.card(cards[card])}>These are its corners</Button>
        <Button quiet onclick={() => (table.taps = [])}>Tap them again</Button>
      {/if}
    </div>
  {/if}
  {#if table.shot?.smaller}<p class="soft">
      Larger than any lens is sharp: it was made smaller to 16 megapixels.
    </p>{/if}
  {#if table.joined}
    <p>
      {table.joined.codes.reduce((sum, count) => sum + count, 0)} marks{table.joined.ids.length > 1
        ? ` in ${table.joined.ids.length} pictures`
        : ''}{table.joined.leftOut > 0
        ? `, ${table.joined.leftOut} half covered and left out`
        : ''}:
      {within(table.joined.accuracy.middle, lengths)} in the middle, {within(
        table.joined.accuracy.corner,
        lengths,
      )} at the corner (95 %).
      {#if table.joined.advice.length > 0}
        <span class="soft">Better: {table.joined.advice.join('; ')}.</span>
      {/if}
    </p>
    <Tabs
      label="What a tap measures"
      options={tools}
      value={table.tool}
      onpick={(tool) => (table.tool = tool)}
    />
  {/if}
  {#if table.fault}<Fault text={table.fault} />{/if}
  {#if table.laid}
    <div class="beside">
      <FlatPicture {table} />
      <div><PhotoUses {table} {plan} /></div>
    </div>
  {/if}
</div>

<style>
  .photo {
    display: grid;
    gap: 10px;
  }
  p {
    margin: 0;
  }
  .beside {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(240px, 2fr);
    gap: 16px;
    align-items: start;
  }
  @media (max-width: 760px) {
    .beside {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
