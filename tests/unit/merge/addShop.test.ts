import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { editPart, setFact } from '../../../src/core/edits/edits.ts';
import { jobShop } from '../../../src/core/export/jobShop.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { checkShop, readShop } from '../../../src/core/document/read.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { checksOf } from '../../../src/core/plan/run.ts';
import { understand } from '../../../src/core/quick/understand.ts';
import { addShop } from '../../../src/core/merge/addShop.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const jobOf = (from: Shop, id: string): Job => {
  const found = from.jobs.find((each) => each.id === id);
  if (!found) throw new Error(`no job ${id}`);
  return found;
};
const plain = (value: Shop) => JSON.parse(JSON.stringify(value)) as unknown;
/** Findings without the tags in them: what two shops must agree on. */
const sums = (from: Shop, job: Job) =>
  checksOf(from, job)
    .filter((each) => each.station !== 'donors')
    .map(
      ({ title, mark, margin: rest }) =>
        `${title.replace(/\b[A-Z]\d*-?\d+\b/g, '#')} ${mark} ${rest?.lo} ${rest?.hi}`,
    );

describe('shop/join', () => {
  it('adds a job into an empty shop as it was', () => {
    const file = readShop(writeShop(jobShop(shop, jobOf(shop, '14'))));
    const { shop: joined, renamed } = addShop(emptyShop(), file);
    expect(renamed).to.deep.equal([]);
    expect(joined.jobs.map((each) => each.id)).to.deep.equal(['14']);
    expect(sums(joined, jobOf(joined, '14'))).to.deep.equal(sums(shop, jobOf(shop, '14')));
  });

  it('knows a job again whose customer stayed at home', () => {
    const own = jobOf(shop, '14');
    expect(own.customer).not.to.equal(undefined);
    const file = readShop(writeShop(jobShop(shop, own)));
    expect(file.jobs[0]?.customer).to.equal(undefined);
    const { shop: joined, came } = addShop(shop, file);
    expect(came.jobs).to.deep.equal([]);
    expect(jobOf(joined, '14').customer).to.deep.equal(own.customer);
    const other = { ...file, jobs: file.jobs.map((job) => ({ ...job, becomes: 'else' })) };
    expect(addShop(shop, other).came.jobs).to.have.length(1);
  });

  it('adds nothing of a file of its own', () => {
    const { shop: joined, came, same } = addShop(shop, readShop(writeShop(shop)));
    expect(Object.values(came).every((list) => list.length === 0)).to.equal(true);
    expect(same).to.equal(
      shop.jobs.length +
        shop.parts.length +
        shop.machines.length +
        shop.models.length +
        shop.plugs.length +
        shop.ledger.length,
    );
    expect(plain(joined)).to.deep.equal(plain(shop));
  });

  it('gives what only carries the same tag a free one; references follow, old labels still find it', () => {
    /* Another shop's job 14, with parts of its own under the same tags. */
    const other = checkShop(
      JSON.parse(
        writeShop(
          shop.parts.reduce<Shop>(
            (now, part) => editPart(part.id, { note: 'from the other shop' })(now),
            setFact('F01', 'length', { lo: 240, hi: 240, how: 'measured' })({
              ...shop,
              jobs: shop.jobs.map((job) => ({ ...job, name: `theirs, ${job.name}` })),
              machines: shop.machines.map((each) => ({ ...each, note: 'theirs' })),
              models: shop.models.map((each) => ({ ...each, name: `${each.name} (theirs)` })),
            }),
          ),
        ),
      ),
    );
    for (const { id } of shop.jobs) {
      const file = jobShop(other, jobOf(other, id));
      const { shop: joined, renamed, came } = addShop(shop, file);
      expect(checkShop(JSON.parse(writeShop(joined))).jobs).to.have.length(shop.jobs.length + 1);
      const [job] = came.jobs;
      expect(job?.id).to.not.equal(id);
      expect(job?.was).to.deep.equal([id]);
      expect(sums(joined, job!), `job ${id}`).to.deep.equal(sums(file, jobOf(file, id)));
      expect(sums(joined, jobOf(joined, id)), `our job ${id} is as it was`).to.deep.equal(
        sums(shop, jobOf(shop, id)),
      );
      const part = renamed.find((each) => each.list === 'parts');
      if (!part) continue;
      expect(understand(joined, part.from), 'our own label still means our own part').to.include({
        partId: part.from,
      });
      const without = { ...joined, parts: joined.parts.filter((each) => each.id !== part.from) };
      expect(understand(without, part.from)).to.include({ kind: 'part', partId: part.to });
    }
  });

  it('is a document again, whatever two parts of the demo are put together', () => {
    const some = (list: readonly Job[]) => fc.subarray([...list], { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(some(shop.jobs), some(shop.jobs), fc.boolean(), (first, second, differ) => {
        const start = first.reduce(
          (now, job) => addShop(now, jobShop(shop, job)).shop,
          emptyShop(),
        );
        const joined = second.reduce((now, job) => {
          const file = jobShop(shop, job);
          const theirs = differ
            ? { ...file, parts: file.parts.map((part) => ({ ...part, note: 'other' })) }
            : file;
          return addShop(now, theirs).shop;
        }, start);
        const read = readShop(writeShop(joined));
        for (const job of read.jobs) expect(sums(read, job)).to.be.an('array');
        const tags = new Set(read.parts.map((part) => part.id));
        for (const machine of read.machines)
          for (const seat of machine.seats) expect(tags.has(seat.partId)).to.equal(true);
      }),
      { numRuns: 30 },
    );
  });
});

describe('a job’s file carries only what is the job’s', () => {
  for (const job of shop.jobs) {
    it(`job ${job.id}`, () => {
      const file = jobShop(shop, job);
      /* Whose machine it is goes along only where that is wished. */
      const { customer: _, ...rest } = job;
      expect(file.jobs).to.deep.equal([rest]);
      expect(jobShop(shop, job, true).jobs).to.deep.equal([job]);
      const parts = new Set(file.parts.map((part) => part.id));
      for (const entry of file.ledger)
        expect(
          entry.jobId === job.id ||
            (entry.jobId === undefined &&
              (parts.has(entry.partId ?? '') || entry.machineId === job.machineId)),
        ).to.equal(true);
      const text = JSON.stringify([file.parts, file.models, file.machines]);
      for (const plug of file.plugs) expect(text).to.include(`"${plug.id}"`);
      expect(file.settings.anHour).to.equal(undefined);
    });
  }
  it('leaves other jobs’ lines, plugs nobody of it has, and rates it does not need at home', () => {
    const rates = [{ currency: 'CHF', rate: '1.07' }];
    const rich: Shop = {
      ...shop,
      settings: { ...shop.settings, rates, anHour: { minor: 2500, currency: 'EUR' } },
      ledger: [
        { id: 'L9001', at: '2026-01-01', kind: 'cost', what: 'theirs', jobId: '5' },
        { id: 'L9002', at: '2026-01-01', kind: 'cost', what: 'ours', jobId: '14' },
        { id: 'L9003', at: '2026-01-01', kind: 'cost', what: 'of the shop' },
      ],
      plugs: [
        { id: 'not-used', name: 'not used', rows: 1, ways: 2, pitchMm: 4.2, pins: ['?', '?'] },
      ],
    };
    const file = jobShop(rich, jobOf(rich, '14'));
    expect(file.ledger.map((entry) => entry.what)).to.deep.equal(['ours']);
    expect(file.plugs).to.deep.equal([]);
    expect(file.settings.rates).to.deep.equal([]);
    const paid = {
      ...rich,
      ledger: [{ ...rich.ledger[1]!, money: { minor: 100, currency: 'CHF' } }],
    };
    expect(jobShop(paid, jobOf(paid, '14')).settings.rates).to.deep.equal(rates);
  });
});
