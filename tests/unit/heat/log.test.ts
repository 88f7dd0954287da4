import { expect } from 'chai';
import fc from 'fast-check';
import {
  delimiterOf,
  LogError,
  LogReader,
  logOf,
  sensorsJson,
  thinned,
  typedPairs,
} from '../../../src/core/heat/index.ts';
import { figureOf, headerOf, secondsOf } from '../../../src/core/heat/cells.ts';

const rows = (text: string, sign: string) => text.split('\n').map((line) => line.split(sign));
const refusal = (work: () => unknown): LogError => {
  try {
    work();
  } catch (error) {
    if (error instanceof LogError) return error;
    throw error;
  }
  throw new Error('it was not refused');
};

describe('heat/log, headers and cells', () => {
  it('finds what a column holds from its name and unit', () => {
    for (const [cell, kind, unit] of [
      ['CPU Package [°C]', 'temperature', '°C'],
      ['Core Temps (avg) [°C]', 'temperature', '°C'],
      ['CPU (Tctl/Tdie)', 'temperature', ''],
      ['Package [°F]', 'temperature', '°F'],
      ['Core 0 Clock (MHz)', 'clock', 'MHz'],
      ['Fan1 [RPM]', 'fan', 'RPM'],
      ['CPU Package Power [W]', 'watts', 'W'],
      ['Total CPU Usage [%]', 'load', '%'],
      ['Vcore [V]', 'volts', 'V'],
      ['Uhrzeit', 'time', ''],
      ['Time (s)', 'time', 's'],
      ['Lüfter Gehäuse [U/min]', 'fan', 'U/min'],
      ['Leistung Paket', 'watts', ''],
      ['remarks', 'other', ''],
    ] as const)
      expect(headerOf(cell), cell).to.include({ kind, unit });
  });
  it('finds the sign between cells, decimal commas or not', () => {
    expect(delimiterOf(['Time,CPU [°C],Fan', '0,41.5,900', '2,42.0,910'])).to.equal(',');
    expect(delimiterOf(['Zeit;CPU [°C];W', '0;41,5;20,1', '2;42,0;21,4'])).to.equal(';');
    expect(delimiterOf(['Time\tCPU', '0\t41,5', '1\t42,5'])).to.equal('\t');
    expect(delimiterOf(['t|cpu|fan', '0|41|900'])).to.equal('|');
  });
  it('reads figures and times of many kinds, and nothing else', () => {
    expect(figureOf('41,5', true)).to.equal(41.5);
    expect(figureOf('41.5', true)).to.equal(41.5);
    expect(figureOf('41,5', false)).to.be.NaN;
    expect(figureOf('', true)).to.be.NaN;
    expect(figureOf('n/a', true)).to.be.NaN;
    expect(secondsOf('14:03:22.5', false)).to.equal(50602.5);
    expect(secondsOf('2:03', false)).to.equal(123);
    expect(secondsOf('1:00:00 pm', false)).to.equal(46800);
    expect(secondsOf('12:00:10 am', false)).to.equal(10);
    expect(secondsOf('1970-01-02T00:00:05Z', false)).to.equal(86405);
    expect(secondsOf('2.1.1970 00:00:05', false)).to.equal(86405);
    expect(secondsOf('12,5', true)).to.equal(12.5);
    expect(secondsOf('soon', false)).to.be.NaN;
  });
});

describe('heat/log, tables', () => {
  it('reads a log with clock, decimal commas and words before its header', () => {
    const text = [
      'logger 1.0',
      'Datum;Uhrzeit;CPU Package [°C];Lüfter [U/min];Paket [W]',
      '25.11.2026;23:59:58;41,5;900;20,1',
      '26.11.2026;00:00:00;42,0;;21,4',
      '26.11.2026;00:00:02;x;910;22,4',
    ].join('\n');
    const log = logOf(rows(text, ';'), true);
    expect([...log.seconds]).to.deep.equal([0, 2, 4]);
    expect(log.columns.map((each) => each.kind)).to.deep.equal(['temperature', 'fan', 'watts']);
    expect(log.columns[0]!.gaps).to.equal(1);
    expect(log.columns[0]!.values[2]).to.be.NaN;
    expect(log.columns[1]!.values[1]).to.be.NaN;
    expect(log.columns[2]!.values[2]).to.equal(22.4);
  });
  it('a clock without its day passes midnight; time that runs backwards is left out and named', () => {
    const night = logOf(rows('Time,CPU [°C]\n23:59:59,40\n00:00:01,41\n00:00:03,42', ','));
    expect([...night.seconds]).to.deep.equal([0, 2, 4]);
    const back = logOf(rows('Time,CPU [°C]\n10:00:00,40\n09:59:00,41\n10:00:02,42', ','));
    expect([...back.seconds]).to.deep.equal([0, 2]);
    expect(back.faults).to.deep.equal([{ line: 3, message: 'time runs backwards' }]);
  });
  it('brings milliseconds and minutes to seconds', () => {
    expect([...logOf(rows('Time [ms],T [°C]\n0,40\n500,41', ',')).seconds]).to.deep.equal([0, 0.5]);
    expect([...logOf(rows('Time (min),T [°C]\n0,40\n2,41', ',')).seconds]).to.deep.equal([0, 120]);
  });
  it('takes bare columns: time and temperature', () => {
    const log = logOf(rows('0,40\n1,41\n2,43', ','));
    expect(log.rows).to.equal(3);
    expect(log.columns[0]!.kind).to.equal('temperature');
  });
  it('refuses an empty file, a bare header, words only; names the line', () => {
    expect(refusal(() => logOf([])).message).to.match(/no header/);
    expect(refusal(() => logOf(rows('Time,CPU [°C]', ','))).message).to.match(/nothing under it/);
    const bad = refusal(() => logOf(rows('Time,CPU [°C]\nsoon,40\nlater,41', ',')));
    expect(bad.line).to.equal(2);
    expect(bad.message).to.match(/no time in “soon”/);
    expect(refusal(() => logOf(rows('Time,remark\n0,warm\n1,warmer', ','))).message).to.match(
      /No column has figures/,
    );
  });
  it('never gives NaN as time, never fewer or more values than rows, whatever the cells', () => {
    const cell = fc.oneof(
      fc.integer({ min: -50, max: 200 }).map(String),
      fc.constantFrom('', 'n/a', '12,5', '10:00:01', '1e400', '-'),
    );
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { minLength: 1, maxLength: 5 }), { maxLength: 30 }),
        (table) => {
          const reader = new LogReader(true);
          reader.push(['Time', 'CPU [°C]', 'Fan [RPM]']);
          table.forEach((row) => reader.push(row));
          let log;
          try {
            log = reader.finish();
          } catch (error) {
            expect(error).to.be.instanceOf(LogError);
            return;
          }
          expect([...log.seconds].every(Number.isFinite)).to.equal(true);
          for (let i = 1; i < log.rows; i += 1)
            expect(log.seconds[i]).to.be.at.least(log.seconds[i - 1]!);
          for (const column of log.columns) {
            expect(column.values.length).to.equal(log.rows);
            expect([...column.values].some((each) => each === Infinity)).to.equal(false);
          }
        },
      ),
    );
  });
});

describe('heat/log, typed pairs and sensors', () => {
  it('takes minutes and degrees, or a clock', () => {
    const log = typedPairs('0 31\n2 55\n5:30 63,5 °C');
    expect([...log.seconds]).to.deep.equal([0, 120, 330]);
    expect([...log.columns[0]!.values]).to.deep.equal([31, 55, 63.5]);
    expect(typedPairs('0 31, 2 55').rows).to.equal(2);
  });
  it('names the pair that is none', () => {
    expect(refusal(() => typedPairs('0 31\nfive 60')).message).to.match(/^Pair 2, “five 60”/);
    expect(refusal(() => typedPairs('5 31\n2 60')).message).to.match(/backwards/);
    expect(refusal(() => typedPairs('  ')).message).to.match(/No pairs yet/);
  });
  it('reads answers of sensors one after the other, and refuses what is none', () => {
    const answer = (t: number) => ({
      'coretemp-isa-0000': {
        Adapter: 'ISA adapter',
        'Package id 0': { temp1_input: t, temp1_max: 100 },
        fan1: { fan1_input: 900 },
      },
    });
    const log = sensorsJson([answer(41), answer(44)], 5);
    expect([...log.seconds]).to.deep.equal([0, 5]);
    expect(log.columns.map((each) => each.kind)).to.deep.equal(['temperature', 'fan']);
    expect([...log.columns[0]!.values]).to.deep.equal([41, 44]);
    expect(refusal(() => sensorsJson([[1]], 1)).message).to.match(/no object/);
    expect(refusal(() => sensorsJson([{}], 1)).message).to.match(/No temperature/);
  });
  it('thins to means and leaves out degrees no machine shows', () => {
    const seconds = Float64Array.from({ length: 1000 }, (_, i) => i);
    const values = Float64Array.from({ length: 1000 }, (_, i) => (i === 500 ? 300 : 50));
    const { s, v, senseless } = thinned(seconds, values, 100, { least: -30, most: 130 });
    expect(s).to.have.length(100);
    expect(senseless).to.equal(1);
    expect(v.every((each) => each === 50)).to.equal(true);
  });
  it('reads a unit that stands last without brackets, and thousandths since 1970', () => {
    const log = logOf([
      ['timestamp', 'CPU Temp °F', 'Core Clock MHz'],
      ['1764220000000', '104', '3600'],
      ['1764220005000', '122', '3500'],
    ]);
    expect([...log.seconds]).to.deep.equal([0, 5]);
    expect(log.columns.map(({ name, unit, kind }) => `${name} ${unit} ${kind}`)).to.deep.equal([
      'CPU Temp °F temperature',
      'Core Clock MHz clock',
    ]);
  });
});
