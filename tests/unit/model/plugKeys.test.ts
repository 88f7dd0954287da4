import { expect } from 'chai';
import { properties, type Property } from '../../../src/core/model/properties/index.ts';
import { plug } from '../../../src/core/standards/plugs/index.ts';

const all: readonly Property[] = Object.values(properties).flat();

describe('model/plugs among the properties', () => {
  it('are said to be plugs wherever the words to choose from are ids of plugs', () => {
    const ids = all.filter(({ options }) => options?.some((each) => plug(each) !== undefined));
    expect(ids.length).to.be.greaterThan(12);
    expect(ids.filter(({ plugs }) => !plugs).map(({ key }) => key)).to.deep.equal([]);
  });

  it('are plugs the shelf knows, or none', () => {
    const words = all.flatMap(({ plugs, options }) => (plugs ? (options ?? []) : []));
    expect(words.filter((each) => each !== 'none' && !plug(each))).to.deep.equal([]);
  });

  it('are not what lies beside a plug: its end, its place, the key of its housing', () => {
    const plugs = new Set<string>(all.filter((each) => each.plugs).map(({ key }) => key));
    for (const key of ['plugAt', 'plugEnd', 'driveKey', 'drivePlugs', 'pinReadings'])
      expect(plugs.has(key), key).to.equal(false);
  });
});
