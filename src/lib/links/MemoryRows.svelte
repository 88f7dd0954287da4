<script lang="ts">
  import { populations, slotsFirst, type Module } from '$core/links/index.ts';
  import { partsOfKind, numberAt, partOfKind, type Plan } from '$core/model/lookup/plan.ts';

  interface Props {
    plan: Plan;
  }
  const { plan }: Props = $props();
  const board = $derived(partOfKind(plan, 'board'));
  const platform = $derived(board && numberAt(plan, board, 'memorySpeed'));
  const slots = $derived(board && numberAt(plan, board, 'memorySlots'));
  const channels = $derived((board && numberAt(plan, board, 'channels')?.lo) ?? 2);
  const modules = $derived(
    partsOfKind(plan, 'memory').flatMap((placed): Module[] => {
      const [gb, mts] = [numberAt(plan, placed, 'size'), numberAt(plan, placed, 'speed')];
      return gb && mts ? [{ name: placed.part.name, gb: gb.lo, mts: mts.lo }] : [];
    }),
  );
  const list = $derived(
    modules.length > 0
      ? populations(modules, Math.max(1, Math.round(channels)), platform?.hi).slice(0, 3)
      : [],
  );
  const most = $derived(
    Math.max(
      1,
      ...list.flatMap((each) => each.channels.map((c) => c.reduce((s, m) => s + m.gb, 0))),
    ),
  );
  const x = (gb: number) => (gb / most) * 300;
</script>

{#if list.length > 0}
  <section>
    <h2>RAM, channel by channel</h2>
    {#each list as each, i (i)}
      {@const shared = each.matchedGb / each.channels.length}
      <div class="row mid">
        <svg
          viewBox="0 0 310 {each.channels.length * 26 + 4}"
          width="310"
          role="img"
          aria-label="{each.gb} GB, {each.matchedGb} matched at {each.mts} MT/s"
        >
          {#each each.channels as channel, c (c)}
            {#each channel as module, m (m)}
              {@const from = channel.slice(0, m).reduce((sum, one_) => sum + one_.gb, 0)}
              <rect
                class="module"
                x={1 + x(from)}
                y={c * 26 + 3}
                width={Math.max(2, x(module.gb) - 2)}
                height="20"
              />
              <text x={6 + x(from)} y={c * 26 + 17}>{module.gb}</text>
            {/each}
          {/each}
          {#if each.matchedGb > 0}
            <path class="match" d="M{1 + x(shared)} 0V{each.channels.length * 26 + 2}" />
          {/if}
        </svg>
        <p>
          <b>{i === 0 ? 'All of it' : 'The odd one out'}</b>:
          <span class="figure">{each.gb} GB</span>, {each.matchedGb === each.gb
            ? 'all matched'
            : each.matchedGb === 0
              ? 'none matched'
              : `${each.matchedGb} matched`} at <span class="figure">{each.mts} MT/s</span>,
          <span class="figure">{(each.matchedGBs || each.singleGBs).toFixed(1)} GB/s</span
          >{each.matchedGb > 0 && each.matchedGb < each.gb
            ? `, ${each.singleGBs.toFixed(1)} beyond`
            : ''}.
        </p>
      </div>
    {/each}
    <p class="soft">
      Unequal modules all count; only what is matched is interleaved. {slots
        ? `Fill ${slotsFirst(slots.lo, modules.length)}; the board's manual wins. `
        : ''}Seen less than fitted? Power-up, “sees only part of the RAM”.
    </p>
  </section>
{/if}

<style>
  section {
    margin: 10px 0;
  }
  .module {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
  .match {
    stroke: var(--accent);
    stroke-width: 3;
  }
  text {
    font: 12px var(--face-figure);
    fill: var(--ink);
  }
</style>
