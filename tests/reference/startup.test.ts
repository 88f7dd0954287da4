import { expect } from 'chai';
import { nextTests, oddsOf, testOf, type DiagnosisState } from '../../src/core/startup/index.ts';
import { causes } from '../../src/core/startup/causes.ts';
import { chanceOf, priorOf } from '../../src/core/startup/diagnosis.ts';

/**
 * Bayes' rule and expected information against every case written out: each cause with each way the
 * tests may come out, its chance multiplied up, then counted. Any text on probability has the rule.
 */
describe('reference: odds against every case written out', () => {
  const start: DiagnosisState = {
    symptom: 'seconds',
    after: ['cooler'],
    maker: true,
    spares: {},
    tried: [],
  };
  const ids = ['look', 'cooler-feel', 'least', 'undo'];
  const worlds = priorOf(start).flatMap(({ cause, share }) =>
    Array.from({ length: 2 ** ids.length }, (_, code) => {
      const answers = ids.map((_, i) => ((code >> i) & 1) === 1);
      const chance = answers.reduce((product, yes, i) => {
        const p = chanceOf(testOf(ids[i]!, start.after)!, cause);
        return product * (yes ? p : 1 - p);
      }, share);
      return { cause: cause.id, answers, chance };
    }),
  );
  const sum = (list: readonly { chance: number }[]) =>
    list.reduce((total, each) => total + each.chance, 0);
  const entropyOf = (list: readonly { cause: string; chance: number }[]) => {
    const whole = sum(list);
    return causes.reduce((bits, { id }) => {
      const p = sum(list.filter((each) => each.cause === id)) / whole;
      return p > 0 ? bits - p * Math.log2(p) : bits;
    }, 0);
  };

  it('the cases are a whole', () => expect(sum(worlds)).to.be.closeTo(1, 1e-12));
  it('posterior of every pattern of answers', () => {
    for (let code = 0; code < 2 ** ids.length; code += 1) {
      const answers = ids.map((_, i) => ((code >> i) & 1) === 1);
      const seen = worlds.filter((each) => each.answers.every((yes, i) => yes === answers[i]));
      const { odds, explained } = oddsOf({
        ...start,
        tried: ids.map((test, i) => ({ test, yes: answers[i]! })),
      });
      expect(explained).to.be.closeTo(sum(seen), 1e-12);
      for (const { cause, share } of odds)
        expect(share).to.be.closeTo(
          sum(seen.filter((each) => each.cause === cause.id)) / sum(seen),
          1e-9,
        );
    }
  });
  it('expected information of a test', () => {
    for (const [i, id] of ids.entries()) {
      const own = nextTests(start).find((each) => each.test.id === id);
      const [yes, no] = [true, false].map((want) =>
        worlds.filter((each) => each.answers[i] === want),
      );
      const after = sum(yes!) * entropyOf(yes!) + sum(no!) * entropyOf(no!);
      expect(own?.bits ?? 0, id).to.be.closeTo(entropyOf(worlds) - after, 1e-6);
    }
  });
});
