import { expect } from 'chai';
import fc from 'fast-check';
import { addDays, getDay, startOfDay } from 'date-fns';
import { dayText, whenIn, whenOf, withHour, type Clock } from '../../../src/core/units/when.ts';

/** A Friday, 15:20 at a bench two hours ahead of UTC. */
const clock: Clock = { now: '2026-11-27T13:20:00.000Z', ahead: 120 };
const at = (text: string, of = clock) => whenOf(text, of)?.at;
const day = (text: string, of = clock) => {
  const when = whenOf(text, of);
  return when && dayText(when, of);
};

describe('units/when', () => {
  it('reads spans, days, hours, and both together', () => {
    expect(at('24 h')).to.equal('2026-11-28T13:20:00.000Z');
    expect(at('90min')).to.equal('2026-11-27T14:50:00.000Z');
    expect(at('1,5 days')).to.equal('2026-11-29T01:20:00.000Z');
    expect(at('2 weeks')).to.equal('2026-12-11T13:20:00.000Z');
    expect(day('today')).to.equal('2026-11-27');
    expect(day('Tomorrow')).to.equal('2026-11-28');
    expect(day('3 dec')).to.equal('2026-12-03');
    expect(day('dec 3')).to.equal('2026-12-03');
    expect(day('5 January')).to.equal('2027-01-05');
    expect(day('2027-02-28')).to.equal('2027-02-28');
    expect(at('sat 10:00')).to.equal('2026-11-28T08:00:00.000Z');
    expect(at('until monday 5pm')).to.equal('2026-11-30T15:00:00.000Z');
    expect(at('3 dec at 17')).to.equal('2026-12-03T15:00:00.000Z');
    expect(at('16:00')).to.equal('2026-11-27T14:00:00.000Z');
    expect(at('9:00'), 'past today: tomorrow').to.equal('2026-11-28T07:00:00.000Z');
    expect(withHour(whenOf('sat', clock)!, 480)).to.equal('2026-11-28T06:00:00.000Z');
    expect(withHour(whenOf('sat 9am', clock)!, 480)).to.equal('2026-11-28T07:00:00.000Z');
  });

  it('refuses what is no time', () => {
    for (const text of [
      '',
      'paint',
      '30 feb',
      '25:00',
      '13pm',
      'sa',
      '0 h',
      '-3 h',
      '400 days',
      '12',
      'h 24',
      '2026-13-01',
      'may',
    ])
      expect(whenOf(text, clock), text).to.equal(undefined);
  });

  it('finds it at either end of a line', () => {
    const rest = (line: string) => whenIn(line, clock)?.rest;
    expect(rest('24 h paint')).to.equal('paint');
    expect(rest('paint 24 h')).to.equal('paint');
    expect(rest('second coat of blue fri 10:00')).to.equal('second coat of blue');
    expect(rest('thu cable')).to.equal('cable');
    expect(rest('sat')).to.equal('');
    expect(whenIn('grey paint', clock)).to.equal(undefined);
  });

  it('a day of the week is the coming one at the bench, held against date-fns', () => {
    const names = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true }),
        fc.integer({ min: -12, max: 14 }),
        fc.nat(6),
        (now, hours, weekday) => {
          const here: Clock = { now: now.toISOString(), ahead: hours * 60 };
          /* date-fns counts in the machine's zone: the bench's wall clock is laid into it. */
          const wall = new Date(now.getTime() + hours * 3_600_000);
          const local = new Date(wall.getUTCFullYear(), wall.getUTCMonth(), wall.getUTCDate(), 12);
          let wanted = startOfDay(addDays(local, 1));
          while (getDay(wanted) !== weekday) wanted = addDays(wanted, 1);
          const text = [
            wanted.getFullYear(),
            String(wanted.getMonth() + 1).padStart(2, '0'),
            String(wanted.getDate()).padStart(2, '0'),
          ].join('-');
          expect(day(names[weekday]!, here)).to.equal(text);
        },
      ),
    );
  });
});
