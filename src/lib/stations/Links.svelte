<script lang="ts">
  import SumStage from './SumStage.svelte';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';

  const { view }: { view: JobView } = $props();
</script>

<SumStage {view} station="links" subtitle="will it be seen, and is it what was asked for" />
