import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { tickStep } from '../../../src/core/edits/edits.ts';
import { handOver } from '../../../src/core/edits/handOverEdits.ts';
import { addService, dropService } from '../../../src/core/edits/serviceEdits.ts';
import { paperHtml, paperJson } from '../../../src/core/export/paperHtml.ts';
import { customersPaper, shopsPaper, type Paper } from '../../../src/core/record/papers.ts';
import { serviceLine } from '../../../src/core/record/record.ts';
import { servedBy } from '../../../src/core/record/served.ts';
import { sheetOf } from '../../../src/core/record/sheet.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import type { Job, Shop } from '../../../src/core/model/types/types.ts';
import { checkShop, readShop } from '../../../src/core/document/read.ts';
import { writeShop } from '../../../src/core/export/json.ts';

const NOW = '2026-01-01T12:00:00.000Z';
const demo = demoShop(NOW);
const jobOf = (shop: Shop, id: string): Job => {
  const found = shop.jobs.find((job) => job.id === id);
  if (!found) throw new Error(`no job ${id}`);
  return found;
};
const withJob = (id: string, fields: Partial<Job>): Shop => ({
  ...demo,
  jobs: demo.jobs.map((job) => (job.id === id ? { ...job, ...fields } : job)),
});
const papers = (shop: Shop, id: string): { customer: Paper; own: Paper } => {
  const job = jobOf(shop, id);
  const around = {
    jobId: id,
    shop: shop.name,
    contact: 'Dockside 3',
    at: NOW,
    handedOver: false,
    incomplete: undefined,
    additions: job.additions,
    units: shop.settings,
    day: (iso: string) => iso.slice(0, 10),
  };
  const sheet = sheetOf(shop, job);
  return { customer: customersPaper(sheet, around), own: shopsPaper(sheet, around) };
};
const textOf = (paper: Paper) =>
  paper.sections.flatMap(({ rows }) => rows.flatMap(({ text, right }) => [text, right ?? '']));
const section = (paper: Paper, title: string) =>
  paper.sections.find((each) => each.title === title);

const driveId = 'D01';
const full: Partial<Job> = {
  customer: { name: 'Ilse Tarn', contact: 'radio hut' },
  system: 'a free desktop, 24.04',
  warranty: '90 days',
  watch: 'clean the front mesh',
  dropped: [{ at: NOW, what: 'tower cooler', why: '4 mm under the lid' }],
  additions: [{ at: NOW, text: 'second key found', who: 'Ab' }],
  note: 'paid 12.50 for the cable',
  clearings: [
    { partId: driveId, how: 'purge', at: NOW, tool: 'nvme format -s1', who: 'Ab', serial: 'SN-77' },
  ],
};

describe('the two papers', () => {
  for (const { id } of demo.jobs)
    it(`job ${id}: the customer reads no price paid and no inner sum`, () => {
      const { customer, own } = papers(demo, id);
      for (const title of ['Cost', 'Done', 'As found'])
        expect(section(customer, title)).to.equal(undefined);
      const prices = (section(own, 'Cost')?.rows ?? []).flatMap(({ right }) => right ?? []);
      expect(prices.length).to.be.greaterThan(0);
      for (const price of prices.filter((each) => /[1-9]/.test(each)))
        expect(textOf(customer)).to.not.include(price);
      /* A sum is a title with its figures: the customer gets what to watch, not the arithmetic. */
      const { open } = sheetOf(demo, jobOf(demo, id));
      for (const { say } of open) expect(textOf(customer)).to.not.include(say);
    });

  it('keeps promises, prices and the budget of the shop to the shop', () => {
    const { customer, own } = papers(demo, '14');
    expect(textOf(own).join(' ')).to.contain('wanted more than once');
    expect(textOf(customer).join(' ')).not.to.contain('wanted more than once');
    expect(textOf(customer).join(' ')).to.contain('card length');
  });

  it('says whose it is, what runs on it, the warranty, what to watch', () => {
    const { customer } = papers(withJob('14', full), '14');
    expect(section(customer, 'For')?.rows[0]?.text).to.equal('Ilse Tarn, radio hut');
    expect(section(customer, 'What it is now')?.rows).to.deep.include({
      left: 'system',
      text: 'a free desktop, 24.04',
    });
    expect(section(customer, 'Warranty')?.rows).to.deep.equal([{ text: '90 days' }]);
    expect(section(customer, 'What to watch')?.rows[0]?.text).to.equal('clean the front mesh');
    expect(textOf(customer).join()).to.not.contain('12.50');
  });

  it('says how data was cleared: method, tool, person, day, serial number', () => {
    const { customer, own } = papers(withJob('14', full), '14');
    for (const paper of [customer, own]) {
      const row = section(paper, 'Data')?.rows.find(({ left }) => left === driveId);
      for (const word of ['purge', 'nvme format -s1', 'Ab', '2026-01-01', 'SN-77'])
        expect(row?.text).to.contain(word);
    }
  });

  it('keeps ways that were given up on the shop’s sheet alone, additions on both', () => {
    const { customer, own } = papers(withJob('14', full), '14');
    expect(section(own, 'Tried and given up')?.rows).to.deep.equal([
      { text: 'tower cooler: 4 mm under the lid' },
    ]);
    expect(textOf(customer).join()).to.not.contain('tower cooler');
    for (const paper of [customer, own])
      expect(section(paper, 'Added afterwards')?.rows).to.deep.equal([
        { left: '2026-01-01', text: 'second key found, by Ab' },
      ]);
  });

  it('sets a reading after beside the one before of the same load', () => {
    const reading = (value: number, when: 'before' | 'after', load: 'idle' | 'full load') => ({
      kind: 'temperatureC' as const,
      value,
      when,
      load,
      at: NOW,
    });
    const readings = [
      reading(91, 'before', 'full load'),
      reading(71, 'after', 'full load'),
      reading(40, 'before', 'idle'),
    ];
    const { customer, own } = papers(withJob('14', { readings }), '14');
    expect(section(own, 'Measured')?.rows.slice(0, 2)).to.deep.equal([
      { left: 'after', text: 'CPU: 71 °C, full load, 91 °C before' },
      { left: 'before', text: 'CPU: 40 °C, idle' },
    ]);
    expect(textOf(customer)).to.include('CPU: 71 °C, full load, 91 °C before');
  });

  it('is one HTML file in which nothing typed becomes markup, without a script or an outside address', () => {
    const evil = '<img src=x onerror=alert(1)>"&';
    const { customer } = papers(withJob('14', { ...full, watch: evil, system: evil }), '14');
    const html = paperHtml(customer, [
      { src: 'data:image/svg+xml,%3Csvg%2F%3E', caption: evil },
      { src: 'javascript:alert(1)', caption: 'no picture' },
    ]);
    expect(html).to.not.contain('<img src=x');
    expect(html).to.not.match(/<script|javascript:|https?:/);
    expect(html.match(/<figure>/g)).to.have.length(1);
    expect(html).to.contain('&#60;img src=x onerror=alert(1)&#62;&#34;&#38;');
  });

  it('is data with its format named', () => {
    const { customer } = papers(withJob('14', full), '14');
    const read = JSON.parse(paperJson(customer)) as { format: string; sections: unknown[] };
    expect(read.format).to.equal('nutshell-swap-sheet');
    expect(read.sections).to.have.length(customer.sections.length);
  });

  it('is kept in the record with everything new, and read back from the file', () => {
    const shop = handOver('14', NOW, { open: [], follows: 'nothing' })(withJob('14', full));
    const sheet = jobOf(shop, '14').record?.sheet;
    expect(sheet?.customer).to.deep.equal(full.customer);
    expect(sheet?.dropped).to.deep.equal(['tower cooler: 4 mm under the lid']);
    expect(readShop(writeShop(shop)).jobs.find(({ id }) => id === '14')?.record).to.deep.equal(
      jobOf(shop, '14').record,
    );
  });
});

describe('the service record', () => {
  const cooled = demo.jobs.flatMap((job) => {
    const placed = planOf(demo, job).seats.find(({ kind }) => kind === 'cooler');
    return placed && !job.handedOver ? [{ job, placed }] : [];
  })[0];

  it('of a cooler knows when it was pasted, once its step was done', () => {
    if (!cooled) throw new Error('no demo job has a cooler');
    const { job, placed } = cooled;
    const at = '2026-02-02T10:00:00.000Z';
    const none = servedBy({ ...demo }, { ...job, ticks: [] }, NOW).get(placed.part.id);
    expect(none).to.equal(undefined);
    const ticked = tickStep(job.id, { stepId: `in:${placed.seat}`, at })(demo);
    const shop = handOver(job.id, NOW, { open: [], follows: 'x' })(ticked);
    const cooler = shop.parts.find(({ id }) => id === placed.part.id);
    expect(cooler?.service).to.deep.include({ at, what: 'paste', jobId: job.id });
    const failed = tickStep(job.id, { stepId: `in:${placed.seat}`, at, failed: true })(demo);
    expect(servedBy(failed, jobOf(failed, job.id), NOW).get(placed.part.id)).to.equal(undefined);
  });

  it('says of a case that was cut that it stays cut', () => {
    const job = demo.jobs.find(({ id }) =>
      planOf(demo, jobOf(demo, id)).seats.some((each) => each.kind === 'case'),
    );
    if (!job) throw new Error('no case');
    const cut: Job = { ...job, applied: [{ do: 'drill', holes: ['B'] }] };
    const lines = [...servedBy(demo, cut, NOW).values()].flat();
    expect(lines.some(({ what, forGood }) => what === 'cut' && forGood)).to.equal(true);
  });

  it('keeps what was damaged and mended, and nothing of what was not', () => {
    const [job] = demo.jobs;
    if (!job) throw new Error('no job');
    const damage = (mended: boolean) => ({
      at: NOW,
      what: 'bent pin',
      partId: 'F04',
      mended,
      retested: false,
    });
    const of = (mended: boolean) =>
      servedBy(demo, { ...job, damages: [damage(mended)], applied: [] }, NOW).get('F04');
    expect(of(true)).to.deep.equal([{ at: NOW, what: 'mended', note: 'bent pin', jobId: job.id }]);
    expect(of(false)).to.equal(undefined);
  });

  it('stands by day, is struck line by line, and comes back from the file', () => {
    const late = { at: '2026-03-01', what: 'pads' as const, note: '1.5 mm', hours: 120, wear: 3 };
    const early = { at: '2026-02-01', what: 'cleaned' as const };
    const id = demo.parts[0]?.id ?? '';
    const shop = addService(id, early)(addService(id, late)(demo));
    const service = (of: Shop) => of.parts.find((part) => part.id === id)?.service;
    expect(service(shop)).to.deep.equal([early, late]);
    expect(readShop(writeShop(shop)).parts.find((part) => part.id === id)?.service).to.deep.equal([
      early,
      late,
    ]);
    expect(service(dropService(id, late)(shop))).to.deep.equal([early]);
    expect(service(dropService(id, early)(dropService(id, late)(shop)))).to.equal(undefined);
    expect(serviceLine(late)).to.equal('2026-03-01 new pads, 1.5 mm, at 120 h, 3 % worn');
  });
});

describe('version 8 of the document', () => {
  it('had a note changed after the hand-over: it becomes an addition, the frozen one stays', () => {
    const shop = handOver('14', NOW, { open: [], follows: 'x' })(
      withJob('14', { note: 'as it was' }),
    );
    const old = JSON.parse(writeShop(shop)) as {
      version: number;
      photos?: unknown;
      jobs: Record<string, unknown>[];
    };
    old.version = 8;
    delete old.photos;
    for (const job of old.jobs) {
      delete job['dropped'];
      delete job['additions'];
      if (job['id'] === '14') job['note'] = 'changed later';
    }
    const lifted = jobOf(checkShop(old), '14');
    expect(lifted.note).to.equal('as it was');
    expect(lifted.additions).to.deep.equal([{ at: NOW, text: 'changed later' }]);
    expect(lifted.dropped).to.deep.equal([]);
  });
});
