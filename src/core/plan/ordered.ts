import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { hasApplied } from '../remedies/index.ts';

/**
 * A remedy that is a part to get (adapter, kit, bracket), once taken, stands in the sum in ink:
 * the finding bears the mark the remedy leaves. Remedies that change a measure are in the
 * check's own sum already.
 */
export function withOrderedRemedies(plan: Plan, finding: Finding): Finding {
  const remedy = finding.remedies.find(
    ({ get, value }) => get && value.do !== 'put' && hasApplied(plan, value),
  );
  if (!remedy) return finding;
  return {
    ...finding,
    mark: remedy.mark,
    terms: [...finding.terms, plain(remedy.title, 'taken', 0)],
    say: `${remedy.title}: on the list. Look again when it is in.`,
    remedies: [],
  };
}
