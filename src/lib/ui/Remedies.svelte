<script lang="ts">
  import { spoken, type Spoken } from '$core/units/degrees.ts';
  import type { Finding, Remedy } from '$core/findings/finding.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';
  import Gap from './Gap.svelte';
  import Mark from './Mark.svelte';
  import { show, unitWord } from './figures.ts';

  interface Props {
    finding: Finding;
    remedies: readonly Remedy[];
    units: Spoken;
    ontake: (remedy: Remedy) => void;
  }
  const { finding, remedies, units, ontake }: Props = $props();

  /** The sum as it would stand with the remedy taken. */
  function outcome(remedy: Remedy): Pick<Finding, 'terms' | 'margin' | 'mark'> {
    const terms = remedy.term ? [...finding.terms, remedy.term] : finding.terms;
    return {
      terms: remedy.term ? terms : withRest(remedy),
      margin: remedy.margin,
      mark: remedy.mark,
    };
  }

  function withRest(remedy: Remedy): Finding['terms'] {
    if (!remedy.margin || !finding.margin) return finding.terms;
    const room = finding.terms.filter((term) => term.sign === 1);
    const total = room.reduce(
      (sum, term) => sum + (typeof term.value === 'string' ? 0 : term.value.lo),
      0,
    );
    return [
      ...room,
      {
        label: 'need',
        sign: -1,
        value: { lo: total - remedy.margin.hi, hi: total - remedy.margin.lo },
      },
    ];
  }

  const money = (remedy: Remedy) =>
    !remedy.money
      ? 'not priced'
      : remedy.money.minor === 0
        ? ''
        : `${formatMoney(remedy.money)} ${currencySign(remedy.money.currency)}`;
</script>

<section aria-label="Ways to make it fit">
  <h2>Ways to make it fit <small>{finding.title} · cheapest first</small></h2>
  {#if remedies.length === 0}
    <p class="soft">
      {finding.mark === 'clear'
        ? 'Nothing: this sum is clear.'
        : finding.mark === 'watch'
          ? 'Nothing yet: measure first, it may be clear.'
          : 'Nothing on the shelf mends this. Type a part in, or measure again.'}
    </p>
  {/if}
  <ul>
    {#each remedies as remedy, i (i)}
      <li>
        <button class:first={i === 0} onclick={() => ontake(remedy)}>
          <span class="title"
            ><Mark mark={remedy.mark} size={18} /> {spoken(remedy.title, units)}</span
          >
          {#if remedy.margin}
            <span class="out">
              <Gap finding={outcome(remedy)} width={150} height={18} />
              <b class="figure"
                >{show(remedy.margin, finding.unit, units)}
                <small>{unitWord(finding.unit, units)}</small></b
              >
            </span>
          {/if}
          <span class="cost">
            {[
              `${remedy.minutes} min`,
              money(remedy),
              remedy.undoable ? 'can be undone' : 'cannot be undone',
              remedy.givesUp ? `gives up ${remedy.givesUp}` : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </button>
      </li>
    {/each}
  </ul>
</section>

<style>
  section {
    margin-top: 14px;
    padding-top: 10px;
    border-top: 2px solid var(--ink);
  }
  h2 small {
    margin-left: 6px;
    font: 15px var(--face-text);
    color: var(--ink-soft);
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 8px 0 0;
    padding: 0;
    list-style: none;
  }
  li {
    flex: 0 1 255px;
    display: flex;
  }
  button {
    display: flex;
    flex-direction: column;
    gap: 6px;
    width: 100%;
    padding: 8px 10px;
    border: 0;
    border-left: 4px solid transparent;
    background: none;
    text-align: left;
  }
  button:hover,
  .first {
    background: var(--tape-lit);
  }
  .first {
    border-left-color: var(--accent);
  }
  .title {
    display: flex;
    gap: 8px;
    align-items: flex-start;
    font: 600 16px/1.2 var(--face-head);
  }
  .out b {
    white-space: nowrap;
  }
  .out {
    display: flex;
    align-items: center;
    gap: 10px;
  }
  .cost {
    font-size: 14px;
    color: var(--ink-soft);
  }
  small {
    font-size: 12.5px;
  }
</style>
