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
    ['paid 12 usd paint', { kind: 'cost', what: 'paint', money: { minor: 1200, currency: 'USD' } }],
    ['paid 12,50 eur for paint', { kind: 'cost', what: 'paint', money: eur(1250) }],
    ['paid 3 euro paint', { kind: 'cost', what: 'paint', money: eur(300) }],
    ['paid 3euro for paint', { kind: 'cost', what: 'paint', money: eur(300) }],
    ['paid 1.250,50 front panel', { kind: 'cost', what: 'front panel', money: eur(125050) }],
    ['paid 12 top panel', { kind: 'cost', what: 'top panel', money: eur(1200) }],
    ['paid 2 fans 25 EUR', { kind: 'cost', what: '2 fans', money: eur(2500) }],
    ['paid 9 120mm fan', { kind: 'cost', what: '120mm fan', money: eur(900) }],
    ['paid 30 SSD caddy', { kind: 'cost', what: 'SSD caddy', money: eur(3000) }],
    ['paid 8 feet for the stand', { kind: 'cost', what: 'feet for the stand', money: eur(800) }],
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
  it('takes a currency beside a tag, not for the thing', () => {
    expect(entryOf(`sold ${shelf.id} for 3 euro`)).to.deep.equal({
      kind: 'sale',
      what: shelf.name,
      money: eur(300),
      partId: shelf.id,
    });
  });
  it('refuses a currency it does not know, and one of several', () => {
    expect(understand(shop, 'paid 12 XYZ paint').say).to.contain('XYZ is no currency known here');
    expect(understand(shop, 'paid 12 kr paint').say).to.contain('NOK, SEK, DKK');
    expect(understand(shop, 'paid 12 ₿ paint').say).to.contain('no currency');
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
