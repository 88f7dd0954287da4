<script lang="ts">
  import ShelfPage from '$lib/shelf/ShelfPage.svelte';
</script>

<svelte:head><title>Shelf · Nutshell Swap</title></svelte:head>
<ShelfPage />
