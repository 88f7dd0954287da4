import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { understand } from '../../../src/core/quick/understand.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const entryOf = (text: string) => {
  const found = understand(shop, text);
  return found.kind === 'entry' ? found.entry : found.kind;
};
const eur = (minor: number) => ({ minor, currency: 'EUR' });
const shelf = shop.parts.find((part) => part.place === 'shelf');
const seated = shop.machines.flatMap((machine) => machine.seats)[0]?.partId ?? '';
if (!shelf) throw new Error('the demo has nothing on its shelf');

describe('quick/book', () => {
  for (const [text, wanted] of [
    ['paid 12.50 paint', { kind: 'cost', what: 'paint', money: eur(1250) }],
    ['paid 12,5 for two feet', { kind: 'cost', what: 'two feet', money: eur(1250) }],
    ['Paid paint 8', { kind: 'cost', what: 'paint', money: eur(800) }],
    ['paid $9.99 riser', { kind: 'cost', what: 'riser', money: { minor: 999, currency: 'USD' } }],
    [
      'gift 20 USD cooler',
      { kind: 'gift', what: 'cooler', money: { minor: 2000, currency: 'USD' } },
    ],
    ['sold 25 € front panel', { kind: 'sale', what: 'front panel', money: eur(2500) }],
    ['worked 90 min sanding', { kind: 'hours', what: 'sanding', minutes: 90 }],
    ['worked 1:30', { kind: 'hours', what: 'work', minutes: 90 }],
    ['worked 1,5 h paint', { kind: 'hours', what: 'paint', minutes: 90 }],
  ] as const) {
    it(`understands "${text}"`, () => expect(entryOf(text)).to.deep.equal(wanted));
  }
  it('hangs a line on the part a tag names, and takes its name', () => {
    expect(entryOf(`sold ${shelf.id.toLowerCase()} 25`)).to.deep.equal({
      kind: 'sale',
      what: shelf.name,
      money: eur(2500),
      partId: shelf.id,
    });
  });
  for (const text of [
    'paid paint',
    'paid 12.505 paint',
    'sold 25',
    'worked 0 min',
    'worked fast',
  ]) {
    it(`makes no line of "${text}"`, () => expect(entryOf(text)).to.not.be.an('object'));
  }
  it('lays a part of the shelf somewhere else', () => {
    expect(understand(shop, `${shelf.id} to drawer 3`)).to.include({
      kind: 'move',
      partId: shelf.id,
      where: 'drawer 3',
    });
    expect(understand(shop, '@drawer 3')).to.include({ kind: 'place', where: 'drawer 3' });
  });
  it('does not tear a part out of a machine', () => {
    const found = understand(shop, `${seated} to drawer 3`);
    expect(found.kind).to.equal('nothing');
    expect(found.say).to.contain('take it out at Donors');
  });
});
