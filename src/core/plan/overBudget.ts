import { jobLines } from '../donors/accounts.ts';
import { costsIn, unpricedIn } from '../donors/ledger.ts';
import type { Finding } from '../findings/finding.ts';
import { gap } from '../findings/gap.ts';
import { plain } from '../findings/terms.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';
import { exchanged } from '../units/money.ts';
import { range } from '../units/range.ts';

/** What a job costs against what it may: the same account as the tag and the book show. */
export function overBudget(plan: Plan): Finding[] {
  const { job, shop } = plan;
  if (!job?.budget) return [];
  const lines = jobLines(shop, job, plan);
  const { currency } = shop.settings;
  const [costs, unpriced] = [costsIn(lines, shop.settings), unpricedIn(lines)];
  const budget = exchanged(job.budget, currency, shop.settings.rates);
  if (budget === undefined) return [];
  const open = unpriced.length > 0;
  const over = costs > budget;
  const found = gap({
    id: 'budget',
    about: { of: 'money' },
    station: 'donors',
    title: 'the budget',
    seats: [],
    unit: currency,
    terms: [
      plain('budget', range(budget / 100), 1),
      plain('costs so far', range(costs / 100), -1),
      ...(open ? [plain('without a price', unpriced.join(', '), 0)] : []),
    ],
    minimumMargin: 0,
    short: 'over',
    lack: 'mend',
    source: commonPractice,
    undoMinutes: 0,
    say: () =>
      over
        ? 'More than the budget: cheaper parts, something sold, or a word with who pays.'
        : open
          ? `Within the budget so far; ${unpriced.length} of it ${unpriced.length === 1 ? 'has' : 'have'} no price yet.`
          : 'Within the budget.',
  });
  return [open && !over ? { ...found, mark: 'watch' } : found];
}
