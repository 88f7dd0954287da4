<script lang="ts">
  import { seatName } from '$core/model/types/seats.ts';
  import type { Service } from '$core/resolve/candidatesFor.ts';
  import Mark from '$lib/ui/Mark.svelte';
  import type { Judge } from './judge.svelte.ts';

  interface Props {
    judge: Judge;
    onput: (service: Service) => void;
    most?: number;
  }
  const { judge, onput, most = 6 }: Props = $props();
  /** What brings two troubles and settles none is no service. */
  const services = $derived(
    (judge.services ?? []).filter(
      (each) => !(each.settles.length === 0 && each.against.length > 1),
    ),
  );
  function why({ settles, instead, against }: Service): string {
    const good =
      settles.length > 0
        ? `settles ${settles.map(({ title }) => title).join(', ')}`
        : instead
          ? `instead of ${instead.name}`
          : 'in an empty seat';
    return against[0] ? `${good}; against it: ${against[0].title}` : good;
  }
</script>

{#if judge.fault}
  <p class="fault" role="alert">{judge.fault}</p>
{:else if judge.services === undefined}
  <p class="soft">judged in {judge.done} of {judge.of} jobs</p>
{:else}
  <ul>
    {#each services.slice(0, most) as each (each.jobId + each.seat)}
      <li>
        <button onclick={() => onput(each)}>
          <Mark mark={each.mark} size={16} />
          <b>{seatName(each.seat)} of {each.jobId}</b>
          <span>{why(each)}</span>
        </button>
      </li>
    {:else}<li>In no open job without trouble.</li>{/each}
  </ul>
{/if}

<style>
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
    gap: 4px 12px;
    margin: 4px 0;
    padding: 0;
    list-style: none;
  }
  button {
    display: flex;
    gap: 6px;
    align-items: center;
    width: 100%;
    min-height: 34px;
    border: 1px solid var(--line);
    background: var(--tape);
    color: var(--ink);
    text-align: left;
    font-size: 14px;
  }
  b {
    white-space: nowrap;
  }
</style>
