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

describe('quick/own steps', () => {
  const stepOf = (text: string, where: object = place) => {
    const found = say(text, where);
    return found.kind === 'ownStep' ? { ...found.step, jobId: found.jobId } : found.kind;
  };
  const last = job.ticks.at(-1)?.stepId;

  it('take minutes of hands and how long it is left alone, in any order', () => {
    const fresh = { id: 's1', jobId: '14', ...(last !== undefined && { after: last }) };
    expect(stepOf('step sand the lid 20 min')).to.deep.equal({
      ...fresh,
      title: 'sand the lid',
      minutes: 20,
    });
    expect(stepOf('step 1:30 fit hinges, then leave it alone for 1 day')).to.deep.equal({
      ...fresh,
      title: 'fit hinges',
      minutes: 90,
      leaveMinutes: 1440,
    });
    expect(stepOf('own step: glue the foot 5m wait 2h')).to.deep.include({
      title: 'glue the foot',
      minutes: 5,
      leaveMinutes: 120,
    });
    expect(stepOf('step let it dry 4 h')).to.deep.include({ minutes: 10, leaveMinutes: 240 });
    /* A bare figure belongs to what is done. */
    expect(stepOf('step drill 8 holes')).to.deep.include({ title: 'drill 8 holes', minutes: 10 });
    expect(stepOf('step drill holes 8')).to.deep.include({ title: 'drill holes 8', minutes: 10 });
  });

  it('stand after what was done last, under an id of their own, and want a job', () => {
    const begun = shop.jobs.find(({ id }) => id === '9')!;
    const own = [{ id: 's1', title: 'a', minutes: 1 }];
    const where = { ...place, plan: planOf(shop, { ...begun, own }) };
    expect(stepOf('step look at the edges', where)).to.deep.include({
      id: 's2',
      after: 'finish:f1:colour:2',
    });
    expect(stepOf('step sand 20 min', { clock: place.clock })).to.equal('nothing');
    expect(stepOf('step 20 min')).to.equal('nothing');
    /* Converters are parts. */
    expect(stepOf('step up 12 to 19 v')).to.not.equal('ownStep');
    expect(say('step down converter').kind).to.not.equal('ownStep');
  });
});
