import { partOfKind, partsOfKind, textAt, type Plan } from './plan.ts';

/** How long new RAM may take to train at its first start, and in words. Common practice, no source. */
export function trainingOf(plan: Plan): { minutes: number; words: string } {
  const board = partOfKind(plan, 'board');
  const kinds = [board, ...partsOfKind(plan, 'memory')].flatMap((placed) => {
    const kind = placed && textAt(plan, placed, 'memoryKind')?.text;
    return kind === undefined ? [] : [kind];
  });
  if (kinds.some((kind) => kind.includes('DDR5')))
    return { minutes: 15, words: 'new DDR5 may train for 5 to 15 minutes without a picture' };
  if (kinds.length > 0)
    return { minutes: 2, words: 'new RAM may train for two minutes without a picture' };
  return {
    minutes: 15,
    words: 'new RAM may train for two minutes without a picture, DDR5 for up to fifteen',
  };
}
