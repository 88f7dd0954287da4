import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { addPart, putPart } from '../../../src/core/edits/edits.ts';
import { handOver } from '../../../src/core/edits/handOverEdits.ts';
import { checkShop } from '../../../src/core/document/read.ts';
import { checksOf } from '../../../src/core/plan/run.ts';
import type { Part, Shop } from '../../../src/core/model/types/types.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const screws: Part = {
  id: 'Z50',
  kind: 'small',
  name: 'spring screws',
  facts: {},
  place: 'shelf',
  count: 2,
};
const shop = addPart(screws)(demoShop(NOW));
const planned = (into: Shop, ...jobs: [string, string][]): Shop =>
  jobs.reduce((now, [id, seat]) => putPart(id, seat, 'Z50')(now), into);
const short = (of: Shop, id: string) =>
  checksOf(
    of,
    of.jobs.find((job) => job.id === id)!,
  ).filter(({ title, mark }) => title.startsWith('Z50') && mark === 'stop');

describe('several small parts under one tag', () => {
  it('serve as many jobs and seats as there are pieces, and no more', () => {
    const two = planned(shop, ['14', 'small5'], ['5', 'small5']);
    expect(short(two, '14')).to.deep.equal([]);
    const three = planned(two, ['9', 'small5']);
    const [finding] = short(three, '14');
    expect(finding?.margin).to.deep.equal({ lo: -1, hi: -1 });
    expect(short(planned(shop, ['14', 'small5'], ['14', 'small6']), '14')).to.deep.equal([]);
    const seats = planned(shop, ['14', 'small5'], ['14', 'small6'], ['14', 'small7']);
    const [twice] = short(seats, '14');
    expect(twice?.margin).to.deep.equal({ lo: -1, hi: -1 });
    expect(twice?.remedies).to.have.length(1);
  });

  it('are one where nothing is said, also of what is not small', () => {
    const single = planned(
      {
        ...shop,
        parts: shop.parts.map((part) =>
          part.id === 'Z50' ? { ...screws, kind: 'fan', count: 9 } : part,
        ),
      },
      ['14', 'fan5'],
      ['5', 'fan5'],
    );
    expect(short(single, '14')).to.have.length(1);
  });

  it('leave one by one at hand-over: the rest stays in its drawer', () => {
    const over = handOver('14', NOW)(planned(shop, ['14', 'small5'], ['14', 'small6']));
    const machine = over.machines.find(({ id }) => id === 'M14')!;
    const [first, second] = ['small5', 'small6'].map(
      (seat) => machine.seats.find((each) => each.seat === seat)?.partId,
    );
    expect(first).not.to.equal(second);
    const left = over.parts.filter(({ name }) => name === 'spring screws');
    expect(left).to.have.length(2);
    expect(left.every(({ place }) => place === 'machine')).to.equal(true);
    checkShop(JSON.parse(JSON.stringify(over)));
    const one = handOver('14', NOW)(planned(shop, ['14', 'small5']));
    expect(one.parts.find(({ id }) => id === 'Z50')).to.deep.include({ place: 'shelf', count: 1 });
  });
});
