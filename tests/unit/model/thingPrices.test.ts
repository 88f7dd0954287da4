import { expect } from 'chai';
import { applyRemedy } from '../../../src/core/edits/edits.ts';
import { samePrices, thingPrices } from '../../../src/core/model/lookup/thingPrices.ts';
import type { Want } from '../../../src/core/model/types/jobTypes.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { coolerKit } from '../../../src/core/remedies/coolerKit.ts';
import { moneyOf } from '../../../src/core/remedies/index.ts';
import { offer } from '../../../src/core/remedies/offer.ts';
import { jobWith, partFor, type Seats } from '../../helpers/build.ts';

const shopWith = (wants: Want[], seats: Seats = { board: {} }): Shop => {
  const { shop, job } = jobWith(seats, { wants });
  return { ...shop, jobs: [job] };
};
const eur = (minor: number) => ({ minor, currency: 'EUR' });
const kit = coolerKit({ socket: 'AM4' });
const what = 'cooler kit AM4';
const priced = (shop: Shop) => moneyOf(kit, planOf(shop, shop.jobs[0]!));

describe('model/thingPrices', () => {
  it('is what the last job noted apiece, whatever the plural and the order of words', () => {
    const shop = shopWith([
      { what, count: 1, price: eur(900) },
      { what: 'AM4 cooler kits', count: 4, price: eur(2400) },
    ]);
    expect(priced(shop)).to.deep.equal(eur(600));
    expect(priced(shopWith([{ what, count: 1 }]))).to.equal(undefined);
    expect(priced(shopWith([{ what: 'cooler kit AM5', count: 1, price: eur(900) }]))).to.equal(
      undefined,
    );
  });
  it('counts in the shop’s own currency, and not where there is no rate', () => {
    const other = { minor: 1000, currency: 'USD' };
    const shop = shopWith([{ what, count: 2, price: other }]);
    expect(priced(shop)).to.equal(undefined);
    const rates = [{ currency: 'USD', rate: '0.9' }];
    const rated = { ...shop, settings: { ...shop.settings, rates } };
    expect(priced(rated)).to.deep.equal(eur(450));
  });
  it('costs nothing where one lies on the shelf, and is to be got where the bag is empty or lent', () => {
    const shop = shopWith([{ what, count: 1, price: eur(900) }]);
    const lay = (more: object) => ({
      ...shop,
      parts: [
        ...shop.parts,
        partFor('small1', { sort: 'cooler kit', count: 1 }, { id: 'K1', name: what, ...more }),
      ],
    });
    expect(priced(lay({}))).to.deep.equal(eur(0));
    expect(priced(lay({ facts: { count: { lo: 0, hi: 0, how: 'said' } } }))).to.deep.equal(
      eur(900),
    );
    expect(priced(lay({ loan: { way: 'lent', who: 'Ole' } }))).to.deep.equal(eur(900));
    expect(priced(lay({ place: 'machine' }))).to.deep.equal(eur(900));
  });
  it('goes with the want when the remedy is taken', () => {
    const shop = shopWith([{ what, count: 1, price: eur(900) }]);
    const offered = offer(planOf(shop, shop.jobs[0]!), kit, 'watch');
    expect(offered.money).to.deep.equal(eur(900));
    const after = applyRemedy('1', offered)(shop);
    expect(after.jobs[0]?.wants.at(-1)).to.deep.equal({
      what,
      count: 1,
      price: eur(900),
      remedy: kit,
    });
    const none = applyRemedy('1', offered)(shopWith([]));
    expect(none.jobs[0]?.wants.at(-1)).to.deep.equal({ what, count: 1, remedy: kit });
  });
  it('is the same table where nothing of it changed', () => {
    const wants: Want[] = [{ what, count: 1, price: eur(900) }];
    expect(samePrices(thingPrices(shopWith(wants)), thingPrices(shopWith([...wants])))).to.equal(
      true,
    );
    expect(samePrices(thingPrices(shopWith(wants)), thingPrices(shopWith([])))).to.equal(false);
    const dearer = shopWith([{ what, count: 1, price: eur(901) }]);
    expect(samePrices(thingPrices(shopWith(wants)), thingPrices(dearer))).to.equal(false);
  });
});
