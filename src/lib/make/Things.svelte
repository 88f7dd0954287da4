<script lang="ts" generics="Sort extends string, T extends { id: string; do: Sort }">
  import type { Snippet } from 'svelte';
  import type { FinishField } from '$core/finish/fields.ts';
  import ToldFields from '$lib/parts/ToldFields.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';

  interface Props {
    /** What is done with them: Make, Print. */
    verb: string;
    /** The same when it is not done after all. */
    undone: string;
    list: readonly T[];
    /** The one in hand. */
    open: T | undefined;
    sorts: readonly [Sort, string][];
    fields: Readonly<Record<Sort, readonly FinishField[]>>;
    onpick: (id: string) => void;
    onadd: (sort: Sort, label: string) => void;
    onset: (field: string, label: string, value: unknown) => void;
    ondrop: () => void;
    /** The one in hand, drawn. */
    children: Snippet<[T]>;
    /** What is said of all of them. */
    all?: Snippet;
  }
  /** Things made for a job: which is in hand, its picture, its figures, and others to add. */
  const {
    verb,
    undone,
    list,
    open,
    sorts,
    fields,
    onpick,
    onadd,
    onset,
    ondrop,
    children,
    all,
  }: Props = $props();
</script>

<Tabs
  label="Things to {verb.toLowerCase()}"
  options={list.map((each, i) => ({ value: each.id, words: `${i + 1} ${each.do}` }))}
  value={open?.id}
  {onpick}
/>
{#if open}
  {@render children(open)}
  <section aria-label="Figures of the {open.do}">
    {#key open.id}
      <ToldFields
        fields={fields[open.do]}
        told={open as Readonly<Record<string, unknown>>}
        onset={(field, value) => onset(field.name, field.label, value)}
      />
    {/key}
    <Button quiet onclick={ondrop}>{undone}</Button>
  </section>
{/if}
{@render all?.()}
<div class="row mid add" role="group" aria-label="{verb} something">
  <span>{list.length === 0 ? verb : `${verb} another`}</span>
  {#each sorts as [sort, label] (sort)}
    <Button onclick={() => onadd(sort, label)}>{label}</Button>
  {/each}
</div>

<style>
  .add {
    margin: 16px 0 12px;
    padding-top: 12px;
    border-top: 1px dashed var(--line);
  }
  .add span {
    min-width: 90px;
    font: 600 16px var(--face-head);
  }
  section {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 24px;
    align-items: flex-end;
    justify-content: space-between;
    margin-top: 12px;
  }
</style>
