<script lang="ts">
  import { cageOut } from '$core/remedies/cageOut.ts';
  import { cutFront } from '$core/remedies/cutFront.ts';
  import { marks, type Finding, type Mark as MarkName } from '$core/findings/finding.ts';
  import { gap } from '$core/findings/gap.ts';
  import { plain } from '$core/findings/terms.ts';
  import { commonPractice } from '$core/standards/source.ts';
  import { range } from '$core/units/range.ts';
  import { plug } from '$core/standards/plugs/index.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Gap from '$lib/ui/Gap.svelte';
  import GapBoard from '$lib/ui/GapBoard.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import MeasureField from '$lib/ui/MeasureField.svelte';
  import Remedies from '$lib/ui/Remedies.svelte';
  import Stage from '$lib/frame/Stage.svelte';
  import Sum from '$lib/ui/Sum.svelte';
  import Tag from '$lib/ui/Tag.svelte';
  import Tape from '$lib/frame/Tape.svelte';
  import { toast } from '$lib/shop/toasts.svelte.ts';

  const example = (mark: MarkName, need: [number, number], how: 'measured' | 'class'): Finding => {
    const finding = gap({
      id: `example-${mark}`,
      station: 'fit',
      title: `example, ${mark}`,
      seats: [],
      unit: 'mm',
      terms: [plain('room', range(247), 1), { ...plain('card', range(...need), -1), how }],
      minimumMargin: 3,
      lack: mark === 'mend' ? 'mend' : 'stop',
      source: commonPractice,
      undoMinutes: 10,
      say: () => 'The figure and the reason, in a sentence.',
      remedies: (rest) => [
        {
          value: cageOut(),
          title: 'Take the drive cage out',
          term: plain('cage out', range(58), 1),
          margin: range(rest.lo + 58, rest.hi + 58),
          mark: 'clear',
          minutes: 20,
          money: { minor: 0, currency: 'EUR' },
          undoable: true,
        },
        {
          value: cutFront({ seat: 'card1' }),
          title: 'Cut the wall in front',
          margin: range(14),
          mark: 'watch',
          minutes: 55,
          undoable: false,
        },
      ],
    });
    return finding;
  };
  const examples: Finding[] = [
    example('stop', [267, 267], 'measured'),
    example('mend', [267, 267], 'measured'),
    example('watch', [228, 267], 'class'),
    example('clear', [228, 228], 'measured'),
  ];
  let chosen = $state<string>('example-stop');
  let open = $state(false);
  let length = $state(158);
</script>

<svelte:head><title>Parts of the house · Nutshell Swap</title></svelte:head>

<Stage title="Parts of the house" subtitle="every component in all its states">
  <h2>Marks</h2>
  <p class="row mid">
    {#each marks as mark (mark)}<Mark {mark} word size={22} /><Mark {mark} size={16} />{/each}
  </p>
  <p class="row mid mat">
    {#each marks as mark (mark)}<Mark {mark} word mat />{/each}
  </p>
  <h2>The gap</h2>
  <p class="row mid">
    {#each examples as finding (finding.id)}<Gap {finding} width={140} height={20} />{/each}
  </p>
  <h2>Sums as slots</h2>
  <GapBoard findings={examples} {chosen} units={{ unit: 'mm' }} onchoose={(id) => (chosen = id)} />
  {#if examples[0]}<Remedies
      finding={examples[0]}
      remedies={examples[0].remedies}
      units={{ unit: 'mm' }}
      ontake={() => toast('Taken.')}
    />{/if}
  <h2>Tags</h2>
  <div class="tags">
    <Tag title="14 · Slim desk unit" becomes="becomes a mini tower" next />
    <Tag title="12 · Micro unit" becomes="hut desk" href="#stage" />
  </div>
  <h2>Measure field</h2>
  <p class="row mid">
    <MeasureField
      label="cooler height"
      unit="mm"
      value={range(length)}
      most={1000}
      onmeasure={(value) => (length = value)}
    />
    <MeasureField
      label="in inches"
      unit="mm"
      lengths="in"
      value={range(length)}
      most={1000}
      onmeasure={(value) => (length = value)}
    />
    <MeasureField
      label="not measured"
      unit="mm"
      value={range(150, 168)}
      open
      onmeasure={(value) => (length = value)}
    />
    <MeasureField label="watts" unit="W" value={undefined} open onmeasure={() => undefined} />
  </p>
  <h2>Buttons, dialog, toasts</h2>
  <p class="row mid">
    <Button next onclick={() => (open = true)}>The next thing</Button>
    <Button onclick={() => toast('A short message.')}>Toast</Button>
    <Button onclick={() => toast('Not stored: the disk is full.', 'stop')}>Toast, Stop</Button>
    <Button disabled>Not now</Button>
    <Button quiet>Quiet</Button>
  </p>
  <h2>Plug faces</h2>
  <div class="row mid">
    <PlugFace plug={plug('main24')} whose="PSU" /><PlugFace
      plug={plug('maker10')}
      whose="Board"
    /><PlugFace plug={undefined} whose="Unknown" />
  </div>
</Stage>
<Tape title="Sums" aside="2 elsewhere">
  <ul>
    {#each examples as finding (finding.id)}
      <Sum
        {finding}
        chosen={chosen === finding.id}
        onchoose={() => (chosen = finding.id)}
        ontake={() => toast('Taken.')}
        flip={finding.mark === 'watch'
          ? { id: finding.id, before: examples[0], from: 'stop', to: 'watch' }
          : undefined}
      />
    {/each}
    {#if examples[3]}<Sum finding={examples[3]} folded />{/if}
  </ul>
</Tape>
{#if open}<Dialog title="A dialog" onclose={() => (open = false)}
    ><p>Escape closes it, and focus goes back to where it was.</p></Dialog
  >{/if}

<style>
  h2 {
    margin: 18px 0 8px;
  }
  .mat {
    padding: 10px;
    background: var(--mat);
  }
  .tags {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 240px));
    gap: 16px;
  }
  ul {
    margin: 0;
    padding: 0;
  }
</style>
