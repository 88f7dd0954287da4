import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { said } from '../golden/said.ts';

/** Held against what was written down by `npm run golden`: a difference has to be meant. */
describe('what the product says stays as it was, unless a change was meant', () => {
  for (const [name, lines] of Object.entries(said))
    it(name, () => {
      const before = readFileSync(new URL(`../fixtures/said/${name}.txt`, import.meta.url), 'utf8');
      const [was, is] = [before.trimEnd().split('\n'), lines().join('\n').split('\n')];
      const differs = is.flatMap((line, i) => (line === was[i] ? [] : [`- ${was[i]}\n+ ${line}`]));
      expect(differs.slice(0, 5).join('\n'), 'npm run golden writes it anew').to.equal('');
      expect(is.length).to.equal(was.length);
    });
});
