import { expect } from 'chai';
import { noteDamage, settleDamage } from '../../../src/core/edits/damageEdits.ts';
import { driveRecord } from '../../../src/core/links/driveRecord.ts';
import { condition } from '../../../src/core/plan/condition.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { workOrderOf } from '../../../src/core/plan/workOrderOf.ts';
import type { Damage, Part, Shop } from '../../../src/core/model/types/types.ts';
import { jobOver, planWith, type Seats } from '../../helpers/build.ts';

const found: Seats = { case: {}, board: {}, memory1: { size: 8 } };
const with_ = (fields: Partial<Part>, comes: Seats = { memory2: { size: 8 } }) => {
  const { shop, job } = jobOver(found, comes);
  const parts = shop.parts.map((part) => (part.id === 'T-memory2' ? { ...part, ...fields } : part));
  return { shop: { ...shop, parts }, job };
};
const marksOf = (shop: Shop, id = '1') => {
  const job = shop.jobs.find((each) => each.id === id)!;
  return Object.fromEntries(condition(planOf(shop, job)).map((each) => [each.id, each.mark]));
};

describe('plan/condition', () => {
  it('stops a dead part and one that left the house, and offers to leave it out', () => {
    const { shop, job } = with_({ condition: 'dead' });
    const [finding] = condition(planOf(shop, job));
    expect(finding?.mark).to.equal('stop');
    expect(finding?.remedies[0]?.value).to.deep.equal({ do: 'put', seat: 'memory2', partId: null });
    const left = with_({ place: 'gone' });
    expect(marksOf(left.shop)).to.deep.equal({ 'gone:memory2': 'stop' });
  });
  it('watches what is damaged, or mended and not tried since', () => {
    expect(marksOf(with_({ condition: 'damaged' }).shop)).to.deep.equal({
      'condition:memory2': 'watch',
    });
    expect(marksOf(with_({ condition: 'mended' }).shop)).to.deep.equal({
      'condition:memory2': 'watch',
    });
    for (const condition of ['good', 'worn', 'unknown'] as const)
      expect(marksOf(with_({ condition }).shop), condition).to.deep.equal({});
  });
  it('a dead machine does not make each of its parts a dead one', () => {
    const { shop } = jobOver(found);
    const machines = shop.machines.map((each) => ({ ...each, condition: 'dead' as const }));
    const marks = Object.values(marksOf({ ...shop, machines }));
    expect(marks).to.deep.equal(['watch', 'watch', 'watch']);
  });
});

describe('edits/damageEdits', () => {
  const at = '2026-11-27T09:00:00.000Z';
  const hurt: Damage = {
    at,
    what: 'lifted leg',
    partId: 'F-board',
    mended: false,
    retested: false,
  };
  const { shop } = jobOver(found, { memory2: { size: 8 } });
  const noted = noteDamage('1', hurt)(shop);
  const stepsOf = (of: Shop) =>
    workOrderOf(planOf(of, of.jobs[0]!), of.jobs[0]!.schools).map((step) => step.id);
  const conditionIn = (of: Shop) => of.parts.find((part) => part.id === 'F-board')?.condition;

  it('names the part, changes its condition and puts the test into the work order', () => {
    expect(conditionIn(noted)).to.equal('damaged');
    expect(marksOf(noted)).to.deep.equal({ 'condition:board': 'watch' });
    expect(condition(planOf(noted, noted.jobs[0]!))[0]?.say).to.contain('lifted leg');
    expect(stepsOf(noted)).to.include('retest:board');
    expect(stepsOf(shop)).to.not.include('retest:board');
  });
  it('mended it is still not trusted, tested again it is', () => {
    const mended = settleDamage('1', at, { mended: true })(noted);
    expect(conditionIn(mended)).to.equal('mended');
    expect(marksOf(mended)).to.deep.equal({ 'condition:board': 'watch' });
    const tested = settleDamage('1', at, { retested: true })(mended);
    expect(marksOf(tested)).to.deep.equal({});
    expect(stepsOf(tested)).to.not.include('retest:board');
  });
  it('a part that comes is tried before it goes in', () => {
    const { shop: other, job } = with_({ condition: 'mended' });
    const ids = workOrderOf(planOf(other, job), job.schools).map((step) => step.id);
    expect(ids.indexOf('retest:memory2')).to.be.within(0, ids.indexOf('in:memory2') - 1);
  });
  it('without a part only the job knows of it', () => {
    const loose = noteDamage('1', { ...hurt, partId: undefined })(shop);
    expect(loose.parts).to.deep.equal(shop.parts);
    expect(marksOf(loose)).to.deep.equal({});
  });
});

describe('links/driveRecord', () => {
  const of = (facts: Seats[string]) => driveRecord(planWith({ drive1: facts }))[0];
  it('stops a drive that says it is failing, whatever else is well', () =>
    expect(of({ selfTest: 'failed', hours: 10 })?.mark).to.equal('stop'));
  it('watches sectors set aside, a life used up, many hours', () => {
    expect(of({ selfTest: 'passed', reallocated: 8 })?.mark).to.equal('watch');
    expect(of({ worn: 85 })?.mark).to.equal('watch');
    expect(of({ hours: 71_000 })?.say).to.contain('8 years');
    expect(of({ worn: 12, hours: 9000, reallocated: 0, selfTest: 'passed' })?.mark).to.equal(
      'clear',
    );
  });
  it('says nothing of a drive nobody asked', () => expect(of({ form: '3.5' })).to.equal(undefined));
});
