import { expect } from 'chai';
import { comparedReadings, readingFault } from '../../../src/core/heat/index.ts';
import {
  readingKinds,
  type Reading,
  type ReadingKind,
} from '../../../src/core/model/types/readings.ts';

const reading = (
  kind: ReadingKind,
  when: Reading['when'],
  value: number,
  more: Partial<Reading> = {},
): Reading => ({ kind, when, value, at: '2026-11-27T08:00:00.000Z', load: 'full load', ...more });
const said = (...readings: Reading[]) => comparedReadings(readings, 1);

describe('heat/readings, before and after', () => {
  it('says how much and whether that is better, each kind in its own direction', () => {
    const say = (kind: ReadingKind, before: number, after: number, name?: string) =>
      said(
        reading(kind, 'before', before, name ? { name } : {}),
        reading(kind, 'after', after, name ? { name } : {}),
      )[0]?.say;
    expect(say('temperatureC', 92, 80)).to.equal('12 K less, at the same load: better.');
    expect(say('clockMhz', 3900, 3600)).to.equal('300 MHz less, at the same load: worse.');
    expect(say('soundDb', 44, 36.5)).to.equal('7.5 dB(A) less, at the same load: better.');
    expect(say('score', 61, 88, 'harbour scene, medium')).to.equal(
      '27 more, at the same load: better.',
    );
    expect(say('taskS', 120, 95, 'export')).to.equal('25 s less, at the same load: better.');
    expect(say('wallW', 120, 120)).to.equal('The same, at the same load.');
  });
  it('compares nothing across loads, nor a score across names and settings', () => {
    const loads = said(
      reading('temperatureC', 'before', 90),
      reading('temperatureC', 'after', 40, { load: 'idle' }),
    );
    expect(loads[0]?.say).to.contain('proves nothing');
    const scores = said(
      reading('score', 'before', 60, { name: 'harbour, low' }),
      reading('score', 'after', 80, { name: 'harbour, high' }),
    );
    expect(scores.map((each) => each.name)).to.eql(['harbour, low', 'harbour, high']);
    expect(scores[0]?.say).to.contain('when the lid is on');
    expect(scores[1]?.say).to.contain('nothing to compare');
  });
  it('takes the latest of each, and lays a difference to no one of several changes', () => {
    const [one] = comparedReadings(
      [
        reading('wallW', 'before', 150),
        reading('wallW', 'before', 140),
        reading('wallW', 'after', 100),
      ],
      3,
    );
    expect(one?.say).to.match(/^40 W less.*belongs to none of them alone/);
  });
  it('holds CPU, card, hot spot, SSD and hard drive each to its own limit', () => {
    const over = (kind: ReadingKind, value: number) =>
      said(reading(kind, 'after', value))[0]?.aim?.over;
    const limits: [ReadingKind, number][] = [
      ['temperatureC', 85],
      ['cardC', 83],
      ['hotSpotC', 100],
      ['ssdC', 70],
      ['hddC', 50],
    ];
    for (const [kind, limit] of limits)
      expect([over(kind, limit), over(kind, limit + 1)], kind).to.eql([false, true]);
    expect(over('wallW', 900)).to.equal(undefined);
    expect(said(reading('hddC', 'after', 60, { load: 'idle' }))[0]?.aim).to.equal(undefined);
  });
  it('refuses what cannot be meant, and takes 850 W at the wall', () => {
    expect(readingFault('wallW', 850, '')).to.equal(undefined);
    expect(readingFault('wallW', 9000, '')).to.contain('cannot be meant');
    expect(readingFault('temperatureC', 400, '')).to.contain('cannot be meant');
    expect(readingFault('temperatureC', -20, '')).to.equal(undefined);
    expect(readingFault('soundDb', -3, '')).to.contain('cannot be meant');
    expect(readingFault('score', 12345, '')).to.contain('how it was set');
    expect(readingFault('score', 12345, 'harbour, low')).to.equal(undefined);
    for (const kind of Object.keys(readingKinds) as ReadingKind[])
      expect(readingFault(kind, NaN, 'x')).to.contain('number');
  });
});
