import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { applyRemedy } from '../../../src/core/edits/edits.ts';
import { usualWeights } from '../../../src/core/resolve/cost.ts';
import { modelOf } from '../../../src/core/resolve/resolutions.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import type { Remedy } from '../../../src/core/findings/finding.ts';
import type { RemedyValue } from '../../../src/core/model/types/remedyValue.ts';
import { sameRemedy, stepIdOf } from '../../../src/core/remedies/index.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (from: Shop, id: string) => from.jobs.find((each) => each.id === id) as Job;

const same = (applied: RemedyValue | undefined, { value }: Remedy) =>
  applied !== undefined && value.do !== 'put' && sameRemedy(applied, value);

describe('one figure for the minutes of a remedy', () => {
  it('stands in the finding, in the work order once it is taken, and in the search', () => {
    let inOrder = 0;
    let inSearch = 0;
    for (const job of shop.jobs) {
      const plan = planOf(shop, job);
      const options = modelOf(shop, job, usualWeights).variables.flatMap((each) => each.options);
      for (const remedy of runChecks(plan).flatMap((finding) => finding.remedies)) {
        const option = options.find(
          ({ applies, put }) => !put && applies.length === 1 && same(applies[0], remedy),
        );
        if (option) {
          inSearch += 1;
          expect(option.minutes, `${remedy.title}, search`).to.equal(remedy.minutes);
        }
        const { value } = remedy;
        if (value.do === 'put') continue;
        const taken = applyRemedy(job.id, remedy)(shop);
        const after = jobOf(taken, job.id);
        const step = workOrderOf(planOf(taken, after), after.schools).find(
          (each) => each.id === stepIdOf(value),
        );
        if (!step) continue;
        inOrder += 1;
        expect(step.minutes, `${remedy.title}, work order`).to.equal(remedy.minutes);
      }
    }
    expect(inOrder).to.be.above(20);
    expect(inSearch).to.be.above(5);
  });
});
