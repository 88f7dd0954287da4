<script lang="ts">
  import type { Paper } from '$core/record/papers.ts';
  import type { Photo } from '$core/model/types/types.ts';
  import { codeImage } from '$lib/print/code.ts';
  import Picture from '$lib/photos/Picture.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { uiState } from '$lib/shop/uiState.svelte.ts';

  interface Props {
    paper: Paper;
    photos?: readonly Photo[];
  }
  const { paper, photos = [] }: Props = $props();
</script>

<article>
  <header>
    <div>
      <h2>{paper.title}</h2>
      <p>{paper.subtitle}</p>
      <p class="figure small">{paper.from}</p>
    </div>
    {#await codeImage(paper.code) then src}<img {src} alt="code of job {paper.code}" />{:catch}<span
        class="figure">{paper.code}</span
      >{/await}
  </header>
  {#if paper.warning}<p class="incomplete">{paper.warning}</p>{/if}
  <div class="columns">
    {#each paper.sections as section (section.title)}
      <section>
        <h3>{section.title}</h3>
        {#if section.rows.length > 0}
          <table>
            <tbody>
              {#each section.rows as row, i (i)}
                <tr class:strong={row.strong}>
                  {#if row.left}<th scope="row">{row.left}</th>{/if}
                  <td colspan={row.left ? 1 : 2}
                    >{#if row.mark}<Mark mark={row.mark} word size={14} />{/if}
                    {row.text}</td
                  >
                  <td class="right">{row.right ?? ''}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        {:else}<p>{section.empty}</p>{/if}
      </section>
    {/each}
  </div>
  {#if photos.length > 0}
    <div class="pictures">
      {#each photos as photo (photo.id)}
        <button onclick={() => (uiState.photo = photo.id)}>
          <Picture {photo} label={photo.note ?? `photo ${photo.id}`} />
          <small>{[photo.when, photo.note].filter(Boolean).join(', ')}</small>
        </button>
      {/each}
    </div>
  {/if}
  {#if paper.sections.some(({ title }) => title === 'Data')}
    <p class="small">Clear, purge, destroy as in NIST SP 800-88.</p>
  {/if}
</article>

<style>
  article {
    padding: 14px 18px;
    background: var(--tape);
    border: 1px solid var(--line);
  }
  article header {
    display: flex;
    justify-content: space-between;
    gap: 16px;
    border-bottom: 2px solid var(--ink);
    margin-bottom: 8px;
    padding-bottom: 6px;
  }
  header img {
    height: 54px;
    background: #fff;
  }
  .columns {
    columns: 2;
    column-gap: 28px;
  }
  section {
    break-inside: avoid-column;
    margin-bottom: 10px;
  }
  h3 {
    border-bottom: 1px solid var(--line);
    margin: 4px 0;
  }
  h2,
  p,
  td {
    overflow-wrap: anywhere;
  }
  article header > div {
    min-width: 0;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 14px;
  }
  th {
    text-align: left;
    font-weight: 400;
    color: var(--ink-soft);
    padding-right: 8px;
    max-width: 14ch;
    overflow-wrap: anywhere;
  }
  td,
  th {
    vertical-align: top;
    padding: 1px 0;
  }
  .right {
    text-align: right;
    white-space: nowrap;
    padding-left: 10px;
  }
  .strong td {
    border-top: 1.5px solid var(--ink);
    font-weight: 700;
  }
  p {
    font-size: 14px;
    line-height: 1.35;
  }
  .small {
    font-size: 13px;
    color: var(--ink-soft);
  }
  .incomplete {
    margin: 4px 0;
    padding: 4px 8px;
    border: 2px solid var(--ink);
    font-size: 15px;
    font-weight: 700;
  }
  .pictures {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
    gap: 10px;
    margin: 8px 0;
  }
  .pictures button {
    padding: 0;
    border: 1px solid var(--line);
    background: none;
    text-align: left;
  }
  .pictures small {
    display: block;
    padding: 2px 6px;
    font-size: 13px;
  }
  @media (max-width: 43.75em) {
    .columns {
      columns: 1;
    }
  }
  @media print {
    .columns {
      column-gap: 20px;
    }
    p,
    table,
    .small {
      font-size: 9.5pt;
      line-height: 1.25;
    }
    article {
      border: 0;
      padding: 0;
    }
    .pictures {
      grid-template-columns: repeat(4, 1fr);
    }
  }
</style>
