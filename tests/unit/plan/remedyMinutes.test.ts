import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { takeRemedy } from '../../../src/core/edits/edits.ts';
import { usualWeights } from '../../../src/core/plan/give/cost.ts';
import { modelOf } from '../../../src/core/plan/give/give.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import type { Job, Shop } from '../../../src/core/model/types.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (from: Shop, id: string) => from.jobs.find((each) => each.id === id) as Job;

describe('one figure for the minutes of a remedy', () => {
  it('stands in the finding, in the work order once it is taken, and in the search', () => {
    let inOrder = 0;
    let inSearch = 0;
    for (const job of shop.jobs) {
      const plan = planOf(shop, job);
      const options = modelOf(shop, job, usualWeights).variables.flatMap((each) => each.options);
      for (const remedy of runChecks(plan).flatMap((finding) => finding.remedies)) {
        const option = options.find(
          ({ take, put }) => !put && take.length === 1 && take[0] === remedy.id,
        );
        if (option) {
          inSearch += 1;
          expect(option.minutes, `${remedy.id}, search`).to.equal(remedy.minutes);
        }
        if (remedy.action.do === 'put') continue;
        const taken = takeRemedy(job.id, remedy.id, remedy.action)(shop);
        const after = jobOf(taken, job.id);
        const step = workOrderOf(planOf(taken, after), after.schools).find(
          (each) => each.id === `remedy:${remedy.id}`,
        );
        if (!step) continue;
        inOrder += 1;
        expect(step.minutes, `${remedy.id}, work order`).to.equal(remedy.minutes);
      }
    }
    expect(inOrder).to.be.above(20);
    expect(inSearch).to.be.above(5);
  });
});
