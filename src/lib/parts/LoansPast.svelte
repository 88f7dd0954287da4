<script lang="ts">
  import type { PastLoan } from '$core/model/types/types.ts';
  import { dateText } from '$lib/ui/dates.ts';

  interface Props {
    loans: readonly PastLoan[] | undefined;
  }
  const { loans = [] }: Props = $props();
</script>

{#each loans as past (past.back)}
  <p>
    {past.way}{past.who ? `, ${past.who}` : ''}, back {dateText(past.back, 'day')}: {past.found
      .length > 0
      ? past.found.join('; ')
      : past.way === 'lent'
        ? 'as it went'
        : 'as it came'}
  </p>
{/each}

<style>
  p {
    font-size: 15px;
  }
</style>
