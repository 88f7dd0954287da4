import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { heatLines, diagnosisLine, damageLines } from '../../../src/core/record/record.ts';
import { sheetOf } from '../../../src/core/record/sheet.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const job = (id: string) => shop.jobs.find((each) => each.id === id)!;

describe('export/record', () => {
  it('a search for a fault is a line: sign, cause, what was tried, minutes, who', () => {
    const [hunt] = job('18').diagnoses;
    expect(diagnosisLine(hunt!)).to.equal(
      'starts with an alarm: a fan the board expects; tried look no, a fan on the header the alarm names yes; 9 min; the rear header wants a fan of its own',
    );
    const open = {
      ...hunt!,
      verdict: undefined,
      causeId: undefined,
      note: undefined,
      tried: [{ ...hunt!.tried[0]!, who: 'Ane', with: 'E10' }],
    };
    expect(diagnosisLine(open)).to.equal(
      'starts with an alarm: still open; tried look (E10) no; 3 min by Ane',
    );
    expect(diagnosisLine({ ...open, verdict: 'given up', tried: [] })).to.equal(
      'starts with an alarm: given up',
    );
  });
  it('runs are where they settled and what the drop was, laid to nobody where several things changed', () => {
    const lines = heatLines(job('14'));
    expect(lines).to.have.length(3);
    expect(lines[0]).to.match(/^as found, full load, panel on: 8[12]\.\d °C, room 22\.0 °C$/);
    expect(lines[2]).to.contain('none of them alone');
    expect(heatLines(job('5'))[0]).to.contain('foretold, not settled');
    expect(heatLines(job('12'))).to.be.empty;
  });
  it('what was damaged says whether it was mended and retested', () => {
    expect(damageLines(job('18'))).to.deep.equal([
      'clip of the front bezel cracked: mended, retested',
    ]);
  });
  it('all of it stands on the swap sheet', () => {
    const sheet = sheetOf(shop, job('18'));
    expect(sheet.diagnoses).to.have.length(1);
    expect(sheet.damages).to.have.length(1);
    expect(sheetOf(shop, job('14')).heat).to.have.length(3);
  });
});
