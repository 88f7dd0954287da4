<script lang="ts">
  import type { Choice, Question } from '$core/merge/question.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import { undoable } from '$lib/shop/undoable.ts';
  import Button from '$lib/ui/Button.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { slotWords, valueWords } from '$core/merge/words.ts';

  const { onclose }: { onclose: () => void } = $props();
  const questions = $derived(shopStore.questions);

  const nameOf = ({ in: list, of }: Question): string => {
    if (list === 'head') return shopStore.shop.name;
    const found = (shopStore.shop[list] as { id: string; name?: string; what?: string }[]).find(
      ({ id }) => id === of,
    );
    return [of, found?.name ?? found?.what].filter(Boolean).join(' ');
  };
  async function take(question: Question, choice: Choice): Promise<void> {
    try {
      await shopStore.answer(`${nameOf(question)}: ${choice.answer.say}`, choice.answer);
      undoable(`${nameOf(question)}: ${choice.answer.say}.`);
    } catch (error) {
      toast((error as Error).message, 'stop');
    }
  }
</script>

<Dialog title="Questions from merging" wide {onclose}>
  {#if questions.length === 0}
    <p>Everything is answered. Export the shop, and the other benches are not asked again.</p>
  {/if}
  <ul>
    {#each questions as question (question.id)}
      <li>
        <h3>{nameOf(question)}{question.slot ? `, ${slotWords(question.slot)}` : ''}</h3>
        <p class="soft">{question.ask}.</p>
        <div class="choices" role="group" aria-label="{nameOf(question)}: which?">
          {#each question.choices as choice, n (n)}
            <Button onclick={() => void take(question, choice)}>
              <span class="choice">
                <span>{valueWords(choice.value, question.slot)}</span>
                {#if question.slot && choice.shown}<small>stands now</small>{/if}
              </span>
            </Button>
          {/each}
        </div>
      </li>
    {/each}
  </ul>
</Dialog>

<style>
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 8px 0 14px;
    border-bottom: 1px dashed var(--line);
  }
  h3 {
    margin: 0;
    font: 600 17px var(--face-head);
  }
  p {
    margin: 2px 0 8px;
  }
  .choices {
    display: flex;
    flex-wrap: wrap;
    align-items: stretch;
    gap: 10px;
  }
  .choice {
    display: grid;
    gap: 2px;
    max-width: 34ch;
    padding: 4px 0;
    text-align: start;
    white-space: pre-line;
    overflow-wrap: anywhere;
    line-height: 1.25;
  }
  small {
    font: 400 13px var(--face-text);
  }
</style>
