import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { understand } from '../../../src/core/quick/understand.ts';

const NOW = '2026-11-27T13:20:00.000Z';
const shop = demoShop(NOW);
const job = shop.jobs.find(({ id }) => id === '14')!;
const place = { plan: planOf(shop, job), clock: { now: NOW, ahead: 0 } };
const say = (text: string, where: object = place) => understand(shop, text, where);

describe('quick/dates', () => {
  it('understands waits, deliveries, deadlines and budgets of the open job', () => {
    expect(say('wait 24 h paint')).to.deep.include({
      kind: 'wait',
      jobId: '14',
      why: 'paint',
      until: '2026-11-28T13:20:00.000Z',
    });
    expect(say('wait for the second coat until sat')).to.deep.include({
      kind: 'wait',
      until: '2026-11-28T08:00:00.000Z',
    });
    expect(say('wait 2 days')).to.include({ kind: 'wait', why: 'drying' });
    expect(say('due thu cable')).to.deep.include({
      kind: 'wait',
      why: 'cable comes',
      until: '2026-12-03T08:00:00.000Z',
    });
    expect(say('due thu F04')).to.deep.include({ kind: 'due', partId: 'F04', due: '2026-12-03' });
    expect(say('deadline sat')).to.deep.include({
      kind: 'deadline',
      jobId: '14',
      deadline: '2026-11-28T18:00:00.000Z',
    });
    expect(say('deadline none'))
      .to.include({ kind: 'deadline' })
      .and.not.to.have.property('deadline');
    expect(say('budget 120')).to.deep.include({
      kind: 'budget',
      jobId: '14',
      budget: { minor: 12_000, currency: shop.settings.currency },
    });
  });

  it('says what is missing, and never answers another question', () => {
    for (const text of [
      'wait for paint',
      'deadline soon',
      'due cable',
      'budget much',
      'deadline today 9:00',
    ])
      expect(say(text).kind, text).to.equal('nothing');
    for (const text of ['wait 24 h paint', 'deadline sat', 'budget 120', 'due thu cable'])
      expect(say(text, { clock: place.clock }).kind, text).to.equal('nothing');
  });
});
