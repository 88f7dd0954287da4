<script lang="ts">
  import { degreesIn, spoken, type Spoken } from '$core/units/degrees.ts';
  import type { Finding, Remedy } from '$core/findings/finding.ts';
  import { isOpen } from '$core/findings/terms.ts';
  import type { Flip } from '$core/findings/flips.ts';
  import { sourceText } from '$core/standards/source.ts';
  import Mark from './Mark.svelte';
  import { show, showTerm, unitWord } from './figures.ts';

  interface Props {
    finding: Finding;
    units?: Spoken;
    chosen?: boolean;
    /** Folded to its title and rest. */
    folded?: boolean;
    /** What the last edit overturned. */
    flip?: Flip | undefined;
    onchoose?: () => void;
    ontake?: (remedy: Remedy) => void;
  }
  const {
    finding,
    units = { unit: 'mm' },
    chosen = false,
    folded = false,
    flip,
    onchoose,
    ontake,
  }: Props = $props();
  const pencil = $derived(finding.remedies[0]);
  const how = { said: 'typed', read: 'from inventory', measured: '', class: 'typical' } as const;
  const unit = $derived(unitWord(finding.unit, units));
  const rest = $derived(finding.margin ? show(finding.margin, finding.unit, units) : '');
  /** Clear though its figures do not say so: the reason stands instead of them. */
  const foundSo = $derived(finding.mark === 'clear' && (finding.margin?.lo ?? 0) < 0);
</script>

<li class="sum" class:chosen class:flipped={flip !== undefined} id="sum-{finding.id}">
  {#if flip?.before}
    <p class="struck figure">
      <s
        >{flip.before.title}
        {flip.before.margin
          ? show(flip.before.margin, flip.before.unit, units)
          : flip.before.marginLabel}</s
      >
    </p>
  {/if}
  {#if folded}
    <button class="line" onclick={onchoose} aria-pressed={chosen}>
      <Mark mark={finding.mark} size={16} />
      <span class="label">{finding.title}</span>
      <span class="figure">{foundSo ? finding.marginLabel : rest || finding.marginLabel}</span
      ><small>{rest && !foundSo ? unit : ''}</small>
    </button>
  {:else}
    <button class="head" onclick={onchoose} aria-pressed={chosen}>
      <Mark mark={finding.mark} word size={20} />
      <span class="title">{finding.title}</span>
    </button>
    <dl>
      {#each finding.terms as term, i (i)}
        <div class:open={isOpen(term)}>
          <dt>
            {degreesIn(term.label, units.degrees)}{#if term.how && how[term.how]}<small
                >, {how[term.how]}</small
              >{/if}
          </dt>
          <dd class:figure={typeof term.value !== 'string'}>
            {typeof term.value === 'string'
              ? term.value
              : (term.sign === -1 ? '−' : '') + showTerm(term, finding.unit, units)}
            <small>{i === 0 && typeof term.value !== 'string' ? unit : ''}</small>
          </dd>
        </div>
      {/each}
      <div class="rest">
        <dt>{finding.marginLabel}</dt>
        <dd class="figure">{rest}<small>{rest ? unit : ''}</small></dd>
      </div>
      {#if pencil && finding.mark !== 'watch'}
        <div class="pencil">
          <dt class="visually-hidden">way out</dt>
          <dd>
            <button class="remedy" onclick={() => ontake?.(pencil)} title="Take this remedy">
              <span>{pencil.term?.label ?? pencil.title}</span>
              <span class="figure"
                >{pencil.term && typeof pencil.term.value !== 'string'
                  ? `+${show(pencil.term.value, finding.unit, units)}`
                  : `${pencil.minutes} min`}</span
              >
            </button>
          </dd>
        </div>
        {#if pencil.margin}
          <div class="pencil">
            <dt>leaves</dt>
            <dd class="figure">
              {show(pencil.margin, finding.unit, units)}<small>{unit}</small>
            </dd>
          </div>
        {/if}
      {/if}
    </dl>
    {#if chosen}
      <p class="say">{spoken(finding.say, units)}</p>
      <p class="source">{sourceText(finding.source)}</p>
    {/if}
  {/if}
</li>

<style>
  .sum {
    list-style: none;
    border-bottom: 1px dashed var(--line);
    padding: 8px 14px;
    border-left: 5px solid transparent;
  }
  .chosen {
    background: var(--tape-lit);
    border-left-color: var(--accent);
  }
  .flipped {
    animation: flip 1.6s ease-out;
  }
  @keyframes flip {
    from {
      background: var(--accent);
    }
  }
  button {
    border: 0;
    background: none;
    padding: 0;
    text-align: left;
  }
  .head {
    display: flex;
    gap: 8px;
    align-items: center;
    width: 100%;
    min-height: 28px;
  }
  .title {
    font: 600 16px/1.15 var(--face-head);
  }
  .line {
    display: grid;
    /* The label keeps room for a word of its own beside a long value. */
    grid-template-columns: auto minmax(5.5em, 1fr) minmax(0, auto) minmax(26px, auto);
    gap: 8px;
    align-items: center;
    width: 100%;
    min-height: 28px;
    font-size: 15px;
  }
  .line .figure {
    text-align: right;
    line-height: 1.2;
  }
  .label {
    min-width: 0;
    line-height: 1.2;
    overflow-wrap: anywhere;
  }
  dl {
    margin: 2px 0 0;
  }
  dl div {
    display: grid;
    /* A label keeps room for a word of its own beside a long value. */
    grid-template-columns: minmax(5.5em, 1fr) auto;
    gap: 6px;
    align-items: baseline;
    font-size: 15px;
    line-height: 1.4;
  }
  dt,
  dd {
    margin: 0;
  }
  dd {
    display: flex;
    justify-content: flex-end;
    align-items: baseline;
    text-align: right;
  }
  dd small {
    flex: none;
    width: 32px;
    padding-left: 6px;
    text-align: left;
  }
  dt small {
    color: var(--ink-soft);
  }
  small {
    font-size: 12.5px;
    color: var(--ink-soft);
  }
  .rest {
    border-top: 1.5px solid var(--ink);
    font-weight: 700;
  }
  .pencil {
    font-style: italic;
    color: var(--accent-ink);
  }
  .pencil dd:only-of-type:has(.remedy) {
    grid-column: 1 / -1;
  }
  /* A way out is pressed: as large as a thumb wants it, pencilled until it is taken. */
  .remedy {
    display: flex;
    gap: 8px;
    justify-content: space-between;
    align-items: center;
    width: 100%;
    min-height: 42px;
    margin: 3px 0;
    padding: 3px 10px;
    border: 1.5px dashed var(--accent-ink);
    font-style: italic;
  }
  .remedy .figure {
    white-space: nowrap;
  }
  .remedy:hover {
    background: var(--paper-deep);
  }
  .say {
    margin-top: 6px;
    font-size: 14.5px;
  }
  .source {
    margin-top: 2px;
    font-size: 12.5px;
    color: var(--ink-soft);
  }
  .struck {
    font-size: 13px;
    color: var(--ink-soft);
  }
</style>
