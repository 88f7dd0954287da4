import { expect } from 'chai';
import type { Finding } from '../../src/core/findings/finding.ts';
import type { RemedyValue } from '../../src/core/model/types/remedyValue.ts';
import { runChecks } from '../../src/core/plan/run.ts';
import { planWith, type Seats } from '../helpers/build.ts';
import { cleanBuilds } from './builds/clean.ts';
import { mistakes } from './builds/mistakes.ts';

/**
 * Builds a technician would nod at, and builds with one deliberate mistake, as data in `builds/`: what
 * practitioners would say of each stands beside it (common practice, no source).
 */
const marked = (seats: Seats, applied: RemedyValue[] = []): Finding[] =>
  runChecks(planWith(seats, { applied })).filter(({ mark }) => mark !== 'clear');

const withParts = (seats: Record<string, Seats[string] | null>): Seats =>
  Object.fromEntries(Object.entries(seats).flatMap(([seat, part]) => (part ? [[seat, part]] : [])));

describe('reference: 39 clean builds', () => {
  it('are 39, each with a sentence of its own', () => {
    expect(new Set(cleanBuilds.map(({ name }) => name)).size).to.equal(39);
    expect(new Set(cleanBuilds.map(({ say }) => say)).size).to.equal(39);
  });
  for (const { name, seats } of cleanBuilds)
    it(`${name}: no Stop, no Mend, two Watches at most`, () => {
      const found = marked(seats);
      const lines = found.map(({ mark, id }) => `${mark} ${id}`);
      expect(lines.filter((line) => !line.startsWith('watch'))).to.deep.equal([]);
      expect(lines.length, lines.join(', ')).to.be.at.most(2);
    });
});

describe('reference: 61 builds with one mistake', () => {
  it('are 61, over clean builds, each with a sentence of its own', () => {
    expect(new Set(mistakes.map(({ name }) => name)).size).to.equal(61);
    expect(new Set(mistakes.map(({ say }) => say)).size).to.equal(61);
  });
  for (const mistake of mistakes) {
    const base = cleanBuilds.find(({ name }) => name === mistake.of);
    const seats = withParts({ ...base?.seats, ...mistake.with });
    it(`${mistake.name}: shown as ${mistake.mark}, and cured`, () => {
      expect(base, mistake.of).to.not.equal(undefined);
      expect(marked(base?.seats ?? {}).map(({ id }) => id)).to.not.include(mistake.shows);
      const shown = marked(seats).find(({ id }) => id === mistake.shows);
      expect(shown?.mark).to.equal(mistake.mark);
      expect(shown?.say ?? '').to.match(/\.$/);
      const { cure } = mistake;
      const left =
        'remedy' in cure
          ? marked(
              seats,
              shown?.remedies
                .flatMap(({ value }) =>
                  value.do === cure.remedy && value.do !== 'put' ? [value] : [],
                )
                .slice(0, 1),
            )
          : marked(withParts({ ...seats, [cure.seat]: cure.part }));
      if ('remedy' in cure)
        expect(shown?.remedies.map(({ value }) => value.do)).to.include(cure.remedy);
      const still = left.find(({ id }) => id === mistake.shows);
      expect(['stop', 'mend']).to.not.include(still?.mark);
    });
  }
});
