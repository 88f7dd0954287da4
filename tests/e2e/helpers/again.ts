import type { Context } from 'mocha';

/** A loaded machine may be late once: a test has a second try, and what needed it is named. */
export const mochaHooks = {
  afterEach(this: Context): void {
    const test = this.currentTest as (Mocha.Test & { currentRetry(): number }) | undefined;
    if (test && test.currentRetry() > 0)
      console.log(`second try, ${test.state ?? 'unknown'}: ${test.fullTitle()}`);
  },
};
