import { expect } from 'chai';
import { attack } from '../../fuzz/attack.ts';
import { subjects } from '../../fuzz/subjects.ts';

/**
 * The first attacks of each sort, as many as a few seconds allow; `npm run fuzz` does the whole, by the
 * same numbers. Each test says how far it came.
 */
const BOX_MS = 4000;
const least: Record<string, number> = {
  document: 100,
  inventory: 100,
  priceList: 100,
  heatLog: 100,
  links: 100,
  ownPlugs: 100,
};
const most: Record<string, number> = {
  document: 1500,
  inventory: 1500,
  priceList: 1000,
  heatLog: 1000,
  links: 1000,
  ownPlugs: 1000,
};

describe('whatever a file holds', () => {
  for (const name of Object.keys(subjects)) {
    it(`${name}: refused with a word and its place, or computed, written and read again`, function () {
      const first = attack(name, 1, least[name] ?? 0);
      const more = attack(
        name,
        1 + first.runs,
        (most[name] ?? 0) - first.runs,
        Date.now() + BOX_MS,
      );
      expect(
        [...first.broken, ...more.broken].map((each) => `${each.seed}: ${each.why}`),
      ).to.deep.equal([]);
      expect(first.runs).to.equal(least[name]);
      this.test!.title += ` (${first.runs + more.runs} attacks, ${first.accepted + more.accepted} accepted)`;
    });
  }
  it('a harm that is done is seen: the attack itself is no rubber stamp', () => {
    subjects['broken on purpose'] = (rnd) => ({
      input: '',
      verdict: () => (rnd() < 0.5 ? { how: 'broken', why: 'on purpose' } : { how: 'accepted' }),
    });
    try {
      expect(attack('broken on purpose', 1, 40).broken).to.have.length.above(5);
    } finally {
      delete subjects['broken on purpose'];
    }
  });
});
