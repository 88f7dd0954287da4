<script lang="ts">
  import Button from '$lib/ui/Button.svelte';
  import type { StationView, ViewSwitch } from './views.svelte.ts';

  interface Props {
    /** The views offered now. */
    views: readonly StationView[];
    /** Which of them is shown. */
    shown: ViewSwitch;
  }
  const { views, shown }: Props = $props();
</script>

{#each views as each (each.id)}
  <Button onclick={() => shown.show(each)} aria-pressed={shown.open?.id === each.id}
    >{each.label}</Button
  >
{/each}
