import type { Finding } from '../findings/finding.ts';
import type { Plan } from '../model/lookup/plan.ts';

/** What a sum is called that is Clear by what was found, not by its figures. */
export const FOUND_SO = 'found so';

/**
 * Parts found together in one machine have already shown that they fit and join: a sum
 * between them alone is Clear without measuring, and one that says no has a wrong figure in it.
 * What the job asks for, watts and promises are judged all the same.
 */
export function foundTogether(plan: Plan, finding: Finding): Finding {
  const judged =
    finding.station === 'fit' || finding.station === 'plugs' || finding.station === 'links';
  if (!judged || finding.mark === 'clear' || finding.about?.of === 'requirement') return finding;
  if (finding.seats.length < 2) return finding;
  /* A remedy may have changed the shell: what was true of it as found no longer tells. */
  if (finding.seats.includes('case') && plan.applied.length > 0) return finding;
  const staying = new Set(
    plan.seats.filter((placed) => placed.state === 'stays').map((placed) => placed.seat),
  );
  if (!finding.seats.every((seat) => staying.has(seat))) return finding;
  const guessed = finding.terms.some((term) => term.how === 'class' || term.value === '?');
  return finding.mark === 'watch' || guessed
    ? {
        ...finding,
        mark: 'clear',
        /* Its figures leave it open or say no: what stands there is that it was found so. */
        ...(finding.margin && finding.margin.lo < 0 && { marginLabel: FOUND_SO }),
        say: 'Found together in this machine.',
        remedies: [],
      }
    : {
        ...finding,
        mark: 'watch',
        say: 'They were found together in this machine, yet the sum says no: one of the figures is wrong.',
        remedies: [],
      };
}
