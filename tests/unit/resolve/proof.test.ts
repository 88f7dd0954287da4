import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { newPart, putPart } from '../../../src/core/edits/edits.ts';
import { usualWeights } from '../../../src/core/resolve/cost.ts';
import { findResolutions, modelOf, planWith } from '../../../src/core/resolve/resolutions.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { seededRandom } from '../../../src/core/units/seededRandom.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');

/** What the search reads off a sum: Stop, Mend not taken, open, or clear. */
const level = (
  found: readonly { mark: string; id: string; margin?: { lo: number } | undefined }[],
) =>
  found
    .map((each) => `${each.id} ${each.mark === 'watch' ? (each.margin?.lo ?? -1) < 0 : each.mark}`)
    .sort()
    .join('\n');

describe('what a proof depends on', () => {
  it('every sum of the search names every choice that changes it', function () {
    this.timeout(120_000);
    const missing = new Set<string>();
    let looked = 0;
    const random = seededRandom(7);
    for (const job of shop.jobs.filter((each) => !each.handedOver)) {
      const model = modelOf(shop, job, usualWeights);
      if (model.variables.length === 0) continue;
      for (let n = 0; n < 6; n += 1) {
        const picks = model.variables.map((variable) =>
          random() < 0.75 ? 0 : Math.floor(random() * variable.options.length),
        );
        const plan = planWith(model, picks);
        for (const [v, variable] of model.variables.entries()) {
          const other = Math.floor(random() * variable.options.length);
          if (other === picks[v]) continue;
          const changed = planWith(
            model,
            picks.map((o, u) => (u === v ? other : o)),
          );
          for (const { family, scope } of model.families) {
            if (scope.includes(v)) continue;
            looked += 1;
            if (level(family.run(plan)) !== level(family.run(changed)))
              missing.add(`${family.name}: ${variable.id}`);
          }
        }
      }
    }
    expect(looked).to.be.above(2000);
    expect([...missing].sort()).to.deep.equal([]);
  });
});

describe('one part, one seat', () => {
  /** A tower job whose two cards are both too long, and one short card on the shelf. */
  function twoCards(): { shop: Shop; job: Job } {
    const base = shop.jobs.find((each) => each.id === '14') as Job;
    const long = { lo: 400, hi: 400, how: 'measured' } as const;
    const card = newPart({
      kind: 'card',
      name: 'long card',
      facts: { length: long },
      place: 'shelf',
    });
    const one = card.edit(shop);
    const with2 = putPart('14', 'card2', card.tag())(one);
    const job = with2.jobs.find((each) => each.id === base.id) as Job;
    return { shop: with2, job };
  }
  it('the search refuses every choice of one part for two seats', () => {
    const { shop: own, job } = twoCards();
    const model = modelOf(own, job, usualWeights);
    const at = (id: string) => model.variables.findIndex((each) => each.id === id);
    const [one, two] = [at('card1'), at('card2')];
    let shared = 0;
    for (const [o, option] of (model.variables[one]?.options ?? []).entries()) {
      const p = model.variables[two]?.options.findIndex(
        ({ put }) => put !== undefined && put.part.id === option.put?.part.id,
      );
      if (p === undefined || p < 0) continue;
      shared += 1;
      const picks = model.variables.map((_, v) => (v === one ? o : v === two ? p : 0));
      const refused = model.families.some(
        ({ family, scope }) =>
          scope.includes(one) &&
          scope.includes(two) &&
          family.run(planWith(model, picks)).some((each) => each.id.startsWith('two-seats:')),
      );
      expect(refused, option.label).to.equal(true);
    }
    expect(shared, 'parts that both seats could take').to.be.above(0);
    for (const way of findResolutions(own, job).ways) {
      const parts = way.puts.map((put) => put.partId);
      expect(new Set(parts).size).to.equal(parts.length);
    }
  });
  it('a part planned in two seats is a Stop that names both', () => {
    const twice = putPart('14', 'fan2', 'H03')(putPart('14', 'fan1', 'H03')(shop));
    const job = twice.jobs.find((each) => each.id === '14') as Job;
    const found = runChecks(planOf(twice, job)).find((each) => each.id === 'two-seats:H03');
    expect(found?.mark).to.equal('stop');
    expect(found?.seats).to.deep.equal(['fan1', 'fan2']);
    expect(found?.say).to.contain('fan 1').and.contain('fan 2');
  });
});

describe('“nothing has to give”', () => {
  it('is not said beside a Stop the search has no say in: it is named', () => {
    for (const job of shop.jobs.filter((each) => !each.handedOver)) {
      const answer = findResolutions(shop, job);
      const stops = runChecks(planOf(shop, job)).filter((each) => each.mark === 'stop');
      const asPlanned = answer.ways.find((way) => way.gives.length === 0);
      if (asPlanned) expect(answer.stays, job.id).to.have.length(stops.length);
      for (const stay of answer.stays)
        expect(stops.some((each) => stay.startsWith(each.title))).to.equal(true);
    }
  });
});
