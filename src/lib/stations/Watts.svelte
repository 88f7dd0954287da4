<script lang="ts">
  import SumStage from './SumStage.svelte';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';

  const { view }: { view: JobView } = $props();
</script>

<SumStage {view} station="watts" subtitle="full load, every branch a slot that fills up" />
