<script lang="ts">
  import { limits, readOut } from '$core/fit/limits.ts';
  import { partOfKind, type Plan } from '$core/model/lookup/plan.ts';
  import { drawnLength } from '$core/units/length.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { saveBytes, saveFile } from '$lib/files/save.ts';
  import Button from '$lib/ui/Button.svelte';

  interface Props {
    plan: Plan;
    view: JobView;
    onclose: () => void;
  }
  const { plan, onclose }: Props = $props();
  const list = $derived(limits(plan));
  const lengths = $derived(plan.shop.settings.unit);
  const name = $derived(partOfKind(plan, 'case')?.part.name ?? 'case');
  const most = $derived(Math.max(1, ...list.map((limit) => limit.mm)));

  async function print(): Promise<void> {
    const { limitStripPdf } = await import('$lib/print/limitStrip.ts');
    saveBytes('limit-strip.pdf', await limitStripPdf(name, list, lengths), 'application/pdf');
  }
  const save = () =>
    saveFile('limits.txt', `${name}\n${readOut(list, lengths).join('\n')}\n`, 'text/plain');
</script>

<div class="limits">
  <p>The largest part that surely goes into the {name}, to take to the shelf or the market.</p>
  <ul>
    {#each list as limit, i (i)}
      <li class:with={limit.with !== undefined}>
        <span class="label">{limit.with ? `with ${limit.with}` : limit.label}</span>
        <svg width="300" height="16" aria-hidden="true">
          <rect
            class:open={limit.how === 'class'}
            x="1"
            y="3"
            width={(limit.mm / most) * 296}
            height="10"
          />
        </svg>
        <b class="figure">{drawnLength(limit.mm, lengths, 'floor')}</b>{#if lengths === 'mm'}<small
            >mm</small
          >{/if}
        {#if !limit.with}<small>{limit.datum}{limit.how === 'class' ? ', not measured' : ''}</small
          >{/if}
      </li>
    {/each}
  </ul>
  <p class="row">
    <Button next onclick={() => void print()}>True-size strip</Button>
    <Button onclick={save}>As a list to read out</Button>
    <Button onclick={onclose}>Back to the case</Button>
  </p>
</div>

<style>
  ul {
    margin: 10px 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: center;
    min-height: 34px;
    border-top: 1px solid var(--line);
  }
  li.with {
    min-height: 28px;
    border-top: 0;
    color: var(--ink-soft);
  }
  .label {
    flex: 0 0 190px;
    font: 600 17px var(--face-head);
  }
  .with .label {
    padding-left: 16px;
    font: 15px var(--face-text);
  }
  rect {
    fill: var(--clear);
    opacity: 0.75;
  }
  rect.open {
    fill: none;
    stroke: var(--watch);
    stroke-width: 2;
    stroke-dasharray: 5 3;
    opacity: 1;
  }
  b {
    min-width: 44px;
    text-align: right;
  }
</style>
