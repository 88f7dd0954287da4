import type { Finding, StationId } from '../findings/finding.ts';
import type { Shop } from '../model/types/types.ts';
import { questions, type Question } from './questions.ts';

/** What one second of measuring is worth: verdicts it settles and minutes it may save. */
export function worthOf(question: Question): number {
  return (question.decides.length + question.savesMinutes) / question.seconds;
}

/**
 * The measuring walk of a station: what decides most for its seconds first. Empty when enough is
 * known, even though more could be measured.
 */
export function walk(shop: Shop, found: readonly Finding[], station: StationId): Question[] {
  const here = found.filter((finding) => finding.station === station);
  return questions(shop, here).sort((a, b) => worthOf(b) - worthOf(a));
}
