import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { applyChanges, changesBetween, joinChanges } from '../../../src/core/edits/changes.ts';
import {
  addJob,
  addPart,
  applyRemedy,
  dropRemedy,
  editJob,
  editSettings,
  keepSeat,
  nextNumber,
  nextPartId,
  putPart,
  setFact,
  tickStep,
  untickStep,
  type Edit,
} from '../../../src/core/edits/edits.ts';
import { takeIn } from '../../../src/core/edits/intakeEdits.ts';
import { handOver } from '../../../src/core/edits/handOverEdits.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { mergeInventories } from '../../../src/core/intake/merge.ts';
import { readInventories } from '../../../src/core/intake/read.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { factOf, indexOf, numberOf, standingOf } from '../../../src/core/model/lookup/lookup.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { jobOver, partFor } from '../../helpers/build.ts';
import { modernDmidecode, modernLshw } from '../../helpers/made.ts';
import { cageOut } from '../../../src/core/remedies/cageOut.ts';
import { coolerKit } from '../../../src/core/remedies/coolerKit.ts';
import { otherBracket } from '../../../src/core/remedies/otherBracket.ts';

const now = '2026-11-25T09:00:00.000Z';
const part = (shop: Shop, id: string) => {
  const found = indexOf(shop).parts.get(id);
  if (!found) throw new Error(`no part ${id}`);
  return found;
};
const job = (shop: Shop, id = '1') => {
  const found = indexOf(shop).jobs.get(id);
  if (!found) throw new Error(`no job ${id}`);
  return found;
};

/** Edits of every kind on the demo, in any order. */
const anyEdit: fc.Arbitrary<Edit> = fc.oneof(
  fc.constantFrom('14', '5', '17').map((id) => putPart(id, 'card1', 'F02')),
  fc.constantFrom('14', '5').map((id) => keepSeat(id, 'case')),
  fc
    .integer({ min: 100, max: 400 })
    .map((mm) => setFact('F01', 'length', { lo: mm, hi: mm, how: 'measured' })),
  fc
    .integer({ min: 100, max: 400 })
    .map((mm) => setFact('A01', 'cardRoom', { lo: mm, hi: mm, how: 'measured' }, true)),
  fc.constant(setFact('F01', 'length', undefined)),
  fc.constantFrom('90', '91').map((id) => addJob(id, `job ${id}`, 'two screens')),
  fc.constant(applyRemedy('14', { value: cageOut() })),
  fc.constant(dropRemedy('14', cageOut())),
  fc.constant(tickStep('14', { stepId: 'open', at: now })),
  fc.constant(editSettings({ unit: 'in' })),
  fc.constant(handOver('12', now)),
  fc.constant(addPart(partFor('fan1', { size: 80 }, { id: 'Z99' }))),
);

describe('edits/changes', () => {
  it('undo and redo bring back the same bytes, for any run of edits', function () {
    this.timeout(20_000);
    const start = demoShop(now);
    fc.assert(
      fc.property(fc.array(anyEdit, { minLength: 1, maxLength: 12 }), (edits) => {
        let shop = start;
        const steps = edits.map((edit) => {
          const before = shop;
          shop = edit(shop);
          return changesBetween(before, shop);
        });
        const end = writeShop(shop);
        for (const step of [...steps].reverse()) shop = applyChanges(shop, step, 'before');
        expect(writeShop(shop)).to.equal(writeShop(start));
        for (const step of steps) shop = applyChanges(shop, step, 'after');
        expect(writeShop(shop)).to.equal(end);
      }),
      { numRuns: 60 },
    );
  });

  it('two steps joined undo like both', () => {
    const start = demoShop(now);
    fc.assert(
      fc.property(anyEdit, anyEdit, (first, second) => {
        const middle = first(start);
        const end = second(middle);
        const joined = joinChanges(changesBetween(start, middle), changesBetween(middle, end));
        expect(writeShop(applyChanges(end, joined, 'before'))).to.equal(writeShop(start));
        expect(writeShop(applyChanges(start, joined, 'after'))).to.equal(writeShop(end));
      }),
      { numRuns: 60 },
    );
  });

  it('names only the records that were touched', () => {
    const shop = demoShop(now);
    const changes = changesBetween(
      shop,
      setFact('F01', 'length', { lo: 1, hi: 1, how: 'said' })(shop),
    );
    expect(
      changes.map((change) => (change.in === 'head' ? 'head' : `${change.in} ${change.id}`)),
    ).to.deep.equal(['parts F01']);
  });

  it('an edit of what is not there changes nothing', () => {
    const shop = demoShop(now);
    expect(putPart('99', 'case', 'A01')(shop)).to.equal(shop);
    expect(setFact('nobody', 'length', undefined)(shop)).to.equal(shop);
    expect(changesBetween(shop, shop)).to.deep.equal([]);
  });
});

describe('edits, plan', () => {
  const { shop } = jobOver({ case: {}, board: {}, card1: {} }, { card1: {} });

  it('puts another part in, and the one found goes', () => {
    const plan = planOf(shop, job(shop));
    expect(plan.goes.map((gone) => gone.part.id)).to.deep.equal(['F-card1']);
    expect(plan.seats.map((placed) => `${placed.seat} ${placed.state}`)).to.deep.equal([
      'case stays',
      'board stays',
      'card1 comes',
    ]);
  });
  it('forgets a change that puts back what was found', () => {
    expect(job(putPart('1', 'card1', 'F-card1')(shop)).changes).to.deep.equal([]);
    expect(job(keepSeat('1', 'card1')(shop)).changes).to.deep.equal([]);
  });
  it('leaves a seat empty', () => {
    const after = putPart('1', 'card1', null)(shop);
    expect(planOf(after, job(after)).seats.map((placed) => placed.seat)).to.deep.equal([
      'case',
      'board',
    ]);
  });
  it('takes a remedy once, and what it wants goes on the list', () => {
    const value = otherBracket({ seat: 'card1' });
    const remedy = { value, get: { what: 'short bracket', count: 1 } };
    const after = applyRemedy('1', remedy)(shop);
    const want = { what: 'short bracket', count: 1, remedy: value };
    expect(job(after).wants).to.deep.equal([want]);
    expect(job(after).applied).to.deep.equal([value]);
    expect(job(applyRemedy('1', remedy)(after)).wants).to.have.length(1);
    const back = job(dropRemedy('1', value)(after));
    expect(back.applied).to.deep.equal([]);
    expect(back.wants).to.deep.equal([]);
  });
  it("keeps what was bought when its remedy is given back, and wants nobody's remedy asked for", () => {
    const { shop: start } = jobOver(
      { case: {} },
      {},
      {
        applied: [coolerKit()],
        wants: [
          { what: 'kit', count: 1, remedy: coolerKit(), bought: true },
          { what: 'paste', count: 1 },
        ],
      },
    );
    expect(job(dropRemedy('1', coolerKit())(start)).wants.map((want) => want.what)).to.deep.equal([
      'kit',
      'paste',
    ]);
  });
  it('stamps and takes a stamp back', () => {
    const ticked = tickStep(
      '1',
      { stepId: 'open', at: now, note: 'screw missing' },
      { why: 'paint', until: now },
    )(shop);
    expect(job(ticked).ticks).to.have.length(1);
    expect(job(ticked).waits).to.deep.equal([{ why: 'paint', until: now }]);
    expect(job(untickStep('1', 'open')(ticked)).ticks).to.deep.equal([]);
  });
  it('counts tags on', () => {
    const demo = demoShop(now);
    expect(nextNumber(demo)).to.equal('20');
    expect(nextNumber(emptyShop())).to.equal('1');
    expect(nextPartId(demo, 'F')).to.equal('F09');
    expect(nextPartId(demo, 'Z')).to.equal('Z01');
  });
});

describe('edits, model and individual', () => {
  const start = demoShop(now);
  it("a figure of the model is every piece's, its own beats it", () => {
    const shop = setFact(
      'A01',
      'coolerRoom',
      { lo: 160, hi: 160, how: 'measured', at: now },
      true,
    )(start);
    expect(numberOf(shop, part(shop, 'A02'), 'coolerRoom')).to.deep.include({
      lo: 160,
      level: 'model',
    });
    const own = setFact('A02', 'coolerRoom', { lo: 155, hi: 155, how: 'measured', at: now })(shop);
    expect(numberOf(own, part(own, 'A02'), 'coolerRoom')).to.deep.include({
      lo: 155,
      level: 'own',
    });
    expect(numberOf(own, part(own, 'A01'), 'coolerRoom')).to.deep.include({ lo: 160 });
  });
  it('what was measured on the model outranks what was said of the piece', () => {
    const shop = setFact('A02', 'coolerRoom', { lo: 140, hi: 140, how: 'said' })(start);
    expect(numberOf(shop, part(shop, 'A02'), 'coolerRoom')).to.deep.include({
      lo: 162,
      how: 'measured',
    });
  });
  it('an answer forgotten falls back to the class', () => {
    const shop = setFact('F01', 'length', undefined)(start);
    expect(factOf(shop, part(shop, 'F01'), 'length')).to.equal(undefined);
    expect(numberOf(shop, part(shop, 'F01'), 'length')?.how).to.equal('class');
  });
});

describe('edits, take-in', () => {
  const inventory = mergeInventories(readInventories(modernDmidecode));
  const start = addJob('1', 'Desk', 'map desk')(emptyShop());
  const shop = takeIn('M1', inventory, now, '1')(start);

  it('seats every part and hangs the machine on the job', () => {
    expect(job(shop).machineId).to.equal('M1');
    const machine = indexOf(shop).machines.get('M1');
    expect(machine?.name).to.equal('Ombrik Desk 40');
    expect(machine?.seats.map((seat) => seat.seat)).to.deep.equal([
      'case',
      'board',
      'processor',
      'memory1',
      'supply',
    ]);
    expect(part(shop, machine?.seats[3]?.partId ?? '').facts['size']).to.deep.include({
      lo: 8,
      at: now,
    });
  });
  it('read twice, nothing doubles', () => {
    const again = takeIn('M1', inventory, now, '1')(shop);
    expect(again.parts).to.have.length(shop.parts.length);
  });
  it('a second tool adds what the first did not see', () => {
    const second = takeIn(
      'M1',
      mergeInventories(readInventories(JSON.stringify(modernLshw))),
      now,
      '1',
    )(shop);
    const kinds = indexOf(second)
      .machines.get('M1')
      ?.seats.map((seat) => seat.seat);
    expect(kinds).to.include.members(['drive1', 'drive2', 'memory1']);
    expect(kinds?.filter((seat) => seat.startsWith('memory'))).to.have.length(1);
  });
  it('the second of its kind knows what was measured on the first', () => {
    const first = indexOf(shop).machines.get('M1')?.seats[0]?.partId ?? '';
    const measured = setFact(first, 'cardRoom', { lo: 178, hi: 178, how: 'measured' }, true)(shop);
    const both = takeIn('M2', inventory, now)(measured);
    const twin = indexOf(both).machines.get('M2')?.seats[0]?.partId ?? '';
    expect(twin).to.not.equal(first);
    expect(numberOf(both, part(both, twin), 'cardRoom')).to.deep.include({
      lo: 178,
      level: 'model',
    });
    const memory =
      indexOf(both)
        .machines.get('M2')
        ?.seats.find((seat) => seat.seat === 'memory1')?.partId ?? '';
    expect(part(both, memory).modelId).to.equal(undefined);
  });
  it('what was measured is not overwritten by what a tool reads', () => {
    const board = indexOf(shop).machines.get('M1')?.seats[1]?.partId ?? '';
    const measured = setFact(board, 'memorySlots', { lo: 3, hi: 3, how: 'measured' })(shop);
    const again = takeIn('M1', inventory, now, '1')(measured);
    expect(numberOf(again, part(again, board), 'memorySlots')?.lo).to.equal(3);
  });
});

describe('edits, hand-over', () => {
  it('parts inherit condition and origin until they leave, then keep them', () => {
    const { shop } = jobOver({ case: {}, card1: {} }, { card1: {} });
    const inherited = standingOf(shop, part(shop, 'F-card1'));
    expect(inherited).to.deep.include({ condition: 'worn', origin: 'attic' });
    expect(inherited.inheritedFrom?.id).to.equal('M1');
    const desk = demoShop(now);
    expect(standingOf(desk, part(desk, 'M14-03')).paidWith?.minor).to.equal(1500);
    expect(standingOf(desk, part(desk, 'F01')).paidWith).to.equal(undefined);
    const after = handOver('1', now)(shop);
    expect(part(after, 'F-card1')).to.deep.include({
      place: 'shelf',
      condition: 'worn',
      origin: 'attic',
    });
    expect(part(after, 'T-card1').place).to.equal('machine');
    expect(indexOf(after).machines.get('M1')?.seats).to.deep.include({
      seat: 'card1',
      partId: 'T-card1',
    });
  });
  it('a part from a donor leaves the donor', () => {
    const shop = putPart('14', 'card1', 'M4-07')(demoShop(now));
    const after = handOver('14', now)(shop);
    expect(
      indexOf(after)
        .machines.get('M4')
        ?.seats.some((seat) => seat.partId === 'M4-07'),
    ).to.equal(false);
    expect(indexOf(after).homeOf.get('M4-07')?.id).to.equal('M14');
    expect(part(after, 'M4-07').origin).to.equal('survey office');
  });
  it('happens once', () => {
    const { shop } = jobOver({ case: {} }, { card1: {} });
    const after = handOver('1', now)(shop);
    expect(handOver('1', '2027-01-01')(after)).to.equal(after);
  });
  it("leaves the job's own words alone", () => {
    const { shop } = jobOver({ case: {} }, {});
    const noted = editJob('1', { note: 'fan hums' })(shop);
    expect(job(handOver('1', now)(noted)).note).to.equal('fan hums');
  });
});
