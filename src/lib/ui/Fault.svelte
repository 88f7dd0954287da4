<script lang="ts">
  interface Props {
    /** What is wrong, in words; nothing is shown while nothing is. */
    text: string | undefined;
  }
  const { text }: Props = $props();
</script>

{#if text}<p class="fault" role="alert">{text}</p>{/if}

<style>
  p {
    flex-basis: 100%;
    margin-top: 4px;
  }
</style>
