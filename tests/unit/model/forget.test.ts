import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { expect } from 'chai';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { writeShop } from '../../../src/core/export/json.ts';
import { carryMemo } from '../../../src/core/model/lookup/reads.ts';
import type { Shop } from '../../../src/core/model/types/types.ts';
import { answered as answer } from '../../../src/api/worker.ts';
import { checksOf } from '../../../src/core/plan/run.ts';

setFlagsFromString('--expose-gc');
const gc = runInNewContext('gc') as () => void;

const now = '2026-11-25T09:00:00.000Z';

/** Looks at every job of a shop of its own and lets go of it. */
function lookedAt(): WeakRef<Shop> {
  const shop = demoShop(now);
  for (const job of shop.jobs) checksOf(shop, job);
  return new WeakRef(shop);
}

async function collected(ref: WeakRef<Shop>): Promise<boolean> {
  for (let tries = 0; tries < 20 && ref.deref(); tries += 1) {
    await new Promise((resolve) => setTimeout(resolve, 5));
    gc();
  }
  return ref.deref() === undefined;
}

describe('model/reads, for a server', () => {
  it('keeps nothing of a shop that nobody holds any more', async () => {
    const ref = lookedAt();
    expect(await collected(ref)).to.equal(true);
  });

  it('keeps what was carried to the next shop as long as that is held', async () => {
    const next = demoShop(now);
    const first = (() => {
      const shop = demoShop(now);
      for (const job of shop.jobs) checksOf(shop, job);
      carryMemo(shop, next);
      return new WeakRef(shop);
    })();
    expect(await collected(first), 'held by what was read of it').to.equal(false);
    expect(next.jobs.length).to.be.above(0);
  });

  it('a request leaves nothing behind in its thread', async () => {
    const body = new TextEncoder().encode(writeShop(demoShop(now))).buffer as ArrayBuffer;
    const grown = async () => {
      for (let n = 0; n < 4; n += 1) {
        expect((await answer({ task: 'check', body, query: {} })).status).to.equal(200);
        await new Promise((resolve) => setTimeout(resolve, 5));
      }
      gc();
      return process.memoryUsage().heapUsed;
    };
    await grown();
    /*
     * A document read is about 1.4 MB on the heap: four of them kept would show every time. What else the process
     * learns or lets go of meanwhile shows now and then.
     */
    const after = [await grown(), await grown(), await grown(), await grown()];
    const more = after.slice(1).map((heap, i) => heap - (after[i] ?? 0));
    expect(Math.min(...more)).to.be.below(3_000_000);
  });
});
