import { expect } from 'chai';
import { dateText } from '../../../src/lib/ui/dates.ts';

/** Says what a browser set to a language would say. */
function reading(language: string, work: () => void): void {
  const before = Object.getOwnPropertyDescriptor(globalThis, 'navigator');
  Object.defineProperty(globalThis, 'navigator', { value: { language }, configurable: true });
  try {
    work();
  } finally {
    if (before) Object.defineProperty(globalThis, 'navigator', before);
  }
}

describe('ui/dates', () => {
  const at = '2026-03-04T12:00:00.000Z';
  it('puts day and month in the order of the reader, the month in letters', () => {
    reading('en-GB', () => expect(dateText(at, 'day')).to.equal('4 Mar 2026'));
    reading('en-US', () => expect(dateText(at, 'day')).to.equal('Mar 4, 2026'));
    /* Words stay English: the page is. */
    reading('de-DE', () => expect(dateText(at, 'day')).to.equal('4 Mar 2026'));
  });
  it('counts hours to 23, and leaves what is no time as it is', () => {
    reading('en-US', () => expect(dateText(at, 'full')).to.match(/2026.*\d{2}:\d{2}$/));
    expect(dateText('some day', 'day')).to.equal('some day');
  });
});
