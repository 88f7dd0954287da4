import type { Finding, Mark, Term } from '../../findings/finding.ts';
import { commonPractice, type Source } from '../../standards/source.ts';

/** What every sum of the entry line is built on. */
export const quickBase = (title: string) => ({
  id: 'quick',
  station: 'fit' as const,
  title,
  seats: [],
  source: commonPractice,
  undoMinutes: 0,
});

/** An answer with no limit to hold it against. */
export function note(
  title: string,
  terms: Term[],
  answer: string,
  mark: Mark,
  say: string,
  source: Source = commonPractice,
): Finding {
  return {
    ...quickBase(title),
    mark,
    unit: '',
    terms,
    marginLabel: answer,
    say,
    source,
    remedies: [],
  };
}
