<script lang="ts">
  import type { ViewProps } from '$lib/frame/views.svelte.ts';
  import Practise from '$lib/instruments/Practise.svelte';
  import Practice from './Practice.svelte';

  const { plan: _ }: ViewProps = $props();
</script>

<Practise what="on a machine with a hidden fault"><Practice /></Practise>
