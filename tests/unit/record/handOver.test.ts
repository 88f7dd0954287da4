import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { editPart, putPart, setFact, tickStep } from '../../../src/core/edits/edits.ts';
import { handOver } from '../../../src/core/edits/handOverEdits.ts';
import { lend } from '../../../src/core/edits/ledgerEdits.ts';
import { openPoints, sheetOf } from '../../../src/core/record/sheet.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { withoutUndefined } from '../../../src/core/model/types/plainData.ts';
import { readShop } from '../../../src/core/document/read.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';

const now = '2026-11-25T09:00:00.000Z';
const later = '2027-03-01T09:00:00.000Z';
const jobOf = (shop: Shop, id: string) => {
  const found = shop.jobs.find((each) => each.id === id);
  if (!found) throw new Error(`no job ${id}`);
  return found;
};
const handed = (shop: Shop, id: string) => handOver(id, now)(shop);

describe('hand-over freezes the record', () => {
  const shop = demoShop(now);
  for (const { id } of shop.jobs.filter((each) => !each.handedOver)) {
    it(`job ${id}: what is on the sheet before is on it after, and for ever`, () => {
      const ticked = tickStep(id, { stepId: 'discharge', at: now })(shop);
      const before = withoutUndefined(sheetOf(ticked, jobOf(ticked, id)));
      const after = handed(ticked, id);
      expect(sheetOf(after, jobOf(after, id))).to.deep.equal(before);
      /* The machine goes on living: parts renamed, taken out, measured, the shop renamed. */
      const machine = after.machines.find((each) => each.id === jobOf(after, id).machineId);
      const changed = (machine?.seats ?? []).reduce(
        (next, { partId, seat }) =>
          putPart(
            id,
            seat,
            null,
          )(
            editPart(partId, { name: 'another name', condition: 'dead' })(
              setFact(partId, 'width', { lo: 1, hi: 1, how: 'measured' })(next),
            ),
          ),
        { ...after, name: 'another shop' },
      );
      expect(sheetOf(changed, jobOf(changed, id))).to.deep.equal(before);
      expect(jobOf(changed, id).record?.shop).to.equal(shop.name);
      const again = readShop(writeShop(changed));
      expect(sheetOf(again, jobOf(again, id))).to.deep.equal(before);
    });
  }

  it('as found is what was found, as built what was built, and they differ where something was swapped', () => {
    const swapped = shop.jobs.filter(
      (each) => !each.handedOver && each.machineId && each.changes.length > 0,
    );
    expect(swapped).to.have.length.above(5);
    for (const { id } of swapped) {
      const after = handed(shop, id);
      const sheet = sheetOf(after, jobOf(after, id));
      const tags = (lines: { tag: string }[]) => lines.map((line) => line.tag).sort();
      expect(tags(sheet.found), id).to.not.deep.equal(tags(sheet.built));
      expect(
        sheet.found.some((line) => line.mark === 'goes') ||
          sheet.built.some((line) => line.mark === 'comes'),
        id,
      ).to.equal(true);
    }
  });

  it('an uncleared drive that came in stays the uncleared one', () => {
    const id = shop.jobs.find(
      (each) => !each.handedOver && sheetOf(shop, each).uncleared.length > 0,
    )?.id;
    if (!id) throw new Error('the demo has no uncleared drive');
    const before = sheetOf(shop, jobOf(shop, id)).uncleared;
    const after = handed(shop, id);
    expect(sheetOf(after, jobOf(after, id)).uncleared).to.deep.equal(before);
  });

  it('lists Stops, open steps, drives and loans, and keeps why it went out all the same', () => {
    const id = '14';
    const machine = shop.machines.find((each) => each.id === jobOf(shop, id).machineId);
    const part = machine?.seats.find((each) => each.seat === 'board');
    const borrowed = lend(part?.partId ?? '', { way: 'borrowed', who: 'the school' })(shop);
    const sheet = sheetOf(borrowed, jobOf(borrowed, id));
    const open = openPoints(sheet);
    expect(open.filter((line) => line.startsWith('Stop: '))).to.have.length(
      sheet.open.filter((finding) => finding.mark === 'stop').length,
    );
    expect(open.filter((line) => line.startsWith('Not done: '))).to.have.length(sheet.left.length);
    expect(open.filter((line) => line.startsWith('Data not'))).to.have.length(
      sheet.uncleared.length,
    );
    expect(open.some((line) => line.includes('borrowed from the school'))).to.equal(true);
    const incomplete = { open, follows: 'the card follows', who: 'Ane', by: '2026-12-01' };
    const after = handOver(id, now, incomplete)(borrowed);
    expect(jobOf(after, id).record?.incomplete).to.deep.equal(incomplete);
    expect(readShop(writeShop(after))).to.deep.equal(readShop(writeShop(after)));
  });

  it('a second hand-over changes nothing', () => {
    const after = handed(shop, '14');
    expect(handOver('14', later)(after)).to.equal(after);
  });
});
