import { expect } from 'chai';
import fc from 'fast-check';
import type { Finding } from '../../../src/core/findings/finding.ts';
import { isNumber } from '../../../src/core/model/types/fact.ts';
import { properties, spans } from '../../../src/core/model/properties/index.ts';
import { kindOfSeat } from '../../../src/core/model/types/seats.ts';
import type { Fact, Facts } from '../../../src/core/model/types/fact.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { questions } from '../../../src/core/plan/questions.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { jobWith } from '../../helpers/build.ts';

/**
 * The promise of interval sums: measuring more never contradicts what was surely said.
 * Random plans over all kinds and properties, then every range narrowed to a value inside it.
 */

const seats = [
  'case',
  'board',
  'processor',
  'cooler',
  'memory1',
  'memory2',
  'card1',
  'drive1',
  'supply',
  'fan1',
  'leads',
];

/** A fact for a property: unknown, a range, an exact figure, one of its words, some of its words. */
function factFor(seat: string, key: string): fc.Arbitrary<Fact | undefined> {
  const kind = kindOfSeat(seat);
  const property = kind && properties[kind].find((each) => each.key === key);
  if (!property) return fc.constant(undefined);
  const how = fc.constantFrom('said' as const, 'measured' as const);
  if (property.measure === 'text') {
    if (!property.options) return fc.constant(undefined);
    return fc.option(fc.record({ text: fc.constantFrom(...property.options), how }), {
      nil: undefined,
    });
  }
  if (property.measure === 'list') {
    if (!property.options) return fc.constant(undefined);
    return fc.option(fc.record({ items: fc.subarray([...property.options]), how }), {
      nil: undefined,
    });
  }
  const most = Math.min(property.most ?? 1000, 2000);
  const whole = fc.integer({ min: 0, max: most });
  const range = fc
    .tuple(whole, whole)
    .map(([a, b]) => ({ lo: Math.min(a, b), hi: Math.max(a, b) }));
  const exact = whole.map((value) => ({ lo: value, hi: value }));
  return fc.option(
    fc.tuple(fc.oneof(range, exact), how).map(([bounds, told]) => ({ ...bounds, how: told })),
    { nil: undefined },
  );
}

const anyShop: fc.Arbitrary<Shop> = fc
  .subarray(seats, { minLength: 2 })
  .chain((chosen) =>
    fc.record(
      Object.fromEntries(
        chosen.map((seat) => {
          const kind = kindOfSeat(seat);
          const keys = kind ? properties[kind].map((each) => each.key) : [];
          return [
            seat,
            fc.record(Object.fromEntries(keys.map((key) => [key, factFor(seat, key)]))),
          ];
        }),
      ),
    ),
  )
  .map((facts) => {
    const { shop } = jobWith(Object.fromEntries(Object.keys(facts).map((seat) => [seat, {}])));
    return {
      ...shop,
      parts: shop.parts.map((part) => {
        const given = facts[part.name] as Record<string, Fact | undefined>;
        const known = Object.entries(given).filter(
          (entry): entry is [string, Fact] => entry[1] !== undefined,
        );
        return { ...part, facts: Object.fromEntries(known) as Facts };
      }),
    };
  });

/** The shop with every numeric fact narrowed to one value inside its range. */
function narrowed(shop: Shop, t: number): Shop {
  return {
    ...shop,
    parts: shop.parts.map((part) => ({
      ...part,
      facts: Object.fromEntries(
        Object.entries(part.facts).map(([key, fact]) => {
          if (!isNumber(fact) || spans.includes(key)) return [key, fact];
          const value = Math.round(fact.lo + t * (fact.hi - fact.lo));
          return [key, { ...fact, lo: value, hi: value }];
        }),
      ),
    })),
  };
}

const check = (shop: Shop): Finding[] => {
  const job = shop.jobs[0];
  if (!job) throw new Error('no job');
  return runChecks(planOf(shop, job));
};

describe('plan, measuring more', function () {
  this.timeout(60_000);
  it('never contradicts a sum that was Clear or Stop for its whole range', () => {
    fc.assert(
      fc.property(anyShop, fc.double({ min: 0, max: 1, noNaN: true }), (shop, t) => {
        const after = new Map(check(narrowed(shop, t)).map((finding) => [finding.id, finding]));
        for (const before of check(shop)) {
          const now = after.get(before.id);
          if (before.id.startsWith('space:')) {
            /* Two boxes may be told apart along another side once more is known: the verdict stays. */
            if (before.mark === 'stop') expect(now?.mark, before.id).to.equal('stop');
            if (before.mark === 'clear') expect(now?.mark ?? 'clear', before.id).to.equal('clear');
            continue;
          }
          if (before.id.startsWith('lead:')) {
            /* A way round parts that are known better may be another one: no verdict turns round. */
            if (before.mark === 'stop') expect(now?.mark, before.id).not.to.equal('clear');
            if (before.mark === 'clear') expect(now?.mark, before.id).not.to.equal('stop');
            continue;
          }
          if (!before.margin || !now?.margin || before.id === 'board-holes') continue;
          expect(now.margin.lo, before.id).to.be.at.least(before.margin.lo - 1e-6);
          expect(now.margin.hi, before.id).to.be.at.most(before.margin.hi + 1e-6);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('keeps rest, terms and mark of every sum in step, whatever is known', () => {
    fc.assert(
      fc.property(anyShop, (shop) => {
        for (const finding of check(shop)) {
          if (!finding.margin) continue;
          const values = [finding.margin, ...finding.terms.map((term) => term.value)];
          for (const value of values) {
            if (typeof value === 'string') continue;
            expect(Number.isFinite(value.lo) && Number.isFinite(value.hi), finding.id).to.equal(
              true,
            );
            expect(value.lo, finding.id).to.be.at.most(value.hi);
          }
          if (finding.mark === 'clear' && finding.id !== 'board-holes')
            expect(finding.margin.lo, finding.id).to.be.at.least(0);
          if (finding.mark === 'stop' && finding.id !== 'board-holes')
            expect(finding.margin.hi, finding.id).to.be.below(0);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('asks each question once, about a part of the plan, with the seconds it takes', () => {
    fc.assert(
      fc.property(anyShop, (shop) => {
        const list = questions(shop, check(shop));
        const keys = list.map((question) => `${question.input.partId} ${question.input.key}`);
        expect(new Set(keys).size).to.equal(keys.length);
        for (const question of list) {
          expect(question.seconds).to.be.above(0);
          expect(question.savesMinutes).to.be.at.least(0);
          expect(question.ask.endsWith('?')).to.equal(true);
          if (question.yesNo && question.known) {
            expect(question.yesNo.below).to.be.within(question.known.lo, question.known.hi);
          }
        }
      }),
      { numRuns: 200 },
    );
  });
});
