import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { setFact } from '../../../src/core/edits/edits.ts';
import {
  decidingFigures,
  DRAFT,
  firstFigures,
  LEAST_ASKED,
  MOST_ASKED,
  withDraft,
} from '../../../src/core/plan/deciding.ts';
import { properties } from '../../../src/core/model/properties/index.ts';
import { seatBeside } from '../../../src/core/model/types/seats.ts';
import { kinds } from '../../../src/core/model/types/types.ts';
import { runChecks } from '../../../src/core/plan/run.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const job = (id: string) => shop.jobs.find((each) => each.id === id) ?? shop.jobs[0]!;

describe('plan/deciding', () => {
  it('asks four to six figures of every kind in every job, each of that kind and once', () => {
    for (const each of shop.jobs)
      for (const kind of kinds) {
        const seat = seatBeside(kind, []) ?? kind;
        const asked = decidingFigures(shop, each, seat);
        expect(asked.length, `${each.id} ${seat}`).to.be.within(LEAST_ASKED, MOST_ASKED);
        expect(new Set(asked).size).to.equal(asked.length);
        const own = properties[kind].map(({ key }) => key);
        expect(own, `${each.id} ${seat}`).to.include.members([...asked]);
      }
  });
  it('names first figures that its kind has', () => {
    for (const kind of kinds)
      expect(properties[kind].map(({ key }) => key as string)).to.include.members([
        ...firstFigures[kind],
      ]);
  });
  it('asks what a verdict hangs on before what is only said first of a kind', () => {
    /* The job's case is narrow: a card's height decides there, and is no first figure of a card. */
    expect(decidingFigures(shop, job('5'), 'card1')).to.include('height');
    expect(firstFigures.card).to.not.include('height');
  });
  it('does not ask a figure that no longer decides: the case is known to be tall', () => {
    const shell = withDraft(shop, job('5'), 'card1', {})?.plan.seats.find(
      ({ kind }) => kind === 'case',
    );
    const tall = setFact(shell?.part.id ?? '', 'cardHeightRoom', {
      lo: 400,
      hi: 400,
      how: 'measured',
    })(shop);
    const wide = setFact(shell?.part.id ?? '', 'innerWidth', { lo: 420, hi: 420, how: 'measured' })(
      tall,
    );
    expect(decidingFigures(wide, job('5'), 'card1')).to.not.include('height');
  });
  it('puts the draft into the plan and nowhere else', () => {
    const draft = withDraft(shop, job('5'), 'card1', {
      length: { lo: 330, hi: 330, how: 'measured' },
    });
    expect(draft?.plan.seats.find(({ seat }) => seat === 'card1')?.part.id).to.equal(DRAFT);
    const found = runChecks(draft!.plan).find(({ id }) => id.startsWith('card-length'));
    expect(found?.mark).to.equal('stop');
    expect(shop.parts.some(({ id }) => id === DRAFT)).to.equal(false);
  });
});
