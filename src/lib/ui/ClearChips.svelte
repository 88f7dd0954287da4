<script lang="ts">
  import type { Spoken } from '$core/units/degrees.ts';
  import type { Finding } from '$core/findings/finding.ts';
  import Mark from './Mark.svelte';
  import { show, unitWord } from './figures.ts';

  interface Props {
    /** Sums that hold. */
    findings: readonly Finding[];
    chosen: string | undefined;
    units: Spoken;
    onchoose: (id: string) => void;
  }
  const { findings, chosen, units, onchoose }: Props = $props();
  const figure = ({ margin, unit, marginLabel }: Finding) =>
    margin && margin.lo >= 0
      ? `${show(margin, unit, units)} ${unitWord(unit, units)}`.trim()
      : marginLabel;
</script>

{#if findings.length > 0}
  <section>
    <h2>As it should be</h2>
    <ul>
      {#each findings as finding (finding.id)}
        <li>
          <button
            title={finding.say}
            aria-pressed={chosen === finding.id}
            onclick={() => onchoose(finding.id)}
          >
            <Mark mark="clear" size={18} />
            <span>{finding.title}</span>
            <span class="figure">{figure(finding)}</span>
          </button>
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  h2 {
    margin: 14px 0 6px;
    font: 600 18px var(--face-head);
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  button {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: var(--target);
    padding: 4px 12px 4px 8px;
    border: 1.5px solid var(--clear);
    background: none;
    color: var(--ink);
    font-size: 15px;
  }
  button:hover,
  button[aria-pressed='true'] {
    background: var(--tape-lit);
  }
  .figure {
    font-size: 14px;
    color: var(--clear);
  }
</style>
