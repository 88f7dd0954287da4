import { expect } from 'chai';
import { LogError, settle, thinned } from '../../../src/core/heat/index.ts';
import { madeRun } from '../../../src/core/heat/simulate.ts';
import { encodingOf, readLog, sourceOf } from '../../../src/workers/readLog.ts';

const utf8 = (text: string) => new TextEncoder().encode(text);
const utf16 = (text: string) => {
  const bytes = new Uint8Array(2 + 2 * text.length);
  bytes.set([0xff, 0xfe]);
  [...text].forEach((letter, i) => {
    bytes[2 + 2 * i] = letter.charCodeAt(0) & 255;
    bytes[3 + 2 * i] = letter.charCodeAt(0) >> 8;
  });
  return bytes;
};
const western = (text: string) => Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)));
async function refused(bytes: Uint8Array): Promise<LogError> {
  try {
    await readLog(sourceOf(bytes));
  } catch (error) {
    if (error instanceof LogError) return error;
    throw error;
  }
  throw new Error('it was not refused');
}
const table = 'Zeit;CPU [°C];Lüfter [U/min]\r\n0;41,5;900\r\n2;42,5;910\r\n';

describe('workers/readLog', () => {
  it('tells the letters apart', () => {
    expect(encodingOf(utf8(table))).to.equal('utf-8');
    expect(encodingOf(utf16(table))).to.equal('utf-16le');
    expect(encodingOf(utf16(table).slice(2))).to.equal('utf-16le');
    expect(encodingOf(western(table))).to.equal('windows-1252');
    const turned = utf16(table).slice(2);
    for (let i = 0; i + 1 < turned.length; i += 2)
      [turned[i], turned[i + 1]] = [turned[i + 1]!, turned[i]!];
    expect(encodingOf(turned), 'the other way round, without its mark').to.equal('utf-16be');
  });
  it('reads decimal commas that stand in quotes between commas', async () => {
    const log = await readLog(sourceOf(utf8('Time,CPU [°C]\n"0,0","41,5"\n"2,5","42,5"\n')));
    expect([...log.columns[0]!.values]).to.deep.equal([41.5, 42.5]);
    expect([...log.seconds]).to.deep.equal([0, 2.5]);
  });
  for (const [name, bytes] of [
    ['UTF-8', utf8(table)],
    ['UTF-8 with its mark', utf8(`\uFEFF${table}`)],
    ['UTF-16', utf16(table)],
    ['Western letters', western(table)],
    ['no last line end', utf8(table.trimEnd())],
  ] as const)
    it(`reads ${name} with decimal commas`, async () => {
      const log = await readLog(sourceOf(bytes));
      expect(log.columns.map((each) => each.name)).to.deep.equal(['CPU', 'Lüfter']);
      expect(log.columns.map((each) => each.kind)).to.deep.equal(['temperature', 'fan']);
      expect([...log.columns[0]!.values]).to.deep.equal([41.5, 42.5]);
    });
  it('reads cells in quotes, and one answer or several of sensors', async () => {
    const quoted = '"Time","CPU, package [°C]"\n"10:00:00","41.5"\n"10:00:02","42"\n';
    const log = await readLog(sourceOf(utf8(quoted)));
    expect(log.columns[0]!.name).to.equal('CPU, package');
    const answer = (t: number) => JSON.stringify({ chip: { Tctl: { temp1_input: t } } }, null, 1);
    for (const text of [`${answer(40)}\n${answer(45)}`, `[${answer(40)},${answer(45)}]`])
      expect([...(await readLog(sourceOf(utf8(text)))).columns[0]!.values]).to.deep.equal([40, 45]);
    expect((await refused(utf8('{"chip": {'))).message).to.match(/no whole JSON/);
  });
  it('refuses an empty file and one without rows', async () => {
    expect((await refused(utf8(''))).message).to.equal('The file is empty.');
    expect((await refused(utf8('just words\n'))).message).to.match(/no header/);
    expect((await refused(utf8('Time,CPU [°C]\n'))).message).to.match(/nothing under it/);
  });
  it('reads tens of thousands of rows over many pieces, tells how far it is, and fits what was in them', async function () {
    this.timeout(20_000);
    const { s, v } = madeRun({ seed: 3, taus: 6, everyS: 0.02 });
    const rows = s.map(
      (t, i) => `${t.toFixed(2)};${v[i]!.toFixed(3).replace('.', ',')};${900 + (i % 50)}`,
    );
    const bytes = utf8(`Zeit;CPU [°C];Fan [RPM]\n${rows.join('\n')}\n`.repeat(1));
    const shares: number[] = [];
    const log = await readLog(sourceOf(bytes), (share) => void shares.push(share));
    expect(log.rows).to.equal(s.length);
    expect(shares.at(-1)).to.equal(1);
    const course = thinned(log.seconds, log.columns[0]!.values, 800);
    const [whole, few] = [settle({ s, v }), settle(course)];
    expect(few.end).to.be.closeTo(whole.end, 0.1);
  });
});
