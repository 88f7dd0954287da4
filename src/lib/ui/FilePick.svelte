<script lang="ts">
  interface Props {
    /** What is picked, as a button says it. */
    label: string;
    /** File endings and kinds that can be read; left out: any. */
    accept?: string;
    /** Several at once. */
    multiple?: boolean;
    /** Files were picked; the same may be picked again afterwards. */
    onfiles: (files: File[]) => void;
  }
  const { label, accept, multiple = false, onfiles }: Props = $props();

  function picked(input: HTMLInputElement): void {
    const files = [...(input.files ?? [])];
    input.value = '';
    if (files.length > 0) onfiles(files);
  }
</script>

<label>
  {label}
  <input type="file" {accept} {multiple} onchange={(event) => picked(event.currentTarget)} />
</label>

<style>
  label {
    position: relative;
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
    color: var(--ink);
    font: 600 15px var(--face-head);
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
  label:focus-within {
    outline: 3px solid var(--accent);
  }
  input {
    position: absolute;
    inset: 0;
    width: 100%;
    opacity: 0;
    cursor: pointer;
  }
</style>
