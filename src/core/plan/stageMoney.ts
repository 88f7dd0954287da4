import { billOf } from '../donors/spend.ts';
import type { Finding } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { indexOf } from '../model/lookup/lookup.ts';
import type { Plan } from '../model/lookup/plan.ts';
import { seatName } from '../model/types/seats.ts';
import { inStages, stageName, stageOf, stagesOf } from '../model/types/stages.ts';
import type { Job, Part, Shop } from '../model/types/types.ts';
import { commonPractice } from '../standards/source.ts';
import { exchanged } from '../units/money.ts';
import { range } from '../units/range.ts';

/** What is still to be spent at one stage of a plan, in minor units at most; what has no price is named. */
export interface StageCost {
  stage: number;
  minor: number;
  unpriced: string[];
}

/** Sized for the last stage, paid for as it goes: what each stage asks for. Things to get are got for the first. */
export function stageCosts(shop: Shop, job: Job): StageCost[] {
  return stagesOf(job).map((stage) => {
    const changes = job.changes.filter((change) => stageOf(change) === stage);
    const { sum, unpriced, noRate } = billOf(shop, [
      { ...job, changes, wants: stage === 1 ? job.wants : [] },
    ]);
    return { stage, minor: sum.hi, unpriced: [...unpriced, ...noRate] };
  });
}

function priceOf({ settings }: Shop, { price }: Part): number | undefined {
  return price && exchanged(price, settings.currency, settings.rates);
}

/** Bought twice: a part that costs money and is replaced at a later stage. */
export function boughtTwice(plan: Plan): Finding[] {
  const { job, shop } = plan;
  if (!job) return [];
  const parts = indexOf(shop).parts;
  const seats = [...new Set(job.changes.map((change) => change.seat))];
  return seats.flatMap((seat): Finding[] => {
    const own = inStages(job.changes.filter((change) => change.seat === seat));
    const passing = own.slice(0, -1).flatMap((change) => {
      const part = change.partId === null ? undefined : parts.get(change.partId);
      const paid = part && (part.place === 'buy' || part.price) ? priceOf(shop, part) : undefined;
      return part && (part.place === 'buy' || (paid ?? 0) > 0) ? [{ part, paid, change }] : [];
    });
    const last = own.at(-1);
    if (passing.length === 0 || !last) return [];
    const back = (part: Part) =>
      part.worth && exchanged(part.worth, shop.settings.currency, shop.settings.rates);
    const paid = passing.reduce((sum, each) => sum + (each.paid ?? 0), 0);
    const worth = passing.reduce((sum, each) => sum + (back(each.part) ?? 0), 0);
    const unpriced = passing.filter((each) => each.paid === undefined);
    const names = passing.map((each) => each.part.name).join(' and ');
    return [
      {
        id: `bought-twice:${seat}`,
        about: { of: 'money' },
        station: 'donors',
        mark: 'watch',
        title: `${seatName(seat)}, bought more than once`,
        seats: [seat],
        unit: shop.settings.currency,
        terms: [
          ...passing.map(({ part, paid: price, change }) =>
            plain(
              `${part.name}, ${stageName(stageOf(change))}`,
              price === undefined ? 'no price yet' : range(price / 100),
              price === undefined ? 0 : -1,
            ),
          ),
          plain(
            'what it sells for afterwards',
            worth > 0 ? range(worth / 100) : 'nobody said',
            worth > 0 ? 1 : 0,
          ),
        ],
        margin: range((worth - paid) / 100),
        marginLabel: unpriced.length > 0 ? 'and what has no price' : 'for the time between',
        say: `${names} ${passing.length > 1 ? 'serve' : 'serves'} only until ${stageName(stageOf(last))}. Buying for the last stage at once saves that, if it runs the first stage too.`,
        source: commonPractice,
        remedies: [],
        undoMinutes: 0,
      },
    ];
  });
}
