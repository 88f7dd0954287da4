<script lang="ts">
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
</script>

<Button onclick={() => (uiState.dialog = 'paste')}>Paste an inventory</Button>
<Button onclick={() => (uiState.dialog = 'dead')}>A dead machine</Button>
