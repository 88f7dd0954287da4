import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { properties, shapeOf } from '../../src/core/model/properties/index.ts';
import { readingKinds } from '../../src/core/model/types/readings.ts';
import { VERSION } from '../../src/core/model/types/types.ts';
import { remedies } from '../../src/core/remedies/list.ts';

const formats = readFileSync('docs/formats.md', 'utf8');
const architecture = readFileSync('docs/architecture.md', 'utf8');

describe('docs', () => {
  it('name the version of the document, every remedy, every shape and every reading', () => {
    expect(formats).to.contain(`\`version\` is ${VERSION}.`);
    for (const { do: name, id } of remedies)
      expect(formats, name).to.match(new RegExp(`\\| \`${name}\` .*\\| \`${id}\``));
    for (const { key } of Object.values(properties).flat()) {
      const shape = shapeOf(key);
      if (shape) expect(formats, key).to.match(new RegExp(`\\| \`${shape.name}\` .*\`${key}\``));
    }
    for (const kind of Object.keys(readingKinds)) expect(formats).to.contain(`\`${kind}\``);
  });
  it('name no file that is not there', () => {
    const named = [
      ...architecture.matchAll(/`((?:[a-zA-Z-]+\/)+[\w.[\]-]+\.(?:ts|svelte|js))`/g),
    ].map(([, path]) => path ?? '');
    expect(named.length).to.be.above(8);
    const roots = ['', 'src/', 'src/core/', 'src/lib/', 'docs/'];
    for (const path of named)
      expect(
        roots.some((root) => {
          try {
            return readFileSync(root + path).length > 0;
          } catch {
            return false;
          }
        }),
        path,
      ).to.equal(true);
  });
});
