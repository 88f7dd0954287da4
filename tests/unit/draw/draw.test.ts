import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import type { Job } from '../../../src/core/model/types/types.ts';
import { standing } from '../../../src/core/shop/standing.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { caseCut } from '../../../src/lib/draw/caseCut.ts';
import { nextWords, placeOf, timeLabel } from '../../../src/lib/draw/shelf.ts';
import { litres, outsideOf } from '../../../src/lib/draw/sizes.ts';
import { planWith } from '../../helpers/build.ts';

describe('draw/caseCut', () => {
  const plan = planWith({
    case: {
      outerWidth: 170,
      outerHeight: 355,
      outerDepth: 330,
      cardRoom: 247,
      cageGain: 58,
      coolerRoom: 162,
      class: 'mini tower',
    },
    board: { format: 'microATX' },
    cooler: { height: 58 },
    card1: { length: 267, height: 111, slotsWide: 2 },
    supply: { format: 'SFX' },
    drive1: { form: '3.5' },
  });
  const cut = caseCut(plan);
  const box = (seat: string, section: 'side' | 'end' = 'side') =>
    cut?.[section].boxes.find((each) => each.seat === seat);

  it('draws every part as long as it is', () => {
    expect(box('card1')).to.include({ x: 0, w: 267 });
    expect(box('board')?.w).to.be.closeTo(243.84, 1e-9);
    /* SFX, 100 to 105 deep: its middle. */
    expect(box('supply')?.w).to.equal(102.5);
    expect(box('drive1')?.w).to.equal(147);
    expect(box('cooler', 'end')?.w).to.equal(58);
  });
  it('stands the cooler on the CPU: what is left to the lid is the rest of the sum', () => {
    const cooler = box('cooler', 'end');
    expect((cut?.end.w ?? 0) - (cooler?.x ?? 0) - (cooler?.w ?? 0)).to.be.closeTo(162 - 58, 1e-9);
  });
  it('draws the wall in front of the card where it was measured', () => {
    expect(cut?.cardWall).to.include({ x: 247, cage: 58 });
  });
  it('tells what is measured from what is only usual', () => {
    expect(box('card1')?.open).to.equal(false);
    const open = caseCut(planWith({ case: {}, card1: {} }));
    expect(open?.side.boxes[0]?.open).to.equal(true);
    expect(open?.outside.known).to.equal(false);
    expect(open?.cardWall).to.equal(undefined);
  });
  it('writes its figures in the unit of the shop, and stays as large', () => {
    const inInches = caseCut({
      ...plan,
      shop: { ...plan.shop, settings: { ...plan.shop.settings, unit: 'in' } },
    });
    const figure = (drawn: typeof cut, seat: string) =>
      drawn?.side.boxes.find((each) => each.seat === seat && each.figure)?.figure;
    expect(figure(cut, 'board')).to.equal('244 × 244');
    expect(figure(inInches, 'board')).to.equal('9.6 × 9.6″');
    expect(figure(inInches, 'card1')).to.equal('10.51″');
    expect(inInches?.side.w).to.equal(cut?.side.w);
  });
  it('sees a flat case from above', () => {
    const flat = caseCut(planWith({ case: { outerWidth: 178, outerHeight: 36, outerDepth: 182 } }));
    expect(flat?.flat).to.equal(true);
    expect(flat?.side).to.include({ w: 182, h: 178 });
    expect(flat?.end.w).to.equal(36);
  });
  it('draws nothing without a case', () => {
    expect(caseCut(planWith({ board: {} }))).to.equal(undefined);
  });
  it('gives every box of every demo job a size that is a number', () => {
    const shop = demoShop('2026-11-25T09:00:00.000Z');
    for (const job of shop.jobs) {
      const drawn = caseCut(planOf(shop, job));
      for (const each of [...(drawn?.side.boxes ?? []), ...(drawn?.end.boxes ?? [])]) {
        for (const value of [each.x, each.y, each.w, each.h])
          expect(Number.isFinite(value), `${job.id} ${each.seat}`).to.equal(true);
      }
    }
  });
});

describe('draw/sizes', () => {
  it("gives a measured outside, else the class's", () => {
    const measured = planWith({ case: { outerWidth: 203, outerHeight: 81, outerDepth: 160 } });
    const shell = measured.seats[0];
    if (!shell) throw new Error('no case');
    expect(outsideOf(measured.shop, shell.part)).to.include({ w: 203, known: true });
    expect(litres(outsideOf(measured.shop, shell.part))).to.be.closeTo(2.63, 0.005);
    const guessed = planWith({ case: { class: 'slim' } });
    const slim = guessed.seats[0];
    if (!slim) throw new Error('no case');
    expect(outsideOf(guessed.shop, slim.part)).to.include({ known: false, class: 'slim' });
  });
});

describe('draw/shelf', () => {
  const now = '2026-11-25T09:00:00.000Z';
  it('says when in the words of a workshop', () => {
    expect(timeLabel('2026-11-25T14:10:00', '2026-11-25T09:00:00')).to.equal('14:10');
    expect(timeLabel('2026-11-27T10:00:00', '2026-11-25T09:00:00')).to.equal('Friday');
    expect(timeLabel('2026-12-09T10:00:00', '2026-11-25T09:00:00')).to.equal('9 December');
  });
  it('stands now before later before no date', () => {
    const shop = demoShop(now);
    const places = shop.jobs.map((job: Job) => ({
      id: job.id,
      place: placeOf(standing(shop, job, now), now),
    }));
    const order = [...places]
      .sort((a, b) => (a.place.order < b.place.order ? -1 : 1))
      .map((each) => each.id);
    expect(order[0]).to.equal('14');
    expect(order.indexOf('9')).to.be.below(order.indexOf('5'));
    expect(order.indexOf('5')).to.be.below(order.indexOf('17'));
    expect(order.at(-1)).to.equal('3');
  });
  it('names the next step, or what is waited for', () => {
    const shop = demoShop(now);
    const words = (id: string) =>
      nextWords(standing(shop, shop.jobs.find((job) => job.id === id) as Job, now));
    expect(words('14')).to.contain('Unplug');
    expect(words('9')).to.equal('Waits: second coat drying');
  });
});
