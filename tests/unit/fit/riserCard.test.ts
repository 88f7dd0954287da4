import { expect } from 'chai';
import { riserCard } from '../../../src/core/fit/riserCard.ts';
import { standOf } from '../../../src/core/model/lookup/stands.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

describe('fit/riserCard', () => {
  const plan = (seats: Seats) => planWith({ case: {}, board: {}, ...seats });
  const stands = (seats: Seats) =>
    plan(seats)
      .seats.filter(({ kind }) => kind === 'card')
      .map((card) => standOf(plan(seats), card).way);
  it('asks which of several cards stands on it, and takes the first until then', () => {
    const two: Seats = { card1: {}, card2: {}, small1: { sort: 'riser' } };
    const found = the(riserCard(plan(two)), 'riser-card:small1');
    expect(found.mark).to.equal('watch');
    expect(found.terms[0]?.input).to.include({ key: 'carries' });
    expect(stands(two)).to.deep.equal(['riser', 'slot']);
  });
  it('asks nothing of one card, in whatever seat, or of one that was named', () => {
    const one: Seats = { card2: {}, small1: { sort: 'ribbon riser' } };
    expect(riserCard(plan(one))).to.deep.equal([]);
    expect(stands(one)).to.deep.equal(['ribbon']);
    const named: Seats = { card1: {}, card2: {}, small1: { sort: 'riser', carries: 'card2' } };
    expect(riserCard(plan(named))).to.deep.equal([]);
    expect(stands(named)).to.deep.equal(['slot', 'riser']);
  });
});
