<script lang="ts">
  import { seatName } from '$core/model/types/seats.ts';
  import type { Part } from '$core/model/types/types.ts';

  interface Props {
    rows: readonly {
      seat: string;
      was: Part | undefined;
      shall: Part | undefined;
      mark: 'stays' | 'comes' | 'goes';
      /** The stage it comes at, if not now. */
      when: string;
    }[];
    onpick: (seat: string) => void;
  }
  const { rows, onpick }: Props = $props();
</script>

<!-- One bar for what stays, two halves for what goes and what comes. -->
<ul class="strands" aria-label="Seats">
  {#each rows as row (row.seat)}
    <li>
      <button class={row.mark} onclick={() => onpick(row.seat)}>
        <span class="seat">{seatName(row.seat)}</span>
        {#if row.mark === 'stays'}
          <span class="bar both"><span class="name">{row.was?.name}</span><i>kept</i></span>
        {:else}
          <span class="bar out" class:empty={!row.was}
            >{#if row.was}<s class="name">{row.was.name}</s>{:else}empty{/if}{#if row.was}<i
                >removed</i
              >{/if}</span
          >
          <span class="bar into" class:empty={!row.shall}
            ><span class="name">{row.shall?.name ?? 'left empty'}</span>{#if row.shall}<i
                >added, {row.shall.id}{row.when ? `, ${row.when}` : ''}</i
              >{/if}</span
          >
        {/if}
      </button>
    </li>
  {/each}
</ul>

<style>
  .strands {
    margin: 10px 0 0;
    padding: 0;
    list-style: none;
  }
  .strands button {
    display: grid;
    grid-template-columns: 96px 1fr 1fr;
    gap: 0 8px;
    align-items: center;
    width: 100%;
    min-height: 34px;
    padding: 2px 0;
    border: 0;
    background: none;
    text-align: left;
    font-size: 15px;
  }
  .strands button:hover .seat {
    text-decoration: underline;
  }
  .seat {
    font: 600 16px var(--face-head);
  }
  .bar {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    min-width: 0;
    padding: 3px 10px;
    border: 1.5px solid var(--ink);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .bar .name {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .bar i {
    flex: none;
    font-style: normal;
    font-size: 13.5px;
  }
  .both {
    grid-column: 2 / 4;
    background: var(--part-stays);
    border-width: 1px;
  }
  .out {
    background: var(--part-goes);
    border-style: dashed;
    border-right-style: none;
    clip-path: polygon(0 0, 100% 0, calc(100% - 9px) 50%, 100% 100%, 0 100%);
  }
  .into {
    background: var(--part-comes);
    border-width: 2px;
    font-weight: 700;
    clip-path: polygon(0 0, 100% 0, 100% 100%, 0 100%, 9px 50%);
    padding-left: 18px;
  }
  .into i {
    font-weight: 400;
  }
  .empty {
    border-color: transparent;
    background: none;
    color: var(--ink-soft);
    font-weight: 400;
  }
  @media (max-width: 37.5em) {
    .strands button {
      grid-template-columns: 72px 1fr;
    }
    .both,
    .into {
      grid-column: 2;
    }
  }
</style>
