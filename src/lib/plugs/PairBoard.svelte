<script lang="ts">
  import type { Finding, Mark as MarkName } from '$core/findings/finding.ts';
  import { plugIn } from '$core/model/lookup/ownPlugs.ts';
  import { matings, type Effect } from '$core/plugs/mate/index.ts';
  import PlugFace from '$lib/draw/PlugFace.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Mark from '$lib/ui/Mark.svelte';

  interface Props {
    /** Sums about a plug and its socket. */
    findings: readonly Finding[];
    chosen: string | undefined;
    onchoose: (id: string) => void;
  }
  const { findings, chosen, onchoose }: Props = $props();

  /** Each pair with what would meet, contact by contact, were it pushed on. */
  const pairs = $derived(
    findings.flatMap((finding) => {
      if (finding.about?.of !== 'plugs') return [];
      const plug = finding.about.plug ? plugIn(shopStore.shop, finding.about.plug) : undefined;
      const socket = finding.about.socket
        ? plugIn(shopStore.shop, finding.about.socket)
        : undefined;
      const [meeting] = plug && socket ? matings(plug, socket) : [];
      const effects = (pin: 'plugPin' | 'socketPin') =>
        new Map<number, Effect>(
          finding.mark === 'clear' || finding.mark === 'watch'
            ? []
            : meeting?.contacts.map((each) => [each[pin], each.effect] as const),
        );
      return {
        finding,
        plug,
        socket,
        onPlug: effects('plugPin'),
        onSocket: effects('socketPin'),
        /** What burns, said on the line. */
        burns: finding.mark === 'stop' ? meeting?.says[0] : undefined,
      };
    }),
  );
  /** What stands on the line between them: the first way out. */
  const wayOut = ({ mark, remedies }: Finding): string | undefined =>
    mark === 'mend' ? remedies[0]?.title : undefined;
  const lines: Record<MarkName, string> = {
    stop: 'M0 10C90 10 110 42 200 42M0 42C90 42 110 10 200 10',
    mend: 'M0 26H200',
    watch: 'M0 26H200',
    clear: 'M0 26H200',
  };
</script>

<ul>
  {#each pairs as { finding, plug, socket, onPlug, onSocket, burns } (finding.id)}
    <li class={finding.mark} class:chosen={chosen === finding.id}>
      <button onclick={() => onchoose(finding.id)} aria-pressed={chosen === finding.id}>
        <span class="head">
          <Mark mark={finding.mark} word />
          <b>{finding.title}</b>
          <span class="say">{finding.say}</span>
        </span>
        <span class="pair">
          <span class="side">
            <PlugFace {plug} whose="" scale={4.6} effects={onPlug} name="not said yet" brief />
          </span>
          <span class="between">
            <svg viewBox="0 0 200 52" preserveAspectRatio="none" aria-hidden="true">
              <path d={lines[finding.mark]} />
            </svg>
            {#if burns}<span class="on burns">{burns}</span>
            {:else if wayOut(finding)}<span class="on">{wayOut(finding)}</span>
            {:else if finding.mark !== 'clear'}<span class="on">{finding.marginLabel}</span>{/if}
          </span>
          <span class="side">
            <PlugFace
              plug={socket}
              whose=""
              scale={4.6}
              effects={onSocket}
              name="not said yet"
              brief
            />
          </span>
        </span>
      </button>
    </li>
  {/each}
</ul>
{#if pairs.length > 0}
  <p class="soft">
    Left what is pushed on, right what waits on board, card or drive, both seen as one sees the
    header: latch side down, 1 top left. Ringed: what would meet and must not. Colours are a hint,
    never proof.
  </p>
{/if}

<style>
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  button {
    display: block;
    width: 100%;
    padding: 8px 10px 12px;
    border: 0;
    border-left: 5px solid transparent;
    border-bottom: 1px dashed var(--line);
    background: none;
    text-align: left;
  }
  button:hover {
    background: var(--paper-deep);
  }
  .chosen button {
    border-left-color: var(--accent);
    background: var(--tape-lit);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 10px;
    align-items: baseline;
  }
  .head b {
    font: 600 18px var(--face-head);
  }
  .say {
    font-size: 15px;
    color: var(--ink-soft);
  }
  .pair {
    display: grid;
    grid-template-columns: minmax(0, max-content) minmax(120px, 1fr) minmax(0, 256px);
    align-items: center;
    margin-top: 6px;
  }
  .side {
    min-width: 0;
    overflow: hidden;
  }
  .between {
    position: relative;
    display: grid;
    place-items: center;
    min-height: 62px;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 62px;
    margin: auto;
  }
  path {
    fill: none;
    stroke: var(--clear);
    stroke-width: 3;
    vector-effect: non-scaling-stroke;
  }
  .stop path {
    stroke: var(--stop);
  }
  .mend path {
    stroke: var(--mend);
    stroke-width: 6;
  }
  .watch path {
    stroke: var(--watch);
    stroke-width: 4;
    stroke-dasharray: 4 5;
  }
  .on {
    position: relative;
    max-width: 92%;
    padding: 4px 10px;
    border: 2px solid currentcolor;
    background: var(--paper);
    font: 600 15px var(--face-head);
    text-align: center;
  }
  .mend .on {
    color: var(--mend);
  }
  .watch .on {
    color: var(--watch);
  }
  .burns {
    align-self: end;
    border: 0;
    background: none;
    color: var(--stop);
    font: 600 14px var(--face-figure);
  }
  @media (max-width: 43.75em) {
    .pair {
      grid-template-columns: 1fr;
      gap: 4px;
    }
    .between {
      min-height: 40px;
    }
  }
</style>
