import { expect } from 'chai';
import fc from 'fast-check';
import { copiesToKeep, copyDue, daysUnkept } from '../../../src/core/shop/copies.ts';

const NOW = '2026-11-27T12:00:00.000Z';
const ago = (days: number) => new Date(Date.parse(NOW) - days * 86_400_000).toISOString();
const day = (iso: string) => iso.slice(0, 10);

describe('shop/copies', () => {
  it('keeps one a day for a week, one a week for a month, one a month for a quarter', () => {
    const everyHour = Array.from({ length: 24 * 200 }, (_, hour) => ago(hour / 24));
    const kept = copiesToKeep(everyHour, NOW);
    expect(kept.length).to.be.at.most(7 + 4 + 3);
    expect(kept[0]).to.equal(ago(0));
    for (let n = 0; n < 7; n += 1)
      expect(
        kept.filter((each) => day(each) === day(ago(n))),
        String(n),
      ).to.have.length(1);
    const oldest = (Date.parse(NOW) - Date.parse(kept.at(-1) ?? NOW)) / 86_400_000;
    expect(oldest).to.be.within(50, 92);
    expect(kept.some((each) => each < ago(14) && each > ago(31))).to.equal(true);
  });

  it('never drops the newest, keeps only what there is, and thinning again changes nothing', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -48, max: 24 * 400 }), { maxLength: 60 }), (hours) => {
        const times = hours.map((each) => ago(each / 24));
        const kept = copiesToKeep(times, NOW);
        for (const each of kept) expect(times).to.contain(each);
        expect(copiesToKeep(kept, NOW)).to.deep.equal(kept);
        if (times.length > 0) expect(kept.length).to.be.at.least(1);
      }),
    );
    expect(copiesToKeep(['nonsense', ago(1)], NOW)).to.deep.equal([ago(1)]);
  });

  it('goes on while work goes on: one an hour takes the place of the one before of its day', () => {
    let kept: string[] = [];
    for (let hour = 24 * 120; hour >= 0; hour -= 1)
      kept = copiesToKeep([...kept, ago(hour / 24)], ago(hour / 24));
    expect(kept.length).to.be.within(9, 14);
    const ages = kept.map((each) => (Date.parse(NOW) - Date.parse(each)) / 86_400_000);
    expect(Math.max(...ages)).to.be.above(28);
  });

  it('is due an hour after the last, also where a clock was wrong', () => {
    expect(copyDue([], NOW)).to.equal(true);
    expect(copyDue([ago(0.03)], NOW)).to.equal(false);
    expect(copyDue([ago(0.05)], NOW)).to.equal(true);
    expect(copyDue([ago(-3)], NOW)).to.equal(true);
  });

  it('counts days of work that are nowhere else', () => {
    expect(daysUnkept({}, NOW)).to.equal(undefined);
    expect(daysUnkept({ edited: ago(8.5) }, NOW)).to.equal(8);
    expect(daysUnkept({ exported: ago(10), edited: ago(2) }, NOW)).to.equal(2);
    expect(daysUnkept({ exported: ago(1), edited: ago(2) }, NOW)).to.equal(undefined);
    expect(daysUnkept({ edited: ago(-1) }, NOW)).to.equal(0);
  });
});
