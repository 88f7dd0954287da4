import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { batchOf, sameAgain, tickTogether } from '../../../src/core/edits/batchEdits.ts';
import { editPart, setFact } from '../../../src/core/edits/edits.ts';
import {
  endMachineLoan,
  endPartLoan,
  lendMachine,
  loanDifferences,
} from '../../../src/core/edits/loanEdits.ts';
import { loansOf } from '../../../src/core/shop/loans.ts';
import { numberOf } from '../../../src/core/model/lookup/lookup.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { openPoints, sheetOf } from '../../../src/core/record/sheet.ts';
import { readShop } from '../../../src/core/document/read.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const demo = demoShop(NOW);
const jobOf = (shop: Shop, id: string) => {
  const job = shop.jobs.find((each) => each.id === id);
  if (!job) throw new Error(`no job ${id}`);
  return job;
};
const machineOf = (shop: Shop, id: string) => {
  const machine = shop.machines.find((each) => each.id === id);
  if (!machine) throw new Error(`no machine ${id}`);
  return machine;
};

describe('the same again', () => {
  const twelve = sameAgain('14', 12)(demo);
  const fresh = twelve.jobs.slice(demo.jobs.length);

  it('gives each a number, a machine and parts of its own, and is a file that can be read', () => {
    expect(fresh).to.have.length(12);
    const numbers = [...twelve.jobs, ...twelve.machines].map(({ id }) => id);
    expect(new Set(numbers).size).to.equal(numbers.length);
    const parts = twelve.parts.map(({ id }) => id);
    expect(new Set(parts).size).to.equal(parts.length);
    const seated = twelve.machines.flatMap(({ seats }) => seats.map(({ partId }) => partId));
    expect(new Set(seated).size).to.equal(seated.length);
    expect(() => readShop(writeShop(twelve))).to.not.throw();
  });

  it('plans the same: the same kinds in the same seats, the same figures in every sum of space', () => {
    const sums = (shop: Shop, id: string) =>
      runChecks(planOf(shop, jobOf(shop, id)))
        .filter(({ station }) => station === 'fit')
        .map(({ id: finding, mark, margin }) => [finding, mark, margin]);
    const own = sums(demo, '14');
    expect(own.length).to.be.greaterThan(3);
    for (const { id } of fresh) expect(sums(twelve, id)).to.deep.equal(own);
  });

  it('copies nothing that is one’s own: ticks, readings, record, photographs, serial numbers', () => {
    for (const job of fresh) {
      for (const list of [
        'ticks',
        'readings',
        'clearings',
        'damages',
        'runs',
        'additions',
      ] as const)
        expect(job[list]).to.deep.equal([]);
      expect(job.record ?? job.handedOver ?? job.customer).to.equal(undefined);
      expect(machineOf(twelve, job.machineId ?? '').facts['serial']).to.equal(undefined);
    }
  });

  it('does not plan the one card of the shelf twelve times', () => {
    const wanted = fresh.flatMap(({ changes }) => changes.flatMap(({ partId }) => partId ?? []));
    expect(new Set(wanted).size).to.equal(wanted.length);
    const before = new Set(demo.parts.map(({ id }) => id));
    expect(wanted.filter((id) => before.has(id))).to.deep.equal([]);
  });

  it('one measured, all known; what differs on one stays its own', () => {
    const shellOf = (shop: Shop, id: string) => {
      const seat = machineOf(shop, jobOf(shop, id).machineId ?? '').seats.find(
        (each) => each.seat === 'case',
      );
      const part = shop.parts.find((each) => each.id === seat?.partId);
      if (!part) throw new Error('no case');
      return part;
    };
    const [one, two] = fresh.map(({ id }) => id) as [string, string];
    const fact = { lo: 99, hi: 99, how: 'measured' as const };
    const measured = setFact(shellOf(twelve, one).id, 'cardHeightRoom', fact, true)(twelve);
    expect(numberOf(measured, shellOf(measured, two), 'cardHeightRoom')?.lo).to.equal(99);
    const differs = setFact(shellOf(measured, two).id, 'cardHeightRoom', {
      ...fact,
      lo: 98,
      hi: 98,
    })(measured);
    expect(numberOf(differs, shellOf(differs, two), 'cardHeightRoom')?.lo).to.equal(98);
    expect(numberOf(differs, shellOf(differs, one), 'cardHeightRoom')?.lo).to.equal(99);
  });

  it('is a batch that can be ticked together, each once', () => {
    const [first] = fresh;
    if (!first) throw new Error('none');
    const others = batchOf(twelve, first).map(({ id }) => id);
    expect(others).to.include.members(fresh.slice(1).map(({ id }) => id));
    expect(others).to.not.include(first.id);
    const ticked = tickTogether(others, 'open', NOW)(tickTogether(others, 'open', NOW)(twelve));
    for (const id of others)
      expect(jobOf(ticked, id).ticks.filter(({ stepId }) => stepId === 'open')).to.have.length(1);
  });
});

describe('a machine on loan', () => {
  const machine = machineOf(demo, jobOf(demo, '14').machineId ?? '');
  const out = lendMachine(
    machine.id,
    { way: 'lent', who: 'the school', until: '2026-01-05' },
    NOW,
  )(demo);

  it('goes with its list of seats and stands among what is owed', () => {
    expect(machineOf(out, machine.id).loan?.held).to.have.length(machine.seats.length);
    const [first] = loansOf(out, NOW).filter(({ part }) => part.id === machine.id);
    expect(first?.say).to.equal('lent to the school, 4 days left');
    expect(loanDifferences(out, machineOf(out, machine.id))).to.deep.equal([]);
  });

  it('is compared at its return: missing, changed, damaged, new', () => {
    const [gone, swapped, hurt] = machine.seats;
    if (!gone || !swapped || !hurt) throw new Error('too few seats');
    const spare = demo.parts.find(({ place }) => place === 'shelf');
    const changed: Shop = {
      ...out,
      machines: out.machines.map((each) =>
        each.id === machine.id
          ? {
              ...each,
              seats: [
                ...each.seats
                  .filter(({ seat }) => seat !== gone.seat)
                  .map((seat) =>
                    seat.seat === swapped.seat ? { ...seat, partId: spare?.id ?? '' } : seat,
                  ),
                { seat: 'small9', partId: spare?.id ?? '' },
              ],
            }
          : each,
      ),
    };
    const damaged = editPart(hurt.partId, { condition: 'damaged' })(changed);
    const lines = loanDifferences(damaged, machineOf(damaged, machine.id));
    expect(lines.map((line) => line.split(':')[0]?.split(' ')[0])).to.have.members([
      'missing',
      'changed',
      lines.find((line) => line.includes('is damaged'))?.split(' ')[0],
      'new',
    ]);
    const back = endMachineLoan(machine.id, NOW, ['scratch on the lid'])(damaged);
    expect(machineOf(back, machine.id).loan).to.equal(undefined);
    const past = machineOf(back, machine.id).pastLoans?.[0];
    expect(past?.found).to.deep.equal([...lines, 'scratch on the lid']);
    expect(readShop(writeShop(back)).machines).to.deep.equal(
      [...back.machines].sort((a, b) => (a.id < b.id ? -1 : 1)),
    );
  });

  it('that is borrowed is not handed over unnoticed, and leaves with the end of its loan', () => {
    const borrowed = lendMachine(machine.id, { way: 'borrowed', who: 'the post' }, NOW)(demo);
    const points = openPoints(sheetOf(borrowed, jobOf(borrowed, '14')));
    expect(points.some((line) => line.includes('borrowed from the post'))).to.equal(true);
    const back = endMachineLoan(machine.id, NOW, [])(borrowed);
    expect(machineOf(back, machine.id).state).to.equal('gone');
  });

  it('of a part is kept too when it is over', () => {
    const id = demo.parts.find(({ place }) => place === 'shelf')?.id ?? '';
    const lent = editPart(id, { loan: { way: 'lent', who: 'Ab' } })(demo);
    const back = endPartLoan(id, NOW, ['cable missing'])(lent).parts.find((part) => part.id === id);
    expect(back?.loan).to.equal(undefined);
    expect(back?.pastLoans).to.deep.equal([
      { way: 'lent', who: 'Ab', back: NOW, found: ['cable missing'] },
    ]);
  });
});
