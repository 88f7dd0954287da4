import { expect } from 'chai';
import fc from 'fast-check';
import { keepSeat, putPart, stageSeat } from '../../../src/core/edits/edits.ts';
import { handOver } from '../../../src/core/edits/handOverEdits.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { checkShop, readShop } from '../../../src/core/document/read.ts';
import { inStages, stageOf, stagesOf, withChange } from '../../../src/core/model/types/stages.ts';
import type { Change, Shop } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { candidates } from '../../../src/core/resolve/otherParts.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { stageRests } from '../../../src/core/plan/stageSums.ts';
import { jobOver, partFor, the, type Seats } from '../../helpers/build.ts';

const found: Seats = {
  board: { processorPlug: 'cpu4', mainPlug: 'main24', watts: 25 },
  processor: { watts: 65 },
  supply: {
    watts: 300,
    amps12: 20,
    mainPlug: 'main24',
    plugs: ['cpu4', 'card6', 'sata', 'sata'],
    feeds: 'supply',
  },
};
/** A machine with a small card now, a large one at stage 3. */
function staged(): Shop {
  const { shop } = jobOver(found, { card1: { watts: 40, plugs: [], length: 150 } });
  const large = partFor('card1', { watts: 250, plugs: ['card6'], length: 200 }, { id: 'BIG' });
  const withBig = { ...shop, parts: [...shop.parts, large] };
  return putPart('1', 'card1', 'BIG', 3)(withBig);
}
const jobIn = (shop: Shop) => shop.jobs[0]!;
const inSeat = (shop: Shop, seat: string, upTo?: number) =>
  planOf(shop, jobIn(shop), upTo).seats.find((each) => each.seat === seat)?.part.id;

describe('stages of a plan', () => {
  it('puts in what is planned up to a stage, and all of it in the end', () => {
    const shop = staged();
    expect(stagesOf(jobIn(shop))).to.deep.equal([1, 3]);
    expect(inSeat(shop, 'card1', 1)).to.equal('T-card1');
    expect(inSeat(shop, 'card1', 2)).to.equal('T-card1');
    expect(inSeat(shop, 'card1', 3)).to.equal('BIG');
    expect(inSeat(shop, 'card1')).to.equal('BIG');
  });
  it('says until when the PSU is enough, and how much it lacks then', () => {
    const shop = staged();
    const sum = the(runChecks(planOf(shop, jobIn(shop))), 'stage-watts');
    expect(sum.mark).to.equal('stop');
    /* 300 W against 25 + 65 + 250 and more with a headroom of 30 %: by hand, 22 A and more of 20 A. */
    expect(sum.say).to.match(/^Enough now; at stage 3 at least \d+ W short/);
    const rests = stageRests(planOf(shop, jobIn(shop)));
    expect(rests.map((each) => each.stage)).to.deep.equal([1, 3]);
    expect(rests[0]!.restW.lo).to.be.above(0);
    const short = Number(/least (\d+) W/.exec(sum.say)?.[1]);
    expect(short).to.equal(Math.ceil(-rests[1]!.restW.hi));
  });
  it('says nothing of stages where there is one', () => {
    const { shop } = jobOver(found, { card1: { watts: 40, plugs: [], length: 150 } });
    const ids = runChecks(planOf(shop, jobIn(shop))).map((each) => each.id);
    expect(ids.some((id) => id.startsWith('stage-'))).to.equal(false);
  });
  it('names a stage that does not run by itself', () => {
    /* A processor for another socket now, the right one at stage 2. */
    const { shop } = jobOver({
      ...found,
      board: { ...found['board'], socket: 'LGA1151' },
    });
    const wrong = partFor('processor', { watts: 65, socket: 'AM4' }, { id: 'WRONG' });
    const right = partFor('processor', { watts: 65, socket: 'LGA1151' }, { id: 'RIGHT' });
    const both = { ...shop, parts: [...shop.parts, wrong, right] };
    const done = putPart('1', 'processor', 'RIGHT', 2)(putPart('1', 'processor', 'WRONG')(both));
    const early = the(runChecks(planOf(done, jobIn(done))), 'stage-runs-1');
    expect(early.mark).to.equal('stop');
    expect(early.say).to.match(
      /^As planned now: .*AM4 CPU does.* Each stage must run by itself\.$/is,
    );
    const atOnce = putPart('1', 'processor', 'RIGHT')(both);
    expect(
      runChecks(planOf(atOnce, jobIn(atOnce))).filter((each) => each.id.startsWith('stage-runs')),
    ).to.be.empty;
  });
  it('moves a change to another stage, keeps and drops a seat with all of its stages', () => {
    const shop = staged();
    const moved = stageSeat('1', 'card1', 3, 2)(shop);
    expect(stagesOf(jobIn(moved))).to.deep.equal([1, 2]);
    const first = stageSeat('1', 'card1', 3, 1)(shop);
    expect(jobIn(first).changes).to.deep.equal([{ seat: 'card1', partId: 'BIG' }]);
    expect(stageSeat('1', 'card1', 2, 1)(shop)).to.equal(shop);
    expect(jobIn(keepSeat('1', 'card1')(shop)).changes).to.be.empty;
  });
  it('a change that changes nothing is none', () => {
    const shop = staged();
    const same = putPart('1', 'card1', 'T-card1', 3)(shop);
    expect(jobIn(same).changes).to.deep.equal([{ seat: 'card1', partId: 'T-card1' }]);
    const back = putPart('1', 'supply', 'F-supply', 2)(shop);
    expect(jobIn(back).changes.some((each) => each.seat === 'supply')).to.equal(false);
  });
  it('hands over what the last stage has, the earlier part goes to the shelf', () => {
    const done = handOver('1', '2026-11-25')(staged());
    const seats = done.machines[0]!.seats;
    expect(seats.find((each) => each.seat === 'card1')?.partId).to.equal('BIG');
    expect(done.parts.find((each) => each.id === 'T-card1')?.place).to.equal('shelf');
  });
  it('is written and read again; a file of version 3 is lifted; stage 9 is refused with its place', () => {
    const shop = staged();
    expect(readShop(writeShop(shop)).jobs[0]!.changes).to.have.deep.members(jobIn(shop).changes);
    const plain = JSON.parse(writeShop(shop)) as {
      version: number;
      jobs: { changes: Change[]; applied: unknown[] }[];
    };
    plain.jobs[0]!.changes = [{ seat: 'card1', partId: 'BIG' }];
    const third = plain.jobs.map(({ applied, ...job }) => ({ ...job, taken: applied }));
    expect(checkShop({ ...plain, version: 3, jobs: third }).jobs[0]!.changes).to.have.length(1);
    plain.jobs[0]!.changes[0]!.stage = 9;
    expect(() => checkShop(plain)).to.throw(/jobs\[0\]\.changes\[0\]\.stage/);
  });
  it('one change a seat and stage, whatever is put in what order', () => {
    const change = fc.record({
      seat: fc.constantFrom('card1', 'supply'),
      partId: fc.constantFrom('A', 'B', null),
      stage: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 9 }), (list) => {
        const all = list.reduce<Change[]>((sum, each) => withChange(sum, each), []);
        const keys = all.map((each) => `${each.seat} ${stageOf(each)}`);
        expect(new Set(keys).size).to.equal(keys.length);
        const stages = inStages(all).map(stageOf);
        expect(stages).to.deep.equal([...stages].sort((a, b) => a - b));
        const last = list.at(-1);
        if (last)
          expect(
            all.some((each) => each.seat === last.seat && each.partId === last.partId),
          ).to.equal(true);
      }),
    );
  });
});

describe('remedies for a small part', () => {
  it('are of its own sort: a converter of the shelf, no screw', () => {
    const { shop, job } = jobOver(found, {
      small1: { sort: 'converter', outVolts: 19, inAmps: 5 },
    });
    const larger = partFor('small1', { sort: 'converter', outVolts: 19, inAmps: 9 }, { id: 'BIG' });
    const screw = partFor('small1', { sort: 'screw M3', count: 20 }, { id: 'SCREW' });
    const all = { ...shop, parts: [...shop.parts, larger, screw] };
    expect(candidates(all, job, 'small1').map((each) => each.id)).to.deep.equal(['BIG']);
    expect(candidates(all, job, 'small2').map((each) => each.id)).to.have.members(['BIG', 'SCREW']);
  });
});
