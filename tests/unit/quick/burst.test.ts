import { expect } from 'chai';
import { GAP_MS, isScan, withKey, type Burst } from '../../../src/core/quick/burst.ts';

/** Keys at these times, then Enter. */
function typed(text: string, gaps: readonly number[], enterAfter: number) {
  let burst: Burst | undefined;
  let at = 1000;
  [...text].forEach((key, i) => {
    at += gaps[i] ?? gaps.at(-1) ?? 0;
    burst = withKey(burst, key, at);
  });
  return { burst, scan: isScan(burst, at + enterAfter) };
}

describe('quick/burst', () => {
  it('takes what a scanner types for a scan', () => {
    const { burst, scan } = typed('not measured', [4], 4);
    expect(burst?.text).to.equal('not measured');
    expect(scan).to.equal(true);
  });
  it('takes one digit and Enter at once for a caliper that reads 5', () =>
    expect(typed('5', [0], 5).scan).to.equal(true));
  it('takes hands for hands: a pause before Enter, or between keys', () => {
    expect(typed('next', [5], GAP_MS + 1).scan).to.equal(false);
    const slow = typed('next', [5, 5, GAP_MS + 1, 5], 5);
    expect(slow.burst?.text, 'only what came after the pause').to.equal('xt');
  });
  it('joins up to the gap and not beyond it', () => {
    expect(typed('ab', [GAP_MS], 0).burst?.text).to.equal('ab');
    expect(typed('ab', [GAP_MS + 0.5], 0).burst?.text).to.equal('b');
  });
  it('begins anew when the clock runs backwards', () =>
    expect(withKey({ text: 'a', at: 500 }, 'b', 400).text).to.equal('b'));
  it('makes no scan of spaces, or of nothing', () => {
    expect(typed('  ', [2], 2).scan).to.equal(false);
    expect(isScan(undefined, 0)).to.equal(false);
  });
});
