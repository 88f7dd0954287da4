import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { understand } from '../../../src/core/quick/understand.ts';
import { labelsFor } from '../../../src/core/export/labels.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');

describe('export/labels', () => {
  it('of the shelf: every part there once, by tag', () => {
    const labels = labelsFor(shop, 'shelf');
    expect(labels).to.have.length(shop.parts.filter((part) => part.place === 'shelf').length);
    expect(new Set(labels.map((each) => each.tag)).size).to.equal(labels.length);
  });
  it('of the donors: each machine before its parts, saying what they came out of', () => {
    const labels = labelsFor(shop, 'donors');
    const at = labels.findIndex((each) => each.tag === 'M6');
    expect(labels[at]?.note).to.contain('donor');
    expect(labels[at + 1]?.note).to.contain('out of M6');
  });
  it('of places: each once, with how many parts lie there, as the entry line reads it', () => {
    const labels = labelsFor(shop, 'places');
    const lying = shop.parts.filter((part) => part.place === 'shelf' && part.where);
    expect(labels.length).to.be.greaterThan(2);
    expect(labels.every((label) => label.tag === `@${label.name}`)).to.equal(true);
    const sum = labels.reduce((all, label) => all + Number.parseInt(label.note, 10), 0);
    expect(sum).to.equal(lying.length);
    const [first] = labels;
    expect(understand(shop, first?.tag ?? '')).to.include({ kind: 'place', where: first?.name });
  });
  it('of a job: the job and what goes into it; a job there is not falls back to the shelf', () => {
    const labels = labelsFor(shop, 'job:14');
    expect(labels[0]).to.include({ tag: '14', name: 'Slim desk unit' });
    expect(labels.some((each) => each.tag === 'F01')).to.equal(true);
    expect(labelsFor(shop, 'job:999')).to.deep.equal(labelsFor(shop, 'shelf'));
  });
});
