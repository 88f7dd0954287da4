import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { jobShop } from '../../../src/core/export/jobShop.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { defuse, partsTable } from '../../../src/core/export/partsTable.ts';
import { sheetOf } from '../../../src/core/record/sheet.ts';
import { readShop } from '../../../src/core/document/read.ts';
import { VERSION } from '../../../src/core/model/types/names.ts';
import type { Job } from '../../../src/core/model/types/types.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { runChecks } from '../../../src/core/plan/run.ts';
import { jobWith } from '../../helpers/build.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const job = (id: string) => shop.jobs.find((each) => each.id === id) as Job;

describe('export/json', () => {
  it('puts format and version first, then names in order, a newline last', () => {
    const text = writeShop(shop);
    expect(
      text.startsWith(`{\n  "format": "nutshell-swap",\n  "version": ${VERSION},\n  "jobs"`),
    ).to.equal(true);
    expect(text.endsWith('}\n')).to.equal(true);
    const keys = Object.keys(JSON.parse(text) as object);
    expect(keys.slice(2)).to.deep.equal([...keys.slice(2)].sort());
  });
  it('writes one job with all it needs and nothing else', () => {
    const one = readShop(writeShop(jobShop(shop, job('14'))));
    expect(one.jobs.map((each) => each.id)).to.deep.equal(['14']);
    expect(one.machines.map((each) => each.id)).to.deep.equal(['M14']);
    expect(one.parts.map((each) => each.id)).to.include.members(['A01', 'F01', 'S01', 'M14-02']);
    expect(one.parts.some((part) => part.id === 'F02')).to.equal(false);
    expect(one.models.map((each) => each.id).sort()).to.deep.equal([
      'desk40-board',
      'desk40-case',
      'desk40-supply',
      'low-tower-case',
    ]);
  });
  it('one job on its own gives the same sums, but for promises to other jobs', () => {
    const marks = (list: ReturnType<typeof runChecks>) =>
      list.filter((each) => each.station !== 'donors').map((each) => `${each.id} ${each.mark}`);
    const alone = jobShop(shop, job('14'));
    expect(marks(runChecks(planOf(alone, alone.jobs[0] as Job)))).to.deep.equal(
      marks(runChecks(planOf(shop, job('14')))),
    );
  });
});

describe('export/partsTable', () => {
  const table = partsTable(shop, shop.parts);
  it('has a header and a row for each part, all as wide', () => {
    expect(table).to.have.length(shop.parts.length + 1);
    for (const row of table) expect(row).to.have.length(table[0]?.length ?? 0);
  });
  it('says how each fact is known', () => {
    const row = table.find((cells) => cells[0] === 'F01');
    expect(row?.join()).to.contain('length=267 (measured)').and.contain('screens=4 (said)');
  });
  it('inherits the condition from the machine', () => {
    const row = table.find((cells) => cells[0] === 'M14-03');
    expect(row).to.include.members(['machine M14', 'worn', 'valley office, retired batch']);
  });
  it('defuses every cell a spreadsheet would run, and leaves others alone', () => {
    for (const bad of ['=1+1', '+1', '-1', '@SUM', '\t=1', ' =1', '|cmd']) {
      expect(defuse(bad)).to.equal(`'${bad}`);
    }
    expect(defuse('8 GB DDR4')).to.equal('8 GB DDR4');
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(defuse(text)).to.not.match(/^\s*[=+\-@|]/);
      }),
    );
  });
  it('defuses names that came in from files', () => {
    const { shop: one } = jobWith({ fan1: {} });
    const part = { ...one.parts[0], name: '=HYPERLINK("x")' } as (typeof one.parts)[number];
    expect(partsTable(one, [part])[1]?.[2]).to.equal(`'=HYPERLINK("x")`);
  });
});

describe('export/sheet', () => {
  const sheet = sheetOf(shop, job('14'));
  it('lists what was found with what becomes of it, and what was built', () => {
    const marks = Object.fromEntries(sheet.found.map((line) => [line.seat, line.mark]));
    expect(marks).to.include({ case: 'goes', board: 'stays', PSU: 'goes' });
    expect(sheet.built.find((line) => line.seat === 'card 1')).to.include({
      mark: 'comes',
      tag: 'F01',
    });
  });
  it('keeps open sums, unpriced parts and drives nobody cleared', () => {
    expect(sheet.open.map((finding) => finding.mark)).to.not.include('clear');
    expect(sheet.costs.unpriced).to.deep.equal(['single front leads']);
    expect(sheet.uncleared.map((drive) => drive.id)).to.deep.equal(['M14-07']);
    expect(sheetOf(shop, job('3')).uncleared).to.deep.equal([]);
  });
  it('adds the cost lines up to the sum', () => {
    const sum = sheet.costs.lines.reduce((total, line) => total + (line.minor ?? 0), 0);
    expect(sum).to.equal(sheet.costs.total);
  });
  it('parts steps done from steps left', () => {
    expect(sheet.done).to.have.length(1);
    expect(sheet.left.length).to.be.above(5);
  });
});
